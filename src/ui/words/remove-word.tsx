'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { removeOwnWord } from '@/actions/words';
import { Dialog } from '../kit/dialog';
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
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        {say.removeIt}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={say.removeLine(word)} description={say.leavesWordsSets}>
        {error && (
          <div className="mb-3">
            <ErrorMessage>{error}</ErrorMessage>
          </div>
        )}
        <button
          type="button"
          className="action w-full"
          disabled={busy}
          onClick={() =>
            begin(async () => {
              const answer = await removeOwnWord(word);
              if (answer.ok) router.push('/words');
              else setError(answer.error);
            })
          }
        >
          {say.remove(word)}
        </button>
      </Dialog>
    </>
  );
}
