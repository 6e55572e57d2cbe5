import type { CSSProperties, ReactNode } from 'react';
import type { Mark } from '@/core/games/item';
import type { Making } from '@/core/phonology/sounds';
import { sure } from '@/core/sure';

/** The longest a line may be in a list; a long word's marks are smaller. */
const LIST_WIDTH = 178;

/** Full-size proportions, in units of `--u`. */
const SIZE = { lens: 150, bar: 140, light: 70, hop: 118, height: 74, gap: 50, close: 14, stroke: 5, dot: 14 } as const;

const WIDTHS: Readonly<Record<Making, number>> = {
  vowel: SIZE.lens,
  hold: SIZE.bar,
  light: SIZE.light,
  clip: SIZE.hop,
};

export type MarkState = 'plain' | 'lit' | 'missed';

const ADVICE: Readonly<Record<Making, string>> = { clip: 'clip', hold: 'hold', light: 'say lightly', vowel: '' };

/** What the line says to someone who cannot see it. Example: "4 sounds: s l u g; hold s, hold l, clip g". */
export function lineInWords(marks: readonly Mark[], count: number): string {
  const advice = marks
    .filter((m) => ADVICE[m.making])
    .map((m) => `${ADVICE[m.making]} ${m.label}`)
    .join(', ');
  return `${count} ${count === 1 ? 'sound' : 'sounds'}: ${marks.map((m) => m.label).join(' ')}${advice ? `; ${advice}` : ''}`;
}

/** What moves on the line, or is asked for, in words. */
function changeInWords(
  marks: readonly Mark[],
  lifts: Readonly<Record<number, 'up' | 'down'>> | undefined,
  spot: number | null,
): string {
  const moved = Object.entries(lifts ?? {}).map(
    ([i, way]) => `${marks[Number(i)]?.label ?? ''} ${way === 'up' ? 'leaves' : 'drops in'}`,
  );
  return `${moved.length ? `; ${moved.join(', ')}` : ''}${spot === null || !marks[spot] ? '' : `; asked for: ${marks[spot].label}`}`;
}

/** One mark: the shape says how the sound is made; fill is kept for time and result. */
function Shape({ making, state }: { making: Making; state: MarkState }) {
  const width = WIDTHS[making];
  const mid = SIZE.height - 27;
  const colour = state === 'lit' ? 'var(--color-marigold)' : 'var(--color-ink)';
  const hollow = state === 'missed';
  const body = {
    fill: hollow ? 'none' : colour,
    stroke: colour,
    strokeWidth: SIZE.stroke,
    strokeDasharray: hollow ? '11 9' : undefined,
  };
  const line = {
    fill: 'none',
    stroke: colour,
    strokeWidth: SIZE.stroke,
    strokeLinecap: 'round' as const,
    strokeDasharray: hollow ? '11 9' : undefined,
  };
  const shapes: Record<Making, ReactNode> = {
    vowel: (
      <path
        d={`M3 ${mid} Q${width / 2} ${mid - 52} ${width - 3} ${mid} Q${width / 2} ${mid + 52} 3 ${mid}Z`}
        {...body}
        strokeLinejoin="round"
      />
    ),
    hold: <rect x={3} y={mid - 10} width={width - 6} height={20} rx={10} {...body} />,
    light: <rect x={3} y={mid - 10} width={width - 6} height={20} rx={10} {...body} />,
    clip: (
      <>
        <path d={`M4 ${mid + 2} C 26 ${mid - 66}, 66 ${mid - 66}, 98 ${mid - 8}`} {...line} />
        <circle
          cx={width - SIZE.dot - 3}
          cy={mid + 2}
          r={SIZE.dot}
          {...body}
          strokeDasharray={hollow ? '7 6' : undefined}
        />
      </>
    ),
  };
  return (
    <svg
      viewBox={`0 0 ${width} ${SIZE.height}`}
      aria-hidden="true"
      style={{ width: `calc(${width} * var(--u))`, height: `calc(${SIZE.height} * var(--u))` }}
    >
      {shapes[making]}
    </svg>
  );
}

/** One mark alone, for a chart or a heading. */
export const MarkShape = ({ making, large = false }: { making: Making; large?: boolean }) => (
  <span className="bounce-line mark block" style={{ '--u': large ? '0.7px' : '0.2px' } as CSSProperties}>
    <Shape making={making} state="plain" />
  </span>
);

const gapBefore = (mark: Mark, index: number): number => (index === 0 ? 0 : mark.close ? SIZE.close : SIZE.gap);

/** How long a line is, in its own units. */
export const lineLength = (marks: readonly Mark[]): number =>
  marks.reduce((sum, mark, i) => sum + WIDTHS[mark.making] + gapBefore(mark, i), 0);

interface BounceLineProps {
  readonly marks: readonly Mark[];
  readonly count: number;
  readonly size: 'list' | 'full';
  readonly labels?: boolean;
  /** State of each mark; all plain where absent. */
  readonly states?: readonly MarkState[];
  /** Marks that lift out (`up`) or drop in (`down`). */
  readonly lifts?: Readonly<Record<number, 'up' | 'down'>>;
  /** The sound asked for. */
  readonly spot?: number | null;
  /** Show each sound’s own letters under its label. */
  readonly letters?: boolean;
  /**
   * How wide the line may be, as a CSS length. Where it is not known the line asks its surroundings, which costs the
   * browser a second look.
   */
  readonly room?: string;
  /** Where given, each mark is a button. */
  readonly onTap?: ((index: number) => void) | undefined;
}

/** The bounce line: every sound of a word as a mark on a line. Drawn here and nowhere else. */
export function BounceLine({
  marks,
  count,
  size,
  labels = size === 'full',
  states,
  lifts,
  spot = null,
  letters = false,
  room,
  onTap,
}: BounceLineProps) {
  const total = lineLength(marks);
  const unit =
    size === 'list' ? `${Math.min(0.25, LIST_WIDTH / total)}px` : `min(1px, calc(${room ?? '100cqw'} / ${total + 8}))`;
  const tappable = onTap !== undefined;
  return (
    <div style={size === 'full' && !room ? { containerType: 'inline-size' } : undefined}>
      <div
        className="bounce-line flex w-max items-start"
        style={{ '--u': unit } as CSSProperties}
        role={tappable ? 'group' : 'img'}
        aria-label={
          tappable ? 'Tap a sound that was missed' : `${lineInWords(marks, count)}${changeInWords(marks, lifts, spot)}`
        }
      >
        {marks.map((mark, i) => {
          const state = states?.[i] ?? 'plain';
          const inner = (
            <>
              {size === 'full' && (lifts || spot === i) && (
                <span
                  aria-hidden="true"
                  className="font-word leading-none font-bold text-green"
                  style={{ fontSize: 'max(20px, calc(44 * var(--u)))', height: 'max(22px, calc(48 * var(--u)))' }}
                >
                  {spot === i ? '▾' : lifts?.[i] ? (lifts[i] === 'up' ? '↑' : '↓') : ''}
                </span>
              )}
              <Shape making={mark.making} state={state} />
              {size === 'full' && (
                <span
                  className="flex flex-col items-center font-word leading-none"
                  style={{
                    fontSize: 'max(22px, calc(58 * var(--u)))',
                    minHeight: 'calc(92 * var(--u))',
                    visibility: labels ? 'visible' : 'hidden',
                  }}
                >
                  {mark.label}
                  {letters && mark.letters && (
                    <span
                      className="mt-1 border-t-2 border-line-strong pt-1 text-green"
                      style={{ fontSize: 'max(20px, 0.8em)' }}
                    >
                      {mark.letters}
                    </span>
                  )}
                  {mark.as && (
                    <span className="text-center font-sans text-base leading-tight text-muted">as in {mark.as}</span>
                  )}
                </span>
              )}
            </>
          );
          const lift = lifts?.[i];
          const style: CSSProperties = {
            ...(lift ? { transform: `translateY(calc(${lift === 'up' ? -16 : 0} * var(--u)))` } : {}),
            marginLeft: `calc(${gapBefore(mark, i)} * var(--u))`,
            width: `calc(${WIDTHS[mark.making]} * var(--u))`,
          };
          // Units fused by the convention share one underline, drawn back over the gap to the mark before.
          const underline = mark.fused && (
            <span
              aria-hidden="true"
              className="absolute bg-ink"
              style={{
                height: 'max(2px, calc(5 * var(--u)))',
                bottom: size === 'full' ? 'calc(-6 * var(--u))' : '-3px',
                right: 0,
                width: `calc(${WIDTHS[mark.making] + gapBefore(mark, i) + WIDTHS[sure(marks[i - 1]).making]} * var(--u))`,
              }}
            />
          );
          return onTap ? (
            <button
              key={i}
              type="button"
              className="mark relative flex min-h-16 flex-col items-center rounded-lg"
              style={style}
              aria-pressed={state === 'missed'}
              onClick={() => onTap(i)}
            >
              {inner}
              {underline}
              {!labels && <span className="sr-only">{mark.label}</span>}
              <span className="sr-only">: missed</span>
            </button>
          ) : (
            <span key={i} className="mark relative flex flex-col items-center" style={style}>
              {inner}
              {underline}
            </span>
          );
        })}
      </div>
    </div>
  );
}
