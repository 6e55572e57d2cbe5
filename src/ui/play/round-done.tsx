'use client';

import Link from 'next/link';
import { roundOf } from '@/core/sessions/log';
import { tally } from '@/core/sessions/summary';
import { talliedWords } from '../kit/tally';
import { goOn, goTo, undo } from './run/acts';
import { Stage } from './stage';
import { useEnding } from './use-ending';
import { useNames, useRun, useStore } from './use-run';
import { roundDone as say } from './text';

/** After the last turn of a round: stop here, or go round again. */
export function RoundDone() {
  const store = useStore();
  const nameOf = useNames();
  const end = useEnding();
  const state = useRun((run) => run.state);
  const check = useRun((run) => run.check);
  const session = useRun((run) => run.session);
  const next = session.rounds[state.round + 1] ?? null;
  const finished = state.phase === 'finished';
  return (
    <Stage>
      <section className="my-auto max-w-2xl">
        <h1 className="mb-3 text-5xl">{finished ? say.sessionFinished : say.round}</h1>
        <p className="mb-8 text-xl text-muted">
          {talliedWords(tally(finished ? state.answers : state.answers.filter((a) => roundOf(a.turn) === state.round)))}
        </p>
        <div className="flex flex-wrap gap-3">
          {finished ? (
            <Link className="action min-h-16" href={`/look-back/${session.id}`}>
              {say.lookBack}
            </Link>
          ) : (
            <>
              {next && (
                <button
                  type="button"
                  className="action min-h-16 text-xl"
                  onClick={() => void store.dispatch(goTo(state.round + 1))}
                >
                  {say.next(next.name)}
                  {next.step && `, ${next.step}`}
                </button>
              )}
              <button type="button" className={`${next ? 'plain' : 'action'} min-h-16`} onClick={() => void end()}>
                {say.finishLookBack}
              </button>
              {!check && (
                <button type="button" className="plain min-h-16" onClick={() => void store.dispatch(goOn)}>
                  {state.childId === null ? say.onceMore : say.moreTurnEach}
                </button>
              )}
              {state.last && (
                <button type="button" className="plain min-h-16" onClick={() => void store.dispatch(undo)}>
                  {say.undo(nameOf(state.last.childId))}
                </button>
              )}
            </>
          )}
        </div>
      </section>
    </Stage>
  );
}
