import { tryBuild } from '../../../core/games/item';
import { tryItem } from '../../../core/games/try-item';
import { keyOf, OWN_NAME, readKey } from '../../../core/games/spec';
import type { Word } from '../../../core/lexicon/entry';
import { slashed } from '../../../core/games/saying';
import { listed } from '../../../core/in-words';
import { seeded } from '../../../core/random';
import { ITEM_LIMIT } from '../../../core/sessions/running-order';
import { Problem } from '../../storage/problems';
import { itemsInOrder, wordsOf, type Reworked, type RoundWork } from './round-work';

const doesNotFit = (word: string, game: string, sounds: readonly string[]) =>
  `“${word}” doesn’t fit “${game}”: it has ${sounds.length} sounds, ${listed(sounds)}.`;

const TRIES = 12;

/** An item around a word the adult named; a Problem says why it does not fit. */
export function withWord(work: RoundWork, typed: string): Reworked {
  const { round, task, step, shop } = work;
  const name = typed.trim().toLowerCase();
  if (round.items.length >= ITEM_LIMIT) throw new Problem(`A round can have ${ITEM_LIMIT} items.`);
  const put = (key: string): Reworked => {
    if (round.items.some((i) => i.key === key)) throw new Problem(`“${typed.trim()}” is in this round already.`);
    return { next: itemsInOrder(round, [...round.items, { key, locked: true }], round.spares, shop.bank) };
  };
  if (task.ownName && name === OWN_NAME) return put(OWN_NAME);
  const names = name.split(/[\s,]+/).filter(Boolean);
  const named = names.flatMap((n) => shop.bank.byName.get(n) ?? []);
  const [head] = named;
  if (!head || named.length < names.length)
    throw new Problem(`“${typed.trim()}” isn’t in the word bank. Add it on the Words screen first.`);
  for (const { word } of named) {
    const why = shop.bank.whyWithheld(word);
    if (why === 'former') throw new Problem(`“${word}” isn’t in the word bank any more. Choose another word.`);
    if (why === 'put-aside')
      throw new Problem(`“${word}” is put aside for this group. Bring it back in Settings, or choose another word.`);
  }
  if (task.around) {
    const { spec, otherwise } = task.around(named, step);
    if (tryItem(round, spec, shop.bank).item) return put(keyOf(spec));
    throw new Problem(`“${typed.trim()}” ${otherwise}`);
  }
  const key = keyAround(head, work);
  if (key !== null) return put(key);
  throw new Problem(
    doesNotFit(
      head.word,
      `${task.name}, ${step.name}`,
      head.sounds.map((s) => slashed(s.ipa, shop.bank.accent)),
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
