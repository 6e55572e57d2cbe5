'use client';

import { clsx } from 'clsx';
import type { Item } from '@/core/games/item';
import { modelLine } from './model-line';
import { isTold } from './run/catches';
import { useRun } from './use-run';

/** What is right, for the adult; the whole of it while it is modelled. */
export function AnswerLine() {
  const item = useRun((run) => run.item);
  const modelling = useRun((run) => run.modelling);
  // A hunt and a story show what is right in their own place.
  const elsewhere = useRun((run) => run.hunting || isTold(run.item));
  const covered = useRun((run) => run.view.covered);
  if (!item) return null;
  return (
    <div className={clsx('border-l-[6px] border-slate pl-3', elsewhere && !modelling && 'hidden')} data-part="answer">
      {covered ? (
        <p className="text-muted">Hidden while children can see the screen.</p>
      ) : (
        <p className="flex min-w-0 flex-wrap items-baseline gap-x-4">
          <span
            data-answer
            className={clsx('font-word leading-tight font-bold', modelling ? 'text-[1.5em]' : 'big-3 roomy:text-[2em]')}
          >
            <span className="sr-only">{modelling ? 'Model: ' : 'Listen for: '}</span>
            {modelling ? modelLine(item) : item.expected}
          </span>
          <span className="text-[0.9em] leading-snug text-muted roomy:text-[1em]">
            {moreOf(item)}
            {item.contested && <span className="ml-2">({item.contested})</span>}
          </span>
        </p>
      )}
    </div>
  );
}

const moreOf = ({ view, count, meaning }: Item): string =>
  view.kind === 'line' ? [count ? `${count} sounds` : '', meaning].filter(Boolean).join(' · ') : '';
