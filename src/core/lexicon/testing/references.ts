import { dictionary } from 'cmu-pronouncing-dictionary';
import { phonemize } from 'phonemizer';
import type { AccentId } from '../../phonology/accents';
import { CONSONANT_IPA } from '../../phonology/keys';

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

// ARPAbet as described in the dictionary's own notes, in this project's symbols.
const ARPABET: Readonly<Record<string, string>> = {
  AA: 'ɑ', AE: 'æ', AH: 'ʌ', AO: 'ɔ', AW: 'aʊ', AY: 'aɪ', EH: 'ɛ', ER: 'ɝ', EY: 'eɪ', IH: 'ɪ', IY: 'i',
  OW: 'oʊ', OY: 'ɔɪ', UH: 'ʊ', UW: 'u', B: 'b', CH: 'tʃ', D: 'd', DH: 'ð', F: 'f', G: 'ɡ', HH: 'h',
  JH: 'dʒ', K: 'k', L: 'l', M: 'm', N: 'n', NG: 'ŋ', P: 'p', R: 'r', S: 's', SH: 'ʃ', T: 't', TH: 'θ',
  V: 'v', W: 'w', Y: 'j', Z: 'z', ZH: 'ʒ',
};
const ARPABET_WEAK: Readonly<Record<string, string>> = { AH0: 'ə', ER0: 'ɚ' };

function cmuReadings(word: string): string[][] {
  const out: string[][] = [];
  for (let n = 1; ; n += 1) {
    const line = dictionary[n === 1 ? word : `${word}(${n})`];
    if (!line) return out;
    out.push(line.split('#')[0]!.trim().split(' ').map((p) => ARPABET_WEAK[p] ?? ARPABET[p.replace(/\d/, '')]!));
  }
}

/** American folding: the weak and the strong vowel of *further* are one, with or without an r written before a vowel. */
const foldAmerican = (sounds: readonly string[]): string =>
  sounds.join(' ').replace(/ɚ/g, 'ɝ').replace(/(ɝ|ʌ r) (?:r )?(?=[aeiouɑæɔɛɪʊəʌ])/g, 'ɝ ');

export const CMU: Reference = {
  id: 'CMU Pronouncing Dictionary',
  accent: 'general-american',
  read: (word) => Promise.resolve(cmuReadings(word).map(foldAmerican)),
  fold: foldAmerican,
};

const SYMBOLS = [
  'tʃ', 'dʒ', 'aɪ', 'aʊ', 'eɪ', 'oʊ', 'əʊ', 'ɔɪ', 'ɪə', 'eə', 'ʊə', 'iə',
  ...new Set(Object.values(CONSONANT_IPA).filter((s) => s.length === 1)),
  'ɑ', 'æ', 'ɒ', 'ʌ', 'ʊ', 'ɔ', 'ɪ', 'i', 'e', 'ɛ', 'ə', 'u', 'ɜ', 'ɝ', 'ɚ', 'a', 'o', 'ʍ', 'x',
].sort((a, b) => b.length - a.length);

/** Cuts an IPA string into symbols; an unknown mark becomes a symbol of its own, so that it shows as a difference. */
function cut(ipa: string): string[] {
  const out: string[] = [];
  for (let rest = ipa; rest; ) {
    const symbol = SYMBOLS.find((s) => rest.startsWith(s)) ?? rest[0]!;
    if (symbol !== '|') out.push(symbol);
    rest = rest.slice(symbol.length);
  }
  return out;
}

/** Folding shared by every voice: length; ɐ is ə, ɾ and ʔ are t; a stress mark may split a pair of symbols. */
const clean = (ipa: string): string =>
  ipa.replace(/[ːˑ]/g, '').replace(/[ˈˌ]/g, '|').replace(/ɐ/g, 'ə').replace(/[ɾʔ]/g, 't').replace(/ɹ/g, 'r')
    .replace(/ᵻ/g, 'ɪ').replace(/([ln])̩/g, 'ə$1').replace(/\u0329/g, '').replace(/əə/g, 'ə');

const cache = new Map<string, Promise<string[]>>();
const spoken = (word: string, voice: string): Promise<string[]> => {
  const key = `${voice}/${word}`;
  if (!cache.has(key)) cache.set(key, phonemize(word, voice) as Promise<string[]>);
  return cache.get(key)!;
};

const voice = (id: string, accent: AccentId, fold: (sounds: readonly string[]) => string): Reference => ({
  id: `eSpeak NG ${id}`,
  accent,
  read: async (word) => [fold(cut(clean((await spoken(word, id)).join(' '))))],
  fold: (sounds) => fold(sounds.map((s) => s.replace('ː', ''))),
});

/** The American voice writes ɜ for ɝ, keeps FORCE apart as `o r`, and has `iə r` in *hero*. */
const foldEspeakAmerican = (sounds: readonly string[]): string =>
  foldAmerican(sounds.map((s) => (s === 'ɜ' ? 'ɝ' : s))).replace(/iə r/g, 'ɪ r').replace(/o r/g, 'ɔ r').replace(/ə r(?= |$)/g, 'ɝ');

/** The Southern voice ends *happy* in ɪ; `iə` is ɪə. */
const foldSouthern = (sounds: readonly string[]): string =>
  sounds.join(' ').replace(/iə|i ə/g, 'ɪə').replace(/ɪ$/, 'i').replace(/ʊə/g, 'ɔ').replace(/ɛ/g, 'e');

export const REFERENCES: readonly Reference[] = [
  CMU,
  voice('en-us', 'general-american', foldEspeakAmerican),
  voice('en-gb-x-rp', 'southern-british', foldSouthern),
];
