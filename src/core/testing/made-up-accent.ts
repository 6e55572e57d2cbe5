import type { Accent } from '../phonology/accent';
import { SOUTHERN_BRITISH } from '../phonology/accents/southern-british';
import { consonant } from '../phonology/consonants';

/**
 * An accent nobody speaks: Southern British with every r said, a sound of its own for *wh*, and a vowel of its own in
 * *goat*. It stands in one file, as any accent does, and tests play with it to show that nothing else knows of it.
 */
const BEAN_ROW = {
  ...SOUTHERN_BRITISH,
  id: 'bean-row' as const,
  name: 'Bean Row',
  country: 'gb',
  rhotic: true,
  vowels: { ...SOUTHERN_BRITISH.vowels, GOAT: 'oː', START: 'ɑː r', NORTH: 'ɔː r', FORCE: 'ɔː r', lettER: 'ə r' },
  consonants: { hw: 'ɸ' },
  ownConsonants: {
    ɸ: {
      ...consonant('bilabial', 'fricative', false, 'hold', 'wh'),
      as: 'whale',
      made: 'Bring your lips close, as if to blow on soup, and let the air through. No voice.',
    },
  },
  tapsT: true,
  references: [],
} satisfies Accent;

export const MORE_ACCENTS: readonly Accent[] = [BEAN_ROW];
