import { addDays, startOfDay } from 'date-fns';
import { keepAdvice } from '../children/advised';
import { keepSmallGroups } from '../children/small-groups';
import { listGroups } from '../people/groups';
import { readySessions } from '../plans/today';
import { caughtUp, onRead } from '../record/rebuild-queue';
import { database } from '../storage/database';
import { backUpIfDue } from './backups';
import { eraseDue } from '../people/kept-long-enough';
import { counted } from '../../core/in-words';
import { note } from './journal';
import { otherTurns } from '../storage/other-turns';

/**
 * What is advised, and the sessions of Today, are worked out when all is quiet: after answers came, after the start,
 * and when a day has begun, so that no page has to wait for them.
 */

/** A pause of a game is shorter: nothing is worked out beside a round, nor beside the first page after the start. */
const REST_MS = 60_000;
/** A day has surely begun by then. */
const AFTER_MIDNIGHT_MS = 1_000;

/** Works out what is missing; what a server that is being stopped leaves undone is done at the next start. */
async function inBackground(): Promise<void> {
  const db = await database();
  await keepReady().catch((error: unknown) => {
    if (db.open) console.error('What is next could not be worked out:', error instanceof Error ? error.message : error);
  });
}

/** Works out what is missing, for every child who is on a list and every group that has some. */
export async function keepReady(): Promise<void> {
  await caughtUp();
  const groups = (await listGroups()).filter((g) => g.children.length > 0);
  await keepAdvice(groups.flatMap((g) => g.children.map((c) => c.id)));
  for (const group of groups) {
    await keepSmallGroups(group.id);
    await readySessions(group);
    await otherTurns();
  }
}

let timer: NodeJS.Timeout | undefined;

/** Something new was read: what rests on it is worked out when the reading rests. */
function keepSoon(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void inBackground().catch(() => undefined), REST_MS);
  timer.unref();
}

function everyDay(): void {
  const next = startOfDay(addDays(Date.now(), 1)).getTime() + AFTER_MIDNIGHT_MS;
  setTimeout(() => {
    keepSoon();
    everyDay();
  }, next - Date.now()).unref();
}

/** The daily backup is looked for this often. */
const LOOK_MS = 5 * 60_000;

/** Begins with it, once for a server. */
export function beginKeeping(): void {
  onRead(keepSoon);
  everyDay();
  keepSoon();
  const look = (): void =>
    void (async () => {
      await backUpIfDue();
      const gone = await eraseDue();
      if (gone) await note('kept-long-enough', '', counted(gone, 'child', 'children'));
    })().catch((error: unknown) => console.error(error instanceof Error ? error.message : error));
  setTimeout(look, REST_MS).unref();
  setInterval(look, LOOK_MS).unref();
}
