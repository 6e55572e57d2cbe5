import { blendingLikely } from '../answers/likely';
import { sayingAdvice, spokenApart, type Game } from './item';

/** The adult says the sounds; the child says the word. */
export const blending: Game = {
  id: 'blending',
  name: 'Blending',
  gesture: 'sweep a hand along as you join the sounds',
  secondsPerTurn: 15,
  scoresSounds: false,
  say: () => 'The radio says … what word is it?',
  how: (word) => `Say each sound with a gap. ${sayingAdvice(word)}`,
  expected: (word) => word.word,
  modelScript: (word) => [
    'The shed radio crackles and breaks its words. Listen, I’ll mend the first one.',
    `${spokenApart(word)} … ${word.word}!`,
    'Together now. Then it is your turn.',
  ],
  likely: blendingLikely,
};
