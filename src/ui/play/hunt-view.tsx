'use client';

import { clsx } from 'clsx';
import { useEffect, useState } from 'react';
import { BounceLine } from '../kit/bounce-line';
import { tick } from './run/acts';
import { useRun, useStore } from './use-run';
import { huntView as say } from './text';

const clock = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** What the adult calls out when the clock has so many seconds left. */
function callAt(left: number, total: number): string {
  if (left === 0) return say.time;
  if (left <= 30) return say.thirtySeconds;
  return left <= total / 2 ? say.halfWay : '';
}

/** A handful of sounds, a clock with its calls, and every word to tick as it is said. */
export function HuntView() {
  const store = useStore();
  const view = useRun(({ item }) => (item?.view.kind === 'hunt' ? item.view : null));
  const covered = useRun((run) => run.view.covered);
  const ticked = useRun((run) => run.state.ticked);
  const total = view?.seconds ?? 0;
  const [left, setLeft] = useState(total);
  // When the time is up, in milliseconds since 1970; null while the clock stands.
  const [end, setEnd] = useState<number | null>(null);
  const running = end !== null;
  useEffect(() => {
    if (end === null) return;
    const timer = setInterval(() => {
      const now = Math.max(0, Math.ceil((end - Date.now()) / 1_000));
      setLeft(now);
      if (!now) setEnd(null);
    }, 250);
    return () => clearInterval(timer);
  }, [end]);
  // The clock goes on from where it stood.
  const press = (): void => {
    if (!left) setLeft(total);
    else setEnd(running ? null : Date.now() + left * 1_000);
  };
  const atRest = left ? say.startTheClock : say.clockBack;
  if (!view) return null;
  const call = callAt(left, total);
  const extra = [...ticked].filter((word) => !view.words.some((w) => w.word === word));
  return (
    <div>
      <div className="max-w-[56rem]">
        <BounceLine marks={view.sounds} count={view.sounds.length} size="full" labels={!covered} />
      </div>
      <div className="my-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        <p className="font-word text-5xl font-bold tabular-nums" aria-hidden="true">
          {clock(left)}
        </p>
        <button type="button" className="plain min-h-16 px-6 text-lg" onClick={press}>
          {running ? say.stopTheClock : atRest}
        </button>
        <p className="font-word text-3xl">
          <strong>{ticked.size}</strong> <span className="text-muted">{say.of(view.words.length + extra.length)}</span>
        </p>
        <p role="status" className="font-word text-2xl font-bold text-green">
          {call}
        </p>
        <button type="button" className="plain ml-auto min-h-16" onClick={() => store.show({ dialog: 'said' })}>
          {say.word}
        </button>
      </div>
      {covered ? (
        <p className="text-muted">{say.wordsHiddenWhile}</p>
      ) : (
        <ul
          aria-label={say.wordsToTick}
          tabIndex={0}
          className="flex max-h-[19rem] flex-wrap gap-2.5 overflow-y-auto p-1"
        >
          {[...view.words.map((w) => w.word), ...extra].map((word) => (
            <li key={word}>
              <button
                type="button"
                aria-pressed={ticked.has(word)}
                onClick={() => void store.dispatch(tick(word, !ticked.has(word)))}
                className={clsx(
                  'min-h-16 rounded-full border px-5 font-word text-2xl',
                  ticked.has(word) ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
                )}
              >
                {ticked.has(word) && <span aria-hidden="true">✓ </span>}
                {word}
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
