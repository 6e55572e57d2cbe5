'use client';

import { useOptimistic, useState, useTransition } from 'react';
import { newSmallGroups, putInGroup } from '@/actions/groups';
import { keepStaff } from '@/actions/settings';
import { listed } from '@/core/in-words';
import type { WhoWithWhom } from '@/server/children/who-with-whom';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { Select, SelectField } from '../kit/select';
import { unreached } from '../kit/unreached';

const MOST_ADULTS = 8;
const COUNTS = Array.from({ length: MOST_ADULTS }, (_, i): [string, string] => [String(i + 1), String(i + 1)]);

/** How many adults can take a group today; kept as it is chosen. */
export function Adults({ adults: kept }: { readonly adults: number }) {
  const [adults, setAdults] = useOptimistic(kept);
  const [error, setError] = useState<string | null>(null);
  const [, begin] = useTransition();
  const choose = (next: string): void =>
    begin(async () => {
      setAdults(Number(next));
      const state = await keepStaff(next).catch(unreached('Nothing was changed.'));
      setError(state.error ?? null);
    });
  return (
    <div>
      <SelectField inline label="Adults in today" value={String(adults)} onChange={choose} options={COUNTS} />
      <ErrorMessage>{error}</ErrorMessage>
    </div>
  );
}

interface ChangeProps {
  readonly groupId: string;
  readonly who: WhoWithWhom;
}
const ALONE = 'alone';

/** Moves a child to another group, or makes all of them anew. */
export function ChangeGroups({ groupId, who }: ChangeProps) {
  const [open, setOpen] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  const { grouping, names, byHand } = who;
  const nameOf = (id: string): string => names[id] ?? 'A child';
  const members = grouping.groups.map((g) => [...g.children, ...g.away]);
  const run = (act: () => Promise<{ readonly error?: string }>): void =>
    begin(async () => {
      const state = await act().catch(unreached('Nothing was changed.'));
      setError(state.error ?? null);
    });
  const homeOf = (id: string): string => members.find((m) => m.includes(id))?.find((m) => m !== id) ?? ALONE;
  const choices = (id: string): (readonly [string, string])[] => [
    ...members.flatMap((m) => {
      const others = m.filter((x) => x !== id);
      const [first] = others;
      return first ? [[first, `with ${listed(others.map(nameOf))}`] as const] : [];
    }),
    [ALONE, 'on their own'],
  ];
  const everyone = [...members.flat(), ...grouping.alone.map((a) => a.id)].sort((a, b) =>
    nameOf(a).localeCompare(nameOf(b)),
  );
  return (
    <>
      <Button kind="quiet" onClick={() => setOpen(true)}>
        Change the groups
      </Button>
      <Dialog
        open={open}
        onOpenChange={setOpen}
        title="Change the groups"
        description={
          'The groups stay the same for a fortnight, then we make new ones. If you move someone, they stay as you ' +
          'put them until you ask for new groups.'
        }
      >
        <ul className="divide-y divide-line border-y border-line">
          {everyone.map((id) => (
            <li key={id} className="flex flex-wrap items-center gap-x-4 py-1.5">
              <span className="w-32 min-w-0 truncate font-word text-lg">{nameOf(id)}</span>
              <Select
                className="min-w-0 flex-1 basis-52"
                label={`${nameOf(id)} plays`}
                value={homeOf(id)}
                onChange={(to) => run(() => putInGroup(id, to === ALONE ? null : to))}
                options={choices(id)}
              />
            </li>
          ))}
        </ul>
        <ErrorMessage className="mt-3">{error}</ErrorMessage>
        <p role="status" className="mt-3 text-muted">
          {byHand ? 'You changed these groups, so they’ll stay as they are.' : ''}
        </p>
        <Button kind="plain" className="mt-3" disabled={running} onClick={() => run(() => newSmallGroups(groupId))}>
          Make new groups
        </Button>
      </Dialog>
    </>
  );
}
