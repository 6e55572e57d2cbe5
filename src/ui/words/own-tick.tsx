'use client';

import { useOptimistic, useState, useTransition } from 'react';
import { keepProp } from '@/actions/words';
import { Checkbox } from '../kit/checkbox';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

/** Says whether the setting owns a thing; shown at once, put back where it could not be kept. */
export function OwnTick({ word, owned, label = 'We have one' }: { word: string; owned: boolean; label?: string }) {
  const [shown, show] = useOptimistic(owned);
  const [error, setError] = useState('');
  const [, begin] = useTransition();
  return (
    <>
      <Checkbox
        label={label}
        checked={shown}
        onChange={(next) =>
          begin(async () => {
            show(next);
            const answer = await keepProp(word, next).catch(unreached('Nothing was changed.'));
            setError(answer.ok ? '' : answer.error);
          })
        }
      />
      <ErrorMessage>{error}</ErrorMessage>
    </>
  );
}
