import { describe, expect, test } from 'vitest';
import { stepOf, taskOf } from '../games';
import { generate } from '../games/generate';
import type { Item } from '../games/item';
import { sure } from '../sure';
import { material } from './bank';
import { DAILY_SEEDS, fault } from './every-game';

// A generator that is spoilt in one way must be caught by the few seeds of a daily run, not only by the many of a deep
// one. Each spoiler does what a real slip in a generator would.
const ACCENT = 'southern-british';

type Spoiler = (items: Item[]) => Item[];

const first =
  (change: (item: Item) => Item): Spoiler =>
  ([item, ...rest]) => [change(sure(item)), ...rest];

const turned = (item: Item): Item =>
  item.judged.by === 'choice'
    ? { ...item, judged: { ...item.judged, right: (item.judged.right + 1) % item.judged.choices.length } }
    : item;

const otherSounds = (item: Item): Item =>
  item.judged.by === 'sounds' ? { ...item, judged: { ...item.judged, sounds: [...item.judged.sounds, 's'] } } : item;

const SPOILT: readonly (readonly [string, string, string, Spoiler])[] = [
  ['the answer turned round', 'sound-odd', '3-far', first(turned)],
  ['yes for no', 'rhyme-pairs', 'far', first(turned)],
  ['a sound too many in the answer', 'leave-out', 'first', first(otherSounds)],
  ['a word twice', 'blending', '3', ([a, b, ...rest]) => [sure(a), { ...sure(b), key: sure(a).key }, ...rest]],
  ['hard before easy', 'segmenting', '4', (items) => [...items].reverse()],
  ['a slot left open', 'blending', '4', first((item) => ({ ...item, say: 'Listen: {word}.' }))],
];

describe('a spoilt generator is caught by the seeds of a daily run', () => {
  test.each(SPOILT)('%s (%s, %s)', (...[, taskId, stepId, spoil]) => {
    const task = taskOf(taskId);
    const step = stepOf(task, stepId);
    const sets = Array.from({ length: DAILY_SEEDS }, (_, i) =>
      generate(task, step, material(ACCENT), { size: 4, seed: i + 1 }),
    );
    expect(sets.filter((set) => fault(set.items, { task, step, accent: ACCENT }))).toEqual([]);
    const caught = sets.filter((set) => fault(spoil([...set.items]), { task, step, accent: ACCENT }));
    expect(caught.length).toBeGreaterThan(0);
  });
});
