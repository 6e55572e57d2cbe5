'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { removeOwnWord } from '@/actions/words';
import { Alert } from '../kit/alert';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { removeWord as say } from './text';

/** Takes a word of ours out, asking once. */
export function RemoveWord({ word }: { word: string }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  return (
    <>
      <Button onClick={() => setOpen(true)}>{say.removeIt}</Button>
      <Alert
        open={open}
        onOpenChange={setOpen}
        title={say.removeLine(word)}
        description={say.leavesWordsSets}
        keep={say.keepIt}
        does={say.remove(word)}
        busy={busy}
        onDo={() =>
          begin(async () => {
            const answer = await removeOwnWord(word);
            if (answer.ok) router.push('/words');
            else setError(answer.error);
          })
        }
      >
        {error && <ErrorMessage>{error}</ErrorMessage>}
      </Alert>
    </>
  );
}
