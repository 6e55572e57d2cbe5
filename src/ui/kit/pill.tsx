import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import { Link } from './link';

interface PillProps {
  readonly href: string;
  readonly on: boolean;
  readonly none?: boolean;
  readonly children: ReactNode;
}

/** One choice of a filter. A choice that no word has is shown and cannot be picked. */
export function Pill({ href, on, none = false, children }: PillProps) {
  if (none && !on)
    return <span className="flex min-h-[48px] items-center gap-2 rounded-full px-3 text-muted">{children}</span>;
  return (
    <Link
      href={href}
      scroll={false}
      aria-current={on ? 'true' : undefined}
      className={clsx(
        'flex min-h-[48px] items-center gap-2 rounded-full border px-3.5',
        on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
      )}
    >
      {children}
    </Link>
  );
}

/** The number of words a choice has, quiet beside its name. */
export const PillCount = ({ on, n }: { on: boolean; n: number }) => (
  <span className={on ? '' : 'text-muted'}>
    {n}
    <span className="sr-only">{n === 1 ? ' word' : ' words'}</span>
  </span>
);
