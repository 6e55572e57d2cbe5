import { cva, type VariantProps } from 'class-variance-authority';
import type { ComponentProps } from 'react';

/**
 * How a button looks; a link that acts like one may look so too. Fixed classes and no script of its own, so that the
 * first screen of Play can use it.
 * @example <Link className={buttonLook({ kind: 'action' })} href="/plan">Plan</Link>
 */
export const buttonLook = cva('', {
  variants: {
    kind: { action: 'action', plain: 'plain', quiet: 'quiet' },
    size: { usual: '', big: 'min-h-16', icon: 'min-w-12 px-0' },
  },
  defaultVariants: { kind: 'plain', size: 'usual' },
});

type ButtonProps = ComponentProps<'button'> & VariantProps<typeof buttonLook>;

/** A button: `action` for the one thing a screen is for, `plain` for others, `quiet` for what is rarely needed. */
export const Button = ({ kind, size, className, type = 'button', ...rest }: ButtonProps) => (
  <button type={type} className={buttonLook({ kind, size, className })} {...rest} />
);
