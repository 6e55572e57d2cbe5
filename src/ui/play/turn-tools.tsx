'use client';

import { ROUTINE_WORDS, type RoutineStep } from '@/core/games/routine-steps';

interface ToolsProps {
  readonly steps: readonly RoutineStep[];
  readonly step: RoutineStep;
  readonly onStep: (step: RoutineStep) => void;
  readonly beats: boolean;
  readonly saidAgain: boolean;
  readonly slowed: string;
  readonly onBeat: () => void;
  readonly onSaidAgain: () => void;
  readonly onSlower: (() => void) | undefined;
}

/** Who speaks now, and saying it again. */
export function TurnTools({
  steps,
  step,
  onStep,
  beats,
  saidAgain,
  slowed,
  onBeat,
  onSaidAgain,
  onSlower,
}: ToolsProps) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      {steps.length > 1 && (
        <div
          role="group"
          aria-label="Who speaks"
          className="flex min-w-0 overflow-x-auto rounded-xl border border-line-strong bg-card"
        >
          {steps.map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={step === name}
              onClick={() => onStep(name)}
              className={`min-h-16 shrink-0 px-3 ${step === name ? 'bg-slate-soft font-bold' : 'hover:bg-paper'}`}
            >
              {ROUTINE_WORDS[name]}
            </button>
          ))}
        </div>
      )}
      {beats && (
        <button type="button" className="plain min-h-16" onClick={onBeat}>
          Beat it out
        </button>
      )}
      <button type="button" className="plain min-h-16" aria-pressed={saidAgain} onClick={onSaidAgain}>
        Said again{saidAgain && ' ✓'}
      </button>
      {onSlower && (
        <button type="button" className="plain min-h-16" onClick={onSlower}>
          Slower{slowed}
        </button>
      )}
    </div>
  );
}
