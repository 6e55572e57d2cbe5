import { manners as say } from './text';

/** How the air goes, in plain words. */
export const MANNER_WORDS: Readonly<Record<string, string>> = {
  stop: say.stoppedLetGo,
  affricate: say.stoppedThenHissed,
  fricative: say.hissedOrBuzzed,
  nasal: say.throughTheNose,
  approximant: 'gliding',
  'lateral approximant': say.roundTheSides,
};
