import { revalidatePath } from 'next/cache';
import { redirect } from 'next/navigation';
import { ZodError } from 'zod';
import { explain } from '@/core/formats/schemas';
import { Problem, diskSentence } from '@/server/storage/problems';
import { databaseFile } from '@/server/storage/database';

/** What an action gives back: its result, or a sentence saying what is wrong; nothing typed is lost. */
export type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: string };

/** What a form says back: an error in words, and what was typed so that it stays. */
export interface FormState {
  readonly error?: string;
  readonly said?: string;
  readonly kept?: string;
  /** Ids of what was made, so that it can be taken back. */
  readonly made?: readonly string[];
}

/** The sentence for any error: a Problem's own, what does not fit, the disk's, or one that gives nothing away. */
export function sentenceOf(error: unknown): string {
  if (error instanceof Problem) return error.message;
  if (error instanceof ZodError) return explain(error);
  const disk = diskSentence(error, databaseFile());
  if (disk) return disk;
  console.error(error);
  return 'That didn’t work, and nothing was changed. Please try again.';
}

/** Runs a use case behind a door; every action goes through here. `fresh` makes the screens read anew. */
export async function answer<T>(work: () => Promise<T>, fresh = true): Promise<Answer<T>> {
  try {
    const value = await work();
    if (fresh) revalidatePath('/', 'layout');
    return { ok: true, value };
  } catch (error) {
    return { ok: false, error: sentenceOf(error) };
  }
}

/** The same for a form. `kept` is what was typed, so that it stays where it did not work. */
export async function formAnswer(work: () => Promise<FormState | void>, kept?: string): Promise<FormState> {
  const done = await answer(work);
  if (done.ok) return done.value ?? {};
  // Only text is given back: what a stranger sent in its place may never end.
  return { error: done.error, ...(typeof kept === 'string' ? { kept } : {}) };
}

/** Goes to the address that the work gives, or says why not. */
export async function goTo(work: () => Promise<string>): Promise<FormState> {
  const made = await answer(work, false);
  if (!made.ok) return { error: made.error };
  return redirect(made.value);
}
