'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { canJudge, judge, type Question } from '@/core/answers/judge';
import type { LikelyAnswer } from '@/core/answers/likely';
import { isPlain, NO_OWN_WAY, type OwnWay } from '@/core/answers/own-way';
import { addHabits, habitsOf, NO_HABITS, rank } from '@/core/answers/rank';
import { chunksOf } from '@/core/answers/said';
import type { Help, Outcome } from '@/core/answers/outcome';
import type { Item } from '@/core/games/item';
import { initialsOf } from '@/core/sessions/initials';
import type { AnswerEntry, SaidAs } from '@/core/sessions/log';
import { replay, type SessionState } from '@/core/sessions/replay';
import type { PlayRound, PlaySession } from '@/server/sessions/play-session';
import { asSecond } from '@/core/sessions/second-ears';
import { sure } from '@/core/sure';
import type { Device } from './use-device';
import type { Draft } from './use-draft';
import type { NewEntry, SessionLog } from './use-session-log';

/** The state of the run, and who is in it, from the session and its log. */
export function useRun(session: PlaySession, log: SessionLog['log'], { initials, second, by }: Device) {
  const who = by.trim();
  const state = useMemo(
    () => replay(session.plan, second && who ? asSecond(log, who) : log),
    [session, log, second, who],
  );
  const round = sure(session.rounds[state.round]);
  const everyone = useMemo(() => [...session.children, ...session.others], [session]);
  const people = useMemo(() => everyone.filter((c) => state.children.includes(c.id)), [everyone, state.children]);
  const late = useMemo(() => session.others.filter((c) => !state.children.includes(c.id)), [session, state.children]);
  const names = useMemo(() => {
    const short = initials ? initialsOf(everyone.map((c) => c.name)) : everyone.map((c) => c.name);
    return new Map(everyone.map((c, i) => [c.id, sure(short[i])]));
  }, [everyone, initials]);
  const nameOf = useCallback(
    (id: string | null): string => (id === null ? 'Everyone' : (names.get(id) ?? 'A child')),
    [names],
  );
  const modelling = state.phase === 'model';
  const item = round.items[modelling ? round.model : state.word] ?? Object.values(round.items)[0];
  const ownWay: OwnWay = everyone.find((c) => c.id === state.childId)?.ownWay ?? NO_OWN_WAY;
  return { state, round, people, late, nameOf, modelling, item, ownWay };
}

/** How an answer of this child to this item is judged. */
export function questionOf(session: PlaySession, round: PlayRound, item: Item, ownWay: OwnWay): Question {
  return {
    judged: item.judged,
    marks: item.marks,
    ownWay,
    otherAccent: ownWay.accent ? round.inAccents[ownWay.accent]?.[item.key] : undefined,
    tapsT: session.accent.startsWith('general-american'),
  };
}

/** The likely answers of this child, the likeliest first; one that is right in their own way of speaking is no slip. */
export function useLikely(
  session: PlaySession,
  state: SessionState,
  round: PlayRound,
  item: Item | undefined,
  ownWay: OwnWay,
): readonly LikelyAnswer[] {
  const { answers, childId } = state;
  return useMemo(() => {
    if (!item) return [];
    const sounds = item.marks.map((m) => m.ipa);
    const here = answers
      .filter((a) => a.childId === childId)
      .map((a) => ({
        slip: a.slip,
        missed: a.missed,
        sounds: session.rounds.flatMap((r) => r.items[a.word]?.marks ?? []).map((m) => m.ipa),
      }));
    const habits = addHabits(childId ? (session.habits[childId] ?? NO_HABITS) : NO_HABITS, habitsOf(here));
    const question = questionOf(session, round, item, ownWay);
    const fitting =
      isPlain(ownWay) || !canJudge(item.judged)
        ? item.likely
        : item.likely.filter(
            (c) => c.outcome !== 'not-yet' || !c.said || judge(question, chunksOf(c.said)).outcome === 'not-yet',
          );
    return rank(fitting, sounds, habits);
  }, [session, answers, childId, round, item, ownWay]);
}

interface RunOptions {
  readonly run: ReturnType<typeof useRun>;
  readonly session: PlaySession;
  readonly log: SessionLog;
  readonly draft: Draft;
  readonly by: string;
  readonly second: boolean;
  readonly toMark: () => number;
}

/** Everything a tap can do, each as one entry of the log. */
export function useActs({ run, session, log: { add: keep, log }, draft, by, second, toMark }: RunOptions) {
  // A second pair of ears marks beside, whatever it marks.
  const add = useCallback(
    (entry: NewEntry): Promise<boolean> =>
      keep(entry.kind === 'answer' && second && by.trim() ? { ...entry, second: true } : entry),
    [keep, second, by],
  );
  const { state, round, item } = run;
  const { turn, childId, word, last } = state;
  const turnNow = useRef(turn);
  useEffect(() => {
    turnNow.current = turn;
  }, [turn]);
  const words = sure(session.plan.rounds[state.round]).words;
  // A word with the same answer keeps yes and no in balance.
  const free = round.inOrder
    ? []
    : round.spares.filter((k) => k !== item?.key && !state.swapped.includes(k) && !words.includes(k));
  const spare = free.find((k) => round.items[k]?.kind === item?.kind) ?? free[0];
  const easier = round.inOrder
    ? undefined
    : Object.values(round.items)
        .filter((i) => i.key !== word && i.key !== round.model && !state.swapped.includes(i.key))
        .sort((a, b) => a.difficulty - b.difficulty)[0];
  const playing = state.phase === 'turn';
  return {
    add,
    spare,
    easier,
    words,
    entryOf: (
      outcome: Outcome,
      likely?: Pick<LikelyAnswer, 'slip' | 'said' | 'missed'>,
    ): Parameters<typeof add>[0] => ({
      kind: 'answer',
      turn,
      childId,
      word: sure(item).key,
      outcome,
      slip: likely?.slip ?? (draft.missed.length && outcome !== 'on-own' ? 'lost-sound' : null),
      said: likely?.said || null,
      missed: likely ? likely.missed : draft.missed,
      helps: draft.helps,
      note: draft.note.trim() || null,
      thinkMs: toMark(),
      supersedes: null,
      ...(by.trim() ? { by: by.trim() } : {}),
      ...(state.partnerId ? { partnerId: state.partnerId } : {}),
    }),
    undo: () => {
      if (last) void add({ kind: 'undo', answerId: last.id });
    },
    /** More about the newest answer: it takes its place. */
    amend: (more: Partial<AnswerEntry>) => {
      if (!last) return;
      const { id, at, ...rest } = last;
      void at;
      void add({ ...rest, ...more, supersedes: id, why: 'detail' });
    },
    differ: (child: string) => {
      if (last?.childId !== null) return;
      const already = state.differing.find((d) => d.turn === last.turn && d.childId === child);
      if (already) void add({ kind: 'undo', answerId: already.id });
      else
        void add({
          kind: 'answer',
          turn: last.turn,
          childId: child,
          word: last.word,
          outcome: 'not-yet',
          slip: null,
          said: null,
          missed: [],
          helps: [],
          note: null,
          thinkMs: null,
          supersedes: null,
          differs: true,
          ...(by.trim() ? { by: by.trim() } : {}),
        });
    },
    swap: () => {
      if (spare && playing) void add({ kind: 'swap', turn, from: word, to: spare });
    },
    skip: () => {
      if (childId && playing) void add({ kind: 'pass', turn, childId });
    },
    choose: useCallback(
      (child: string | null): void => void add({ kind: 'choose', turn: turnNow.current, childId: child }),
      [add],
    ),
    away: useCallback(
      (child: string, gone: boolean): void => void add({ kind: 'away', childId: child, away: gone }),
      [add],
    ),
    arrive: (child: string) => void add({ kind: 'arrive', childId: child }),
    ease: (child: string, key: string) => void add({ kind: 'ease', turn, childId: child, word: key }),
    rest: (child: string) => void add({ kind: 'rest', round: state.round, childId: child }),
    saidAs: (as: SaidAs) => {
      if (
        item &&
        playing &&
        !log.some((e) => e.kind === 'said' && e.turn === turn && e.as === as && e.word === item.key)
      )
        void add({ kind: 'said', turn, word: item.key, as });
    },
    modelled: () => void add({ kind: 'modelled', round: state.round }),
    goTo: (to: number) => void add({ kind: 'round', round: to }),
    more: (turns: number) => void add({ kind: 'more', round: state.round, turns }),
    tick: (text: string, on: boolean) => void add({ kind: 'tick', turn, word: text, on }),
  };
}

/** Helps as they are noted before the mark. */
export const withHelp = (helps: readonly Help[], more: Help): Help[] => [...new Set([...helps, more])];

/** A value that belongs to a turn and falls back when the turn changes. */
export function useOfTurn<T>(turnKey: string, usual: T): [T, (next: T) => void] {
  const [kept, setKept] = useState({ turnKey, value: usual });
  return [
    kept.turnKey === turnKey ? kept.value : usual,
    useCallback((value: T) => setKept({ turnKey, value }), [turnKey]),
  ];
}
