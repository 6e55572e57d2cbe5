'use client';

import { useCallback, useSyncExternalStore } from 'react';

/** How this device runs Play; kept on it alone. */
export interface Device {
  /** Names stand as initials: others can see the screen. */
  readonly initials: boolean;
  /** Seconds to think before anyone answers; 0 for none. */
  readonly think: number;
  /** Count down to “show me”. */
  readonly showMe: boolean;
  /** A soft tick with each beat. */
  readonly tick: boolean;
  /** Who marks. */
  readonly by: string;
  /** Listens along: marks stand beside those of the first adult and change nothing. */
  readonly second: boolean;
}

const PLACE = 'bouncy-echo-device';
const USUAL: Device = { initials: false, think: 0, showMe: false, tick: false, by: '', second: false };

let now: Device | null = null;
const listeners = new Set<() => void>();

function read(): Device {
  if (now) return now;
  try {
    now = { ...USUAL, ...(JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Partial<Device>) };
  } catch {
    now = USUAL; // a browser that keeps nothing, or a setting that cannot be read: the usual way
  }
  return now;
}

const subscribe = (changed: () => void): (() => void) => {
  listeners.add(changed);
  return () => listeners.delete(changed);
};

/** The settings of this device, and a way to change them. */
export function useDevice(): [Device, (more: Partial<Device>) => void] {
  const device = useSyncExternalStore(subscribe, read, () => USUAL);
  const change = useCallback((more: Partial<Device>): void => {
    now = { ...read(), ...more };
    try {
      localStorage.setItem(PLACE, JSON.stringify(now));
    } catch {
      // Kept for this page alone.
    }
    for (const changed of listeners) changed();
  }, []);
  return [device, change];
}
