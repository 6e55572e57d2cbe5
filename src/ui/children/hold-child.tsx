'use client';

import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { holdChild } from '@/actions/groups';
import type { Hold } from '@/server/people/hold';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { Initials } from '../kit/initials';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';

interface HoldProps {
  readonly child: { readonly id: string; readonly name: string };
  readonly hold: Hold | null;
}

/** Puts a child’s record on hold, or lifts the hold: while it lasts nothing of it is erased. */
export function HoldChild({ child, hold }: HoldProps) {
  const [open, setOpen] = useState(false);
  const [by, setBy] = useState('');
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  const decide = (): void =>
    begin(async () => {
      const state = await holdChild(child.id, !hold, by).catch(unreached('Nothing was changed.'));
      if (state.error) return setError(state.error);
      setOpen(false);
      setBy('');
      router.refresh();
    });
  return (
    <>
      {hold && (
        <p>
          On hold since {format(hold.at, 'd MMMM yyyy')} ({hold.by}): nothing of it can be erased.
        </p>
      )}
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        {hold ? 'Lift the hold…' : 'Put on hold…'}
      </button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title={hold ? `Lift the hold on ${child.name}?` : `Put ${child.name} on hold?`}
        description={
          hold
            ? 'Their record can be erased again.'
            : 'For a safeguarding concern or a request to see the record: while the hold lasts, nothing of it can be ' +
              'erased. Your setting’s lead decides.'
        }
      >
        <Initials value={by} onChange={setBy} whose="The lead’s initials" />
        <div className="mt-4 flex flex-wrap gap-3">
          <Button kind="action" onClick={decide} disabled={running || !by.trim()}>
            {hold ? 'Lift the hold' : 'Put on hold'}
          </Button>
          <Button onClick={() => setOpen(false)}>Leave it as it is</Button>
        </div>
        <ErrorMessage className="mt-3">{error}</ErrorMessage>
      </Dialog>
    </>
  );
}
