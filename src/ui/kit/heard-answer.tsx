import { clsx } from 'clsx';
import type { Heard } from '@/core/answers/heard';
import { lineText, type Bit } from '@/core/answers/line-text';

/** A lost sound is struck through beyond its edges: a bar as wide as a letter would be read as part of it. */
const LOST = 'text-red line-through decoration-2 px-[0.18em]';

/** What was said, sound by sound. */
function Line({ line, small }: { readonly line: readonly Bit[]; readonly small: boolean }) {
  const parted = line.some(({ tied }, i) => i > 0 && !tied);
  return (
    <>
      <span className="sr-only">{lineText(line)}</span>
      <span
        aria-hidden="true"
        className={clsx(
          'inline-flex flex-wrap items-baseline font-word leading-[1.15]',
          small && 'text-[max(calc(0.95rem*var(--fit,1)),0.7em)] text-muted',
        )}
      >
        {line.map(({ label, as, lost, tied }, i) => (
          <span key={i} className={clsx('inline-flex items-baseline', i > 0 && !parted && 'ml-[0.26em]')}>
            {i > 0 && !tied && <span className="px-[0.3em]">·</span>}
            <span className={lost && LOST}>{label}</span>
            {as && (
              <small className="ml-0.5 font-sans text-[max(calc(0.8rem*var(--fit,1)),0.6em)] text-muted">{as}</small>
            )}
          </span>
        ))}
      </span>
    </>
  );
}

/** An answer as it was heard: the word or its respelling, and under it the small line that cannot be misread. */
export function HeardAnswer({ show, line }: Heard) {
  if (!line) return <span className="font-word">{show}</span>;
  if (show === null) return <Line line={line} small={false} />;
  return (
    <span className="inline-flex flex-col items-start leading-[1.15]">
      <span className="font-word">{show}</span>
      <Line line={line} small />
    </span>
  );
}
