'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

/** Seconds between sounds, quickest first. */
export const GAPS = [1, 1.5, 2] as const;

/** Lights the marks one after another. `lit` is how many have been said; -1 where nothing is running. */
export function usePacing(count: number): { lit: number; play: (gapSeconds: number) => void; stop: () => void } {
  const [lit, setLit] = useState(-1);
  const timer = useRef<ReturnType<typeof setInterval> | undefined>(undefined);
  const stop = useCallback(() => {
    clearInterval(timer.current);
    setLit(-1);
  }, []);
  const play = useCallback((gapSeconds: number) => {
    clearInterval(timer.current);
    let said = 1;
    setLit(said);
    timer.current = setInterval(() => {
      said += 1;
      if (said > count + 1) {
        clearInterval(timer.current);
        setLit(-1);
      } else {
        setLit(Math.min(said, count));
      }
    }, gapSeconds * 1_000);
  }, [count]);
  useEffect(() => () => clearInterval(timer.current), []);
  return { lit, play, stop };
}
