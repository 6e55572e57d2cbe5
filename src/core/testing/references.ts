import { dictionary } from 'cmu-pronouncing-dictionary';
import { ACCENTS, type AccentId } from '../phonology/accents';
import { ipaOfPhone, readingsOf } from '../phonology/arpabet';
import { CONSONANT_IPA } from '../phonology/keys';
import { sure } from '../sure';
import { askVoices, type Voice } from './ask-voices';
import { bank } from './bank';
import { proofOf } from './kept-proof';

/**
 * The two outside references every entry is compared with, used by tests alone:
 * the CMU Pronouncing Dictionary (General American) and the eSpeak NG voices of the `phonemizer` package.
 */
export interface Reference {
  readonly id: string;
  readonly accent: AccentId;
  /** Every reading of a word, folded; empty where the reference does not list it. */
  read(word: string): Promise<string[]>;
  /** Our own sounds, folded the same way. */
  fold(sounds: readonly string[]): string;
}

/**
 * The dictionary writes one AH for every weak vowel, so each may be ə, ɪ (the weak vowel merger) or, in the second part
 * of a compound, ʌ; and EH before r and a vowel also for TRAP (the Mary-marry merger). Both in Wells (1982), ch. 6.
 */
function weak(phones: readonly string[]): string[][] {
  let readings: string[][] = [[]];
  for (const [i, phone] of phones.entries()) {
    const marry = phone.startsWith('EH') && phones[i + 1] === 'R' && /\d/.test(phones[i + 2] ?? '');
    const plain = marry ? ['ɛ', 'æ'] : [ipaOfPhone(phone)];
    const choices = phone === 'AH0' ? ['ə', 'ɪ', 'ʌ'] : plain;
    readings = readings.flatMap((r) => choices.map((c) => [...r, c]));
  }
  return readings;
}

const cmuReadings = (word: string): string[][] => readingsOf(dictionary, word).flatMap(weak);

/**
 * American folding: IY R and IH R are one set, NEAR, UW R and UH R another, AY R is AY ER; a weak or strong ɝ before a
 * vowel may be written vowel and r.
 */
const foldAmerican = (sounds: readonly string[]): string =>
  sounds
    .join(' ')
    .replace(/ɚ/g, 'ɝ')
    .replace(/(?<=^| )i r/g, 'ɪ r')
    .replace(/(?<=^| )u r/g, 'ʊ r')
    .replace(/aɪ r(?= [^aeiouɑæɔɛɪʊəʌɝ]|$)/g, 'aɪ ɝ')
    .replace(/(ɝ|ʌ r|ə r) (?:r )?(?=[aeiouɑæɔɛɪʊəʌ])/g, 'ɝ ');

/**
 * True where American sounds are those of one reading of the dictionary.
 * @example isReading(['l', 'ɪ', 'v'], 'L IH1 V') // true
 */
export const isReading = (sounds: readonly string[], phones: string): boolean =>
  weak(phones.split(' ')).map(foldAmerican).includes(foldAmerican(sounds));

export const CMU: Reference = {
  id: 'CMU Pronouncing Dictionary',
  accent: 'general-american',
  read: (word) => Promise.resolve([...new Set(cmuReadings(word).map(foldAmerican))]),
  fold: foldAmerican,
};

const SYMBOLS = [
  'tʃ',
  'dʒ',
  'ai',
  'aɪ',
  'aʊ',
  'æʊ',
  'ʌʉ',
  'ʌu',
  'eɪ',
  'oʊ',
  'əʊ',
  'ɔɪ',
  'ɔi',
  'ɪə',
  'eə',
  'ʊə',
  'iə',
  ...new Set(Object.values(CONSONANT_IPA).filter((s) => s.length === 1)),
  'ɑ',
  'æ',
  'ɒ',
  'ʌ',
  'ʊ',
  'ɔ',
  'ɪ',
  'i',
  'e',
  'ɛ',
  'ə',
  'u',
  'ʉ',
  'ɜ',
  'ɝ',
  'ɚ',
  'a',
  'o',
  ...ACCENTS.flatMap((a) => Object.keys(a.ownConsonants)),
].sort((a, b) => b.length - a.length);

/** Cuts an IPA string into symbols; an unknown mark becomes a symbol of its own, so that it shows as a difference. */
function cut(ipa: string): string[] {
  const out: string[] = [];
  for (let rest = ipa; rest;) {
    const symbol = SYMBOLS.find((s) => rest.startsWith(s)) ?? sure(rest[0]);
    if (symbol !== '|') out.push(symbol);
    rest = rest.slice(symbol.length);
  }
  return out;
}

/** Folding shared by every voice: length; ɐ is ə, ɾ and ʔ are t; a stress mark may split a pair of symbols. */
const clean = (ipa: string): string =>
  ipa
    .replace(/[ːˑ:]/g, '')
    .replace(/[ˈˌ]/g, '|')
    .replace(/ɐ/g, 'ə')
    .replace(/[ɾʔ]/g, 't')
    .replace(/ɹ/g, 'r')
    .replace(/ᵻ/g, 'ɪ')
    .replace(/([ln])̩/g, 'ə$1')
    .replace(/\u0329/g, '')
    .replace(/ʲ/g, '')
    .replace(/əə/g, 'ə');

/** What the voices say of the words of the bank, kept; another word is asked for when it is met. */
const readings = proofOf<Record<Voice, string>>('src/core/testing/ask-voices.ts', {
  name: 'voices',
  parts: [...new Set(bank.map(({ word }) => word))],
  prove: askVoices,
});
const spoken = async (word: string, voice: Voice): Promise<string> => (await readings.of(word))[voice];

type Fold = (sounds: string) => string;

/** A rule that cannot tell which sound the voice means gives a second reading. */
const alternatives = (reading: string, rules: readonly (readonly [RegExp, string])[]): string[] =>
  rules.reduce((readings, [from, to]) => [...new Set(readings.flatMap((r) => [r, r.replace(from, to)]))], [reading]);

/** How the sounds of a voice and of ours are written alike, and what the voice leaves open. */
interface Folding {
  readonly theirs: Fold;
  readonly ours?: Fold;
  readonly unsure?: readonly (readonly [RegExp, string])[];
}

const voice = (id: Voice, accent: AccentId, { theirs, ours = theirs, unsure = [] }: Folding): Reference => ({
  id: `eSpeak NG ${id}`,
  accent,
  read: async (word) =>
    alternatives(theirs(cut(clean((await spoken(word, id)).replaceAll(' ', ''))).join(' ')), unsure),
  fold: (sounds) => ours(sounds.map((s) => s.replace('ː', '')).join(' ')),
});

/** The American voice writes ɜ for ɝ, keeps FORCE apart as `o r`, has `iə r` in *hero* and an r twice in *during*. */
const foldEspeakAmerican: Fold = (sounds) =>
  foldAmerican(sounds.replace(/ɜ/g, 'ɝ').replace(/iə r/g, 'ɪ r').split(' '))
    .replace(/o r/g, 'ɔ r')
    .replace(/ə r(?= |$)/g, 'ɝ')
    .replace(/ʊ r r/g, 'ʊ r')
    .replace(/iə/g, 'i ə')
    .replace(/ai/g, 'aɪ');

/** The Southern voice ends *happy* in ɪ; `iə` is ɪə. */
const foldSouthern: Fold = (sounds) =>
  sounds
    .replace(/iə|i ə(?= |$)/g, 'ɪə')
    .replace(/ɪ( z)?$/, 'i$1')
    .replace(/ʊə/g, 'ɔ')
    .replace(/ɛ/g, 'e');

/** The Northern voice also has æʊ, -ing as ɪn and ɪŋɡ before an ending. */
const foldNorthern: Fold = (sounds) =>
  sounds
    .replace(/iə|i ə(?= |$)/g, 'ɪə')
    .replace(/ɪ( z)?$/, 'i$1')
    .replace(/ɛ/g, 'e')
    .replace(/æʊ/g, 'aʊ')
    .replace(/ɪ n( z)?$/, 'ɪ ŋ$1')
    .replace(/ŋ ɡ (?=ə$|ɪ ŋ$)/g, 'ŋ ');

/**
 * The Scottish voice: weak ɜ is ə r, FIR is ə r, `ɪ r` may be NEAR, final ʌ is commA, PRICE without its r, NURSE and
 * CURE with two.
 */
const foldScottishVoice: Fold = (sounds) =>
  sounds
    .replace(/ɜ/g, 'ə r')
    .replace(/ʌ$/, 'ə')
    .replace(/ɒ/g, 'ɔ')
    .replace(/aɪ ?ə$|aɪə/g, 'ai r')
    .replace(/aɪ/g, 'ai')
    .replace(/ɔɪ/g, 'ɔi')
    .replace(/ʌʉ/g, 'ʌu')
    .replace(/ u/g, ' ʉ')
    .replace(/([ʌʉə]) r r/g, '$1 r')
    .replace(/iə r/g, 'i r')
    .replace(/iə/g, 'i ə')
    .replace(/ə r r/g, 'ə r');
const SCOTTISH_UNSURE = [
  [/ɪ r/g, 'i r'], // NEAR and KIT before r are written alike
  [/(?<!i )ə r(?= [^ ]|$)/, 'ɪ r'], // FIR is written as a weak vowel
  [/(?<= |^)e(?! r)(?= |$)/, 'ɛ r'], // FERN stands as e with its r left out
  [/e$/, 'ɛ r'], // as in *her*
  [/(ai|ʌu) ə(?: r)?(?= |$)/, '$1 r'], // the r of *fire* and *hour* is left out or said apart
  [/ə n$/, 'ɪ n'], // a final -in is written weak (*robin*)
  [/e(?=( [zdt])?$| [aoəɪ])/g, 'i'], // *happy* may end in e or i (Wells 1982; from memory): here it is i
] as const;

/** Merged cot and caught: the American references with their two vowels made one, never before r. */
const merge: Fold = (sounds) => sounds.replace(/ɔ(?! ?r)/g, 'ɑ');
const merged = (reference: Reference): Reference => ({
  id: reference.id,
  accent: 'general-american-merged',
  read: async (word) => (await reference.read(word)).map(merge),
  fold: (sounds) => merge(reference.fold(sounds)),
});

const EN_US = voice('en-us', 'general-american', { theirs: foldEspeakAmerican });

export const REFERENCES: readonly Reference[] = [
  CMU,
  EN_US,
  merged(CMU),
  merged(EN_US),
  voice('en-gb-x-rp', 'southern-british', { theirs: foldSouthern }),
  voice('en-gb-x-gbclan', 'northern-english', { theirs: foldNorthern }),
  voice('en-gb-scotland', 'scottish', { theirs: foldScottishVoice, ours: (s) => s, unsure: SCOTTISH_UNSURE }),
];
