import type { Word } from '../lexicon/entry';
import { accentOf, type AccentId } from '../phonology/accents';
import type { ConventionId, Unit } from '../phonology/conventions';
import type { Making } from '../phonology/consonants';
import { makingOf, MAKING_ADVICE } from '../phonology/sounds';
import { voiceLabel } from '../phonology/voice-label';

/** Two sounds that a convention counts as one, as they are said in one. */
const FUSED: Readonly<Partial<Record<ConventionId, string>>> = { qu: 'kw', yoo: 'yoo', ing: 'ing', nk: 'nk' };

/** A unit as it is said: a sound, or what the convention in force counts as one. */
function unitText({ sounds, by }: Unit, next: string | undefined, accent: AccentId): string {
  const [first, second] = sounds;
  if (!first) return '';
  if (!by || !second) return voiceLabel(first.ipa, accent, next).label;
  const set = accentOf(accent).labels.find(([key]) => key === first.key);
  const uh = by === 'syllabicEnd' ? 'u' : voiceLabel(first.ipa, accent).label;
  return FUSED[by] ?? (by === 'vowelR' && set ? set[1] : `${uh}${voiceLabel(second.ipa, accent).label}`);
}

/**
 * A word’s sounds one by one, for reading aloud: as many as the convention in force counts.
 * @example spokenApart(apple) // 'a … p … ul', where the end of *apple* counts as one
 */
export const spokenApart = ({ units, accent }: Word, between = ' … '): string =>
  units.map((unit, i) => unitText(unit, units[i + 1]?.sounds[0]?.ipa, accent)).join(between);

/** A sound between slashes, told from another with the same label. Example: `/sh/`, `/oo/ (as in book)`. */
export function slashed(ipa: string, accent: AccentId): string {
  const { label, as } = voiceLabel(ipa, accent);
  return as ? `/${label}/ (as in ${as})` : `/${label}/`;
}

const list = (labels: readonly string[]): string =>
  labels.length < 2 ? labels.join('') : `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`;

/**
 * How to say the word's sounds alone: which to clip, which to hold. Example: "Hold /s/ and /l/. Keep /g/ short, with
 * no “uh”."
 */
export function sayingAdvice(word: Word): string {
  const ipa = [...new Set(word.sounds.map((s) => s.ipa))];
  return [advice(ipa, word.accent), ...ipa.flatMap((sound) => whichOne(sound, word.accent))].join(' ');
}

/** Which of two sounds a label means, in a sentence beside the line that is read aloud; none where one sound has it. */
function whichOne(ipa: string, accent: AccentId): string[] {
  const { label, as } = voiceLabel(ipa, accent);
  return as && makingOf(ipa) === 'vowel' ? [`The “${label}” is the one in ${as}.`] : [];
}

/** How to say sounds alone. Example: `advice(['s'], 'scottish') // 'Hold /s/.'`. */
export function advice(sounds: readonly string[], accent: AccentId): string {
  const made = (making: Making): string[] =>
    sounds.filter((ipa) => makingOf(ipa) === making).map((ipa) => slashed(ipa, accent));
  const [hold, clip, light] = [made('hold'), made('clip'), made('light')];
  return [
    hold.length ? `Hold ${list(hold)}.` : '',
    clip.length ? `Keep ${list(clip)} short, without an “uh”.` : '',
    light.length ? `Say ${list(light)} lightly.` : '',
    !hold.length && !clip.length && !light.length ? MAKING_ADVICE.vowel : '',
  ]
    .filter(Boolean)
    .join(' ');
}
