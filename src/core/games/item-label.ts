import type { Item } from './item';
import { OWN_NAME, readKey } from './spec';

/**
 * An item in a few words, as cards, plans and papers list it.
 * @example labelOf(item) // 'frog', 'cat · hat' or 'frog → fog'
 */
export const labelOf = (item: Item): string => {
  const { words, sounds = [] } = readKey(item.key);
  if (item.view.kind === 'change') return `${item.word} → ${item.expected.replace(/ \(made-up\)$/, '')}`;
  if (item.listed !== undefined) return item.listed;
  if (item.view.kind === 'story') return item.view.title ?? `a story of ${item.view.sentences.length} sentences`;
  if (words[0] === OWN_NAME) return 'their own name';
  if (!words.length)
    return (
      Object.values(item.slots).find((v) => v.includes(',')) ??
      (item.view.kind === 'list' ? item.view.entries.join(' ') : sounds.join(' '))
    );
  return item.view.kind === 'pair' || item.view.kind === 'row' || item.view.kind === 'list'
    ? words.join(' · ')
    : item.word;
};
