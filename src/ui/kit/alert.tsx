'use client';

import { clsx } from 'clsx';
import { AlertDialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './button';
import { useOpener } from './use-opener';

interface AlertProps {
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly title: string;
  /** What goes, in a sentence. */
  readonly description: ReactNode;
  /** The words on the button that leaves everything as it is, and on the one that does it. */
  readonly keep: string;
  readonly does: string;
  readonly busy?: boolean;
  readonly onDo: () => void;
  /** What went wrong. */
  readonly children?: ReactNode;
}

/** Asks once before something that cannot be undone, naming what goes. Focus begins on leaving it. */
export function Alert({
  open,
  onOpenChange,
  title,
  description,
  keep,
  does,
  busy = false,
  onDo,
  children,
}: AlertProps) {
  const focus = useOpener();
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Radix.Content
          {...focus}
          className={clsx(
            'fixed top-1/2 left-1/2 z-50 max-h-[94dvh] w-[min(34rem,calc(100vw-2rem))]',
            '-translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-2xl bg-card p-6 shadow-xl',
          )}
        >
          <Radix.Title className="mb-3 text-2xl">{title}</Radix.Title>
          <Radix.Description className="mb-5">{description}</Radix.Description>
          <div className="flex flex-wrap gap-3">
            <Radix.Cancel asChild>
              <Button>{keep}</Button>
            </Radix.Cancel>
            <Button className="border-red text-red" disabled={busy} onClick={onDo}>
              {does}
            </Button>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
