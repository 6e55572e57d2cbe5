'use server';

import { idSchema } from '@/core/formats/schemas';
import { paperNumberSchema } from '@/core/formats/paper';
import { printGrid } from '@/server/plans/print-grid';
import { paperSheet, typeIn } from '@/server/sessions/papers';
import { fieldOf, formText } from './form';
import { answer, goTo, type Answer, type FormState } from './answer';

/** Gives the tick grid of a plan a number and shows it for printing; without names where nobody is here. */
export async function printTickGrid(_: FormState, form: FormData): Promise<FormState> {
  return goTo(async () => {
    const id = idSchema.parse(fieldOf(form, 'plan'));
    const number = await printGrid(id);
    return number === null ? `/print/plans/${id}?as=grid` : `/print/papers/${number}`;
  });
}

/** Opens the grid of a number, to be typed in. */
export async function openPaper(_: FormState, form: FormData): Promise<FormState> {
  const state = await goTo(async () => {
    const { number } = await paperSheet(fieldOf(form, 'number'));
    return `/look-back/paper/${number}`;
  });
  return { ...state, kept: formText(form, 'number') };
}

/** Keeps what was marked on a paper; gives the session. */
export async function keepTyped(number: unknown, typed: unknown): Promise<Answer<string>> {
  return answer(() => typeIn(paperNumberSchema.parse(number), typed));
}
