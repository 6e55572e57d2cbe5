import { format } from 'date-fns';
import { OUTCOME_WORDS } from '@/core/answers/outcome';
import { kappaWord } from '@/core/progress/agreement';
import type { Ears } from '@/server/sessions/ears';
import { Link } from '../kit/link';
import { OutcomeMark } from '../kit/outcome-mark';
import { sure } from '@/core/sure';
import { earsScreen as say } from './text';

const number = (n: number): string => n.toFixed(2).replace('-', '−');

/** Two adults who marked the same answers: how far they agree, and which answers to talk about. */
export function EarsScreen({ ears }: { ears: readonly Ears[] }) {
  return (
    <>
      <h1 className="mb-1 text-4xl">{say.twoAdultsSame}</h1>
      <p className="mb-6 max-w-3xl text-lg text-muted">{say.whenSecondAdult}</p>
      {ears.length === 0 && <p className="border-y border-line py-6 text-muted">{say.noAnswersBeen}</p>}
      {ears.map(({ first, second, agreement: { answers, alike, kappa, interval }, differing }) => (
        <section key={`${first} ${second}`} className="mb-10 border-t border-line pt-4">
          <h2 className="text-2xl">{say.and(first, second)}</h2>
          <p className="mt-1 text-xl">{say.alikeAnswers(Math.round(alike * answers), answers)}</p>
          <p className="text-muted">
            {kappa === null ? (
              say.bothUsedMark
            ) : (
              <>
                {say.beyondChanceKappa(
                  number(kappa),
                  kappaWord(kappa),
                  number(sure(interval)[0]),
                  number(sure(interval)[1]),
                )}
              </>
            )}
          </p>
          {differing.length > 0 && (
            <>
              <h3 className="mt-4 mb-1 text-lg">{say.toTalkAbout}</h3>
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
