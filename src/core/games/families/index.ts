import type { Family } from '../family';
import { ADDING } from './adding';
import { BLENDING_FAMILY } from './blending';
import { ECHO } from './echo';
import { FIRST_SOUNDS } from './first-sounds';
import { LEAVING_OUT } from './leaving-out';
import { MORE_FAMILIES } from './more';
import { RHYME } from './rhyme';
import { SEGMENTING_FAMILY } from './segmenting';
import { SWAPPING } from './swapping';
import { SYLLABLES } from './syllables';
import { WORD_HUNT } from './word-hunt';
import { WORDS } from './words';

/** Every family, in the order of the catalogue. Adding one means a file of its own and a line here. */
export const FAMILIES: readonly Family[] = [
  WORDS,
  SYLLABLES,
  RHYME,
  FIRST_SOUNDS,
  BLENDING_FAMILY,
  SEGMENTING_FAMILY,
  LEAVING_OUT,
  ADDING,
  SWAPPING,
  WORD_HUNT,
  ECHO,
  ...MORE_FAMILIES,
];
