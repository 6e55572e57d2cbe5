'use client';

import { useState } from 'react';
import type { Catalogue, CatalogueTask } from '@/server/plans/catalogue';
import { sure } from '@/core/sure';
import { Button } from '../kit/button';
import { SelectField, type OptionGroup } from '../kit/select';

interface GamePickerProps {
  readonly games: Catalogue;
  readonly task: string;
  readonly step: string;
  readonly label: string;
  readonly onPick: (task: string, step: string) => Promise<void>;
}

/** Games by family, as a list to choose from. */
export const gamesIn = (games: Catalogue, isOffered: (task: CatalogueTask) => boolean): OptionGroup[] =>
  games.families.map((f) => ({
    heading: f.name,
    options: f.tasks.filter(isOffered).map((t) => [t.id, t.name === f.name ? t.name : `${f.name}: ${t.name}`]),
  }));

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
      <SelectField label="Game" value={task} onChange={setTask} options={gamesIn(games, isOffered)} />
      <p className="text-muted">{chosen.asks}</p>
      <SelectField
        label="Step, easy to hard"
        value={steps}
        onChange={setStep}
        options={offered.map((s) => [s.id, s.name])}
      />
      <Button kind="action" type="submit" className="w-full" disabled={busy}>
        {label}
      </Button>
    </form>
  );
}
