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
export const USUAL: Device = { initials: false, think: 0, showMe: false, tick: false, by: '', second: false };

let now: Device | null = null;
const listeners = new Set<() => void>();

/** The settings of this device; the usual ones where it keeps nothing, or what it keeps cannot be read. */
export function deviceNow(): Device {
  if (now) return now;
  try {
    now = { ...USUAL, ...(JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Partial<Device>) };
  } catch {
    now = USUAL;
  }
  return now;
}

export function changeDevice(more: Partial<Device>): void {
  now = { ...deviceNow(), ...more };
  try {
    localStorage.setItem(PLACE, JSON.stringify(now));
  } catch {
    // Kept for this page alone.
  }
  for (const changed of listeners) changed();
}

/** Calls back whenever the settings change; gives a way to stop it. */
export function onDevice(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}
