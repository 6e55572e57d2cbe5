import { rungNow, type RungRef } from '../../core/evidence/ladders';
import { gameOn } from '../../core/choosing/next-step';
import { planRequestSchema } from '../../core/formats/plan-file';
import { whereIn } from '../../core/answers/spots';
import { checkWords, pebbleWords } from '../../core/games/pebbles';
import { taskOf } from '../../core/games';
import { MIXED } from '../../core/games/step';
import { canOwn } from '../../core/sessions/own-step';
import { makeRound } from '../../core/sessions/shapes';
import { advised } from '../children/advised';
import { groupOf, listGroups } from '../people/groups';
import { eachTheirOwn } from './own-steps';
import { wishFor } from './wish-for';
import { planFrom, workshopOf } from './workshop';
import { sure } from '../../core/sure';
import { Problem } from '../storage/problems';
import { startPlan } from './start-plan';

const NONE_IN_GROUP = 'None of these children are in the group any more.';

const NO_WORDS_FOR_SOUND = 'We don’t have any words to check that sound with.';

/** What is advised, as far as it takes to play it: a step, the words it is played with, or a check of one child. */
export interface StepToPlay extends RungRef {
  readonly pattern?: string | undefined;
  readonly check?: string | undefined;
  /** Each child their own step of it. */
  readonly own?: boolean | undefined;
}

/**
 * Begins a ready session of one step of a ladder with some children of a group. Throws a Problem for a step or group
 * that is not there.
 */
export async function startStep(
  groupId: string,
  { ladder, rung, pattern, check, own }: StepToPlay,
  children: readonly string[],
): Promise<string> {
  if (check) return startPebbles(sure(children[0]), check);
  const group = await groupOf(groupId);
  const here = group.children.filter((c) => children.includes(c.id));
  if (!here.length) throw new Problem(NONE_IN_GROUP, 404);
  const rungOf = rungNow(ladder, rung);
  if (!rungOf?.steps.length) throw new Problem('There’s no such step.', 404);
  const ids = here.map((c) => c.id);
  const now = Date.now();
  const { of } = await advised(ids, now);
  // The same step on the same day gives other words once these were played: they are used lately then.
  const usual = gameOn(
    rungOf,
    [...of.values()].some((a) => a.points),
  );
  const game = (own && rungOf.steps.find(([task]) => canOwn(taskOf(task)))) || usual;
  const wish = planRequestSchema.parse({
    minutes: 8,
    seed: 5,
    ...wishFor({ game, ...(pattern ? { pattern } : {}) }, [...of.values()]),
  });
  const shop = { ...(await workshopOf(group)), children: here.length, childIds: ids };
  const plan = await planFrom(wish, shop);
  return startPlan(groupId, own ? eachTheirOwn(plan, shop.bank) : plan, ids);
}

/** Words of a check at hand in one go: one of them is enough, three where the child says them well. */
const CHECK_WORDS = 4;

/**
 * Begins a session of one child with words that hold a sound in a place, to be checked with pebbles. Throws a Problem
 * for a child who is not there, or a sound there are no words for.
 */
export async function startPebbles(childId: string, key: string): Promise<string> {
  const group = (await listGroups()).find((g) => g.children.some((c) => c.id === childId));
  if (!group) throw new Problem(NONE_IN_GROUP, 404);
  const { bank } = await workshopOf(group);
  const all = pebbleWords(whereIn(key), bank);
  const own = checkWords(key, bank);
  const words = [...new Set([...own, ...all].map((w) => w.word))].slice(0, CHECK_WORDS);
  if (!own.length) throw new Problem(NO_WORDS_FOR_SOUND, 404);
  const round = makeRound(
    bank,
    { role: 'focus', task: 'segmenting', step: MIXED.id, size: words.length, words, way: 'individual' },
    { seed: 7, contested: true },
    'r1',
  );
  if (!round) throw new Problem(NO_WORDS_FOR_SOUND, 404);
  const plan = { title: 'Pebble check', minutes: 5, letters: false, sound: null, pairs: [], rounds: [round] };
  return startPlan(group.id, plan, [childId]);
}
