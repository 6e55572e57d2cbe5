'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { keepBackupKey, makeBackupKey } from '@/actions/backups';
import type { KeyPair } from '@/file/keys';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';
import { Initials } from '../kit/initials';

const OLDER = ' Older backups still need the key you had then.';

/** Makes the key that opens backups: shown once, to be printed or written down, and kept nowhere. */
export function BackupKey({ has }: { readonly has: boolean }) {
  const [key, setKey] = useState<KeyPair | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const make = (): void =>
    begin(async () => {
      const made = await makeBackupKey().catch(unreached('No key was made.'));
      if (made.ok) setKey(made.value);
      else setError(made.error);
    });
  return (
    <>
      <Button onClick={make} disabled={running}>
        {has ? 'Make a new key …' : 'Make the key …'}
      </Button>
      <ErrorMessage className="mt-2">{error}</ErrorMessage>
      <Dialog
        open={key !== null}
        onOpenChange={(open) => !open && setKey(null)}
        title="The key to your backups"
        description={
          'Print it, or write the 24 words down, and keep it away from this computer. We don’t keep it: without it ' +
          `nobody can open a backup, and nobody can help.${has ? OLDER : ''}`
        }
      >
        {key && <Shown keys={key} close={() => setKey(null)} />}
      </Dialog>
    </>
  );
}

/** The key as words and as it is, and the way on once it is in safe hands. */
function Shown({ keys, close }: { readonly keys: KeyPair; readonly close: () => void }) {
  const [safe, setSafe] = useState(false);
  const [by, setBy] = useState('');
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  const keep = (): void =>
    begin(async () => {
      const state = await keepBackupKey(keys.recipient, by).catch(unreached('The key isn’t in use yet.'));
      if (state.error) return setError(state.error);
      close();
      router.refresh();
    });
  return (
    <>
      <div className="print-alone">
        <p className="hidden print:block">The key to the backups of Bouncy Echo. Keep it away from the computer.</p>
        <ol className="grid list-decimal grid-cols-2 gap-x-8 pl-8 font-word text-lg sm:grid-cols-3">
          {keys.words.split(' ').map((word, i) => (
            <li key={i}>{word}</li>
          ))}
        </ol>
        <p className="mt-4 text-sm break-all text-muted">
          Or for another program (age): <span data-testid="identity">{keys.identity}</span>
        </p>
      </div>
      <p className="my-4">
        <Button onClick={() => window.print()}>Print the key</Button>
      </p>
      <label className="flex min-h-12 items-center gap-3">
        <input
          type="checkbox"
          className="size-6 shrink-0 accent-green"
          checked={safe}
          onChange={(event) => setSafe(event.target.checked)}
        />
        The key is printed or written down.
      </label>
      <Initials value={by} onChange={setBy} />
      <div className="mt-3 flex flex-wrap gap-3">
        <Button kind="action" onClick={keep} disabled={!safe || running}>
          Use this key
        </Button>
        <Button onClick={close}>Don’t use it</Button>
      </div>
      <ErrorMessage className="mt-3">{error}</ErrorMessage>
    </>
  );
}
