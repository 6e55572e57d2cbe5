'use client';

import { useRouter } from 'next/navigation';
import { importPlanFile, lookAtPlanFile } from '@/actions/plans';
import type { PlanReport } from '@/server/plans/plans';
import { ImportFile } from '../kit/import-file';

const leftOutForAccent = (lost: number) =>
  `${lost} ${lost === 1 ? 'item doesn’t' : 'items don’t'} work in your accent, so we left ` +
  `${lost === 1 ? 'it' : 'them'} out`;

/** A plan from a file, reported on round by round. */
export function ImportPlan({ groupId }: { groupId: string }) {
  const router = useRouter();
  return (
    <ImportFile<PlanReport>
      heading="Open a plan from a file"
      about="Open a plan that someone saved as a file. You’ll see every round before anything is saved."
      accept=".json,application/json"
      look={(text) => lookAtPlanFile(groupId, text)}
      keep={(text) => importPlanFile(groupId, text)}
      onKept={(plan) => {
        router.push(`/plan/${plan}`);
        return '';
      }}
      keepLabel={({ usable }) => (usable ? 'Save this plan' : null)}
    >
      {({ title, rounds }) => (
        <>
          {title && <h3 className="text-xl wrap-anywhere">{title}</h3>}
          <ul className="mb-3 divide-y divide-line border-y border-line empty:border-0">
            {rounds.map((round) => (
              <li key={round.name} className="py-1.5">
                {round.name} <span className={round.why ? 'text-red' : 'text-muted'}>{stateOf(round)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </ImportFile>
  );
}

/** Whether a round of the file can be used, and what of it. */
function stateOf({ why, lost }: PlanReport['rounds'][number]): string {
  if (why) return `left out: ${why}`;
  if (!lost) return 'can be used';
  return leftOutForAccent(lost);
}
