import { z } from 'zod';
import { HELPS, OUTCOMES, SLIPS } from '../answers/outcome';
import { TASKS } from '../games';
import { COUNTS, FIRSTS } from '../lexicon/select';
import { ACCENT_IDS } from '../phonology/accents';
import { CONVENTION_IDS } from '../phonology/conventions';
import type { Entry } from '../sessions/log';
import { SET_SIZE } from '../sessions/turns';

/** Every shape that comes in through a door, in one place. */

export const idSchema = z.uuid('That is not an id of Bouncy Echo.');
const word = z.string().min(1).max(40);
const turn = z.int().min(0).max(9_999);
const stamp = { id: idSchema, at: z.int().min(0) };

export const NAME_LIMIT = 60;
export const NOTE_LIMIT = 500;

const answer = z.strictObject({
  ...stamp, kind: z.literal('answer'), turn, childId: idSchema.nullable(), word, outcome: z.enum(OUTCOMES),
  slip: z.enum(SLIPS).nullable(), said: z.string().max(200).nullable(), missed: z.array(z.int().min(0).max(20)).max(20),
  helps: z.array(z.enum(HELPS)).max(HELPS.length), note: z.string().max(NOTE_LIMIT).nullable(),
  thinkMs: z.int().min(0).max(86_400_000).nullable(), supersedes: idSchema.nullable(),
});

export const entrySchema = z.discriminatedUnion('kind', [
  answer,
  z.strictObject({ ...stamp, kind: z.literal('undo'), answerId: idSchema }),
  z.strictObject({ ...stamp, kind: z.literal('modelled') }),
  z.strictObject({ ...stamp, kind: z.literal('swap'), turn, from: word, to: word }),
  z.strictObject({ ...stamp, kind: z.literal('pass'), turn, childId: idSchema }),
  z.strictObject({ ...stamp, kind: z.literal('choose'), turn, childId: idSchema.nullable() }),
  z.strictObject({ ...stamp, kind: z.literal('away'), childId: idSchema, away: z.boolean() }),
  z.strictObject({ ...stamp, kind: z.literal('more'), turns: z.int().min(1).max(100) }),
  z.strictObject({ ...stamp, kind: z.literal('finish') }),
]) satisfies z.ZodType<Entry>;

/** What the Play screen sends: its outbox, in order, and how many entries of the server it has. */
export const logBodySchema = z.strictObject({ entries: z.array(entrySchema).max(500), has: z.int().min(0).optional() });

/** A name as typed: outer space goes, inner space is single, and no control or direction marks stay in it. */
export const nameSchema = z
  .string()
  .transform((text) => text.normalize('NFC').replace(/[\p{Cc}\u202A-\u202E\u2066-\u2069]/gu, ' ').replace(/\s+/g, ' ').trim())
  .pipe(
    z.string().min(1, 'A name needs at least one letter.').refine((text) => [...text].length <= NAME_LIMIT, {
      error: (issue) => `“${[...String(issue.input)].slice(0, 20).join('')}…” is too long: a name can have ${NAME_LIMIT} letters.`,
    }),
  );

const list = z.string().max(2_000).transform((text) => text.split(',').map((w) => w.trim()).filter(Boolean)).pipe(z.array(word).max(60));

/** The address of the Choose screen: every choice is in it, so it can be kept, shared and gone back to. */
export const chooseSchema = z.object({
  task: z.enum(TASKS).catch('blending').default('blending'),
  sounds: z.coerce.number().pipe(z.union(COUNTS.map((n) => z.literal(n)))).catch(3).default(3),
  shape: z.string().regex(/^[CV]{1,8}$/).optional().catch(undefined),
  first: z.enum(FIRSTS).optional().catch(undefined),
  size: z.coerce.number().int().min(SET_SIZE.least).max(SET_SIZE.most).optional().catch(undefined),
  seed: z.coerce.number().int().min(0).max(1_000_000).catch(1).default(1),
  words: list.optional().catch(undefined),
  no: list.optional().catch(undefined),
});
export type Choice = z.infer<typeof chooseSchema>;

export const startSchema = z.object({
  groupId: idSchema,
  task: z.enum(TASKS),
  sounds: z.coerce.number().pipe(z.union(COUNTS.map((n) => z.literal(n)))),
  words: list.pipe(z.array(word).min(1, 'Choose at least one word.').max(SET_SIZE.most)),
  model: word.optional(),
  spares: list.optional(),
});
export type StartRequest = z.infer<typeof startSchema>;

export const correctionSchema = z.object({
  answerId: idSchema, newId: idSchema, outcome: z.enum(OUTCOMES, 'Choose one of the five outcomes.'),
  note: z.string().max(NOTE_LIMIT, `A note can have ${NOTE_LIMIT} letters.`).optional(),
});

export const conventionsSchema = z.object(
  Object.fromEntries(CONVENTION_IDS.map((id) => [id, z.boolean()])) as Record<(typeof CONVENTION_IDS)[number], z.ZodBoolean>,
);
export const settingsSchema = z.object({ accent: z.enum(ACCENT_IDS), conventions: conventionsSchema });

/** The first thing wrong, in words. Example: `explain(error) // 'A name needs at least one letter.'`. */
export const explain = (error: z.ZodError): string => {
  const issue = error.issues[0];
  const where = issue?.path.length ? ` (at ${issue.path.join('.')})` : '';
  return `${issue?.message ?? 'That does not fit.'}${where}`;
};
