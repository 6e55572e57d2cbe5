import { stepOf, taskOf } from '../games';
import { generate } from '../games/generate';
import { keyLabel } from '../games/key-label';
import type { Material } from '../games/material';
import { checkWords, holding, twinsOf } from '../games/pebbles';
import { listed } from '../in-words';
import { sure } from '../sure';
import type { NextStep } from './next-step';
import type { Pattern } from '../evidence/patterns';

/** Words to try a step with at once. */
export interface Examples {
  readonly words: readonly string[];
  /** Their twins without what slips; none where the step is about no pattern. */
  readonly twins: readonly string[];
}

const SHOWN = 2;

/** The first items of a rung, as they are written in lists; the same ones every time. */
function itemsOf({ game: [id, stepId] }: NextStep, material: Material): readonly string[] {
  return material.keep(`examples ${id} ${stepId}`, () => {
    const task = taskOf(id);
    const { items } = generate(task, stepOf(task, stepId), material, { size: 3, seed: 1 });
    return items.slice(0, SHOWN).map(({ key }) => keyLabel(key, id, material.accent));
  });
}

/**
 * Words to try with a step: of its rung, or of its pattern with their twins.
 * @param patterns of the child: which sounds slip most
 * @example examplesOf(step, [], material).words // ['lamp', 'nest']
 */
export function examplesOf(step: NextStep, patterns: readonly Pattern[], material: Material): Examples {
  const { pattern, check } = step;
  if (check)
    return {
      words: checkWords(check, material)
        .slice(0, SHOWN)
        .map((w) => w.word),
      twins: [],
    };
  if (!pattern || pattern.startsWith('keeps-')) return { words: itemsOf(step, material), twins: [] };
  const { sounds } = sure(patterns.find((p) => p.id === pattern));
  const twins = twinsOf(pattern, sounds, material).slice(0, SHOWN);
  if (!twins.length)
    return {
      words: holding(pattern, material)
        .slice(0, SHOWN)
        .map((w) => w.word),
      twins: [],
    };
  return { words: twins.map((t) => t.word.word), twins: twins.map((t) => t.twin.word) };
}

/**
 * The words of some examples alone, each once: of a row its first one, without the sound that is asked.
 * @example plainWords({ words: ['dog · log', 'coat /k/'], twins: [] }) // ['dog', 'coat']
 */
export const plainWords = ({ words }: Examples): string[] => [
  ...new Set(words.flatMap((w) => /^\p{L}+/u.exec(w)?.[0] ?? [])),
];

/** The reason of a step with words to try: every sentence of advice has some. */
export function reasonWith({ reason }: NextStep, { words, twins }: Examples): string {
  if (!words.length) return reason;
  const tried = twins.length ? `Hear and say ${listed(words)} beside ${listed(twins)}.` : `Try ${listed(words)}.`;
  return `${reason} ${tried}`;
}
