'use client';

import { ChevronRight } from 'lucide-react';
import { Collapsible as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface CollapsibleProps {
  readonly title: ReactNode;
  readonly defaultOpen?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Something that is needed now and then, folded under its name. */
export const Collapsible = ({ title, defaultOpen = false, className, children }: CollapsibleProps) => (
  <Radix.Root defaultOpen={defaultOpen} className={className}>
    <Radix.Trigger className="group flex min-h-12 items-center gap-2 text-left">
      <ChevronRight aria-hidden="true" size={18} className="shrink-0 group-data-[state=open]:rotate-90" />
      {title}
    </Radix.Trigger>
    <Radix.Content>{children}</Radix.Content>
  </Radix.Root>
);
