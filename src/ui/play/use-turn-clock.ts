'use client';

import { useEffect, useMemo, useRef } from 'react';

/** A second tap this soon after a mark is the same finger, not the next child. */
const SAME_FINGER_MS = 250;

export interface TurnClock {
  /** Milliseconds since this turn was shown. */
  readonly sinceShown: () => number;
  /** True while a mark is being kept, or has only just been. */
  readonly sameFinger: () => boolean;
  /** Runs a mark; a second one cannot begin meanwhile. */
  readonly marking: (work: () => Promise<unknown>) => Promise<void>;
}

/** Times a turn from when it is shown, and keeps one tap from counting twice. */
export function useTurnClock(turnKey: string): TurnClock {
  const shownAt = useRef(0);
  const markedAt = useRef(0);
  const busy = useRef(false);
  useEffect(() => {
    shownAt.current = Date.now();
  }, [turnKey]);
  return useMemo(() => ({
    sinceShown: () => Math.max(0, Date.now() - shownAt.current),
    sameFinger: () => busy.current || Date.now() - markedAt.current < SAME_FINGER_MS,
    marking: async (work) => {
      busy.current = true;
      try {
        await work();
        markedAt.current = Date.now();
      } finally {
        busy.current = false;
      }
    },
  }), []);
}
