import { generate } from '../../../core/games/generate';
import type { Item } from '../../../core/games/item';
import { tryItem } from '../../../core/games/try-item';
import { readKey } from '../../../core/games/spec';
import { SPARES } from '../../../core/sessions/shapes';
import { sure } from '../../../core/sure';
import { Problem } from '../../storage/problems';
import { remade } from './remake';
import { requestOf, wordsOf, type Reworked, type RoundWork } from './round-work';

/** Another item in the place of one; where items lead on to each other, another way to go from there. */
export function swapped(work: RoundWork, key: string): Reworked {
  const { round, task } = work;
  const at = round.items.findIndex((i) => i.key === key);
  if (at < 0) throw new Problem('That item isn’t in the round any more.', 404);
  if (task.leadsOn) return anotherWay(work, at);
  return task.inOrder ? remade(work) : another(work, key);
}

/** Goes on otherwise from an item of a chain. */
function anotherWay({ plan, round, task, step, shop }: RoundWork, at: number): Reworked {
  const { key } = sure(round.items[at]);
  const before = round.items.slice(0, at);
  const [from, to] = readKey(key).words;
  const onward = generate(task, step, shop.bank, {
    ...requestOf(plan, shop, round.seed + at + 1),
    size: round.items.length - at,
    start: from,
    keep: [],
    avoid: [to ?? '', ...wordsOf(before)],
  });
  const links = onward.items.filter((item) => readKey(item.key).words[1] !== to || onward.items.length === 1);
  if (!links.length || sure(links[0]).key === key) throw new Problem(`There’s no other way to go from “${from}”.`);
  const items = [...before, ...links.map((item) => ({ key: item.key, locked: false }))];
  return { next: { ...round, seed: round.seed + 1, items } };
}

/** A spare with the same kind of answer, or a new item where none is left. */
function another({ plan, round, task, step, shop }: RoundWork, key: string): Reworked {
  const put = (next: string) => round.items.map((i) => (i.key === key ? { key: next, locked: false } : i));
  const old = tryItem(round, key, shop.bank).item;
  const others = round.spares.map((k) => tryItem(round, k, shop.bank).item).filter((i): i is Item => i !== null);
  const spare = others.find((i) => i.kind === old?.kind) ?? others[0];
  if (spare) {
    // The new one stands where the old one stood; the old one may come back later.
    return { next: { ...round, items: put(spare.key), spares: [...round.spares.filter((k) => k !== spare.key), key] } };
  }
  const more = generate(task, step, shop.bank, {
    ...requestOf(plan, shop, round.seed + 31, wordsOf(round.items)),
    size: SPARES,
    spares: 0,
  });
  const item = more.items.find((i) => !round.items.some((o) => o.key === i.key));
  if (!item) throw new Problem('There are no more words for this step.');
  return { next: { ...round, items: put(item.key) } };
}
