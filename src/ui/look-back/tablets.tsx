'use client';

import { useState, useTransition } from 'react';
import { takeBackTablet } from '@/actions/lending';
import type { LookBack } from '@/server/sessions/look-back';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface TabletsProps {
  readonly sessionId: string;
  readonly tablets: LookBack['tablets'];
}

/** What tablets marked in this session; all of one can be taken back at once. */
export function Tablets({ sessionId, tablets }: TabletsProps) {
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  if (!tablets.length) return null;
  const takeBack = (tablet: string): void =>
    begin(async () => {
      const taken = await takeBackTablet(sessionId, tablet).catch(unreached('Nothing was taken back.'));
      setError(taken.ok ? '' : taken.error);
    });
  return (
    <div className="mt-4">
      <ul>
        {tablets.map(({ tablet, marks }) => (
          <li key={tablet} className="flex flex-wrap items-center gap-x-4">
            <span>
              <b>{tablet} tablet</b>, {marks === 1 ? '1 mark' : `${marks} marks`}
            </span>
            <Button disabled={busy} onClick={() => takeBack(tablet)}>
              Take {marks === 1 ? 'it' : 'them all'} back
            </Button>
          </li>
        ))}
      </ul>
      <ErrorMessage>{error}</ErrorMessage>
    </div>
  );
}
