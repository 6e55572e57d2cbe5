import { randomInt } from 'node:crypto';
import { statSync } from 'node:fs';
import { markOf } from './wal';
import { plain, type Plain } from '../../file/plain';
import { readStart } from './examine';

/** Bytes of a log after which it is folded into the file. */
const MOST = 4_194_304;
/** How long a fold waits for whoever is reading, in milliseconds: writes wait meanwhile. */
const PATIENCE_MS = 150;

export interface FoldIn {
  /** Folds the log into the file; false where somebody was reading and some of it is still beside the file. */
  now(): Promise<boolean>;
  /** The same, once the log has become long. */
  ifLong(): Promise<void>;
  close(): Promise<void>;
}

const bytesOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;

/** Any mark but the one the file has. */
function otherThan(mark: number): number {
  for (;;) {
    const next = randomInt(1, 0x7fffffff);
    if (next !== mark) return next;
  }
}

/**
 * Folds the write-ahead log of a file into it, and begins the next log with a mark (wal.ts). To be used by the one who
 * writes, between writes: the mark must be the first thing written after a fold.
 */
export async function foldsInto(file: string): Promise<FoldIn> {
  const db: Plain = await plain(file, 'write');
  // A copy made by VACUUM INTO has no log of its own yet: its mark would go into the file, and its log begin without.
  await db.exec('PRAGMA journal_mode=WAL');
  await db.exec(
    `PRAGMA busy_timeout=${PATIENCE_MS}; PRAGMA wal_autocheckpoint=0; PRAGMA synchronous=FULL; PRAGMA secure_delete=ON`,
  );
  let long = MOST;
  const fold = async (): Promise<boolean> => {
    const [result] = await db.all<{ busy: number }>('PRAGMA wal_checkpoint(TRUNCATE)');
    return result?.busy === 0;
  };
  const mark = async (): Promise<void> => {
    const [row] = await db.all<{ user_version: number }>('PRAGMA user_version');
    const before = row?.user_version ?? 0;
    await db.exec(`BEGIN IMMEDIATE; PRAGMA application_id=${before}; PRAGMA user_version=${otherThan(before)}; COMMIT`);
  };
  const now = async (): Promise<boolean> => {
    const whole = await fold();
    await mark();
    // Where somebody reads a long while, nothing is gained by asking after every write.
    long = whole ? MOST : bytesOf(`${file}-wal`) + MOST;
    return whole;
  };
  await now();
  // A file that had no mark gets one into itself: any other file without one would fit beside its log.
  if (!markOf(readStart(file))) await now();
  return {
    now,
    ifLong: async () => {
      if (bytesOf(`${file}-wal`) > long) await now();
    },
    close: async () => {
      try {
        await fold();
      } finally {
        await db.close();
      }
    },
  };
}
