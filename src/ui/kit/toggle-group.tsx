'use client';

import { ToggleGroup as Radix } from 'radix-ui';

interface ToggleGroupProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly options: readonly (readonly [value: string, text: string])[];
}

/** One of a few, joined in a row; there is always one. */
export const ToggleGroup = ({ label, value, onChange, options }: ToggleGroupProps) => (
  <Radix.Root
    type="single"
    aria-label={label}
    value={value}
    onValueChange={(next) => next && onChange(next)}
    className="inline-flex max-w-full flex-wrap overflow-hidden rounded-xl border border-line-strong bg-card"
  >
    {options.map(([key, text]) => (
      <Radix.Item
        key={key}
        value={key}
        className="min-h-12 min-w-12 px-4 hover:bg-paper data-[state=on]:bg-ink data-[state=on]:text-card"
      >
        {text}
      </Radix.Item>
    ))}
  </Radix.Root>
);
