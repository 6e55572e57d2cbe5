import { millisecondsInDay } from 'date-fns/constants';
import type { Transaction } from 'sequelize';
import { backupKeySchema, backupPlanSchema, explain } from '../../core/formats/schemas';
import { makeFolder, type CopyFault, type Made } from '../../file/copy';
import { copiesIn, type Copy } from '../../file/folder';
import { putBeside } from '../../file/erased-list';
import { database } from '../storage/database';
import type { BackupsRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { WorkFault, workOnFile } from './file-work';
import { note } from './journal';

/** How backups are made, and how it stands with them. */
export interface Backups {
  readonly folder: string | null;
  /** Every day at this time; null where by hand alone. */
  readonly dailyAt: string | null;
  /** A key was made. */
  readonly hasKey: boolean;
  /** There is a key and a folder, so that there can be backups. */
  readonly ready: boolean;
  readonly lastAt: number | null;
  /** Why the last one was not made. */
  readonly fault: string | null;
  readonly copies: readonly Copy[];
}

/** The row as it is, or as it is before anything was chosen. */
export async function backupsRow(transaction?: Transaction): Promise<BackupsRow> {
  const { models } = await database();
  const row = (await models.backups.findByPk(1, transaction ? { transaction } : {}))?.get();
  return (
    row ?? {
      id: 1,
      recipient: null,
      folder: null,
      daily_at: null,
      last_at: null,
      last_bytes: null,
      fault: null,
      epoch: null,
    }
  );
}

/** Keeps some of it. */
export async function keepBackups(change: Partial<Omit<BackupsRow, 'id'>>): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) =>
    models.backups.upsert({ ...(await backupsRow(transaction)), ...change }, { transaction }),
  );
}

/** How it stands with backups. */
export async function backups(): Promise<Backups> {
  const row = await backupsRow();
  return {
    folder: row.folder,
    dailyAt: row.daily_at,
    hasKey: row.recipient !== null,
    ready: row.recipient !== null && row.folder !== null,
    lastAt: row.last_at,
    fault: row.fault,
    copies: row.folder ? copiesIn(row.folder) : [],
  };
}

/** Sentences for people, by why no backup was made. */
const FAULTS: Readonly<Record<string, (folder: string) => string>> = {
  'no-folder': (folder) => `The folder ${folder} isn’t there. Is the stick plugged in? No backup was made.`,
  'read-only': (folder) => `We may not write in ${folder}. No backup was made.`,
  'no-room': () => 'There isn’t enough room for a backup. Make some, or choose another folder. No backup was made.',
  damaged: () => 'The copy didn’t come out whole, so we threw it away. No backup was made: try again.',
  other: () => 'The backup didn’t go through. None was made: try again.',
};

/** Keeps where backups go, and when. Throws a Problem. */
export async function planBackups(asked: unknown): Promise<void> {
  const read = backupPlanSchema.safeParse(asked);
  if (!read.success) throw new Problem(explain(read.error));
  const { folder, dailyAt } = read.data;
  try {
    makeFolder(folder);
  } catch {
    throw new Problem(`We can’t make the folder ${folder}. Choose another one.`);
  }
  await keepBackups({ folder, daily_at: dailyAt });
}

/** Keeps the half of a key that locks backups; older ones still need the key of then. Throws a Problem. */
export async function keepKey(recipient: unknown, by: unknown): Promise<void> {
  const read = backupKeySchema.safeParse({ recipient, by });
  if (!read.success) throw new Problem(explain(read.error));
  await keepBackups({ recipient: read.data.recipient });
  await note('backups-set-up', read.data.by);
}

let making: Promise<Made> | undefined;

/** Makes a backup now; one at a time. Throws a Problem that says why none was made. */
export function backUpNow(): Promise<Made> {
  making ??= made().finally(() => {
    making = undefined;
  });
  return making;
}

async function made(): Promise<Made> {
  const { file } = await database();
  const { recipient, folder } = await backupsRow();
  if (!recipient || !folder) throw new Problem('Choose a folder and make a key first.');
  const at = Date.now();
  try {
    const { made: copy } = await workOnFile({ act: 'back-up', file, folder, recipient, at });
    if (!copy) throw new WorkFault('other');
    putBeside(file, folder);
    await keepBackups({ last_at: at, last_bytes: copy.bytes, fault: null });
    return copy;
  } catch (error) {
    const why = (error as CopyFault).why ?? 'other';
    const fault = (FAULTS[why] ?? FAULTS.other)?.(folder) ?? '';
    await keepBackups({ fault }).catch(() => undefined);
    throw new Problem(fault, 503);
  }
}

/** A backup older than this is said on Today. */
const OLD_MS = 7 * millisecondsInDay;

/** The last moment before now at which a daily time was due. @param at such as `17:05` */
export function lastDue(at: string, now: number): number {
  const [hour = 0, minute = 0] = at.split(':').map(Number);
  const due = new Date(now);
  due.setHours(hour, minute, 0, 0);
  return due.getTime() <= now ? due.getTime() : new Date(due.setDate(due.getDate() - 1)).getTime();
}

/** True where the daily backup is due. One from a clock that was ahead does not count. */
export const isDue = (
  { daily_at: at, last_at: last }: Pick<BackupsRow, 'daily_at' | 'last_at'>,
  now: number,
): boolean => at !== null && (last === null || last > now + millisecondsInDay || last < lastDue(at, now));

/** Makes the daily backup where it is due; what keeps it from being made is kept, and said on Today. */
export async function backUpIfDue(now = Date.now()): Promise<void> {
  const row = await backupsRow();
  if (row.recipient && row.folder && isDue(row, now)) await backUpNow().catch(() => undefined);
}

/** What Today says of backups; null where all is well, or where none were set up. */
export async function backupNotice(now = Date.now()): Promise<string | null> {
  const row = await backupsRow();
  if (!row.recipient || !row.folder) return null;
  if (row.last_at !== null && now - row.last_at < OLD_MS && row.last_at <= now + millisecondsInDay) return null;
  if (row.fault) return row.fault;
  return row.last_at === null ? 'There is no backup yet.' : 'The last backup is more than a week old.';
}
