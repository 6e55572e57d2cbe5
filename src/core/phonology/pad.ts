import { groupBy } from '../group-by';
import { sure } from '../sure';
import { accentOf, type AccentId } from './accents';
import { CONSONANT_IPA, VOWEL_KEYS, type Key } from './keys';
import type { Manner, Place } from './consonants';
import { CONSONANTS, labelOf } from './sounds';

/** One sound as a person may tap it: the keys of the transcription it stands for, and how it looks. */
export interface PadSound {
  /** The key a tap writes. */
  readonly key: Key;
  /** Every key the accent says this way. */
  readonly keys: readonly Key[];
  readonly ipa: string;
  readonly label: string;
  readonly as?: string;
}

/** A word that shows each lexical set: its own keyword, in small letters. Endings have an example of their own. */
const SHOWN: Partial<Record<Key, string>> = {
  commA: 'banana',
  lettER: 'letter',
  happY: 'happy',
  EL: 'apple',
  EM: 'bottom',
  EN: 'kitten',
};
export const keyword = (key: Key): string => SHOWN[key] ?? key.toLowerCase();

/** The label of a sound, or of a vowel and its r. Example: `labelOfRun('ɑ r', 'general-american') // 'ar'`. */
const labelOfRun = (ipa: string, accent: AccentId): { label: string; as?: string } => {
  const parts = ipa.split(' ');
  return parts.length === 1 ? labelOf(ipa, accent) : { label: parts.map((p) => labelOf(p, accent).label).join('') };
};

/** The vowels of an accent to tap, each once; a vowel with its r is one tap. */
export function vowelPad(accent: AccentId): PadSound[] {
  const { vowels } = accentOf(accent);
  return [...groupBy(VOWEL_KEYS, (key) => vowels[key as keyof typeof vowels])].map(([ipa, keys]) => ({
    key: sure(keys[0]),
    keys,
    ipa,
    ...labelOfRun(ipa, accent),
    ...(SHOWN[sure(keys[0])] ? { as: SHOWN[sure(keys[0])] } : {}),
  }));
}

/** The consonants of an accent to tap, each once. */
export function consonantPad(accent: AccentId): PadSound[] {
  const { consonants } = accentOf(accent);
  const ipaOf = (key: Key): string =>
    consonants[key as keyof typeof consonants] ?? CONSONANT_IPA[key as keyof typeof CONSONANT_IPA];
  return [...groupBy(Object.keys(CONSONANT_IPA) as Key[], ipaOf)].map(([ipa, keys]) => ({
    key: sure(keys[0]),
    keys,
    ipa,
    ...labelOf(ipa, accent),
  }));
}

const PLACE_ORDER: readonly Place[] = [
  'bilabial',
  'labiodental',
  'dental',
  'alveolar',
  'postalveolar',
  'palatal',
  'velar',
  'labial-velar',
  'glottal',
];
const MANNER_ORDER: readonly Manner[] = [
  'stop',
  'affricate',
  'fricative',
  'nasal',
  'approximant',
  'lateral approximant',
];

/** The consonants as a chart: rows by manner, columns by place, voiceless before voiced. */
export const chart = (accent: AccentId): { manner: Manner; cells: { place: Place; sounds: PadSound[] }[] }[] => {
  const pad = consonantPad(accent);
  return MANNER_ORDER.map((manner) => ({
    manner,
    cells: PLACE_ORDER.map((place) => ({
      place,
      sounds: pad
        .filter((s) => sure(CONSONANTS[s.ipa]).manner === manner && sure(CONSONANTS[s.ipa]).place === place)
        .sort((a, b) => Number(sure(CONSONANTS[a.ipa]).voiced) - Number(sure(CONSONANTS[b.ipa]).voiced)),
    })),
  })).filter((row) => row.cells.some((cell) => cell.sounds.length));
};
