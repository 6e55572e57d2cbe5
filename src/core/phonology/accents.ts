import {
  CONSONANT_IPA,
  SYLLABIC_ENDINGS,
  isConsonantKey,
  isVowelKey,
  R_SETS,
  type ConsonantKey,
  type Key,
  type VowelKey,
} from './keys';
import type { Segment } from './transcription';
import { sure } from '../sure';

/** One sound as it is said in an accent, with where in the line it came from. */
export interface Sound {
  readonly ipa: string;
  readonly key: Key;
  /** Index of the segment in the transcription. Two sounds of one segment share it. */
  readonly segment: number;
  readonly syllable: number;
  readonly vowel: boolean;
}

/**
 * An accent is one row: what each lexical set is there (several sounds apart by a space),
 * which consonant keys differ, and which of the documented rules hold.
 */
export interface Accent {
  readonly id: string;
  readonly name: string;
  readonly vowels: Readonly<Record<VowelKey, string>>;
  readonly consonants: Partial<Record<ConsonantKey, string>>;
  readonly rhotic: boolean;
  /** FLEECE . commA said as one sound (*idea*). */
  readonly ideaIsOne: string | null;
  /** STRUT r before a vowel (*hurry*) becomes this sound. */
  readonly hurry: string | null;
  /** y is dropped after t d n s z l th before GOOSE or CURE in the same syllable (*new*). */
  readonly dropsYod: boolean;
  /** PRICE or MOUTH and lettER in one syllable (*fire*): the weak vowel is not said, only its r. */
  readonly fireIsShort: boolean;
  /**
   * What a set is before a written r, where that differs (*orange* keeps its vowel where cot and caught are merged).
   */
  readonly beforeR: Partial<Record<VowelKey, string>>;
  /** The accent whose own lines and name this one shares; it differs from it by one choice of the setting. */
  readonly variantOf?: string;
}

const endings = { EL: 'ə l', EM: 'ə m', EN: 'ə n' } as const;

// Sources: Wells (1982) for the sets and their members; the usual phonemic symbols of each accent.
const PLAIN = {
  consonants: {},
  rhotic: false,
  ideaIsOne: null,
  hurry: null,
  dropsYod: false,
  fireIsShort: false,
  beforeR: {},
} as const;

const SOUTHERN_BRITISH: Accent = {
  ...PLAIN,
  id: 'southern-british',
  name: 'Southern British',
  vowels: {
    KIT: 'ɪ',
    DRESS: 'e',
    TRAP: 'æ',
    LOT: 'ɒ',
    STRUT: 'ʌ',
    FOOT: 'ʊ',
    BATH: 'ɑː',
    CLOTH: 'ɒ',
    FLEECE: 'iː',
    FACE: 'eɪ',
    PALM: 'ɑː',
    THOUGHT: 'ɔː',
    GOAT: 'əʊ',
    GOOSE: 'uː',
    PRICE: 'aɪ',
    CHOICE: 'ɔɪ',
    MOUTH: 'aʊ',
    FERN: 'ɜː',
    FIR: 'ɜː',
    FUR: 'ɜː',
    NEAR: 'ɪə',
    SQUARE: 'eə',
    START: 'ɑː',
    NORTH: 'ɔː',
    FORCE: 'ɔː',
    CURE: 'ɔː',
    happY: 'i',
    lettER: 'ə',
    commA: 'ə',
    ...endings,
  },
  ideaIsOne: 'ɪə',
};

const NORTHERN_ENGLISH: Accent = {
  ...SOUTHERN_BRITISH,
  id: 'northern-english',
  name: 'Northern English',
  vowels: {
    ...SOUTHERN_BRITISH.vowels,
    TRAP: 'a',
    BATH: 'a',
    STRUT: 'ʊ',
    FACE: 'eː',
    GOAT: 'oː',
    CURE: 'ʊə',
  },
};

const SCOTTISH: Accent = {
  ...PLAIN,
  id: 'scottish',
  name: 'Scottish',
  vowels: {
    KIT: 'ɪ',
    DRESS: 'ɛ',
    TRAP: 'a',
    LOT: 'ɔ',
    STRUT: 'ʌ',
    FOOT: 'ʉ',
    BATH: 'a',
    CLOTH: 'ɔ',
    FLEECE: 'i',
    FACE: 'e',
    PALM: 'a',
    THOUGHT: 'ɔ',
    GOAT: 'o',
    GOOSE: 'ʉ',
    PRICE: 'ai',
    CHOICE: 'ɔi',
    MOUTH: 'ʌu',
    FERN: 'ɛ r',
    FIR: 'ɪ r',
    FUR: 'ʌ r',
    NEAR: 'i r',
    SQUARE: 'e r',
    START: 'a r',
    NORTH: 'ɔ r',
    FORCE: 'o r',
    CURE: 'ʉ r',
    happY: 'e',
    lettER: 'ə r',
    commA: 'ə',
    ...endings,
  },
  consonants: { hw: 'ʍ', kh: 'x' },
  rhotic: true,
  fireIsShort: true,
};

const GENERAL_AMERICAN: Accent = {
  ...PLAIN,
  id: 'general-american',
  name: 'General American',
  vowels: {
    KIT: 'ɪ',
    DRESS: 'ɛ',
    TRAP: 'æ',
    LOT: 'ɑ',
    STRUT: 'ʌ',
    FOOT: 'ʊ',
    BATH: 'æ',
    CLOTH: 'ɔ',
    FLEECE: 'i',
    FACE: 'eɪ',
    PALM: 'ɑ',
    THOUGHT: 'ɔ',
    GOAT: 'oʊ',
    GOOSE: 'u',
    PRICE: 'aɪ',
    CHOICE: 'ɔɪ',
    MOUTH: 'aʊ',
    FERN: 'ɝ',
    FIR: 'ɝ',
    FUR: 'ɝ',
    NEAR: 'ɪ r',
    SQUARE: 'ɛ r',
    START: 'ɑ r',
    NORTH: 'ɔ r',
    FORCE: 'ɔ r',
    CURE: 'ʊ r',
    happY: 'i',
    lettER: 'ɚ',
    commA: 'ə',
    ...endings,
  },
  rhotic: true,
  hurry: 'ɝ',
  dropsYod: true,
};

/** *cot* and *caught* alike; a vowel before r stays as it was. */
const GENERAL_AMERICAN_MERGED: Accent = {
  ...GENERAL_AMERICAN,
  id: 'general-american-merged',
  name: 'General American, cot and caught alike',
  vowels: { ...GENERAL_AMERICAN.vowels, CLOTH: 'ɑ', THOUGHT: 'ɑ' },
  beforeR: { CLOTH: 'ɔ', THOUGHT: 'ɔ' },
  variantOf: 'general-american',
};

/** Every accent that ships. Adding one means adding a row here and its id below. */
export const ACCENTS: readonly Accent[] = [
  SOUTHERN_BRITISH,
  NORTHERN_ENGLISH,
  SCOTTISH,
  GENERAL_AMERICAN,
  GENERAL_AMERICAN_MERGED,
];

export const ACCENT_IDS = [
  'southern-british',
  'northern-english',
  'scottish',
  'general-american',
  'general-american-merged',
] as const;
export type AccentId = (typeof ACCENT_IDS)[number];
export const DEFAULT_ACCENT: AccentId = 'southern-british';

/** The accents a setting chooses between; variants are a further choice inside one. */
export const MAIN_ACCENTS: readonly Accent[] = ACCENTS.filter((a) => !a.variantOf);

/** The accent's row. Throws for an unknown id. Example: `accentOf('southern-british').rhotic // false`. */
export function accentOf(id: AccentId): Accent {
  const accent = ACCENTS.find((a) => a.id === id);
  if (!accent) throw new Error(`There is no accent "${id}".`);
  return accent;
}

const YOD_DROPPERS: ReadonlySet<Key> = new Set<Key>(['t', 'd', 'n', 's', 'z', 'l', 'th']);

/** A segment with its neighbours. */
interface Spot {
  readonly here: Segment;
  readonly before: Segment | undefined;
  readonly after: Segment | undefined;
  /** True where the segment after the next is a vowel. */
  readonly vowelThen: boolean;
}

/** How a segment is said, and whether the next one is in that too; null where it is not said. */
type Saying = { readonly ipa: string; readonly swallows?: 1 } | null;

const inOneSyllable = (a: Segment, b: Segment | undefined): boolean => b?.syllable === a.syllable;

/** True where a vowel of the same beat stands before. */
const followsVowel = (here: Segment, before: Segment | undefined): boolean =>
  before !== undefined && isVowelKey(before.key) && inOneSyllable(here, before);

/** Vowels that run together, or do not, by the accent's own rules; undefined where none speaks. */
function runTogether({ here, before, after, vowelThen }: Spot, accent: Accent): Saying | undefined {
  const then = after?.key;
  if (accent.ideaIsOne && here.key === 'FLEECE' && then === 'commA') return { ipa: accent.ideaIsOne, swallows: 1 };
  if (accent.fireIsShort && here.key === 'lettER' && followsVowel(here, before)) return { ipa: 'r' };
  if (accent.hurry && here.key === 'STRUT' && after?.key === 'r' && vowelThen)
    return { ipa: accent.hurry, swallows: 1 };
  return undefined;
}

/** True for a consonant that this accent does not say here. */
function isSilent({ here, before, after }: Spot, accent: Accent): boolean {
  if (!before) return false;
  // The r of the set before has been said already.
  if (here.key === 'r') return accent.rhotic && R_SETS.has(before.key);
  if (here.key !== 'y' || !accent.dropsYod) return false;
  const beforeGoose = after?.key === 'GOOSE' || after?.key === 'CURE';
  return beforeGoose && YOD_DROPPERS.has(before.key) && inOneSyllable(here, before);
}

function sayingOf(spot: Spot, accent: Accent): Saying {
  const { here, after } = spot;
  const together = runTogether(spot, accent);
  if (together !== undefined) return together;
  if (isSilent(spot, accent)) return null;
  if (isConsonantKey(here.key)) return { ipa: accent.consonants[here.key] ?? CONSONANT_IPA[here.key] };
  return { ipa: (after?.key === 'r' ? accent.beforeR[here.key] : undefined) ?? accent.vowels[here.key] };
}

/**
 * The sounds of a transcription in an accent, in order.
 *
 * @example realiseSegments(parseTranscription('sh START k'), accentOf('general-american')).map((s) => s.ipa)
 * // ['ʃ', 'ɑ', 'r', 'k']
 */
export function realiseSegments(segments: readonly Segment[], accent: Accent): Sound[] {
  const sounds: Sound[] = [];
  for (let i = 0; i < segments.length; i += 1) {
    const here = sure(segments[i]);
    const segment = i;
    const spot = { here, before: segments[i - 1], after: segments[i + 1], vowelThen: isVowelAt(segments, i + 2) };
    const saying = sayingOf(spot, accent);
    if (!saying) continue;
    for (const ipa of saying.ipa.split(' ')) {
      const vowel = isVowelKey(here.key) && !CONSONANTS.has(ipa);
      sounds.push({ ipa, key: here.key, segment, syllable: here.syllable, vowel });
    }
    i += saying.swallows ?? 0;
  }
  return sounds;
}

const CONSONANTS: ReadonlySet<string> = new Set([...Object.values(CONSONANT_IPA), 'ʍ', 'x']);

const isVowelAt = (segments: readonly Segment[], at: number): boolean => {
  const segment = segments[at];
  return segment !== undefined && isVowelKey(segment.key) && !SYLLABIC_ENDINGS.has(segment.key);
};
