import { revalidatePath } from 'next/cache';
import { sentenceOf } from './answer';

/** What an action gives back: its result, or a sentence saying what is wrong; nothing typed is lost. */
export type Answer<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: string };

/** Runs a use case behind a door. `fresh` makes the screens read anew. */
export async function answer<T>(work: () => Promise<T>, fresh = true): Promise<Answer<T>> {
  try {
    const value = await work();
    if (fresh) revalidatePath('/', 'layout');
    return { ok: true, value };
  } catch (error) {
    return { ok: false, error: sentenceOf(error) };
  }
}
