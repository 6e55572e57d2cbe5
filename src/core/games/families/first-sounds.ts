import type { Family } from '../family';
import { FIND_TASKS } from './sounds-find';
import { HEAR_TASKS } from './sounds-hear';
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
      { id: 'same', name: 'same?', does: 'hear whether two words start the same' },
      { id: 'sort', name: 'sort', does: 'sort words by their first sound', first: 'sort' },
      { id: 'say', name: 'say it', does: 'say a first sound that can be held' },
      { id: 'say-clip', name: 'short ones', does: 'say a first sound that is short' },
      {
        id: 'near',
        name: 'close ones',
        does: 'tell apart words whose first sounds are close',
        carries: ['same', 'sort'],
      },
      {
        id: 'hear-last',
        name: 'hear the last',
        does: 'find the word that ends with a sound',
        carries: ['same', 'sort'],
      },
      {
        id: 'last',
        name: 'last',
        does: 'say the last sound',
        carries: ['same', 'sort', 'say', 'say-clip', 'hear-last'],
      },
      // Where a sound is may be guessed, and is seen in the sounds around it: it shows nothing else.
      { id: 'where', name: 'where', does: 'hear where a sound is', first: 'where', carries: [] },
      { id: 'middle', name: 'middle', does: 'say the middle sound', carries: ['same', 'sort', 'say', 'say-clip'] },
      {
        id: 'cluster',
        name: 'like frog',
        does: 'say the first or last of two sounds together',
        carries: ['same', 'sort', 'say', 'say-clip'],
      },
    ],
    needsLarger: ['rhyme/match-2'],
  },
  tasks: [...SAY_TASKS, ...FIND_TASKS, ...HEAR_TASKS],
};
