'use client';

import { clsx } from 'clsx';
import { ROUTINE_WORDS } from '@/core/games/routine-steps';
import { ToolButton } from './tool-button';
import { useRun, useStore } from './use-run';

/** Who speaks now, and saying it again; on a phone these are among the tools. */
export function WhoSpeaks() {
  return (
    <div className="fit hidden shrink-0 items-center gap-2 px-(--side) pb-3 roomy:flex" data-zone="speaks">
      <Steps />
      <ToolButton id="beat" className="min-h-14 leading-tight" />
      <ToolButton id="said-again" className="min-h-14 leading-tight" />
      <ToolButton id="slower" className="min-h-14 leading-tight" />
    </div>
  );
}

function Steps() {
  const store = useStore();
  const steps = useRun((run) => run.round.routine);
  const step = useRun((run) => run.step);
  const playing = useRun((run) => run.playing);
  if (steps.length < 2 || !playing) return null;
  return (
    <div
      role="group"
      aria-label="Who speaks"
      className="flex min-w-0 overflow-hidden rounded-xl border border-line-strong bg-card"
    >
      {steps.map((name) => (
        <button
          key={name}
          type="button"
          data-box
          aria-pressed={step === name}
          onClick={() => store.setStep(name)}
          className={clsx(
            'min-h-14 min-w-0 px-3 leading-tight',
            step === name ? 'bg-slate-soft font-bold' : 'hover:bg-paper',
          )}
        >
          {ROUTINE_WORDS[name]}
        </button>
      ))}
    </div>
  );
}
