'use client';

import { clsx } from 'clsx';
import { RadioGroup as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface RadioGroupProps {
  /** What is asked. */
  readonly legend: ReactNode;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly options: readonly {
    readonly value: string;
    readonly label: ReactNode;
    readonly hint?: ReactNode;
  }[];
  readonly name?: string;
  /** `cards` are large, side by side; `list` is one under the other. */
  readonly kind?: 'list' | 'cards';
}

/** One of a few, all in sight. */
export function RadioGroup({ legend, value, onChange, options, name, kind = 'list' }: RadioGroupProps) {
  const id = useId();
  return (
    <fieldset>
      <legend id={id} className="mb-2">
        {legend}
      </legend>
      <Radix.Root
        aria-labelledby={id}
        value={value}
        onValueChange={onChange}
        {...(name ? { name } : {})}
        className={kind === 'cards' ? 'flex flex-wrap gap-2.5' : 'space-y-1'}
      >
        {options.map((option) => (
          <Choice key={option.value} {...option} kind={kind} />
        ))}
      </Radix.Root>
    </fieldset>
  );
}

interface ChoiceProps {
  readonly value: string;
  readonly label: ReactNode;
  readonly hint?: ReactNode;
  readonly kind: 'list' | 'cards';
}

function Choice({ value, label, hint, kind }: ChoiceProps) {
  const id = useId();
  return (
    <div
      className={clsx(
        'flex min-h-12 items-center gap-3',
        kind === 'cards' &&
          'rounded-xl border border-line-strong bg-card px-4 hover:border-ink has-data-[state=checked]:border-ink has-data-[state=checked]:bg-slate-soft',
      )}
    >
      <Radix.Item
        id={id}
        value={value}
        className="grid size-6 shrink-0 place-items-center rounded-full border-2 border-ink bg-card"
      >
        <Radix.Indicator className="block size-3 rounded-full bg-ink" />
      </Radix.Item>
      <label htmlFor={id} className="min-h-12 flex-1 cursor-pointer content-center">
        {label}
        {hint && <span className="block text-muted">{hint}</span>}
      </label>
    </div>
  );
}
