import { CONSONANTS, makingOf, ownConsonant } from './sounds';

/** How a sound is made and kept clean, in sentences for an adult. */
export interface HowMade {
  /** What lips, tongue and voice do. */
  readonly made: string;
  /** What often goes wrong and how to avoid it. */
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
  s: 'Bring your teeth nearly together with your tongue behind them and let the air hiss. No voice.',
  z: 'Bring your teeth nearly together with your tongue behind them and buzz, with your voice on.',
  ʃ: 'Push your lips forward and let the air rush over your tongue. No voice.',
  ʒ: 'Push your lips forward as if to say sh, with your voice on.',
  h: 'Open your mouth and breathe out. No voice.',
  m: 'Close your lips and hum through your nose.',
  n: 'Put your tongue behind your top teeth, open your mouth a little and hum through your nose.',
  ŋ: 'Lift the back of your tongue, open your mouth and hum through your nose.',
  l: 'Put the tip of your tongue behind your top teeth and let your voice out round the sides.',
  r: 'Curl your tongue back a little without touching anything, round your lips and switch your voice on.',
  j: 'Lift the middle of your tongue as if to say ee, and let go straight away.',
  w: 'Make a small oo with your lips and let go straight away.',
};

/** What the mouth does for each vowel label, accent by accent close enough for a model. */
const VOWEL_MADE: Readonly<Record<string, string>> = {
  i: 'A short sound: open your mouth a little and spread your lips.',
  e: 'A short sound: open your mouth halfway and spread your lips a little.',
  a: 'A short sound: open your mouth wide.',
  o: 'A short sound: open your mouth and round your lips.',
  u: 'A short sound: drop your jaw and keep your lips loose.',
  oo: 'Round your lips: small and tight as in moon, loose and short as in book.',
  ar: 'Open wide and keep it going, as if the doctor is looking at your throat.',
  or: 'Round your lips and drop your jaw; keep it going.',
  ur: 'Keep your lips loose and your tongue flat in the middle, and keep the sound going.',
  er: 'Keep your lips loose, bunch your tongue in the middle, and keep the sound going.',
  ear: 'Start with a smile for ee and let your mouth relax.',
  air: 'Start with your mouth half open as if to say e, and keep it going.',
  ure: 'Start with round lips for oo and let your mouth relax.',
  aw: 'Round your lips and drop your jaw; keep it going.',
  ah: 'Open wide and keep it going.',
  ee: 'Smile with your teeth close; keep it going.',
  ay: 'Start with e and glide to ee.',
  oa: 'Start with your mouth half open and round your lips as you go.',
  igh: 'Start with your mouth wide open and glide to ee.',
  oy: 'Start with round lips and glide to ee.',
  ow: 'Start with your mouth wide open and round your lips as you go.',
  uh: 'The lazy little sound in the weak part of a word: relax your mouth, and it’s hardly there.',
};

const SLIP: Readonly<Record<ReturnType<typeof makingOf>, string>> = {
  clip: 'It’s easy to add an “uh” after it. Whisper it, or stop as soon as it’s out.',
  hold: 'It’s easy to add an “uh” at the end. Hold the sound and simply stop.',
  light: 'It’s easy to add an “uh” after it. Slide straight into the next sound.',
  vowel: 'It’s easy to say the letter’s name by mistake. Say what you hear in the middle of the word.',
};

/** Voiceless sounds one makes by blowing: air can be felt on a palm. */
const checkIpa = (ipa: string): string => {
  const facts = CONSONANTS[ipa];
  if (!facts || facts.voiced) {
    return facts?.manner === 'nasal'
      ? 'Put a hand on your throat: you’ll feel it hum. Pinch your nose and it stops.'
      : 'Put a hand on your throat: you’ll feel it hum.';
  }
  return 'Put a hand on your throat: no buzz. Hold your palm in front of your mouth: you’ll feel the air.';
};

/**
 * How a sound is made, the usual slip and a check.
 * @param label the sound's plain label in the accent, which tells vowels apart
 * @example howMade('p', 'p').made // 'Press your lips together …'
 */
export function howMade(ipa: string, label: string): HowMade {
  const made = CONSONANT_MADE[ipa] ?? ownConsonant(ipa)?.made ?? VOWEL_MADE[label];
  if (!made) throw new Error(`How /${ipa}/ is made is not written down.`);
  return { made, slip: SLIP[makingOf(ipa)], check: checkIpa(ipa) };
}
