import type { Standing } from '../answers/outcome';
import { sortKey, roundOf, type AnswerEntry, type Entry } from './log';

export interface Stands {
  /** The answer that stands for each turn. */
  readonly byTurn: ReadonlyMap<number, AnswerEntry>;
  /** Children who answered otherwise than everyone did together. */
  readonly differing: readonly AnswerEntry[];
  /** Answers given to a turn that had one already, on another device or tab. */
  readonly clashes: number;
}

/** The ids of the answers a log takes back. */
export const undoneIn = (log: readonly Entry[]): Set<string> =>
  new Set(log.flatMap((e) => (e.kind === 'undo' ? [e.answerId] : [])));

/** The ids of the answers that others took the place of. */
const replacedIn = (answers: readonly AnswerEntry[]): Set<string> =>
  new Set(answers.flatMap((a) => a.supersedes ?? []));

/**
 * Which answers of a session stand: not undone, not superseded, and the latest of each turn (of each child, where a
 * child differed from the others).
 *
 * @param answers in the order of their ids
 * @param undone ids of answers taken back
 * @example standingAnswers([answer], new Set()).byTurn.size // 1
 */
export function standingAnswers(answers: readonly AnswerEntry[], undone: ReadonlySet<string>): Stands {
  const replaced = replacedIn(answers);
  const left = answers.filter((a) => !a.second && !undone.has(a.id) && !replaced.has(a.id));
  const turns = left.filter((a) => !a.differs);
  const byTurn = new Map(turns.map((a) => [a.turn, a]));
  const differing = new Map(left.filter((a) => a.differs).map((a) => [`${a.turn} ${a.childId ?? ''}`, a]));
  return { byTurn, differing: [...differing.values()], clashes: turns.length - byTurn.size };
}

/**
 * What became of an answer: it stands; it stands beside, marked by a second pair of ears; another took its place; it
 * was taken back.
 */
export const FATES = ['stands', 'beside', 'replaced', 'undone'] as const;
export type Fate = (typeof FATES)[number];

/** An answer as the whole log has it. */
export interface AnswerRead {
  readonly answer: AnswerEntry;
  readonly fate: Fate;
  readonly standing: Standing;
  /** When the child was asked: the time of the first mark, whatever was put right since. Milliseconds since 1970. */
  readonly askedAt: number;
}

/** How a round ran, as far as standing asks. */
export interface RoundRan {
  readonly model: string | null;
  readonly way: string;
}

/** The first mark of each answer: an answer that corrects another begins where that one did. */
function firstMarks(answers: readonly AnswerEntry[]): ReadonlyMap<string, AnswerEntry> {
  const firsts = new Map<string, AnswerEntry>();
  // In the order of their ids, and what corrects comes later than what it corrects.
  for (const a of answers) firsts.set(a.id, (a.supersedes && firsts.get(a.supersedes)) || a);
  return firsts;
}

/** The latest mark of each turn by each second adult. */
function besideIn(left: readonly AnswerEntry[]): Set<string> {
  const latest = new Map(
    left.filter((a) => a.second).map((a) => [`${a.turn} ${a.childId ?? ''} ${a.by ?? ''}`, a.id] as const),
  );
  return new Set(latest.values());
}

/** Where in the log each item was said first, by round and item. */
type Shown = ReadonlyMap<string, string>;
const itemOf = (turn: number, word: string): string => `${roundOf(turn)} ${word}`;

/** When each item was first said by the adult or by everyone, as the place of that entry. */
function shownIn(log: readonly Entry[], chorus: readonly string[]): Shown {
  const shown = new Map<string, string>();
  const together = new Set(chorus);
  for (const e of log) {
    if (e.kind !== 'said' && !(e.kind === 'answer' && together.has(e.id))) continue;
    const [item, place] = [itemOf(e.turn, e.word), sortKey(e)];
    const before = shown.get(item);
    if (before === undefined || place < before) shown.set(item, place);
  }
  return shown;
}

/**
 * How an answer stands as evidence. How the round ran decides, not the adult: what was modelled, or said by everyone,
 * for this item in this round before the child was asked makes it one after a model.
 */
function standingOf(answer: AnswerEntry, asked: string, round: RoundRan | undefined, shown: Shown): Standing {
  if (answer.childId === null || answer.differs) return 'in-chorus';
  if (round?.way === 'check') return 'check-in';
  if (answer.word === round?.model) return 'after-a-model';
  const first = shown.get(itemOf(answer.turn, answer.word));
  return first !== undefined && first < asked ? 'after-a-model' : 'fresh';
}

/**
 * Every answer of a session, read in the light of its whole log: what became of it, how it stands as evidence, and
 * when the child was asked. The one place where that is decided; the same log gives the same reading in whatever order
 * its entries came in.
 *
 * @param log in the order of its ids
 * @param rounds how each round ran, by its number
 * @example readAnswers([answer], [{ model: null, way: 'individual' }])[0].standing // 'fresh'
 */
export function readAnswers(log: readonly Entry[], rounds: readonly RoundRan[]): AnswerRead[] {
  const answers = log.filter((e): e is AnswerEntry => e.kind === 'answer');
  const undone = undoneIn(log);
  const replaced = replacedIn(answers);
  const { byTurn, differing } = standingAnswers(answers, undone);
  const standing = new Set([...byTurn.values(), ...differing].map((a) => a.id));
  const beside = besideIn(answers.filter((a) => !undone.has(a.id) && !replaced.has(a.id)));
  const firsts = firstMarks(answers);
  const firstOf = (a: AnswerEntry): AnswerEntry => firsts.get(a.id) ?? a;
  const chorus = answers.filter((a) => standing.has(a.id) && a.childId === null).map((a) => firstOf(a).id);
  const shown = shownIn(log, chorus);
  const fateOf = ({ id }: AnswerEntry): Fate => {
    if (undone.has(id)) return 'undone';
    if (standing.has(id)) return 'stands';
    return beside.has(id) ? 'beside' : 'replaced';
  };
  return answers.map((answer) => {
    const first = firstOf(answer);
    return {
      answer,
      fate: fateOf(answer),
      standing: standingOf(answer, sortKey(first), rounds[roundOf(answer.turn)], shown),
      askedAt: first.at,
    };
  });
}
