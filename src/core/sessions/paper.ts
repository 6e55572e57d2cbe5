import { OUTCOMES, type Outcome } from '../answers/outcome';
import { taskOf } from '../games';
import { sure } from '../sure';
import type { OwnDeal } from './own-step';
import { ONLY_MARKED, ROUND_STRIDE, type AnswerEntry, type Entry } from './log';
import type { StoredRound } from './stored-round';

/**
 * A session that was marked on paper: names down, items across, a mark in each box that was played. What a box is about
 * is fixed when the paper is made, so what is typed in later is what was played.
 */

/** One line of a round on paper. */
export interface PaperRow {
  /** `null` for everyone together. */
  readonly childId: string | null;
  /** Keys of the items, box by box. */
  readonly boxes: readonly string[];
}

/** A key for each outcome, the same as in Play; a space where nothing was marked. */
export const PAPER_MARKS: Readonly<Record<string, Outcome>> = Object.fromEntries(
  OUTCOMES.map((outcome, i) => [String(i + 1), outcome]),
);

/** Marks typed in: by round, then by row, a letter for each box. */
export type TypedMarks = readonly (readonly string[])[];

type OnPaper = Pick<StoredRound, 'task' | 'items' | 'way' | 'own' | 'turns'>;

/**
 * A round as it goes on paper: where children have their own items, those without any get some of the round's, in turn
 * order, so that every box is about something.
 * @param childIds in the order of the paper
 */
export function onPaper(round: StoredRound, childIds: readonly string[]): StoredRound {
  const { own = [], items, step } = round;
  if (!own.length) return round;
  const boxes = Math.max(...own.map((o) => o.items.length));
  const shared = (place: number): string[] =>
    Array.from({ length: boxes }, (_, turn) => sure(items[(place + turn * childIds.length) % items.length]));
  const deals = childIds.map(
    (childId, place): OwnDeal =>
      own.find((o) => o.childId === childId) ?? { childId, step, items: [...new Set(shared(place))], spares: [] },
  );
  return { ...round, own: deals };
}

/**
 * The lines of a round on paper, everyone together first where they answer together.
 * @param childIds in the order of the paper
 * @example paperRows(round, ['a'])[0]?.boxes // ['sun', 'map']
 */
export function paperRows({ items, way, own = [] }: OnPaper, childIds: readonly string[]): PaperRow[] {
  const children = childIds.map((childId) => ({
    childId,
    boxes: own.find((o) => o.childId === childId)?.items ?? items,
  }));
  return way === 'together' ? [{ childId: null, boxes: items }, ...children] : children;
}

/** A mark in a box. */
interface PaperMark {
  readonly row: number;
  readonly box: number;
  readonly childId: string | null;
  readonly word: string;
  readonly outcome: Outcome;
}

/** Every mark of a round, in the order in which it was most likely played. */
function marksIn(round: OnPaper, rows: readonly PaperRow[], typed: readonly string[]): PaperMark[] {
  const all = rows.flatMap(({ childId, boxes }, row) =>
    boxes.flatMap((word, box): PaperMark[] => {
      const outcome = PAPER_MARKS[typed[row]?.[box] ?? ' '];
      return outcome ? [{ row, box, childId, word, outcome }] : [];
    }),
  );
  // In a check-in a child has all the items, then the next; elsewhere everyone has a turn, then everyone again.
  const byChild = round.way === 'check';
  return all.sort((a, b) => (byChild ? a.row - b.row || a.box - b.box : a.box - b.box || a.row - b.row));
}

/** A mark with the turn it has in its round; who differs has no turn of their own. */
interface Turned extends PaperMark {
  readonly turn: number;
  readonly differs: boolean;
}

function turnsIn(marks: readonly PaperMark[]): Turned[] {
  let next = 0;
  const everyone = new Map<number, number>();
  return marks.map((mark) => {
    const together = mark.childId === null ? undefined : everyone.get(mark.box);
    if (together !== undefined) return { ...mark, turn: together, differs: true };
    const turn = next;
    next += 1;
    if (mark.childId === null) everyone.set(mark.box, turn);
    return { ...mark, turn, differs: false };
  });
}

/** What a paper holds, and when and by whom it was marked. */
export interface Typed {
  readonly rounds: readonly StoredRound[];
  readonly childIds: readonly string[];
  readonly marks: TypedMarks;
  /** When it began, milliseconds since 1970. */
  readonly at: number;
  readonly by: string | null;
}

const msOf = ({ task }: OnPaper): number => taskOf(task).secondsPerTurn * 1_000;

/**
 * How long what is marked took, as far as anyone can tell from paper.
 * @returns milliseconds
 */
export const lengthOf = ({ rounds, childIds, marks }: Omit<Typed, 'at' | 'by'>): number =>
  rounds.reduce(
    (sum, round, i) => sum + marksIn(round, paperRows(round, childIds), marks[i] ?? []).length * msOf(round),
    0,
  );

const paperAnswer = ({ childId, word, outcome, differs }: Turned, turn: number, by: string | null) =>
  ({
    kind: 'answer',
    turn,
    childId,
    word,
    outcome,
    ...ONLY_MARKED,
    ...(by ? { by } : {}),
    ...(differs ? { differs: true } : {}),
  }) satisfies Omit<AnswerEntry, 'id' | 'at'>;

/**
 * The log of a session that was marked on paper: the same entries as if it had been played on a device.
 * @param idOf a new id, each sorting after the one before
 * @example paperLog({ rounds, childIds: ['a'], marks: [['1 ']], at, by: null }, v7).length // 4
 */
export function paperLog({ rounds, childIds, marks, at, by }: Typed, idOf: () => string): Entry[] {
  let now = at;
  const log: Entry[] = rounds.flatMap((round, number): Entry[] => {
    const turns = turnsIn(marksIn(round, paperRows(round, childIds), marks[number] ?? []));
    if (!turns.length) return [];
    const opened: Entry[] = [
      { kind: 'round', id: idOf(), at: now, round: number },
      { kind: 'modelled', id: idOf(), at: now, round: number },
    ];
    const answers = turns.map((t) => {
      now += msOf(round);
      return { ...paperAnswer(t, number * ROUND_STRIDE + t.turn, by), id: idOf(), at: now };
    });
    return [...opened, ...answers];
  });
  return [...log, { kind: 'finish', id: idOf(), at: now }];
}
