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
    'How each sound is made in your accent. A hop is clipped, a long bar can be held, a short bar is light, a lens is a vowel.',
  consonants: 'Consonants',
  chartOfConsonants: 'Chart of consonants',
  twoSideSide: 'Of two side by side, the second is said with voice: a hand on the throat feels it.',
  vowels: 'Vowels',
} as const;

export const soundScreen = {
  clipIt: 'Clip it',
  holdIt: 'Hold it',
  sayItLightly: 'Say it lightly',
  aVowel: 'A vowel',
  allSounds: 'All sounds',
  asIn: 'as in',
  withVoice: 'with voice',
  noVoice: 'no voice',
  first: 'First',
  inTheMiddle: 'In the middle',
  last: 'Last',
  noEnglishWord: 'No English word of the bank has it there.',
  allOfThem: 'All of them',
} as const;
