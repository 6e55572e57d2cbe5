'use client';

import { Tooltip as Radix } from 'radix-ui';
import { useState, type PointerEvent, type ReactNode } from 'react';

interface TooltipProps {
  readonly text: string;
  /** What it belongs to: a control whose own name says the same, for those who have no pointer. */
  readonly children: ReactNode;
}

/** A word for who points with a mouse. A finger and a key do not need it: the control has a name of its own. */
export function Tooltip({ text, children }: TooltipProps) {
  const [mouse, setMouse] = useState(false);
  const over = ({ pointerType }: PointerEvent): void => setMouse(pointerType === 'mouse');
  return (
    <Radix.Provider delayDuration={400}>
      <Radix.Root {...(mouse ? {} : { open: false })}>
        <Radix.Trigger asChild onPointerEnter={over}>
          {children}
        </Radix.Trigger>
        <Radix.Portal>
          <Radix.Content
            sideOffset={6}
            collisionPadding={8}
            className="z-60 max-w-72 rounded-lg bg-ink px-3 py-1.5 text-card"
          >
            {text}
            <Radix.Arrow className="fill-ink" />
          </Radix.Content>
        </Radix.Portal>
      </Radix.Root>
    </Radix.Provider>
  );
}
