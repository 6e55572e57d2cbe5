'use server';

import { planRequestSchema, planSchema } from '@/core/formats/plan-file';
import { explain, idSchema, reason } from '@/core/formats/schemas';
import { groupOf } from '@/server/people/groups';
import * as plans from '@/server/plans/plans';
import { startPlan } from '@/server/plans/start-plan';
import { Problem } from '@/server/storage/problems';
import { answer, goTo, type Answer, type FormState } from './answer';
import { fieldOf, filledIn, typedText } from './form';

/** Makes a plan from the form and opens it. */
export async function planIt(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => {
    const [group, wish] = [idSchema.safeParse(fieldOf(form, 'groupId')), planRequestSchema.safeParse(filledIn(form))];
    if (!group.success) throw new Problem('Choose a group first.');
    if (!wish.success) throw new Problem(explain(wish.error));
    return `/plan/${await plans.newPlan(group.data, wish.data)}`;
  });
}

/** Starts a ready session at once, without keeping a plan. */
export async function playReady(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => {
    const groupId = idSchema.parse(fieldOf(form, 'groupId'));
    const wish = planRequestSchema.parse(filledIn(form));
    const group = await groupOf(groupId);
    return `/play/${await startPlan(groupId, await plans.madeFor(group, wish))}`;
  });
}

/** Plays a plan as it is kept. */
export async function playKept(id: unknown): Promise<Answer<string>> {
  return answer(async () => {
    const { groupId, plan } = await plans.openPlan(typedText.parse(id));
    return startPlan(groupId, plan);
  });
}

/** Plays a plan as it stands on the screen. */
export async function playPlan(id: unknown, body: unknown): Promise<Answer<string>> {
  return answer(async () => {
    const open = await plans.openPlan(typedText.parse(id));
    const read = planSchema.safeParse(body);
    if (!read.success) throw new Problem(reason(read.error));
    return startPlan(open.groupId, read.data);
  });
}

export async function changePlan(
  id: unknown,
  body: unknown,
  change: unknown,
  seen?: unknown,
): Promise<Answer<Awaited<ReturnType<typeof plans.workOnPlan>>>> {
  const version = seen === undefined ? undefined : typedText.parse(seen);
  return answer(() => plans.workOnPlan(typedText.parse(id), body, change, version), false);
}

export async function keepPlan(id: unknown, change: { kept?: boolean; plannedFor?: unknown }): Promise<Answer<void>> {
  return answer(() => plans.keepPlan(typedText.parse(id), change));
}

export async function copyPlan(id: unknown): Promise<Answer<string>> {
  return answer(() => plans.copyPlan(typedText.parse(id)));
}

export async function erasePlan(id: unknown): Promise<Answer<void>> {
  return answer(() => plans.erasePlan(typedText.parse(id)));
}

export async function lookAtPlanFile(groupId: unknown, content: unknown): Promise<Answer<plans.PlanReport>> {
  return answer(() => plans.reportOnPlan(typedText.parse(groupId), typedText.parse(content)), false);
}

export async function importPlanFile(groupId: unknown, content: unknown): Promise<Answer<string>> {
  return answer(() => plans.importPlan(typedText.parse(groupId), typedText.parse(content)));
}
