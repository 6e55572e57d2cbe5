import { segmentingLikely } from '../answers/likely';
import { sayingAdvice, spokenApart, type Game } from './item';

/** The adult says the word; the child says its sounds, one by one, then joins it again. */
export const segmenting: Game = {
  id: 'segmenting',
  name: 'Segmenting',
  gesture: 'one finger, or one pot, for each sound',
  secondsPerTurn: 40,
  scoresSounds: true,
  say: (word) => `Listen: ${word.word}. Now plant its sounds.`,
  how: (word) => `They say it back first; do not say how many; join it again after. ${sayingAdvice(word)}`,
  expected: (word) => spokenApart(word).replaceAll(' … ', ' · '),
  modelScript: (word) => [
    'One pot for each sound. Watch, I’ll plant the first word.',
    `${word.word} … ${spokenApart(word)}. Joined again: ${word.word}!`,
    'Together now. Then it is your turn.',
  ],
  likely: segmentingLikely,
};
