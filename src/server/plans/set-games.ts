import { TASKS, familyOf } from '../../core/games';
import { headsInParts } from '../../core/games/generate';
import { readKey } from '../../core/games/spec';
import type { Step } from '../../core/games/step';
import type { Task } from '../../core/games/task';
import type { PlannedRound } from '../../core/sessions/running-order';
import { makeRoundInParts, titleOf } from '../../core/sessions/shapes';
import { minutesFor } from '../../core/sessions/turns';
import { groupOf } from '../people/groups';
import { inTurns } from '../storage/other-turns';
import { Problem } from '../storage/problems';
import { startPlan } from './start-plan';
import { workshopOf, type Workshop } from './workshop';

/** A game that words of a set can be played in. */
export interface SetGame {
  readonly id: string;
  readonly family: string;
  readonly name: string;
  /** What is done in it, at the step that takes the most of the words. */
  readonly step: string;
  /** How many of the words it takes. */
  readonly words: number;
}

/** A game at one step, made from words of a set. */
interface MadeGame {
  readonly step: Step;
  readonly round: PlannedRound;
}

/**
 * A game made from these words, at the step that the most of them can head; null where it can be made from none, or is
 * about something else.
 */
function* made(
  task: Task,
  words: readonly string[],
  { bank, lowOnly }: Workshop,
): Generator<undefined, MadeGame | null> {
  if (task.sequence) return null;
  const asked = new Set(words);
  const fits: { readonly step: Step; readonly words: readonly string[] }[] = [];
  for (const step of task.steps) {
    const heads = yield* headsInParts(task, step, bank);
    const those = heads.flatMap(({ word }) => (asked.has(word) ? [word] : []));
    if (those.length) fits.push({ step, words: those });
    yield;
  }
  const [fit] = fits.sort((x, y) => y.words.length - x.words.length);
  if (!fit) return null;
  const round = yield* makeRoundInParts(
    bank,
    { role: 'focus', task: task.id, step: fit.step.id, size: fit.words.length, words: fit.words, way: 'individual' },
    { seed: 1, contested: true, lowOnly },
    'r1',
  );
  if (!round?.items.length || !round.items.every(({ key }) => readKey(key).words.some((w) => asked.has(w))))
    return null;
  return { step: fit.step, round };
}

/** The games that some of these words can be played in, in the order of the catalogue. */
export async function gamesOfSet(groupId: string, words: readonly string[]): Promise<SetGame[]> {
  const shop = await workshopOf(await groupOf(groupId));
  const games: SetGame[] = [];
  for (const task of TASKS) {
    // A set of many words is long work: whoever marks an answer meanwhile has their turn.
    const game = await inTurns(made(task, words, shop));
    if (!game) continue;
    const { id, name } = task;
    games.push({
      id,
      name,
      family: familyOf(task.family).name,
      step: game.step.name,
      words: game.round.items.length,
    });
  }
  return games;
}

/**
 * Begins a session of one game with those of the words that it takes. Throws a Problem where there is no such game, or
 * it can be made of none of them.
 */
export async function startSetIn(groupId: string, taskId: string, words: readonly string[]): Promise<string> {
  const group = await groupOf(groupId);
  const shop = await workshopOf(group);
  const task = TASKS.find(({ id }) => id === taskId);
  const game = task && (await inTurns(made(task, words, shop)));
  if (!game) throw new Problem('We can’t make this game from these words. Choose another game, or other words.');
  const { step, round } = game;
  return startPlan(
    groupId,
    {
      title: titleOf({ shape: 'focus', task: task.id, step: step.id, count: 3, sound: undefined }, shop.bank),
      minutes: minutesFor(round.items.length, task.secondsPerTurn),
      letters: false,
      sound: null,
      pairs: [],
      rounds: [round],
    },
    group.children.filter((c) => !c.away).map((c) => c.id),
  );
}
