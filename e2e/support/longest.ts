import { fill } from '../../src/core/games/fill';
import { familyOf, TASKS } from '../../src/core/games';
import { generate } from '../../src/core/games/generate';
import type { Item } from '../../src/core/games/item';
import type { Step } from '../../src/core/games/step';
import type { Task } from '../../src/core/games/task';
import { ACCENT_IDS, type AccentId } from '../../src/core/phonology/accents';
import type { StoredRound } from '../../src/core/sessions/stored-round';
import { material } from '../../src/core/testing/bank';
import { PLAIN_ROUND } from '../../src/core/testing/rounds';

/** An item that asks much of a screen. */
export interface Long {
  readonly task: Task;
  readonly step: Step;
  readonly accent: AccentId;
  readonly item: Item;
  /** What it is longest in. */
  readonly by: string;
}

/** What can be long about an item. */
const MEASURES: Readonly<Record<string, (item: Item, task: Task) => number>> = {
  asked: (item, task) => Math.max(...[task.plain].map((ask) => fill(ask, item.slots).length)) + item.how.length,
  words: ({ words, view }) =>
    view.kind === 'story'
      ? Math.max(...view.sentences.map((s) => s.map((w) => w.text).join(' ').length))
      : words.map((w) => w.word).join(' ').length,
  sounds: ({ marks, words }) => Math.max(marks.length, ...words.map((w) => w.marks.length)),
  answer: ({ expected, meaning }) => expected.length + meaning.length / 2,
  chips: ({ likely }) =>
    likely.reduce((sum, l) => sum + (l.show ?? '').length + l.note.length + 2 * (l.line?.length ?? 0), 0),
};

/**
 * The longest items of every game: over all its steps, all accents and so many seeds, the longest by each measure.
 * @param seeds sets of eight of each step in each accent
 */
export function longest(seeds: number): Long[] {
  return TASKS.flatMap((task) => {
    const best = new Map<string, { size: number; long: Long }>();
    for (const accent of ACCENT_IDS)
      for (const step of task.steps)
        for (let seed = 1; seed <= seeds; seed += 1)
          for (const item of generate(task, step, material(accent), { size: 8, seed }).items)
            for (const [by, measure] of Object.entries(MEASURES)) {
              const size = measure(item, task);
              if (size > (best.get(by)?.size ?? -1)) best.set(by, { size, long: { task, step, accent, item, by } });
            }
    const all = [...best.values()].map(({ long }) => long);
    return all.filter((one, i) => all.findIndex((o) => o.item.key === one.item.key && o.step === one.step) === i);
  });
}

/** A round of that one item, again and again. */
export const roundOf = ({ task, step, item }: Long): StoredRound => ({
  ...PLAIN_ROUND,
  task: task.id,
  step: step.id,
  items: [item.key],
  model: item.key,
  reminder: familyOf(task.family).reminder,
  turns: 6,
});
