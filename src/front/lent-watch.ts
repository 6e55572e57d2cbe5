import type { Address, Closed } from '../guard/lender';

/** A session is on loan for so long at most, in milliseconds. */
const LONGEST_MS = 2 * 3_600_000;
/** A look that comes so long after the one before: the computer was asleep, or its clock was put. */
const SLEPT_MS = 60_000;
/** An address may be gone for so long: a network that is joined anew. */
const GONE_MS = 5 * 60_000;

/** How the way in stood when it was looked at last. */
export interface Watched {
  readonly since: number;
  readonly address: string;
  /** What the system calls the way the address comes by; undefined where it was gone already. */
  readonly way: string | undefined;
  readonly lookedAt: number;
  /** Since when the address has been gone; null while it is there. */
  readonly goneSince: number | null;
}

/** The way in is open from now on. */
export const watchFrom = (now: number, address: string, here: readonly Address[]): Watched => ({
  since: now,
  address,
  way: here.find((a) => a.address === address)?.name,
  lookedAt: now,
  goneSince: null,
});

/**
 * Looks at the way in again: how it stands, or why it must close.
 * @param here the addresses of this computer now
 * @example look(watchFrom(0, '192.0.2.2', here), 61_001, here) // 'slept'
 */
export function look(watched: Watched, now: number, here: readonly Address[]): Watched | Closed {
  const { since, address, way, lookedAt } = watched;
  if (Math.abs(now - lookedAt) > SLEPT_MS) return 'slept';
  if (now - since > LONGEST_MS) return 'two-hours';
  const gone = !here.some((a) => a.address === address);
  const goneSince = gone ? (watched.goneSince ?? now) : null;
  if (gone && here.some((a) => a.name === way)) return 'address-gone';
  if (goneSince !== null && now - goneSince > GONE_MS) return 'address-gone';
  return { ...watched, lookedAt: now, goneSince };
}
