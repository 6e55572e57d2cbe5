'use client';

import { Toolbar as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { buttonLook } from './button';

interface ToolbarProps {
  readonly label: string;
  readonly children: ReactNode;
}

/** Acts on one thing, in a row: one Tab leads to it, arrows along it. */
export const Toolbar = ({ label, children }: ToolbarProps) => (
  <Radix.Root aria-label={label} className="flex flex-wrap items-center gap-2">
    {children}
  </Radix.Root>
);

interface ToolbarButtonProps {
  readonly onClick: () => void;
  readonly disabled?: boolean;
  readonly children: ReactNode;
}

export const ToolbarButton = ({ children, ...rest }: ToolbarButtonProps) => (
  <Radix.Button className={buttonLook({})} {...rest}>
    {children}
  </Radix.Button>
);
