'use client';

import { useOptimistic, useTransition } from 'react';
import { markAway } from '@/app/actions';

/** Here or away today, in one tap. */
export function AwayButton({ child }: { child: { readonly id: string; readonly name: string; readonly away: boolean } }) {
  const [away, setAway] = useOptimistic(child.away);
  const [, begin] = useTransition();
  return (
    <button
      type="button" className="flex min-h-14 w-full items-center justify-between gap-3 px-1 text-left hover:bg-card"
      onClick={() => begin(async () => {
        setAway(!away);
        await markAway(child.id, !away);
      })}
    >
      <span className={`min-w-0 wrap-anywhere font-word text-xl ${away ? 'text-muted' : ''}`}>{child.name}</span>
      <span className="shrink-0 text-muted">{away ? 'away today' : 'here'}</span>
    </button>
  );
}
