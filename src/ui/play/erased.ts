import { forgetPage } from './offline';
import { forgetSessions, sendAgain } from './run/outbox';

const PLACE = 'bouncy-echo-erased';
const EPOCH = 'bouncy-echo-epoch';

interface HeardHere {
  readonly ids: readonly string[];
  readonly until: number;
  /** Which life of the data this is. */
  readonly epoch: string;
}

/** True where a backup was put back since this device heard of the server last. */
function isAnotherLife(epoch: string): boolean {
  const before = localStorage.getItem(EPOCH);
  return before !== null && before !== epoch;
}

function heardUntil(): number {
  try {
    return Number(localStorage.getItem(PLACE) ?? 0) || 0;
  } catch {
    return 0;
  }
}

/**
 * Takes what this device keeps of erased children off it: pages of their sessions, copies of their logs, what was set
 * aside. The server says which sessions; it is asked whenever this device is at a desk or begins to play. Away from the
 * server nothing happens until the next time; a kept page ends by itself after a week. Where a backup was put back
 * since, the copies this device has are to be sent again, and it is true that the pages here show what is no more.
 */
export async function forgetErasedHere(): Promise<boolean> {
  let another = false;
  try {
    const response = await fetch(`/api/erased?since=${heardUntil()}`);
    if (!response.ok) return false;
    const { ids, until, epoch } = (await response.json()) as HeardHere;
    another = isAnotherLife(epoch);
    if (another) await sendAgain();
    localStorage.setItem(EPOCH, epoch);
    if (!ids.length) return another;
    await Promise.all([forgetSessions(new Set(ids)), ...ids.map((id) => forgetPage(`/play/${id}`))]);
    localStorage.setItem(PLACE, String(until));
  } catch {
    // The server is away, or this browser keeps nothing.
  }
  return another;
}
