'use client';

import { useCallback, useSyncExternalStore } from 'react';
import { LOOK_PLACE, type Look } from './look';

const listeners = new Set<() => void>();
const read = (): Look => (document.documentElement.dataset.look === 'dim' ? 'dim' : 'light');
const subscribe = (changed: () => void): (() => void) => {
  listeners.add(changed);
  return () => listeners.delete(changed);
};

/** The look of this device, and a way to change it. */
export function useLook(): [Look, (to: Look) => void] {
  const look = useSyncExternalStore(subscribe, read, () => 'light' as const);
  const change = useCallback((to: Look): void => {
    document.documentElement.dataset.look = to;
    try {
      localStorage.setItem(LOOK_PLACE, to);
    } catch {
      // A browser that keeps nothing: for this page alone.
    }
    for (const changed of listeners) changed();
  }, []);
  return [look, change];
}
