import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { copiesIn } from '../../file/folder';
import { identityIn } from '../../file/keys';
import { alone, withPlain } from '../../file/plain';
import { sure } from '../../core/sure';
import { eraseChild } from '../people/groups';
import { erasedAmong, learnFrom, settleGoing } from '../../file/erased-list';
import { database, exchanged } from '../storage/database';
import { examine } from '../storage/examine';
import { MIGRATION_NAMES } from '../storage/migrations';
import { Problem } from '../storage/problems';
import { rows } from '../storage/rows';
import { beforeRestore } from '../storage/update';
import { backupsRow, keepBackups } from './backups';
import { WorkFault, workOnFile } from './file-work';
import { note } from './journal';

/** What a backup holds, and what would go if it were put back. */
export interface Looked {
  readonly name: string;
  /** When it was made, milliseconds since 1970. */
  readonly at: number;
  readonly children: number;
  readonly sessions: number;
  /** Sessions of now that are not in it. */
  readonly sessionsThatGo: number;
  /** Children of now who are not in it. */
  readonly childrenThatGo: number;
}

/** An opened backup waits here, ours alone, until it is put back or let go. */
const partOf = (file: string, name: string): string => `${file}-restore-${name.replace(/\W/g, '')}.part`;

/** So long it waits at most, in milliseconds. */
const WAITS_MS = 15 * 60_000;

const WRONG_KEY =
  'That key doesn’t open this backup. Nothing was changed. Look for the page you printed when you set it up.';
const FAULTS: Readonly<Record<string, string>> = {
  'wrong-key': WRONG_KEY,
  damaged: 'This backup is damaged, or isn’t one of ours. Nothing was changed. Try an older one.',
};

const NOT_FOLDED = 'There isn’t enough room to put a backup back. Nothing was changed. Make some room and try again.';

/** A backup of the folder, by its name. Throws a Problem where there is none. */
async function copyNamed(name: string): Promise<{ folder: string; at: number }> {
  const { folder } = await backupsRow();
  const copy = folder ? copiesIn(folder).find((c) => c.name === name) : undefined;
  if (!folder || !copy) throw new Problem('That backup isn’t in the folder any more.', 404);
  return { folder, at: copy.at };
}

/** Why a file that was opened cannot be put back: newer, damaged, none of ours. */
async function expectOurs(part: string): Promise<void> {
  try {
    await examine(part, new Set(MIGRATION_NAMES));
  } catch (error) {
    const newer = error instanceof Problem && error.message.includes('newer');
    throw new Problem(
      newer
        ? 'This backup was made by a newer Bouncy Echo. Nothing was changed. Bring this one up to date first.'
        : sure(FAULTS.damaged),
    );
  }
}

const idsIn = async (part: string, table: 'children' | 'sessions'): Promise<Set<string>> =>
  withPlain(
    alone(part),
    'address',
    async (db) => new Set((await db.all<{ id: string }>(`SELECT id FROM ${table}`)).map((r) => r.id)),
  );

/**
 * Opens a backup and looks into it; nothing is changed. Throws a Problem that says why it cannot be put back.
 * @param typed the key, as words or as it is
 */
export async function lookInto(name: string, typed: string): Promise<Looked> {
  const identity = identityIn(typed);
  if (!identity) throw new Problem('That isn’t a key. It’s 24 words, or it starts with AGE-SECRET-KEY.');
  const { folder, at } = await copyNamed(name);
  const { file } = await database();
  const part = partOf(file, name);
  try {
    await workOnFile({ act: 'open', from: path.join(folder, name), to: part, identity });
    await expectOurs(part);
    const [children, sessions] = [await idsIn(part, 'children'), await idsIn(part, 'sessions')];
    const now = {
      children: await rows<{ id: string }>('SELECT id FROM children', {}),
      sessions: await rows<{ id: string }>('SELECT id FROM sessions', {}),
    };
    setTimeout(() => rmSync(part, { force: true }), WAITS_MS).unref();
    return {
      name,
      at,
      children: children.size,
      sessions: sessions.size,
      sessionsThatGo: now.sessions.filter(({ id }) => !sessions.has(id)).length,
      childrenThatGo: now.children.filter(({ id }) => !children.has(id)).length,
    };
  } catch (error) {
    rmSync(part, { force: true });
    if (error instanceof WorkFault) throw new Problem(FAULTS[error.why] ?? sure(FAULTS.damaged));
    throw error;
  }
}

/** Lets opened backups go: nobody wants them now. */
export async function letGo(): Promise<void> {
  const { file } = await database();
  const parts = readdirSync(path.dirname(file)).filter((name) => name.startsWith(`${path.basename(file)}-restore-`));
  for (const part of parts) rmSync(path.join(path.dirname(file), part), { force: true });
}

/**
 * Puts a backup that was looked into in the place of the data, while the server runs: the file of now stays beside it,
 * who was erased since then is erased again, and devices send their marks again. Throws a Problem; the data is as it
 * was then.
 */
export async function putBack(name: string, by = ''): Promise<void> {
  const { folder } = await copyNamed(name);
  const { file } = await database();
  const part = partOf(file, name);
  if (!existsSync(part)) throw new Problem('Open the backup with its key first.');
  const { recipient, folder: place, daily_at, last_at, last_bytes } = await backupsRow();
  learnFrom(file, folder);
  const before = beforeRestore(file);
  // Before it takes its place, so that a crash between leaves no device thinking it is the old one.
  await withPlain(part, 'write', (db) => db.exec(`UPDATE backups SET epoch = '${randomUUID()}'`)).catch(() => {
    throw new Problem(sure(FAULTS.damaged));
  });
  let moved = false;
  await exchanged({
    work: () => {
      // A disk that is full could not fold the log into the file: both stay as they are.
      if (statSync(`${file}-wal`, { throwIfNoEntry: false })?.size) throw new Problem(NOT_FOLDED, 503);
      renameSync(file, before);
      moved = true;
      renameSync(part, file);
    },
    undo: () => {
      if (!moved) return;
      for (const stray of ['', '-wal', '-shm']) rmSync(`${file}${stray}`, { force: true });
      renameSync(before, file);
    },
  });
  await keepBackups({ recipient, folder: place, daily_at, last_at, last_bytes, fault: null });
  const erased = await eraseAgain();
  await note('restored', by, erased ? `${name}; ${erased} erased again` : name);
}

/** Erases again whoever is on the list of the erased: how many. Done after a backup was put back, and at each start. */
export async function eraseAgain(): Promise<number> {
  const { file } = await database();
  const ids = (await rows<{ id: string }>('SELECT id FROM children', {})).map((r) => r.id);
  const gone = erasedAmong(file, ids);
  for (const id of gone)
    await eraseChild(id).catch((error: unknown) => {
      // A hold keeps them, until it is lifted.
      if (!(error instanceof Problem && error.status === 409)) throw error;
    });
  return gone.length;
}

/** At a start, with the file as it was left: what a crash kept from being written down, and from being erased. */
export async function afterStart(): Promise<void> {
  const { file } = await database();
  await letGo();
  settleGoing(
    file,
    (await rows<{ id: string }>('SELECT id FROM children', {})).map((r) => r.id),
  );
  await eraseAgain();
}
