import { format } from 'date-fns';
import { Download } from 'lucide-react';
import Link from 'next/link';
import { OUTCOME_WORDS, OUTCOMES } from '@/core/answers/outcome';
import type { AccentId } from '@/core/phonology/accents';
import { labelOf } from '@/core/phonology/sounds';
import { groupBy } from '@/core/group-by';
import { roundOf } from '@/core/sessions/log';
import { slippedSounds, tally } from '@/core/sessions/summary';
import type { LookBack, LookBackAnswer } from '@/server/look-back';
import { OutcomeMark } from '../kit/outcome-mark';
import { talliedWords } from '../kit/tally';
import { AnswerButton } from './answer-button';

/** The session just played: who said what, word by word, which sounds slipped; any mark can be put right. */
export function LookBackScreen({ session: { session, rounds, answers, undone, clashes } }: { session: LookBack }) {
  const byChild = [
    ...session.children.map((c) => ({ name: c.name, answers: answers.filter((a) => a.childId === c.id) })),
    { name: 'Everyone together', answers: answers.filter((a) => a.childId === null) },
  ].filter((row) => row.answers.length);
  const quiet = session.children.filter((c) => !answers.some((a) => a.childId === c.id));
  const byRound = [...groupBy(answers, (a) => roundOf(a.turn))].sort(([a], [b]) => a - b);
  const slips = slippedSounds(answers);
  return (
    <div className="grid gap-x-14 gap-y-10 lg:grid-cols-[1fr_20rem]">
      <div>
        <h1 className="text-4xl wrap-anywhere">{session.title}</h1>
        <p className="mt-1 text-lg text-muted">{session.groupName} · {format(session.startedAt, 'EEEE d MMMM yyyy, HH:mm')}</p>
        <p className="mb-6 mt-3 font-word text-2xl">{talliedWords(tally(answers))}.</p>

        <section aria-labelledby="children">
          <h2 id="children" className="mb-1 text-2xl">Child by child</h2>
          <p className="mb-2 text-muted">Tap an answer to put it right; what it was before stays in the log.</p>
          {byChild.length ? (
            <ul className="divide-y divide-line border-y border-line">
              {byChild.map((row, i) => (
                <li key={i} className="grid gap-x-5 py-2 sm:grid-cols-[11rem_1fr]">
                  <h3 className="min-w-0 wrap-anywhere py-2.5 text-xl">{row.name}</h3>
                  <ul className="flex flex-wrap gap-x-2 gap-y-1">
                    {row.answers.map((a) => <li key={a.id}><AnswerButton sessionId={session.id} answer={a} labels={labelsOf(a, session.accent)} /></li>)}
                  </ul>
                </li>
              ))}
            </ul>
          ) : <p className="text-muted">No answer was marked in this session.</p>}
          {quiet.length > 0 && <p className="mt-2 text-muted">No turn: {quiet.map((c) => c.name).join(', ')}.</p>}
        </section>

        <section aria-labelledby="words" className="mt-10">
          <h2 id="words" className="mb-1 text-2xl">Word by word</h2>
          {byRound.map(([number, inRound]) => (
            <div key={number} className="mt-3">
              {rounds.length > 1 && <h3 className="text-xl">{rounds[number]?.name} <span className="font-sans text-base font-normal text-muted">{rounds[number]?.step}</span></h3>}
              <ul className="divide-y divide-line border-y border-line">
                {[...groupBy(inRound, (a) => a.word)].map(([key, given]) => (
                  <li key={key} className="flex flex-wrap items-baseline gap-x-5 py-2.5">
                    <span className="min-w-32 font-word text-xl font-bold">{given[0]!.label}</span>
                    <span className="text-muted">{talliedWords(tally(given))}</span>
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </section>
      </div>

      <aside className="flex flex-col gap-8">
        {session.finishedAt === null && <Link className="action min-h-16" href={`/play/${session.id}`}>Go on playing</Link>}
        <section aria-labelledby="slips">
          <h2 id="slips" className="mb-2 text-2xl">Sounds that slipped</h2>
          {slips.length ? (
            <ul className="divide-y divide-line border-y border-line">
              {slips.map((slip) => (
                <li key={slip.ipa} className="py-2.5">
                  <span className="font-word text-2xl">/{labelOf(slip.ipa, session.accent).label}/</span>{' '}
                  {labelOf(slip.ipa, session.accent).as && <span className="text-muted">as in {labelOf(slip.ipa, session.accent).as} </span>}
                  <span className="ml-2">{slip.times} of {slip.heard}</span>
                  <span className="block text-muted">in {slip.words.join(', ')}</span>
                </li>
              ))}
            </ul>
          ) : <p className="text-muted">None was marked.</p>}
        </section>
        <section aria-labelledby="signs">
          <h2 id="signs" className="mb-2 text-lg">Signs</h2>
          <ul className="space-y-1 text-muted">
            {OUTCOMES.map((o) => <li key={o} className="flex items-center gap-3"><OutcomeMark outcome={o} label={false} /> {OUTCOME_WORDS[o]}</li>)}
          </ul>
        </section>
        <section aria-labelledby="files" className="flex flex-col gap-3">
          <h2 id="files" className="text-lg">Take it with you</h2>
          <a className="plain" href={`/api/sessions/${session.id}/export?as=csv`} download><Download aria-hidden="true" size={18} /> CSV for a spreadsheet</a>
          <a className="plain" href={`/api/sessions/${session.id}/export?as=json`} download><Download aria-hidden="true" size={18} /> JSON</a>
          {undone > 0 && <p className="text-muted">{undone} {undone === 1 ? 'mark was' : 'marks were'} undone while playing.</p>}
          {clashes > 0 && (
            <p className="text-muted">
              {clashes === 1 ? 'One turn was' : `${clashes} turns were`} marked on two devices; the later mark stands and the other stays in the log.
            </p>
          )}
        </section>
        <p className="text-[0.95rem] text-muted">
          This is a teaching record, not a diagnosis, and no reply is not evidence of not knowing. If hearing, speech or
          language worries you, speak with the family and your special-needs lead; a speech and language therapist or an
          audiologist assesses.
        </p>
      </aside>
    </div>
  );
}

const labelsOf = (answer: LookBackAnswer, accent: AccentId): string[] => answer.sounds.filter(Boolean).map((ipa) => labelOf(ipa, accent).label);
