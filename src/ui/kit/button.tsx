import { clsx } from 'clsx';
import type { ComponentProps, MouseEvent } from 'react';

const KINDS = { action: 'action', plain: 'plain', quiet: 'quiet' } as const;
const SIZES = { usual: '', big: 'min-h-16' } as const;

interface Look {
  readonly kind?: keyof typeof KINDS;
  readonly size?: keyof typeof SIZES;
}

/**
 * How a button looks; a link that acts like one may look so too. Fixed classes and no script of its own, so that the
 * first screen of Play can use it.
 * @example <Link className={buttonLook({ kind: 'action' })} href="/plan">Plan</Link>
 */
export const buttonLook = ({ kind = 'plain', size = 'usual' }: Look, more?: string): string =>
  clsx(KINDS[kind], SIZES[size], more);

type ButtonProps = ComponentProps<'button'> & Look;

/** Nothing happens, and no form is sent. */
const nothing = (event: MouseEvent): void => event.preventDefault();

/**
 * A button: `action` for the one thing a screen is for, `plain` for others, `quiet` for what is rarely needed. Where it
 * can do nothing it is still there for the focus, so that whoever pressed it does not lose their place meanwhile.
 */
export const Button = ({ kind, size, className, type = 'button', disabled = false, onClick, ...rest }: ButtonProps) => (
  <button
    type={type}
    className={buttonLook({ ...(kind ? { kind } : {}), ...(size ? { size } : {}) }, className)}
    onClick={disabled ? nothing : onClick}
    {...(disabled ? { 'aria-disabled': true } : {})}
    {...rest}
  />
);
