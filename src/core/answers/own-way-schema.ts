import { z } from 'zod';
import { ACCENT_IDS } from '../phonology/accents';
import { ACCESS } from './access';
import type { OwnWay } from './own-way';

/** A child's own way of speaking as it comes through a door. Apart from the rest, so that Play carries no Zod. */
const sound = z.string().min(1).max(4);
export const ownWaySchema = z.strictObject({
  swaps: z.array(z.strictObject({ asked: sound, says: sound })).max(20),
  drops: z.array(sound).max(12),
  accent: z.enum(ACCENT_IDS).nullable(),
  // What was kept before these were asked for has none of them.
  access: z.array(z.enum(ACCESS)).max(ACCESS.length).default([]),
  lowOnly: z.boolean().default(false),
  languages: z
    .string()
    .trim()
    .max(60, 'Write the languages in 60 letters or fewer.')
    .transform((text) => text || undefined)
    .optional(),
}) satisfies z.ZodType<OwnWay>;
