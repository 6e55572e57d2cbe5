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
import { Tablets } from './tablets';
import { TwoMarks } from './two-marks';
import type { SessionRecord } from '@/server/record/session-record';
import type { Slipped } from '@/core/sessions/summary';
import type { ThinkTimes } from '@/core/sessions/think-times';
import { RecordCaution } from '../kit/record-caution';
import { Section } from '../kit/section';

const undoneInPlay = (undone: number) =>
  `${undone} ${undone === 1 ? 'mark was' : 'marks were'} undone while you played.`;

/** The session just played: who said what, word by word, which sounds slipped; any mark can be put right. */
export function LookBackScreen({
  session: { session, rounds, own, answers, undone, twice, reopens, tablets },
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
        {session.paper !== null && (
          <p className="-mt-4 mb-6 text-muted">
            Marked on paper and typed in: grid {session.paper}. The order of turns and the times are a guess.
          </p>
        )}
        {(session.finishedAt === null || reopens) && (
          <div className="-mt-2 mb-6">
            <GoOn sessionId={session.id} finished={session.finishedAt !== null} />
          </div>
        )}

        {answers.length > 0 && <TalkAbout topics={talkAbout(answers, names, session.accent)} names={names} />}

        <Section id="children" title="Who said what" heading="mb-1 text-2xl">
          <p className="mb-3 text-muted">
            Tap an answer to see all of it, or to correct it. We keep what it was before.
          </p>
          {answers.length ? (
            <AnswerGrid
              sessionId={session.id}
              accent={session.accent}
              people={session.children}
              rounds={rounds}
              answers={answers}
            />
          ) : (
            <p className="text-muted">No answers were marked in this session.</p>
          )}
          <TwoMarks sessionId={session.id} twice={twice} />
          <Tablets sessionId={session.id} tablets={tablets} />
          {quiet.length > 0 && <p className="mt-2 text-muted">No turn today: {quiet.map((c) => c.name).join(', ')}.</p>}
        </Section>

        {own.length > 0 && <OwnSteps own={own} names={names} />}
        {times.length > 0 && <Times times={times} names={names} />}
      </div>

      <Aside session={session} slips={slips} undone={undone} />
    </div>
  );
}

/** Whose step was whose, and why. */
const OwnSteps = ({ own, names }: Pick<LookBack, 'own'> & { readonly names: ReadonlyMap<string, string> }) => (
  <Section id="own" title="Each their own step" heading="mb-1 text-2xl" className="mt-10">
    <ul className="divide-y divide-line border-y border-line">
      {own.map(({ round, childId, step, why }) => (
        <li key={round + childId} className="grid grid-cols-[10rem_1fr] items-baseline gap-x-4 py-2">
          <span className="font-word text-lg wrap-anywhere">{names.get(childId) ?? ''}</span>
          <span>
            {round}, {step}
            {why && <span className="block text-[0.95rem] text-muted">{why}</span>}
          </span>
        </li>
      ))}
    </ul>
  </Section>
);

/** How long each child took until the mark. */
function Times({ times, names }: { readonly times: ThinkTimes[]; readonly names: Map<string, string> }) {
  return (
    <Section id="times" title="Time to mark" heading="mb-1 text-2xl" className="mt-10">
      <p className="mb-2 text-muted">
        From the end of your words to your tap, without the pauses. It includes your own tapping time, so treat it as a
        rough guide.
      </p>
      <ul className="divide-y divide-line border-y border-line">
        {times.map((t) => (
          <li key={t.childId} className="grid grid-cols-[10rem_1fr] items-baseline gap-x-4 py-2">
            <span className="font-word text-lg wrap-anywhere">{names.get(t.childId) ?? ''}</span>
            <span className="text-muted">
              {t.answers === 1
                ? `${seconds(t.middle)}, once`
                : `about ${seconds(t.middle)}, ${seconds(t.longest)} at most (${t.answers} answers)`}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface TalkAboutProps {
  readonly topics: readonly Topic[];
  readonly names: ReadonlyMap<string, string>;
}

/** What to talk about with the team, and the way to what is next for whom it is about. */
const TalkAbout = ({ topics, names }: TalkAboutProps) => (
  <Section
    id="talk"
    title="To talk about"
    heading="mb-1 text-2xl"
    className="mb-8 max-w-3xl rounded-2xl bg-marigold-soft px-5 py-4"
  >
    {!topics.length && <p>Nothing stands out this time.</p>}
    <ul>
      {topics.map(({ childId, text }) => (
        <li key={text} className="py-1 leading-snug">
          <span className="wrap-anywhere">{text}</span>{' '}
          {childId && (
            <Link className="underline underline-offset-4" href={`/children/${childId}`}>
              What’s next for {names.get(childId) ?? ''}
            </Link>
          )}
        </li>
      ))}
    </ul>
  </Section>
);

interface AsideProps {
  readonly session: SessionRecord;
  readonly slips: Slipped[];
  readonly undone: number;
}

/** Sounds that slipped, what the signs mean, and files to take along. */
function Aside({ session, slips, undone }: AsideProps) {
  return (
    <aside className="flex flex-col gap-8">
      {session.finishedAt === null && (
        <Link className="action min-h-16" href={`/play/${session.id}`}>
          Carry on playing
        </Link>
      )}
      <Section id="slips" title="Sounds they missed" heading="mb-2 text-2xl">
        {slips.length ? (
          <ul className="divide-y divide-line border-y border-line">
            {slips.map((slip) => (
              <li key={slip.ipa} className="py-2.5">
                <span className="font-word text-2xl">/{labelOf(slip.ipa, session.accent).label}/</span>{' '}
                {labelOf(slip.ipa, session.accent).as && (
                  <span className="text-muted">as in {labelOf(slip.ipa, session.accent).as} </span>
                )}
                <span className="ml-2">
                  {slip.times} of {slip.heard}
                </span>
                <span className="block text-muted">in {slip.words.join(', ')}</span>
              </li>
            ))}
          </ul>
        ) : (
          <p className="text-muted">None marked.</p>
        )}
      </Section>
      <Section id="signs" title="What the marks mean" heading="mb-2 text-lg">
        <ul className="space-y-1 text-muted">
          {OUTCOMES.map((o) => (
            <li key={o} className="flex items-center gap-3">
              <OutcomeMark outcome={o} label={false} /> {OUTCOME_WORDS[o]}
            </li>
          ))}
        </ul>
      </Section>
      <Files session={session} undone={undone} />
      <RecordCaution accent={session.accent} />
    </aside>
  );
}

/** The session as files, and what was undone in it. */
function Files({ session, undone }: { readonly session: SessionRecord; readonly undone: number }) {
  return (
    <Section id="files" title="Take it away" heading="text-lg" className="flex flex-col gap-3">
      <Link className="plain" href={`/print/home/${session.id}`}>
        <House aria-hidden="true" size={18} /> A page for families
      </Link>
      <a className="plain" href={`/api/sessions/${session.id}/export?as=csv`} download>
        <Download aria-hidden="true" size={18} /> CSV for a spreadsheet
      </a>
      <a className="plain" href={`/api/sessions/${session.id}/export?as=json`} download>
        <Download aria-hidden="true" size={18} /> JSON
      </a>
      {undone > 0 && <p className="text-muted">{undoneInPlay(undone)}</p>}
    </Section>
  );
}

const seconds = (ms: number): string => `${(ms / 1000).toFixed(0)} s`;
