import { ZodError } from 'zod';
import { explain } from '@/core/formats/schemas';
import { Problem, diskSentence } from '@/server/problems';
import { databaseFile } from '@/server/database';

/** What a form says back: an error in words, and what was typed so that it stays. */
export interface FormState {
  readonly error?: string;
  readonly said?: string;
  readonly kept?: string;
}

/** The sentence for any error: a Problem's own, what does not fit, the disk's, or one that gives nothing away. */
export function sentenceOf(error: unknown): string {
  if (error instanceof Problem) return error.message;
  if (error instanceof ZodError) return explain(error);
  const disk = diskSentence(error, databaseFile());
  if (disk) return disk;
  console.error(error);
  return 'That did not work, and nothing was changed. Please try again.';
}

/** A JSON error for a route handler. */
export const jsonError = (error: unknown): Response =>
  Response.json(
    { error: sentenceOf(error) },
    { status: error instanceof Problem ? error.status : error instanceof ZodError ? 400 : 500 },
  );
