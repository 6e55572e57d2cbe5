import { Op } from 'sequelize';
import { taskOf } from '../../core/games';
import { groupBy } from '../../core/group-by';
import { roundOf } from '../../core/sessions/log';
import { learnedPace } from '../../core/sessions/running-order';
import { database } from '../storage/database';

/** Sessions a pace is learned from. */
const LATELY = 12;

/** Seconds a turn of each task takes in this group: learned from its log, else the starting value. */
export async function pacesOf(groupId: string): Promise<(task: string) => number> {
  const { models } = await database();
  const sessions = await models.sessions.findAll({
    where: { group_id: groupId },
    order: [['started_at', 'DESC']],
    limit: LATELY,
    attributes: ['id'],
  });
  const rows = (await models.answers.findAll({
    where: { session_id: sessions.map((s) => s.get().id), standing: { [Op.ne]: 'check-in' }, second: 0 },
    attributes: ['session_id', 'task', 'turn', 'at'],
    order: [['at', 'ASC']],
    raw: true,
  })) as unknown as {
    session_id: string;
    task: string;
    turn: number;
    at: number;
  }[];
  const gaps = new Map<string, number[]>();
  for (const round of groupBy(rows, (r) => `${r.session_id} ${roundOf(r.turn)}`).values()) {
    round.forEach((answer, i) => {
      const before = round[i - 1];
      if (before) gaps.set(answer.task, [...(gaps.get(answer.task) ?? []), (answer.at - before.at) / 1000]);
    });
  }
  return (task) => learnedPace(gaps.get(task) ?? [], taskOf(task).secondsPerTurn);
}
