import { TASKS, familyOf } from '../../core/games';
import { headsOf } from '../../core/games/generate';
import type { Material } from '../../core/games/material';
import type { Step } from '../../core/games/step';
import type { Task } from '../../core/games/task';
import { makeRound, titleOf } from '../../core/sessions/shapes';
import { minutesFor } from '../../core/sessions/turns';
import { listGroups, type Group } from '../people/groups';
import { Problem } from '../storage/problems';
import { sure } from '../../core/sure';
import { startPlan } from './start-plan';
import { workshopOf } from './workshop';
import { setGames as say } from './text';

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

interface Fitting {
  readonly step: Step;
  readonly words: readonly string[];
}

/** The step of a game that the most of the words can head; undefined where none of them can. */
function fitting(task: Task, words: readonly string[], bank: Material): Fitting | undefined {
  const asked = new Set(words);
  return task.steps
    .map((step) => ({
      step,
      words: headsOf(task, step, bank).flatMap(({ word }) => (asked.has(word) ? [word] : [])),
    }))
    .filter((fit) => fit.words.length > 0)
    .sort((a, b) => b.words.length - a.words.length)[0];
}

async function groupOf(groupId: string): Promise<Group> {
  const group = (await listGroups()).find((g) => g.id === groupId);
  if (!group) throw new Problem(say.groupMoreChoose, 404);
  return group;
}

/** The games that some of these words can be played in, in the order of the catalogue. */
export async function gamesOfSet(groupId: string, words: readonly string[]): Promise<SetGame[]> {
  const { bank } = await workshopOf(await groupOf(groupId));
  return TASKS.flatMap((task) => {
    const fit = task.sequence ? undefined : fitting(task, words, bank);
    const { id, name } = task;
    return fit ? [{ id, name, family: familyOf(task.family).name, step: fit.step.name, words: fit.words.length }] : [];
  });
}

/**
 * Begins a session of one game with those of the words that it takes. Throws a Problem where there is no such game, or
 * it can be made of none of them.
 */
export async function startSetIn(groupId: string, taskId: string, words: readonly string[]): Promise<string> {
  const group = await groupOf(groupId);
  const shop = await workshopOf(group);
  const task = TASKS.find(({ id }) => id === taskId);
  const fit = task && fitting(task, words, shop.bank);
  const round =
    fit &&
    makeRound(
      shop.bank,
      { role: 'focus', task: task.id, step: fit.step.id, size: fit.words.length, words: fit.words, way: 'individual' },
      { seed: 1, contested: true, lowOnly: shop.lowOnly },
      'r1',
    );
  if (!fit || !round?.items.length) throw new Problem(say.noneOfThem);
  return startPlan(
    groupId,
    {
      title: titleOf({ shape: 'focus', task: task.id, step: fit.step.id, count: 3, sound: undefined }, shop.bank),
      minutes: minutesFor(round.items.length, sure(task).secondsPerTurn),
      letters: false,
      sound: null,
      pairs: [],
      rounds: [round],
    },
    group.children.filter((c) => !c.away).map((c) => c.id),
  );
}
