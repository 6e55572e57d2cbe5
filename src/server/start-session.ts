import { v7 } from 'uuid';
import type { StartRequest } from '../core/formats/schemas';
import { turnsFor } from '../core/sessions/turns';
import { preparedBank } from './bank';
import { database } from './database';
import { listGroups } from './groups';
import { Problem } from './problems';
import { getSettings } from './settings';

/** The number of sounds most of the words have; the smaller where two are as common. */
function usualCount(counts: readonly number[]): number {
  const times = (count: number): number => counts.filter((c) => c === count).length;
  return [...new Set(counts)].sort((a, b) => times(b) - times(a) || a - b)[0]!;
}

/** Begins a session with the children who are here and gives its id. Throws a Problem for words that are not in the bank. */
export async function startSession(request: StartRequest): Promise<string> {
  const group = (await listGroups()).find((g) => g.id === request.groupId);
  if (!group) throw new Problem('That group is not here any more. Choose a group and start again.', 404);
  const { accent, conventions } = await getSettings();
  const { byName } = await preparedBank(accent, conventions);
  const known = (words: readonly string[]): string[] => [...new Set(words)].filter((w) => byName.has(w));
  const unknown = request.words.filter((w) => !byName.has(w));
  if (unknown.length) throw new Problem(`Not in the word bank: ${unknown.join(', ')}. Choose other words and start again.`);
  const here = group.children.filter((c) => !c.away);
  const words = known(request.words);
  const id = v7();
  const { models, write } = await database();
  await write(async (transaction) => {
    await models.sessions.create({
      id, group_id: group.id, task: request.task, sounds: usualCount(words.map((w) => byName.get(w)!.count)), accent, conventions: JSON.stringify(conventions),
      words: JSON.stringify(words), model: request.model && byName.has(request.model) ? request.model : words[0]!,
      spares: JSON.stringify(known(request.spares ?? []).filter((w) => !words.includes(w))),
      turns: turnsFor(words.length, here.length), started_at: Date.now(), finished_at: null,
    }, { transaction });
    await models.sessionChildren.bulkCreate(here.map((c, position) => ({ session_id: id, child_id: c.id, position })), { transaction });
  });
  return id;
}
