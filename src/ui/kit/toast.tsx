'use client';

import { clsx } from 'clsx';
import { Toast as Radix } from 'radix-ui';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { Button } from './button';

interface ToastText {
  readonly text: string;
  /** What takes it back, where something does. */
  readonly undo?: { readonly name: string; readonly does: () => void };
}

type Tell = (toast: ToastText) => void;
const ToastContext = createContext<Tell>(() => undefined);

/** Says that something was kept or undone. */
export const useToast = (): Tell => useContext(ToastContext);

/** How long it stays: long enough to read it twice and reach the button. */
const STAYS_MS = 8_000;

/** What is said in passing, in a corner; read out, and gone after a while. */
export function Toasts({ children }: { readonly children: ReactNode }) {
  const [now, setNow] = useState<(ToastText & { readonly id: number }) | null>(null);
  const tell = useCallback<Tell>((toast) => setNow((was) => ({ ...toast, id: (was?.id ?? 0) + 1 })), []);
  const undo = useMemo(() => now?.undo, [now]);
  return (
    <ToastContext value={tell}>
      <Radix.Provider duration={STAYS_MS}>
        {children}
        {now && (
          <Radix.Root
            key={now.id}
            onOpenChange={(open) => !open && setNow(null)}
            className={clsx(
              'flex items-center justify-between gap-4 rounded-xl border border-line-strong bg-card',
              'p-3 pl-5 shadow-xl',
            )}
          >
            <Radix.Description>{now.text}</Radix.Description>
            {undo && (
              <Radix.Action asChild altText={undo.name}>
                <Button onClick={undo.does}>{undo.name}</Button>
              </Radix.Action>
            )}
          </Radix.Root>
        )}
        <Radix.Viewport className="fixed right-4 bottom-4 z-60 w-[min(26rem,calc(100vw-2rem))] print:hidden" />
      </Radix.Provider>
    </ToastContext>
  );
}
