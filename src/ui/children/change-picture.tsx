import { scaleBand, scaleLinear } from 'd3-scale';
import { sure } from '@/core/sure';
import type { SkillChange } from '@/core/telling/half-term';

const ROW = 26;
const SIZE = { width: 620, left: 130, right: 90 } as const;

const inWords = ({ name, before, now, of }: SkillChange): string =>
  `${name}: ${before} of ${of} six weeks ago, ${now} now`;

/** Skill by skill: how many children held a step six weeks ago (open) and hold one now (filled). */
export function ChangePicture({ change }: { readonly change: readonly SkillChange[] }) {
  const height = ROW * change.length + 8;
  const x = scaleLinear()
    .domain([0, Math.max(1, ...change.map((c) => c.of))])
    .range([SIZE.left, SIZE.width - SIZE.right]);
  const y = scaleBand<string>()
    .domain(change.map((c) => c.name))
    .range([4, height - 4]);
  return (
    <figure className="mt-5 break-inside-avoid print:mt-2.5">
      <figcaption className="mb-1 text-2xl print:mb-0.5 print:text-lg">Children who have something secure</figcaption>
      <svg
        viewBox={`0 0 ${SIZE.width} ${height}`}
        className="h-auto w-full"
        role="img"
        aria-label={change.map(inWords).join('. ')}
      >
        {change.map((c) => {
          const at = sure(y(c.name)) + y.bandwidth() / 2;
          return (
            <g key={c.name}>
              <text x={SIZE.left - 12} y={at + 5} textAnchor="end" className="fill-ink text-[15px]">
                {c.name}
              </text>
              <line x1={x(0)} x2={x(c.of)} y1={at} y2={at} className="stroke-line" strokeWidth={2} />
              <line x1={x(c.before)} x2={x(c.now)} y1={at} y2={at} className="stroke-ink" strokeWidth={4} />
              <circle cx={x(c.before)} cy={at} r={6} className="fill-paper stroke-ink" strokeWidth={2} />
              <circle cx={x(c.now)} cy={at} r={6} className="fill-ink" />
              <text x={x(c.of) + 14} y={at + 5} className="fill-muted text-[14px]">
                {c.before} → {c.now} of {c.of}
              </text>
            </g>
          );
        })}
      </svg>
      <p className="text-muted">Open: six weeks ago. Filled: now. Only children who have played that skill.</p>
    </figure>
  );
}
