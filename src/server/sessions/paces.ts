import { taskOf } from '../../core/games';
import { groupBy } from '../../core/group-by';
import { roundOf } from '../../core/sessions/log';
import { learnedPace } from '../../core/sessions/running-order';
import { askedThat, latestSessions } from '../answers/answers';

/** Sessions a pace is learned from. */
const LATELY = 12;

/** Seconds a turn of each task takes in this group: learned from its log, else the starting value. */
export async function pacesOf(groupId: string): Promise<(task: string) => number> {
  const turns = await askedThat({ sessions: await latestSessions(groupId, LATELY), play: true, turns: true });
  const gaps = new Map<string, number[]>();
  for (const round of groupBy(turns, (a) => `${a.sessionId} ${roundOf(a.turn)}`).values()) {
    round.forEach(({ task, askedAt }, i) => {
      const before = round[i - 1];
      if (!before) return;
      const known = gaps.get(task) ?? [];
      known.push((askedAt - before.askedAt) / 1000);
      gaps.set(task, known);
    });
  }
  return (task) => learnedPace(gaps.get(task) ?? [], taskOf(task).secondsPerTurn);
}
