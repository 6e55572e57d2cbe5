import { distinct, soundAlone, unchanged } from '../../answers/likely';
import { inCluster } from '../../lexicon/difficulty';
import { ipaOf, type Word } from '../../lexicon/entry';
import { CLIPPED_SETS } from '../../phonology/keys';
import { isVowel } from '../../phonology/sounds';
import type { Family } from '../family';
import { advice } from '../saying';
import { marksOf, shownOf } from '../marks';
import { need, wordOf } from '../proof';
import type { Mark } from '../view';
import { oneBeat, type Material } from '../material';
import { restOf, senseOfRest, type Sense } from '../sense';
import type { Step } from '../step';
import { headsAmong, type Task } from '../task';
import { sure } from '../../sure';
import { isEnding, script, slash, staysAlike, times } from './common';

/** The sounds left when one goes. Example: *bite* without its first: `aɪ t`. */
const withoutSound = (word: Word, at: number): string[] => ipaOf(word).filter((_, i) => i !== at);

/** What the word is without one of its sounds. */
const senseWithout = (word: Word, at: number, material: Material): Sense => {
  const { segment } = sure(word.sounds[at]);
  return senseOfRest(word, (s) => s !== segment, material);
};

/** The indices of a word that a step's place allows. */
function placesOf(word: Word, step: Step): number[] {
  const last = word.sounds.length - 1;
  if (step.place === 'first') return !inCluster(word, 0) && !sure(word.sounds[0]).vowel ? [0] : [];
  if (step.place === 'last')
    return !inCluster(word, last) && !sure(word.sounds[last]).vowel && sure(word.units.at(-1)).sounds.length === 1
      ? [last]
      : [];
  return word.sounds.map((_, at) => at).filter((at) => inCluster(word, at));
}

/** Where a sound may go: what is left has a vowel, can be said, is not rude, and is a word where the step wants one. */
function leavable(word: Word, step: Step, material: Material): number[] {
  return placesOf(word, step).filter((at) => {
    if (isEnding(word, at, material.soundsOf)) return false;
    const left = withoutSound(word, at);
    if (left.length < 2 && !material.knownAs(left)) return false;
    if (!left.some((ipa) => isVowel(ipa)) || material.guard(left)) return false;
    const real = material.knownAs(left) !== undefined;
    // A clipped vowel does not end a word: “ma” for mat is hard to hear and to say.
    if (!real && step.place === 'last' && CLIPPED_SETS.has(sure(word.sounds[at - 1]).key)) return false;
    return real === (step.result === 'real');
  });
}

/**
 * Of a sound that is there twice nobody knows which; the ng of *think* is heard as n; and a plural is itself a
 * cluster.
 */
const isPlain = (word: Word, at: number, { place }: Step, { soundsOf }: Material): boolean => {
  const { ipa } = sure(word.sounds[at]);
  const ending = place === 'cluster' && isEnding(word, word.sounds.length - 1, soundsOf);
  return times(word, ipa) === 1 && ipa !== 'ŋ' && !ending;
};

/** A word is left that can be printed, and that is left in every accent, or is written so. */
function leavesAlike(word: Word, at: number, left: readonly string[], material: Material): boolean {
  const spelling = material.context.spellingOf(left);
  const known = material.byName.get(spelling ?? '');
  return spelling !== undefined && (!known || staysAlike(word, known, at));
}

/**
 * Those that are put forward: where no word is to be left, what is left is a silly word for certain, and can be read.
 */
const dealt = (word: Word, step: Step, material: Material): number[] =>
  leavable(word, step, material).filter((at) => {
    if (!isPlain(word, at, step, material)) return false;
    const left = withoutSound(word, at);
    if (step.result === 'real') return leavesAlike(word, at, left, material);
    return senseWithout(word, at, material) === 'silly' && material.context.respell(left) !== null;
  });

const GONE: Readonly<Record<string, string>> = {
  first: 'its first sound',
  last: 'its last sound',
  cluster: 'one sound',
};

/** The marks of what is left: the word's own, without the one that went. */
const marksWithout = (word: Word, at: number): Mark[] => marksOf(word).filter((_, i) => i !== at);

const LEAVE_OUT: Task = {
  id: 'leave-out',
  family: 'leaving-out',
  name: 'Leave a sound out',
  asks: 'They say a word without one of its sounds.',
  act: 'leave-out',
  unit: 'sound',
  steps: [
    { id: 'first', name: 'without the first, a word is left', place: 'first', result: 'real' },
    { id: 'last', name: 'without the last, a word is left', place: 'last', result: 'real' },
    { id: 'first-made-up', name: 'without the first, a made-up word is left', place: 'first', result: 'nonsense' },
    { id: 'last-made-up', name: 'without the last, a made-up word is left', place: 'last', result: 'nonsense' },
    { id: 'cluster', name: 'one of two together, a word is left', place: 'cluster', result: 'real' },
    {
      id: 'cluster-made-up',
      name: 'one of two together, a made-up word is left',
      place: 'cluster',
      result: 'nonsense',
    },
  ],
  rungs: {
    first: 'first',
    last: 'last',
    'first-made-up': 'made-up',
    'last-made-up': 'made-up',
    cluster: 'cluster',
    'cluster-made-up': 'cluster-made-up',
  },
  secondsPerTurn: 10,
  gesture: 'hold up a finger for each sound, then fold one away',
  plain: '{word}. Say it without {sound}.',
  ...headsAmong(
    (_step, material) => oneBeat(material).filter((w) => w.count <= 6 && w.entry.band < 3),
    (word, step, material) => dealt(word, step, material).length > 0,
  ),
  build: ({ head, step, material, random }) => {
    const places = dealt(head, step, material);
    return { words: [head.word], at: need(places[Math.floor(random() * places.length)], 'A sound that can go.') };
  },
  make: ({ words, at }, step, material) => {
    const word = wordOf(material, words[0]);
    const gone = need(word.sounds[at ?? -1]?.ipa, 'Which sound goes.');
    const left = withoutSound(word, sure(at));
    const rest = restOf(left, senseWithout(word, sure(at), material), material);
    const sound = slash(gone, material);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'change', from: marksOf(word), to: marksWithout(word, sure(at)), gone: [sure(at)], come: [] },
      expected: rest.expected,
      judged: { by: 'sounds', sounds: left },
      slots: { word: word.word, sound, left: rest.name, place: sure(GONE[sure(step.place)]) },
      how: [rest.about, advice([gone], material.accent)].filter(Boolean).join(' '),
      script: script(rest.name),
      likely: distinct([
        rest.likely,
        unchanged(word, 'the whole word'),
        soundAlone('other-sound', gone, { accent: material.accent, note: 'just that sound' }),
      ]),
      facts: [
        [
          'what is left is the word without that sound',
          left.length === word.sounds.length - 1 &&
            [...left.slice(0, at), gone, ...left.slice(at)].join(' ') === ipaOf(word).join(' '),
        ],
        [
          'the place, and whether a word is left, are those of the step',
          leavable(word, step, material).includes(sure(at)),
        ],
        ['what is left is not rude', !material.guard(left)],
      ],
    };
  },
};

export const LEAVING_OUT: Family = {
  id: 'leaving-out',
  name: 'Leaving out',
  frame: {
    name: 'prune one sound off',
    opening: 'Let’s snip a sound off each word: watch me do the first one.',
    plain: 'We’re leaving a sound out. Watch me do the first one.',
  },
  reminder: 'Have them say the word back before you take the sound away.',
  atHome: {
    played: 'We left a sound out of a word and said what was left.',
    tries: 'Say a word, then say it without its first sound. What is left?',
    withWords: true,
  },
  saidBack: true,
  ladder: {
    rungs: [
      { id: 'first', name: 'first', does: 'leave the first sound out' },
      { id: 'last', name: 'last', does: 'leave the last sound out' },
      { id: 'made-up', name: 'made-up', does: 'leave a sound out and say the silly word that’s left' },
      { id: 'cluster', name: 'in a cluster', does: 'leave one sound out of a pair, as in stop, top' },
      {
        id: 'cluster-made-up',
        name: 'cluster, made-up',
        does: 'leave one sound out of a pair and say the silly word that’s left',
      },
    ],
    needs: ['segmenting/3-clip'],
  },
  tasks: [LEAVE_OUT],
};
