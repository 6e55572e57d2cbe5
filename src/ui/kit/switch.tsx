'use client';

import { clsx } from 'clsx';
import { Switch as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface SwitchProps {
  readonly label: ReactNode;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}

/** On or off, at once. */
export function Switch({ label, on, onChange }: SwitchProps) {
  const id = useId();
  return (
    <div className="flex min-h-14 items-center justify-between gap-4">
      <label htmlFor={id} className="min-h-14 flex-1 cursor-pointer content-center">
        {label}
      </label>
      <Radix.Root
        id={id}
        checked={on}
        onCheckedChange={onChange}
        className={clsx(
          'flex h-8 w-14 shrink-0 items-center rounded-full border-2 border-ink bg-card p-1',
          'data-[state=checked]:justify-end data-[state=checked]:bg-ink',
        )}
      >
        <Radix.Thumb className="block size-5 rounded-full bg-ink data-[state=checked]:bg-card" />
      </Radix.Root>
    </div>
  );
}
