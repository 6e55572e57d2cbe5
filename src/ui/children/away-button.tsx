'use client';

import { clsx } from 'clsx';
import { useOptimistic, useTransition } from 'react';
import { markAway } from '@/actions/groups';
import { awayButton as say } from './text';

/** Here or away today, in one tap. */
export function AwayButton({
  child,
  named = true,
}: {
  child: { readonly id: string; readonly name: string; readonly away: boolean };
  named?: boolean;
}) {
  const [away, setAway] = useOptimistic(child.away);
  const [, begin] = useTransition();
  return (
    <button
      type="button"
      className={clsx(
        'flex min-h-14 items-center justify-between gap-3 rounded-lg text-left hover:bg-card',
        named ? 'w-full px-1' : 'px-3',
      )}
      onClick={() =>
        begin(async () => {
          setAway(!away);
          await markAway(child.id, !away);
        })
      }
    >
      <span className={named ? `min-w-0 font-word text-xl wrap-anywhere ${away ? 'text-muted' : ''}` : 'sr-only'}>
        {child.name}
        {!named && ': '}
      </span>
      <span className="shrink-0 text-muted">{away ? say.awayToday : 'here'}</span>
    </button>
  );
}
