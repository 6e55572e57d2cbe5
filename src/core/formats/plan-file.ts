import { z } from 'zod';
import { familyOf, findStep, findTask, isTask, taskOf } from '../games';
import { GESTURES } from '../games/gestures';
import type { SoundPair } from '../phonology/articulation';
import { ITEM_LIMIT, ROUND_LIMIT, ROUND_ROLES, WAYS, type Plan, type PlannedRound } from '../sessions/running-order';
import { SHAPES } from '../sessions/shapes';
import { idSchema, itemKey, nameSchema, reason } from './schemas';
import { sure } from '../sure';

const AT_LEAST_A_MINUTE = 'A plan needs at least one minute.';

const AT_MOST_AN_HOUR = 'A plan can last up to 60 minutes.';

/** Shapes of a plan, at the door and in a file. */
const text = (most: number) =>
  z
    .string()
    .transform((t) => t.replace(/\s+/g, ' ').trim())
    .pipe(z.string().max(most, `That text can have ${most} letters.`));

const sound = z.string().min(1).max(4);

/** A game and one of its steps: an unknown step is told, and never another one. */
const isStepOf = ({ task, step }: { readonly task: string; readonly step: string }): boolean => {
  const game = findTask(task);
  return game === undefined || findStep(game, step) !== undefined;
};
const NO_STEP = {
  error: (issue: { readonly input?: unknown }) => {
    const { task, step } = issue.input as { readonly task: string; readonly step: string };
    return `“${taskOf(task).name}” has no step “${step.slice(0, 40)}”.`;
  },
  path: ['step'],
};

/** What one child was dealt, kept with the plan. */
const dealSchema = z.object({
  childId: idSchema,
  step: z.string().max(40),
  items: z.array(itemKey).max(8),
  spares: z.array(itemKey).max(8),
  why: text(400).optional(),
});
/** More than any list of names has: everyone on it is dealt to. */
const DEALS_LIMIT = 2_000;

const roundSchema = z
  .object({
    id: z.string().regex(/^[a-z0-9]{1,12}$/),
    role: z.enum(ROUND_ROLES),
    task: z.string().refine(isTask, { error: (issue) => `There is no game “${String(issue.input).slice(0, 40)}”.` }),
    step: z.string().max(40),
    items: z
      .array(z.object({ key: itemKey, locked: z.boolean() }))
      .max(ITEM_LIMIT, `A round can have ${ITEM_LIMIT} items.`),
    model: itemKey.nullable(),
    spares: z.array(itemKey).max(ITEM_LIMIT),
    way: z.enum(WAYS),
    gap: z.number().min(0.5, 'A pause must be at least half a second.').max(2, 'A pause can be two seconds at most.'),
    gesture: z.enum(GESTURES.map((g) => g.id) as [string, ...string[]]),
    frame: z.object({ on: z.boolean(), opening: text(240).nullable(), ask: text(160).nullable() }),
    reminder: text(200),
    names: z.boolean(),
    seed: z.int().min(0).max(0xffffffff),
    own: z
      .object({
        on: z.boolean(),
        steps: z.record(idSchema, z.string().max(40)),
        dealt: z.object({ under: z.string().max(40), deals: z.array(dealSchema).max(DEALS_LIMIT) }).optional(),
      })
      .optional(),
  })
  .refine(isStepOf, NO_STEP);

export const planSchema = z
  .object({
    title: nameSchema,
    minutes: z.int('Type the minutes as a whole number.').min(1, AT_LEAST_A_MINUTE).max(60, AT_MOST_AN_HOUR),
    letters: z.boolean(),
    sound: sound.nullable(),
    pairs: z
      .array(z.tuple([sound, sound]))
      .max(40)
      .transform((pairs): SoundPair[] => pairs),
    mixUps: z.boolean().optional(),
    dropped: z.array(z.string().max(80)).max(ROUND_LIMIT).optional(),
    rounds: z.array(roundSchema).max(ROUND_LIMIT, `A plan can have ${ROUND_LIMIT} rounds.`),
  })
  .refine((plan) => new Set(plan.rounds.map((r) => r.id)).size === plan.rounds.length, {
    error: 'Two rounds have the same id.',
    path: ['rounds'],
  }) satisfies z.ZodType<Plan>;

const PLAN_FORMAT = 'bouncy-echo-plan';

/** A plan without what it says of single children: that each has their own step stays, whose is whose goes. */
const withoutChildren = (plan: Plan): Plan => ({
  ...plan,
  rounds: plan.rounds.map((r) => (r.own ? { ...r, own: { on: r.own.on, steps: {} } } : r)),
});

/** A plan as a file. Example: `JSON.parse(planToJson(plan)).format // 'bouncy-echo-plan'`. */
export const planToJson = (plan: Plan, accent: string): string =>
  `${JSON.stringify({ format: PLAN_FORMAT, version: 1, accent, plan: withoutChildren(plan) }, null, 2)}\n`;

interface ReadRound {
  readonly name: string;
  readonly why: string | null;
  readonly round: PlannedRound | null;
}
export interface ReadPlan {
  /** The plan with the rounds that could be read; null where there is none. */
  readonly plan: Plan | null;
  readonly rounds: readonly ReadRound[];
  /** Why the file as a whole cannot be read. */
  readonly fault: string | null;
}

const FILE_LIMIT = 200_000;
const fileSchema = z.object({
  format: z.literal(PLAN_FORMAT),
  version: z.literal(1),
  plan: z.object({ rounds: z.array(z.unknown()) }).loose(),
});
const fault = (why: string): ReadPlan => ({ plan: null, rounds: [], fault: why });

/**
 * Reads a plan from a file’s text, round by round; never throws and never guesses.
 * @example readPlanFile('{').fault // 'This is not readable JSON. …'
 */
export function readPlanFile(content: string): ReadPlan {
  if (content.length > FILE_LIMIT) return fault('This file is too large for a plan.');
  if (!content.trim()) return fault('The file is empty.');
  let raw: unknown;
  try {
    raw = JSON.parse(content.replace(/^\uFEFF/, ''));
  } catch {
    return fault('We can’t read this JSON. Save the plan as a file again.');
  }
  const file = fileSchema.safeParse(raw);
  if (!file.success)
    return fault(`This file is not a plan: it should have format “${PLAN_FORMAT}”, version 1 and a plan with rounds.`);
  const rounds = file.data.plan.rounds.slice(0, ROUND_LIMIT).map((r, i): ReadRound => {
    const read = roundSchema.safeParse(r);
    const name = `Round ${i + 1}`;
    if (!read.success) return { name, why: reason(read.error), round: null };
    return {
      name: `${name}: ${familyOf(taskOf(read.data.task).family).name}`,
      why: null,
      round: { ...read.data, id: `r${i + 1}` },
    };
  });
  const good = rounds.flatMap((r) => r.round ?? []);
  const whole = planSchema.safeParse({ letters: false, sound: null, pairs: [], ...file.data.plan, rounds: good });
  if (!whole.success) return { plan: null, rounds, fault: reason(whole.error) };
  if (!good.length) return { plan: null, rounds, fault: 'None of the rounds in this file can be used.' };
  return { plan: whole.data, rounds, fault: null };
}

/** What a running order is made from: a shape, a skill and step, perhaps a sound, and the minutes there are. */
export const planRequestSchema = z
  .object({
    shape: z.enum(SHAPES).catch('focus'),
    task: z.string().refine(isTask, 'Choose a game.').catch('blending'),
    step: z.string().max(40).default(''),
    count: z.coerce.number().int().min(2).max(6).catch(3).default(3),
    sound: sound.optional().or(z.literal('').transform(() => undefined)),
    pattern: z.string().max(40).optional(),
    // A form sends a list as one line.
    slipping: z
      .preprocess(
        (given) => (typeof given === 'string' ? given.split(',').filter(Boolean) : given),
        z.array(z.string().max(4)).max(12),
      )
      .optional(),
    minutes: z.coerce.number().int().min(1, AT_LEAST_A_MINUTE).max(60, AT_MOST_AN_HOUR).default(8),
    seed: z.coerce.number().int().min(0).max(0xfffffff).default(1),
  })
  // Where no step is asked for, it is the first.
  .transform((wish) => ({ ...wish, step: wish.step || sure(taskOf(wish.task).steps[0]).id }))
  .refine(isStepOf, NO_STEP);
export type PlanWish = z.infer<typeof planRequestSchema>;

const roundId = z.string().max(12);
/** A change to a plan that needs the word bank; everything else is changed where it stands. */
export const planChangeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('show') }),
  z.object({ kind: z.literal('remake'), round: roundId }),
  z.object({ kind: z.literal('aim'), round: roundId }),
  z
    .object({
      kind: z.literal('set'),
      round: roundId,
      task: z.string().refine(isTask, 'Choose a game.'),
      step: z.string().max(40),
    })
    .refine(isStepOf, NO_STEP),
  z.object({ kind: z.literal('swap'), round: roundId, key: itemKey }),
  z.object({ kind: z.literal('aside'), word: z.string().min(1).max(60) }),
  z.object({ kind: z.literal('put'), round: roundId, word: z.string().max(60) }),
  z.object({ kind: z.literal('more'), round: roundId }),
  z.object({ kind: z.literal('chain'), round: roundId, start: z.string().max(40), target: z.string().max(40) }),
  z
    .object({
      kind: z.literal('add-round'),
      task: z.string().refine(isTask, 'Choose a game.'),
      step: z.string().max(40),
    })
    .refine(isStepOf, NO_STEP),
]);
export type PlanChange = z.infer<typeof planChangeSchema>;

export const plannedForSchema = z.iso.datetime({ local: true, error: 'Choose a day and a time.' }).nullable();
