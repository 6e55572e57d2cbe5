'use client';

import { clsx } from 'clsx';
import { DropdownMenu as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface MenuProps {
  /** What opens it: a button. */
  readonly trigger: ReactNode;
  readonly acts: readonly {
    readonly name: string;
    readonly does: () => void;
    readonly disabled?: boolean;
  }[];
}

/** Acts that are needed now and then, behind one button. */
export const Menu = ({ trigger, acts }: MenuProps) => (
  <Radix.Root>
    <Radix.Trigger asChild>{trigger}</Radix.Trigger>
    <Radix.Portal>
      <Radix.Content
        sideOffset={4}
        collisionPadding={8}
        className="z-60 min-w-48 rounded-xl border border-line-strong bg-card p-1 shadow-xl"
      >
        {acts.map(({ name, does, disabled = false }) => (
          <Radix.Item
            key={name}
            disabled={disabled}
            onSelect={does}
            className={clsx(
              'flex min-h-12 cursor-pointer items-center rounded-lg px-4 outline-none',
              'data-disabled:opacity-50 data-highlighted:bg-slate-soft',
            )}
          >
            {name}
          </Radix.Item>
        ))}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
