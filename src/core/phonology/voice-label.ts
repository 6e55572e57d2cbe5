import { SHARED_CONSONANTS } from './consonants';
import { accentOf, type AccentId } from './accents';
import { isConsonant, labelOf, ownConsonant } from './sounds';

const shared = new Map<AccentId, ReadonlySet<string>>();

/** Labels that two sounds of an accent have: oo, th. */
function sharedLabels(accent: AccentId): ReadonlySet<string> {
  const kept = shared.get(accent);
  if (kept) return kept;
  const { vowels, consonants } = accentOf(accent);
  const sounds = new Set([
    ...Object.keys(SHARED_CONSONANTS),
    ...Object.values(consonants).filter((ipa) => ownConsonant(ipa)),
    ...Object.values(vowels)
      .flatMap((ipa) => ipa.split(' '))
      .filter((ipa) => ipa && !isConsonant(ipa)),
  ]);
  const times = new Map<string, number>();
  for (const ipa of sounds) {
    const { label } = labelOf(ipa, accent);
    times.set(label, (times.get(label) ?? 0) + 1);
  }
  const made = new Set([...times].filter(([, n]) => n > 1).map(([label]) => label));
  shared.set(accent, made);
  return made;
}

/** A sound as it is read aloud: its label, and a word beside it where another sound has the same label. */
export interface VoiceLabel {
  readonly label: string;
  readonly as?: string;
}

/**
 * The label of a sound with the word that tells it from another sound of the accent; no word where nothing could be
 * confused, as in Scottish, where *book* and *moon* have one vowel.
 * @example voiceLabel('ð', 'scottish') // { label: 'th', as: 'this' }
 */
export function voiceLabel(ipa: string, accent: AccentId, next?: string): VoiceLabel {
  const { label, as } = labelOf(ipa, accent, next);
  return as && sharedLabels(accent).has(label) ? { label, as } : { label };
}

/**
 * A sound as a line of text has it where it is to be said.
 * @example voiceText('ʊ', 'southern-british') // 'oo (as in book)'
 */
export function voiceText(ipa: string, accent: AccentId, next?: string): string {
  const { label, as } = voiceLabel(ipa, accent, next);
  return as ? `${label} (as in ${as})` : label;
}

/**
 * Sounds one by one, as they are read aloud.
 * @example voiceRow(['b', 'ʊ', 'k'], 'southern-british') // 'b … oo (as in book) … k'
 */
export const voiceRow = (sounds: readonly string[], accent: AccentId, between = ' … '): string =>
  sounds.map((ipa, i) => voiceText(ipa, accent, sounds[i + 1])).join(between);
