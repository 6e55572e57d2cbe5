import type { Judged } from '../answers/judge';
import type { LikelyAnswer } from '../answers/likely';
import type { Word } from '../lexicon/entry';
import { contestWords } from './contested';
import { fill } from './fill';
import { hardnessOf } from './hardness';
import { marksOf } from './marks';
import type { Material } from './material';
import { Unproved } from './proof';
import { keyOf, readKey, type Spec } from './spec';
import type { Step } from './step';
import type { Building, Made, Task } from './task';
import type { Line, Mark, Shown, View } from './view';

/** Everything the Play screen needs to run one item. Plain data: it crosses to the browser as it is. */
export interface Item {
  /** The spec in one line; unique in a round. */
  readonly key: string;
  readonly task: string;
  readonly step: string;
  /** The word at its head, or what stands for it. */
  readonly word: string;
  readonly words: readonly Shown[];
  readonly meaning: string;
  readonly sentence: string;
  readonly count: number;
  readonly marks: readonly Mark[];
  readonly view: View;
  /** What the adult says, word for word, with the frame off. */
  readonly say: string;
  readonly slots: Readonly<Record<string, string>>;
  readonly script: readonly Line[];
  /** A line under it: how to say it, and what comes after the answer. */
  readonly how: string;
  readonly expected: string;
  readonly judged: Judged;
  readonly likely: readonly LikelyAnswer[];
  readonly kind: number;
  /** How a plan lists it, where that is not its word. */
  readonly listed?: string;
  readonly foil: string | null;
  readonly difficulty: number;
  readonly reasons: readonly string[];
  /** Why the count may be argued about, in words, where sounds are counted. */
  readonly contested: string | null;
  readonly proof: readonly string[];
}

/**
 * Makes the item of a spec and proves it: every fact the task states about it, and that nothing in it is rude.
 * Throws Unproved with what does not hold.
 */
export function makeItem(task: Task, step: Step, from: Spec | string, material: Material): Item {
  const spec = typeof from === 'string' ? readKey(from) : from;
  const key = keyOf(spec);
  const inAccent = material.keep(
    'sounds of the accent',
    () => new Set(material.words.flatMap((w) => w.sounds.map((s) => s.ipa))),
  );
  if (spec.sounds?.some((ipa) => !inAccent.has(ipa))) throw new Unproved(`A sound of “${key}” is not in the accent.`);
  const made = withoutGiveaways(task.make(spec, step, material));
  const proof = proofOf(made, `“${key}” in ${task.name}`, material);
  const { points, reasons } = hardnessOf(task, step, made.head);
  return {
    key,
    task: task.id,
    step: step.id,
    ...aboutHead(made.head, made.words[0]?.word ?? key, task),
    words: made.words,
    view: made.view,
    say: fill(task.plain, made.slots),
    slots: made.slots,
    script: made.script,
    how: made.how,
    expected: made.expected,
    judged: made.judged,
    likely: made.likely,
    kind: made.kind ?? 0,
    ...(made.listed === undefined ? {} : { listed: made.listed }),
    foil: step.foil ?? null,
    difficulty: points,
    reasons,
    proof,
  };
}

/**
 * A sound’s example that is a word of the item would tell the answer: *th, as in thin*, where *thin* is to be found.
 */
function withoutGiveaways(made: Made): Made {
  const hints = made.words.map(({ word }) => ` (as in ${word})`);
  const without = (text: string): string => hints.reduce((left, hint) => left.replaceAll(hint, ''), text);
  const slots = Object.fromEntries(Object.entries(made.slots).map(([slot, text]) => [slot, without(text)]));
  return { ...made, slots, script: made.script.map((line) => ({ ...line, text: without(line.text) })) };
}

/** What an item says of the word it is about; `name` where it is about none. */
const aboutHead = (
  head: Word | null,
  name: string,
  { counts }: Pick<Task, 'counts'>,
): Pick<Item, 'word' | 'meaning' | 'sentence' | 'count' | 'marks' | 'contested'> => ({
  word: head?.word ?? name,
  meaning: head?.entry.meaning ?? '',
  sentence: head?.entry.sentence ?? '',
  count: head?.count ?? 0,
  marks: head ? marksOf(head) : [],
  contested: head && counts ? contestWords(head) : null,
});

/** The facts that make an item what it says it is. Throws Unproved with the first that does not hold. */
function proofOf(made: Made, where: string, material: Material): string[] {
  const facts: (readonly [string, boolean])[] = [
    ...made.facts,
    ['the words pass the guard', made.words.every((w) => !material.guard(w.marks.map((m) => m.ipa)))],
    ['likely answers differ from each other', new Set(made.likely.map((a) => a.id)).size === made.likely.length],
  ];
  const broken = facts.find(([, holds]) => !holds);
  if (broken) throw new Unproved(`We can’t use ${where}, because it isn’t true that ${broken[0]}.`);
  return facts.map(([what]) => what);
}

/** An item, or why there is none. */
export type Tried = { readonly item: Item; readonly why: null } | { readonly item: null; readonly why: string };

/** What does not hold is no error but an answer. */
function tried(make: () => Item | null): Tried {
  try {
    const item = make();
    return item ? { item, why: null } : { item: null, why: 'We couldn’t find anything to go with it.' };
  } catch (error) {
    if (error instanceof Unproved) return { item: null, why: error.message };
    throw error;
  }
}

/** The item of a spec, or why there is none. */
export const tryMake = (task: Task, step: Step, from: Spec | string, material: Material): Tried =>
  tried(() => makeItem(task, step, from, material));

/** An item around a word, or why there is none. Any word of the bank may be tried. */
export const tryBuild = (task: Task, building: Building): Tried =>
  tried(() => {
    const spec = task.build(building);
    return spec && makeItem(task, building.step, spec, building.material);
  });
