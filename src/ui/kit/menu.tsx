'use client';

import { clsx } from 'clsx';
import { DropdownMenu as Radix } from 'radix-ui';
import { useRef, type ReactNode, type RefObject } from 'react';

interface MenuAct {
  readonly name: string;
  readonly does: () => void;
  readonly disabled?: boolean;
}
/** Acts of one kind under one name: beside a menu there is no room for another on a phone. */
interface Acts {
  readonly name: string;
  readonly acts: readonly MenuAct[];
}

interface MenuProps {
  /** What opens it: a button. */
  readonly trigger: ReactNode;
  readonly acts: readonly (MenuAct | Acts)[];
  /** Where something other than the trigger opens it: whether it is open, and where the focus goes afterwards. */
  readonly open?: boolean;
  readonly onOpenChange?: (open: boolean) => void;
  readonly backTo?: RefObject<HTMLElement | null>;
}

const PAGE = clsx(
  'z-60 max-h-(--radix-dropdown-menu-content-available-height) max-w-[calc(100vw-1rem)] min-w-48 overflow-y-auto',
  'rounded-xl border border-line-strong bg-card p-1 shadow-xl',
);
const ITEM = clsx(
  'flex min-h-12 cursor-pointer items-center rounded-lg px-4 outline-none',
  'data-disabled:opacity-50 data-highlighted:bg-slate-soft',
);

interface ItemProps {
  readonly act: MenuAct;
  readonly onChoose: (does: () => void) => void;
}

const Item = ({ act: { name, does, disabled = false }, onChoose }: ItemProps) => (
  <Radix.Item disabled={disabled} onSelect={() => onChoose(does)} className={ITEM}>
    {name}
  </Radix.Item>
);

/**
 * Acts that are needed now and then, behind one button. An act begins once the menu is closed and the focus is back, so
 * that a dialog it opens can give the focus back too.
 */
export function Menu({ trigger, acts, open, onOpenChange, backTo }: MenuProps) {
  const chosen = useRef<(() => void) | null>(null);
  const onChoose = (does: () => void): void => {
    chosen.current = does;
  };
  return (
    <Radix.Root {...(open === undefined ? {} : { open })} {...(onOpenChange ? { onOpenChange } : {})}>
      <Radix.Trigger asChild>{trigger}</Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          sideOffset={4}
          collisionPadding={8}
          className={PAGE}
          onCloseAutoFocus={(event) => {
            if (backTo) {
              event.preventDefault();
              backTo.current?.focus();
            }
            const does = chosen.current;
            chosen.current = null;
            if (does) queueMicrotask(does);
          }}
        >
          {acts.map((act) =>
            'acts' in act ? (
              <Radix.Group key={act.name}>
                <Radix.Label className="px-4 pt-3 pb-1 text-muted">{act.name}</Radix.Label>
                {act.acts.map((one) => (
                  <Item key={one.name} act={one} onChoose={onChoose} />
                ))}
              </Radix.Group>
            ) : (
              <Item key={act.name} act={act} onChoose={onChoose} />
            ),
          )}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
