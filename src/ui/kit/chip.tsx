import { cva, type VariantProps } from 'class-variance-authority';
import type { ComponentProps } from 'react';

const look = cva('shrink-0 rounded-full border disabled:opacity-50', {
  variants: {
    on: {
      true: 'border-ink bg-ink text-card',
      false: 'border-line-strong bg-card hover:border-ink',
    },
    size: { usual: 'min-h-12 px-4', big: 'min-h-16 px-5 font-word text-2xl', small: 'min-h-12 px-3' },
  },
  defaultVariants: { on: false, size: 'usual' },
});

type ChipProps = Omit<ComponentProps<'button'>, 'aria-pressed'> & VariantProps<typeof look>;

/** One of several; with `on` it is one that can be on or off. */
export const Chip = ({ on, size, className, ...rest }: ChipProps) => (
  <button type="button" aria-pressed={on ?? undefined} className={look({ on, size, className })} {...rest} />
);
