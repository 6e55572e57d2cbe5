'use client';

import { useState } from 'react';
import type { Catalogue, CatalogueTask } from '@/server/plans/catalogue';
import { sure } from '@/core/sure';
import { gamePicker as say } from './text';

interface GamePickerProps {
  readonly games: Catalogue;
  readonly task: string;
  readonly step: string;
  readonly label: string;
  readonly onPick: (task: string, step: string) => Promise<void>;
}

/** A game and a step of its ladder. */
export function GamePicker({ games, task: first, step: firstStep, label, onPick }: GamePickerProps) {
  const isOffered = ({ id, former }: CatalogueTask): boolean => !former || id === first;
  const [task, setTask] = useState(first);
  const [step, setStep] = useState(firstStep);
  const [busy, setBusy] = useState(false);
  const all = games.families.flatMap((f) => f.tasks);
  const chosen = sure(all.find((t) => t.id === task));
  // What is not offered any more can still be what the round is.
  const offered = [...chosen.steps, ...chosen.unlisted.filter((s) => s.id === firstStep)];
  const steps = offered.some((s) => s.id === step) ? step : sure(chosen.steps[0]).id;
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        setBusy(true);
        void onPick(task, steps).finally(() => setBusy(false));
      }}
    >
      <label className="block">
        <span className="mb-1 block text-muted">{say.game}</span>
        <select className="field font-word text-xl" value={task} onChange={(e) => setTask(e.target.value)}>
          {games.families.map((f) => (
            <optgroup key={f.name} label={f.name}>
              {f.tasks.filter(isOffered).map((t) => (
                <option key={t.id} value={t.id}>
                  {t.name === f.name ? t.name : `${f.name}: ${t.name}`}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      </label>
      <p className="text-muted">{chosen.asks}</p>
      <label className="block">
        <span className="mb-1 block text-muted">{say.stepEasyHard}</span>
        <select className="field font-word text-xl" value={steps} onChange={(e) => setStep(e.target.value)}>
          {offered.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="action w-full" disabled={busy}>
        {label}
      </button>
    </form>
  );
}
