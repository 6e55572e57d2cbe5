import { taskOf } from '../../core/games';
import { expectedOn, findGames, findStepsOf } from '../../core/choosing/finding';
import type { FindPlan, FindStep } from '../../core/sessions/find';
import { makeRound } from '../../core/sessions/shapes';
import type { PlannedRound } from '../../core/sessions/running-order';
import { sure } from '../../core/sure';
import { groupOf } from '../people/groups';
import { startSession } from '../sessions/start-session';
import { Problem } from '../storage/problems';
import { workshopOf, type Workshop } from './workshop';

/** Items of a step for one child, and at most for all: who comes later hears other words while there are some. */
const KEYS = { each: 3, most: 9 } as const;
/** Minutes a child takes. Common practice, no source. */
const MINUTES_EACH = 3;

/** Rounds of every step of a game, no word twice among them; a step with too few words is left out. */
function roundsOf(task: string, children: number, { bank, recent, confirmed, owned, lowOnly }: Workshop) {
  const size = Math.min(KEYS.most, KEYS.each * children);
  const avoid = [...recent];
  return findStepsOf(task).flatMap((step, i) => {
    const wish = { role: 'focus', task, step: step.step, size, way: 'check' } as const;
    const round = makeRound(bank, wish, { seed: 11 + i, avoid, contested: confirmed, owned, lowOnly }, 'r1');
    if (!round) return [];
    avoid.push(...round.items.map((item) => item.key));
    return [{ step, round }];
  });
}

/**
 * Begins a check-in that finds where children are in a game: one after another, each asked what tells most of them.
 * Gives its id. Throws a Problem for a game it cannot be done in, or children who are not there.
 * @example await startFind(groupId, 'blending', [childId])
 */
export async function startFind(groupId: string, task: string, children: readonly string[]): Promise<string> {
  const group = await groupOf(groupId);
  const here = group.children.filter((c) => children.includes(c.id));
  if (!here.length) throw new Problem('These children aren’t on your list any more.', 404);
  if (!findGames().some((g) => g.id === task))
    throw new Problem('We can’t find their step in this game. Choose another one.');
  const made = roundsOf(task, here.length, await workshopOf(group, here));
  if (!made.length) throw new Problem('There aren’t enough words for this game. Choose another one.');
  const steps = made.map(({ step, round }): FindStep => ({ ...step, keys: round.items.map((item) => item.key) }));
  const find: FindPlan = { steps, expected: expectedOn(steps) };
  const first = sure(made[0]).round;
  const items = steps.map((s) => ({ key: sure(s.keys[0]), locked: false }));
  const round: PlannedRound = {
    ...first,
    items,
    spares: [],
    reminder:
      'One child at a time, in a quiet place. Don’t help or praise; just say “thank you”. It stops by itself ' +
      'once we know enough.',
  };
  const { name } = taskOf(task);
  const plan = {
    title: `Find their step: ${name}`,
    minutes: MINUTES_EACH * here.length,
    letters: false,
    sound: null,
    pairs: [],
  };
  return startSession(
    groupId,
    { ...plan, rounds: [round] },
    { only: here.map((c) => c.id), find: new Map([[round.id, find]]) },
  );
}
