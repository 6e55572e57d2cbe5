import { chmodSync, closeSync, existsSync, mkdirSync, openSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { connections } from './connections';
import { examine } from './examine';
import { foldsInto } from './fold-in';
import { takeLock } from './lock';
import { MIGRATION_NAMES } from './migrations';
import { defineModels, type Models } from './models';
import { diskSentence, isDamage, Problem } from './problems';
import { remembered, type Remembered } from './remembered';
import { beforeRestore, bringUpToDate, dropCopy } from './update';

export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  readonly file: string;
  readonly remembered: Remembered;
  /** What a start after one that was cut off has to tell; null where there is nothing. */
  readonly told: string | null;
  /** Runs one write at a time, in a transaction: SQLite has one writer, and a queue never meets "busy". */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /**
   * Folds the log into the file, and lets copies go, so that what was erased is nowhere; false where somebody was
   * reading so long that some of it still stands in the log.
   */
  foldIn(): Promise<boolean>;
  /** False from the moment it is told to close. */
  readonly open: boolean;
  close(): Promise<void>;
  /**
   * Closes the file after every write before, lets it be worked on while nobody has it open, and opens it again; nobody
   * else can open it meanwhile. Where the work fails, or the file cannot be opened after it, the work is undone.
   */
  handOver(exchange: Exchange): Promise<HandedOver>;
}

/** Work on a file that nobody has open, and the way back. */
interface Exchange {
  readonly work: () => void;
  readonly undo: () => void;
}

/** A file that was opened again, and why the work on it was undone; null where it was not. */
interface HandedOver {
  readonly again: Database;
  readonly failed: unknown;
}

const STILL_READ = 'Something is still being read from your data, so nothing was changed. Try again in a moment.';

/** How long connections that are being used may take to close, in milliseconds: a busy computer reads for seconds. */
const CLOSE_MS = 10_000;

/** Times a fold is tried while somebody is reading. */
const FOLD_TRIES = 20;

/** Names of data files and of what lies beside them. */
const OURS = /\.sqlite(-[a-z-]+)?(\.part)?$/;

/** Ours alone: children's data (0700 for a folder that holds nothing else, 0600 for files). */
function keepPrivate(file: string): void {
  const folder = path.dirname(file);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  closeSync(openSync(file, 'a', 0o600));
  const inside = readdirSync(folder);
  const files = inside.filter((name) => name.startsWith(path.basename(file)));
  try {
    for (const name of files) chmodSync(path.join(folder, name), 0o600);
    if (inside.every((name) => OURS.test(name))) chmodSync(folder, 0o700);
  } catch {
    // Somebody else’s folder, or a system without such rights.
  }
}

/** Notices when a file turns out to be damaged: from then on nothing is written to it. */
function watched(sequelize: Sequelize, file: string): () => void {
  let damaged = false;
  const query = sequelize.query.bind(sequelize) as (...asked: unknown[]) => Promise<unknown>;
  const watching = async (...asked: unknown[]): Promise<unknown> => {
    try {
      return await query(...asked);
    } catch (error) {
      damaged ||= isDamage(error);
      throw error;
    }
  };
  sequelize.query = watching as Sequelize['query'];
  return () => {
    if (damaged)
      throw new Problem(
        `The database ${file} is damaged, so nothing more is written to it. Stop Bouncy Echo and put your latest ` +
          'backup in its place.',
        503,
      );
  };
}

/** Opens a file that was looked at, brings it up to date, and keeps its writes in one queue. */
async function opened(file: string, release: () => Promise<void>): Promise<Database> {
  const { migrations } = await examine(file, new Set(MIGRATION_NAMES));
  keepPrivate(file);
  const { Database, end } = connections();
  const sequelize = new Sequelize({
    dialect: 'sqlite',
    storage: file,
    logging: false,
    dialectModule: { ...sqlite3, Database },
  });
  const expectSound = watched(sequelize, file);
  const models = defineModels(sequelize);
  /** Closes every connection; false where one is still being used after a while. */
  const closed = async (): Promise<boolean> => {
    const all = end().then(() => true);
    await sequelize.close();
    return Promise.race([all, new Promise<false>((late) => setTimeout(late, CLOSE_MS, false).unref())]);
  };
  const told = await bringUpToDate(sequelize, file, migrations).catch(async (error: unknown) => {
    await closed();
    throw error;
  });
  const log = await foldsInto(file);
  let queue: Promise<unknown> = Promise.resolve();
  let closing: Promise<boolean> | undefined;
  let released: Promise<void> | undefined;
  const ended = (): Promise<boolean> =>
    queue.then(async () => {
      // A disk that is full keeps the log beside the file: nothing is lost, and the next start folds it in.
      await log.close().catch(() => undefined);
      return closed();
    });
  /** Work that has the file to itself, one after the other. */
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const turn = queue.then(work);
    queue = turn.catch(() => undefined);
    return turn;
  };
  return {
    sequelize,
    models,
    file,
    told,
    remembered: remembered(),
    write: (work) =>
      inTurn(async () => {
        expectSound();
        const done = await sequelize.transaction({ type: 'IMMEDIATE' as Transaction.TYPES }, work);
        // What was written is kept whatever comes of this.
        await log.ifLong().catch(() => undefined);
        return done;
      }),
    foldIn: async () => {
      dropCopy(file);
      rmSync(beforeRestore(file), { force: true });
      for (let i = 0; i < FOLD_TRIES; i += 1) if (await inTurn(log.now)) return true;
      return false;
    },
    get open() {
      return closing === undefined;
    },
    close: () => (released ??= (closing ??= ended()).then(release)),
    handOver: async ({ work, undo }) => {
      closing ??= ended();
      const alone = await closing;
      try {
        if (!alone) throw new Problem(STILL_READ, 503);
        work();
        return { again: await opened(file, release), failed: null };
      } catch (failed) {
        undo();
        return { again: await opened(file, release), failed };
      }
    },
  };
}

/** Where this server answers, for another that is started with the same file. */
const here = (): string => (process.env.PORT ? `http://127.0.0.1:${process.env.PORT}` : '');

/**
 * Opens (and where needed makes) a database file and brings it up to date; nobody else can open it meanwhile.
 * Throws a Problem that says what to do when the file cannot be used.
 */
export async function openDatabase(file: string): Promise<Database> {
  try {
    if (!existsSync(path.dirname(file))) mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 });
    // Cut off between the two steps of putting a backup back: the file of before is the one.
    if (!existsSync(file) && existsSync(beforeRestore(file))) renameSync(beforeRestore(file), file);
    const lock = await takeLock(file, here());
    try {
      return await opened(file, lock.release);
    } catch (error) {
      await lock.release();
      throw error;
    }
  } catch (error) {
    const sentence = diskSentence(error, file);
    if (sentence) throw new Problem(sentence, 503);
    throw error;
  }
}

const place = globalThis as typeof globalThis & { bouncyEcho?: Promise<Database> };

/** Where this setting's data lives. */
export const databaseFile = (): string =>
  path.resolve(
    /* turbopackIgnore: true */ process.env.BOUNCY_ECHO_DB ??
      path.join(process.env.BOUNCY_ECHO_DATA ?? 'data', 'bouncy-echo.sqlite'),
  );

/**
 * Lets the data file be exchanged while the server runs: whoever asks for it meanwhile waits for the one that comes.
 * Throws why the work was undone; the file of before is open again then.
 */
export async function exchanged(exchange: Exchange): Promise<Database> {
  const before = await database();
  const handed = before.handOver(exchange);
  place.bouncyEcho = handed.then(({ again }) => again);
  place.bouncyEcho.catch(() => {
    delete place.bouncyEcho;
  });
  const { again, failed } = await handed;
  if (failed) throw failed;
  return again;
}

/** The one open database of this process. A failed opening is tried again at the next call. */
export function database(): Promise<Database> {
  place.bouncyEcho ??= openDatabase(databaseFile()).catch((error: unknown) => {
    delete place.bouncyEcho;
    throw error;
  });
  return place.bouncyEcho;
}
