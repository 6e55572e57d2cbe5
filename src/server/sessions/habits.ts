import { habitsOf, type Habits } from '../../core/answers/rank';
import { groupBy } from '../../core/group-by';
import { sure } from '../../core/sure';
import { answersThat } from '../answers/answers';

/** Slips looked back on, over all the children of a session. */
const LATELY = 900;

/** What each child has said before, for the order of the likely answers. A child with no slip is not in it. */
export async function habitsOfChildren(children: readonly string[]): Promise<Readonly<Record<string, Habits>>> {
  const slips = await answersThat({ children, slipped: true, limit: LATELY });
  return Object.fromEntries(
    [...groupBy(slips, (a) => sure(a.childId))].map(([child, theirs]) => [child, habitsOf(theirs)]),
  );
}
