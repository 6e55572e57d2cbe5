import { format } from 'date-fns';
import { Download, House } from 'lucide-react';
import { OUTCOME_WORDS, OUTCOMES } from '@/core/answers/outcome';
import { labelOf } from '@/core/phonology/sounds';
import { slippedSounds, tally } from '@/core/sessions/summary';
import { talkAbout, type Topic } from '@/core/sessions/talk-about';
import { thinkTimes } from '@/core/sessions/think-times';
import type { LookBack } from '@/server/sessions/look-back';
import { Link } from '../kit/link';
import { OutcomeMark } from '../kit/outcome-mark';
import { talliedWords } from '../kit/tally';
import { AnswerGrid } from './answer-grid';
import { GoOn } from './go-on';
import type { SessionRecord } from '@/server/record/session-record';
import type { Slipped } from '@/core/sessions/summary';
import type { ThinkTimes } from '@/core/sessions/think-times';
import { lookBackScreen as say } from './text';

/** The session just played: who said what, word by word, which sounds slipped; any mark can be put right. */
export function LookBackScreen({
  session: { session, rounds, answers, undone, clashes, reopens },
}: {
  session: LookBack;
}) {
  const quiet = session.children.filter((c) => !answers.some((a) => a.childId === c.id));
  const names = new Map(session.children.map((c) => [c.id, c.name]));
  const times = thinkTimes(answers);
  const slips = slippedSounds(answers);
  return (
    <div className="grid gap-x-14 gap-y-10 lg:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="min-w-0">
        <h1 className="text-4xl wrap-anywhere">{session.title}</h1>
        <p className="mt-1 text-lg text-muted">
          {session.groupName} · {format(session.startedAt, 'EEEE d MMMM yyyy, HH:mm')}
        </p>
        <p className="mt-3 mb-6 font-word text-2xl">{talliedWords(tally(answers))}.</p>
        {session.paper !== null && <p className="-mt-4 mb-6 text-muted">{say.fromPaper(session.paper)}</p>}
        {(session.finishedAt === null || reopens) && (
          <div className="-mt-2 mb-6">
            <GoOn sessionId={session.id} finished={session.finishedAt !== null} />
          </div>
        )}

        {answers.length > 0 && <TalkAbout topics={talkAbout(answers, names, session.accent)} names={names} />}

        <section aria-labelledby="children">
          <h2 id="children" className="mb-1 text-2xl">
            {say.whoSaidWhat}
          </h2>
          <p className="mb-3 text-muted">{say.tapAnswerSee}</p>
          {answers.length ? (
            <AnswerGrid
              sessionId={session.id}
              accent={session.accent}
              people={session.children}
              rounds={rounds}
              answers={answers}
            />
          ) : (
            <p className="text-muted">{say.noAnswerMarked}</p>
          )}
          {quiet.length > 0 && <p className="mt-2 text-muted">{say.noTurn(quiet.map((c) => c.name).join(', '))}</p>}
        </section>

        {times.length > 0 && <Times times={times} names={names} />}
      </div>

      <Aside session={session} slips={slips} undone={undone} clashes={clashes} />
    </div>
  );
}

/** How long each child took until the mark. */
function Times({ times, names }: { readonly times: ThinkTimes[]; readonly names: Map<string, string> }) {
  return (
    <section aria-labelledby="times" className="mt-10">
      <h2 id="times" className="mb-1 text-2xl">
        {say.timeToMark}
      </h2>
      <p className="mb-2 text-muted">{say.endSayTap}</p>
      <ul className="divide-y divide-line border-y border-line">
        {times.map((t) => (
          <li key={t.childId} className="grid grid-cols-[10rem_1fr] items-baseline gap-x-4 py-2">
            <span className="font-word text-lg wrap-anywhere">{names.get(t.childId) ?? ''}</span>
            <span className="text-muted">
              {t.answers === 1
                ? say.once(seconds(t.middle))
                : say.aboutMostAnswers(seconds(t.middle), seconds(t.longest), t.answers)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface TalkAboutProps {
  readonly topics: readonly Topic[];
  readonly names: ReadonlyMap<string, string>;
}

/** What to talk about with the team, and the way to what is next for whom it is about. */
const TalkAbout = ({ topics, names }: TalkAboutProps) => (
  <section aria-labelledby="talk" className="mb-8 max-w-3xl rounded-2xl bg-marigold-soft px-5 py-4">
    <h2 id="talk" className="mb-1 text-2xl">
      {say.toTalkAbout}
    </h2>
    {!topics.length && <p>{say.nothingStandsOut}</p>}
    <ul>
      {topics.map(({ childId, text }) => (
        <li key={text} className="py-1 leading-snug">
          <span className="wrap-anywhere">{text}</span>{' '}
          {childId && (
            <Link className="underline underline-offset-4" href={`/children/${childId}`}>
              {say.whatsNext(names.get(childId) ?? '')}
            </Link>
          )}
        </li>
      ))}
    </ul>
  </section>
);

interface AsideProps {
  readonly session: SessionRecord;
  readonly slips: Slipped[];
  readonly undone: number;
  readonly clashes: number;
}

/** Sounds that slipped, what the signs mean, and files to take along. */
function Aside({ session, slips, undone, clashes }: AsideProps) {
  return (
    <aside className="flex flex-col gap-8">
      {session.finishedAt === null && (
        <Link className="action min-h-16" href={`/play/${session.id}`}>
          {say.goOnPlaying}
        </Link>
      )}
      <section aria-labelledby="slips">
        <h2 id="slips" className="mb-2 text-2xl">
          {say.soundsThatSlipped}
        </h2>
        {slips.length ? (
          <ul className="divide-y divide-line border-y border-line">
            {slips.map((slip) => (
              <li key={slip.ipa} className="py-2.5">
                <span className="font-word text-2xl">/{labelOf(slip.ipa, session.accent).label}/</span>{' '}
                {labelOf(slip.ipa, session.accent).as && (
                  <span className="text-muted">{say.asIn(labelOf(slip.ipa, session.accent).as)} </span>
                )}
                <span className="ml-2">{say.of(slip.times, slip.heard)}</span>
                <span className="block text-muted">{say.inLine(slip.words.join(', '))}</span>
              </li>
            ))}
          </ul>
        ) : (
          <p className="text-muted">{say.noneWasMarked}</p>
        )}
      </section>
      <section aria-labelledby="signs">
        <h2 id="signs" className="mb-2 text-lg">
          {say.signs}
        </h2>
        <ul className="space-y-1 text-muted">
          {OUTCOMES.map((o) => (
            <li key={o} className="flex items-center gap-3">
              <OutcomeMark outcome={o} label={false} /> {OUTCOME_WORDS[o]}
            </li>
          ))}
        </ul>
      </section>
      <Files session={session} undone={undone} clashes={clashes} />
      <p className="text-[0.95rem] text-muted">{say.teachingRecordDiagnosis}</p>
    </aside>
  );
}

/** The session as files, and what was undone in it. */
function Files({
  session,
  undone,
  clashes,
}: {
  readonly session: SessionRecord;
  readonly undone: number;
  readonly clashes: number;
}) {
  return (
    <section aria-labelledby="files" className="flex flex-col gap-3">
      <h2 id="files" className="text-lg">
        {say.take}
      </h2>
      <Link className="plain" href={`/print/home/${session.id}`}>
        <House aria-hidden="true" size={18} /> {say.pageFamilies}
      </Link>
      <a className="plain" href={`/api/sessions/${session.id}/export?as=csv`} download>
        <Download aria-hidden="true" size={18} /> {say.csvSpreadsheet}
      </a>
      <a className="plain" href={`/api/sessions/${session.id}/export?as=json`} download>
        <Download aria-hidden="true" size={18} /> {say.json}
      </a>
      {undone > 0 && <p className="text-muted">{say.undoneWhilePlaying(undone)}</p>}
      {clashes > 0 && <p className="text-muted">{say.markedTwoDevices(clashes)}</p>}
    </section>
  );
}

const seconds = (ms: number): string => `${(ms / 1000).toFixed(0)} s`;
