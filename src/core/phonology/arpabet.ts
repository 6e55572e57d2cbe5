import { sure } from '../sure';
// ARPAbet as described in the notes of the CMU Pronouncing Dictionary, in this project's symbols.
const IPA: Readonly<Record<string, string>> = {
  AA: 'ɑ',
  AE: 'æ',
  AH: 'ʌ',
  AO: 'ɔ',
  AW: 'aʊ',
  AY: 'aɪ',
  EH: 'ɛ',
  ER: 'ɝ',
  EY: 'eɪ',
  IH: 'ɪ',
  IY: 'i',
  OW: 'oʊ',
  OY: 'ɔɪ',
  UH: 'ʊ',
  UW: 'u',
  B: 'b',
  CH: 'tʃ',
  D: 'd',
  DH: 'ð',
  F: 'f',
  G: 'ɡ',
  HH: 'h',
  JH: 'dʒ',
  K: 'k',
  L: 'l',
  M: 'm',
  N: 'n',
  NG: 'ŋ',
  P: 'p',
  R: 'r',
  S: 's',
  SH: 'ʃ',
  T: 't',
  TH: 'θ',
  V: 'v',
  W: 'w',
  Y: 'j',
  Z: 'z',
  ZH: 'ʒ',
};
const WEAK: Readonly<Record<string, string>> = { AH0: 'ə', ER0: 'ɚ' };

/** The sound of one ARPAbet phone, stress digit or not. Example: `ipaOfPhone('AH0') // 'ə'`. */
export const ipaOfPhone = (phone: string): string => WEAK[phone] ?? IPA[phone.replace(/\d/, '')] ?? phone;

/** A pronouncing dictionary in the form of CMU's: spelling (`word`, `word(2)`) → phones apart by spaces. */
export type PronouncingDictionary = Readonly<Record<string, string>>;

/**
 * Every reading of a word, first one first; empty where the dictionary has none.
 * @example readingsOf(cmu, 'cat') // [['K', 'AE1', 'T']]
 */
export function readingsOf(dictionary: PronouncingDictionary, word: string): string[][] {
  const out: string[][] = [];
  for (let n = 1; ; n += 1) {
    const key = n === 1 ? word : `${word}(${n})`;
    if (!Object.hasOwn(dictionary, key)) return out;
    out.push(sure(sure(dictionary[key]).split('#')[0]).trim().split(' '));
  }
}
