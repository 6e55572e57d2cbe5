'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { closeBackup, openBackup, putBackupBack } from '@/actions/backups';
import { counted } from '@/core/in-words';
import type { Looked } from '@/server/whole/restore';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { Field } from '../kit/field';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';
import { Initials } from '../kit/initials';

interface PutBackProps {
  readonly name: string;
  /** When it was made, in words. */
  readonly at: string;
}

/** What is in a backup, and what would go, before anything is done. */
function whatItHolds({ children, sessions, sessionsThatGo, childrenThatGo }: Looked): string {
  const holds = `It holds ${counted(children, 'child', 'children')} and ${counted(sessions, 'session')}.`;
  const gone = [
    ...(sessionsThatGo ? [counted(sessionsThatGo, 'session')] : []),
    ...(childrenThatGo ? [counted(childrenThatGo, 'child', 'children')] : []),
  ].join(' and ');
  const goes = gone
    ? ` What has come since will go: ${gone}. Marks that devices still have are added again.`
    : ' Nothing that came since will go.';
  return holds + goes;
}

/** Puts a backup in the place of the data: opened with its key, told what would go, asked once. */
export function PutBack({ name, at }: PutBackProps) {
  const [open, setOpen] = useState(false);
  const close = (): void => {
    setOpen(false);
    void closeBackup().catch(unreached('The opened backup goes at the next start.'));
  };
  return (
    <>
      <Button kind="quiet" onClick={() => setOpen(true)}>
        Put back …<span className="sr-only"> {at}</span>
      </Button>
      <Dialog open={open} onOpenChange={(on) => !on && close()} title={`The backup of ${at}`}>
        {open && <Steps name={name} close={close} done={() => setOpen(false)} />}
      </Dialog>
    </>
  );
}

interface StepsProps {
  readonly name: string;
  readonly close: () => void;
  readonly done: () => void;
}

function Steps({ name, close, done }: StepsProps) {
  const [key, setKey] = useState('');
  const [by, setBy] = useState('');
  const [looked, setLooked] = useState<Looked | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  const look = (): void =>
    begin(async () => {
      setError(null);
      const found = await openBackup(name, key).catch(unreached('Nothing was changed.'));
      if (found.ok) setLooked(found.value);
      else setError(found.error);
    });
  const put = (): void =>
    begin(async () => {
      const state = await putBackupBack(name, by).catch(unreached('Reload to see how it stands.'));
      if (state.error) return setError(state.error);
      done();
      router.refresh();
    });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        (looked ? put : look)();
      }}
    >
      {looked ? (
        <>
          <p className="mb-4">{whatItHolds(looked)}</p>
          <Initials value={by} onChange={setBy} />
        </>
      ) : (
        <Field
          htmlFor="backup-key"
          label="Its key"
          hint="The 24 words you printed, or the line that starts with AGE-SECRET-KEY."
        >
          <textarea
            id="backup-key"
            className="field w-full"
            rows={4}
            maxLength={600}
            autoComplete="off"
            spellCheck={false}
            value={key}
            onChange={(event) => setKey(event.target.value)}
          />
        </Field>
      )}
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          kind={looked ? 'plain' : 'action'}
          className={looked ? 'border-red text-red' : ''}
          type="submit"
          disabled={running || (!looked && !key.trim())}
        >
          {looked ? 'Put this backup back' : 'Open it'}
        </Button>
        <Button onClick={close}>Leave everything as it is</Button>
      </div>
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
    </form>
  );
}
