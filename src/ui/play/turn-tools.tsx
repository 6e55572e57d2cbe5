'use client';

import { ACCESS_WORDS } from '@/core/answers/access';
import { ROUTINE_WORDS } from '@/core/games/routine-steps';
import { beatCount } from './run/beats';
import { useNames, useRun, useStore } from './use-run';
import { turnTools as say } from './text';

/** Who speaks now, and saying it again. */
export function TurnTools() {
  return (
    <div className="grid gap-1">
      <AlwaysSo />
      <Buttons />
    </div>
  );
}

/** What is always so for the child whose turn it is. */
function AlwaysSo() {
  const nameOf = useNames();
  const access = useRun((run) => run.ownWay.access);
  const child = useRun((run) => run.state.childId);
  if (!access.length || child === null) return null;
  return (
    <p className="text-muted">{say.alwaysFor(nameOf(child), access.map((a) => ACCESS_WORDS[a].play).join(', '))}</p>
  );
}

function Buttons() {
  const store = useStore();
  const steps = useRun((run) => run.round.routine);
  const step = useRun((run) => run.step);
  const beats = useRun((run) => run.item !== undefined && beatCount(run.item) > 1);
  const saidAgain = useRun((run) => run.draft.helps.includes('said-again'));
  const slowed = useRun(({ draft, gaps }) => (draft.gap > 0 ? `: ${gaps[draft.gap]} s` : ''));
  const check = useRun((run) => run.check);
  return (
    <div className="flex flex-wrap items-center gap-2">
      {steps.length > 1 && (
        <div
          role="group"
          aria-label={say.whoSpeaks}
          className="flex max-w-full min-w-0 flex-wrap overflow-hidden rounded-xl border border-line-strong bg-card"
        >
          {steps.map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={step === name}
              onClick={() => store.setStep(name)}
              className={`min-h-16 shrink-0 px-3 ${step === name ? 'bg-slate-soft font-bold' : 'hover:bg-paper'}`}
            >
              {ROUTINE_WORDS[name]}
            </button>
          ))}
        </div>
      )}
      {beats && (
        <button type="button" className="plain min-h-16" onClick={store.beat}>
          {say.beatItOut}
        </button>
      )}
      <button type="button" className="plain min-h-16" aria-pressed={saidAgain} onClick={store.sayAgain}>
        {say.saidAgain}
        {saidAgain && ' ✓'}
      </button>
      {!check && (
        <button type="button" className="plain min-h-16" onClick={store.slower}>
          {say.slower(slowed)}
        </button>
      )}
    </div>
  );
}
