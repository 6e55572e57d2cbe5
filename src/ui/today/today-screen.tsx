import { format } from 'date-fns';
import Link from 'next/link';
import type { Group } from '@/server/groups';
import type { SessionLine } from '@/server/look-back';
import type { ReadySession } from '@/server/today';
import { AwayButton } from '../children/away-button';
import { SessionLines } from '../look-back/session-lines';
import { StartForm } from './start-form';

interface TodayProps {
  readonly group: Group;
  readonly sessions: readonly SessionLine[];
  readonly ready: ReadySession;
}

/** Who is here, what was played last, and one tap into a game. */
export function TodayScreen({ group, sessions, ready }: TodayProps) {
  const here = group.children.filter((c) => !c.away);
  const open = sessions.find((s) => !s.finished);
  return (
    <div className="grid gap-x-14 gap-y-10 lg:grid-cols-[1fr_22rem]">
      <div>
        <h1 className="mb-1 text-4xl">{ready.game} with {ready.sounds} sounds</h1>
        <p className="mb-5 text-lg text-muted">{format(new Date(), 'EEEE d MMMM')} · {ready.why}</p>
        <ul className="mb-6 flex flex-wrap gap-x-7 gap-y-1 font-word text-3xl">
          {ready.words.map((word) => <li key={word}>{word}</li>)}
        </ul>
        <div className="flex flex-wrap items-center gap-4">
          <StartForm groupId={group.id} set={ready} label={`Play now · ${ready.minutes} min`} />
          <Link className="plain min-h-16 px-6" href={`/words?task=${ready.task}&sounds=${ready.sounds}`}>Choose other words</Link>
        </div>
        {open && (
          <p className="mt-5 border-l-4 border-marigold py-1 pl-4">
            {open.game} with {open.sounds} sounds is not finished.{' '}
            <Link className="quiet px-1 text-ink" href={`/play/${open.id}`}>Go on with it</Link>
          </p>
        )}
        <h2 className="mb-1 mt-12 text-2xl">Lately</h2>
        {sessions.length ? <SessionLines sessions={sessions} /> : (
          <p className="text-muted">Sessions of {group.name} will stand here once you have played one.</p>
        )}
      </div>
      <section aria-labelledby="here">
        <h2 id="here" className="mb-1 text-2xl">Here today</h2>
        {group.children.length ? (
          <>
            <p className="mb-2 text-muted">{here.length} of {group.children.length} in {group.name}. Tap to say who is away.</p>
            <ul className="divide-y divide-line border-y border-line">
              {group.children.map((child) => <li key={child.id}><AwayButton child={child} /></li>)}
            </ul>
          </>
        ) : (
          <p className="mb-3 text-muted">No names yet. You can play with everyone together, or add names first.</p>
        )}
        <p className="mt-3"><Link className="plain" href="/children">{group.children.length ? 'Change the list' : 'Add names'}</Link></p>
      </section>
    </div>
  );
}
