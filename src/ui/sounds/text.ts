/** Every sentence of this room, file by file: read it aloud before you change it. */

export const chartScreen = {
  bothLips: 'both lips',
  lipAndTeeth: 'lip and teeth',
  tongueAndTeeth: 'tongue and teeth',
  behindTheTeeth: 'behind the teeth',
  furtherBack: 'further back',
  middleRoof: 'middle of the roof',
  backRoof: 'back of the roof',
  lipsAndBack: 'lips and back',
  sounds: 'Sounds',
  howEachSound:
    'How to make each sound in your accent. Clip the sounds with a hop, hold the ones with a long bar, say the ones with a short bar lightly. A lens is a vowel.',
  consonants: 'Consonants',
  throat: 'throat',
  twoSideSide:
    'Where two stand side by side, the second one uses your voice: put a hand on your throat and feel the buzz.',
  vowels: 'Vowels',
} as const;

export const soundScreen = {
  clipIt: 'Clip it',
  holdIt: 'Hold it',
  sayItLightly: 'Say it lightly',
  aVowel: 'A vowel',
  allSounds: 'All sounds',
  asIn: 'as in',
  withVoice: 'with your voice',
  noVoice: 'without your voice',
  first: 'First',
  inTheMiddle: 'In the middle',
  last: 'Last',
  noEnglishWord: 'No word in our list has it there.',
  allOfThem: 'All of them',
} as const;
