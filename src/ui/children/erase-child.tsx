'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { eraseChild } from '@/actions/groups';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { eraseChild as say } from './text';

/** Erases a child from the file, asked once, with all that goes named. */
export function EraseChild({ child }: { child: { readonly id: string; readonly name: string } }) {
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  return (
    <>
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        {say.erase(child.name)}
      </button>
      <Dialog open={open} onOpenChange={setOpen} title={say.eraseLine(child.name)} description={say.nameEveryAnswer}>
        <div className="flex flex-wrap gap-3">
          <button type="button" className="plain" onClick={() => setOpen(false)}>
            {say.keep(child.name)}
          </button>
          <button
            type="button"
            className="plain border-red text-red"
            disabled={running}
            onClick={() =>
              begin(async () => {
                const state = await eraseChild(child.id).catch(() => ({
                  error: say.serverCannotReached,
                }));
                if (state.error) setError(state.error);
                else router.push('/children');
              })
            }
          >
            {say.eraseAnswers(child.name)}
          </button>
        </div>
        {error && (
          <div className="mt-4">
            <ErrorMessage>{error}</ErrorMessage>
          </div>
        )}
      </Dialog>
    </>
  );
}
