import { z } from 'zod';
import { BY_LIMIT } from './schemas';
import { paper as say } from './text';

const LINE = /^[1-5 ]*$/;

/** What is typed in from a paper: when it was played, who marked, and a letter for each box, line by line. */
export const typedSchema = z.strictObject({
  /** The day, as an input has it. */
  day: z.iso.date(say.whichDay),
  marks: z.array(z.array(z.string().max(200).regex(LINE, say.marksOnly)).max(61)).max(10),
  by: z.string().trim().max(BY_LIMIT).default(''),
});

/** The number on a paper. */
export const paperNumberSchema = z.coerce
  .number(say.whichNumber)
  .int(say.whichNumber)
  .min(1, say.whichNumber)
  .max(2_000_000_000, say.whichNumber);
