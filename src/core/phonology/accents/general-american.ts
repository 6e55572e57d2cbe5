import { PLAIN, SYLLABIC, type Accent } from '../accent';

// Sources: Wells, Accents of English (1982), for the sets and their members; the usual phonemic symbols.
export const GENERAL_AMERICAN = {
  ...PLAIN,
  id: 'general-american' as const,
  name: 'General American',
  country: 'us',
  vowels: {
    KIT: 'ɪ',
    DRESS: 'ɛ',
    TRAP: 'æ',
    LOT: 'ɑ',
    STRUT: 'ʌ',
    FOOT: 'ʊ',
    BATH: 'æ',
    CLOTH: 'ɔ',
    FLEECE: 'i',
    FACE: 'eɪ',
    PALM: 'ɑ',
    THOUGHT: 'ɔ',
    GOAT: 'oʊ',
    GOOSE: 'u',
    PRICE: 'aɪ',
    CHOICE: 'ɔɪ',
    MOUTH: 'aʊ',
    FERN: 'ɝ',
    FIR: 'ɝ',
    FUR: 'ɝ',
    NEAR: 'ɪ r',
    SQUARE: 'ɛ r',
    START: 'ɑ r',
    NORTH: 'ɔ r',
    FORCE: 'ɔ r',
    CURE: 'ʊ r',
    happY: 'i',
    lettER: 'ɚ',
    commA: 'ə',
    ...SYLLABIC,
  },
  rhotic: true,
  hurry: 'ɝ',
  dropsYod: true,
  tapsT: true,
  labelsBeforeR: { ɑ: 'ah' },
  references: ['CMU Pronouncing Dictionary', 'eSpeak NG en-us'],
} satisfies Accent;

/** *cot* and *caught* alike; a vowel before r stays as it was. */
export const GENERAL_AMERICAN_MERGED = {
  ...GENERAL_AMERICAN,
  id: 'general-american-merged' as const,
  name: 'General American, cot and caught alike',
  vowels: { ...GENERAL_AMERICAN.vowels, CLOTH: 'ɑ', THOUGHT: 'ɑ' },
  beforeR: { CLOTH: 'ɔ', THOUGHT: 'ɔ' },
  // A vowel kept only before r is labelled as in the accent it varies.
  moreLabels: { ɔ: { label: 'aw' } },
  variant: { of: GENERAL_AMERICAN.id, alike: ['cot', 'caught'] },
} satisfies Accent;
