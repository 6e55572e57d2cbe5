import { millisecondsInDay } from 'date-fns/constants';
import { scaleBand, scaleLinear } from 'd3-scale';
import { stack } from 'd3-shape';
import { format } from 'date-fns';
import type { Week } from '@/core/evidence/history';
import { sure } from '@/core/sure';

const SIZE = { width: 620, height: 150, left: 28, bottom: 24, top: 8 } as const;
const PARTS = ['own', 'practised', 'notYet', 'noReply'] as const;
const NAMES: Readonly<Record<(typeof PARTS)[number], string>> = {
  own: 'on their own',
  practised: 'with help or as practice',
  notYet: 'not yet',
  noReply: 'no reply',
};
const FILL: Readonly<Record<(typeof PARTS)[number], string>> = {
  own: 'var(--color-ink)',
  practised: 'url(#helped)',
  notYet: 'var(--color-paper)',
  noReply: 'var(--color-line)',
};

/**
 * Weeks from left to right: filled what came alone, striped what came with help or as practice, open what did not come
 * yet.
 */
export function HistoryChart({ weeks }: { weeks: readonly Week[] }) {
  if (!weeks.length) return <p className="text-muted">Week-by-week results appear here once you’ve played.</p>;
  const most = Math.max(...weeks.map((w) => PARTS.reduce((sum, p) => sum + w[p], 0)), 4);
  const x = scaleBand<number>()
    .domain(weeks.map((w) => w.monday))
    .range([SIZE.left, SIZE.width])
    .padding(0.28);
  const band = Math.min(x.bandwidth(), 56);
  const y = scaleLinear()
    .domain([0, most])
    .nice()
    .range([SIZE.height - SIZE.bottom, SIZE.top]);
  const layers = stack<Week, (typeof PARTS)[number]>().keys([...PARTS])([...weeks]);
  const words = weeksInWords(weeks);
  const every = Math.ceil(weeks.length / 8);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        className="h-auto w-full max-w-[44rem]"
        role="img"
        aria-label={words}
      >
        <Stripes />
        {y.ticks(3).map((t) => (
          <Tick key={t} t={t} y={y} />
        ))}
        {layers.map((layer) =>
          layer.map((part) =>
            part[1] > part[0] ? (
              <rect
                key={`${layer.key} ${part.data.monday}`}
                x={sure(x(part.data.monday)) + (x.bandwidth() - band) / 2}
                width={band}
                y={y(part[1])}
                height={y(part[0]) - y(part[1])}
                fill={FILL[layer.key]}
                stroke="var(--color-ink)"
                strokeWidth="1.2"
              />
            ) : null,
          ),
        )}
        {weeks.map((w, i) =>
          i % every === 0 ? (
            <text
              key={w.monday}
              x={sure(x(w.monday)) + x.bandwidth() / 2}
              y={SIZE.height - 6}
              textAnchor="middle"
              fontSize="13"
              fill="var(--color-muted)"
            >
              {format(w.monday * millisecondsInDay, 'd MMM')}
            </text>
          ) : null,
        )}
      </svg>
      <Key />
    </figure>
  );
}

/** The filling for what came with help. */
function Stripes() {
  return (
    <defs>
      <pattern id="helped" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--color-card)" />
        <rect width="2.6" height="6" fill="var(--color-slate)" />
      </pattern>
    </defs>
  );
}

/** A line across, with how many answers it stands for. */
function Tick({ t, y }: { readonly t: number; readonly y: (value: number) => number }) {
  return (
    <g>
      <line x1={SIZE.left} x2={SIZE.width} y1={y(t)} y2={y(t)} stroke="var(--color-line)" />
      <text
        x={SIZE.left - 6}
        y={y(t)}
        textAnchor="end"
        dominantBaseline="middle"
        fontSize="13"
        fill="var(--color-muted)"
      >
        {t}
      </text>
    </g>
  );
}

/** What each filling stands for. */
function Key() {
  return (
    <figcaption className="flex flex-wrap gap-x-5 text-[0.95rem] text-muted">
      {PARTS.map((p) => (
        <span key={p} className="flex items-center gap-2">
          <svg width="16" height="16" aria-hidden="true">
            <rect x="1" y="1" width="14" height="14" fill={FILL[p]} stroke="var(--color-ink)" />
          </svg>
          {NAMES[p]}
        </span>
      ))}
    </figcaption>
  );
}

/** The chart, week by week, for someone who cannot see it. */
function weeksInWords(weeks: readonly Week[]): string {
  return weeks
    .map(
      (w) =>
        `Week of ${format(w.monday * millisecondsInDay, 'd MMMM')}: ${
          PARTS.filter((p) => w[p])
            .map((p) => `${w[p]} ${NAMES[p]}`)
            .join(', ') || 'nothing played'
        }`,
    )
    .join('. ');
}
