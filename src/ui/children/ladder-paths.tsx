'use client';

import { clsx } from 'clsx';
import { useState } from 'react';
import { capital } from '@/core/in-words';
import { STATE_WORDS } from '@/core/evidence/rule';
import type { ShownLadder, ShownRung } from '@/server/children/child-page';
import { Button } from '../kit/button';
import { Hop, StateSign } from './state-sign';

/** Something is known of a rung, or it is next; others are folded away. */
const isSeen = ({ state, now }: ShownRung): boolean => state !== 'not-enough' || now;

/** The ladders of which there is nothing to show, in words. */
function restWords(rest: readonly ShownLadder[]): string {
  const named = (played: boolean, words: string): string => {
    const names = rest.filter((l) => l.played === played).map((l) => l.name.toLowerCase());
    return names.length ? `${words}: ${names.join(', ')}. ` : '';
  };
  return named(true, 'Not enough seen yet') + named(false, 'Not started yet');
}

/** Every ladder that was begun, as a path of hops; a tap on one says how it is known. */
export function LadderPaths({ ladders }: { readonly ladders: readonly ShownLadder[] }) {
  const [every, setEvery] = useState(false);
  const shown = ladders.filter((l) => l.rungs.some(isSeen) || (every && l.played));
  const first = shown.find((l) => l.rungs.some((r) => r.now)) ?? shown[0];
  const [at, setAt] = useState<readonly [string, string] | null>(null);
  const ladder = shown.find((l) => l.id === at?.[0]) ?? first;
  const rung: ShownRung | undefined =
    ladder?.rungs.find((r) => r.id === at?.[1]) ??
    ladder?.rungs.find((r) => r.now) ??
    ladder?.rungs.find((r) => r.id === ladder.workingOn) ??
    ladder?.rungs.at(-1);
  if (!ladder || !rung)
    return (
      <p className="border-y border-line py-6 text-muted">The ladders appear here after a first turn on their own.</p>
    );
  return (
    <div>
      <ul className="divide-y divide-line border-y border-line">
        {shown.map((l) => (
          <li key={l.id} className="grid items-center gap-x-2 py-1 sm:grid-cols-[7.8rem_minmax(0,1fr)]">
            <h2 className="font-word text-[1.05rem] leading-tight font-bold">{l.name}</h2>
            <ol className="grid grid-cols-6 sm:grid-cols-8">
              {(every ? l.rungs : l.rungs.filter(isSeen)).map((r) => {
                const on = l.id === ladder.id && r.id === rung.id;
                return (
                  <li key={r.id}>
                    <button
                      type="button"
                      aria-pressed={on}
                      onClick={() => setAt([l.id, r.id])}
                      className={clsx(
                        'block h-full w-full max-w-[6.2rem] rounded-lg px-0.5',
                        on ? 'bg-card shadow-[0_0_0_1px_var(--color-line-strong)]' : 'hover:bg-card',
                      )}
                    >
                      <Hop state={r.state} now={r.now} />
                      <span
                        className={clsx(
                          'block pb-0.5 text-center text-[0.85rem] leading-tight',
                          r.state === 'not-enough' && !r.now ? 'text-muted' : '',
                        )}
                        aria-hidden="true"
                      >
                        {r.name}
                      </span>
                      <span className="sr-only">
                        {r.spoken}
                        {r.now ? ' Next.' : ''}
                      </span>
                    </button>
                  </li>
                );
              })}
            </ol>
          </li>
        ))}
      </ul>
      <div aria-live="polite" className="min-h-[5.4rem] pt-2.5">
        <p className="font-word text-lg leading-snug">
          <StateSign state={rung.state} />{' '}
          <b>
            {capital(rung.does)}: {STATE_WORDS[rung.state]}.
          </b>{' '}
          <span className="font-sans text-base">{rung.why}</span>
        </p>
        <p className="text-[0.95rem] text-muted">
          {restWords(ladders.filter((l) => !shown.includes(l)))}
          <Button kind="quiet" className="px-0" onClick={() => setEvery(!every)}>
            {every ? 'Only what we’ve seen' : 'Show every step'}
          </Button>
        </p>
      </div>
    </div>
  );
}
