'use client';

import { clsx } from 'clsx';
import { groupBy } from '@/core/group-by';
import { capital, inWords, listed } from '@/core/in-words';
import { groupLine } from '@/core/telling/group-line';
import type { WhoWithWhom } from '@/server/children/who-with-whom';
import { PlayStep } from '../children/play-step';
import { Link } from '../kit/link';
import { Section } from '../kit/section';
import { Adults, ChangeGroups } from './change-groups';

interface WhoProps {
  readonly groupId: string;
  readonly who: WhoWithWhom;
  /** Beside the board, where there is little room. */
  readonly narrow?: boolean;
}
type Small = WhoWithWhom['grouping']['groups'][number];

const playLabel = (children: number) => `Play with ${children}`;
const nameIn =
  ({ names }: WhoWithWhom) =>
  (id: string): string =>
    names[id] ?? 'A child';

/** Who plays with whom, what, and why; those of today first. One tap plays it. */
export function WhoPlaysWithWhom({ groupId, who, narrow = false }: WhoProps) {
  const { grouping, days } = who;
  const byDay = groupBy(grouping.groups, (g) => g.day);
  return (
    <Section id="groups" title="Who plays with whom" heading="mb-0.5 text-2xl">
      <div className="mb-2 flex flex-wrap items-center gap-x-5">
        <Adults adults={who.adults} />
        <ChangeGroups groupId={groupId} who={who} />
      </div>
      {[...byDay].map(([day, groups]) => (
        <div key={day}>
          {grouping.days > 1 && <h3 className="mt-3 mb-1 font-bold">{days[day]}</h3>}
          <ul className="divide-y divide-line border-y border-line">
            {groups.map((small, at) => (
              <OneGroup key={small.children.join()} {...{ groupId, who, narrow, small }} main={day === 0 && at === 0} />
            ))}
          </ul>
        </div>
      ))}
      <Alone groupId={groupId} who={who} narrow={narrow} />
      {grouping.days > 1 && (
        <p className="mt-2 text-muted">{`Everyone has a turn within ${inWords(grouping.days)} days.`}</p>
      )}
    </Section>
  );
}

const grid = (narrow: boolean): string =>
  clsx(
    'grid items-center gap-x-8 gap-y-2 py-3',
    narrow ? 'sm:grid-cols-[minmax(0,1fr)_11rem] xl:grid-cols-1' : 'md:grid-cols-[minmax(0,1fr)_11rem]',
  );

interface OneProps extends WhoProps {
  readonly small: Small;
  readonly main: boolean;
}

/** Who, what, why, and a button. */
function OneGroup({ groupId, who, narrow = false, small, main }: OneProps) {
  const { children, away, adult, game, reason } = small;
  const nameOf = nameIn(who);
  return (
    <li className={grid(narrow)}>
      <div className="min-w-0">
        <p className="font-word text-xl wrap-anywhere">
          {listed(children.map(nameOf))}
          {adult && <span className="font-sans text-base text-muted"> with {adult}</span>}
        </p>
        <p className="text-lg">{capital(game.does)}</p>
        <p className="text-[0.95rem] text-muted">
          {groupLine(reason, nameOf, game.own)}
          {away.length > 0 && ` ${listed(away.map(nameOf))} ${away.length === 1 ? 'is' : 'are'} away.`}
        </p>
      </div>
      <PlayStep
        groupId={groupId}
        step={{ ...game.step, own: game.own }}
        does={`${game.does}, ${listed(children.map(nameOf))}`}
        childIds={children}
        name={playLabel(children.length)}
        main={main}
        wide
      />
    </li>
  );
}

/** Who fits in no group: a turn alone, two minutes each. */
function Alone({ groupId, who, narrow = false }: WhoProps) {
  const { grouping, steps, days } = who;
  const nameOf = nameIn(who);
  if (!grouping.alone.length) return null;
  return (
    <>
      <h3 className="mt-3 mb-1 font-bold">Two minutes alone</h3>
      <ul className="divide-y divide-line border-y border-line">
        {grouping.alone.map(({ id, day }) => (
          <li key={id} className={grid(narrow)}>
            <div className="min-w-0">
              <p className="font-word text-xl wrap-anywhere">
                {nameOf(id)}
                {day > 0 && <span className="font-sans text-base text-muted"> {days[day]?.replace(/^T/, 't')}</span>}
              </p>
              <p className="text-lg">{capital(steps[id]?.does ?? 'everything here is secure')}</p>
              <p className="text-[0.95rem] text-muted">
                {steps[id]?.isNew ? (
                  <>
                    Nobody has played with {nameOf(id)} yet.{' '}
                    <Link className="underline underline-offset-4" href={`/children/${id}`}>
                      Find their step
                    </Link>
                  </>
                ) : (
                  'Not in a group for now.'
                )}
              </p>
            </div>
            {steps[id] && (
              <PlayStep
                groupId={groupId}
                step={steps[id]}
                does={`${steps[id].does}, ${nameOf(id)}`}
                childIds={[id]}
                name="Play alone"
                wide
              />
            )}
          </li>
        ))}
      </ul>
    </>
  );
}

const ago = (days: number): string =>
  days < 14 ? `${days} ${days === 1 ? 'day' : 'days'}` : `${Math.round(days / 7)} weeks`;

/** What held and has not been heard for long; one tap plays it with those whose time has come. */
export function DueList({ groupId, who: { due, names } }: WhoProps) {
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
