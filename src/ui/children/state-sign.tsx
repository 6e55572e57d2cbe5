import type { State } from '@/core/evidence/rule';

/**
 * One hop of a path: solid where it holds, dashed where it comes, thin and open where it does not yet, dotted where
 * too little was seen.
 */
export function Hop({
  state,
  now,
  width = 92,
  height = 38,
}: {
  state: State;
  now: boolean;
  width?: number;
  height?: number;
}) {
  const plain = state === 'not-enough' ? 'var(--color-line-strong)' : 'var(--color-ink)';
  const colour = now ? 'var(--color-marigold)' : plain;
  const dash = { secure: undefined, 'getting-there': '9 6', 'not-yet': undefined, 'not-enough': '1.5 6' }[state];
  const [x, y, r] = [width - 14, height - 10, 7];
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden="true"
      className="mx-auto block h-auto max-w-full"
    >
      <path
        d={`M4 ${height - 6} C ${width * 0.24} ${-height * 0.16}, ${width * 0.62} ${-height * 0.16}, ${x - 3} ${y - 6}`}
        fill="none"
        stroke={colour}
        strokeWidth={state === 'not-yet' ? 2 : 4}
        strokeLinecap="round"
        strokeDasharray={dash}
      />
      <Dot state={state} now={now} cx={x} cy={y} r={r} />
    </svg>
  );
}

interface DotProps {
  readonly state: State;
  readonly now: boolean;
  /** Where its middle is, and half its width, in the units of the drawing. */
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
}

function Dot({ state, now, cx, cy, r }: DotProps) {
  const colour = now ? 'var(--color-marigold)' : 'var(--color-ink)';
  if (state === 'secure') return <circle cx={cx} cy={cy} r={r} fill={colour} />;
  if (state === 'not-enough')
    return (
      <circle
        cx={cx}
        cy={cy}
        r={now ? r - 1 : 4}
        fill={now ? 'var(--color-paper)' : 'var(--color-line-strong)'}
        stroke={now ? colour : 'none'}
        strokeWidth="3"
      />
    );
  return (
    <>
      <circle cx={cx} cy={cy} r={r - 1} fill="var(--color-paper)" stroke={colour} strokeWidth="3" />
      {state === 'getting-there' && (
        <path d={`M${cx} ${cy - r + 1} a${r - 1} ${r - 1} 0 0 0 0 ${2 * (r - 1)}z`} fill={colour} />
      )}
    </>
  );
}

/** The sign alone, beside a word: told apart by shape. */
export const StateSign = ({ state }: { state: State }) => (
  <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true" className="inline-block shrink-0 align-[-2px]">
    <Dot state={state} now={false} cx={8} cy={8} r={7} />
  </svg>
);
