import type { Transaction } from 'sequelize';
import { database } from '../storage/database';
import { rows } from '../storage/rows';

/** A device that was not seen for so long has nothing left: its kept pages end long before. */
const REMEMBERED_MS = 400 * 86_400_000;

/**
 * Notes that every session of a group may be kept somewhere with a name that is erased now: a page of Play holds the
 * names of the whole group. To be done before anything is erased.
 */
export async function rememberErased(groupId: string, transaction: Transaction, now = Date.now()): Promise<void> {
  const { sequelize } = await database();
  const of = { replacements: { groupId, now, old: now - REMEMBERED_MS }, transaction };
  await sequelize.query(
    `INSERT INTO erased (session_id, erased_at) SELECT id, :now FROM sessions WHERE group_id = :groupId
     ON CONFLICT (session_id) DO UPDATE SET erased_at = :now`,
    of,
  );
  await sequelize.query('DELETE FROM erased WHERE erased_at < :old', of);
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
