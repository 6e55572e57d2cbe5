'use client';

import { clsx } from 'clsx';
import type { Item } from '@/core/games/item';
import { modelLine } from './model-line';
import { ROLE, Tag } from './tag';
import { isTold } from './run/catches';
import { useRun } from './use-run';
import { answerLine as say } from './text';

/** What is right, for the adult; the whole of it while it is modelled. */
export function AnswerLine() {
  const item = useRun((run) => run.item);
  const modelling = useRun((run) => run.modelling);
  // A hunt and a story show what is right in their own place.
  const elsewhere = useRun((run) => run.hunting || isTold(run.item));
  const covered = useRun((run) => run.view.covered);
  if (!item) return null;
  return (
    <div className={`flex min-h-[2.7rem] items-baseline gap-4 ${elsewhere && !modelling ? 'hidden' : ''}`}>
      <Tag tone={ROLE.listen}>{modelling ? say.model : say.listen}</Tag>
      {covered ? (
        <p className="text-muted">{say.hiddenWhileChildren}</p>
      ) : (
        <p className="flex min-w-0 flex-wrap items-baseline gap-x-4">
          <span
            data-answer
            className={clsx(
              'font-word leading-none font-bold',
              modelling ? 'text-3xl' : 'text-[2.5rem] max-xl:text-[2rem]',
            )}
          >
            {modelling ? modelLine(item) : item.expected}
          </span>
          <span className="text-muted">
            {moreOf(item)}
            {item.contested && <span className="ml-2">({item.contested})</span>}
          </span>
        </p>
      )}
    </div>
  );
}

const moreOf = ({ view, count, meaning }: Item): string =>
  view.kind === 'line' ? [count ? say.sounds(count) : '', meaning].filter(Boolean).join(' · ') : '';
