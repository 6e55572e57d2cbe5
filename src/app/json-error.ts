import { ZodError } from 'zod';
import { sentenceOf } from '@/actions/answer';
import { databaseFile } from '@/server/storage/database';
import { diskSentence, Problem } from '@/server/storage/problems';

const statusOf = (error: unknown): number => {
  if (error instanceof Problem) return error.status;
  if (error instanceof ZodError) return 400;
  return diskSentence(error, databaseFile()) ? 503 : 500;
};

/** A JSON error for a route handler. */
export const jsonError = (error: unknown): Response =>
  Response.json({ error: sentenceOf(error) }, { status: statusOf(error) });
