import { isPair } from '../phonology/articulation';
import { easilyTaken, MERGED } from '../phonology/by-ear';
import { isVowel } from '../phonology/sounds';
import { sure } from '../sure';
import { fairAddition, fairOmission, fairSwap, type Ear, type Fair } from './fair';
import type { VowelKey } from '../phonology/keys';
import { align, AS_GOOD, swapCost, type Edit } from './align';
import type { Slip } from './outcome';
import { NO_OWN_WAY, saysFor, type OwnWay } from './own-way';
import { oftenSaidFor } from './speech';
import type { Chunks } from './said';

/** One sound asked for. */
export interface AskedSound {
  readonly ipa: string;
  /** It follows another consonant in its cluster. */
  readonly close: boolean;
  /** The convention in force counts it as one with the sound before. */
  readonly fused: boolean;
  /** A vowel of a beat without stress. */
  readonly weak?: true;
  /** The lexical set of a vowel. */
  readonly set?: VowelKey;
}

type WordPart = 'first' | 'middle' | 'last';
/** Where in a cluster a sound stands: before the vowel, or after it. */
type Cluster = 'opening' | 'closing' | null;

interface Where {
  readonly place: WordPart;
  readonly cluster: Cluster;
}

export type Fault =
  | ({ readonly kind: 'omitted'; readonly at: number } & Where)
  | ({ readonly kind: 'swapped'; readonly at: number; readonly heard: string } & Where)
  | ({ readonly kind: 'reordered'; readonly at: number } & Where)
  | ({ readonly kind: 'merged'; readonly at: number; readonly to: number } & Where)
  | ({
      readonly kind: 'added' | 'added-uh';
      /** It comes before this sound. */
      readonly at: number;
      readonly heard: string;
    } & Where);

export interface Analysis {
  readonly right: boolean;
  readonly slip: Slip | null;
  readonly faults: readonly Fault[];
  /** For each sound asked for, 1 where it was there and 0 where it slipped. */
  readonly credit: readonly (0 | 1)[];
  /** Indices of the sounds that slipped. */
  readonly missed: readonly number[];
  /** What the alignment cost. */
  readonly cost: number;
  /** The child's own way of speaking made the difference. */
  readonly ownWay: boolean;
  /** Why sounds that differ are right all the same, each reason once. */
  readonly fair: readonly Fair[];
}

export interface Hearing {
  /** The sounds are to be said one by one; else as one word. */
  readonly apart: boolean;
  /** Every sound is asked for by itself: one that young speakers often say for it is how they speak, and right. */
  readonly oneForOne?: boolean;
  readonly ownWay?: OwnWay;
  /** A /t/ between vowels may be tapped (American speech). */
  readonly tapsT?: boolean;
  /** Here people speak in several accents. */
  readonly mixed?: boolean;
}

/**
 * Plain sounds as asked for; consonants side by side at the start or end count as a cluster.
 * @example askedFor(['s', 'p', 'uː', 'n'])[1].close // true
 */
export function askedFor(sounds: readonly string[]): AskedSound[] {
  const vowels = sounds.map(isVowel);
  const [first, last] = [vowels.indexOf(true), vowels.lastIndexOf(true)];
  return sounds.map((ipa, i) => ({
    ipa,
    close: i > 0 && !vowels[i] && !vowels[i - 1] && (i < first || i - 1 > last),
    fused: false,
  }));
}

/** The vowel that creeps in after a consonant said alone. */
const UH: ReadonlySet<string> = new Set(['ə', 'ʌ', 'ɜː']);

export function whereOf(asked: readonly AskedSound[], at: number): Where {
  const clustered = asked[at]?.close === true || asked[at + 1]?.close === true;
  const vowelBefore = asked.slice(0, at).some((a) => isVowel(a.ipa));
  const closes = vowelBefore && (asked.slice(at).every((a) => !isVowel(a.ipa)) || asked[at + 1]?.close !== true);
  const cluster = closes ? 'closing' : 'opening';
  return { place: partOf(at, asked.length), cluster: clustered ? cluster : null };
}

function partOf(at: number, length: number): WordPart {
  if (at <= 0) return 'first';
  return at >= length - 1 ? 'last' : 'middle';
}

interface Unbreathed {
  readonly sounds: readonly string[];
  /** Index of the chunk each sound was said in. */
  readonly chunk: readonly number[];
  /** Each “uh” taken out, and the consonant it followed. */
  readonly uhs: readonly { readonly after: string; readonly heard: string }[];
}

/** Takes out the “uh” that is only breath after consonants: “fuh” for f, but not the end of *tiger* said as “guh”. */
function unbreathed(chunks: Chunks, target: readonly string[]): Unbreathed {
  const uhs: { after: string; heard: string }[] = [];
  const breathless = chunks.map((said, c) => {
    const [before, last] = said.slice(-2);
    const breath =
      said.length > 1 &&
      UH.has(sure(last)) &&
      !said.slice(0, -1).some(isVowel) &&
      (chunks[c + 1]?.[0] === last || !target.some((t, i) => t === last && target[i - 1] === before));
    if (!breath) return said;
    uhs.push({ after: sure(before), heard: sure(last) });
    return said.slice(0, -1);
  });
  return { sounds: breathless.flat(), chunk: breathless.flatMap((said, c) => said.map(() => c)), uhs };
}

/**
 * The edits that only move a sound: one lost here and put in there, or two that stand for each other. Keys are the
 * edits that name the sound asked for, values the edits that go with them.
 */
function movedSounds(
  edits: readonly Edit[],
  target: readonly string[],
  sounds: readonly string[],
): ReadonlyMap<number, number> {
  const moved = new Map<number, number>();
  const pairs = (a: Edit, b: Edit): boolean =>
    (a.op === 'omit' && b.op === 'add' && sounds[b.heard] === target[a.at]) ||
    (a.op === 'swap' && b.op === 'swap' && sounds[b.heard] === target[a.at] && sounds[a.heard] === target[b.at]);
  edits.forEach((edit, i) => {
    const there = edits.findIndex((other, j) => j !== i && ![...moved.values()].includes(j) && pairs(edit, other));
    if (there >= 0) moved.set(i, there);
  });
  return moved;
}

/**
 * What became of each sound: same, lost, added, swapped, moved, or kept together with its neighbour.
 *
 * @param asked the sounds asked for
 * @param chunks what was said, in the parts it was said in
 * @example analyse(askedFor(['f', 'r', 'ɒ', 'ɡ']), [['f'], ['ɒ'], ['ɡ']], { apart: true }).credit // [1, 0, 1, 1]
 */
export function analyse(
  asked: readonly AskedSound[],
  chunks: Chunks,
  { apart, oneForOne = false, ownWay = NO_OWN_WAY, tapsT = false, mixed = false }: Hearing,
): Analysis {
  const ear: Ear = { asked, tapsT, mixed, alone: apart };
  const target = asked.map((a) => a.ipa);
  const { sounds, chunk, uhs } = apart
    ? unbreathed(chunks, target)
    : { sounds: chunks.flat(), chunk: chunks.flatMap((c, i) => c.map(() => i)), uhs: [] };
  const cost = (want: string, heard: string, at: number): number => {
    if (want === heard || saysFor(ownWay, want, heard)) return 0;
    return fairSwap(ear, at, heard) ? AS_GOOD : swapCost(want, heard);
  };
  const aligned = align(target, sounds, cost);
  const reading = faultsIn({ ear, target, sounds, edits: aligned.edits, ownWay });
  const { faults, heardAs, mine, fair } = reading;
  for (const { after, heard } of uhs) {
    const at = aligned.edits.find((s) => s.op !== 'add' && s.op !== 'omit' && sounds[s.heard] === after)?.at ?? 0;
    faults.push({ kind: 'added-uh', at: at + 1, heard, ...whereOf(asked, at) });
  }
  if (apart) faults.push(...mergedRuns(asked, heardAs, chunk));
  const { real, spoken } = heldAgainst(faults, target, { apart, oneForOne });
  const parted = !apart && chunks.length > 1;
  const missed = [...new Set(real.flatMap(missedBy))].sort((a, b) => a - b);
  const right = real.length === 0 && !parted && sounds.length > 0;
  return {
    right,
    faults,
    cost: aligned.cost,
    missed,
    ownWay: mine,
    fair: [...new Set(fair)],
    credit: target.map((_, i) => (missed.includes(i) ? 0 : 1)),
    slip: right
      ? rightWith({ spoken, closely: fair.length > 0, mine, breath: faults.length > 0 })
      : slipOf({ target, sounds, chunks, faults: real, apart, cost: aligned.cost }),
  };
}

/** The faults that are held against an answer: not an “uh” between sounds, nor a sound as young children say it. */
function heldAgainst(
  faults: readonly Fault[],
  target: readonly string[],
  { apart, oneForOne = false }: Pick<Hearing, 'apart' | 'oneForOne'>,
): { readonly real: readonly Fault[]; readonly spoken: boolean } {
  const slipped = faults.filter((f) => !(apart && f.kind === 'added-uh'));
  const spoken = oneForOne && onlySpeech(slipped, target);
  return { real: spoken ? [] : slipped, spoken };
}

/** True where every fault is no more than how many young children say the sound. */
const onlySpeech = (faults: readonly Fault[], target: readonly string[]): boolean =>
  faults.length > 0 && faults.every((f) => f.kind === 'swapped' && oftenSaidFor(sure(target[f.at]), f.heard));

interface RightWith {
  readonly spoken: boolean;
  readonly closely: boolean;
  readonly mine: boolean;
  readonly breath: boolean;
}

/** What a right answer was right with. */
function rightWith({ spoken, closely, mine, breath }: RightWith): Slip | null {
  if (spoken) return 'own-speech';
  if (closely) return 'heard-closely';
  if (mine) return 'own-way';
  return breath ? 'added-uh' : null;
}

/** Indices of the sounds a fault is about. */
function missedBy(fault: Fault): number[] {
  if (fault.kind === 'added' || fault.kind === 'added-uh') return [];
  return fault.kind === 'merged' ? span(fault.at, fault.to) : [fault.at];
}

interface Aligned {
  readonly ear: Ear;
  readonly target: readonly string[];
  readonly sounds: readonly string[];
  readonly edits: readonly Edit[];
  readonly ownWay: OwnWay;
}

interface Faults {
  readonly faults: Fault[];
  /** Index of the sound said for each sound asked for; null where it was lost. */
  readonly heardAs: (number | null)[];
  /** The child's own way of speaking made the difference. */
  mine: boolean;
  /** Why sounds that differ are right: /tʃ/ for the start of *tree*. */
  readonly fair: Fair[];
}

type AlignedReading = Aligned & { readonly found: Faults; readonly where: Where };

/** What an edit of one kind says of the answer. */
const READ: { readonly [Op in Edit['op']]: (edit: Extract<Edit, { op: Op }>, reading: AlignedReading) => void } = {
  same: ({ at, heard }, { target, sounds, ownWay, ear, found }) => {
    const [asked, said] = [sure(target[at]), sure(sounds[heard])];
    found.heardAs[at] = heard;
    if (said === asked) return;
    if (saysFor(ownWay, asked, said)) found.mine = true;
    else found.fair.push(sure(fairSwap(ear, at, said)));
  },
  omit: ({ at }, { target, sounds, ownWay, ear, found, where }) => {
    const before = found.heardAs[at - 1];
    const why = fairOmission(ear, at, typeof before === 'number' ? sounds[before] : undefined);
    if (ownWay.drops.includes(sure(target[at])) && where.cluster) found.mine = true;
    else if (why) found.fair.push(why);
    else found.faults.push({ kind: 'omitted', at, ...where });
  },
  swap: ({ at, heard }, { sounds, found, where }) => {
    found.heardAs[at] = heard;
    found.faults.push({ kind: 'swapped', at, heard: sure(sounds[heard]), ...where });
  },
  add: ({ at, heard: said }, { target, sounds, ear, found, where }) => {
    const heard = sure(sounds[said]);
    const why = fairAddition(ear, at, heard);
    const breath = UH.has(heard) && at > 0 && !isVowel(sure(target[at - 1]));
    if (why) found.fair.push(why);
    else found.faults.push({ kind: breath ? 'added-uh' : 'added', at, heard, ...where });
  },
};

/** What each edit of an alignment says of the answer. */
function faultsIn(aligned: Aligned): Faults {
  const { edits, target, sounds } = aligned;
  const { asked } = aligned.ear;
  const moved = movedSounds(edits, target, sounds);
  const otherEnds = new Set(moved.values());
  const found: Faults = { faults: [], heardAs: target.map(() => null), mine: false, fair: [] };
  edits.forEach((edit, i) => {
    const where = whereOf(asked, Math.min(edit.at, asked.length - 1));
    if (moved.has(i)) found.faults.push({ kind: 'reordered', at: edit.at, ...where });
    // The other end of a move is told already.
    else if (!otherEnds.has(i))
      (READ[edit.op] as (edit: Edit, reading: AlignedReading) => void)(edit, { ...aligned, found, where });
  });
  return found;
}

const span = (from: number, to: number): number[] => Array.from({ length: to - from + 1 }, (_, i) => from + i);

/**
 * Runs of sounds that were said in one go though they were to be parted; what the convention counts as one may stay
 * together.
 */
function mergedRuns(
  asked: readonly AskedSound[],
  heardAs: readonly (number | null)[],
  chunk: readonly number[],
): Fault[] {
  const out: Fault[] = [];
  const chunkOf = (i: number): number | null =>
    heardAs[i] === null || heardAs[i] === undefined ? null : sure(chunk[sure(heardAs[i])]);
  for (let i = 0; i < asked.length; i += 1) {
    const here = chunkOf(i);
    if (here === null) continue;
    let to = i;
    while (to + 1 < asked.length && chunkOf(to + 1) === here) to += 1;
    if (to > i && asked.slice(i + 1, to + 1).some((a) => !a.fused))
      out.push({ kind: 'merged', at: i, to, ...whereOf(asked, i) });
    i = to;
  }
  return out;
}

interface SlipFacts {
  readonly target: readonly string[];
  readonly sounds: readonly string[];
  readonly chunks: Chunks;
  readonly faults: readonly Fault[];
  readonly apart: boolean;
  readonly cost: number;
}

/** Where more than this share of the word would have to change, or nothing of it is left, it is another word. */
const ANOTHER = 0.6;

const every = (faults: readonly Fault[], kind: Fault['kind']): boolean =>
  faults.length > 0 && faults.every((f) => f.kind === kind);

/** A run that goes to the end of the word from its vowel on, or begins with a vowel. */
const keepsTheEnd = (target: readonly string[], from: number, to: number): boolean =>
  isVowel(sure(target[from])) || (to === target.length - 1 && target.slice(from, to + 1).some(isVowel));

/** A sound that is easily taken for the one asked for, by ear or as young children say it. */
function isNear(target: readonly string[], fault: Fault): boolean {
  if (fault.kind !== 'swapped') return false;
  const asked = sure(target[fault.at]);
  const place = fault.place === 'last' ? 'last' : 'first';
  return easilyTaken(asked, fault.heard, place) || isPair(MERGED, asked, fault.heard);
}

/** A beat went with its vowel, and there was more than one. */
const lostBeat = ({ target, sounds, faults }: SlipFacts): boolean =>
  every(faults, 'omitted') && sounds.some(isVowel) && sounds.filter(isVowel).length < target.filter(isVowel).length;

/** What a single fault is called. */
const ONE: Readonly<Partial<Record<Fault['kind'], Slip>>> = {
  omitted: 'lost-sound',
  swapped: 'swapped-sound',
  added: 'added-sound',
  'added-uh': 'added-uh',
};

/** One name for all that happened, the most telling first; a row for each. */
const NAMES: readonly (readonly [Slip, (s: SlipFacts) => boolean])[] = [
  [
    'last-only',
    ({ target, sounds }) =>
      target.length > 1 && sounds.length === 1 && sounds[0] === target.at(-1) && target[0] !== target.at(-1),
  ],
  [
    'part-only',
    ({ target, sounds }) =>
      target.length > 2 &&
      sounds.length > 0 &&
      sounds.length <= target.length / 2 &&
      (startsWith(target, sounds) || startsWith([...target].reverse(), [...sounds].reverse())),
  ],
  ['not-joined', ({ apart, chunks, faults }) => !apart && chunks.length > 1 && faults.length === 0],
  [
    'whole-word',
    ({ apart, chunks, faults }) => apart && chunks.length === 1 && faults.every((f) => f.kind === 'merged'),
  ],
  ['reordered', ({ faults }) => every(faults, 'reordered')],
  [
    'other-word',
    ({ target, cost, faults }) =>
      (cost / target.length > ANOTHER && !every(faults, 'added') && !every(faults, 'omitted')) ||
      faults.filter((f) => f.kind === 'omitted' || f.kind === 'swapped').length === target.length,
  ],
  ['lost-beat', lostBeat],
  ['lost-sounds', ({ faults }) => faults.length > 1 && every(faults, 'omitted')],
  ['near-sound', ({ target, faults }) => faults.length === 1 && isNear(target, sure(faults[0]))],
  [
    'rime-kept',
    ({ target, faults }) =>
      every(faults, 'merged') && faults.some((f) => f.kind === 'merged' && keepsTheEnd(target, f.at, f.to)),
  ],
  ['cluster-kept', ({ faults }) => every(faults, 'merged')],
];

const startsWith = (all: readonly string[], part: readonly string[]): boolean => part.every((s, i) => s === all[i]);

function slipOf(slipped: SlipFacts): Slip {
  const [only, ...more] = slipped.faults;
  const one = only && !more.length ? ONE[only.kind] : undefined;
  return NAMES.find(([, fits]) => fits(slipped))?.[0] ?? one ?? (only ? 'several' : 'other-word');
}
