'use client';

import { useEffect, useState } from 'react';
import { BounceLine } from '../kit/bounce-line';
import { Button } from '../kit/button';
import { Chip } from '../kit/chip';
import { tick } from './run/acts';
import { useRun, useStore } from './use-run';

const clock = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** What the adult calls out when the clock has so many seconds left. */
function callAt(left: number, total: number): string {
  if (left === 0) return 'Time!';
  if (left <= 30) return 'Thirty seconds';
  return left <= total / 2 ? 'Half-way' : '';
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
  const atRest = left ? 'Start the clock' : 'Reset the clock';
  if (!view) return null;
  const call = callAt(left, total);
  const extra = [...ticked].filter((word) => !view.words.some((w) => w.word === word));
  return (
    <div className="flex min-h-0 flex-1 shrink! flex-col" data-part="word">
      <BounceLine marks={view.sounds} count={view.sounds.length} size="full" labels={!covered} room="var(--room)" />
      <div className="my-1 flex flex-wrap items-center gap-x-4 gap-y-1 roomy:gap-x-6">
        <p className="big-2 font-word leading-none font-bold tabular-nums" aria-hidden="true">
          {clock(left)}
        </p>
        <Button className="leading-tight roomy:min-h-16" onClick={press}>
          {running ? 'Stop the clock' : atRest}
        </Button>
        <p className="font-word text-[1.3em]">
          <strong>{ticked.size}</strong> <span className="text-muted">of {view.words.length + extra.length}</span>
        </p>
        <p role="status" className="font-word text-[1.2em] font-bold text-green">
          {call}
        </p>
        <Button className="ml-auto leading-tight roomy:min-h-16" onClick={() => store.show({ dialog: 'said' })}>
          A word that isn’t listed
        </Button>
      </div>
      {covered ? (
        <p className="text-muted">The words are hidden while children can see the screen.</p>
      ) : (
        <ul
          aria-label="Words to tick"
          tabIndex={0}
          className="flex min-h-[3.6rem] flex-1 flex-wrap content-start gap-2 overflow-y-auto p-1"
        >
          {[...view.words.map((w) => w.word), ...extra].map((word) => (
            <li key={word}>
              <Chip size="big" on={ticked.has(word)} onClick={() => void store.dispatch(tick(word, !ticked.has(word)))}>
                {ticked.has(word) && <span aria-hidden="true">✓ </span>}
                {word}
              </Chip>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
