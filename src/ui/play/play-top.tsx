'use client';

import { clsx } from 'clsx';
import { Settings2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { useLate } from './use-late';

interface PlayTopProps {
  readonly title: string;
  readonly detail: string;
  readonly done: number;
  readonly planned: number;
  readonly minutes: number;
  readonly startedAt: number | null;
  readonly covered: boolean;
  readonly pending: number;
  readonly onCover: () => void;
  readonly onFinish: () => void;
  readonly onPause: () => void;
  readonly onDevice: () => void;
}

/** A session taken up again after a long break has no sensible clock. */
const LONGEST_MINUTES = 90;

/** More turns than this are a bar and a number. */
const MOST_DOTS = 10;

/** Round, item, minutes, and quietly what still waits for the server. */
export function PlayTop({
  title,
  detail,
  done,
  planned,
  minutes,
  startedAt,
  covered,
  pending,
  onCover,
  onFinish,
  onPause,
  onDevice,
}: PlayTopProps) {
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
  const late = useLate(pending > 0);
  const used = now && startedAt ? Math.max(0, Math.floor((now - startedAt) / 60_000)) : 0;
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
        <p className="min-w-24 pr-2 text-right text-muted">
          {used > LONGEST_MINUTES ? `about ${minutes} min` : `${used} of ${minutes} min`}
        </p>
        <button type="button" className="plain min-h-16" aria-pressed={covered} onClick={onCover}>
          Children can see{covered && ' ✓'}
        </button>
        <button type="button" className="plain min-h-16" onClick={onPause}>
          Pause
        </button>
        <button
          type="button"
          className="plain min-h-16 min-w-16"
          aria-label="On this device: thinking time, initials, who marks"
          onClick={onDevice}
        >
          <Settings2 aria-hidden="true" />
        </button>
        <button type="button" className="plain min-h-16" onClick={onFinish}>
          Finish
        </button>
      </div>
      <p
        role="status"
        className={clsx(
          'absolute top-full right-4 z-10 rounded-b-lg bg-marigold-soft px-4 py-1 sm:right-7',
          late ? '' : 'sr-only',
        )}
      >
        {late ? `${pending} on this device, not yet on the server` : ''}
      </p>
    </header>
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
          <span className="ml-1 whitespace-nowrap text-muted">
            {Math.min(done, planned)} of {planned}
          </span>
        </>
      ) : (
        Array.from({ length: planned }, (_, i) => (
          <span key={i} className={`h-2 w-4 rounded-full ${dotLook(i, done)}`} />
        ))
      )}
    </p>
  );
}
