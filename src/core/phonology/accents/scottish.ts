import { PLAIN, SYLLABIC, type Accent } from '../accent';
import { consonant } from '../consonants';

// Sources: Wells, Accents of English (1982), for the sets and their members; the usual phonemic symbols.
export const SCOTTISH = {
  ...PLAIN,
  id: 'scottish' as const,
  name: 'Scottish',
  country: 'gb',
  vowels: {
    KIT: 'ɪ',
    DRESS: 'ɛ',
    TRAP: 'a',
    LOT: 'ɔ',
    STRUT: 'ʌ',
    FOOT: 'ʉ',
    BATH: 'a',
    CLOTH: 'ɔ',
    FLEECE: 'i',
    FACE: 'e',
    PALM: 'a',
    THOUGHT: 'ɔ',
    GOAT: 'o',
    GOOSE: 'ʉ',
    PRICE: 'ai',
    CHOICE: 'ɔi',
    MOUTH: 'ʌu',
    FERN: 'ɛ r',
    FIR: 'ɪ r',
    FUR: 'ʌ r',
    NEAR: 'i r',
    SQUARE: 'e r',
    START: 'a r',
    NORTH: 'ɔ r',
    FORCE: 'o r',
    CURE: 'ʉ r',
    // Some say e here, others i (Wells 1982; from memory): nobody would write *happy* with the ay of *day*.
    happY: 'i',
    lettER: 'ə r',
    commA: 'ə',
    ...SYLLABIC,
  },
  consonants: { hw: 'ʍ', kh: 'x' },
  rhotic: true,
  fireIsShort: true,
  ownConsonants: {
    ʍ: {
      ...consonant('labial-velar', 'fricative', false, 'light', 'wh'),
      as: 'whale',
      made: 'Round your lips small and blow, as if to cool soup. No voice.',
    },
    x: {
      ...consonant('velar', 'fricative', false, 'hold', 'ch'),
      as: 'loch',
      made: 'Raise the back of your tongue and let the air scrape through. No voice.',
    },
  },
  references: ['eSpeak NG en-gb-scotland'],
} satisfies Accent;
