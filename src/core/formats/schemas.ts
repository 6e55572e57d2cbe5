import { z } from 'zod';
import type { Company } from '../choosing/company';
import { HELPS, OUTCOMES, SLIPS } from '../answers/outcome';
import { SET_TASKS } from '../games';
import { sure } from '../sure';
import { KEY_LIMIT } from '../games/spec';
import { CAUTIONS } from '../lexicon/cautions';
import { parseLetters, spell } from '../lexicon/entry';
import { COUNTS, FIRSTS, ONLY, SORTS, SYLLABLES } from '../lexicon/find';
import { PLACES } from '../lexicon/word-index';
import { isConsonantKey, isVowelKey } from '../phonology/keys';
import { parseTranscription } from '../phonology/transcription';
import { ACCENT_IDS } from '../phonology/accents';
import { CONVENTION_IDS } from '../phonology/conventions';
import { PLANTS } from '../sessions/plants';
import { AGE_BANDS } from '../evidence/age-band';
import { LADDERS } from '../evidence/ladders';
import { UNIT_ORDERS } from '../evidence/unit-order';
import { SAID_AS, WHYS, type Entry } from '../sessions/log';
import { SET_SIZES } from '../sessions/turns';

/** Every shape that comes in through a door, in one place. */

/** An id as a device makes it; one in capitals is the same id. */
export const idSchema = z.uuid('That isn’t a Bouncy Echo id.').toLowerCase();
/** The last moment there is a date for (ECMA-262, 21.4.1.1). */
const LAST_MOMENT = 8.64e15;
const word = z.string().min(1).max(40);
/** The key of an item. */
export const itemKey = z.string().min(1).max(KEY_LIMIT);
const round = z.int().min(0).max(9);
const turn = z.int().min(0).max(9_999);
const stamp = { id: idSchema, at: z.int().min(0).max(LAST_MOMENT) };

/** A game that any set of words can be played with. */
const setTask = z.enum(SET_TASKS);
const USUAL_SET_TASK = sure(SET_TASKS[0]);

const NAME_LIMIT = 60;
const NOTE_LIMIT = 500;
/** Letters of a name or initials of who marks. */
export const BY_LIMIT = 24;

/** One word of a pebble check. */
export const pebbleSchema = z.strictObject({
  key: z.string().min(3).max(40),
  word,
  says: z.enum(['word', 'slip', 'unsure']),
  pebbles: z.boolean(),
  told: z.int().min(0).max(6).nullable(),
});

const answer = z.strictObject({
  ...stamp,
  kind: z.literal('answer'),
  turn,
  childId: idSchema.nullable(),
  word: itemKey,
  outcome: z.enum(OUTCOMES),
  slip: z.enum(SLIPS).nullable(),
  said: z.string().max(200).nullable(),
  missed: z.array(z.int().min(0).max(20)).max(20),
  helps: z.array(z.enum(HELPS)).max(HELPS.length),
  note: z.string().max(NOTE_LIMIT).nullable(),
  thinkMs: z.int().min(0).max(86_400_000).nullable(),
  supersedes: idSchema.nullable(),
  selfCorrected: z.boolean().optional(),
  shown: z.boolean().optional(),
  by: z.string().max(BY_LIMIT).nullable().optional(),
  why: z.enum(WHYS).nullable().optional(),
  partnerId: idSchema.nullable().optional(),
  differs: z.boolean().optional(),
  second: z.boolean().optional(),
  pebbles: z.array(pebbleSchema).max(6).optional(),
});

const entrySchema = z.discriminatedUnion('kind', [
  answer,
  z.strictObject({ ...stamp, kind: z.literal('undo'), answerId: idSchema }),
  z.strictObject({ ...stamp, kind: z.literal('modelled'), round: round.optional() }),
  z.strictObject({ ...stamp, kind: z.literal('round'), round }),
  z.strictObject({ ...stamp, kind: z.literal('tick'), turn, word, on: z.boolean() }),
  z.strictObject({ ...stamp, kind: z.literal('swap'), turn, from: itemKey, to: itemKey }),
  z.strictObject({ ...stamp, kind: z.literal('aside'), turn, word }),
  z.strictObject({ ...stamp, kind: z.literal('pass'), turn, childId: idSchema }),
  z.strictObject({ ...stamp, kind: z.literal('choose'), turn, childId: idSchema.nullable() }),
  z.strictObject({ ...stamp, kind: z.literal('away'), childId: idSchema, away: z.boolean() }),
  z.strictObject({ ...stamp, kind: z.literal('arrive'), childId: idSchema }),
  z.strictObject({ ...stamp, kind: z.literal('said'), turn, word: itemKey, as: z.enum(SAID_AS) }),
  z.strictObject({ ...stamp, kind: z.literal('ease'), turn, childId: idSchema, word: itemKey }),
  z.strictObject({ ...stamp, kind: z.literal('rest'), round, childId: idSchema }),
  z.strictObject({ ...stamp, kind: z.literal('more'), turns: z.int().min(1).max(100), round: round.optional() }),
  z.strictObject({ ...stamp, kind: z.literal('finish') }),
  z.strictObject({ ...stamp, kind: z.literal('reopen') }),
]) satisfies z.ZodType<Entry>;

/** Entries in one request at most. */
const ENTRIES = 200;
/** What the Play screen sends: its outbox, in order, and how many entries of the server it has. */
export const logBodySchema = z.strictObject({
  entries: z.array(entrySchema).max(ENTRIES),
  has: z.int().min(0).optional(),
});

/** Entries in one request of a tablet that is lent a session, at most. */
const LENT_ENTRIES = 50;
export const lentBodySchema = logBodySchema.extend({ entries: z.array(entrySchema).max(LENT_ENTRIES) });

/** What a tablet types to have it judged. */
export const lentJudgeSchema = z.strictObject({ round, key: itemKey, typed: z.string().min(1).max(60) });

/** How sessions are lent to tablets. */
export const lendSettingsSchema = z.strictObject({ initials: z.boolean(), plain: z.boolean() });

/** A name as typed: outer space goes, inner space is single, and no control or direction marks stay in it. */
export const nameSchema = z
  .string()
  .transform((text) =>
    text
      .normalize('NFC')
      .replace(/[\p{Cc}\u202A-\u202E\u2066-\u2069]/gu, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  )
  .pipe(
    z
      .string()
      .min(1, 'A name needs at least one letter.')
      .refine((text) => [...text].length <= NAME_LIMIT, {
        error: (issue) =>
          `“${[...String(issue.input)].slice(0, 20).join('')}…” is too long: a name can have ${NAME_LIMIT} letters.`,
      }),
  );

const list = z
  .string()
  .max(2_000)
  .transform((text) => [...new Set(text.split(',').map((w) => w.trim()))].filter(Boolean))
  .pipe(z.array(word).max(60));

const oneOf = <T extends number>(numbers: readonly T[]) =>
  z.coerce.number().pipe(z.union(numbers.map((n) => z.literal(n))));
const flag = z
  .enum(['1'])
  .transform(() => true)
  .optional()
  .catch(undefined);

/** The address of the Words screen: every choice is in it, so it can be kept, shared and gone back to. */
export const wordsSchema = z.object({
  task: setTask.catch(USUAL_SET_TASK).default(USUAL_SET_TASK),
  sounds: z
    .union([z.literal('any'), oneOf(COUNTS)])
    .catch(3)
    .default(3),
  shape: z
    .string()
    .regex(/^[CV]{1,12}$/)
    .optional()
    .catch(undefined),
  first: z.enum(FIRSTS).optional().catch(undefined),
  sound: z.string().max(4).optional().catch(undefined),
  place: z.enum(PLACES).optional().catch(undefined),
  syllables: oneOf(SYLLABLES).optional().catch(undefined),
  only: z
    .string()
    .max(200)
    .transform((text) => ONLY.filter((name) => text.split(',').includes(name)))
    .optional()
    .catch(undefined),
  doubtful: flag,
  q: z.string().max(60).optional().catch(undefined),
  sort: z.enum(SORTS).optional().catch(undefined),
  more: z.coerce.number().int().min(1).max(200).optional().catch(undefined),
  size: oneOf(SET_SIZES).optional().catch(undefined),
  seed: z.coerce.number().int().min(0).max(1_000_000).catch(1).default(1),
  /** The words of the set by name, in order; proposed where absent. */
  words: list.optional().catch(undefined),
  no: list.optional().catch(undefined),
  /** The saved set these words come from. */
  set: idSchema.optional().catch(undefined),
});
export type Choice = z.infer<typeof wordsSchema>;

export const SET_LIMIT = 60;
export const wordSetSchema = z.object({
  name: nameSchema,
  words: z
    .array(word)
    .min(1, 'A word set needs at least one word.')
    .max(SET_LIMIT, `A word set can have ${SET_LIMIT} words.`),
});

/** The keys of a line, or null where it cannot be read. */
function keysOf(line: string): string[] | null {
  try {
    return parseTranscription(line).map((s) => s.key);
  } catch {
    return null;
  }
}

/** A spelling as typed: small letters of any Latin alphabet, an apostrophe or a hyphen inside. */
export const spellingSchema = z
  .string()
  .transform((text) => text.normalize('NFC').trim().toLowerCase().replaceAll('’', "'"))
  .pipe(
    z
      .string()
      .regex(/^\p{Script=Latin}+(['-]\p{Script=Latin}+)*$/u, 'Type one word, with letters only.')
      .max(24, 'A word can have up to 24 letters.'),
  );

const sentenceText = (what: string, most: number) =>
  z
    .string()
    .transform((text) => text.replace(/\s+/g, ' ').trim())
    .pipe(z.string().max(most, `${what} can have ${most} letters.`));

/** A word of the setting's own: spelling, sounds as a transcription line, the letters cut to them. */
export const ownWordSchema = z
  .object({
    word: spellingSchema,
    line: z.string().max(200),
    letters: z.string().max(80),
    meaning: sentenceText('The meaning', 80),
    sentence: sentenceText('The sentence', 120),
    prop: z.boolean(),
    cautions: z.array(z.enum(CAUTIONS)).max(CAUTIONS.length),
  })
  .superRefine((own, ctx) => {
    const read = keysOf(own.line);
    if (!read?.some((key) => isVowelKey(key))) {
      ctx.addIssue({
        code: 'custom',
        message: 'We can’t read these sounds. Every word needs at least one vowel.',
        path: ['line'],
      });
      return;
    }
    const keys = read.length;
    if (keys < 2)
      ctx.addIssue({ code: 'custom', message: 'A word for these games needs at least two sounds.', path: ['line'] });
    if (keys > 16)
      ctx.addIssue({ code: 'custom', message: 'That is more sounds than these games can use.', path: ['line'] });
    const pieces = parseLetters(own.letters);
    if (spell(pieces) !== own.word || pieces.reduce((sum, piece) => sum + piece.keys, 0) !== keys) {
      ctx.addIssue({ code: 'custom', message: 'The letters don’t fit the sounds.', path: ['letters'] });
    }
  });
export type OwnWordInput = z.infer<typeof ownWordSchema>;

export const taughtSchema = z
  .array(z.string().refine((key) => isConsonantKey(key) || isVowelKey(key), 'That isn’t a sound.'))
  .max(80);

export const startSchema = z.object({
  groupId: idSchema,
  task: setTask,
  words: list.pipe(
    z.array(word).min(1, 'Choose at least one word.').max(SET_LIMIT, `A session can have ${SET_LIMIT} words.`),
  ),
  model: word.optional(),
  spares: list.optional(),
});
export type StartRequest = z.infer<typeof startSchema>;

export const correctionSchema = z.object({
  answerId: idSchema,
  newId: idSchema,
  outcome: z.enum(OUTCOMES, 'Choose one of the five outcomes.'),
  note: z.string().max(NOTE_LIMIT, `A note can have ${NOTE_LIMIT} letters.`).optional(),
  why: z.enum(WHYS).optional(),
  childId: idSchema.nullable().optional(),
  by: z.string().max(BY_LIMIT).optional(),
});

const conventionsSchema = z.object(
  Object.fromEntries(CONVENTION_IDS.map((id) => [id, z.boolean()])) as Record<
    (typeof CONVENTION_IDS)[number],
    z.ZodBoolean
  >,
);
export const settingsSchema = z.object({
  accent: z.enum(ACCENT_IDS),
  conventions: conventionsSchema,
  /** Words of the other country and local ones too. */
  letIn: z.boolean().optional(),
  /** People here speak in several accents. */
  mixed: z.boolean().optional(),
});

/** How old the children of a group are. */
export const plantSchema = z.enum(PLANTS);
export const ageBandSchema = z.enum(AGE_BANDS);

/** What a setting is called, on pages it passes on. */
export const settingNameSchema = z
  .string()
  .trim()
  .max(60, 'The name can have up to 60 letters.')
  .transform((name) => name || null);

/** How many years those who left are kept beyond the school year in which they left; null for ever. */
export const keepYearsSchema = z.union([z.literal('').transform(() => null), z.coerce.number().int().min(0).max(3)]);

/** What becomes of the children of each group at the start of a school year. */
export const newYearSchema = z.record(idSchema, z.union([z.literal('stay'), z.literal('leave'), idSchema]));

/** Where backups go, and when. */
export const backupPlanSchema = z.object({
  folder: z
    .string()
    .trim()
    .min(1, 'Type the folder that backups go to.')
    .max(400, 'That’s too long for a folder.')
    .regex(/^(\/|[A-Za-z]:[\\/])/, 'Type the whole path of the folder, such as /media/stick/backups.'),
  dailyAt: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Choose a time of day.')
    .nullable(),
});

/** The half of a key that locks backups, and who has the other. */
export const backupKeySchema = z.object({
  recipient: z.string().regex(/^age1[02-9ac-hj-np-z]{58}$/, 'That isn’t a key for backups.'),
  by: z.string().trim().max(20, 'Initials can have up to 20 letters.'),
});

/** How many adults can lead a group today. */
const MOST_STAFF = 8;
export const staffSchema = z.coerce
  .number()
  .int()
  .min(1, 'You need at least one adult.')
  .max(MOST_STAFF, `There can be up to ${MOST_STAFF} adults.`);

/** Which units come first, and how many adults can lead a group. */
export const progressSettingsSchema = z.object({ unitOrder: z.enum(UNIT_ORDERS), staff: staffSchema });

/** The days a child comes, who leads their small group, and whom they are with or apart from. */
export const companySchema = z
  .strictObject({
    days: z
      .array(z.number().int().min(1).max(5))
      .min(1, 'Tick at least one day.')
      .transform((days) => [...new Set(days)].sort((a, b) => a - b)),
    keyAdult: z
      .string()
      .trim()
      .max(40, 'A name can have up to 40 letters.')
      .nullable()
      .transform((name) => name || null),
    together: z.array(idSchema).max(5, 'Choose up to five children to be together.'),
    apart: z.array(idSchema).max(5, 'Choose up to five children to keep apart.'),
  })
  .refine(
    ({ together, apart }) => !together.some((id) => apart.includes(id)),
    'A child can’t be kept both together and apart.',
  ) satisfies z.ZodType<Company>;

/** A step chosen by an adult; null goes back to the suggestion. */
export const chosenStepSchema = z
  .strictObject({
    step: z
      .strictObject({ ladder: z.string(), rung: z.string() })
      .refine(
        ({ ladder, rung }) => LADDERS.some((l) => l.id === ladder && l.rungs.some((r) => r.id === rung)),
        'There’s no such step.',
      ),
    by: z.string().max(BY_LIMIT).nullable().optional(),
  })
  .nullable();

/** A sentence of a schema's own ends with a stop; the library's words are for programmers. */
const isSentence = (message: string): boolean => /[.?!]$/.test(message);

/** The first thing wrong, as it stands, for a form whose fields a person can see. */
export const reason = (error: z.ZodError): string => {
  const issue = error.issues[0];
  if (issue && isSentence(issue.message)) return issue.message;
  return issue?.path.length
    ? `“${issue.path.join('.')}” is missing, or is not what it should be.`
    : 'That doesn’t fit.';
};

/**
 * The first thing wrong and where, in words. Example: `explain(error) // 'A name needs at least one letter.'`. The
 * library's own words never reach people.
 */
export const explain = (error: z.ZodError): string => {
  const issue = error.issues[0];
  const where = issue?.path.length ? ` (at ${issue.path.join('.')})` : '';
  return `${issue && isSentence(issue.message) ? issue.message : 'That doesn’t fit.'}${where}`;
};
