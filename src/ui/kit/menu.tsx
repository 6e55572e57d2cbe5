'use client';

import { clsx } from 'clsx';
import { ChevronRight } from 'lucide-react';
import { DropdownMenu as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface Act {
  readonly name: string;
  readonly does: () => void;
  readonly disabled?: boolean;
}
/** Acts of one kind behind one name. */
interface Acts {
  readonly name: string;
  readonly acts: readonly Act[];
}

interface MenuProps {
  /** What opens it: a button. */
  readonly trigger: ReactNode;
  readonly acts: readonly (Act | Acts)[];
}

const PAGE = 'z-60 min-w-48 rounded-xl border border-line-strong bg-card p-1 shadow-xl';
const ITEM = clsx(
  'flex min-h-12 cursor-pointer items-center rounded-lg px-4 outline-none',
  'data-disabled:opacity-50 data-highlighted:bg-slate-soft data-[state=open]:bg-slate-soft',
);

const Item = ({ act: { name, does, disabled = false } }: { readonly act: Act }) => (
  <Radix.Item disabled={disabled} onSelect={does} className={ITEM}>
    {name}
  </Radix.Item>
);

/** Acts that are needed now and then, behind one button. */
export const Menu = ({ trigger, acts }: MenuProps) => (
  <Radix.Root>
    <Radix.Trigger asChild>{trigger}</Radix.Trigger>
    <Radix.Portal>
      <Radix.Content sideOffset={4} collisionPadding={8} className={PAGE}>
        {acts.map((act) =>
          'acts' in act ? (
            <Radix.Sub key={act.name}>
              <Radix.SubTrigger className={clsx(ITEM, 'justify-between gap-3')}>
                {act.name} <ChevronRight aria-hidden="true" size={18} />
              </Radix.SubTrigger>
              <Radix.Portal>
                <Radix.SubContent collisionPadding={8} className={PAGE}>
                  {act.acts.map((one) => (
                    <Item key={one.name} act={one} />
                  ))}
                </Radix.SubContent>
              </Radix.Portal>
            </Radix.Sub>
          ) : (
            <Item key={act.name} act={act} />
          ),
        )}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
