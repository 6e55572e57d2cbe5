import sqlite3 from 'sqlite3';

/**
 * What every connection is told before it is used. `secure_delete` wipes what is erased. The log beside the file is
 * folded in where we say so alone (fold-in.ts): each log then begins with a mark that tells which file it belongs to.
 */
const PRAGMAS = [
  'PRAGMA busy_timeout=5000',
  'PRAGMA journal_mode=WAL',
  'PRAGMA wal_autocheckpoint=0',
  'PRAGMA synchronous=FULL',
  'PRAGMA foreign_keys=ON',
  'PRAGMA secure_delete=ON',
] as const;

type Opened = (error: Error | null) => void;
interface Connections {
  readonly Database: new (file: string, mode: number, ready?: Opened) => sqlite3.Database;
  /**
   * From now on, closing closes. It is over when every connection is closed: the last one takes the log away by its
   * name, and would take that of a file which has come into the place of its own.
   */
  end(): Promise<void>;
}

/**
 * Sequelize opens a connection for each transaction and closes it after; opening costs more than most writes. One whose
 * transaction is over waits for the next instead. The pragmas belong in the connection itself.
 */
export function connections(): Connections {
  const idle: Connection[] = [];
  let over = false;
  let open = 0;
  let allClosed = (): void => undefined;
  const closed = new Promise<void>((resolve) => {
    allClosed = resolve;
  });
  const gone = (): void => {
    open -= 1;
    if (over && open === 0) allClosed();
  };
  class Connection extends sqlite3.Database {
    constructor(file: string, mode: number, ready?: Opened) {
      open += 1;
      super(file, mode, (error) => {
        if (error) gone();
        if (error) ready?.(error);
        else this.exec(`${PRAGMAS.join(';')};`, (failed) => ready?.(failed));
      });
    }

    override close(done?: Opened): void {
      if (over)
        super.close((error) => {
          if (!error) gone();
          done?.(error);
        });
      else {
        idle.push(this);
        done?.(null);
      }
    }
  }
  /** Opening one hands out one that waits, where there is one. */
  const WaitingFirst = new Proxy(Connection, {
    construct: (target, [file, mode, ready]: [string, number, Opened?]) => {
      const again = idle.pop();
      if (!again) return new target(file, mode, ready);
      process.nextTick(() => ready?.(null));
      return again;
    },
  });
  return {
    Database: WaitingFirst,
    end: () => {
      over = true;
      for (const connection of idle.splice(0)) connection.close();
      if (open === 0) allClosed();
      return closed;
    },
  };
}
