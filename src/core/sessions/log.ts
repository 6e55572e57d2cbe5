import type { Help, Outcome, Slip } from '../answers/outcome';
import { AHEAD_MS, timeOf } from './stamps';

/**
 * What happens in a session, as a log that is only ever added to. Ids are made on the device (UUID v7: they sort by
 * time), so saving an entry twice changes nothing. Schemas for the door stand in formats/log-schema.
 */
interface Stamp {
  readonly id: string;
  /** Milliseconds since 1970, by the device's clock. */
  readonly at: number;
}

export interface AnswerEntry extends Stamp {
  readonly kind: 'answer';
  /** Turn of the session: rounds apart by `ROUND_STRIDE`. */
  readonly turn: number;
  /** `null` where everyone answered together. */
  readonly childId: string | null;
  /** The key of the item: its word, or all it is made from. */
  readonly word: string;
  readonly outcome: Outcome;
  readonly slip: Slip | null;
  readonly said: string | null;
  /** Indices of the sounds that slipped. */
  readonly missed: readonly number[];
  readonly helps: readonly Help[];
  readonly note: string | null;
  /** Milliseconds from the end of what the adult says to the tap, pauses left out: it measures the adult too. */
  readonly thinkMs: number | null;
  /** The answer this one corrects. */
  readonly supersedes: string | null;
  /** Put right by the child before anyone said so; counts as on own. */
  readonly selfCorrected?: boolean;
  /** Shown (thumbs, fingers) and not spoken. */
  readonly shown?: boolean;
  /** Who marked it: initials or a name kept on the device. */
  readonly by?: string | null;
  /** Why it takes the place of another. */
  readonly why?: Why | null;
  /** The child who asked, where children play in pairs. */
  readonly partnerId?: string | null;
  /** A child who answered otherwise than everyone else did together. */
  readonly differs?: boolean;
  /** Marked by a second pair of ears: it stands beside, and changes nothing. */
  readonly second?: boolean;
  /** Words of a pebble check that was played because of it. */
  readonly pebbles?: readonly PebbleMark[];
}

/** An answer of which nothing but its mark was noted. */
export const ONLY_MARKED = {
  slip: null,
  said: null,
  missed: [],
  helps: [],
  note: null,
  thinkMs: null,
  supersedes: null,
} as const satisfies Partial<AnswerEntry>;

/** One word of a pebble check, as it was marked. */
export interface PebbleMark {
  /** Sound and place: `r opening after`. */
  readonly key: string;
  readonly word: string;
  /** How the child says the word. */
  readonly says: 'word' | 'slip' | 'unsure';
  /** Whether there was a pebble for every sound, and the right one was touched. */
  readonly pebbles: boolean;
  /** Right of six when telling the two words apart; null where it was not asked. */
  readonly told: number | null;
}

/** Why an answer takes the place of another: more was said of it at once, or it was put right later. */
export const WHYS = ['detail', 'mis-tap', 'heard-again', 'other-child', 'other'] as const;
export type Why = (typeof WHYS)[number];
export const WHY_WORDS: Readonly<Record<Why, string>> = {
  detail: 'detail added straight away',
  'mis-tap': 'tapped the wrong button',
  'heard-again': 'changed my mind',
  'other-child': 'it was another child',
  other: 'another reason',
};

/** What was said of an item before the child’s own turn. */
export const SAID_AS = ['my-turn', 'together'] as const;
export type SaidAs = (typeof SAID_AS)[number];

export type Entry =
  | AnswerEntry
  | (Stamp & { readonly kind: 'undo'; readonly answerId: string })
  | (Stamp & { readonly kind: 'modelled'; readonly round?: number })
  /** On to another round, or back to one. */
  | (Stamp & { readonly kind: 'round'; readonly round: number })
  /** A word of a hunt, or a part of a story, ticked or taken back. */
  | (Stamp & {
      readonly kind: 'tick';
      readonly turn: number;
      readonly word: string;
      readonly on: boolean;
    })
  | (Stamp & {
      readonly kind: 'swap';
      readonly turn: number;
      readonly from: string;
      readonly to: string;
    })
  | (Stamp & { readonly kind: 'pass'; readonly turn: number; readonly childId: string })
  | (Stamp & { readonly kind: 'choose'; readonly turn: number; readonly childId: string | null })
  | (Stamp & { readonly kind: 'away'; readonly childId: string; readonly away: boolean })
  /** A child who came late. */
  | (Stamp & { readonly kind: 'arrive'; readonly childId: string })
  /** The adult, or everyone, said the answer of this item. */
  | (Stamp & {
      readonly kind: 'said';
      readonly turn: number;
      readonly word: string;
      readonly as: SaidAs;
    })
  /** An easier item for this child, now. */
  | (Stamp & {
      readonly kind: 'ease';
      readonly turn: number;
      readonly childId: string;
      readonly word: string;
    })
  /** A word that this group is not to hear again. */
  | (Stamp & { readonly kind: 'aside'; readonly turn: number; readonly word: string })
  /** Enough for this child in this round. */
  | (Stamp & { readonly kind: 'rest'; readonly round: number; readonly childId: string })
  | (Stamp & { readonly kind: 'more'; readonly turns: number; readonly round?: number })
  | (Stamp & { readonly kind: 'finish' })
  /** Finished too early: it goes on. */
  | (Stamp & { readonly kind: 'reopen' });

/** Turns of one round at most; turn 2003 is the fourth turn of the third round. */
export const ROUND_STRIDE = 1_000;
export const roundOf = (turn: number): number => Math.floor(turn / ROUND_STRIDE);
export const turnInRound = (turn: number): number => turn % ROUND_STRIDE;

/** Milliseconds as the first two groups of a UUID v7. */
const clockPart = (at: number): string => {
  const hex = at.toString(16).padStart(12, '0');
  return `${hex.slice(0, 8)}-${hex.slice(8)}`;
};

/**
 * Where an entry belongs in its log, as text that sorts: its id, for ids sort by time. The id of a clock that was far
 * ahead counts from the time that the server gave its entry, so that it does not stand at the end of the log for ever.
 * Example: for an entry of today with an id of 2029, the id with today's time in it.
 */
export const sortKey = ({ id, at }: Stamp): string =>
  timeOf(id) > at + AHEAD_MS ? clockPart(at) + id.slice(clockPart(at).length) : id;

/** Entries in the order of their places. */
export function inLogOrder(entries: readonly Entry[]): Entry[] {
  const places = new Map(entries.map((entry) => [entry, sortKey(entry)]));
  const placeIn = (entry: Entry): string => places.get(entry) ?? entry.id;
  return [...entries].sort((a, b) => (placeIn(a) < placeIn(b) ? -1 : 1));
}

/**
 * Logs of one session made one: each id once, in the order of their places. Where two say otherwise of an entry, the
 * later log is right: the server has put its time right.
 * @param first in that order already; it comes back itself where the others add nothing, so that nothing is drawn again
 */
export function mergeLogs(first: readonly Entry[], ...others: readonly (readonly Entry[])[]): readonly Entry[] {
  const byId = new Map(first.map((entry) => [entry.id, entry]));
  let same = true;
  for (const entry of others.flat()) {
    same &&= byId.get(entry.id)?.at === entry.at;
    byId.set(entry.id, entry);
  }
  return same ? first : inLogOrder([...byId.values()]);
}
