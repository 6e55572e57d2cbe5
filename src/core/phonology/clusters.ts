/**
 * Consonant clusters of English syllables, in keys. Initial clusters and the usual final ones within one morpheme or
 * with an ending -s, -t or -d: Cruttenden, Gimson's Pronunciation of English (8th ed., 2014), ch. 10; from memory.
 */
export const INITIAL_CLUSTERS: readonly string[] = [
  'p l',
  'p r',
  'b l',
  'b r',
  't r',
  't w',
  'd r',
  'd w',
  'k l',
  'k r',
  'k w',
  'g l',
  'g r',
  'f l',
  'f r',
  'th r',
  'sh r',
  's p',
  's t',
  's k',
  's m',
  's n',
  's f',
  's l',
  's w',
  's p l',
  's p r',
  's t r',
  's k r',
  's k w',
  'p y',
  'b y',
  't y',
  'd y',
  'k y',
  'f y',
  'v y',
  'h y',
  'm y',
  'n y',
  's t y',
  'th w',
];

/** Final clusters that everyday words have, in keys. */
export const FINAL_CLUSTERS: readonly string[] = [
  'l p',
  'l b',
  'l t',
  'l d',
  'l k',
  'l f',
  'l v',
  'l th',
  'l s',
  'l z',
  'l m',
  'l ch',
  'l j',
  'm p',
  'm d',
  'm z',
  'n t',
  'n d',
  'n ch',
  'n j',
  'n th',
  'n s',
  'n z',
  'ng k',
  'ng z',
  'ng d',
  's p',
  's t',
  's k',
  'f t',
  'f s',
  'f th',
  'p t',
  'p s',
  'p th',
  'k t',
  'k s',
  't s',
  'd z',
  'b z',
  'b d',
  'g z',
  'g d',
  'v z',
  'v d',
  'z d',
  'ch t',
  'j d',
  'sh t',
  'dh z',
  'th s',
  'm p s',
  'm p t',
  'n t s',
  'n d z',
  'ng k s',
  'ng k t',
  's t s',
  's k s',
  's p s',
  'l t s',
  'l d z',
  'l k s',
  'l p s',
  'l f th',
  'k s t',
  'k s th',
  's k t',
  'n ch t',
  'n j d',
];

const initial: ReadonlySet<string> = new Set(INITIAL_CLUSTERS);

/** True where a syllable may begin with these consonants. Example: `mayBegin(['s', 't', 'r']) // true`. */
export const mayBegin = (consonants: readonly string[]): boolean =>
  consonants.length === 0 ||
  (consonants.length === 1 ? consonants[0] !== 'ng' && consonants[0] !== 'zh' : initial.has(consonants.join(' ')));

const final: ReadonlySet<string> = new Set(FINAL_CLUSTERS);

/**
 * True where a syllable may end with these consonants, an r before them left aside. Example: `mayEnd(['m', 'p']) //
 * true`.
 */
export const mayEnd = ([first, ...more]: readonly string[]): boolean => {
  const consonants = first === 'r' ? more : [...(first ? [first] : []), ...more];
  return (
    consonants.length === 0 ||
    (consonants.length === 1 ? !['h', 'w', 'y', 'hw'].includes(consonants[0] ?? '') : final.has(consonants.join(' ')))
  );
};
