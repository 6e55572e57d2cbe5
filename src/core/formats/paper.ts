import { z } from 'zod';
import { BY_LIMIT } from './schemas';

const WHICH_NUMBER = 'Type the number that’s printed on the grid.';

const LINE = /^[1-5 ]*$/;

/** What is typed in from a paper: when it was played, who marked, and a letter for each box, line by line. */
export const typedSchema = z.strictObject({
  /** The day, as an input has it. */
  day: z.iso.date('Choose the day you played.'),
  marks: z
    .array(z.array(z.string().max(200).regex(LINE, 'Each box takes a number from 1 to 5, or stays empty.')).max(61))
    .max(10),
  by: z.string().trim().max(BY_LIMIT).default(''),
});

/** The number on a paper. */
export const paperNumberSchema = z.coerce
  .number(WHICH_NUMBER)
  .int(WHICH_NUMBER)
  .min(1, WHICH_NUMBER)
  .max(2_000_000_000, WHICH_NUMBER);
