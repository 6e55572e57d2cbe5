import { ROUND_STRIDE, roundOf, type AnswerEntry, type Entry } from './log';
import { KIND_STOP, notManaged } from '../answers/outcome';
import { sure } from '../sure';
import type { Way } from './running-order';
import { standingAnswers } from './standing';
import { nextChild } from './turns';

export interface RoundPlan {
  /** Keys of the items in order, easy to hard; the last is the stretch. */
  readonly words: readonly string[];
  /** Turns that make this round; at least one. */
  readonly turns: number;
  /** Who answers: one after the other where nothing else is said. */
  readonly way?: Way;
  /** The items follow each other: a new time round begins with the first again. */
  readonly inOrder?: boolean;
}

export interface SessionPlan {
  readonly rounds: readonly RoundPlan[];
  /** Who takes turns, the one with fewest turns lately first. */
  readonly children: readonly string[];
}

export interface SessionState {
  readonly phase: 'model' | 'turn' | 'round-done' | 'finished';
  readonly round: number;
  /** The turn being played, in the numbering of the log. */
  readonly turn: number;
  /** Turns marked so far in this round, without a gap. */
  readonly done: number;
  readonly planned: number;
  /** Whose turn it is; `null` for everyone together. */
  readonly childId: string | null;
  /** Nobody has the turn yet: the adult taps who volunteers. */
  readonly calling: boolean;
  /** Who asks, where children play in pairs. */
  readonly partnerId: string | null;
  /** A child for whom three in a row were too hard: time for an easier one. */
  readonly rescue: string | null;
  /** The children of this session, late ones at the end. */
  readonly children: readonly string[];
  /** Children who have had enough of this round. */
  readonly resting: ReadonlySet<string>;
  /** Answers of children who differed from the others, by turn and child. */
  readonly differing: readonly AnswerEntry[];
  readonly word: string;
  /** The answers that stand, by turn. */
  readonly answers: readonly AnswerEntry[];
  /** The newest answer that can be undone. */
  readonly last: AnswerEntry | null;
  readonly away: ReadonlySet<string>;
  /** Answers another device or tab gave to a turn that had one already. The later one stands. */
  readonly clashes: number;
  /** Items swapped in, so that they are not offered again. */
  readonly swapped: readonly string[];
  /** What is ticked in the turn being played: words of a hunt. */
  readonly ticked: ReadonlySet<string>;
}

/** The item of a turn: through the set in order, shifted by one each time round so that a child meets new words. */
export function wordOfTurn(
  { words, inOrder }: Pick<RoundPlan, 'words' | 'inOrder'>,
  turn: number,
  swaps: ReadonlyMap<string, string>,
): string {
  const plain = sure(words[(turn + (inOrder ? 0 : Math.floor(turn / words.length))) % words.length]);
  return swaps.get(plain) ?? plain;
}

/**
 * The state of a session from its plan and its log. Pure: the same log gives the same state on every device.
 *
 * @example replay({ rounds: [{ words: ['sun'], turns: 1 }], children: ['a'] }, []).phase // 'model'
 */
export function replay(plan: SessionPlan, log: readonly Entry[]): SessionState {
  const undone = new Set(log.flatMap((e) => (e.kind === 'undo' ? [e.answerId] : [])));
  const {
    byTurn: standing,
    differing,
    clashes,
  } = standingAnswers(
    log.filter((e) => e.kind === 'answer'),
    undone,
  );
  const away = new Set<string>();
  const swaps = new Map<string, string>();
  const swapped: string[] = [];
  const ticks = new Map<number, Set<string>>();
  const modelled = new Set([...standing.keys()].map(roundOf));
  const more = new Map<number, number>();
  let override = null as { turn: number; childId: string | null; word?: string } | null;
  let passed: { turn: number; children: Set<string> } = { turn: -1, children: new Set() };
  let at = 0;
  let finished = false;
  const children = [...plan.children];
  const ahead = new Map<string, number>();
  const rested = new Map<number, Set<string>>();
  /** Who joins in, or comes back, goes on where those are who had the fewest turns. */
  const joinsIn = (childId: string, id: string): void => {
    const turnsOf = (of: string): number =>
      [...standing.values()].filter((a) => a.id < id && a.childId === of && a.outcome !== 'does-not-count').length +
      (ahead.get(of) ?? 0);
    const others = children.filter((c) => c !== childId && !away.has(c)).map(turnsOf);
    if (others.length)
      ahead.set(childId, (ahead.get(childId) ?? 0) + Math.max(0, Math.min(...others) - turnsOf(childId)));
  };

  for (const entry of log) {
    switch (entry.kind) {
      case 'answer':
        break;
      case 'undo': {
        const answer = log.find((e): e is AnswerEntry => e.kind === 'answer' && e.id === entry.answerId);
        if (!answer || answer.differs || answer.second) break;
        override = { turn: answer.turn, childId: answer.childId, word: answer.word };
        // An answer of a round already left is taken back in its round.
        at = roundOf(answer.turn);
        break;
      }
      case 'modelled':
        modelled.add(entry.round ?? 0);
        break;
      case 'round':
        at = entry.round;
        break;
      case 'tick': {
        const words = ticks.get(entry.turn) ?? new Set();
        if (entry.on) words.add(entry.word);
        else words.delete(entry.word);
        ticks.set(entry.turn, words);
        break;
      }
      case 'swap': {
        const plain = [...swaps].find(([, to]) => to === entry.from)?.[0] ?? entry.from;
        swaps.set(plain, entry.to);
        swapped.push(entry.to);
        if (override?.turn === entry.turn) delete override.word;
        break;
      }
      case 'pass':
        if (passed.turn !== entry.turn) passed = { turn: entry.turn, children: new Set() };
        passed.children.add(entry.childId);
        if (override?.turn === entry.turn) override = null;
        break;
      case 'choose':
        override = {
          turn: entry.turn,
          childId: entry.childId,
          ...(override?.turn === entry.turn && override.word ? { word: override.word } : {}),
        };
        break;
      case 'away':
        if (entry.away) away.add(entry.childId);
        else if (away.delete(entry.childId)) joinsIn(entry.childId, entry.id);
        if (entry.away && override?.childId === entry.childId) override = null;
        break;
      case 'arrive':
        // A page loaded after they came has them in its plan already.
        if (!children.includes(entry.childId)) children.push(entry.childId);
        joinsIn(entry.childId, entry.id);
        break;
      case 'said':
        break;
      case 'ease':
        override = { turn: entry.turn, childId: entry.childId, word: entry.word };
        swapped.push(entry.word);
        break;
      case 'rest':
        rested.set(entry.round, (rested.get(entry.round) ?? new Set()).add(entry.childId));
        if (override?.childId === entry.childId) override = null;
        break;
      case 'more':
        more.set(entry.round ?? 0, (more.get(entry.round ?? 0) ?? 0) + entry.turns);
        break;
      case 'finish':
        finished = true;
        break;
    }
  }

  const round = Math.min(at, plan.rounds.length - 1);
  const here = sure(plan.rounds[round]);
  const answers = [...standing.values()].sort((a, b) => a.turn - b.turn);
  let done = 0;
  while (standing.has(round * ROUND_STRIDE + done)) done += 1;
  const turn = round * ROUND_STRIDE + done;
  const planned = here.turns + (more.get(round) ?? 0);
  const chosen = override?.turn === turn ? override : null;
  const waiting = passed.turn === turn ? passed.children : new Set<string>();
  const resting = rested.get(round) ?? new Set<string>();
  const present = children.filter((id) => !away.has(id) && !resting.has(id));
  const before = answers.filter((a) => a.turn < turn);
  const way = here.way ?? 'individual';
  const check =
    way === 'check'
      ? checkTurn(
          here,
          present,
          answers.filter((a) => roundOf(a.turn) === round),
          chosen?.childId ?? null,
        )
      : null;
  const next =
    way === 'together' || way === 'volunteers'
      ? null
      : check
        ? check.childId
        : nextChild(present, before, waiting, ahead);
  const childId = check ? check.childId : chosen ? chosen.childId : next;
  return {
    phase: finished
      ? 'finished'
      : !modelled.has(round)
        ? 'model'
        : (check ? check.over : done >= planned)
          ? 'round-done'
          : 'turn',
    round,
    turn,
    done,
    planned: check ? done + check.left : planned,
    children,
    childId,
    calling: way === 'volunteers' && !chosen,
    partnerId:
      way === 'pairs' && childId
        ? nextChild(
            present.filter((id) => id !== childId),
            [...before, { childId, outcome: 'on-own' }],
            waiting,
            ahead,
          )
        : null,
    rescue:
      way === 'check'
        ? null
        : tooHard(
            answers.filter((a) => roundOf(a.turn) === round),
            resting,
          ),
    resting,
    differing,
    word: chosen?.word ?? (check ? check.word : wordOfTurn(here, done, swaps)),
    answers,
    last: answers.findLast((a) => roundOf(a.turn) === round) ?? answers.at(-1) ?? null,
    away,
    clashes,
    swapped,
    ticked: ticks.get(turn) ?? new Set(),
  };
}

/** The child of the newest answer, where that made three in a row not managed and the child still plays. */
function tooHard(answers: readonly AnswerEntry[], resting: ReadonlySet<string>): string | null {
  const child = answers.at(-1)?.childId;
  if (!child || resting.has(child)) return null;
  const run = answers.filter((a) => a.childId === child && a.outcome !== 'does-not-count').slice(-KIND_STOP);
  return run.length === KIND_STOP && run.every((a) => notManaged(a.outcome)) ? child : null;
}

interface CheckTurn {
  readonly childId: string | null;
  readonly word: string;
  readonly left: number;
  readonly over: boolean;
}

/**
 * A check-in: every child gets the same items in the same order, one child after the other, and stops kindly after
 * three in a row that were not managed. A slip of the adult does not use an item up.
 */
function checkTurn(
  { words }: RoundPlan,
  present: readonly string[],
  answers: readonly AnswerEntry[],
  chosen: string | null,
): CheckTurn {
  const leftOf = (child: string): number => {
    const given = answers.filter((a) => a.childId === child && a.outcome !== 'does-not-count');
    const run = given.slice(-KIND_STOP);
    return run.length === KIND_STOP && run.every((a) => notManaged(a.outcome))
      ? 0
      : Math.max(0, words.length - given.length);
  };
  const left = present.reduce((sum, child) => sum + leftOf(child), 0);
  const at = answers.at(-1)?.childId ?? null;
  const childId =
    [chosen, at, ...present].find(
      (child): child is string => child !== null && present.includes(child) && leftOf(child) > 0,
    ) ?? null;
  return {
    childId,
    left,
    over: childId === null,
    word: words[childId === null ? 0 : words.length - leftOf(childId)] ?? sure(words[0]),
  };
}
