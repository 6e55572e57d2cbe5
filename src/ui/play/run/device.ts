export type NamesShown = 'full' | 'initials' | 'plants';

/** How this device runs Play; kept on it alone. */
export interface Device {
  /** How names stand where others can see the screen: in full, as initials, or as each child’s plant. */
  readonly names: NamesShown;
  /** The hand whose thumb marks. */
  readonly hand: 'right' | 'left';
  /** A key of Play was pressed here: the keys are shown beside what they do. */
  readonly keys: boolean;
  /** Keys that are one sign, such as 1 or N, do something. */
  readonly singleKeys: boolean;
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
export const USUAL: Device = {
  names: 'full',
  hand: 'right',
  keys: false,
  singleKeys: true,
  think: 0,
  showMe: false,
  tick: false,
  by: '',
  second: false,
};

/** What was kept here before, read as it is kept now. */
function readKept({ initials, ...kept }: Partial<Device> & { readonly initials?: boolean }): Device {
  return { ...USUAL, ...(initials ? { names: 'initials' } : {}), ...kept };
}

let now: Device | null = null;
const listeners = new Set<() => void>();

/** The settings of this device; the usual ones where it keeps nothing, or what it keeps cannot be read. */
export function deviceNow(): Device {
  if (now) return now;
  try {
    now = readKept(JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Parameters<typeof readKept>[0]);
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
