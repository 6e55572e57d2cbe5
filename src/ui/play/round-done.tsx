'use client';

import Link from 'next/link';
import type { SessionState } from '@/core/sessions/replay';
import { roundOf } from '@/core/sessions/log';
import { tally } from '@/core/sessions/summary';
import { talliedWords } from '../kit/tally';

interface RoundDoneProps {
  readonly state: SessionState;
  readonly sessionId: string;
  readonly nameOf: (id: string | null) => string;
  readonly next: { readonly name: string; readonly step: string } | null;
  readonly onNext: () => void;
  readonly onMore: (() => void) | undefined;
  readonly onFinish: () => void;
  readonly onUndo: () => void;
}

/** After the last turn of a round: stop here, or go round again. */
export function RoundDone({ state, sessionId, nameOf, next, onNext, onMore, onFinish, onUndo }: RoundDoneProps) {
  const finished = state.phase === 'finished';
  return (
    <section className="my-auto max-w-2xl">
      <h1 className="mb-3 text-5xl">{finished ? 'This session is finished' : 'That is the round'}</h1>
      <p className="mb-8 text-xl text-muted">
        {talliedWords(tally(finished ? state.answers : state.answers.filter((a) => roundOf(a.turn) === state.round)))}
      </p>
      <div className="flex flex-wrap gap-3">
        {finished ? (
          <Link className="action min-h-16" href={`/look-back/${sessionId}`}>
            Look back
          </Link>
        ) : (
          <>
            {next && (
              <button type="button" className="action min-h-16 text-xl" onClick={onNext}>
                Next: {next.name}
                {next.step && `, ${next.step}`}
              </button>
            )}
            <button type="button" className={`${next ? 'plain' : 'action'} min-h-16`} onClick={onFinish}>
              Finish and look back
            </button>
            {onMore && (
              <button type="button" className="plain min-h-16" onClick={onMore}>
                {state.childId === null ? 'Once more' : 'One more turn each'}
              </button>
            )}
            {state.last && (
              <button type="button" className="plain min-h-16" onClick={onUndo}>
                Undo: {nameOf(state.last.childId)}
              </button>
            )}
          </>
        )}
      </div>
    </section>
  );
}
