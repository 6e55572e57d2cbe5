'use server';

import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { z } from 'zod';
import { explain, idSchema, progressSettingsSchema } from '@/core/formats/schemas';
import { chooseStep } from '@/server/chosen-steps';
import { startStep } from '@/server/start-step';
import { saveProgressSettings } from '@/server/settings';
import { sentenceOf, type FormState } from './answer';

/** Starts a session of one step with these children. */
export async function playStep(
  groupId: unknown,
  ladder: unknown,
  rung: unknown,
  children: unknown,
): Promise<FormState> {
  let id: string;
  try {
    id = await startStep(
      idSchema.parse(groupId),
      { ladder: z.string().parse(ladder), rung: z.string().parse(rung) },
      z.array(idSchema).min(1).max(60).parse(children),
    );
  } catch (error) {
    return { error: sentenceOf(error) };
  }
  redirect(`/play/${id}`);
}

/** Keeps the step an adult chose, or goes back to the suggestion. */
export async function chooseNext(childId: unknown, step: unknown): Promise<FormState> {
  try {
    await chooseStep(idSchema.parse(childId), step === null ? null : { step });
  } catch (error) {
    return { error: sentenceOf(error) };
  }
  revalidatePath('/', 'layout');
  return {};
}

export async function keepProgressSettings(_: FormState, form: FormData): Promise<FormState> {
  const read = progressSettingsSchema.safeParse(Object.fromEntries(form));
  if (!read.success) return { error: explain(read.error) };
  try {
    await saveProgressSettings(read.data);
  } catch (error) {
    return { error: sentenceOf(error) };
  }
  revalidatePath('/', 'layout');
  return { said: 'Kept.' };
}
