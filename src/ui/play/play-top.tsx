'use client';

import { clsx } from 'clsx';
import { useEffect, useState } from 'react';
import { Button } from '../kit/button';
import type { Run } from './run/run';
import { ToolButton } from './tool-button';
import { useEnding } from './use-ending';
import { useLate } from './use-late';
import { useRun, useStore } from './use-run';

/** A session taken up again after a long break has no sensible clock. */
const LONGEST_MINUTES = 90;

/** More turns than this are a bar. */
const MOST_DOTS = 10;

/** The round, its step, and where in the session it stands; or who listens along. */
function detailOf({ device, round, session, state }: Run): string {
  const by = device.by.trim();
  const many = session.rounds.length;
  return [
    device.second && by ? `${by} is listening along` : '',
    round.step,
    many > 1 ? `round ${state.round + 1} of ${many}` : session.groupName,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** In a low line a button has a line beside it, and no frame. */
const HEAD = 'snug:rounded-none snug:border-0 snug:border-l snug:border-line snug:bg-transparent snug:px-2.5';

/** One line: the round, how many turns of it, minutes; with more room, what is needed now and then. */
export function PlayTop() {
  return (
    <header className="flex items-center gap-x-3 border-b border-line px-(--side) wide:gap-x-5">
      <div
        className="fit relative flex min-h-0 min-w-0 flex-1 items-center-safe gap-x-3 self-stretch roomy:gap-x-5"
        data-zone="top"
      >
        <Title />
        <Progress />
        <Minutes />
        <StillHere />
      </div>
      <div className="flex shrink-0 items-center text-[0.85rem] roomy:gap-2 wide:text-[1rem]">
        <ToolButton id="covered" className="max-[1199px]:hidden narrow:hidden" />
        <ToolButton id="note" className={HEAD} />
        <ToolButton id="pause" className={HEAD} />
        <Finish />
      </div>
    </header>
  );
}

function Title() {
  const title = useRun((run) => run.round.name);
  const detail = useRun(detailOf);
  return (
    <p className="min-w-min font-word text-[1em] leading-tight font-bold max-[559px]:hidden">
      {title}{' '}
      <span className="font-sans text-[0.82em] font-normal text-muted snug:hidden roomy:text-[1em]">{detail}</span>
    </p>
  );
}

function Finish() {
  const store = useStore();
  const end = useEnding();
  const turnsLeft = useRun((run) => run.playing || run.modelling);
  return (
    <Button className={HEAD} onClick={() => (turnsLeft ? store.show({ dialog: 'finish' }) : void end())}>
      Finish
    </Button>
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
    <p className="ml-auto shrink-0 text-right text-[0.82em] whitespace-nowrap text-muted roomy:text-[1em]">
      {used > LONGEST_MINUTES ? `about ${minutes} min` : `${used} of ${minutes} min`}
    </p>
  );
}

/** How much still waits for the server, once it has waited a while: over the title, never over an answer. */
function StillHere() {
  const pending = useRun((run) => run.pending);
  const late = useLate(pending > 0);
  return (
    <p
      role="status"
      className={clsx(
        'absolute inset-0 flex items-center bg-marigold-soft px-2 text-[0.82em] leading-tight roomy:text-[1em]',
        !late && 'sr-only',
      )}
    >
      {late ? `${pending} on this device, not on the server yet` : ''}
    </p>
  );
}

function dotLook(turn: number, done: number): string {
  if (turn < done) return 'bg-ink';
  return turn === done ? 'bg-marigold' : 'bg-line';
}

/** Turns done and planned: dots where there are few and room for them, else a bar; and always the figures. */
function Progress() {
  const done = useRun((run) => Math.min(run.state.done, run.state.planned));
  const planned = useRun((run) => run.state.planned);
  const few = planned <= MOST_DOTS;
  return (
    <p
      className="flex min-w-min items-center gap-2 roomy:shrink-0"
      role="img"
      aria-label={`${done} of ${planned} turns done`}
    >
      {few && (
        <span className="hidden gap-1 roomy:flex">
          {Array.from({ length: planned }, (_, i) => (
            <span key={i} className={`h-2 w-4 rounded-full ${dotLook(i, done)}`} />
          ))}
        </span>
      )}
      <span
        className={clsx(
          'block h-2 w-16 min-w-3 shrink overflow-hidden rounded-full bg-line max-[559px]:hidden',
          few && 'roomy:hidden',
        )}
      >
        <span className="block h-full bg-ink" style={{ width: `${(100 * done) / planned}%` }} />
      </span>
      <span className="text-[0.82em] whitespace-nowrap text-muted roomy:text-[1em]">
        {done} of {planned}
      </span>
    </p>
  );
}
