import { z } from 'zod';
import { findTask, TASKS } from '../games';
import { generate } from '../games/generate';
import type { Item } from '../games/item';
import type { Material } from '../games/material';
import type { Task } from '../games/task';
import { ACCENT_IDS, DEFAULT_ACCENT } from '../phonology/accents';

/** What the read command is asked for. */
export const readSchema = z.strictObject({
  accent: z.enum(ACCENT_IDS, `--accent is one of ${ACCENT_IDS.join(', ')}`).default(DEFAULT_ACCENT),
  /** One game; all of them where none is named. */
  task: z
    .string()
    .refine((id) => findTask(id) !== undefined, `--task is one of ${TASKS.map((t) => t.id).join(', ')}`)
    .optional(),
  size: z.coerce
    .number('--size is a number of items')
    .int('--size is a whole number')
    .min(1, '--size is at least 1')
    .max(30, '--size is at most 30')
    .default(10),
  /** Which set: hexadecimal digits, such as the first eight of a commit. */
  seed: z
    .string()
    .regex(/^[0-9a-f]{1,8}$/i, '--seed is one to eight hexadecimal digits, such as 1f6a90c3')
    .transform((digits) => parseInt(digits, 16))
    .default(1),
});
type ReadRequest = z.infer<typeof readSchema>;

/** One item as it would be heard: the question, what is right, and what the adult reads beside it. */
function heard({ say, expected, how, likely }: Item, before: Item | undefined): string {
  // A choice and a number say nothing more of themselves.
  const chips = likely.filter((a) => a.show !== null && a.note && a.outcome !== 'on-own');
  return [
    `  ${say} → ${expected}`,
    ...(how === before?.how ? [] : [`    how: ${how}`]),
    ...(chips.length ? [`    not yet: ${chips.map((a) => `${a.show} (${a.note})`).join('; ')}`] : []),
  ].join('\n');
}

function taskToRead(task: Task, material: Material, { size, seed }: ReadRequest): string {
  const steps = task.steps.map((step) => {
    const { items } = generate(task, step, material, { size, seed });
    return [`-- ${step.name} (${step.id})`, ...items.map((item, i) => heard(item, items[i - 1]))].join('\n');
  });
  return [`== ${task.name} (${task.id})`, `   ${task.asks}`, ...steps].join('\n');
}

/**
 * Items as they would be heard, for whoever reads them aloud and judges them.
 * @example itemsToRead(material, readSchema.parse({ task: 'clap', seed: '1f6a90c3' })) // '== Clap the beats (clap) …'
 */
export const itemsToRead = (material: Material, request: ReadRequest): string =>
  TASKS.filter((task) => request.task === undefined || task.id === request.task)
    .map((task) => taskToRead(task, material, request))
    .join('\n\n')
    .concat('\n');
