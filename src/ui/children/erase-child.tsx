'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { eraseChild } from '@/actions/groups';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

/** Erases a child from the file, asked once, with all that goes named. */
export function EraseChild({ child }: { child: { readonly id: string; readonly name: string } }) {
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  return (
    <>
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        Erase {child.name}…
      </button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={`Erase ${child.name}?`}
        description={
          'This erases the name, every answer and note in every session, the chosen steps and the speech ' +
          'differences for good. A backup you made earlier still has them.'
        }
      >
        <div className="flex flex-wrap gap-3">
          <button type="button" className="plain" onClick={() => setOpen(false)}>
            Keep {child.name}
          </button>
          <button
            type="button"
            className="plain border-red text-red"
            disabled={running}
            onClick={() =>
              begin(async () => {
                const state = await eraseChild(child.id).catch(unreached('Nothing was erased.'));
                if (state.error) setError(state.error);
                else router.push('/children');
              })
            }
          >
            Erase {child.name} and their answers
          </button>
        </div>
        <ErrorMessage className="mt-4">{error}</ErrorMessage>
      </Dialog>
    </>
  );
}
