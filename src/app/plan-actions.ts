'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { planRequestSchema, planSchema } from '@/core/formats/plan-file';
import { explain, idSchema, reason } from '@/core/formats/schemas';
import { judgeSaid } from '@/server/judge-said';
import { listGroups } from '@/server/groups';
import { planFrom, workshopOf } from '@/server/plan-making';
import {
  copyPlan,
  erasePlan,
  importPlan,
  keepPlan,
  newPlan,
  openPlan,
  reportOnPlan,
  workOnPlan,
  type PlanReport,
} from '@/server/plans';
import { Problem } from '@/server/problems';
import { startSession } from '@/server/start-session';
import { answer, type Answer } from './answered';
import { sentenceOf, type FormState } from './answer';

const text = z.string().max(300_000).catch('');

async function toPlan(groupId: unknown, wish: unknown): Promise<string> {
  const [group, read] = [idSchema.safeParse(groupId), planRequestSchema.safeParse(wish)];
  if (!group.success) throw new Problem('Choose a group first.');
  if (!read.success) throw new Problem(explain(read.error));
  return newPlan(group.data, read.data);
}

const fields = (form: FormData): Record<string, FormDataEntryValue> =>
  Object.fromEntries([...form].filter(([, value]) => value !== ''));

/** Makes a plan from the form and opens it. */
export async function planIt(_: FormState, form: FormData): Promise<FormState> {
  let id: string;
  try {
    id = await toPlan(form.get('groupId'), fields(form));
  } catch (error) {
    return { error: sentenceOf(error) };
  }
  revalidatePath('/plan');
  redirect(`/plan/${id}`);
}

/** Starts a ready session at once, without keeping a plan. */
export async function playReady(_: FormState, form: FormData): Promise<FormState> {
  let id: string;
  try {
    const [groupId, wish] = [idSchema.parse(form.get('groupId')), planRequestSchema.parse(fields(form))];
    const group = (await listGroups()).find((g) => g.id === groupId);
    if (!group) throw new Problem('That group is not here any more. Choose a group and start again.', 404);
    id = await startSession(groupId, planFrom(wish, await workshopOf(group)));
  } catch (error) {
    return { error: sentenceOf(error) };
  }
  redirect(`/play/${id}`);
}

/** Plays a plan as it stands on the screen. */
export async function playPlan(id: unknown, body: unknown): Promise<Answer<string>> {
  return answer(async () => {
    const open = await openPlan(text.parse(id));
    const read = planSchema.safeParse(body);
    if (!read.success) throw new Problem(reason(read.error));
    return startSession(open.groupId, read.data);
  });
}

export async function changePlan(
  id: unknown,
  body: unknown,
  change: unknown,
): Promise<Answer<Awaited<ReturnType<typeof workOnPlan>>>> {
  return answer(() => workOnPlan(text.parse(id), body, change), false);
}

export async function keepThePlan(
  id: unknown,
  change: { kept?: boolean; plannedFor?: unknown },
): Promise<Answer<void>> {
  return answer(() => keepPlan(text.parse(id), change));
}

export async function copyThePlan(id: unknown): Promise<Answer<string>> {
  return answer(() => copyPlan(text.parse(id)));
}

export async function eraseThePlan(id: unknown): Promise<Answer<void>> {
  return answer(() => erasePlan(text.parse(id)));
}

export async function lookAtPlanFile(groupId: unknown, content: unknown): Promise<Answer<PlanReport>> {
  return answer(() => reportOnPlan(text.parse(groupId), text.parse(content)), false);
}

export async function importPlanFile(groupId: unknown, content: unknown): Promise<Answer<string>> {
  return answer(() => importPlan(text.parse(groupId), text.parse(content)));
}

/** What the core says of an answer that was typed. */
export async function judgeTyped(
  sessionId: unknown,
  round: unknown,
  key: unknown,
  typed: unknown,
): Promise<Answer<Awaited<ReturnType<typeof judgeSaid>>>> {
  return answer(
    () =>
      judgeSaid(text.parse(sessionId), z.int().min(0).max(9).catch(0).parse(round), text.parse(key), text.parse(typed)),
    false,
  );
}
