'use server';

import { z } from 'zod';
import { planRequestSchema, planSchema } from '@/core/formats/plan-file';
import { explain, idSchema, reason } from '@/core/formats/schemas';
import { listGroups } from '@/server/people/groups';
import * as plans from '@/server/plans/plans';
import { startPlan } from '@/server/plans/start-plan';
import { Problem } from '@/server/storage/problems';
import { answer, goTo, type Answer, type FormState } from './answer';
import { filledIn } from './form';
import { plans as say } from './text';

const text = z.string().max(300_000).catch('');

/** Makes a plan from the form and opens it. */
export async function planIt(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => {
    const [group, wish] = [idSchema.safeParse(form.get('groupId')), planRequestSchema.safeParse(filledIn(form))];
    if (!group.success) throw new Problem(say.chooseGroupFirst);
    if (!wish.success) throw new Problem(explain(wish.error));
    return `/plan/${await plans.newPlan(group.data, wish.data)}`;
  });
}

/** Starts a ready session at once, without keeping a plan. */
export async function playReady(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => {
    const groupId = idSchema.parse(form.get('groupId'));
    const wish = planRequestSchema.parse(filledIn(form));
    const group = (await listGroups()).find((g) => g.id === groupId);
    if (!group) throw new Problem(say.groupMoreChoose, 404);
    return `/play/${await startPlan(groupId, await plans.madeFor(group, wish))}`;
  });
}

/** Plays a plan as it stands on the screen. */
export async function playPlan(id: unknown, body: unknown): Promise<Answer<string>> {
  return answer(async () => {
    const open = await plans.openPlan(text.parse(id));
    const read = planSchema.safeParse(body);
    if (!read.success) throw new Problem(reason(read.error));
    return startPlan(open.groupId, read.data);
  });
}

export async function changePlan(
  id: unknown,
  body: unknown,
  change: unknown,
): Promise<Answer<Awaited<ReturnType<typeof plans.workOnPlan>>>> {
  return answer(() => plans.workOnPlan(text.parse(id), body, change), false);
}

export async function keepPlan(id: unknown, change: { kept?: boolean; plannedFor?: unknown }): Promise<Answer<void>> {
  return answer(() => plans.keepPlan(text.parse(id), change));
}

export async function copyPlan(id: unknown): Promise<Answer<string>> {
  return answer(() => plans.copyPlan(text.parse(id)));
}

export async function erasePlan(id: unknown): Promise<Answer<void>> {
  return answer(() => plans.erasePlan(text.parse(id)));
}

export async function lookAtPlanFile(groupId: unknown, content: unknown): Promise<Answer<plans.PlanReport>> {
  return answer(() => plans.reportOnPlan(text.parse(groupId), text.parse(content)), false);
}

export async function importPlanFile(groupId: unknown, content: unknown): Promise<Answer<string>> {
  return answer(() => plans.importPlan(text.parse(groupId), text.parse(content)));
}
