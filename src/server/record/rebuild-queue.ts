import { database, type Database } from '../storage/database';
import { otherTurns } from '../storage/other-turns';
import { rows } from '../storage/rows';
import { rebuild } from './rebuild';
import { rebuildQueue as say } from './text';

/**
 * The sessions whose answers have to be read anew. An append names its session once it is kept; the work is done a
 * moment later, off the way of the next tap. Whoever reads answers waits for what was appended, so that a page shows
 * what was just marked. An old file's sessions are worked through in the background, and the pages say so meanwhile.
 */
interface Queue {
  /** Grown since this process began, and not read yet. */
  readonly fresh: Set<string>;
  /** From before: a file of an earlier version, or an end without warning. */
  readonly old: Set<string>;
  /** Those of them that are being read. */
  readonly inHand: Set<string>;
  timer: ReturnType<typeof setTimeout> | undefined;
  working: Promise<void>;
  /** Resolves when the sessions from before are known. */
  known: Promise<void> | undefined;
}

/** A session that is being played is read when it rests this long. */
const REST_MS = 250;
/** Sessions read in one transaction, so that a tap never waits for more. */
const AT_ONCE = 5;
/** So many old sessions are worth waiting for: a moment. */
const A_FEW = 20;

/** The framework builds the server’s parts apart: one queue for all of them, for each open file. */
const place = globalThis as typeof globalThis & { bouncyEchoQueues?: WeakMap<Database, Queue> };
const queues = (place.bouncyEchoQueues ??= new WeakMap<Database, Queue>());

async function queueOf(): Promise<{ db: Database; queue: Queue }> {
  const db = await database();
  const queue = queues.get(db) ?? {
    fresh: new Set<string>(),
    old: new Set<string>(),
    inHand: new Set<string>(),
    timer: undefined,
    working: Promise.resolve(),
    known: undefined,
  };
  queues.set(db, queue);
  return { db, queue };
}

/** Reads some sessions, all or none of them. */
const readAll = (db: Database, ids: readonly string[]): Promise<void> =>
  db.write(async (transaction) => {
    for (const id of ids) await rebuild(id, transaction);
  });

/**
 * Reads the sessions of a set, a few in a transaction. One that cannot be read holds no other up: it stays marked in
 * the file, and is tried again when its log grows or at the next start.
 */
async function workThrough(db: Database, sessions: Set<string>, inHand = new Set<string>()): Promise<void> {
  while (sessions.size && db.open) {
    const some = [...sessions].slice(0, AT_ONCE);
    for (const id of some) {
      sessions.delete(id);
      inHand.add(id);
    }
    await readAll(db, some).catch(async () => {
      for (const id of some)
        await readAll(db, [id]).catch((error: unknown) => {
          if (db.open) console.error(say.sessionCouldRead(id), error instanceof Error ? error.message : error);
        });
    });
    for (const id of some) inHand.delete(id);
    await otherTurns();
  }
}

/** Does what is fresh, after what is under way. */
function work(db: Database, queue: Queue): Promise<void> {
  clearTimeout(queue.timer);
  queue.timer = undefined;
  queue.working = queue.working.then(() => workThrough(db, queue.fresh));
  return queue.working;
}

/** The log of a session has grown. */
export async function rebuildSoon(sessionId: string): Promise<void> {
  const { db, queue } = await queueOf();
  queue.fresh.add(sessionId);
  clearTimeout(queue.timer);
  queue.timer = setTimeout(() => void work(db, queue), REST_MS);
  queue.timer.unref();
}

/** Finds the sessions left from before, and begins with them: a few at once, many in the background. */
async function begin(db: Database, queue: Queue): Promise<void> {
  const stale = await rows<{ id: string }>('SELECT id FROM sessions WHERE stale = 1 ORDER BY started_at DESC', {});
  for (const { id } of stale) if (!queue.fresh.has(id)) queue.old.add(id);
  const all = workThrough(db, queue.old, queue.inHand);
  if (stale.length <= A_FEW) await all;
}

/**
 * Resolves when all that was appended is read; old files go on in the background. Every read of answers waits for it.
 */
export async function caughtUp(): Promise<void> {
  const { db, queue } = await queueOf();
  await (queue.known ??= begin(db, queue));
  if (queue.fresh.size || queue.timer) await work(db, queue);
  else await queue.working;
}

/** How many sessions from before are still to be read. */
export async function behind(): Promise<number> {
  const { old, inHand } = (await queueOf()).queue;
  return old.size + inHand.size;
}
