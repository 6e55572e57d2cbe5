import { format } from 'date-fns';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import type { Ears } from '@/server/sessions/ears';
import { Link } from '../kit/link';
import { OutcomeMark } from '../kit/outcome-mark';

/** Two adults who marked the same answers: how many alike, and which answers to talk about. */
export function EarsScreen({ ears }: { ears: readonly Ears[] }) {
  return (
    <>
      <h1 className="mb-1 text-4xl">Do we mark alike?</h1>
      <p className="mb-6 max-w-3xl text-lg text-muted">
        A second adult can listen along and mark on another device: in Play, open “On this device” and switch on “a
        second pair of ears”. We keep both marks and compare them here. The first adult’s marks are the ones that count.
      </p>
      {ears.length === 0 && (
        <p className="border-y border-line py-6 text-muted">
          No answers have been marked by two adults yet. A few minutes of one session is enough to begin.
        </p>
      )}
      {ears.map(({ first, second, answers, alike, differing }) => (
        <section key={`${first} ${second}`} className="mb-10 border-t border-line pt-4">
          <h2 className="text-2xl">
            {first} and {second}
          </h2>
          <p className="mt-1 text-xl">
            You gave the same mark for {alike} of {answers} answers.
          </p>
          {differing.length > 0 && (
            <>
              <h3 className="mt-4 mb-1 text-lg">Worth talking about</h3>
              <ul className="divide-y divide-line border-y border-line">
                {differing.slice(0, 12).map((d) => (
                  <li key={`${d.sessionId} ${d.at}`} className="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-2">
                    <span className="min-w-56 font-word text-lg">
                      <b>{d.item}</b>, {d.child}
                    </span>
                    {d.marks.map((m, i) => (
                      <span key={i} className="flex items-center gap-2">
                        <span className="text-muted">{i ? second : first}</span>{' '}
                        <OutcomeMark outcome={m} label={false} /> {OUTCOME_WORDS[m].toLowerCase()}
                      </span>
                    ))}
                    <Link
                      className="ml-auto text-muted underline decoration-line-strong underline-offset-4"
                      href={`/look-back/${d.sessionId}`}
                    >
                      {format(d.at, 'd MMM')}
                    </Link>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
      ))}
    </>
  );
}
