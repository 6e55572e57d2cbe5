import { generate } from '../../../core/games/generate';
import { SPARES } from '../../../core/sessions/shapes';
import { setSizeFor } from '../../../core/sessions/turns';
import { Problem } from '../../storage/problems';
import { requestOf, wordsOf, type Reworked, type RoundWork } from './round-work';

/** Other words in the places that are not locked. */
export function remade({ plan, round, task, step, shop }: RoundWork): Reworked {
  const locked = task.inOrder ? [] : round.items.filter((i) => i.locked).map((i) => i.key);
  const seed = (round.seed + 7_919) % 0xfffffff;
  const before = wordsOf(round.items);
  const made = generate(task, step, shop.bank, {
    ...requestOf(plan, shop, seed, before),
    size: round.items.length || setSizeFor(shop.children),
    keep: locked,
    spares: SPARES,
  });
  if (!made.items.length) throw new Problem('There are no more words for this round.');
  const items = made.items.map(({ key }) => ({ key, locked: locked.includes(key) }));
  return {
    next: { ...round, seed, items, model: made.model?.key ?? null, spares: made.spares.map((s) => s.key) },
  };
}
