'use client';

import { clsx } from 'clsx';
import { useOptimistic, useTransition } from 'react';
import { markAway } from '@/actions/groups';
import { Switch } from '../kit/switch';

interface AwaySwitchProps {
  readonly child: {
    readonly id: string;
    readonly name: string;
    readonly away: boolean;
  };
  /** With the name as its label; else the name stands beside it. */
  readonly named?: boolean;
}

/** Here or away today, in one tap. */
export function AwaySwitch({ child: { id, name, away: was }, named = true }: AwaySwitchProps) {
  const [away, setAway] = useOptimistic(was);
  const [, begin] = useTransition();
  return (
    <Switch
      label={
        <>
          <span className={named ? clsx('font-word text-xl wrap-anywhere', away && 'text-muted') : 'sr-only'}>
            {name}
          </span>{' '}
          <span className="text-[0.95rem] text-muted">{away ? 'away today' : 'here'}</span>
        </>
      }
      on={!away}
      onChange={(here) =>
        begin(async () => {
          setAway(!here);
          await markAway(id, !here);
        })
      }
    />
  );
}
