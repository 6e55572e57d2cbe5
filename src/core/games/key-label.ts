import type { AccentId } from '../phonology/accents';
import { labelOf } from '../phonology/sounds';
import { findTask } from './index';
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
  return [words.join(findTask(task)?.becomes ? ' → ' : ' · '), slashes.join(' ')].filter(Boolean).join(' ');
}
