import { csv } from './csv';
import { z } from 'zod';
import {
  HELPS,
  HELP_WORDS,
  OUTCOME_WORDS,
  OUTCOMES,
  SLIP_WORDS,
  SLIPS,
  STANDING_WORDS,
  STANDINGS,
} from '../answers/outcome';
import { ownWaySchema } from '../answers/own-way-schema';
import { pebbleSchema, plantSchema } from './schemas';
import { STATES } from '../evidence/rule';

/** Everything that is kept about one child, as an open file. Described in docs/child-file.md. */
/** A year beyond four figures has a sign and six (ECMA-262, 21.4.1.32). */
const time = z.union([z.iso.datetime(), z.string().regex(/^\+\d{6}-.+Z$/)]);
export const childFileSchema = z.strictObject({
  format: z.literal('bouncy-echo-child'),
  version: z.literal(5),
  exportedAt: time,
  child: z.strictObject({
    id: z.uuid(),
    name: z.string(),
    group: z.string(),
    addedAt: time,
    awayOn: z.iso.date().nullable(),
    ownWay: ownWaySchema,
    plant: plantSchema.nullable().default(null),
    ownId: z.string().nullable().default(null),
    outOfSightSince: time.nullable().default(null),
    /** Weekdays on which they come, 1 for Monday; the adult who is to lead their small group. */
    days: z.array(z.int().min(1).max(5)).default([1, 2, 3, 4, 5]),
    keyAdult: z.string().nullable().default(null),
  }),
  states: z.array(z.strictObject({ ladder: z.string(), step: z.string(), state: z.enum(STATES), why: z.string() })),
  /** Slips nobody can call speech or awareness yet: in no state and no pattern. */
  notSettled: z
    .array(
      z.strictObject({
        place: z.string(),
        times: z.int(),
        verdict: z.enum(['open', 'own-words', 'talk']),
        lastAt: time,
      }),
    )
    .default([]),
  chosenSteps: z.array(
    z.strictObject({
      ladder: z.string(),
      step: z.string(),
      at: time,
      by: z.string().nullable(),
      endedAt: time.nullable(),
    }),
  ),
  answers: z.array(
    z.strictObject({
      id: z.uuid(),
      session: z.uuid(),
      task: z.string(),
      step: z.string(),
      word: z.string(),
      sounds: z.array(z.string()),
      outcome: z.enum(OUTCOMES),
      /** Null in a session that could not be read. */
      standing: z.enum(STANDINGS).nullable(),
      slip: z.enum(SLIPS).nullable(),
      said: z.string().nullable(),
      heard: z.string().nullable(),
      missed: z.array(z.int()),
      helps: z.array(z.enum(HELPS)),
      note: z.string().nullable(),
      secondsToMark: z.number().nullable(),
      selfCorrected: z.boolean(),
      shown: z.boolean(),
      /** Words of a pebble check that was played because of it. */
      pebbles: z.array(pebbleSchema).default([]),
      markedBy: z.string().nullable(),
      at: time,
      /** What the device’s clock said, where it was far ahead. */
      deviceAt: time.nullable(),
      /** Stands; was corrected, undone or overtaken; was marked by a second pair of ears; or is not known. */
      stands: z.enum(['stands', 'replaced', 'second', 'not-read']),
    }),
  ),
  /** Turns of other children this child asked, in pairs; and steps of sessions that name this child. */
  asked: z.array(z.strictObject({ session: z.uuid(), answer: z.uuid(), at: time })),
  steps: z.array(z.strictObject({ session: z.uuid(), kind: z.string(), at: time })),
});
export type ChildFile = z.infer<typeof childFileSchema>;

const STANDS_WORDS = {
  stands: 'yes',
  second: 'second pair of ears',
  replaced: 'no',
  'not-read': 'not known',
} as const;

const CHILD_COLUMNS = [
  'child',
  'group',
  'marked at (UTC)',
  'task',
  'step',
  'word',
  'sounds',
  'outcome',
  'stands as',
  'slip',
  'said',
  'said, to read',
  'sounds that slipped',
  'help',
  'note',
  'seconds to mark',
  'put right by the child',
  'spoken or shown',
  'marked by',
  'in force',
  'session',
  'answer id',
] as const;

/** The answers as CSV (RFC 4180), with the byte-order mark and formula guard of the session's file. */
export function childCsv({ child, answers }: ChildFile): string {
  const rows = answers.map((a) => [
    child.name,
    child.group,
    a.at,
    a.task,
    a.step,
    a.word,
    a.sounds.join(' '),
    OUTCOME_WORDS[a.outcome],
    a.standing ? STANDING_WORDS[a.standing] : '',
    a.slip ? SLIP_WORDS[a.slip] : '',
    a.said ?? '',
    a.heard ?? '',
    a.missed.map((i) => a.sounds[i] ?? '').join(' '),
    a.helps.map((h) => HELP_WORDS[h]).join(', '),
    a.note ?? '',
    a.secondsToMark ?? '',
    a.selfCorrected ? 'yes' : '',
    a.shown ? 'shown' : 'spoken',
    a.markedBy ?? '',
    STANDS_WORDS[a.stands],
    a.session,
    a.id,
  ]);
  return csv(CHILD_COLUMNS, rows);
}
