import type { Entry } from '@/core/sessions/log';
import { Refused, Told, type Reply, type Send } from './send';

/** Waits between tries while the server is away, in milliseconds; the last one goes on. */
const RETRY_MS = [500, 1_000, 2_000, 5_000] as const;
/** Entries in one request: as many as a tablet that was lent the session may send at once. */
const PIECE = 50;

/** What sync asks of the device's store. */
export interface Box {
  waiting(sessionId: string): Promise<Entry[]>;
  copy(sessionId: string, entries: readonly Entry[]): Promise<void>;
  release(ids: readonly string[]): Promise<void>;
  setAside(sessionId: string, entry: Entry, why: string): Promise<void>;
  /** Takes an entry off the device, copy and all. */
  letGo(id: string): Promise<void>;
  /** A backup was put back: what this device has copies of waits to be sent once more. */
  sendAgain(): Promise<void>;
}

/** What came of a request. */
interface Delivered {
  /** The server's log, or what is new of it. */
  readonly log: readonly Entry[];
  /** Ids of what was sent and is kept. */
  readonly sent: readonly string[];
  /** Ids of what was sent and will never be kept. */
  readonly refused: ReadonlySet<string>;
}

interface SyncEvents {
  readonly delivered: (what: Delivered) => void;
  /** A sentence for people. */
  readonly news: (sentence: string) => void;
}

export interface Sync {
  /**
   * Sends what waits, and what has just been kept on the device without asking it again; `true` when the server has it
   * all.
   */
  flush(justKept?: Entry): Promise<boolean>;
  /** Asks for other devices' marks; not while the server is away and tried now and then, nor where it is gone. */
  look(): void;
  stop(): void;
}

interface SyncOptions extends SyncEvents {
  readonly sessionId: string;
  readonly box: Box;
  readonly send: Send;
}

/**
 * Empties the outbox of a session into the server, in order, one request at a time, and keeps trying while it is away.
 * What the server will never take is set aside, so that it holds nothing up.
 */
export const startSync = (options: SyncOptions): Sync => new Syncing(options);

class Syncing implements Sync {
  private running: Promise<boolean> | null = null;
  private again = false;
  private tries = 0;
  private stopped = false;
  private gone = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  /** Unknown until the first answer: then the whole log comes. */
  private has: number | undefined;
  /** Kept on the device and not sent yet, as far as this page has heard. */
  private readonly fresh = new Map<string, Entry>();
  /** True while the device may hold more than that: from another tab, or from before a reload. */
  private ask = true;
  private piece = PIECE;
  /** The life of the server's data, as it said last. */
  private epoch: string | undefined;

  constructor(private readonly to: SyncOptions) {}

  /** A browser without a store has nothing waiting. */
  private onDevice(): Promise<Entry[]> {
    return this.to.box.waiting(this.to.sessionId).catch(() => []);
  }

  /** One request; true where more is waiting for another. */
  private async once(): Promise<boolean> {
    if (this.ask) for (const entry of await this.onDevice()) this.fresh.set(entry.id, entry);
    const all = [...this.fresh.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
    const entries = all.slice(0, this.piece);
    let reply: Reply;
    try {
      reply = await this.to.send(this.to.sessionId, entries, this.has);
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      return this.refused(entries, error);
    }
    await this.taken(entries, reply);
    if (await this.isAnotherLife(reply)) return true;
    this.piece = Math.min(PIECE, this.piece * 2);
    return this.fresh.size > 0 && all.length > entries.length;
  }

  /** True where a backup was put back since the server answered last: then all that is here is sent again. */
  private async isAnotherLife({ epoch = '' }: Reply): Promise<boolean> {
    const before = this.epoch;
    this.epoch = epoch;
    if (before === undefined || before === epoch) return false;
    await this.to.box.sendAgain().catch(() => undefined);
    this.has = undefined;
    this.ask = true;
    this.to.news('Your data was put back from a backup. The answers this device still has were added again.');
    return true;
  }

  /** The server has answered: what it keeps leaves the outbox, and what is new from others is copied. */
  private async taken(entries: readonly Entry[], { log, total, refused }: Reply): Promise<void> {
    const { box, sessionId, delivered, news } = this.to;
    this.has = total;
    this.tries = 0;
    const why = new Map(refused.map((r) => [r.id, r]));
    const kept = entries.filter((e) => !why.has(e.id));
    const mine = new Map(entries.map((e) => [e.id, e.at]));
    // What is new here: others' marks, and the time of ours where the server has put it right.
    const others = log.filter((e) => mine.get(e.id) !== e.at);
    if (others.length) await box.copy(sessionId, others).catch(() => undefined); // no room: the server has it
    if (kept.length) await box.release(kept.map((e) => e.id)).catch(() => undefined); // sent again, and known there
    for (const entry of entries) {
      const reason = why.get(entry.id);
      if (reason?.erased) await box.letGo(entry.id).catch(() => undefined);
      else if (reason) await box.setAside(sessionId, entry, reason.why).catch(() => undefined);
      this.fresh.delete(entry.id);
    }
    if (refused[0]) news(refused[0].why);
    delivered({ log, sent: kept.map((e) => e.id), refused: new Set(why.keys()) });
    this.ask = (await this.onDevice()).some((e) => !this.fresh.has(e.id));
  }

  /** The server will not have a request: it is halved until what is wrong stands alone, and that is set aside. */
  private async refused(entries: readonly Entry[], { gone, erased, message }: Refused): Promise<boolean> {
    const { box, sessionId, delivered, news } = this.to;
    if (entries.length > 1 && !gone) {
      this.piece = Math.ceil(entries.length / 2);
      return true;
    }
    this.gone = gone;
    news(message);
    for (const entry of entries) {
      // Nothing of what was erased is kept, notes least of all.
      await (erased ? box.letGo(entry.id) : box.setAside(sessionId, entry, message)).catch(() => undefined);
      this.fresh.delete(entry.id);
    }
    delivered({ log: [], sent: [], refused: new Set(entries.map((e) => e.id)) });
    this.piece = PIECE;
    return this.fresh.size > 0;
  }

  private async work(): Promise<boolean> {
    try {
      let more: boolean;
      do {
        this.again = false;
        more = await this.once();
      } while ((more || this.again) && !this.stopped);
      return true;
    } catch (error) {
      if (error instanceof Told) this.to.news(error.message);
      const wait = RETRY_MS[Math.min(this.tries, RETRY_MS.length - 1)];
      this.tries += 1;
      if (!this.stopped)
        this.timer = setTimeout(() => {
          this.timer = undefined;
          void this.flush();
        }, wait);
      return false;
    }
  }

  flush(justKept?: Entry): Promise<boolean> {
    if (justKept) this.fresh.set(justKept.id, justKept);
    if (this.running) {
      this.again = true;
      return this.running;
    }
    clearTimeout(this.timer);
    this.timer = undefined;
    this.running = this.work().finally(() => {
      this.running = null;
    });
    return this.running;
  }

  look(): void {
    if (this.timer === undefined && !this.gone && !this.running) void this.flush();
  }

  stop(): void {
    this.stopped = true;
    clearTimeout(this.timer);
  }
}
