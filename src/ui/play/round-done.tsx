'use client';

import { roundOf } from '@/core/sessions/log';
import { foundFor, foundWords } from '@/core/sessions/find';
import { tally } from '@/core/sessions/summary';
import { Link } from '../kit/link';
import { talliedWords } from '../kit/tally';
import { Button, buttonLook } from '../kit/button';
import { goOn, goToItem } from './run/acts';
import { Stage } from './stage';
import { useEnding } from './use-ending';
import { useRun, useStore } from './use-run';

/** Where each child was found, after a check-in that looked for it. */
function Found() {
  const session = useRun((run) => run.session);
  const state = useRun((run) => run.state);
  const names = useRun((run) => run.names);
  const find = session.plan.rounds[state.round]?.find;
  if (!find) return null;
  const given = state.answers.filter((a) => roundOf(a.turn) === state.round);
  const asked = state.children.filter((id) => given.some((a) => a.childId === id));
  return (
    <ul className="mb-5 space-y-2">
      {asked.map((id) => (
        <li key={id} className="leading-snug">
          <b className="font-word">{names.get(id)}.</b> {foundWords(find.steps, foundFor(find, id, given))}
        </li>
      ))}
    </ul>
  );
}

/** What comes after a session: a tablet that was lent it has nowhere to go. */
const Afterwards = ({ sessionId, lent }: { readonly sessionId: string; readonly lent: boolean }) =>
  lent ? (
    <p className="text-xl">You can look back on it on the computer.</p>
  ) : (
    <Link className={buttonLook({ kind: 'action', size: 'big' })} href={`/look-back/${sessionId}`}>
      Look back
    </Link>
  );

/** After the last turn of a round: stop here, or go round again. */
export function RoundDone() {
  const store = useStore();
  const end = useEnding();
  const state = useRun((run) => run.state);
  const check = useRun((run) => run.check);
  const session = useRun((run) => run.session);
  const next = session.rounds[state.round + 1] ?? null;
  const finished = state.phase === 'finished';
  return (
    <Stage>
      <section className="my-auto max-w-2xl">
        <h1 className="mb-3 text-[2em] roomy:text-[2.4em]">
          {finished ? 'This session is finished' : 'Round finished'}
        </h1>
        <p className="mb-5 text-muted">
          {talliedWords(tally(finished ? state.answers : state.answers.filter((a) => roundOf(a.turn) === state.round)))}
        </p>
        <Found />
        <div className="flex flex-wrap gap-3">
          {finished ? (
            <Afterwards sessionId={session.id} lent={session.lent === true} />
          ) : (
            <>
              {next && (
                <Button kind="action" size="big" onClick={() => void store.dispatch(goToItem(state.round + 1))}>
                  Next: {next.name}
                  {next.step && `, ${next.step}`}
                </Button>
              )}
              <Button kind={next ? 'plain' : 'action'} size="big" onClick={() => void end()}>
                {session.lent ? 'Finish' : 'Finish and look back'}
              </Button>
              {!check && (
                <Button size="big" onClick={() => void store.dispatch(goOn)}>
                  {state.childId === null ? 'Play it once more' : 'One more turn each'}
                </Button>
              )}
            </>
          )}
        </div>
      </section>
    </Stage>
  );
}
