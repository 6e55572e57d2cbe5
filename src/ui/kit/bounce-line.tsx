import { clsx } from 'clsx';
import type { CSSProperties, ReactNode } from 'react';
import type { Mark } from '@/core/games/view';
import type { Making } from '@/core/phonology/consonants';
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

const ADVICE: Readonly<Record<Making, string>> = { clip: 'clip', hold: 'hold', light: 'say it lightly', vowel: '' };

/** What the line says to someone who cannot see it. Example: "4 sounds: s l u g; hold s, hold l, clip g". */
function lineInWords(marks: readonly Mark[], count: number): string {
  const advice = marks
    .filter((m) => ADVICE[m.making])
    .map((m) => `${ADVICE[m.making]} ${m.label}`)
    .join(', ');
  const labels = marks.map((m) => m.label).join(' ');
  return `${count} ${count === 1 ? 'sound' : 'sounds'}: ${labels}${advice ? `; ${advice}` : ''}`;
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
  const asked = spot === null ? undefined : marks[spot];
  return `${moved.length ? `; ${moved.join(', ')}` : ''}${asked ? `; asked for: ${asked.label}` : ''}`;
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

const SHAPE_WORDS: Readonly<Record<Making, string>> = { vowel: 'vowel', hold: 'held', clip: 'short', light: 'light' };

/** What the shapes say, where they first appear. */
export const ShapesKey = () => (
  <p className="mb-1.5 flex flex-wrap items-center gap-x-5 gap-y-1 text-[0.95rem] text-muted">
    {(['hold', 'clip', 'light', 'vowel'] as const).map((making) => (
      <span key={making} className="flex items-center gap-1.5">
        <MarkShape making={making} /> {SHAPE_WORDS[making]}
      </span>
    ))}
  </p>
);

const gapBefore = ({ close }: Mark, index: number): number => {
  if (index === 0) return 0;
  return close ? SIZE.close : SIZE.gap;
};

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
    size === 'list'
      ? `${Math.min(0.25, LIST_WIDTH / total)}px`
      : `calc(min(1px, ${room ?? '100cqw'} / ${total + 8}) * var(--fit, 1))`;
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
        {marks.map((mark, i) => (
          <OneMark
            key={i}
            at={i}
            mark={mark}
            before={marks[i - 1]}
            full={size === 'full'}
            state={states?.[i] ?? 'plain'}
            sign={lifts || spot === i ? signOf(spot === i, lifts?.[i]) : null}
            lift={lifts?.[i]}
            labels={labels}
            letters={letters}
            onTap={onTap}
          />
        ))}
      </div>
    </div>
  );
}

/** What stands over a mark: an arrow where it is asked for, lifts out or drops in. */
function signOf(asked: boolean, lift: 'up' | 'down' | undefined): string {
  if (asked) return '▾';
  if (!lift) return '';
  return lift === 'up' ? '↑' : '↓';
}

interface OneMarkProps {
  readonly at: number;
  readonly mark: Mark;
  readonly before: Mark | undefined;
  /** At full size, with its label. */
  readonly full: boolean;
  readonly state: MarkState;
  /** What stands over it; null where nothing stands over any. */
  readonly sign: string | null;
  readonly lift: 'up' | 'down' | undefined;
  readonly labels: boolean;
  readonly letters: boolean;
  readonly onTap: ((index: number) => void) | undefined;
}

function OneMark(props: OneMarkProps) {
  const { at, mark, before, full, state, sign, lift, labels, onTap } = props;
  const style: CSSProperties = {
    ...(lift ? { transform: `translateY(calc(${lift === 'up' ? -16 : 0} * var(--u)))` } : {}),
    marginLeft: `calc(${gapBefore(mark, at)} * var(--u))`,
    width: `calc(${WIDTHS[mark.making]} * var(--u))`,
  };
  const inner = (
    <>
      {full && sign !== null && (
        <span
          aria-hidden="true"
          className="font-word leading-none font-bold text-green"
          style={{
            fontSize: 'max(calc(20px * var(--fit, 1)), calc(44 * var(--u)))',
            height: 'max(calc(22px * var(--fit, 1)), calc(48 * var(--u)))',
          }}
        >
          {sign}
        </span>
      )}
      <span className="relative">
        <Shape making={mark.making} state={state} />
        {mark.fused && <Underline width={WIDTHS[mark.making] + gapBefore(mark, at)} before={before} full={full} />}
      </span>
      {full && <Label {...props} />}
    </>
  );
  if (!onTap) {
    return (
      <span className="mark relative flex flex-col items-center" style={style}>
        {inner}
      </span>
    );
  }
  return (
    <button
      type="button"
      className="mark relative flex min-h-16 flex-col items-center rounded-lg"
      style={style}
      aria-pressed={state === 'missed'}
      onClick={() => onTap(at)}
    >
      {inner}
      {!labels && <span className="sr-only">{mark.label}</span>}
      <span className="sr-only">: missed</span>
    </button>
  );
}

/** The sound's label, its own letters where they are shown, and a word that has it. */
function Label({ at, mark, labels, letters }: Pick<OneMarkProps, 'at' | 'mark' | 'labels' | 'letters'>) {
  return (
    <span
      className={clsx('pointer-events-none flex flex-col items-center font-word leading-none', at === 0 && 'w-full')}
      style={{
        fontSize: 'max(calc(22px * var(--fit, 1)), calc(58 * var(--u)))',
        minHeight: 'calc(92 * var(--u))',
        visibility: labels ? 'visible' : 'hidden',
      }}
    >
      {mark.label}
      {letters && mark.letters && (
        <span
          className="mt-1 border-t-2 border-line-strong pt-1 text-green"
          style={{ fontSize: 'max(calc(20px * var(--fit, 1)), 0.8em)' }}
        >
          {mark.letters}
        </span>
      )}
      {mark.as && (
        <span
          className={clsx(
            'min-w-[3.4em] font-sans text-[calc(var(--small,1rem)*var(--fit,1))] leading-tight text-muted',
            at === 0 ? 'self-start' : 'text-center',
          )}
        >
          as in {mark.as}
        </span>
      )}
    </span>
  );
}

/** Units fused by the convention share one underline, drawn back over the gap to the mark before, over the labels. */
const Underline = ({ width, before, full }: { width: number; before: Mark | undefined; full: boolean }) => (
  <span
    aria-hidden="true"
    className="absolute bg-ink"
    style={{
      height: 'max(2px, calc(5 * var(--u)))',
      bottom: full ? 'calc(-8 * var(--u))' : '-3px',
      right: 0,
      width: `calc(${width + WIDTHS[sure(before).making]} * var(--u))`,
    }}
  />
);
