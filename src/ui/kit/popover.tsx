'use client';

import { clsx } from 'clsx';
import { Popover as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface PopoverProps {
  /** What opens it: a button. */
  readonly trigger: ReactNode;
  /** What it is, for those who do not see it. */
  readonly label: string;
  /** As wide as what is in it, along the left edge of what opened it. */
  readonly narrow?: boolean;
  readonly open?: boolean;
  readonly onOpenChange?: (open: boolean) => void;
  readonly children: ReactNode;
}

/** Something more beside what opened it. */
export const Popover = ({ trigger, label, narrow = false, open, onOpenChange, children }: PopoverProps) => (
  <Radix.Root {...(open === undefined ? {} : { open })} {...(onOpenChange ? { onOpenChange } : {})}>
    <Radix.Trigger asChild>{trigger}</Radix.Trigger>
    <Radix.Portal>
      <Radix.Content
        aria-label={label}
        align={narrow ? 'start' : 'center'}
        sideOffset={4}
        collisionPadding={8}
        className={clsx(
          'z-60 max-h-(--radix-popover-content-available-height)',
          'max-w-[calc(100vw-1rem)] overflow-y-auto rounded-xl border border-line-strong bg-card shadow-xl',
          narrow ? 'min-w-48 p-1' : 'w-104 p-4',
        )}
      >
        {children}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
