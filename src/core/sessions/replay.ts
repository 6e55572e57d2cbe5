import { sortKey, ROUND_STRIDE, roundOf, type AnswerEntry, type Entry } from './log';
import { KIND_STOP, notManaged } from '../answers/outcome';
import { hasWordOf } from '../games/spec';
import { askedNext, type FindPlan } from './find';
import { sure } from '../sure';
import type { Way } from './running-order';
import { standingAnswers, undoneIn } from './standing';
import { nextChild } from './turns';

export interface RoundPlan {
  /** Keys of the items in order, easy to hard; the last is the stretch. */
  readonly words: readonly string[];
  /** Keys of further items, for turns beyond those: no word comes twice while there are any. */
  readonly spares?: readonly string[];
  /** Turns that make this round; at least one. */
  readonly turns: number;
  /** Who answers: one after the other where nothing else is said. */
  readonly way?: Way;
  /** The items follow each other: a new time round begins with the first again. */
  readonly inOrder?: boolean;
  /** Keys dealt to one child alone, easy to hard and then spare ones, where each has their own step. */
  readonly own?: Readonly<Record<string, readonly string[]>>;
  /** Items of every step, where it is looked for where each child is. */
  readonly find?: FindPlan;
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
  /** Who is likely to go after that, so that they can get ready; `null` where nobody can say. */
  readonly thenId: string | null;
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
  /** Words this group is not to hear any more. */
  readonly aside: ReadonlySet<string>;
  /** What is ticked in the turn being played: words of a hunt. */
  readonly ticked: ReadonlySet<string>;
}

/** Keys that are not in use already in the place of another. */
const notSwappedIn = (keys: readonly string[], swaps: ReadonlyMap<string, string>): readonly string[] => {
  const used = new Set(swaps.values());
  return used.size ? keys.filter((key) => !used.has(key)) : keys;
};

/**
 * The item of a turn: through the set in order, then what is spare, and only then again, shifted by one each time round
 * so that a child meets new words.
 */
export function wordOfTurn(
  { words, spares = [], inOrder }: Pick<RoundPlan, 'words' | 'spares' | 'inOrder'>,
  turn: number,
  swaps: ReadonlyMap<string, string>,
): string {
  const all = inOrder || turn < words.length ? words : [...words, ...notSwappedIn(spares, swaps)];
  const plain = sure(all[(turn + (inOrder ? 0 : Math.floor(turn / all.length))) % all.length]);
  return swaps.get(plain) ?? plain;
}

/** The item of a child who has their own, by how many turns they had in the round; null where they have none. */
function ownWord(
  { plan, inRound }: RoundNow,
  childId: string | null,
  swaps: ReadonlyMap<string, string>,
): string | null {
  const own = notSwappedIn((childId !== null && plan.own?.[childId]) || [], swaps);
  const had = inRound.filter((a) => a.childId === childId).length;
  const plain = own[had % own.length];
  return plain === undefined ? null : (swaps.get(plain) ?? plain);
}

/** A round without the items that were put aside; as it was where nothing else would be left. */
function withoutAside(plan: RoundPlan, r: LogReading): RoundPlan {
  if (!r.aside.size) return plan;
  const left = (keys: readonly string[]): readonly string[] => {
    const words = keys.filter((key) => !hasWordOf(r.swaps.get(key) ?? key, r.aside));
    return words.length ? words : keys;
  };
  const own = Object.entries(plan.own ?? {}).map(([child, keys]) => [child, left(keys)] as const);
  const find = plan.find && { ...plan.find, steps: plan.find.steps.map((s) => ({ ...s, keys: left(s.keys) })) };
  return {
    ...plan,
    words: left(plan.words),
    ...(plan.spares ? { spares: plan.spares.filter((key) => !hasWordOf(key, r.aside)) } : {}),
    ...(own.length ? { own: Object.fromEntries(own) } : {}),
    ...(find ? { find } : {}),
  };
}

/** What has been read from a log so far; filled entry by entry. */
interface LogReading {
  readonly log: readonly Entry[];
  /** The answers that stand, by turn. */
  readonly standing: ReadonlyMap<number, AnswerEntry>;
  readonly children: string[];
  readonly away: Set<string>;
  /** The item that stands for one of the plan. */
  readonly swaps: Map<string, string>;
  readonly swapped: string[];
  readonly aside: Set<string>;
  /** Words ticked, by turn. */
  readonly ticks: Map<number, Set<string>>;
  /** Rounds whose model has been seen. */
  readonly modelled: Set<number>;
  /** Turns added, by round. */
  readonly more: Map<number, number>;
  /** Turns a child counts as having had, because they came later. */
  readonly ahead: Map<string, number>;
  /** Children who have had enough, by round. */
  readonly rested: Map<number, Set<string>>;
  /** What an adult chose for one turn. */
  override: { readonly turn: number; readonly childId: string | null; readonly word?: string } | null;
  passed: { readonly turn: number; readonly children: Set<string> };
  round: number;
  finished: boolean;
}

/** Who joins in, or comes back, goes on where those are who had the fewest turns. */
function joinIn(r: LogReading, childId: string, place: string): void {
  const turnsOf = (of: string): number => {
    const had = [...r.standing.values()].filter(
      (a) => sortKey(a) < place && a.childId === of && a.outcome !== 'does-not-count',
    );
    return had.length + (r.ahead.get(of) ?? 0);
  };
  const others = r.children.filter((c) => c !== childId && !r.away.has(c)).map(turnsOf);
  if (!others.length) return;
  const behind = Math.max(0, Math.min(...others) - turnsOf(childId));
  r.ahead.set(childId, (r.ahead.get(childId) ?? 0) + behind);
}

type Readers = { readonly [K in Entry['kind']]?: (r: LogReading, entry: Extract<Entry, { kind: K }>) => void };

/** What each kind of entry changes. Answers, and what was said before them, are read elsewhere. */
const READERS: Readers = {
  undo: (r, { answerId }) => {
    const answer = r.log.find((e): e is AnswerEntry => e.kind === 'answer' && e.id === answerId);
    if (!answer || answer.differs || answer.second) return;
    r.override = { turn: answer.turn, childId: answer.childId, word: answer.word };
    // An answer of a round already left is taken back in its round.
    r.round = roundOf(answer.turn);
  },
  modelled: (r, { round = 0 }) => {
    r.modelled.add(round);
  },
  round: (r, { round }) => {
    r.round = round;
  },
  tick: (r, { turn, word, on }) => {
    const words = r.ticks.get(turn) ?? new Set();
    if (on) words.add(word);
    else words.delete(word);
    r.ticks.set(turn, words);
  },
  swap: (r, { turn, from, to }) => {
    const plain = [...r.swaps].find(([, swappedIn]) => swappedIn === from)?.[0] ?? from;
    r.swaps.set(plain, to);
    r.swapped.push(to);
    if (r.override?.turn === turn) r.override = { turn, childId: r.override.childId };
  },
  aside: (r, { turn, word }) => {
    r.aside.add(word);
    // The turn stays with its child, and its item goes.
    if (r.override?.turn === turn && r.override.word) r.override = { turn, childId: r.override.childId };
  },
  pass: (r, { turn, childId }) => {
    if (r.passed.turn !== turn) r.passed = { turn, children: new Set() };
    r.passed.children.add(childId);
    if (r.override?.turn === turn) r.override = null;
  },
  choose: (r, { turn, childId }) => {
    const word = r.override?.turn === turn ? r.override.word : undefined;
    r.override = { turn, childId, ...(word ? { word } : {}) };
  },
  away: (r, entry) => {
    const { childId, away } = entry;
    if (away) {
      r.away.add(childId);
      if (r.override?.childId === childId) r.override = null;
    } else if (r.away.delete(childId)) joinIn(r, childId, sortKey(entry));
  },
  arrive: (r, entry) => {
    const { childId } = entry;
    // A page loaded after they came has them in its plan already.
    if (!r.children.includes(childId)) r.children.push(childId);
    joinIn(r, childId, sortKey(entry));
  },
  ease: (r, { turn, childId, word }) => {
    r.override = { turn, childId, word };
    r.swapped.push(word);
  },
  rest: (r, { round, childId }) => {
    r.rested.set(round, (r.rested.get(round) ?? new Set()).add(childId));
    if (r.override?.childId === childId) r.override = null;
  },
  more: (r, { turns, round = 0 }) => {
    r.more.set(round, (r.more.get(round) ?? 0) + turns);
  },
  finish: (r) => {
    r.finished = true;
  },
  reopen: (r) => {
    r.finished = false;
  },
};

/** The one whose turn it is, of the round being played; each way of playing has its own rule. */
interface Turn {
  readonly childId: string | null;
  readonly calling: boolean;
  readonly partnerId: string | null;
  readonly thenId: string | null;
  readonly rescue: string | null;
  readonly word: string;
  readonly planned: number;
  readonly over: boolean;
}

/** A round as it stands, from which whose turn it is follows. */
interface RoundNow {
  readonly plan: RoundPlan;
  readonly present: readonly string[];
  /** Answers before this turn, and those of this round. */
  readonly before: readonly AnswerEntry[];
  readonly inRound: readonly AnswerEntry[];
  readonly chosen: LogReading['override'];
  readonly waiting: ReadonlySet<string>;
  readonly resting: ReadonlySet<string>;
  readonly done: number;
  readonly planned: number;
}

/** In a check-in everyone gets the same items, and nothing is offered in between. */
function turnOfCheck({ plan, present, inRound, chosen, done }: RoundNow): Turn {
  const { childId, word, left, over } = checkTurn(plan, present, inRound, chosen?.childId ?? null);
  const none = { calling: false, partnerId: null, thenId: null, rescue: null };
  return { childId, word: chosen?.word ?? word, over, planned: done + left, ...none };
}

/** Where a child is looked for: the item that tells most, one child after the other. */
function turnOfFind(find: FindPlan, { present, inRound, chosen, done }: RoundNow, swaps: LogReading['swaps']): Turn {
  const plain = new Map([...swaps].map(([from, to]) => [to, from]));
  const plainOf = (key: string): string => plain.get(key) ?? key;
  const next = new Map(
    present.map((childId, place) => [childId, askedNext(find, { childId, place }, inRound, plainOf)] as const),
  );
  const at = inRound.at(-1)?.childId ?? null;
  const wanted = [chosen?.childId ?? null, at, ...present];
  const childId = wanted.find((child): child is string => child !== null && Boolean(next.get(child))) ?? null;
  const left = [...next.values()].reduce((sum, n) => sum + (n?.left ?? 0), 0);
  const word = (childId !== null && next.get(childId)?.word) || (find.steps[0]?.keys[0] ?? '');
  const none = { calling: false, partnerId: null, thenId: null, rescue: null };
  return {
    ...none,
    childId,
    word: chosen?.word ?? swaps.get(word) ?? word,
    over: childId === null,
    planned: done + left,
  };
}

/** Of volunteers, every sixth turn goes to the child who was asked least. Our own choice. */
const ASK_EVERY = 6;

/** Who volunteers is who knows: now and then the one asked least is named all the same, and may pass. */
const isNamed = (way: Way, done: number): boolean =>
  way === 'volunteers' ? done % ASK_EVERY === ASK_EVERY - 1 : way !== 'together';

function turnOf(r: LogReading, now: RoundNow): Turn {
  const { plan, present, before, inRound, chosen, waiting, resting, done, planned } = now;
  const way = plan.way ?? 'individual';
  const volunteers = way === 'volunteers';
  const inTurn = isNamed(way, done) ? nextChild(present, before, waiting, r.ahead) : null;
  const childId = chosen ? chosen.childId : inTurn;
  const others = present.filter((id) => id !== childId);
  const asks = (child: string): string | null =>
    nextChild(others, [...before, { childId: child, outcome: 'on-own' }], waiting, r.ahead);
  const then = childId && !volunteers && done + 1 < planned ? asks(childId) : null;
  return {
    childId,
    calling: volunteers && !chosen && inTurn === null,
    partnerId: way === 'pairs' && childId ? asks(childId) : null,
    thenId: then,
    rescue: tooHard(inRound, resting),
    word: chosen?.word ?? ownWord(now, childId, r.swaps) ?? wordOfTurn(plan, done, r.swaps),
    planned,
    over: done >= planned,
  };
}

/** The turn, by the way a round is played. */
function turnIn(r: LogReading, now: RoundNow): Turn {
  if (now.plan.find) return turnOfFind(now.plan.find, now, r.swaps);
  return now.plan.way === 'check' ? turnOfCheck(now) : turnOf(r, now);
}

function phaseOf(r: LogReading, round: number, over: boolean): SessionState['phase'] {
  if (r.finished) return 'finished';
  if (!r.modelled.has(round)) return 'model';
  return over ? 'round-done' : 'turn';
}

const NOBODY: ReadonlySet<string> = new Set();

/**
 * The state of a session from its plan and its log. Pure: the same log gives the same state on every device.
 *
 * @example replay({ rounds: [{ words: ['sun'], turns: 1 }], children: ['a'] }, []).phase // 'model'
 */
export function replay(plan: SessionPlan, log: readonly Entry[]): SessionState {
  const given = log.filter((e) => e.kind === 'answer');
  const { byTurn: standing, differing, clashes } = standingAnswers(given, undoneIn(log));
  const r: LogReading = {
    log,
    standing,
    children: [...plan.children],
    away: new Set(),
    swaps: new Map(),
    swapped: [],
    aside: new Set(),
    ticks: new Map(),
    modelled: new Set([...standing.keys()].map(roundOf)),
    more: new Map(),
    ahead: new Map(),
    rested: new Map(),
    override: null,
    passed: { turn: -1, children: new Set() },
    round: 0,
    finished: false,
  };
  for (const entry of log) (READERS[entry.kind] as ((r: LogReading, e: Entry) => void) | undefined)?.(r, entry);

  const round = Math.min(r.round, plan.rounds.length - 1);
  const here = withoutAside(sure(plan.rounds[round]), r);
  const answers = [...standing.values()].sort((a, b) => a.turn - b.turn);
  let done = 0;
  while (standing.has(round * ROUND_STRIDE + done)) done += 1;
  const turn = round * ROUND_STRIDE + done;
  const resting = r.rested.get(round) ?? NOBODY;
  const inRound = answers.filter((a) => roundOf(a.turn) === round);
  const now: RoundNow = {
    plan: here,
    present: r.children.filter((id) => !r.away.has(id) && !resting.has(id)),
    before: answers.filter((a) => a.turn < turn),
    inRound,
    chosen: r.override?.turn === turn ? r.override : null,
    waiting: r.passed.turn === turn ? r.passed.children : NOBODY,
    resting,
    done,
    // A slip of the adult costs nobody a turn.
    planned: here.turns + (r.more.get(round) ?? 0) + inRound.filter((a) => a.outcome === 'does-not-count').length,
  };
  const { over, ...theirs } = turnIn(r, now);
  return {
    ...theirs,
    phase: phaseOf(r, round, over),
    round,
    turn,
    done,
    children: r.children,
    resting,
    differing,
    answers,
    last: answers.findLast((a) => roundOf(a.turn) === round) ?? answers.at(-1) ?? null,
    away: r.away,
    clashes,
    swapped: r.swapped,
    aside: r.aside,
    ticked: r.ticks.get(turn) ?? NOBODY,
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
