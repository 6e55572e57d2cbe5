'use client';

import { useEffect, useMemo, useRef } from 'react';
import { makeStopwatch } from '@/core/sessions/pace';

/** A second tap this soon after a mark is the same finger, not the next child. */
const SAME_FINGER_MS = 250;

export interface TurnClock {
  /** Milliseconds from the end of what the adult says; pauses and a hidden screen do not count. */
  readonly toMark: () => number;
  /** The adult has just done saying it. */
  readonly said: () => void;
  /** True while a mark is being kept, or has only just been. */
  readonly sameFinger: () => boolean;
  /** Runs a mark; a second one cannot begin meanwhile. */
  readonly marking: (work: () => Promise<unknown>) => Promise<void>;
}

/**
 * Times a turn, by a clock that only goes forward, and keeps one tap from counting twice.
 * @param sayMs how long the adult speaks first
 * @param held while true no time passes
 */
export function useTurnClock(turnKey: string, sayMs: number, held: boolean): TurnClock {
  const watch = useMemo(() => makeStopwatch(), []);
  const markedAt = useRef(0);
  const busy = useRef(false);
  const say = useRef(sayMs);
  useEffect(() => {
    say.current = sayMs;
  }, [sayMs]);
  useEffect(() => watch.begin(performance.now(), say.current), [turnKey, watch]);
  useEffect(() => {
    const look = (): void => {
      if (held || document.visibilityState === 'hidden') watch.hold(performance.now());
      else watch.go(performance.now());
    };
    look();
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [held, watch]);
  return useMemo(
    () => ({
      toMark: () => watch.read(performance.now()),
      said: () => watch.said(performance.now()),
      sameFinger: () => busy.current || performance.now() - markedAt.current < SAME_FINGER_MS,
      marking: async (work) => {
        busy.current = true;
        try {
          await work();
          markedAt.current = performance.now();
        } finally {
          busy.current = false;
        }
      },
    }),
    [watch],
  );
}
