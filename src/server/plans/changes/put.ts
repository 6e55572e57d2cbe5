import { tryBuild } from '../../../core/games/item';
import { tryItem } from '../../../core/games/try-item';
import { keyOf, OWN_NAME, readKey } from '../../../core/games/spec';
import type { Word } from '../../../core/lexicon/entry';
import { seeded } from '../../../core/random';
import { ITEM_LIMIT } from '../../../core/sessions/running-order';
import { Problem } from '../../storage/problems';
import { inOrder, wordsOf, type Reworked, type RoundWork } from './round-work';
import { put as say } from '../text';

const TRIES = 12;

/** An item around a word the adult named; a Problem says why it does not fit. */
export function withWord(work: RoundWork, typed: string): Reworked {
  const { round, task, step, shop } = work;
  const name = typed.trim().toLowerCase();
  if (round.items.length >= ITEM_LIMIT) throw new Problem(say.roundItems(ITEM_LIMIT));
  const put = (key: string): Reworked => {
    if (round.items.some((i) => i.key === key)) throw new Problem(say.roundAlready(typed.trim()));
    return { next: inOrder(round, [...round.items, { key, locked: true }], round.spares, shop.bank) };
  };
  if (task.ownName && name === OWN_NAME) return put(OWN_NAME);
  const names = name.split(/[\s,]+/).filter(Boolean);
  const named = names.flatMap((n) => shop.bank.byName.get(n) ?? []);
  const [head] = named;
  if (!head || named.length < names.length) throw new Problem(say.wordBankAdd(typed.trim()));
  for (const { word } of named) {
    const why = shop.bank.whyWithheld(word);
    if (why === 'former') throw new Problem(say.wordBankMore(word));
    if (why === 'put-aside') throw new Problem(say.putAsideGroup(word));
  }
  if (task.around) {
    const { spec, otherwise } = task.around(named, step);
    if (tryItem(round, spec, shop.bank).item) return put(keyOf(spec));
    throw new Problem(`“${typed.trim()}” ${otherwise}`);
  }
  const key = keyAround(head, work);
  if (key !== null) return put(key);
  throw new Problem(
    say.notFit(
      head.word,
      `${task.name}, ${step.name}`,
      head.sounds.map((s) => s.ipa),
    ),
  );
}

/** The key of an item around a word, or null where none can be made. */
function keyAround(head: Word, { plan, round, task, step, shop }: RoundWork): string | null {
  const avoid = new Set(wordsOf(round.items));
  const theme = readKey(round.items[0]?.key ?? '').sounds?.[0] ?? plan.sound;
  const random = seeded(round.seed + head.word.length);
  for (let tries = 0; tries < TRIES; tries += 1) {
    const { item } = tryBuild(task, {
      head,
      step,
      material: shop.bank,
      random,
      kind: tries % (task.kinds?.(step) ?? 1),
      theme,
      wishes: { size: 1, avoid, contested: true, pairs: plan.pairs },
    });
    if (item) return item.key;
  }
  return null;
}
