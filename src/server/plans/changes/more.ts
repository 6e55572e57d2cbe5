import { generate } from '../../../core/games/generate';
import { tryItem } from '../../../core/games/try-item';
import { readKey } from '../../../core/games/spec';
import { ITEM_LIMIT } from '../../../core/sessions/running-order';
import { Problem } from '../../storage/problems';
import { itemsInOrder, requestOf, wordsOf, type Reworked, type RoundWork } from './round-work';

/** New items to find one more among. */
const SIZE_MORE = 4;

/** One item more. */
export function longer(work: RoundWork): Reworked {
  const { plan, round, task, step, shop } = work;
  if (round.items.length >= ITEM_LIMIT) throw new Problem(`A round can have ${ITEM_LIMIT} items.`);
  if (task.inOrder) return onward(work);
  const put = (key: string, spares: readonly string[]): Reworked => ({
    next: itemsInOrder(round, [...round.items, { key, locked: false }], spares, shop.bank),
  });
  const spare = round.spares.find((k) => tryItem(round, k, shop.bank).item);
  if (spare)
    return put(
      spare,
      round.spares.filter((k) => k !== spare),
    );
  const made = generate(task, step, shop.bank, {
    ...requestOf(plan, shop, round.seed + 97, wordsOf(round.items)),
    size: SIZE_MORE,
    spares: 0,
  });
  const item = made.items.find((i) => !round.items.some((o) => o.key === i.key));
  if (!item) throw new Problem('There are no more words for this step.');
  return put(item.key, round.spares);
}

/** A set that hangs together is made anew from where it begins, one longer. */
function onward({ plan, round, task, step, shop }: RoundWork): Reworked {
  const made = generate(task, step, shop.bank, {
    ...requestOf(plan, shop, round.seed),
    size: round.items.length + 1,
    start: readKey(round.items[0]?.key ?? '').words[0],
  });
  if (made.items.length <= round.items.length) throw new Problem('The chain can’t go any further from here.');
  return { next: { ...round, items: made.items.map(({ key }) => ({ key, locked: false })) } };
}
