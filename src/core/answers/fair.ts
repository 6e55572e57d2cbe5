import { ACCENTS } from '../phonology/accents';
import { isVowelKey, type VowelKey } from '../phonology/keys';
import { isVowel } from '../phonology/sounds';
import type { AskedSound } from './analyse';

/** Why something else than the sound asked for is a fair answer. */
export type Fair =
  | 'start'
  | 'after-s'
  | 'tapped'
  | 'nasal'
  | 'dark-l'
  | 'plain-w'
  | 'half-voiced'
  | 'weak'
  | 'by-itself'
  | 'said-g'
  | 'accent';

/** What a listener who knows would say of it. */
export const FAIR_WORDS: Readonly<Record<Fair, string>> = {
  start: 'Right: that’s how it sounds.',
  'after-s': 'Right: after /s/ it does sound like that.',
  tapped: 'Right: the t sounds like that there.',
  nasal: 'Right: before /k/ and /g/, /ng/ and /n/ are hard to tell apart.',
  'dark-l': 'Right: an l at the end often sounds like that.',
  'plain-w': 'Right: most people say it like that.',
  'half-voiced': 'Right: at the end of a word it sounds very like that.',
  weak: 'Right: they gave the weak beat a clear vowel, or none.',
  'by-itself': 'Right: that little sound slips in by itself.',
  'said-g': 'Right: some people say the g.',
  accent: 'Right: some people say it with that vowel.',
};

/** Where an answer is heard. */
export interface Ear {
  readonly asked: readonly AskedSound[];
  /** A /t/ between vowels may be tapped (American speech). */
  readonly tapsT: boolean;
  /** Here people speak in several accents: any shipped accent’s vowel is right. */
  readonly mixed: boolean;
  /** The sounds are said by themselves, not as a word. */
  readonly alone?: boolean;
}

/** A sound asked for, with what stands before and after it, and what was heard. */
interface FairHearing {
  readonly ear: Ear;
  readonly here: AskedSound;
  readonly at: number;
  readonly before: string | undefined;
  readonly after: string | undefined;
  readonly heard: string;
}

/**
 * tr and dr begin like /tʃ/ and /dʒ/: who says so has listened well (Read 1971, Pre-school children's knowledge of
 * English phonology; from memory). So do the starts of *tube* and *dew*, where people say a y.
 */
const HEARD_AS: Readonly<Record<string, string>> = { t: 'tʃ', d: 'dʒ' };
/** After s a stop has no puff of air, and sounds like its voiced partner (Read 1971, as above; from memory). */
const AFTER_S: Readonly<Record<string, string>> = { p: 'b', t: 'd', k: 'ɡ' };
const vowel = (ipa: string | undefined): boolean => ipa !== undefined && isVowel(ipa);

/** What an l after a vowel is heard as (Wells, Accents of English, 1982, on l vocalisation; from memory). */
const LIKE_L: ReadonlySet<string> = new Set(['ʊ', 'uː', 'u', 'ʉ', 'ɔː', 'ɔ', 'o', 'oː', 'əʊ', 'oʊ', 'ə', 'w']);

const SETS_ELSEWHERE = new Map<VowelKey, ReadonlySet<string>>();
/** What a lexical set is in any accent that ships. */
function anywhere(set: VowelKey): ReadonlySet<string> {
  const kept = SETS_ELSEWHERE.get(set);
  if (kept) return kept;
  const all = new Set(ACCENTS.map(({ vowels }) => vowels[set].split(' ')[0] ?? ''));
  SETS_ELSEWHERE.set(set, all);
  return all;
}

/** *pin* and *pen* are one in some places (Labov, Ash & Boberg, 2006; from memory). */
const PIN_PEN: ReadonlySet<string> = new Set(['KIT', 'DRESS']);
const NASALS: ReadonlySet<string> = new Set(['m', 'n', 'ŋ']);

function otherAccent({ ear, here, after, heard }: FairHearing): boolean {
  const { set } = here;
  if (!ear.mixed || set === undefined || !isVowelKey(set) || !isVowel(heard)) return false;
  if (anywhere(set).has(heard)) return true;
  return PIN_PEN.has(set) && NASALS.has(after ?? '') && (anywhere('KIT').has(heard) || anywhere('DRESS').has(heard));
}

/** Vowels that stand for a clear one in a weak beat; the end of *window* is clear. */
const REDUCED: ReadonlySet<string> = new Set(['ə', 'ɪ', 'i', 'ɚ', 'e', 'ʊ']);

const soundsAt = ({ asked }: Ear, at: number, ...sounds: string[]): boolean =>
  sounds.every((ipa, i) => asked[at + i]?.ipa === ipa);

/** One rule a reason; the first that holds gives the note. */
const SWAPS: readonly (readonly [Fair, (h: FairHearing) => boolean])[] = [
  ['start', ({ here, after, heard }) => HEARD_AS[here.ipa] === heard && (after === 'r' || after === 'j')],
  // *street* is heard with a sh before its ch.
  ['start', ({ ear, here, at, heard }) => here.ipa === 's' && heard === 'ʃ' && soundsAt(ear, at + 1, 't', 'r')],
  ['after-s', ({ ear, here, before, heard }) => ear.alone === true && before === 's' && AFTER_S[here.ipa] === heard],
  ['plain-w', ({ here, heard }) => here.ipa === 'ʍ' && heard === 'w'],
  // The z of *peas* loses its voice at the end: Cruttenden, Gimson's Pronunciation of English (2014); from memory.
  [
    'half-voiced',
    ({ ear, here, after, heard }) => ear.alone === true && here.ipa === 'z' && heard === 's' && after === undefined,
  ],
  [
    'tapped',
    ({ ear, here, before, after, heard }) =>
      ear.tapsT && here.ipa === 't' && heard === 'd' && vowel(before) && vowel(after),
  ],
  ['nasal', ({ here, after, heard }) => here.ipa === 'ŋ' && heard === 'n' && (after === 'k' || after === 'ɡ')],
  [
    'dark-l',
    ({ here, before, after, heard }) => here.ipa === 'l' && vowel(before) && !vowel(after) && LIKE_L.has(heard),
  ],
  ['weak', ({ here, heard }) => here.weak === true && REDUCED.has(here.ipa) && isVowel(heard)],
  ['accent', otherAccent],
];

const fairHearing = (ear: Ear, at: number, heard: string): FairHearing | null => {
  const here = ear.asked[at];
  return here ? { ear, here, at, before: ear.asked[at - 1]?.ipa, after: ear.asked[at + 1]?.ipa, heard } : null;
};

/**
 * Why another sound is a fair answer for the one at a place; null where it is not.
 * @example fairSwap({ asked: askedFor(['p', 'ɪ', 'ŋ', 'k']), tapsT: false, mixed: false }, 2, 'n') // 'nasal'
 */
export function fairSwap(ear: Ear, at: number, heard: string): Fair | null {
  const hearing = fairHearing(ear, at, heard);
  return (hearing && SWAPS.find(([, holds]) => holds(hearing))?.[0]) ?? null;
}

/** Consonants that a weak vowel before them may go into: *bott(le)*, *kitt(en)*. */
const SYLLABIC: ReadonlySet<string> = new Set(['l', 'n', 'm', 'r']);

/**
 * Why nothing for a sound is fair: the vowel of *apple*, the y of *tube* begun with /ch/.
 * @param before the sound heard before
 */
export function fairOmission({ asked }: Ear, at: number, before: string | undefined): Fair | null {
  const [here, after] = [asked[at], asked[at + 1]];
  const start = asked[at - 1]?.ipa;
  const inside = start !== undefined && !isVowel(start);
  if (here?.weak && inside && SYLLABIC.has(after?.ipa ?? '')) return 'weak';
  return here?.ipa === 'j' && before !== undefined && HEARD_AS[start ?? ''] === before ? 'start' : null;
}

const set = (sounds: string): ReadonlySet<string> => new Set(sounds.split(' '));

/**
 * Sounds that come by themselves between two others: *ham(p)ster*, *prin(t)ce*, *streng(k)th*, *pen(d)s*; *li(y)on*,
 * *go(w)ing*, *draw(r)ing*. Source: Cruttenden, Gimson's Pronunciation of English (2014), on epenthetic stops and on
 * linking and intrusive sounds; from memory.
 */
const BY_ITSELF: readonly (readonly [
  heard: string,
  before: ReadonlySet<string>,
  after: ReadonlySet<string> | 'vowel',
])[] = [
  ['p', set('m'), set('s t f θ ʃ')],
  ['t', set('n l'), set('s θ ʃ')],
  ['k', set('ŋ'), set('s t θ ʃ')],
  ['d', set('n l'), set('z')],
  ['j', set('iː i eɪ aɪ ɔɪ e ai ɔi ɪ'), 'vowel'],
  ['w', set('uː u ʉ əʊ oʊ o oː aʊ ʌu'), 'vowel'],
  ['r', set('ɔː ɑː ə ɜː ɪə eə ɔ'), 'vowel'],
];

/**
 * Why a sound that was not asked for is fair before the sound at a place; null where it is not.
 * @example fairAddition({ asked: askedFor(['s', 'ɪ', 'ŋ']), tapsT: false, mixed: false }, 3, 'ɡ') // 'said-g'
 */
export function fairAddition({ asked }: Ear, at: number, heard: string): Fair | null {
  const [before, after] = [asked[at - 1]?.ipa ?? '', asked[at]?.ipa];
  if (heard === 'ɡ' && before === 'ŋ' && after !== 'k' && after !== 'ɡ') return 'said-g';
  const comes = BY_ITSELF.some(
    ([sound, left, right]) =>
      sound === heard && left.has(before) && (right === 'vowel' ? vowel(after) : right.has(after ?? '')),
  );
  return comes ? 'by-itself' : null;
}
