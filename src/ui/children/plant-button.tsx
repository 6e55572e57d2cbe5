'use client';

import { clsx } from 'clsx';
import { Sprout } from 'lucide-react';
import { useOptimistic, useState, useTransition } from 'react';
import { keepPlant } from '@/actions/groups';
import { PLANTS, type PlantId } from '@/core/sessions/plants';
import { Button } from '../kit/button';
import { ErrorMessage } from '../kit/message';
import { Plant } from '../kit/plant';
import { Popover } from '../kit/popover';
import { plantButton as say } from './text';

interface PlantButtonProps {
  readonly child: { readonly id: string; readonly name: string; readonly plant: PlantId | null };
  /** Plants that others of the group have. */
  readonly taken: readonly (PlantId | null)[];
}

/** The plant beside a child’s name: a tap shows all there are, and whose is still free. */
export function PlantButton({ child, taken }: PlantButtonProps) {
  const [open, setOpen] = useState(false);
  const [plant, show] = useOptimistic(child.plant);
  const [error, setError] = useState<string | null>(null);
  const [, begin] = useTransition();
  const choose = (next: PlantId | null): void => {
    begin(async () => {
      show(next);
      const state = await keepPlant(child.id, next).catch(() => ({ error: say.serverCannotReached }));
      setError(state.error ?? null);
      if (!state.error) setOpen(false);
    });
  };
  return (
    <Popover
      label={say.plantOf(child.name)}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          className="grid size-12 shrink-0 place-items-center rounded-lg text-[1.4rem] hover:bg-card"
          aria-label={say.choose(child.name, plant ? say.names[plant] : null)}
        >
          {plant ? <Plant id={plant} /> : <Sprout aria-hidden="true" size={22} className="text-muted" />}
        </button>
      }
    >
      <p className="mb-3">{say.standsBeside(child.name)}</p>
      <ul className="grid grid-cols-6 gap-1">
        {PLANTS.map((id) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={id === plant}
              aria-label={taken.includes(id) ? say.taken(say.names[id]) : say.names[id]}
              className={clsx(
                'relative grid size-14 place-items-center rounded-lg border-2 border-transparent',
                'text-[1.7rem] hover:bg-paper aria-pressed:border-ink',
              )}
              onClick={() => choose(id)}
            >
              <Plant id={id} />
              {taken.includes(id) && (
                <span aria-hidden="true" className="absolute right-1 bottom-0 size-2.5 rounded-full bg-ink" />
              )}
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap items-center justify-between gap-2">
        <p className="text-muted">{say.dotMeans}</p>
        {plant && <Button onClick={() => choose(null)}>{say.noPlant}</Button>}
      </div>
      {error && <ErrorMessage>{error}</ErrorMessage>}
    </Popover>
  );
}
