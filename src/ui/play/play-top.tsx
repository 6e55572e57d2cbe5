'use client';

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
}

/** A session taken up again after a long break has no sensible clock. */
const LONGEST_MINUTES = 90;

/** Round, item, minutes, and quietly what still waits for the server. */
export function PlayTop({ title, detail, done, planned, minutes, startedAt, covered, pending, onCover, onFinish }: PlayTopProps) {
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
    <header className="relative flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-line px-4 py-2 sm:px-7">
      <p className="font-word text-xl font-bold">{title}</p>
      <p className="text-muted">{detail}</p>
      <p className="flex items-center gap-1.5" role="img" aria-label={`${Math.min(done, planned)} of ${planned} turns done`}>
        {Array.from({ length: Math.min(planned, 30) }, (_, i) => (
          <span key={i} className={`h-2 rounded-full ${planned > 12 ? 'w-2.5' : 'w-6'} ${i < done ? 'bg-ink' : i === done ? 'bg-marigold' : 'bg-line'}`} />
        ))}
      </p>
      <div className="ml-auto flex items-center gap-3">
        <p className="min-w-24 text-right text-muted">
          {used > LONGEST_MINUTES ? `about ${minutes} min` : `${used} min of ${minutes}`}
        </p>
        <button type="button" className="plain" aria-pressed={covered} onClick={onCover}>Children can see{covered && ' ✓'}</button>
        <button type="button" className="plain" onClick={onFinish}>Finish</button>
      </div>
      <p role="status" className={`absolute right-4 top-full z-10 rounded-b-lg bg-marigold-soft px-4 py-1 sm:right-7 ${late ? '' : 'sr-only'}`}>
        {late ? `${pending} on this device, not yet on the server` : ''}
      </p>
    </header>
  );
}
