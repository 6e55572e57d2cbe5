'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, useTransition } from 'react';
import { importPlanFile, lookAtPlanFile } from '@/actions/plans';
import type { PlanReport } from '@/server/plans/plans';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { sure } from '@/core/sure';

const leftOutForAccent = (lost: number) =>
  `${lost} ${lost === 1 ? 'item doesn’t' : 'items don’t'} work in your accent, so we left ` +
  `${lost === 1 ? 'it' : 'them'} out`;

/** A plan from a file: reported on round by round; nothing is kept until a person says so. */
export function ImportPlan({ groupId }: { groupId: string }) {
  const router = useRouter();
  const id = useId();
  const [read, setRead] = useState<{ text: string; report: PlanReport } | null>(null);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  const choose = (file: File | undefined): void => {
    if (!file) return;
    begin(async () => {
      const text = await file.text();
      const answer = await lookAtPlanFile(groupId, text);
      setError(answer.ok ? '' : answer.error);
      setRead(answer.ok ? { text, report: answer.value } : null);
    });
  };
  const keep = (): void =>
    begin(async () => {
      const answer = await importPlanFile(groupId, sure(read).text);
      if (answer.ok) router.push(`/plan/${answer.value}`);
      else setError(answer.error);
    });
  const report = read?.report;
  return (
    <section aria-labelledby={`${id}h`}>
      <h2 id={`${id}h`} className="mb-1 text-2xl">
        Open a plan from a file
      </h2>
      <p className="mb-2 text-muted">
        Open a plan that someone saved as a file. You’ll see every round before anything is saved.
      </p>
      <label htmlFor={id} className="plain w-full cursor-pointer has-focus-visible:outline-3">
        {busy ? 'Reading…' : 'Choose a file'}
        <input
          id={id}
          type="file"
          accept=".json,application/json"
          className="sr-only"
          disabled={busy}
          onChange={(e) => {
            choose(e.target.files?.[0]);
            e.target.value = '';
          }}
        />
      </label>
      <div aria-live="polite" className="mt-3">
        {error && <ErrorMessage>{error}</ErrorMessage>}
        {report?.fault && <ErrorMessage>{report.fault} Nothing was imported.</ErrorMessage>}
        {report && (
          <>
            {report.title && <h3 className="text-xl wrap-anywhere">{report.title}</h3>}
            <ul className="mb-3 divide-y divide-line border-y border-line empty:border-0">
              {report.rounds.map((round) => (
                <li key={round.name} className="py-1.5">
                  {round.name} <span className={round.why ? 'text-red' : 'text-muted'}>{stateOf(round)}</span>
                </li>
              ))}
            </ul>
            {report.usable && (
              <div className="flex gap-2">
                <Button kind="action" className="flex-1" disabled={busy} onClick={keep}>
                  Save this plan
                </Button>
                <Button onClick={() => setRead(null)}>Don’t save it</Button>
              </div>
            )}
          </>
        )}
      </div>
    </section>
  );
}

/** Whether a round of the file can be used, and what of it. */
function stateOf({ why, lost }: PlanReport['rounds'][number]): string {
  if (why) return `left out: ${why}`;
  if (!lost) return 'can be used';
  return leftOutForAccent(lost);
}
