'use server';

import { idSchema } from '@/core/formats/schemas';
import { chooseStep } from '@/server/children/chosen-steps';
import { formAnswer, type FormState } from './answer';

/** Keeps the step an adult chose, or goes back to the suggestion. */
export async function chooseNext(childId: unknown, step: unknown): Promise<FormState> {
  return formAnswer(() => chooseStep(idSchema.parse(childId), step === null ? null : { step }));
}
