import { generate } from '../../../core/games/generate';
import { readKey } from '../../../core/games/spec';
import type { Step } from '../../../core/games/step';
import { findChain } from '../../../core/lexicon/chains';
import { seeded } from '../../../core/random';
import { sure } from '../../../core/sure';
import { Problem } from '../../storage/problems';
import type { Workshop } from '../workshop';
import type { Reworked, RoundWork } from './round-work';

/** A chain from a word, or between two; where that cannot be, the nearest that can, said so. */
export function chained({ round, task, step, shop }: RoundWork, ends: { start: string; target: string }): Reworked {
  if (!task.leadsOn) throw new Problem(`“${task.name}” isn’t a chain game.`);
  const [start, target] = [ends.start, ends.target].map((word) => word.trim().toLowerCase()) as [string, string];
  const from = shop.bank.byName.get(start);
  const to = target ? shop.bank.byName.get(target) : undefined;
  if (!from)
    throw new Problem(start ? `“${start}” isn’t in the word bank.` : 'Type the word that the chain starts with.');
  if (target && !to) throw new Problem(`“${target}” isn’t in the word bank.`);
  const made = generate(task, step, shop.bank, {
    seed: round.seed,
    size: Math.max(round.items.length, 3),
    start,
    target: to?.word,
    contested: true,
  });
  const last = made.items.at(-1);
  if (!last) throw new Problem(`No chain starts with “${start}” at this step. ${beginnings(from.word, step, shop)}`);
  const end = sure(readKey(last.key).words[1]);
  const reached = !to || end === to.word;
  const next = { ...round, items: made.items.map(({ key }) => ({ key, locked: false })) };
  return reached
    ? { next }
    : {
        next,
        said: `We can’t get from “${start}” to “${target}” at this step. The closest we can get is “${end}”.`,
      };
}

/** Words like the one asked for that a chain can begin with. */
function beginnings(word: string, step: Step, { bank }: Workshop): string {
  const near = bank
    .neighbours()
    .of(sure(bank.byName.get(word)))
    .map((n) => n.word)
    .filter(
      (w) =>
        findChain(
          bank.neighbours(),
          {
            start: w,
            length: 3,
            places: ['first', 'last', 'middle'],
            grow: step.grow === true,
            allowed: (o) => !o.entry.doubt,
          },
          seeded(1),
        ).links.length >= 2,
    );
  return near.length
    ? `These can: ${near
        .slice(0, 3)
        .map((w) => w.word)
        .join(', ')}.`
    : '';
}
