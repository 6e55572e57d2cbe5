'use client';

import { clsx } from 'clsx';
import { Settings2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Run } from './run/run';
import { useEnding } from './use-ending';
import { useLate } from './use-late';
import { useRun, useStore } from './use-run';
import { playTop as say } from './text';

/** A session taken up again after a long break has no sensible clock. */
const LONGEST_MINUTES = 90;

/** More turns than this are a bar and a number. */
const MOST_DOTS = 10;

/** The round, its step, and where in the session it stands; or who listens along. */
function detailOf({ device, round, session, state }: Run): string {
  const by = device.by.trim();
  const many = session.rounds.length;
  return [
    device.second && by ? say.listensAlong(by) : '',
    round.step,
    many > 1 ? say.roundOf(state.round + 1, many) : session.groupName,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** Round, item, minutes, and quietly what still waits for the server. */
export function PlayTop() {
  const store = useStore();
  const end = useEnding();
  const title = useRun((run) => run.round.name);
  const detail = useRun(detailOf);
  const done = useRun((run) => run.state.done);
  const planned = useRun((run) => run.state.planned);
  const covered = useRun((run) => run.view.covered);
  const turnsLeft = useRun((run) => run.playing || run.modelling);
  return (
    <header
      className={clsx(
        'relative flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-line px-4 py-1',
        'sm:px-7 lg:flex-nowrap',
      )}
    >
      <p className="min-w-0 font-word text-xl leading-tight font-bold lg:truncate">
        {title} <span className="font-sans text-base font-normal text-muted">{detail}</span>
      </p>
      <Progress done={done} planned={planned} />
      <div className="ml-auto flex flex-wrap items-center gap-2 lg:shrink-0 lg:flex-nowrap">
        <Minutes />
        <button
          type="button"
          className="plain min-h-16"
          aria-pressed={covered}
          onClick={() => store.show({ covered: !covered })}
        >
          {say.childrenCanSee}
          {covered && ' ✓'}
        </button>
        <button type="button" className="plain min-h-16" onClick={() => store.show({ dialog: 'pause' })}>
          {say.pause}
        </button>
        <button
          type="button"
          className="plain min-h-16 min-w-16"
          aria-label={say.deviceThinkingTime}
          onClick={() => store.show({ dialog: 'device' })}
        >
          <Settings2 aria-hidden="true" />
        </button>
        <button
          type="button"
          className="plain min-h-16"
          onClick={() => (turnsLeft ? store.show({ dialog: 'finish' }) : void end())}
        >
          {say.finish}
        </button>
      </div>
      <StillHere />
    </header>
  );
}

/** Minutes gone, of those the session takes. */
function Minutes() {
  const minutes = useRun((run) => run.session.minutes);
  const startedAt = useRun((run) => run.log[0]?.at ?? null);
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    const tick = (): void => setNow(Date.now());
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, 10_000);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, []);
  const used = now && startedAt ? Math.max(0, Math.floor((now - startedAt) / 60_000)) : 0;
  return (
    <p className="min-w-24 pr-2 text-right text-muted">
      {used > LONGEST_MINUTES ? say.aboutMin(minutes) : say.ofMin(used, minutes)}
    </p>
  );
}

/** How much still waits for the server, once it has waited a while. */
function StillHere() {
  const pending = useRun((run) => run.pending);
  const late = useLate(pending > 0);
  return (
    <p
      role="status"
      className={clsx(
        'absolute top-full right-4 z-10 rounded-b-lg bg-marigold-soft px-4 py-1 sm:right-7',
        late ? '' : 'sr-only',
      )}
    >
      {late ? say.deviceYetServer(pending) : ''}
    </p>
  );
}

function dotLook(turn: number, done: number): string {
  if (turn < done) return 'bg-ink';
  return turn === done ? 'bg-marigold' : 'bg-line';
}

/** Turns done and planned: dots, or a bar where there are many. */
function Progress({ done, planned }: { readonly done: number; readonly planned: number }) {
  return (
    <p
      className="flex shrink-0 items-center gap-1"
      role="img"
      aria-label={`${Math.min(done, planned)} of ${planned} turns done`}
    >
      {planned > MOST_DOTS ? (
        <>
          <span className="block h-2 w-24 overflow-hidden rounded-full bg-line">
            <span className="block h-full bg-ink" style={{ width: `${(100 * Math.min(done, planned)) / planned}%` }} />
          </span>
          <span className="ml-1 whitespace-nowrap text-muted">{say.of(Math.min(done, planned), planned)}</span>
        </>
      ) : (
        Array.from({ length: planned }, (_, i) => (
          <span key={i} className={`h-2 w-4 rounded-full ${dotLook(i, done)}`} />
        ))
      )}
    </p>
  );
}
