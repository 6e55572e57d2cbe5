import { CONSONANTS, makingOf, ownConsonant } from './sounds';

/** How a sound is made and kept clean, in sentences for an adult. */
export interface HowMade {
  /** What lips, tongue and voice do. */
  readonly made: string;
  /** The usual slip and how to avoid it. */
  readonly slip: string;
  /** A check with a hand. */
  readonly check: string;
}

// Places, manners and voicing as on the chart of the International Phonetic Association; the sentences are our own.
const CONSONANT_MADE: Readonly<Record<string, string>> = {
  p: 'Press your lips together and let a little air burst out. No voice.',
  b: 'Press your lips together and let them go with your voice on.',
  t: 'Tap the tip of your tongue behind your top teeth and let go. No voice.',
  d: 'Tap the tip of your tongue behind your top teeth with your voice on.',
  k: 'Lift the back of your tongue to the roof of your mouth and let go. No voice.',
  ɡ: 'Lift the back of your tongue to the roof of your mouth and let go with your voice on.',
  tʃ: 'Stop the air behind your top teeth, round your lips and let it hiss out. No voice.',
  dʒ: 'Stop the air behind your top teeth, round your lips and let go with your voice on.',
  f: 'Rest your top teeth on your bottom lip and blow. No voice.',
  v: 'Rest your top teeth on your bottom lip and hum through.',
  θ: 'Put the tip of your tongue between your teeth and blow softly. No voice.',
  ð: 'Put the tip of your tongue between your teeth and hum through.',
  s: 'Teeth nearly shut, tongue behind them: let the air hiss. No voice.',
  z: 'Teeth nearly shut, tongue behind them: let it buzz with your voice on.',
  ʃ: 'Push your lips forward and let the air rush over your tongue. No voice.',
  ʒ: 'Push your lips forward as for sh, with your voice on.',
  h: 'Open your mouth and breathe out. No voice.',
  m: 'Close your lips and hum through your nose.',
  n: 'Tongue behind your top teeth, mouth a little open: hum through your nose.',
  ŋ: 'Back of your tongue up, mouth open: hum through your nose.',
  l: 'Tip of your tongue up behind your top teeth, voice round the sides.',
  r: 'Curl your tongue back a little without touching, lips a little round, voice on.',
  j: 'Raise the middle of your tongue as for ee and slip away from it at once.',
  w: 'Round your lips small as for oo and slip away from it at once.',
};

/** What the mouth does for each vowel label, accent by accent close enough for a model. */
const VOWEL_MADE: Readonly<Record<string, string>> = {
  i: 'A short sound: mouth a little open, lips a little wide.',
  e: 'A short sound: mouth half open, lips a little wide.',
  a: 'A short sound: open your mouth wide.',
  o: 'A short sound: open your mouth and round your lips.',
  u: 'A short sound: jaw drops, lips loose.',
  oo: 'Round your lips: small and tight as in moon, loose and short as in book.',
  ar: 'Open wide and let it run on, as when the doctor looks at your throat.',
  or: 'Round your lips and drop your jaw; let it run on.',
  ur: 'Lips loose, tongue flat in the middle; let it run on.',
  er: 'Lips loose, tongue bunched in the middle; let it run on.',
  ear: 'Begin with a smile for ee and let the mouth go slack.',
  air: 'Begin as for e with the mouth half open and let it run on.',
  ure: 'Begin with round lips as for oo and let the mouth go slack.',
  aw: 'Round your lips and drop your jaw; let it run on.',
  ah: 'Open wide and let it run on.',
  ee: 'Smile with your teeth close; let it run on.',
  ay: 'Begin as for e and close towards ee.',
  oa: 'Begin with the mouth half open and round your lips as you go.',
  igh: 'Begin with the mouth wide open and close towards ee.',
  oy: 'Begin with round lips and spread them towards ee.',
  ow: 'Begin with the mouth wide open and round your lips as you go.',
  uh: 'The lazy sound in the weak part of a word: mouth slack, hardly there.',
};

const SLIP: Readonly<Record<ReturnType<typeof makingOf>, string>> = {
  clip: 'The usual slip is an “uh” after it. Whisper the end of it, or stop as soon as it is out.',
  hold: 'The usual slip is an “uh” at the end. Hold the sound and simply stop.',
  light: 'The usual slip is an “uh” after it. Breathe it on to the next sound.',
  vowel: 'The usual slip is to say the letter’s name. Say what you hear in the middle of the word.',
};

/** Voiceless sounds one makes by blowing: air can be felt on a palm. */
const check = (ipa: string): string => {
  const facts = CONSONANTS[ipa];
  if (!facts || facts.voiced) {
    return facts?.manner === 'nasal'
      ? 'Hand on your throat: it hums. Pinch your nose and it stops.'
      : 'Hand on your throat: you feel it hum.';
  }
  return 'Hand on your throat: it is still. Palm before your lips: you feel the air.';
};

/**
 * How a sound is made, the usual slip and a check.
 * @param label the sound's plain label in the accent, which tells vowels apart
 * @example howMade('p', 'p').made // 'Press your lips together …'
 */
export function howMade(ipa: string, label: string): HowMade {
  const made = CONSONANT_MADE[ipa] ?? ownConsonant(ipa)?.made ?? VOWEL_MADE[label];
  if (!made) throw new Error(`How /${ipa}/ is made is not written down.`);
  return { made, slip: SLIP[makingOf(ipa)], check: check(ipa) };
}
