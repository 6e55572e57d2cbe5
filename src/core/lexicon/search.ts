import type { AccentId } from '../phonology/accents';
import { labelOf } from '../phonology/sounds';
import { sure } from '../sure';
import type { WordIndex } from './word-index';

/** What was typed: part of a spelling, or a pattern of sounds. */
export type Query =
  | { readonly kind: 'spelling'; readonly text: string }
  | { readonly kind: 'sounds'; readonly pattern: readonly (ReadonlySet<string> | null)[] }
  | { readonly kind: 'unclear'; readonly why: string };

/** Spellings of one consonant that people type for its sound. */
const TYPED: Readonly<Record<string, string>> = { c: 'k', ck: 'k', ph: 'f', g: 'ɡ', tch: 'tʃ', dge: 'dʒ' };

/**
 * Reads a search. With a space or `_` in it, it is a pattern of sounds, one place each: `_` is any one sound, the rest
 * are labels of the accent (`sh`, `ee`) or IPA. Otherwise it is part of a spelling.
 *
 * @param sounds the IPA of every sound of the accent
 * @example readQuery('_ a t', sounds, 'southern-british') // words of three sounds ending in /a/ /t/
 */
export function readQuery(typed: string, sounds: readonly string[], accent: AccentId): Query | null {
  const text = typed.trim().toLowerCase();
  if (!text) return null;
  if (!/[\s_]/.test(text)) return { kind: 'spelling', text };
  const pattern: (ReadonlySet<string> | null)[] = [];
  for (const token of text.replaceAll('_', ' _ ').trim().split(/\s+/)) {
    if (token === '_') {
      pattern.push(null);
      continue;
    }
    const plain = token.replace(/^\/|\/$/g, '');
    const meant = sounds.filter((ipa) => ipa === plain || ipa === TYPED[plain] || labelOf(ipa, accent).label === plain);
    if (!meant.length)
      return {
        kind: 'unclear',
        why: `“${token}” is not a sound here. Write sounds as sh, ee or oo with spaces between; _ is any one sound.`,
      };
    pattern.push(new Set(meant));
  }
  return { kind: 'sounds', pattern };
}

/** The test a query puts to the words of an index. Example: `matcher(index, query)(0)`. */
export function matcher({ words }: WordIndex, query: Query): (word: number) => boolean {
  if (query.kind === 'spelling') return (w) => sure(words[w]).word.includes(query.text);
  if (query.kind === 'unclear') return () => false;
  const { pattern } = query;
  return (w) => {
    const { sounds } = sure(words[w]);
    return (
      sounds.length === pattern.length &&
      pattern.every((allowed, at) => allowed === null || allowed.has(sure(sounds[at]).ipa))
    );
  };
}
