import type { Standing } from '../../core/answers/outcome';
import type { Run } from '../../core/progress/evidence';
import { addCells, type Cells } from '../../core/progress/sound-map';
import { caughtUp } from '../record/rebuild-queue';
import { database } from '../storage/database';
import { rows } from '../storage/rows';

/** The runs of children, in one query. Every child asked for is in the map. */
export async function runsOf(childIds: readonly string[]): Promise<Map<string, Run[]>> {
  await caughtUp();
  const out = new Map<string, Run[]>(childIds.map((id) => [id, []]));
  if (!childIds.length) return out;
  // One row a child: thousands of small rows would cost more to hand over than to read.
  const kept = await rows<{ child: string; runs: string }>(
    `SELECT child_id AS child,
       json_group_array(json_array(task, step, standing, at, day, marks, helps)) AS runs
     FROM evidence WHERE child_id IN (:ids) GROUP BY child_id`,
    { ids: [...childIds] },
  );
  for (const { child, runs } of kept) {
    out.set(
      child,
      (JSON.parse(runs) as [string, string, Standing, number, number, string, string][]).map(
        ([task, step, standing, at, day, marks, helps]) => ({
          task,
          step,
          standing,
          at,
          day,
          marks,
          helps: helps === '{}' ? {} : (JSON.parse(helps) as Run['helps']),
        }),
      ),
    );
  }
  return out;
}

/** How each sound fared for a child, over all sessions. */
export async function cellsOfChild(childId: string): Promise<Cells> {
  await caughtUp();
  const { models } = await database();
  const rows = (await models.heardSounds.findAll({
    where: { child_id: childId },
    attributes: ['cells'],
    raw: true,
  })) as unknown as { cells: string }[];
  return addCells(rows.map((r) => JSON.parse(r.cells) as Cells));
}
