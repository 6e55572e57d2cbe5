import { format } from 'date-fns';
import type { ReactNode } from 'react';
import type { Group } from '@/server/people/groups';
import type { SessionLine } from '@/server/sessions/look-back';
import type { ReadySession } from '@/server/plans/today';
import { listed } from '@/core/in-words';
import { findGames, firstToFind } from '@/core/choosing/finding';
import { AwaySwitch } from '../children/away-switch';
import { FindNew } from '../children/find-where';
import { Collapsible } from '../kit/collapsible';
import { Link } from '../kit/link';
import { SessionLines } from '../look-back/session-lines';
import type { WhoWithWhom } from '@/server/children/who-with-whom';
import { DoorForm } from './door-form';
import { ReadyForms } from './ready-forms';
import { DueList, WhoPlaysWithWhom } from './who-with-whom';
import { GROUP_SIZE } from '@/core/choosing/company';
import { Section } from '../kit/section';

interface TodayProps {
  readonly group: Group;
  readonly sessions: readonly SessionLine[];
  readonly ready: readonly ReadySession[];
  readonly who: WhoWithWhom;
  /** The class has come back from a break. */
  readonly isBack: boolean;
  /** What there is to say of backups; null where all is well. */
  readonly backup: string | null;
  /** What stands above all else on the first day. */
  readonly children?: ReactNode;
}

/** Who is here, three sessions that make sense now, and what was played last. */
export function TodayScreen({ group, sessions, ready, who, isBack, backup, children }: TodayProps) {
  const here = group.children.filter((c) => !c.away);
  const open = sessions.find((s) => !s.finished);
  const { groups, alone } = who.grouping;
  // So few that they are one group whatever is asked: the ready sessions are for them.
  const inGroups = groups.length + alone.length > 1 || group.children.length >= 2 * GROUP_SIZE.least;
  return (
    <div className="grid gap-x-14 gap-y-8 lg:grid-cols-[minmax(0,1fr)_20rem] lg:grid-rows-[auto_1fr]">
      <div className="min-w-0">
        {children}
        <h1 className="text-4xl">Ready for {group.name}</h1>
        <p className="mb-3 text-lg text-muted">{format(new Date(), 'EEEE d MMMM')}</p>
        {isBack && (
          <p className="mb-5 border-l-4 border-marigold py-1 pl-4">
            Back from a break:{' '}
            <Link className="underline underline-offset-4" href={`/print/week-back/${group.id}`}>
              who could do what before, and what to look at again
            </Link>
          </p>
        )}
        {open && (
          <p className="mb-5 border-l-4 border-marigold py-1 pl-4">
            You haven’t finished “{open.title}”.{' '}
            <Link className="quiet px-1 text-ink" href={`/play/${open.id}`}>
              Carry on
            </Link>
          </p>
        )}
        {inGroups ? (
          <WhoPlaysWithWhom groupId={group.id} who={who} />
        ) : (
          <Ready groupId={group.id} ready={ready} under={false} />
        )}
      </div>
      <div className="min-w-0 lg:col-start-2 lg:row-span-2 lg:row-start-1">
        <Section id="here" title="Here today" heading="mb-1 text-2xl">
          <WhoIsHere group={group} />
          <ListLinks group={group} />
          <NewHere groupId={group.id} who={who} />
          {here.length > 0 && <DoorForm groupId={group.id} />}
          <DueList groupId={group.id} who={who} />
        </Section>
      </div>
      <div className="min-w-0">
        {inGroups && (
          <div className="mb-12">
            <h2 className="mb-2 text-2xl">Everyone together</h2>
            <Ready groupId={group.id} ready={ready} under />
          </div>
        )}
        <h2 className="mb-1 text-2xl">Lately</h2>
        {sessions.length ? (
          <SessionLines sessions={sessions} />
        ) : (
          <p className="text-muted">{group.name}’s sessions will appear here once you’ve played one.</p>
        )}
        {backup && (
          <p className="mt-8 text-muted">
            {backup}{' '}
            <Link className="underline underline-offset-4" href="/settings/our-data#backups">
              Look at backups
            </Link>
          </p>
        )}
      </div>
    </div>
  );
}

/** Who has come new: where they are is found in a few minutes. */
function NewHere({ groupId, who: { fresh, names } }: { readonly groupId: string; readonly who: WhoWithWhom }) {
  if (!fresh.length) return null;
  const children = fresh.map((id) => ({ id, name: names[id] ?? 'A child' }));
  return (
    <div className="mt-4 border-l-4 border-marigold py-1 pl-4">
      <FindNew groupId={groupId} games={findGames()} first={firstToFind([], false)} fresh={children} />
    </div>
  );
}

/** Who is here: on a phone in one line, with the switches behind it; beside the sessions all of them. */
function WhoIsHere({ group: { name, children } }: Pick<TodayProps, 'group'>) {
  if (!children.length)
    return <p className="mb-3 text-muted">No names yet. You can play all together, or add names first.</p>;
  const away = children.filter((c) => c.away);
  const gone = away.filter((c) => !c.notTheirDay).map((c) => c.name);
  const notToday = away.filter((c) => c.notTheirDay).map((c) => c.name);
  const line = [
    `${children.length - away.length} of ${children.length} in ${name}.`,
    ...(gone.length ? [`${listed(gone)} ${gone.length === 1 ? 'is' : 'are'} away.`] : []),
    ...(notToday.length ? [`It isn’t ${listed(notToday)}’s day.`] : []),
  ].join(' ');
  const switches = (
    <ul className="divide-y divide-line border-y border-line">
      {children.map((child) => (
        <li key={child.id}>
          <AwaySwitch child={child} />
        </li>
      ))}
    </ul>
  );
  return (
    <>
      <p className="text-muted">{line}</p>
      <div className="mt-2 max-lg:hidden">{switches}</div>
      <div className="lg:hidden">
        <Collapsible title="Who’s away?">{switches}</Collapsible>
      </div>
    </>
  );
}

interface ReadyProps {
  readonly groupId: string;
  readonly ready: readonly ReadySession[];
  /** They stand under a heading of their own. */
  readonly under: boolean;
}

/** Three sessions that make sense now, the first of them boldest. */
const Ready = ({ groupId, ready, under }: ReadyProps) => (
  <ul className="divide-y divide-line border-y border-line">
    {ready.map((session, i) => (
      <li
        key={session.title + session.why}
        className="grid items-center gap-x-8 gap-y-3 py-5 md:grid-cols-[minmax(0,1fr)_14rem]"
      >
        <div className="min-w-0">
          <Title as={under ? 'h3' : 'h2'} bold={i === 0}>
            {session.title}
          </Title>
          <p className="text-muted">{session.why}</p>
          <p className={`mt-1.5 flex flex-wrap gap-x-5 font-word ${i ? 'text-xl' : 'text-2xl'}`}>
            {session.words.slice(0, 6).map((word) => (
              <span key={word}>{word}</span>
            ))}
          </p>
        </div>
        <ReadyForms
          groupId={groupId}
          wish={session.wish}
          minutes={session.minutes}
          title={session.title}
          main={i === 0 && !under}
        />
      </li>
    ))}
  </ul>
);

const Title = ({ as: As, bold, children }: { as: 'h2' | 'h3'; bold: boolean; children: string }) => (
  <As className={`${bold ? 'text-3xl' : 'text-2xl'} wrap-anywhere`}>{children}</As>
);

/** Where the list is changed, and a card of it for who takes over. */
const ListLinks = ({ group }: { readonly group: Group }) => (
  <p className="mt-3 flex flex-wrap items-center gap-x-4">
    <Link className="plain" href="/children">
      {group.children.length ? 'Change the list' : 'Add names'}
    </Link>
    {group.children.length > 0 && (
      <Link className="quiet px-1" href={`/print/cover/${group.id}`}>
        A card for a colleague
      </Link>
    )}
  </p>
);
