'use client';

import { useState, useTransition } from 'react';
import { keepAside } from '@/actions/words';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface AsideButtonProps {
  readonly groupId: string;
  readonly groupName: string;
  readonly word: string;
  /** It is put aside now. */
  readonly aside: boolean;
}

/** Puts a word aside for a group, or brings it back; no reason is asked. */
export function AsideButton({ groupId, groupName, word, aside }: AsideButtonProps) {
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  return (
    <>
      <Button
        disabled={busy}
        onClick={() =>
          begin(async () => {
            const answer = await keepAside(groupId, word, !aside).catch(unreached('Nothing was changed.'));
            setError(answer.ok ? '' : answer.error);
          })
        }
      >
        {aside ? `Bring ${word} back for ${groupName}` : `Not with ${groupName}`}
      </Button>
      <ErrorMessage>{error}</ErrorMessage>
    </>
  );
}
