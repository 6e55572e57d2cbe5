'use client';

import { clsx } from 'clsx';
import { cva, type VariantProps } from 'class-variance-authority';
import { Check, ChevronDown, ChevronUp } from 'lucide-react';
import { Select as Radix } from 'radix-ui';
import { useId, type ReactNode } from 'react';
import { Field } from './field';

const look = cva(
  [
    'inline-flex min-h-12 max-w-full min-w-0 items-center justify-between gap-2 rounded-xl text-left text-ink',
    'disabled:opacity-50',
  ],
  {
    variants: {
      kind: {
        field: 'w-full border border-line-strong bg-card px-4 py-2',
        small: 'border border-line-strong bg-card px-3',
        bare: 'bg-transparent px-2 font-word text-lg',
      },
    },
    defaultVariants: { kind: 'field' },
  },
);

/** One choice, or several under a heading. */
type Options = readonly (readonly [value: string, text: string])[];
export interface OptionGroup {
  readonly heading: string;
  readonly options: Options;
}

interface SelectProps extends VariantProps<typeof look> {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly options: Options | readonly OptionGroup[];
  /** Of the button, so that a label can name it. */
  readonly id?: string;
  readonly label?: string;
  /** What stands where nothing is chosen yet. */
  readonly placeholder?: string;
  /** Of its value in a form. */
  readonly name?: string;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** Radix takes no empty value; “none” is a choice like any other here. */
const NOTHING = '\u2205';
const toRadix = (value: string): string => value || NOTHING;
const fromRadix = (value: string): string => (value === NOTHING ? '' : value);

const Item = ({ value, text }: { readonly value: string; readonly text: string }) => (
  <Radix.Item
    value={toRadix(value)}
    data-value={value}
    className={clsx(
      'relative flex min-h-12 cursor-pointer items-center gap-2 rounded-lg py-1 pr-4 pl-9',
      'outline-none data-highlighted:bg-slate-soft',
    )}
  >
    <Radix.ItemIndicator className="absolute left-3">
      <Check aria-hidden="true" size={18} />
    </Radix.ItemIndicator>
    <Radix.ItemText>{text}</Radix.ItemText>
  </Radix.Item>
);

/** The text of what is chosen: it stands there before the list was ever opened. */
const chosenIn = (options: SelectProps['options'], value: string): string | undefined =>
  options.flatMap((o) => (isGroup(o) ? o.options : [o])).find(([key]) => key === value)?.[1];

const isGroup = (option: Options[number] | OptionGroup): option is OptionGroup => 'heading' in option;

/** One of several, in a list that opens. */
export function Select({ value, onChange, options, id, label, placeholder, name, kind, ...rest }: SelectProps) {
  const { disabled = false, className } = rest;
  return (
    <Radix.Root value={toRadix(value)} onValueChange={(next) => onChange(fromRadix(next))} disabled={disabled}>
      {name && <input type="hidden" name={name} value={value} />}
      <Radix.Trigger id={id} aria-label={label} className={look({ kind, className })}>
        <span className="min-w-0 truncate">
          <Radix.Value placeholder={placeholder}>{chosenIn(options, value)}</Radix.Value>
        </span>
        <Radix.Icon className="shrink-0 text-muted">
          <ChevronDown aria-hidden="true" size={18} />
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={4}
          collisionPadding={8}
          className={clsx(
            'z-60 max-h-(--radix-select-content-available-height) max-w-[calc(100vw-1rem)]',
            'min-w-(--radix-select-trigger-width) overflow-hidden rounded-xl border',
            'border-line-strong bg-card shadow-xl',
          )}
        >
          <Radix.ScrollUpButton className="grid place-items-center py-1">
            <ChevronUp aria-hidden="true" size={18} />
          </Radix.ScrollUpButton>
          <Radix.Viewport className="p-1">
            {options.map((option) =>
              isGroup(option) ? (
                <Radix.Group key={option.heading}>
                  <Radix.Label className="px-3 pt-3 pb-1 text-muted">{option.heading}</Radix.Label>
                  {option.options.map(([key, text]) => (
                    <Item key={key} value={key} text={text} />
                  ))}
                </Radix.Group>
              ) : (
                <Item key={option[0]} value={option[0]} text={option[1]} />
              ),
            )}
          </Radix.Viewport>
          <Radix.ScrollDownButton className="grid place-items-center py-1">
            <ChevronDown aria-hidden="true" size={18} />
          </Radix.ScrollDownButton>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

interface SelectFieldProps extends Omit<SelectProps, 'id' | 'label'> {
  readonly label: ReactNode;
  readonly inline?: boolean;
  readonly hint?: string;
}

/** One of several, with its name over it or before it. */
export function SelectField({ label, inline = false, hint, ...rest }: SelectFieldProps) {
  const id = useId();
  return (
    <Field label={label} htmlFor={id} inline={inline} hint={hint}>
      <Select id={id} kind={inline ? 'small' : 'field'} {...rest} />
    </Field>
  );
}
