import { format } from 'date-fns';
import { familyPage, type FamilyPage } from '../../core/telling/family-page';
import { database } from '../storage/database';
import { advised } from './advised';
import { Problem } from '../storage/problems';
import { checkId } from '../record/session-record';
import { sure } from '../../core/sure';

export interface ChildPaper extends FamilyPage {
  readonly id: string;
  readonly name: string;
  readonly group: string;
  readonly day: string;
}

/** The page of a child to print. Throws a Problem (404) where there is no such child. */
export async function childPaper(childId: string, now = Date.now()): Promise<ChildPaper> {
  const { models } = await database();
  const child = (await models.children.findByPk(checkId(childId)))?.get();
  if (!child) throw new Problem('That child isn’t in the list any more.', 404);
  const [group, all] = await Promise.all([models.groups.findByPk(child.group_id), advised([childId], now)]);
  return {
    id: childId,
    name: child.name,
    group: group?.get().name ?? '',
    day: format(now, 'd MMMM yyyy'),
    ...familyPage(sure(all.of.get(childId))),
  };
}
