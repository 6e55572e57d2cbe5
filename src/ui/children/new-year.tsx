'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { beginNewYear } from '@/actions/groups';
import { counted, listed } from '@/core/in-words';
import { Alert } from '../kit/alert';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { Link } from '../kit/link';
import { ErrorMessage } from '../kit/message';
import { Select } from '../kit/select';
import { unreached } from '../kit/unreached';

interface YearGroup {
  readonly id: string;
  readonly name: string;
  /** How many are on its list. */
  readonly children: number;
}

/** A group’s choice in words, for the question before it is done; null where its children stay. */
function becomes(group: YearGroup, to: string, groups: readonly YearGroup[]): string | null {
  const whose = `${counted(group.children, 'child', 'children')} of ${group.name}`;
  if (to === 'stay' || !group.children) return null;
  if (to === 'leave') return `${whose} will leave the list`;
  return `${whose} will go to ${groups.find((g) => g.id === to)?.name ?? ''}`;
}

/** The start of a school year: what becomes of each group’s children, all at once. */
export function NewYear({ groups }: { readonly groups: readonly YearGroup[] }) {
  const [choice, setChoice] = useState<Readonly<Record<string, string>>>({});
  const [asks, setAsks] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const router = useRouter();
  const changes = groups.flatMap((g) => becomes(g, choice[g.id] ?? 'stay', groups) ?? []);
  const go = (): void =>
    begin(async () => {
      const state = await beginNewYear(choice).catch(unreached('Nothing was changed.'));
      if (state.error) return setError(state.error);
      router.push('/children');
    });
  return (
    <div className="max-w-3xl">
      <h1 className="mb-2 text-4xl">A new school year</h1>
      <p className="mb-5 text-lg text-muted">
        Say where each group’s children go; it’s done for all of them at once. Their answers go with them. If somebody
        goes elsewhere, move them afterwards from their own menu.
      </p>
      <div className="flex flex-col gap-4">
        {groups.map((group) => (
          <Field
            key={group.id}
            htmlFor={`year-${group.id}`}
            label={
              <b>
                {group.name} ({counted(group.children, 'child', 'children')})
              </b>
            }
          >
            <Select
              id={`year-${group.id}`}
              value={choice[group.id] ?? 'stay'}
              onChange={(to) => setChoice({ ...choice, [group.id]: to })}
              options={[
                ['stay', 'stay where they are'],
                ...groups.filter((g) => g.id !== group.id).map((g): [string, string] => [g.id, `go to ${g.name}`]),
                ['leave', 'leave the list'],
              ]}
            />
          </Field>
        ))}
      </div>
      <div className="mt-6 flex flex-wrap gap-3">
        <Button kind="action" disabled={!changes.length} onClick={() => setAsks(true)}>
          Begin the new year …
        </Button>
        <Link className="plain" href="/children">
          Not now
        </Link>
      </div>
      <Alert
        open={asks}
        onOpenChange={setAsks}
        title="Begin the new year?"
        description={`${listed(changes)}. Whoever leaves the list can be brought back.`}
        keep="Not yet"
        does="Begin the new year"
        busy={running}
        onDo={go}
      >
        <ErrorMessage className="mt-3">{error}</ErrorMessage>
      </Alert>
    </div>
  );
}
