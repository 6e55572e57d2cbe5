'use client';

import { clsx } from 'clsx';
import { Popover as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface PopoverProps {
  /** What opens it: a button. */
  readonly trigger: ReactNode;
  /** What it is, for those who do not see it. */
  readonly label: string;
  readonly open?: boolean;
  readonly onOpenChange?: (open: boolean) => void;
  readonly children: ReactNode;
}

/** Something more beside what opened it. */
export const Popover = ({ trigger, label, open, onOpenChange, children }: PopoverProps) => (
  <Radix.Root {...(open === undefined ? {} : { open })} {...(onOpenChange ? { onOpenChange } : {})}>
    <Radix.Trigger asChild>{trigger}</Radix.Trigger>
    <Radix.Portal>
      <Radix.Content
        aria-label={label}
        sideOffset={4}
        collisionPadding={8}
        className={clsx(
          'z-60 max-h-(--radix-popover-content-available-height)',
          'w-[min(26rem,calc(100vw-1rem))] overflow-y-auto rounded-xl border border-line-strong',
          'bg-card p-4 shadow-xl',
        )}
      >
        {children}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
