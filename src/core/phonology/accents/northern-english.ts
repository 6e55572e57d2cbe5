import type { Accent } from '../accent';
import { SOUTHERN_BRITISH } from './southern-british';

// Sources: Wells, Accents of English (1982), for the sets and their members; the usual phonemic symbols.
export const NORTHERN_ENGLISH = {
  ...SOUTHERN_BRITISH,
  id: 'northern-english' as const,
  name: 'Northern English',
  country: 'gb',
  vowels: {
    ...SOUTHERN_BRITISH.vowels,
    TRAP: 'a',
    BATH: 'a',
    STRUT: 'ʊ',
    FACE: 'eː',
    GOAT: 'oː',
    CURE: 'ʊə',
  },
  references: ['eSpeak NG en-gb-x-gbclan'],
} satisfies Accent;
