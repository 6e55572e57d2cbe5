'use client';

import { useState, useTransition } from 'react';
import { tickSpellings } from '@/actions/words';
import { unreached } from '../kit/unreached';

/** A spelling with its sound, as it is ticked. */
export interface ToTick {
  readonly spelling: string;
  readonly keys: string;
}

/** Today as the server keeps it (yyyy-MM-dd), by the clock of the place. */
export const dayOfToday = (): string => new Date().toLocaleDateString('en-CA');

/** Ticks spellings at once; says what did not arrive. */
export function useTicks(groupId: string) {
  const [error, setError] = useState('');
  const [running, begin] = useTransition();
  const tick = (of: readonly ToTick[], taught: boolean, on: string | null): void =>
    begin(async () => {
      const plain = of.map(({ spelling, keys }) => ({ spelling, keys, on }));
      const answer = await tickSpellings(groupId, { of: plain, taught }).catch(
        unreached('Your last tick wasn’t saved.'),
      );
      setError(answer.ok ? '' : answer.error);
    });
  return { tick, error, running };
}
