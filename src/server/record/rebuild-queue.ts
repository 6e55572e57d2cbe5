import { database, type Database } from '../storage/database';
import { Problem } from '../storage/problems';
import { otherTurns } from '../storage/other-turns';
import { rows } from '../storage/rows';
import { rebuild } from './rebuild';

/**
 * The sessions whose answers have to be read anew. An append names its session once it is kept; the work is done when
 * the session rests, off the way of the next tap. Whoever reads answers waits for what was appended, so that a page
 * shows what was just marked. An old file's sessions are worked through in the background, and the pages say so
 * meanwhile; so they do of a session that could not be read, which is tried again and again.
 */
interface Queue {
  /** Grown since this process began, and not read yet; each with the clock that waits for its rest. */
  readonly fresh: Map<string, Timer>;
  /** From before: a file of an earlier version, or an end without warning. */
  readonly old: Set<string>;
  /** Those of them that are being read. */
  readonly inHand: Set<string>;
  /** Those that could not be read, with how often that was tried, and the clock that waits for the next time. */
  readonly failed: Map<string, { readonly tries: number; readonly timer: Timer }>;
  working: Promise<void>;
  /** Resolves when the sessions from before are known. */
  known: Promise<void> | undefined;
}
type Timer = ReturnType<typeof setTimeout>;

/** A session that is being played is read when it rests this long. */
const REST_MS = 5_000;
/** So many old sessions are worth waiting for: a moment. */
const A_FEW = 20;
/** How long it is until a session that could not be read is tried again; the last one goes on. */
const AGAIN_MS = [1_000, 5_000, 30_000, 120_000, 600_000] as const;

/** The framework builds the server’s parts apart: one queue for all of them, for each open file. */
const place = globalThis as typeof globalThis & {
  bouncyEchoQueues?: WeakMap<Database, Queue>;
  bouncyEchoOnRead?: (children: readonly string[]) => void;
};
const queues = (place.bouncyEchoQueues ??= new WeakMap<Database, Queue>());

async function queueOf(): Promise<{ db: Database; queue: Queue }> {
  const db = await database();
  const queue = queues.get(db) ?? {
    fresh: new Map<string, Timer>(),
    old: new Set<string>(),
    inHand: new Set<string>(),
    failed: new Map<string, { tries: number; timer: Timer }>(),
    working: Promise.resolve(),
    known: undefined,
  };
  queues.set(db, queue);
  return { db, queue };
}

/** Who is told of which children something was read anew. */
export function onRead(listener: (children: readonly string[]) => void): void {
  place.bouncyEchoOnRead = listener;
}

const later = (ms: number, then: () => void): Timer => {
  const timer = setTimeout(then, ms);
  timer.unref();
  return timer;
};

/** A session could not be read: it is tried again later, and later still. */
function putOff(db: Database, queue: Queue, id: string, error: unknown): void {
  if (!db.open) return;
  const tries = queue.failed.get(id)?.tries ?? 0;
  if (!tries) console.error(`Session ${id} could not be read:`, error instanceof Error ? error.message : error);
  const wait = AGAIN_MS[Math.min(tries, AGAIN_MS.length - 1)];
  const timer = later(wait ?? 0, () => void work(db, queue, [id]));
  queue.failed.set(id, { tries: tries + 1, timer });
}

/** Reads one session anew. One that cannot be read holds no other up. */
async function readOne(db: Database, queue: Queue, id: string): Promise<void> {
  if (!db.open) return;
  try {
    const whose = await db.write((transaction) => rebuild(id, transaction));
    place.bouncyEchoOnRead?.(whose);
    clearTimeout(queue.failed.get(id)?.timer);
    queue.failed.delete(id);
  } catch (error) {
    putOff(db, queue, id, error);
  }
  await otherTurns();
}

/** Reads some sessions, after what is under way. */
function work(db: Database, queue: Queue, sessions: readonly string[]): Promise<void> {
  for (const id of sessions) {
    clearTimeout(queue.fresh.get(id));
    queue.fresh.delete(id);
  }
  queue.working = queue.working.then(async () => {
    for (const id of sessions) await readOne(db, queue, id);
  });
  return queue.working;
}

/** The log of a session has grown. */
export async function rebuildSoon(sessionId: string): Promise<void> {
  const { db, queue } = await queueOf();
  clearTimeout(queue.fresh.get(sessionId));
  queue.fresh.set(
    sessionId,
    later(REST_MS, () => void work(db, queue, [sessionId])),
  );
}

/** Finds the sessions left from before, and begins with them: a few at once, many in the background. */
async function begin(db: Database, queue: Queue): Promise<void> {
  const stale = await rows<{ id: string }>('SELECT id FROM sessions WHERE stale = 1 ORDER BY started_at DESC', {});
  for (const { id } of stale) if (!queue.fresh.has(id)) queue.old.add(id);
  const all = (async () => {
    for (const id of queue.old) {
      queue.old.delete(id);
      queue.inHand.add(id);
      await readOne(db, queue, id);
      queue.inHand.delete(id);
    }
  })();
  if (stale.length <= A_FEW) await all;
}

/**
 * Resolves when all that was appended is read; old files go on in the background. Every read of answers waits for it.
 */
export async function caughtUp(): Promise<void> {
  const { db, queue } = await queueOf();
  queue.known ??= begin(db, queue).catch((error: unknown) => {
    // Whatever it was, the next one who asks begins anew.
    queue.known = undefined;
    throw error;
  });
  await queue.known;
  if (queue.fresh.size) await work(db, queue, [...queue.fresh.keys()]);
  else await queue.working;
}

/** How many sessions from before are still being read, and will be read in a moment. */
export async function soonRead(): Promise<number> {
  const { old, inHand } = (await queueOf()).queue;
  return old.size + inHand.size;
}

/** How many sessions are still to be read: those from before, and those that could not be read yet. */
export async function behind(): Promise<number> {
  return (await soonRead()) + (await unread()).size;
}

export const stillReading = (): Problem =>
  new Problem('Some earlier sessions are still being added up. Please try again in a minute.', 503);

/** The sessions that could not be read; what is in them is kept, and not counted. */
export async function unread(): Promise<ReadonlySet<string>> {
  return new Set((await queueOf()).queue.failed.keys());
}
