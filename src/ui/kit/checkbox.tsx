'use client';

import { clsx } from 'clsx';
import { Check } from 'lucide-react';
import { Checkbox as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface CheckboxProps {
  readonly label: ReactNode;
  readonly hint?: ReactNode;
  readonly checked?: boolean;
  readonly defaultChecked?: boolean;
  readonly onChange?: (on: boolean) => void;
  /** Of its value, `yes`, in a form. */
  readonly name?: string;
  readonly disabled?: boolean;
}

/** Yes or no, kept with the form it stands in. */
export function Checkbox({ label, hint, checked, defaultChecked, onChange, name, disabled = false }: CheckboxProps) {
  const id = useId();
  return (
    <div className="flex min-h-12 items-center gap-3">
      <Radix.Root
        id={id}
        value="yes"
        disabled={disabled}
        {...(name ? { name } : {})}
        {...(checked === undefined ? {} : { checked })}
        {...(defaultChecked === undefined ? {} : { defaultChecked })}
        onCheckedChange={(on) => onChange?.(on === true)}
        className={clsx(
          'grid size-6 shrink-0 place-items-center rounded border-2 border-ink bg-card disabled:opacity-50',
          'data-[state=checked]:bg-green data-[state=checked]:text-card',
        )}
      >
        <Radix.Indicator>
          <Check aria-hidden="true" size={18} strokeWidth={3} />
        </Radix.Indicator>
      </Radix.Root>
      <label htmlFor={id} className="min-h-12 flex-1 cursor-pointer content-center">
        {label}
        {hint && <span className="block text-muted">{hint}</span>}
      </label>
    </div>
  );
}
