'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { removeOwnWord } from '@/actions/words';
import { Alert } from '../kit/alert';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

/** Takes a word of ours out, asking once. */
export function RemoveWord({ word }: { word: string }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  return (
    <>
      <Button onClick={() => setOpen(true)}>Remove it</Button>
      <Alert
        open={open}
        onOpenChange={setOpen}
        title={`Remove ${word}?`}
        description="This removes it from your words, sets and prop shelf. Sessions you’ve played keep it."
        keep="Keep it"
        does={`Remove ${word}`}
        busy={busy}
        onDo={() =>
          begin(async () => {
            const answer = await removeOwnWord(word).catch(unreached('Nothing was changed.'));
            if (answer.ok) router.push('/words');
            else setError(answer.error);
          })
        }
      >
        <ErrorMessage>{error}</ErrorMessage>
      </Alert>
    </>
  );
}
