'use client';

import { stopLending } from '@/actions/lending';
import type { LendState } from '@/server/lending/lend';
import { Link } from '../kit/link';
import { unreached } from '../kit/unreached';
import { tellLending, useLending } from './use-lending';

const LOOK_MS = 10_000;

interface RedLineProps {
  readonly first: LendState;
  /** A line and nothing more, where the screen is full. */
  readonly thin?: boolean;
}

/** On every screen of this computer while tablets can come in: red, with the way to close it. */
export function RedLine({ first, thin = false }: RedLineProps) {
  const { state, look } = useLending(first, LOOK_MS);
  if (!state.session) return null;
  const count = state.tablets.length;
  const who = count === 1 ? 'One tablet can reach' : `${count || 'No'} tablets can reach`;
  const says = count ? `${who} this session.` : 'A tablet can join one session.';
  if (thin)
    return (
      <p role="status" className="fixed inset-x-0 top-0 z-20 h-1.5 bg-red">
        <span className="sr-only">{says}</span>
      </p>
    );
  const stop = async (): Promise<void> => {
    await stopLending().catch(unreached());
    await look();
    tellLending();
  };
  return (
    <div role="status" className="bg-red text-card print:hidden">
      <p className="mx-auto flex max-w-[82rem] flex-wrap items-center gap-x-5 px-4 py-1 sm:px-10">
        <span>{says}</span>
        <Link className="min-h-11 content-center underline" href={`/lend/${state.session}`}>
          Show it
        </Link>
        <button type="button" className="min-h-11 underline" onClick={() => void stop()}>
          Close the way in
        </button>
      </p>
    </div>
  );
}
