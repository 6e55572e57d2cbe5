'use client';

import { clsx } from 'clsx';
import { Plant } from '../kit/plant';
import { useRun } from './use-run';

interface ChildNameProps {
  readonly id: string | null;
  readonly name: string;
}

/** What a child is called on this screen, beside their plant; the plant alone where names are hidden. */
export function ChildName({ id, name }: ChildNameProps) {
  const plant = useRun((run) => run.people.find((p) => p.id === id)?.plant ?? null);
  const hidden = useRun((run) => run.device.names === 'plants');
  if (!plant) return name;
  return (
    <span
      className={clsx(
        'inline-flex max-w-full min-w-0 items-center gap-x-[0.4em] roomy:flex-wrap',
        'roomy:justify-center wide:flex-nowrap wide:justify-start',
      )}
    >
      <Plant id={plant} />
      <span className={hidden ? 'sr-only' : 'max-w-full min-w-0'}>{name}</span>
    </span>
  );
}
