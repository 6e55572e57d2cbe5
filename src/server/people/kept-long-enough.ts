import { millisecondsInDay } from 'date-fns/constants';
import { goesOn, NOTICE_MS } from '../../core/formats/keep-until';
import { keepYearsSchema } from '../../core/formats/schemas';
import { database } from '../storage/database';
import { Problem } from '../storage/problems';
import { keepRule, keptRule } from '../setting/settings';
import { eraseChild } from './groups';
import { holdIn } from './hold';

/** A child off the list, and the day on which they go. */
export interface Leaver {
  readonly id: string;
  readonly name: string;
  /** Milliseconds since 1970. */
  readonly goesOn: number;
}

/** Keeps how long those who left are kept; null where nobody goes by themselves. Throws a Problem. */
export async function saveKeepYears(asked: unknown, now = Date.now()): Promise<void> {
  const read = keepYearsSchema.safeParse(asked);
  if (!read.success) throw new Problem('Choose how long to keep them.');
  await keepRule(read.data, now);
}

/** Everybody off the list who is not on hold, with their day; nobody where no rule was chosen. */
export async function leavers(): Promise<Leaver[]> {
  const { years, since } = await keptRule();
  if (years === null) return [];
  const { models } = await database();
  const all = (await models.children.findAll()).map((row) => row.get());
  return all
    .flatMap((c) =>
      c.archived_at !== null && holdIn(c) === null
        ? [{ id: c.id, name: c.name, goesOn: goesOn(c.archived_at, years, since) }]
        : [],
    )
    .sort((a, b) => a.goesOn - b.goesOn);
}

/** Those who go within a month. */
export const goingSoon = async (now = Date.now()): Promise<Leaver[]> =>
  (await leavers()).filter((l) => l.goesOn - now < NOTICE_MS);

/** So long after the last session the clock may be wrong, and nobody was there to be told: nobody goes. */
const UNSEEN_MS = 60 * millisecondsInDay;

/** Erases those whose day has come: how many. */
export async function eraseDue(now = Date.now()): Promise<number> {
  const due = (await leavers()).filter((l) => l.goesOn <= now);
  if (!due.length) return 0;
  const { models } = await database();
  const last = (await models.sessions.findOne({ order: [['started_at', 'DESC']] }))?.get().started_at ?? 0;
  if (now - last > UNSEEN_MS) return 0;
  for (const { id } of due) await eraseChild(id);
  return due.length;
}
