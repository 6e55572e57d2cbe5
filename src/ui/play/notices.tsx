'use client';

import { clsx } from 'clsx';
import { ease, rest } from './run/acts';
import { useNames, useRun, useStore } from './use-run';

const nowPlaying = (covered: boolean, word: string) => `Now: ${covered ? 'an easier one' : word}`;

/** What a person should know now: news from outside, and a child for whom three in a row were hard. */
export function Notices() {
  return (
    <div role="status" className="fixed inset-x-0 top-0 z-20">
      <News />
      <Rescue />
    </div>
  );
}

function News() {
  const store = useStore();
  const news = useRun((run) => run.view.news);
  if (!news) return null;
  return (
    <p
      className={clsx(
        'flex items-center justify-between gap-4 border-b border-line bg-marigold-soft px-4',
        'py-1 sm:px-7',
      )}
    >
      {news}
      <button type="button" className="quiet min-h-16 text-ink" onClick={() => store.show({ news: null })}>
        OK
      </button>
    </p>
  );
}

/** An easier one to end on, enough for this round, or going on. */
function Rescue() {
  const store = useStore();
  const nameOf = useNames();
  const hard = useRun(({ state, view, playing }) =>
    state.rescue !== null && view.kindly !== state.last?.id && playing ? state.rescue : null,
  );
  const easier = useRun((run) => run.easier);
  const covered = useRun((run) => run.view.covered);
  const last = useRun((run) => run.state.last?.id ?? null);
  if (!hard) return null;
  return (
    <p
      className={clsx(
        'flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line bg-slate-soft px-4',
        'py-1.5 sm:px-7',
      )}
    >
      <span className="min-w-0 flex-1">Three in a row were hard for {nameOf(hard)}. Finish on an easier one?</span>
      {easier && (
        <button type="button" className="action min-h-16" onClick={() => void store.dispatch(ease(hard))}>
          {nowPlaying(covered, easier.word)}
        </button>
      )}
      <button type="button" className="plain min-h-16" onClick={() => void store.dispatch(rest(hard))}>
        That’s enough for this round
      </button>
      <button type="button" className="plain min-h-16" onClick={() => store.show({ kindly: last })}>
        Carry on
      </button>
    </p>
  );
}
