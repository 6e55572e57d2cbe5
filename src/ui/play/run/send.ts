import type { Entry } from '@/core/sessions/log';

/** What the server says of entries that were sent. */
export interface Reply {
  readonly log: readonly Entry[];
  readonly total: number;
  /** The server's clock, in milliseconds since 1970. */
  readonly now: number;
  readonly refused: readonly RefusedEntry[];
  /** Which life of the data this is: another one after a backup was put back. */
  readonly epoch?: string;
}

/** An entry the server does not keep, and why. One of a child who was erased leaves the device without a copy. */
interface RefusedEntry {
  readonly id: string;
  readonly why: string;
  readonly erased?: boolean;
}

/** The server will never take this, however often it is sent: its sentence is for people. */
export class Refused extends Error {
  constructor(
    message: string,
    /** The session itself is not there (any more). */
    readonly gone: boolean,
    /** It was erased: the device lets go of what it has of it. */
    readonly erased = false,
  ) {
    super(message);
  }
}

/** The server answered, but cannot take it now: its sentence is for people. */
export class Told extends Error {}

/** Answers that sending again will not change. */
const FINAL: ReadonlySet<number> = new Set([400, 404, 410, 413, 422]);
const ERASED = 410;
const GONE: ReadonlySet<number> = new Set([404, ERASED]);

export interface ServerReply {
  /** The server's time, and the device's before and after it was asked, in milliseconds since 1970. */
  (serverNow: number, sentAt: number, gotAt: number): void;
}

/** Something that takes entries to the server. */
export interface Send {
  (sessionId: string, entries: readonly Entry[], has?: number): Promise<Reply>;
}

/**
 * Sends entries to a session's log, with how many of the server's this device has. Throws Refused where the server will
 * never take them, Told where it says why not now, anything else where it is away.
 */
export const sendVia =
  (time?: ServerReply): Send =>
  async (sessionId, entries, has) => {
    const sentAt = Date.now();
    const response = await fetch(`/api/sessions/${sessionId}/log`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ entries, has }),
    });
    const body = (await response.json()) as Reply & { error?: string };
    if (!response.ok) {
      const why = body.error ?? 'The server couldn’t save the answer.';
      const { status } = response;
      throw FINAL.has(status) ? new Refused(why, GONE.has(status), status === ERASED) : new Told(why);
    }
    time?.(body.now, sentAt, Date.now());
    return body;
  };
