import type { Entry } from '@/core/sessions/log';
import { copy, drop, release, waiting } from './outbox';

/** Waits between tries while the server is away, in milliseconds; the last one goes on. */
const RETRY_MS = [500, 1_000, 2_000, 5_000] as const;

interface Kept {
  readonly log: Entry[];
  readonly total: number;
  /** The server's clock, in milliseconds since 1970. */
  readonly now: number;
  readonly refused: readonly { readonly id: string; readonly why: string }[];
}

/** The server answered, but could not take it: its sentence is for people. */
class Told extends Error {}

/**
 * Sends entries to a session's log, with how many of the server's this device has. Throws Told where the server says
 * why not, anything else where it is away.
 */
export async function send(
  sessionId: string,
  entries: readonly Entry[],
  has?: number,
  heardTime?: SyncEvents['time'],
): Promise<Kept> {
  const sentAt = Date.now();
  const response = await fetch(`/api/sessions/${sessionId}/log`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries, has }),
  });
  const body = (await response.json()) as Kept & { error?: string };
  if (!response.ok) throw new Told(body.error ?? 'The server could not save the answer.');
  heardTime?.(body.now, sentAt, Date.now());
  return body;
}

export interface SyncEvents {
  /** The server's log, and the ids it refused. */
  readonly kept: (log: readonly Entry[], refused: ReadonlySet<string>) => void;
  readonly pending: (count: number) => void;
  readonly news: (sentence: string) => void;
  /** The server's time, and the device's before and after it was asked. */
  readonly time?: (serverNow: number, sentAt: number, gotAt: number) => void;
}

export interface Sync {
  /**
   * Sends what waits, and what has just been kept on the device without asking it again; `true` when the server has it
   * all.
   */
  flush(justKept?: Entry): Promise<boolean>;
  stop(): void;
}

/**
 * Empties the outbox of a session into the server, in order, one request at a time, and keeps trying while it is away.
 */
export function startSync(sessionId: string, events: SyncEvents): Sync {
  let running: Promise<boolean> | null = null;
  let again = false;
  let tries = 0;
  let stopped = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  // Unknown until the first answer: then the whole log comes.
  let has: number | undefined;
  /** Kept on the device and not sent yet, as far as this page has heard. */
  const fresh = new Map<string, Entry>();
  /** True while the device may hold more than that: from another tab, or from before a reload. */
  let ask = true;

  // A browser without a store has nothing waiting.
  const onDevice = (): Promise<Entry[]> => waiting(sessionId).catch(() => []);

  const once = async (): Promise<void> => {
    if (ask) for (const entry of await onDevice()) fresh.set(entry.id, entry);
    const entries = [...fresh.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
    const { log, total, refused } = await send(sessionId, entries, has, events.time);
    has = total;
    for (const { id } of entries) fresh.delete(id);
    const sent = new Set(entries.map((e) => e.id));
    const others = log.filter((e) => !sent.has(e.id));
    if (others.length) await copy(sessionId, others).catch(() => undefined); // no room: the server has it
    if (entries.length) await release(entries.map((e) => e.id));
    if (refused.length) await drop(refused.map((r) => r.id));
    tries = 0;
    if (refused[0]) events.news(refused[0].why);
    events.kept(log, new Set(refused.map((r) => r.id)));
    const rest = await onDevice();
    ask = rest.some((e) => !fresh.has(e.id));
    events.pending(rest.length);
  };

  const work = async (): Promise<boolean> => {
    try {
      do {
        again = false;
        await once();
      } while (again && !stopped);
      return true;
    } catch (error) {
      if (error instanceof Told) events.news(error.message);
      if (!stopped) timer = setTimeout(() => void flush(), RETRY_MS[Math.min(tries, RETRY_MS.length - 1)]);
      tries += 1;
      return false;
    }
  };

  const flush = (justKept?: Entry): Promise<boolean> => {
    if (justKept) fresh.set(justKept.id, justKept);
    if (running) {
      again = true;
      return running;
    }
    clearTimeout(timer);
    running = work().finally(() => {
      running = null;
    });
    return running;
  };

  return {
    flush,
    stop: () => {
      stopped = true;
      clearTimeout(timer);
    },
  };
}
