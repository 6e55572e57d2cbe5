import { isOld, localIn } from '../../core/choosing/local';
import { NOT_LOCAL, type Local } from '../../core/choosing/model';
import { settle } from '../../core/evidence/settle';
import { database } from '../storage/database';
import { inTurns, otherTurns } from '../storage/other-turns';
import { rows } from '../storage/rows';
import { seenOf } from './kept-evidence';

/** What is kept of what the children of this setting show together. */
async function kept(): Promise<{ readonly at: number; readonly body: string } | undefined> {
  return (await rows<{ at: number; body: string }>('SELECT at, body FROM local_steps WHERE id = 1', {}))[0];
}

/**
 * How hard steps are here, as it was worked out last, and when, milliseconds since 1970; nothing of our own, and 0,
 * while there are fewer than fifty children.
 */
export async function localKept(): Promise<{ readonly at: number; readonly local: Local }> {
  const known = await kept();
  if (!known) return { at: 0, local: NOT_LOCAL };
  if (known.body !== last.body) last = { body: known.body, local: JSON.parse(known.body) as Local };
  return { at: known.at, local: last.local };
}

/** What was read last: it changes once in half a term. */
let last: { readonly body: string; readonly local: Local } = { body: '', local: NOT_LOCAL };

/** Children read at once. */
const AT_ONCE = 20;

/**
 * Works out anew what the children of this setting show together, where that is older than half a term. Called when a
 * session ends, off the way of whoever waits.
 */
export async function renewLocal(now = Date.now()): Promise<void> {
  const known = await kept();
  if (known && !isOld(known.at, now)) return;
  const ids = (await rows<{ id: string }>('SELECT DISTINCT child_id AS id FROM evidence', {})).map((r) => r.id);
  const runs = [];
  for (let i = 0; i < ids.length; i += AT_ONCE) {
    const seen = await seenOf(ids.slice(i, i + AT_ONCE), now);
    runs.push(...[...seen.values()].map((answered) => settle(answered, now).runs));
    await otherTurns();
  }
  const local = await inTurns(localIn(runs));
  if (!local) return;
  const { models, write } = await database();
  await write(async (transaction) => {
    await models.localSteps.destroy({ where: {}, transaction });
    await models.localSteps.create({ id: 1, at: now, body: JSON.stringify(local) }, { transaction });
  });
}
