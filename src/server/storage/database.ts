import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { Sequelize, type Transaction } from 'sequelize';
import sqlite3 from 'sqlite3';
import { migrate } from './migrations';
import { defineModels, type Models } from './models';
import { diskSentence, Problem } from './problems';
import { remembered, type Remembered } from './remembered';

export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  readonly file: string;
  readonly remembered: Remembered;
  /** Runs one write at a time, in a transaction: SQLite has one writer, and a queue never meets "busy". */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** False from the moment it is told to close. */
  readonly open: boolean;
  close(): Promise<void>;
}

/** What every connection is told before it is used. `secure_delete` wipes what is erased. */
const PRAGMAS = [
  'PRAGMA busy_timeout=5000',
  'PRAGMA journal_mode=WAL',
  'PRAGMA synchronous=FULL',
  'PRAGMA foreign_keys=ON',
  'PRAGMA secure_delete=ON',
] as const;

type Opened = (error: Error | null) => void;
interface Connections {
  readonly Database: new (file: string, mode: number, ready?: Opened) => sqlite3.Database;
  /** From now on, closing closes. */
  end(): void;
}

/**
 * Sequelize opens a connection for each transaction and closes it after; opening costs more than most writes. One whose
 * transaction is over waits for the next instead. The pragmas belong in the connection itself.
 */
function connections(): Connections {
  const idle: Connection[] = [];
  let over = false;
  class Connection extends sqlite3.Database {
    constructor(file: string, mode: number, ready?: Opened) {
      super(file, mode, (error) => {
        if (error) ready?.(error);
        else this.exec(`${PRAGMAS.join(';')};`, (failed) => ready?.(failed));
      });
    }

    override close(done?: Opened): void {
      if (over) super.close(done);
      else {
        idle.push(this);
        done?.(null);
      }
    }
  }
  return {
    Database: new Proxy(Connection, {
      construct: (target, [file, mode, ready]: [string, number, Opened?]) => {
        const again = idle.pop();
        if (!again) return new target(file, mode, ready);
        process.nextTick(() => ready?.(null));
        return again;
      },
    }),
    end: () => {
      over = true;
      for (const connection of idle.splice(0)) connection.close();
    },
  };
}

/**
 * Opens (and where needed makes) a database file and brings it up to date.
 * Throws a Problem that says what to do when the file cannot be used.
 */
export async function openDatabase(file: string): Promise<Database> {
  try {
    mkdirSync(path.dirname(file), { recursive: true });
    const { Database, end } = connections();
    const sequelize = new Sequelize({
      dialect: 'sqlite',
      storage: file,
      logging: false,
      dialectModule: { ...sqlite3, Database },
    });
    const models = defineModels(sequelize);
    await migrate(sequelize);
    let queue: Promise<unknown> = Promise.resolve();
    let closed: Promise<void> | undefined;
    return {
      sequelize,
      models,
      file,
      remembered: remembered(),
      write: (work) => {
        const turn = queue.then(() => sequelize.transaction({ type: 'IMMEDIATE' as Transaction.TYPES }, work));
        queue = turn.catch(() => undefined);
        return turn;
      },
      get open() {
        return closed === undefined;
      },
      close: () =>
        (closed ??= queue.then(() => {
          end();
          return sequelize.close();
        })),
    };
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

/** The one open database of this process. A failed opening is tried again at the next call. */
export function database(): Promise<Database> {
  place.bouncyEcho ??= openDatabase(databaseFile()).catch((error: unknown) => {
    delete place.bouncyEcho;
    throw error;
  });
  return place.bouncyEcho;
}
