import { clsx } from 'clsx';
import type { ComponentProps } from 'react';

const SIZES = {
  usual: 'min-h-12 px-4',
  big: 'min-h-16 px-5 font-word text-2xl',
  // In a place of Play it gives way with the rest of what stands there (ui/play/fit).
  small: 'h-[calc(48px*var(--fit,1))] px-[0.75em] leading-tight',
} as const;

interface ChipProps extends Omit<ComponentProps<'button'>, 'aria-pressed'> {
  readonly on?: boolean;
  readonly size?: keyof typeof SIZES;
}

/** One of several; with `on` it is one that can be on or off. Fixed classes, as a button of the kit has. */
export const Chip = ({ on, size = 'usual', className, ...rest }: ChipProps) => (
  <button
    type="button"
    aria-pressed={on}
    className={clsx(
      'shrink-0 rounded-full border disabled:opacity-50',
      on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
      SIZES[size],
      className,
    )}
    {...rest}
  />
);
