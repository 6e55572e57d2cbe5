import { format } from 'date-fns';
import { evidenceOf } from '../../core/progress/evidence';
import { familyPage, type FamilyPage } from '../../core/progress/family-page';
import { nextSteps } from '../../core/progress/next-step';
import { whySentence } from '../../core/progress/why';
import { chosenSteps } from './chosen-steps';
import { database } from '../storage/database';
import { runsOf } from '../answers/kept-evidence';
import { chosenOf } from './progress';
import { Problem } from '../storage/problems';
import { checkId } from '../record/session-record';
import { getProgressSettings } from '../setting/settings';
import { sure } from '../../core/sure';
import { childPaper as say } from './text';

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
  if (!child) throw new Problem(say.childListMore, 404);
  const [group, { rule, unitOrder }, runs, chosen] = await Promise.all([
    models.groups.findByPk(child.group_id),
    getProgressSettings(),
    runsOf([childId]).then((all) => sure(all.get(childId))),
    chosenSteps([childId]),
  ]);
  const ladders = evidenceOf(runs, now, rule);
  const next = chosenOf(chosen.get(childId))?.step ?? nextSteps(ladders, runs, unitOrder)[0];
  return {
    id: childId,
    name: child.name,
    group: group?.get().name ?? '',
    day: format(now, 'd MMMM yyyy'),
    ...familyPage(ladders, next, whySentence),
  };
}
