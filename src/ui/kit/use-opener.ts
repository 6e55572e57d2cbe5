'use client';

import { useRef } from 'react';

interface Opener {
  readonly onOpenAutoFocus: () => void;
  readonly onCloseAutoFocus: (event: Event) => void;
}

/**
 * Gives the focus back to what had it when a dialog opened. A dialog of Radix gives it to a trigger of its own, and
 * ours are opened from menus, tiles and keys.
 */
export function useOpener(): Opener {
  const opener = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: () => {
      opener.current = document.activeElement;
    },
    onCloseAutoFocus: (event) => {
      event.preventDefault();
      if (opener.current instanceof HTMLElement && opener.current.isConnected) opener.current.focus();
    },
  };
}
