import { millisecondsInDay } from 'date-fns/constants';
import type { Transaction } from 'sequelize';
import { database } from '../storage/database';
import { rows } from '../storage/rows';

/** A device that was not seen for so long has nothing left: its kept pages end long before. */
const REMEMBERED_MS = 400 * millisecondsInDay;

/** A device keeps the page of a session for a week, and marks of it may come for two. */
const KEPT_ON_DEVICES_MS = 14 * millisecondsInDay;

/**
 * Notes that some sessions may be kept somewhere with a name that is erased now: those the children sat in, whichever
 * group they were in then; all of their group, whose pages hold the names of everyone in it; and all of late, since a
 * child who was moved is named on the pages of the group they came from. To be done before anything is erased.
 */
export async function rememberErased(
  groupId: string,
  children: readonly string[],
  transaction: Transaction,
  now = Date.now(),
): Promise<void> {
  const { sequelize } = await database();
  const late = now - KEPT_ON_DEVICES_MS;
  const query = {
    replacements: { groupId, children: ['', ...children], now, old: now - REMEMBERED_MS, late },
    transaction,
  };
  await sequelize.query(
    `INSERT INTO erased (session_id, erased_at)
     SELECT id, :now FROM sessions WHERE group_id = :groupId OR started_at > :late
       OR id IN (SELECT session_id FROM session_children WHERE child_id IN (:children))
     ON CONFLICT (session_id) DO UPDATE SET erased_at = :now`,
    query,
  );
  await sequelize.query('DELETE FROM erased WHERE erased_at < :old', query);
}

/** What a device has to let go of. */
export interface Erased {
  /** Ids of sessions. */
  readonly ids: readonly string[];
  /** Up to when this speaks, milliseconds since 1970: to be asked with the next time. */
  readonly until: number;
}

/** The sessions a device has to let go of since it asked last. */
export async function erasedSince(since: number): Promise<Erased> {
  const kept = await rows<{ id: string; at: number }>(
    'SELECT session_id AS id, erased_at AS at FROM erased WHERE erased_at > :since ORDER BY erased_at',
    { since },
  );
  return { ids: kept.map((r) => r.id), until: Math.max(since, ...kept.map((r) => r.at)) };
}
