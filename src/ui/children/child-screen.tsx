import { Download } from 'lucide-react';
import { format, formatDistanceToNowStrict } from 'date-fns';
import type { ChildPage, RecentAnswer } from '@/server/children/child-page';
import { Link } from '../kit/link';
import { OutcomeMark } from '../kit/outcome-mark';
import { sure } from '@/core/sure';
import { HistoryChart } from './history-chart';
import { LadderPaths } from './ladder-paths';
import { HeardAnswer } from '../kit/heard-answer';
import { EraseChild } from './erase-child';
import { HoldChild } from './hold-child';
import { FindOne } from './find-where';
import { NextCard } from './next-card';
import { Notes } from './notes';
import { ChildPapers } from './papers-menu';
import { OwnWayButton } from './own-way';
import { RecordCaution } from '../kit/record-caution';
import { SoundMapView } from './sound-map-view';
import type { ShownLadder } from '@/server/children/child-page';
import { Folding } from '../kit/folding';
import { Section } from '../kit/section';

const wouldCountAsRight = (ownWayEffect: number, list: string) =>
  `With this, ${ownWayEffect === 1 ? 'one earlier “not yet”' : `${ownWayEffect} earlier “not yet” marks`} would ` +
  `count as right: ${list}. Nothing changes until you correct it in Look back.`;

const playedSince = (days: number, day: string) => ` · played on ${days} ${days === 1 ? 'day' : 'days'} since ${day}`;

const day = (at: number): string => format(at, 'd MMM');

/** So many of the latest answers are shown on a phone; all of them stand in Look back. */
const ON_A_PHONE = 4;

const Answer = ({ answer, more }: { readonly answer: RecentAnswer; readonly more: boolean }) => (
  <li className={more ? 'min-w-0 max-sm:hidden' : 'min-w-0'}>
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

/** A page a child: what is next and why, where they are, which sounds hold, what was said lately, notes. */
export function ChildScreen({ page }: { page: ChildPage }) {
  const stale = page.ladders.filter((l) => l.stale);
  // Of a child nobody has played with it is the first thing to do.
  const find = <FindOne groupId={page.groupId} child={{ id: page.id, name: page.name }} find={page.find} />;
  return (
    <>
      <Head page={page} />
      <p className="mt-1 mb-3 max-w-4xl text-lg leading-snug">{page.summary}</p>
      <NextCard page={page} chosenOn={page.chosen ? format(page.chosen.at, 'd MMMM') : null} />
      {page.since === null && (
        <Section id="find" title="Find their step" className="mt-4">
          {find}
        </Section>
      )}
      <div className="mt-5 grid gap-x-12 gap-y-2 lg:grid-cols-[minmax(0,1fr)_22rem] lg:gap-y-8">
        <div className="min-w-0 space-y-2 lg:space-y-8">
          <LadderPaths ladders={page.ladders} />
          <Lately page={page} />
          <Folding id="weeks" title="Week by week" heading="mb-2 text-2xl">
            <HistoryChart weeks={page.weeks} />
          </Folding>
          <Notes notes={page.notes} />
        </div>
        <div className="min-w-0 space-y-2 lg:space-y-8">
          <SoundMapView map={page.map} chart={page.chart} />
          {page.since !== null && (
            <Folding id="find" title="Find their step">
              {find}
            </Folding>
          )}
          <Aside page={page} stale={stale} />
        </div>
      </div>
    </>
  );
}

/** How they speak, what is due again, what adults chose, their files. */
function Aside({ page, stale }: { readonly page: ChildPage; readonly stale: ShownLadder[] }) {
  return (
    <div className="space-y-2 lg:space-y-8">
      <Way page={page} />
      {stale.length > 0 && (
        <Section id="due" title="Due again">
          <ul>
            {stale.map((l) => (
              <li key={l.id}>
                {l.name}: last played {formatDistanceToNowStrict(sure(l.due).lastAt)} ago
              </li>
            ))}
          </ul>
        </Section>
      )}
      {page.choices.length > 0 && (
        <Section id="choices" title="Steps chosen by adults">
          <ul className="text-muted">
            {page.choices.slice(0, 5).map((c) => (
              <li key={c.at}>
                {c.does}, {day(c.at)}
                {c.by && `, ${c.by}`}
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Folding id="files" title={`Everything we hold about ${page.name}`}>
        <div className="flex flex-col gap-2.5">
          <a className="plain" href={`/api/children/${page.id}/export?as=csv`} download>
            <Download size={18} aria-hidden="true" /> CSV for a spreadsheet
          </a>
          <a className="plain" href={`/api/children/${page.id}/export?as=json`} download>
            <Download size={18} aria-hidden="true" /> JSON
          </a>
          {page.hold ? null : <EraseChild child={{ id: page.id, name: page.name }} held={page.held} />}
          <HoldChild child={{ id: page.id, name: page.name }} hold={page.hold} />
        </div>
      </Folding>
      <RecordCaution accent={page.accent} />
    </div>
  );
}

/** How they say sounds, and what that would change. */
function Way({ page }: { readonly page: ChildPage }) {
  return (
    <Folding id="way" title="Speech differences">
      <p className="mb-1 text-muted">{page.name}’s own way of saying sounds never counts as a mistake.</p>
      <OwnWayButton child={{ id: page.id, name: page.name, ownWay: page.ownWay }} />
      {page.ownWayEffect.length > 0 && (
        <p className="mt-1">{wouldCountAsRight(page.ownWayEffect.length, page.ownWayEffect.slice(0, 4).join(', '))}</p>
      )}
    </Folding>
  );
}

/** What was said lately. */
function Lately({ page }: { readonly page: ChildPage }) {
  return (
    <Section id="lately" title="Lately">
      {page.recent.length ? (
        <ul className="grid grid-cols-2 gap-x-6 gap-y-2.5 sm:grid-cols-4">
          {page.recent.map((a, i) => (
            <Answer key={a.id} answer={a} more={i >= ON_A_PHONE} />
          ))}
        </ul>
      ) : (
        <p className="text-muted">{page.name}’s answers will appear here.</p>
      )}
    </Section>
  );
}

/** Who it is, and since when they have played. */
function Head({ page }: { readonly page: ChildPage }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <h1 className="min-w-0 text-4xl wrap-anywhere">{page.name}</h1>
      <p className="order-last min-w-0 basis-full text-muted sm:order-none sm:flex-1 sm:basis-0">
        <Link className="underline decoration-line-strong underline-offset-4" href="/children">
          {page.groupName}
        </Link>
        {page.outOfSight && ' · off the list'}
        {page.since && playedSince(page.days, format(page.since, 'd MMMM'))}
      </p>
      <ChildPapers id={page.id} />
    </div>
  );
}
