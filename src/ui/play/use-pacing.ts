'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { tick } from './tick';

/** How much slower each tap of “slower” is. */
export const GAPS = [1, 1.5, 2] as const;

export interface Pacing {
  /** Beats said so far; -1 where nothing is running. */
  readonly lit: number;
  readonly play: (gapSeconds: number) => void;
  readonly stop: () => void;
}

/** Lights the marks one after another; says when the last has been said. */
export function usePacing(count: number, sound: boolean, onDone: () => void): Pacing {
  const [lit, setLit] = useState(-1);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const done = useRef(onDone);
  useEffect(() => {
    done.current = onDone;
  });
  const stop = useCallback(() => {
    clearInterval(timer.current);
    setLit(-1);
  }, []);
  const play = useCallback(
    (gapSeconds: number) => {
      clearInterval(timer.current);
      let said = 1;
      setLit(said);
      if (sound) tick();
      timer.current = setInterval(() => {
        said += 1;
        if (said === count + 1) done.current();
        if (said > count + 1) {
          clearInterval(timer.current);
          setLit(-1);
        } else {
          setLit(Math.min(said, count));
          if (sound && said <= count) tick();
        }
      }, gapSeconds * 1_000);
    },
    [count, sound],
  );
  useEffect(() => () => clearInterval(timer.current), []);
  return { lit, play, stop };
}
