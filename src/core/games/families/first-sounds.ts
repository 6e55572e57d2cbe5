import type { Family } from '../family';
import { FIND_TASKS } from './sounds-find';
import { SAY_TASKS } from './sounds-say';

export const FIRST_SOUNDS: Family = {
  id: 'first-sounds',
  name: 'First sounds',
  frame: {
    name: 'which row does it grow in',
    opening: 'Every row in our field has its own sound. Listen, I’ll put the first one where it grows.',
    plain: 'We are listening for one sound. Listen, I’ll do the first one.',
  },
  reminder: 'Say the sound short and pure, with no “uh”.',
  atHome: {
    played: 'We listened for the sounds in words.',
    tries: 'Find things in the kitchen that start with the same sound.',
  },
  ladder: {
    rungs: [
      { id: 'same', name: 'same?', does: 'hear whether two words start alike' },
      { id: 'sort', name: 'sort', does: 'sort words by their first sound' },
      { id: 'say', name: 'say it', does: 'say the first sound' },
      { id: 'last', name: 'last', does: 'say the last sound' },
      { id: 'where', name: 'where', does: 'hear where a sound is', first: 'where' },
      { id: 'middle', name: 'middle', does: 'say the middle sound' },
    ],
    needsLarger: ['rhyme/same'],
  },
  tasks: [...SAY_TASKS, ...FIND_TASKS],
};
