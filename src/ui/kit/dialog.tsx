'use client';

import { clsx } from 'clsx';
import { Dialog as Radix } from 'radix-ui';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useOpener } from './use-opener';

interface DialogProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  readonly description?: string;
  /** As wide as the screen has room for. */
  readonly wide?: boolean;
  /** On a phone it rises from the bottom, under the thumb. */
  readonly low?: boolean;
  /** Near the top, so that it does not move as it grows. */
  readonly high?: boolean;
  readonly children: ReactNode;
}

/** A dialog with a heading, a way out and the focus kept inside. */
export function Dialog({ open, onOpenChange, title, description, children, ...where }: DialogProps) {
  const { wide = false, low = false, high = false } = where;
  const focus = useOpener();
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Radix.Content
          {...focus}
          className={clsx(
            'fixed left-1/2 z-50 max-h-[94dvh] -translate-x-1/2 overflow-y-auto bg-card p-6 shadow-xl',
            wide ? 'w-[min(62rem,calc(100vw-1rem))]' : 'w-[min(34rem,calc(100vw-2rem))]',
            low && [
              'snug:bottom-0 snug:w-full snug:rounded-t-2xl snug:p-4 roomy:top-1/2',
              'roomy:-translate-y-1/2 roomy:rounded-2xl',
            ],
            high && 'top-[4dvh] rounded-2xl',
            !low && !high && 'top-1/2 -translate-y-1/2 rounded-2xl',
          )}
          {...(description ? {} : { 'aria-describedby': undefined })}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Radix.Title className="text-2xl">{title}</Radix.Title>
            <Radix.Close
              className="grid size-16 shrink-0 place-items-center rounded-lg hover:bg-paper"
              aria-label="Close"
            >
              <X aria-hidden="true" />
            </Radix.Close>
          </div>
          {description && <Radix.Description className="mb-4 text-muted">{description}</Radix.Description>}
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
