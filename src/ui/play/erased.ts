import { forgetPage } from './offline';
import { forgetSessions } from './run/outbox';

const PLACE = 'bouncy-echo-erased';

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
 * server nothing happens until the next time; a kept page ends by itself after a week.
 */
export async function forgetErasedHere(): Promise<void> {
  try {
    const response = await fetch(`/api/erased?since=${heardUntil()}`);
    if (!response.ok) return;
    const { ids, until } = (await response.json()) as { ids: readonly string[]; until: number };
    if (!ids.length) return;
    await Promise.all([forgetSessions(new Set(ids)), ...ids.map((id) => forgetPage(`/play/${id}`))]);
    localStorage.setItem(PLACE, String(until));
  } catch {
    // The server is away, or this browser keeps nothing.
  }
}
