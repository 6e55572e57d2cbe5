'use client';

import { useEffect, useState } from 'react';

interface RingProps {
  readonly seconds: number;
  /** Milliseconds before it begins: the adult is still speaking. */
  readonly after: number;
  readonly showMe: boolean;
}

const RADIUS = 25;
const ROUND = 2 * Math.PI * RADIUS;

/** Time to think, shown: a ring that fills, then “show me” or “now”. Given a new key it begins again. */
export function ThinkRing({ seconds, after, showMe }: RingProps) {
  const [passed, setPassed] = useState(-1);
  useEffect(() => {
    const start = performance.now() + after;
    const timer = setInterval(() => {
      const gone = Math.floor((performance.now() - start) / 250) / 4;
      setPassed(Math.min(gone, seconds));
      if (gone >= seconds) clearInterval(timer);
    }, 250);
    return () => clearInterval(timer);
  }, [seconds, after]);
  const left = Math.ceil(seconds - Math.max(0, passed));
  const over = passed >= seconds;
  const share = Math.max(0, passed) / seconds;
  const thinking = showMe && left <= 3 ? `Show me in ${left}` : 'They’re thinking';
  const done = showMe ? 'Show me!' : 'Now.';
  const words = over ? done : thinking;
  return (
    <div className="flex h-16 shrink-0 items-center gap-3 self-start" role="timer" aria-label="Time to think">
      <svg width="60" height="60" viewBox="0 0 60 60" aria-hidden="true">
        <circle cx="30" cy="30" r={RADIUS} fill="none" stroke="var(--color-line)" strokeWidth="7" />
        <circle
          cx="30"
          cy="30"
          r={RADIUS}
          fill="none"
          stroke="var(--color-slate)"
          strokeWidth="7"
          strokeDasharray={`${ROUND * share} ${ROUND}`}
          transform="rotate(-90 30 30)"
        />
        {!over && passed >= 0 && (
          <text x="30" y="38" textAnchor="middle" className="fill-ink font-word text-2xl font-bold">
            {left}
          </text>
        )}
      </svg>
      <span className="w-28 font-word leading-tight font-bold">{passed < 0 ? '' : words}</span>
    </div>
  );
}
