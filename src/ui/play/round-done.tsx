'use client';

import Link from 'next/link';
import { roundOf } from '@/core/sessions/log';
import { tally } from '@/core/sessions/summary';
import { talliedWords } from '../kit/tally';
import { Button, buttonLook } from '../kit/button';
import { goOn, goTo } from './run/acts';
import { Stage } from './stage';
import { useEnding } from './use-ending';
import { useRun, useStore } from './use-run';
import { roundDone as say } from './text';

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
        <h1 className="mb-3 text-[2em] roomy:text-[2.4em]">{finished ? say.sessionFinished : say.round}</h1>
        <p className="mb-5 text-muted">
          {talliedWords(tally(finished ? state.answers : state.answers.filter((a) => roundOf(a.turn) === state.round)))}
        </p>
        <div className="flex flex-wrap gap-3">
          {finished ? (
            <Link className={buttonLook({ kind: 'action', size: 'big' })} href={`/look-back/${session.id}`}>
              {say.lookBack}
            </Link>
          ) : (
            <>
              {next && (
                <Button kind="action" size="big" onClick={() => void store.dispatch(goTo(state.round + 1))}>
                  {say.next(next.name)}
                  {next.step && `, ${next.step}`}
                </Button>
              )}
              <Button kind={next ? 'plain' : 'action'} size="big" onClick={() => void end()}>
                {say.finishLookBack}
              </Button>
              {!check && (
                <Button size="big" onClick={() => void store.dispatch(goOn)}>
                  {state.childId === null ? say.onceMore : say.moreTurnEach}
                </Button>
              )}
            </>
          )}
        </div>
      </section>
    </Stage>
  );
}
