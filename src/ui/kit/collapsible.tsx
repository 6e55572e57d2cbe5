'use client';

import { ChevronRight } from 'lucide-react';
import { Collapsible as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface CollapsibleProps {
  readonly title: ReactNode;
  readonly defaultOpen?: boolean;
  /** Where something else decides with it: whether it is open, and who is told. */
  readonly open?: boolean;
  readonly onOpenChange?: (open: boolean) => void;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Something that is needed now and then, folded under its name. */
export const Collapsible = ({ title, defaultOpen = false, className, children, ...controlled }: CollapsibleProps) => (
  <Radix.Root defaultOpen={defaultOpen} className={className} {...controlled}>
    <Radix.Trigger className="group flex min-h-12 items-center gap-2 text-left">
      <ChevronRight aria-hidden="true" size={18} className="shrink-0 group-data-[state=open]:rotate-90" />
      {title}
    </Radix.Trigger>
    <Radix.Content>{children}</Radix.Content>
  </Radix.Root>
);
