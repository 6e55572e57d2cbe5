import type { AccentId } from '../phonology/accents';
import { labelOf } from '../phonology/sounds';
import { findTask } from './index';
import { capital } from '../in-words';
import { OWN_NAME, readKey } from './spec';

/** An item's key as a person reads it. Example: `keyLabel('mop map', 'swap', accent) // 'mop → map'`. */
export function keyLabel(key: string, task: string, accent: AccentId): string {
  const { words, sounds = [] } = readKey(key);
  if (words[0] === OWN_NAME) return 'their own name';
  const slashes = sounds.map((ipa) => {
    try {
      return `/${labelOf(ipa, accent).label}/`;
    } catch {
      return `/${ipa}/`;
    }
  });
  const played = findTask(task);
  const named = played?.titled ? words.map((id) => capital(id.replaceAll('-', ' '))) : words;
  return [named.join(played?.becomes ? ' → ' : ' · '), slashes.join(' ')].filter(Boolean).join(' ');
}

/**
 * The items of a round that say it all: of a list that grows, the last.
 * @example sayingAll('recall', [{ key: 'a' }, { key: 'a b' }]) // [{ key: 'a b' }]
 */
export const sayingAll = <T>(task: string, items: readonly T[]): readonly T[] =>
  findTask(task)?.grows ? items.slice(-1) : items;
