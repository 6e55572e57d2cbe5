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
  /** `pills` stand side by side, short; `list` is one under the other, with a word of help. */
  readonly kind?: 'list' | 'pills';
  /** The legend is in the line of the pills. */
  readonly inline?: boolean;
}

/** One of a few, all in sight. */
export function RadioGroup({ legend, value, onChange, options, name, kind = 'list', inline = false }: RadioGroupProps) {
  const id = useId();
  return (
    <fieldset className={inline ? 'flex flex-wrap items-center gap-x-4 gap-y-2' : ''}>
      <legend id={id} className={inline ? 'float-left min-w-64 flex-1 text-lg' : 'mb-2'}>
        {legend}
      </legend>
      <Radix.Root
        aria-labelledby={id}
        value={value}
        onValueChange={onChange}
        {...(name ? { name } : {})}
        className={kind === 'pills' ? 'flex flex-wrap gap-2' : 'space-y-1'}
      >
        {options.map((option) =>
          kind === 'pills' ? <Pill key={option.value} {...option} /> : <Choice key={option.value} {...option} />,
        )}
      </Radix.Root>
    </fieldset>
  );
}

interface ChoiceProps {
  readonly value: string;
  readonly label: ReactNode;
  readonly hint?: ReactNode;
}

const Pill = ({ value, label }: ChoiceProps) => (
  <Radix.Item
    value={value}
    className={clsx(
      'min-h-12 rounded-full border border-line-strong bg-card px-4 hover:border-ink',
      'data-[state=checked]:border-ink data-[state=checked]:bg-ink',
      'data-[state=checked]:text-card',
    )}
  >
    {label}
  </Radix.Item>
);

function Choice({ value, label, hint }: ChoiceProps) {
  const id = useId();
  return (
    <div className="flex min-h-12 items-start gap-3 py-1">
      <Radix.Item
        id={id}
        value={value}
        className="mt-2.5 grid size-6 shrink-0 place-items-center rounded-full border-2 border-ink bg-card"
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
