'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { changePlan } from '@/actions/plans';
import type { PlanChange } from '@/core/formats/plan-file';
import type { Plan } from '@/core/sessions/running-order';
import type { OpenPlan } from '@/server/plans/plans';
import { keepHere, keptHere } from '../kit/kept-form';
import { sure } from '@/core/sure';

export interface PlanWork {
  readonly plan: Plan;
  readonly shown: OpenPlan['shown'];
  readonly state: 'saved' | 'saving' | 'unsaved';
  readonly error: string | null;
  /** What the last change has to say about itself. */
  readonly said: string | null;
  /** Changes the plan here at once, and keeps it a moment later. */
  readonly edit: (change: (plan: Plan) => Plan) => void;
  /** Asks the word bank for a change; `false` where it could not be made, and the plan stays as it was. */
  readonly ask: (change: PlanChange) => Promise<boolean>;
  readonly undo: (() => void) | null;
}

/** Typing is kept when it rests this long. */
const REST_MS = 500;
const AWAY =
  'We can’t reach the server. Your changes are still here on the screen. They’ll be saved with your next change ' +
  'once it’s back.';

/** What was changed and is not on the server yet, in this tab. */
interface Unsent {
  readonly plan: Plan;
  readonly version: string;
}
const placeOf = (id: string): string => `plan ${id}`;

/** The plan on the screen and the one the server has, brought together change by change. */
function useKeptPlan(open: OpenPlan) {
  const [plan, setPlan] = useState(open.plan);
  const [shown, setShown] = useState(open.shown);
  const [state, setState] = useState<PlanWork['state']>('saved');
  const [error, setError] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const latest = useRef(open.plan);
  const version = useRef(open.version);
  const underway = useRef<Promise<unknown>>(Promise.resolve());
  /** Edits made while an answer is on its way: they are made again on what it brings. */
  const meanwhile = useRef<((plan: Plan) => Plan)[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);

  const sendNow = useCallback(
    async (change: PlanChange): Promise<boolean> => {
      clearTimeout(timer.current);
      timer.current = undefined;
      meanwhile.current = [];
      setState('saving');
      const answer = await changePlan(open.id, latest.current, change, version.current).catch(() => null);
      const refused = answer?.ok === false ? answer.error : null;
      setError(answer === null ? AWAY : refused);
      setState(answer?.ok && !meanwhile.current.length ? 'saved' : 'unsaved');
      if (!answer?.ok) return false;
      version.current = answer.value.version;
      if (!meanwhile.current.length) keepHere(placeOf(open.id), null);
      latest.current = meanwhile.current.reduce((plan, edit) => edit(plan), answer.value.plan);
      setPlan(latest.current);
      setShown(answer.value.shown);
      setSaid(answer.value.said ?? null);
      return true;
    },
    [open.id],
  );

  /** One after the other: a change is asked of the plan that the one before it left. */
  const send = useCallback(
    (change: PlanChange): Promise<boolean> => {
      const mine = underway.current.then(() => sendNow(change));
      underway.current = mine;
      return mine;
    },
    [sendNow],
  );

  const put = useCallback(
    (change: (plan: Plan) => Plan): void => {
      latest.current = change(latest.current);
      meanwhile.current.push(change);
      keepHere(placeOf(open.id), { plan: latest.current, version: version.current } satisfies Unsent);
      setPlan(latest.current);
      setSaid(null);
      setState('unsaved');
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void send({ kind: 'show' }), REST_MS);
    },
    [send, open.id],
  );

  // What was typed just before a reload stands again, and is sent.
  useEffect(() => {
    const unsent = keptHere(placeOf(open.id)) as Unsent | null;
    if (!unsent || JSON.stringify(unsent.plan) === JSON.stringify(latest.current)) return;
    version.current = unsent.version;
    put(() => unsent.plan);
  }, [open.id, put]);

  // What was typed a moment ago is not lost when the screen is left.
  useEffect(
    () => () => {
      if (!timer.current) return;
      clearTimeout(timer.current);
      void changePlan(open.id, latest.current, { kind: 'show' }, version.current).catch(() => undefined);
    },
    [open.id],
  );

  return { latest, send, put, seen: { plan, shown, state, error, said } };
}

/** A plan being worked on: every change is kept on the server, and the last ones can be taken back. */
export function usePlan(open: OpenPlan): PlanWork {
  const { latest, send, put, seen } = useKeptPlan(open);
  const [before, setBefore] = useState<readonly Plan[]>([]);
  const remember = (): void => {
    const now = latest.current;
    setBefore((was) => [...was.slice(-19), now]);
  };
  const edit = (change: (now: Plan) => Plan): void => {
    remember();
    put(change);
  };
  const ask = async (change: PlanChange): Promise<boolean> => {
    remember();
    const done = await send(change);
    if (!done) setBefore((was) => was.slice(0, -1));
    return done;
  };
  const undo = before.length
    ? (): void => {
        const last = sure(before.at(-1));
        put(() => last);
        setBefore(before.slice(0, -1));
      }
    : null;
  return { ...seen, edit, ask, undo };
}
