import type { Word } from './entry';

/**
 * Words that can be made from a handful of sounds, each sound used once per word. Sounds are counted, so a word that
 * needs two /t/ needs two in the handful.
 */
const soundCounts = (sounds: readonly string[]): Map<string, number> => {
  const out = new Map<string, number>();
  for (const s of sounds) out.set(s, (out.get(s) ?? 0) + 1);
  return out;
};

/**
 * The sounds a word needs that the handful does not have, each with how many it needs. Example: two `t` for *tot* from
 * one.
 */
export function lacking(
  needed: readonly string[],
  handful: readonly string[],
): { ipa: string; needs: number; has: number }[] {
  const has = soundCounts(handful);
  return [...soundCounts(needed)].flatMap(([ipa, needs]) =>
    (has.get(ipa) ?? 0) < needs ? [{ ipa, needs, has: has.get(ipa) ?? 0 }] : [],
  );
}

/**
 * Every word of the list that the handful can make, longest first; words that sound alike stand once, the first of
 * them.
 * @example hunt(words, ['s', 'p', 'ɒ', 't']).map((w) => w.word) // spot, stop, pot, top, …
 */
export function hunt(words: readonly Word[], handful: readonly string[]): Word[] {
  const has = soundCounts(handful);
  const found: Word[] = [];
  const said = new Set<string>();
  for (const word of words) {
    const { sounds } = word;
    if (sounds.length > handful.length || !sounds.every((s) => has.has(s.ipa))) continue;
    const ipa = sounds.map((s) => s.ipa);
    if (lacking(ipa, handful).length) continue;
    const key = ipa.join(' ');
    if (said.has(key)) continue;
    said.add(key);
    found.push(word);
  }
  return found.sort(
    (a, b) => b.sounds.length - a.sounds.length || a.entry.band - b.entry.band || (a.word < b.word ? -1 : 1),
  );
}
