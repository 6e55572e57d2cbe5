/** How the air goes, in plain words. */
export const MANNER_WORDS: Readonly<Record<string, string>> = {
  stop: 'stopped, then let go',
  affricate: 'stopped, then hissed',
  fricative: 'hissed or buzzed',
  nasal: 'through the nose',
  approximant: 'gliding',
  'lateral approximant': 'round the sides',
};
