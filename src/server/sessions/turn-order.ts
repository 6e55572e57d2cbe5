import { answersThat, latestSessions } from '../answers/answers';

/** Sessions that count for whose turn comes first. */
const LATELY = 3;

/** Turns each child had in the group's last sessions; a child who was away has none. */
export async function turnsLately(groupId: string): Promise<ReadonlyMap<string, number>> {
  const turns = new Map<string, number>();
  for (const { childId, differs, outcome } of await answersThat({ sessions: await latestSessions(groupId, LATELY) }))
    if (childId && !differs && outcome !== 'does-not-count') turns.set(childId, (turns.get(childId) ?? 0) + 1);
  return turns;
}

/** The children with the fewest turns lately first, else in the order of the list. */
export async function turnOrder(groupId: string, children: readonly string[]): Promise<string[]> {
  const turns = await turnsLately(groupId);
  return [...children].sort((a, b) => (turns.get(a) ?? 0) - (turns.get(b) ?? 0));
}
