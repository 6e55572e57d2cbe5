import { database } from '../storage/database';

/** Sessions that count for whose turn comes first. */
const LATELY = 3;

/** Answers each child gave in the group's last sessions; a child who was away has none. */
export async function turnsLately(groupId: string): Promise<ReadonlyMap<string, number>> {
  const { models } = await database();
  const sessions = await models.sessions.findAll({
    where: { group_id: groupId },
    order: [['started_at', 'DESC']],
    limit: LATELY,
    attributes: ['id'],
  });
  const answers = await models.answers.findAll({
    where: { session_id: sessions.map((s) => s.get().id), second: 0 },
    attributes: ['child_id'],
  });
  const turns = new Map<string, number>();
  for (const answer of answers) {
    const child = answer.get().child_id;
    if (child) turns.set(child, (turns.get(child) ?? 0) + 1);
  }
  return turns;
}

/** The children with the fewest turns lately first, else in the order of the list. */
export async function turnOrder(groupId: string, children: readonly string[]): Promise<string[]> {
  const turns = await turnsLately(groupId);
  return [...children].sort((a, b) => (turns.get(a) ?? 0) - (turns.get(b) ?? 0));
}
