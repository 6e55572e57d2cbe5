import { Download, Printer } from 'lucide-react';
import { format, formatDistanceToNowStrict } from 'date-fns';
import Link from 'next/link';
import { PLAIN_ERRS, RULE_WORDS } from '@/core/progress/rule';
import type { ChildPage, RecentAnswer } from '@/server/children/child-page';
import { OutcomeMark } from '../kit/outcome-mark';
import { sure } from '@/core/sure';
import { HistoryChart } from './history-chart';
import { LadderPaths } from './ladder-paths';
import { HeardAnswer } from '../kit/heard-answer';
import { EraseChild } from './erase-child';
import { NextCard } from './next-card';
import { OwnWayButton } from './own-way';
import { SoundMapView } from './sound-map-view';
import type { ShownLadder } from '@/server/children/child-page';

const day = (at: number): string => format(at, 'd MMM');

const Answer = ({ answer }: { answer: RecentAnswer }) => (
  <li className="min-w-0">
    <Link href={`/look-back/${answer.sessionId}`} className="block rounded-lg hover:bg-card">
      <span className="block font-word text-lg">
        <b>{answer.label}</b> <OutcomeMark outcome={answer.outcome} />
      </span>
      {answer.heard ? (
        <span className="block text-lg leading-snug">
          <span className="text-muted">said </span>
          <HeardAnswer {...answer.heard} />
        </span>
      ) : (
        answer.gist && <span className="block font-word text-lg leading-snug">{answer.gist}</span>
      )}
      <span className="block text-[0.9rem] text-muted">
        {answer.game}, {day(answer.at)}
      </span>
    </Link>
  </li>
);

/** A page a child: where they are and why, what is next, which sounds hold, what was said lately. */
export function ChildScreen({ page, patterns }: { page: ChildPage; patterns: readonly string[] }) {
  const stale = page.ladders.filter((l) => l.stale);
  return (
    <>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="min-w-0">
          <Head page={page} />
          <p className="mt-1 mb-3 max-w-3xl text-xl leading-snug">{page.summary}</p>
          <LadderPaths
            ladders={page.ladders}
            ruleNote={page.rule === 'plain' ? `Rule: ${RULE_WORDS.plain.name}. ${PLAIN_ERRS}` : null}
          />
          <Lately page={page} />
        </div>
        <div className="flex min-w-0 flex-col gap-6">
          <NextCard
            childId={page.id}
            name={page.name}
            groupId={page.groupId}
            next={page.next}
            chosen={page.chosen}
            chosenOn={page.chosen ? format(page.chosen.at, 'd MMMM') : null}
            ladders={page.ladders}
          />
          <SoundMapView map={page.map} chart={page.chart} patterns={patterns} />
        </div>
      </div>
      <div className="mt-12 grid gap-x-12 gap-y-10 lg:grid-cols-[minmax(0,1fr)_22rem]">
        <div className="min-w-0 space-y-10">
          <section aria-labelledby="weeks">
            <h2 id="weeks" className="mb-2 text-2xl">
              Week by week
            </h2>
            <HistoryChart weeks={page.weeks} />
          </section>
          <Notes page={page} />
        </div>
        <Aside page={page} stale={stale} />
      </div>
    </>
  );
}

/** How they speak, what is due again, what adults chose, their files. */
function Aside({ page, stale }: { readonly page: ChildPage; readonly stale: ShownLadder[] }) {
  return (
    <div className="space-y-8">
      <Way page={page} />
      {stale.length > 0 && (
        <section aria-labelledby="due">
          <h2 id="due" className="mb-1 text-xl">
            Due again
          </h2>
          <ul>
            {stale.map((l) => (
              <li key={l.id}>
                {l.name}: last seen {formatDistanceToNowStrict(sure(l.due).lastAt)} ago
              </li>
            ))}
          </ul>
        </section>
      )}
      {page.choices.length > 0 && (
        <section aria-labelledby="choices">
          <h2 id="choices" className="mb-1 text-xl">
            Chosen by adults
          </h2>
          <ul className="text-muted">
            {page.choices.slice(0, 5).map((c) => (
              <li key={c.at}>
                {c.does}, {day(c.at)}
                {c.by && `, ${c.by}`}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-labelledby="files" className="flex flex-col gap-2.5">
        <h2 id="files" className="text-xl">
          All there is about {page.name}
        </h2>
        <a className="plain" href={`/api/children/${page.id}/export?as=csv`} download>
          <Download size={18} aria-hidden="true" /> CSV for a spreadsheet
        </a>
        <a className="plain" href={`/api/children/${page.id}/export?as=json`} download>
          <Download size={18} aria-hidden="true" /> JSON
        </a>
        <EraseChild child={{ id: page.id, name: page.name }} />
      </section>
      <p className="text-[0.95rem] text-muted">
        This is a teaching record, not a diagnosis, and no reply is not evidence of not knowing. If hearing, speech or
        language worries you, speak with the family and your special-needs lead; a speech and language therapist or an
        audiologist assesses. Local policy and licensed practice come first.
      </p>
    </div>
  );
}

/** How they say sounds, and what that would change. */
function Way({ page }: { readonly page: ChildPage }) {
  return (
    <section aria-labelledby="way">
      <h2 id="way" className="mb-1 text-xl">
        Own way of speaking
      </h2>
      <p className="mb-1 text-muted">What {page.name} says in their own way is never a slip of hearing sounds.</p>
      <OwnWayButton child={{ id: page.id, name: page.name, ownWay: page.ownWay }} />
      {page.ownWayEffect.length > 0 && (
        <p className="mt-1">
          With this, {page.ownWayEffect.length === 1 ? 'one' : page.ownWayEffect.length} earlier “not yet” would count
          as right: {page.ownWayEffect.slice(0, 4).join(', ')}. They stay as they were marked until you put them right
          in Look back.
        </p>
      )}
    </section>
  );
}

/** Notes made while playing. */
function Notes({ page }: { readonly page: ChildPage }) {
  return (
    <section aria-labelledby="notes">
      <h2 id="notes" className="mb-2 text-2xl">
        Notes
      </h2>
      {page.notes.length ? (
        <ul className="divide-y divide-line border-y border-line">
          {page.notes.map((n) => (
            <li key={n.id} className="py-2.5">
              <p className="text-lg">{n.note}</p>
              <p className="text-muted">
                <Link
                  className="underline decoration-line-strong underline-offset-4"
                  href={`/look-back/${n.sessionId}`}
                >
                  {n.label}, {n.game}
                </Link>
                , {day(n.at)}
              </p>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-muted">Notes made while playing stand here, the newest first.</p>
      )}
    </section>
  );
}

/** What was said lately. */
function Lately({ page }: { readonly page: ChildPage }) {
  return (
    <section aria-labelledby="lately" className="mt-3">
      <h2 id="lately" className="mb-1 text-xl">
        Lately
      </h2>
      {page.recent.length ? (
        <ul className="grid grid-cols-2 gap-x-6 gap-y-2.5 sm:grid-cols-4">
          {page.recent.map((a) => (
            <Answer key={a.id} answer={a} />
          ))}
        </ul>
      ) : (
        <p className="text-muted">What {page.name} says will stand here.</p>
      )}
    </section>
  );
}

/** Who it is, and since when they have played. */
function Head({ page }: { readonly page: ChildPage }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <h1 className="min-w-0 text-4xl wrap-anywhere">{page.name}</h1>
      <p className="min-w-0 flex-1 text-muted">
        <Link className="underline decoration-line-strong underline-offset-4" href="/children">
          {page.groupName}
        </Link>
        {page.since &&
          ` · played on ${page.days} ${page.days === 1 ? 'day' : 'days'} since ${format(page.since, 'd MMMM')}`}
      </p>
      <Link className="plain" href={`/print/children/${page.id}`}>
        <Printer size={18} aria-hidden="true" /> Print a page
      </Link>
    </div>
  );
}
