'use client';

import { clsx } from 'clsx';
import { capital, listed } from '@/core/in-words';
import { groupBy } from '@/core/group-by';
import type { Tomorrow } from '@/server/children/progress';
import { PlayStep } from '../children/play-step';
import { Section } from '../kit/section';

const howGrouped = (staff: number, afterEachOther: boolean): string =>
  [
    'Grouped by each child’s next step, three to six in a group,',
    staff === 1 ? 'with one adult.' : `with ${staff} adults.`,
    afterEachOther && 'There are more groups than adults, so they take turns.',
    'You can change the number of adults in Settings.',
  ]
    .filter(Boolean)
    .join(' ');

const notSeenYet = (list: string, of: number) =>
  `${list} ${of === 1 ? 'has' : 'have'} not had a turn yet: a good place to start.`;

const playLabel = (children: number) => `Play with ${children}`;

interface TomorrowProps {
  readonly groupId: string;
  readonly tomorrow: Tomorrow;
}

/** Who could work together, what each group would play, and what had to give; one tap plays it. */
export function TomorrowGroups({ groupId, tomorrow, narrow = false }: TomorrowProps & { readonly narrow?: boolean }) {
  const { grouping, staff } = tomorrow;
  const nameOf = (id: string): string => tomorrow.names[id] ?? 'A child';
  return (
    <Section id="groups" title="Who could work together" heading="mb-0.5 text-2xl">
      <p className="mb-2 text-muted">{howGrouped(staff, grouping.afterEachOther)}</p>
      <ul className="divide-y divide-line border-y border-line">
        {grouping.groups.map((g, at) => (
          <li
            key={g.children.join()}
            className={clsx(
              'grid items-center gap-x-8 gap-y-2 py-3.5',
              narrow ? 'sm:grid-cols-[minmax(0,1fr)_11rem] xl:grid-cols-1' : 'md:grid-cols-[minmax(0,1fr)_11rem]',
            )}
          >
            <div className="min-w-0">
              <h3 className="text-xl">{capital(g.step.rungOf.does)}</h3>
              <p className="font-word text-lg wrap-anywhere">{listed(g.children.map(nameOf))}</p>
              {[...groupBy(g.gave, (gave) => gave.own?.rungOf.does ?? '')].map(([does, of]) => (
                <p key={does} className="text-[0.95rem] text-muted">
                  {does
                    ? `The next step for ${listed(of.map((o) => nameOf(o.id)))} would be: ${does}.`
                    : notSeenYet(listed(of.map((o) => nameOf(o.id))), of.length)}
                </p>
              ))}
            </div>
            <PlayStep
              groupId={groupId}
              step={g.step}
              does={g.step.rungOf.does}
              childIds={g.children}
              name={playLabel(g.children.length)}
              main={narrow && at === 0}
              wide
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

const ago = (days: number): string =>
  days < 14 ? `${days} ${days === 1 ? 'day' : 'days'}` : `${Math.round(days / 7)} weeks`;

/** What held and has not been heard for long; one tap plays it with those whose time has come. */
export function DueList({ groupId, tomorrow: { due, names } }: TomorrowProps) {
  if (!due.length) return null;
  return (
    <Section id="due" title="Due again" heading="mb-1 text-2xl" className="mt-8">
      <p className="mb-1 text-muted">They could do these; a quick round keeps them fresh.</p>
      <ul className="divide-y divide-line border-y border-line">
        {due.slice(0, 6).map((d) => (
          <li key={`${d.ladder} ${d.rung}`} className="py-2.5">
            <p className="font-word text-lg leading-tight">{capital(d.does)}</p>
            <p className="mb-2 text-[0.95rem] text-muted">
              {listed(d.children.map((id) => names[id] ?? 'A child'))}; last played {ago(d.days)} ago
            </p>
            <PlayStep
              groupId={groupId}
              step={d}
              does={d.does}
              childIds={d.children}
              name={playLabel(d.children.length)}
              wide
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}
