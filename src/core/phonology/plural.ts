/** What hisses takes a beat more: *boxes*. What is said without voice takes an s: *cats*. */
const HISSING: ReadonlySet<string> = new Set(['s', 'z', 'ʃ', 'ʒ', 'tʃ', 'dʒ']);
const VOICELESS: ReadonlySet<string> = new Set(['p', 't', 'k', 'f', 'θ']);

/**
 * What is added to a word for more than one of a thing, or for whose it is, after its last sound (IPA). Quirk et al., A
 * Comprehensive Grammar of English (1985), 5.80 and 5.113; from memory.
 * @example pluralAfter('t') // ['s']
 */
export function pluralAfter(last: string): readonly string[] {
  if (HISSING.has(last)) return ['ɪ', 'z'];
  return [VOICELESS.has(last) ? 's' : 'z'];
}
