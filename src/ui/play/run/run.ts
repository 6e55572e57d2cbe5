import { canJudge } from '@/core/answers/can-judge';
import type { LikelyAnswer } from '@/core/answers/likely';
import { NO_OWN_WAY, type OwnWay } from '@/core/answers/own-way';
import { addHabits, habitsOf, NO_HABITS, rank } from '@/core/answers/rank';
import { fill } from '@/core/games/fill';
import type { Item } from '@/core/games/item';
import { hasWordOf } from '@/core/games/spec';
import type { RoutineStep } from '@/core/games/routine-steps';
import { initialsOf } from '@/core/sessions/initials';
import type { Entry } from '@/core/sessions/log';
import { saidIn } from '@/core/sessions/pace';
import type { FindPlan } from '@/core/sessions/find';
import { replay, type RoundPlan, type SessionState } from '@/core/sessions/replay';
import { asSecond } from '@/core/sessions/second-ears';
import { sure } from '@/core/sure';
import type { PlayRound, PlaySession } from '@/server/sessions/play-session';
import type { Device } from './device';
import { EMPTY, GAPS, type Draft } from './draft';

export type DialogName =
  | 'note'
  | 'aside'
  | 'keys'
  | 'said'
  | 'device'
  | 'late'
  | 'pause'
  | 'finish'
  | 'tools'
  | 'speaks'
  | 'people'
  | 'pebbles'
  | 'after';
type Person = PlaySession['children'][number];

/** What is only on the screen: gone with the page, and no part of the log. */
export interface View {
  /** Children can see the screen. */
  readonly covered: boolean;
  readonly dialog: DialogName | null;
  /** Who speaks, and the turn it was set in. */
  readonly step: { readonly turnKey: string; readonly name: RoutineStep };
  /** How often the beats of a turn were said to their end. */
  readonly spoken: { readonly turnKey: string; readonly times: number };
  /** The answer after which the adult chose to go on. */
  readonly kindly: string | null;
  /** Beats said so far; -1 where nothing is running. */
  readonly lit: number;
  readonly news: string | null;
  /** Answers after which a check was put off: `child place`, for this sitting. */
  readonly putOff: readonly string[];
}

export const FIRST_VIEW: View = {
  covered: false,
  dialog: null,
  step: { turnKey: '', name: 'your-turn' },
  spoken: { turnKey: '', times: 0 },
  kindly: null,
  lit: -1,
  news: null,
  putOff: [],
};

/** All a run is made of; everything else follows from it. */
export interface Parts {
  readonly session: PlaySession;
  readonly log: readonly Entry[];
  /** Ids of the entries the server is known to have. */
  readonly there: ReadonlySet<string>;
  readonly device: Device;
  readonly draft: Draft;
  readonly view: View;
}

/** A run at one moment, as every view reads it. Nothing in it is ever changed; what is alike stays the same object. */
export interface Run extends Parts {
  readonly state: SessionState;
  readonly round: PlayRound;
  readonly item: Item | undefined;
  /** Keys of the items of this round. */
  readonly words: readonly string[];
  /** Children of the session, and those of the group who may still come. */
  readonly people: readonly Person[];
  readonly late: readonly Person[];
  readonly names: ReadonlyMap<string, string>;
  readonly ownWay: OwnWay;
  readonly likely: readonly LikelyAnswer[];
  /** Something of this round can be tapped as heard: it has its place in every turn, so that nothing moves. */
  readonly hears: boolean;
  /** The key of another word for this turn. */
  readonly spare: string | undefined;
  readonly easier: Item | undefined;
  readonly modelling: boolean;
  readonly playing: boolean;
  readonly hunting: boolean;
  /** A check-in: no help, and nothing in between. */
  readonly check: boolean;
  /** Changes with the turn, the child or the item. */
  readonly turnKey: string;
  readonly step: RoutineStep;
  readonly spoken: number;
  /** Seconds between sounds, quick to slow. */
  readonly gaps: readonly number[];
  /** What the adult asks, in full. */
  readonly asked: string;
  /** Milliseconds the adult speaks before the child can answer. */
  readonly sayMs: number;
  /** Entries the server does not have yet. */
  readonly pending: number;
}

/** What was right the turn before may be said again, where answers are open. */
function sameAgain({ session, state }: Pick<Run, 'session' | 'state'>, item: Item): LikelyAnswer[] {
  const last = state.answers.at(-1);
  const before = last && session.rounds.map((r) => r.items[last.word]).find((i) => i?.task === item.task);
  if (!before || !canJudge(item.judged) || before.expected === item.expected) return [];
  const { expected: show } = before;
  const note = 'the answer before, again';
  return [{ id: 'before', slip: 'other-word', outcome: 'not-yet', said: '', show, note, missed: [] }];
}

const NONE: readonly string[] = [];

/** The likely answers of this child, the likeliest first; one that is right in their own way of speaking is no slip. */
function likelyOf(run: Pick<Run, 'session' | 'round' | 'state'>, item: Item): readonly LikelyAnswer[] {
  const { session, state } = run;
  const { answers, childId } = state;
  const here = answers
    .filter((a) => a.childId === childId)
    .map((a) => ({
      slip: a.slip,
      missed: a.missed,
      sounds: session.rounds.flatMap((r) => r.items[a.word]?.marks ?? []).map((m) => m.ipa),
    }));
  const habits = addHabits(childId ? (session.habits[childId] ?? NO_HABITS) : NO_HABITS, habitsOf(here));
  const right = (childId && run.round.rightFor[childId]?.[item.key]) || NONE;
  const fitting = right.length ? item.likely.filter((a) => !right.includes(a.id)) : item.likely;
  return rank([...fitting, ...sameAgain(run, item)], item.marks, habits);
}

type FromLog = Pick<
  Run,
  | 'state'
  | 'round'
  | 'item'
  | 'words'
  | 'people'
  | 'late'
  | 'ownWay'
  | 'likely'
  | 'hears'
  | 'spare'
  | 'easier'
  | 'modelling'
  | 'playing'
  | 'hunting'
  | 'check'
  | 'turnKey'
  | 'gaps'
  | 'asked'
>;

/** Another word of the step that is asked, where it is looked for where a child is: one not heard yet. */
function otherOfStep({ steps }: FindPlan, state: SessionState, item: Item | undefined): string | undefined {
  const said = new Set([...state.answers.map((a) => a.word), ...state.swapped, item?.key]);
  const step = steps.find((s) => s.keys.includes(item?.key ?? ''));
  return step?.keys.find((key) => !said.has(key) && !hasWordOf(key, state.aside));
}

/** Other words of the round, for this turn and for a child who has a hard time. */
function otherItems(
  round: PlayRound,
  { words, find }: Pick<RoundPlan, 'words' | 'find'>,
  state: SessionState,
  item: Item | undefined,
) {
  if (round.inOrder) return { spare: undefined, easier: undefined };
  if (find) return { spare: otherOfStep(find, state, item), easier: undefined };
  const own = round.own.find((o) => o.childId === state.childId);
  const used = new Set([...words, ...state.swapped, ...state.answers.map((a) => a.word), item?.key]);
  const free = (own?.spares ?? round.spares).filter((k) => !used.has(k) && !hasWordOf(k, state.aside));
  return {
    // A word with the same answer keeps yes and no in balance.
    spare: free.find((k) => round.items[k]?.kind === item?.kind) ?? free[0],
    easier: Object.values(round.items)
      .filter((i) => !own || own.items.includes(i.key) || own.spares.includes(i.key))
      .filter((i) => i.key !== state.word && i.key !== round.model && !state.swapped.includes(i.key))
      .filter((i) => !hasWordOf(i.key, state.aside))
      .sort((a, b) => a.difficulty - b.difficulty)[0],
  };
}

/** What follows from the log. */
function fromLog({ session, log, device }: Parts): FromLog {
  const who = device.by.trim();
  const state = replay(session.plan, device.second && who ? asSecond(log, who) : log);
  const round = sure(session.rounds[state.round]);
  const plan = sure(session.plan.rounds[state.round]);
  const { words } = plan;
  const everyone = [...session.children, ...session.others];
  const modelling = state.phase === 'model';
  const item = round.items[modelling ? round.model : state.word] ?? Object.values(round.items)[0];
  const ownWay = everyone.find((c) => c.id === state.childId)?.ownWay ?? NO_OWN_WAY;
  return {
    state,
    round,
    item,
    words,
    people: everyone.filter((c) => state.children.includes(c.id)),
    late: session.others.filter((c) => !state.children.includes(c.id)),
    ownWay,
    likely: item ? likelyOf({ session, round, state }, item) : [],
    hears: Object.values(round.items).some((i) => i.likely.length > 0 || canJudge(i.judged)),
    ...otherItems(round, plan, state, item),
    modelling,
    playing: state.phase === 'turn',
    hunting: item?.view.kind === 'hunt',
    check: round.way === 'check',
    turnKey: `${session.id}/${state.turn}/${state.childId ?? ''}/${item?.key ?? ''}`,
    gaps: GAPS.map((g) => g * round.gap),
    asked: item ? fill(round.ask, item.slots) : '',
  };
}

function namesInSession({ session, device }: Parts): ReadonlyMap<string, string> {
  const everyone = [...session.children, ...session.others];
  const full = everyone.map((c) => c.name);
  const shown = device.names === 'full' ? full : initialsOf(full);
  return new Map(everyone.map((c, i) => [c.id, sure(shown[i])]));
}

/** Remembers the last result while what it was made from stays the same. */
function once<T>(make: (parts: Parts) => T, from: (parts: Parts) => readonly unknown[]): (parts: Parts) => T {
  let last: { readonly of: readonly unknown[]; readonly made: T } | undefined;
  return (parts) => {
    const picked = from(parts);
    if (!last || picked.some((value, i) => value !== last?.of[i])) last = { of: picked, made: make(parts) };
    return last.made;
  };
}

/**
 * Reads runs from their parts, again and again: what did not change is not worked out twice.
 * @example const read = reader(); read(parts).state.phase // 'model'
 */
export function reader(): (parts: Parts) => Run {
  const logged = once(fromLog, ({ session, log, device }) => [session, log, device.second, device.by]);
  const named = once(namesInSession, ({ session, device }) => [session, device.names]);
  const waiting = once(
    ({ log, there }) => log.filter((e) => !there.has(e.id)).length,
    ({ log, there }) => [log, there],
  );
  return (parts) => {
    const read = logged(parts);
    const { turnKey, gaps, asked } = read;
    const draft = parts.draft.turnKey === turnKey ? parts.draft : EMPTY;
    const { step, spoken } = parts.view;
    const times = spoken.turnKey === turnKey ? spoken.times : 0;
    return {
      ...parts,
      ...read,
      draft,
      names: named(parts),
      step: step.turnKey === turnKey ? step.name : 'your-turn',
      spoken: times,
      sayMs: times ? 0 : saidIn(asked, sure(gaps[draft.gap])),
      pending: waiting(parts),
    };
  };
}

/** What a child is called on this screen; `null` is everyone together. */
export const nameIn =
  (names: ReadonlyMap<string, string>) =>
  (id: string | null): string =>
    id === null ? 'Everyone' : (names.get(id) ?? 'A child');
