'use client';

import { useState, useTransition } from 'react';
import { playStep } from '@/actions/sessions';
import { capital, listed } from '@/core/in-words';
import { groupBy } from '@/core/group-by';
import type { Tomorrow } from '@/server/children/progress';
import { ErrorMessage } from '../kit/message';
import { tomorrow as say } from './text';

/** Who could work together, what each group would play, and what had to give; one tap plays it. */
export function TomorrowGroups({ groupId, tomorrow }: { groupId: string; tomorrow: Tomorrow }) {
  const { grouping, staff } = tomorrow;
  const nameOf = (id: string): string => tomorrow.names[id] ?? say.aChild;
  return (
    <section aria-labelledby="groups" className="mt-10">
      <h2 id="groups" className="mb-0.5 text-2xl">
        {say.couldWorkTogether}
      </h2>
      <p className="mb-2 text-muted">{say.nextEachThree(staff, grouping.afterEachOther)}</p>
      <ul className="divide-y divide-line border-y border-line">
        {grouping.groups.map((g) => (
          <li
            key={g.children.join()}
            className="grid items-center gap-x-8 gap-y-2 py-3.5 md:grid-cols-[minmax(0,1fr)_11rem]"
          >
            <div className="min-w-0">
              <h3 className="text-xl">{capital(g.step.rungOf.does)}</h3>
              <p className="font-word text-lg wrap-anywhere">{listed(g.children.map(nameOf))}</p>
              {[...groupBy(g.gave, (gave) => gave.own?.rungOf.does ?? '')].map(([does, of]) => (
                <p key={does} className="text-[0.95rem] text-muted">
                  {does
                    ? say.wouldOtherwise(listed(of.map((o) => nameOf(o.id))), does)
                    : say.beenSeenYet(listed(of.map((o) => nameOf(o.id))), of.length)}
                </p>
              ))}
            </div>
            <PlayStep
              groupId={groupId}
              ladder={g.step.ladder}
              rung={g.step.rung}
              does={g.step.rungOf.does}
              childIds={g.children}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

interface PlayStepProps {
  readonly groupId: string;
  readonly ladder: string;
  readonly rung: string;
  readonly does: string;
  readonly childIds: readonly string[];
}

/** One tap into a ready session of a step with these children. */
function PlayStep({ groupId, ladder, rung, does, childIds }: PlayStepProps) {
  const [error, setError] = useState<string | null>(null);
  const [running, begin] = useTransition();
  return (
    <div>
      <button
        type="button"
        className="plain min-h-14 w-full"
        disabled={running}
        onClick={() =>
          begin(async () =>
            setError(
              (
                await playStep(groupId, { ladder, rung }, [...childIds]).catch(() => ({
                  error: say.serverCannotReached,
                }))
              )?.error ?? null,
            ),
          )
        }
      >
        {say.playWith(childIds.length)}
        <span className="sr-only">: {does}</span>
      </button>
      {error && (
        <div className="mt-2">
          <ErrorMessage>{error}</ErrorMessage>
        </div>
      )}
    </div>
  );
}

const ago = (days: number): string =>
  days < 14 ? `${days} ${days === 1 ? 'day' : 'days'}` : say.weeks(Math.round(days / 7));

/** What held and has not been heard for long; one tap plays it with those whose time has come. */
export function DueList({ groupId, tomorrow: { due, names } }: { groupId: string; tomorrow: Tomorrow }) {
  if (!due.length) return null;
  return (
    <section aria-labelledby="due" className="mt-8">
      <h2 id="due" className="mb-1 text-2xl">
        {say.dueAgain}
      </h2>
      <p className="mb-1 text-muted">{say.heldShortRound}</p>
      <ul className="divide-y divide-line border-y border-line">
        {due.slice(0, 6).map((d) => (
          <li key={`${d.ladder} ${d.rung}`} className="py-2.5">
            <p className="font-word text-lg leading-tight">{capital(d.does)}</p>
            <p className="mb-2 text-[0.95rem] text-muted">
              {listed(d.children.map((id) => names[id] ?? say.aChild))}
              {say.lastPlayedAgo(ago(d.days))}
            </p>
            <PlayStep groupId={groupId} ladder={d.ladder} rung={d.rung} does={d.does} childIds={d.children} />
          </li>
        ))}
      </ul>
    </section>
  );
}
