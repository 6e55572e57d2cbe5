'use client';

import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { makeBackup } from '@/actions/backups';
import type { Backups } from '@/server/whole/backups';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { unreached } from '../kit/unreached';
import { BackupKey } from './backup-key';
import { BackupPlan } from './backup-plan';
import { PutBack } from './put-back';

const when = (at: number): string => format(at, 'EEEE d MMMM yyyy, HH:mm');

/** Copies of everything in a folder, locked, and the way back from one. */
export function BackupsPart({ state }: { readonly state: Backups }) {
  const { folder, dailyAt, ready, lastAt, fault, copies, hasKey } = state;
  return (
    <section aria-labelledby="backups">
      <h2 id="backups" className="mb-2 text-2xl">
        Backups
      </h2>
      <p className="mb-3">
        A backup is a locked copy of everything. It’s made while you play, checked, and the last {KEPT} are kept. Only
        the key you print opens it.
      </p>
      <BackupPlan folder={folder ?? ''} dailyAt={folder ? (dailyAt ?? '') : '17:00'} />
      {folder && (
        <div className="mt-2">
          {!hasKey && <p className="mb-2">One more step: make the key that opens your backups.</p>}
          <div className="flex flex-wrap gap-3">
            {ready && <BackUpNow />}
            <BackupKey has={hasKey} />
          </div>
        </div>
      )}
      {ready && (
        <p className="mt-3" role="status">
          {lastAt ? `The last backup was made on ${when(lastAt)}.` : 'There is no backup yet.'} {fault}
        </p>
      )}
      {copies.length > 0 && (
        <>
          <h3 className="mt-5 mb-1 text-xl">Put a backup back</h3>
          <p className="mb-2 text-muted">
            Whoever you erased stays erased in what is put back. The older copies still hold them until they go.
          </p>
          <ul className="max-w-xl divide-y divide-line">
            {copies.map(({ name, at }) => (
              <li key={name} className="flex flex-wrap items-center justify-between gap-x-4">
                {when(at)} <PutBack name={name} at={when(at)} />
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** Backups kept in the folder. */
const KEPT = 14;

/** Makes one now, and says what is in it. */
function BackUpNow() {
  const [said, setSaid] = useState<string | null>(null);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  const make = (): void =>
    begin(async () => {
      const state = await makeBackup().catch(unreached('No backup was made.'));
      setSaid('said' in state ? (state.said ?? null) : null);
      setError(state.error ?? null);
      router.refresh();
    });
  return (
    <>
      <Button kind="action" onClick={make} disabled={running}>
        {running ? 'Making it …' : 'Back up now'}
      </Button>
      <p role="status" className={said ? 'self-center text-green' : 'sr-only'}>
        {said}
      </p>
      <ErrorMessage>{error}</ErrorMessage>
    </>
  );
}
