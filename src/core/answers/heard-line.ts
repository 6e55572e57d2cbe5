import type { AccentId } from '../phonology/accents';
import { voiceLabel } from '../phonology/voice-label';
import { align } from './align';
import type { Chunks } from './said';
import type { Bit } from './line-text';

const bit = (ipa: string, next: string | undefined, accent: AccentId, more: Omit<Bit, 'label' | 'as'>): Bit => ({
  ...voiceLabel(ipa, accent, next),
  ...more,
});

/**
 * What was said, sound by sound, with the sounds that were lost in their places. It never misleads: each label is that
 * of one sound, and a word stands beside those that share one.
 * @param asked the sounds of the word, where the answer is held against them; else nothing is lost
 * @example heardLine([['f', 'ɒ', 'ɡ']], ['f', 'r', 'ɒ', 'ɡ'], accent).map((b) => b.label) // ['f', 'r', 'o', 'g']
 */
export function heardLine(said: Chunks, asked: readonly string[], accent: AccentId): Bit[] {
  const sounds = said.flat();
  const starts = new Set<number>();
  said.reduce((at, chunk) => (starts.add(at), at + chunk.length), 0);
  const lostBefore = new Map<number, string[]>();
  let heard = 0;
  for (const edit of align(asked, sounds).edits) {
    if (edit.op === 'omit') lostBefore.set(heard, [...(lostBefore.get(heard) ?? []), asked[edit.at] ?? '']);
    else heard = edit.heard + 1;
  }
  const together = said.length === 1;
  const lostAt = (at: number): Bit[] =>
    (lostBefore.get(at) ?? []).map((ipa) => bit(ipa, undefined, accent, { lost: true, ...(together ? TIED : {}) }));
  const line = sounds.flatMap((ipa, at) => [
    ...lostAt(at),
    bit(ipa, sounds[at + 1], accent, starts.has(at) && !(together && lostBefore.has(at)) ? {} : TIED),
  ]);
  return untied([...line, ...lostAt(sounds.length)]);
}

const TIED = { tied: true } as const;

/** Nothing stands before the first. */
const untied = ([first, ...rest]: readonly Bit[]): Bit[] => {
  if (!first) return [];
  const { label, as, lost } = first;
  return [{ label, ...(as ? { as } : {}), ...(lost ? { lost } : {}) }, ...rest];
};
