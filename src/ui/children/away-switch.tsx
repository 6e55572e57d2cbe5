'use client';

import { clsx } from 'clsx';
import { useOptimistic, useState, useTransition } from 'react';
import { markAway } from '@/actions/groups';
import { ErrorMessage } from '../kit/message';
import { Switch } from '../kit/switch';
import { unreached } from '../kit/unreached';

interface AwaySwitchProps {
  readonly child: {
    readonly id: string;
    readonly name: string;
    readonly away: boolean;
    readonly notTheirDay: boolean;
  };
  /** With the name as its label; else the name stands beside it. */
  readonly named?: boolean;
}

/** Here or away today, in one tap. */
export function AwaySwitch({ child: { id, name, away: was, notTheirDay }, named = true }: AwaySwitchProps) {
  const [away, setAway] = useOptimistic(was);
  const [error, setError] = useState<string | null>(null);
  const [, begin] = useTransition();
  const gone = notTheirDay ? 'not their day' : 'away today';
  return (
    <>
      <Switch
        label={
          <>
            <span className={named ? clsx('font-word text-xl wrap-anywhere', away && 'text-muted') : 'sr-only'}>
              {name}
            </span>{' '}
            <span className="text-[0.95rem] text-muted">{away ? gone : 'here'}</span>
          </>
        }
        on={!away}
        onChange={(here) =>
          begin(async () => {
            setAway(!here);
            const state = await markAway(id, !here).catch(unreached('Nothing was changed.'));
            setError(state.error ?? null);
          })
        }
      />
      <ErrorMessage>{error}</ErrorMessage>
    </>
  );
}
