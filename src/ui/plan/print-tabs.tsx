'use client';

import { clsx } from 'clsx';
import { useActionState } from 'react';
import { printTickGrid } from '@/actions/papers';
import { Link } from '../kit/link';
import { ErrorMessage } from '../kit/message';
import { PrintButton } from '../words/print-button';

const tab = (on: boolean): string =>
  clsx(
    'flex min-h-12 items-center rounded-full border px-4',
    on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card',
  );

/** What of a plan goes on paper. The tick grid gets a number, so it is made when it is asked for. */
export function PrintTabs({ planId, at }: { readonly planId: string; readonly at: 'page' | 'grid' | 'cards' }) {
  const [{ error }, act, busy] = useActionState(printTickGrid, {});
  const link = (as: 'page' | 'cards', name: string) => (
    <Link
      href={`/print/plans/${planId}?as=${as}`}
      aria-current={at === as ? 'page' : undefined}
      className={tab(at === as)}
    >
      {name}
    </Link>
  );
  return (
    <nav aria-label="Printing" className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
      <Link className="quiet px-1" href={`/plan/${planId}`}>
        The plan
      </Link>
      {link('page', 'One page for the wall')}
      <form action={act}>
        <input type="hidden" name="plan" value={planId} />
        <button
          type="submit"
          disabled={busy}
          aria-current={at === 'grid' ? 'page' : undefined}
          className={tab(at === 'grid')}
        >
          Tick grid
        </button>
      </form>
      {link('cards', 'Picture cards')}
      <PrintButton />
      <ErrorMessage>{error}</ErrorMessage>
    </nav>
  );
}
