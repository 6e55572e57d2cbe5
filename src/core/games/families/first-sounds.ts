import type { Family } from '../family';
import { FIND_TASKS } from './sounds-find';
import { HEAR_TASKS } from './sounds-hear';
import { STORY } from './story';
import { SAY_TASKS } from './sounds-say';

export const FIRST_SOUNDS: Family = {
  id: 'first-sounds',
  name: 'First sounds',
  frame: {
    name: 'which row does it grow in',
    opening: 'Every row in our field has its own sound, so listen while I plant the first word.',
    plain: 'We’re listening for one sound. Listen while I do the first one.',
  },
  reminder: 'Keep the sound short and pure, without an “uh”.',
  atHome: {
    played: 'We listened for the sounds in words.',
    tries: 'Find two things in the room that start with the same sound.',
  },
  ladder: {
    rungs: [
      { id: 'same', name: 'same?', does: 'hear whether two words start the same' },
      { id: 'sort', name: 'sort', does: 'sort words by their first sound', first: 'sort' },
      {
        id: 'say',
        name: 'say it',
        does: 'say a first sound you can hold',
        plainly: 'say the first sound of words like sun',
      },
      {
        id: 'say-clip',
        name: 'short ones',
        does: 'say a first sound you can’t hold',
        plainly: 'say the first sound of words like pot',
      },
      {
        id: 'near',
        name: 'close ones',
        does: 'tell apart words with similar first sounds',
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
        does: 'say the first or last sound where two come together',
        carries: ['same', 'sort', 'say', 'say-clip'],
      },
    ],
    needsLarger: ['rhyme/match-2'],
  },
  tasks: [...SAY_TASKS, ...FIND_TASKS, ...HEAR_TASKS, STORY],
};
