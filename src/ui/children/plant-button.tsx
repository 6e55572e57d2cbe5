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
import { unreached } from '../kit/unreached';

const plantLabel = (name: string, plant: string | null) =>
  plant ? `${name}’s plant: ${plant}` : `Choose a plant for ${name}`;

const PLANT_NAMES = {
  carrot: 'carrot',
  radish: 'radish',
  beetroot: 'beetroot',
  turnip: 'turnip',
  leek: 'leek',
  onion: 'onion',
  pea: 'peas',
  bean: 'bean',
  tomato: 'tomato',
  pumpkin: 'pumpkin',
  courgette: 'courgette',
  aubergine: 'aubergine',
  sweetcorn: 'sweetcorn',
  lettuce: 'lettuce',
  cabbage: 'cabbage',
  mushroom: 'mushroom',
  sunflower: 'sunflower',
  tulip: 'tulip',
  daisy: 'daisy',
  strawberry: 'strawberry',
  apple: 'apple',
  pear: 'pear',
  cherry: 'cherries',
  raspberry: 'raspberry',
} as const;

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
      const state = await keepPlant(child.id, next).catch(unreached('Please choose again in a moment.'));
      setError(state.error ?? null);
      if (!state.error) setOpen(false);
    });
  };
  return (
    <Popover
      label={`A plant for ${child.name}`}
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          className="grid size-12 shrink-0 place-items-center rounded-lg text-[1.4rem] hover:bg-card"
          aria-label={plantLabel(child.name, plant ? PLANT_NAMES[plant] : null)}
        >
          {plant ? <Plant id={plant} /> : <Sprout aria-hidden="true" size={22} className="text-muted" />}
        </button>
      }
    >
      <p className="mb-3">It stands beside {child.name}’s name in Play, on the tick grid and on the name cards.</p>
      <ul className="grid grid-cols-6 gap-1">
        {PLANTS.map((id) => (
          <li key={id}>
            <button
              type="button"
              aria-pressed={id === plant}
              aria-label={taken.includes(id) ? `${PLANT_NAMES[id]}, another child has it` : PLANT_NAMES[id]}
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
        <p className="text-muted">A dot means another child has it.</p>
        {plant && <Button onClick={() => choose(null)}>No plant</Button>}
      </div>
      <ErrorMessage>{error}</ErrorMessage>
    </Popover>
  );
}
