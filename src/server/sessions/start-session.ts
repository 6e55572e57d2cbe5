import type { Transaction } from 'sequelize';
import { v7 } from 'uuid';
import type { StartRequest } from '../../core/formats/schemas';
import { familyOf, stepForCounts, taskOf } from '../../core/games';
import { titleOf } from '../../core/sessions/shapes';
import type { FindPlan } from '../../core/sessions/find';
import type { OwnDeal } from '../../core/sessions/own-step';
import type { Plan } from '../../core/sessions/running-order';
import { minutesFor } from '../../core/sessions/turns';
import { storedRound, type StoredRound } from '../../core/sessions/stored-round';
import { hasWordOf } from '../../core/games/spec';
import { bankOfGroup, wordsAside } from '../words/put-aside';
import { database } from '../storage/database';
import type { SessionRow } from '../storage/models';
import { groupOf } from '../people/groups';
import { Problem } from '../storage/problems';
import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';
import { turnOrder } from './turn-order';

/** A plan of one round from words chosen by hand. Throws a Problem for words that are not in the bank. */
async function planOfWords(request: StartRequest): Promise<Plan> {
  const { accent, conventions } = await getSettings();
  const bank = await bankOfGroup(request.groupId, accent, conventions);
  const known = (words: readonly string[]): string[] =>
    [...new Set(words)].filter((w) => bank.byName.has(w) && bank.whyWithheld(w) !== 'put-aside');
  const unknown = request.words.filter((w) => !bank.byName.has(w));
  if (unknown.length)
    throw new Problem(`These aren’t in the word bank: ${unknown.join(', ')}. Choose other words and start again.`);
  const words = known(request.words);
  if (!words.length) throw new Problem('All the words in this set are put aside for this group. Choose other words.');
  const task = taskOf(request.task);
  const step = stepForCounts(
    task,
    words.map((w) => sure(bank.byName.get(w)).count),
  );
  return {
    title: titleOf({ shape: 'focus', task: task.id, step: step.id, count: 3, sound: undefined }, bank),
    minutes: Math.max(1, minutesFor(words.length, task.secondsPerTurn)),
    letters: false,
    sound: null,
    pairs: [],
    rounds: [
      {
        id: 'r1',
        role: 'focus',
        task: task.id,
        step: step.id,
        items: words.map((key) => ({ key, locked: false })),
        model: request.model && bank.byName.has(request.model) ? request.model : (words[0] ?? null),
        spares: known(request.spares ?? []).filter((w) => !words.includes(w)),
        way: 'individual',
        gap: 1,
        gesture: 'task',
        frame: { on: true, opening: null, ask: null },
        reminder: familyOf(task.family).reminder,
        names: false,
        seed: 1,
      },
    ],
  };
}

/** Begins a session of words chosen by hand. */
export const startWords = async (request: StartRequest): Promise<string> =>
  startSession(request.groupId, await planOfWords(request));

/** Who plays, where that is not everyone who is here; and what is dealt to whom, by round. */
interface Starting {
  readonly only?: readonly string[] | undefined;
  readonly own?: ReadonlyMap<string, readonly OwnDeal[]> | undefined;
  /** What is asked where it is looked for where children are, by round. */
  readonly find?: ReadonlyMap<string, FindPlan> | undefined;
}

/**
 * The rounds of a plan as a session keeps them, for so many children, without words the group has put aside. Throws a
 * Problem where nothing is left.
 */
export async function settledRounds(
  groupId: string,
  plan: Plan,
  children: number,
  { own, find }: Omit<Starting, 'only'> = {},
): Promise<StoredRound[]> {
  const aside = new Set(await wordsAside(groupId));
  const rounds = plan.rounds
    .map((r) => ({ ...r, items: r.items.filter(({ key }) => !hasWordOf(key, aside)) }))
    .filter((r) => r.items.length > 0)
    .map((round) => storedRound(round, children, own?.get(round.id), find?.get(round.id)));
  if (!rounds.length) throw new Problem('This plan has no words in it yet. Add some and start again.');
  return rounds;
}

/** Writes a session with its children, in the order of their turns. */
export async function putSession(
  row: Omit<SessionRow, 'finished_at' | 'stale'>,
  childIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const { models } = await database();
  await models.sessions.create({ ...row, finished_at: null, stale: 0 }, { transaction });
  await models.sessionChildren.bulkCreate(
    childIds.map((child, position) => ({ session_id: row.id, child_id: child, position })),
    { transaction },
  );
}

/**
 * Begins a session with the children who are here, or with some of the group alone, and gives its id. Throws a Problem
 * for a plan with nothing in it.
 */
export async function startSession(groupId: string, plan: Plan, { only, ...dealt }: Starting = {}): Promise<string> {
  const group = await groupOf(groupId);
  const { accent, conventions } = await getSettings();
  const here = only ? group.children.filter((c) => only.includes(c.id)) : group.children.filter((c) => !c.away);
  const order = await turnOrder(
    groupId,
    here.map((c) => c.id),
  );
  const rounds = await settledRounds(groupId, plan, here.length, dealt);
  const id = v7();
  const row = {
    id,
    group_id: group.id,
    title: plan.title,
    letters: plan.letters ? (1 as const) : (0 as const),
    rounds: JSON.stringify(rounds),
    accent,
    conventions: JSON.stringify(conventions),
    started_at: Date.now(),
    paper: null,
  };
  const { write } = await database();
  await write((transaction) => putSession(row, order, transaction));
  return id;
}
