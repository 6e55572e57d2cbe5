'use client';

import { useOptimistic, useState, useTransition } from 'react';
import { keepProp } from '@/actions/words';
import { ErrorMessage } from '../kit/message';
import { ownTick as say } from './text';

/** Says whether the setting owns a thing; shown at once, put back where it could not be kept. */
export function OwnTick({ word, owned, label = say.weOwnOne }: { word: string; owned: boolean; label?: string }) {
  const [shown, show] = useOptimistic(owned);
  const [error, setError] = useState('');
  const [, begin] = useTransition();
  return (
    <>
      <label className="flex min-h-12 cursor-pointer items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-green"
          checked={shown}
          onChange={(e) => {
            const next = e.target.checked;
            begin(async () => {
              show(next);
              const answer = await keepProp(word, next);
              setError(answer.ok ? '' : answer.error);
            });
          }}
        />
        <span>{label}</span>
      </label>
      {error && <ErrorMessage>{error}</ErrorMessage>}
    </>
  );
}
