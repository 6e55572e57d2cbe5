import {
  distinct,
  notJoined,
  numberLikely,
  segmentingLikely,
  slipLikely,
  soundAlone,
  soundRight,
  wholeWord,
  type LikelyAnswer,
} from '../../answers/likely';
import { saidOf } from '../../answers/said';
import { onsetAndRime } from '../../lexicon/syllables';
import { traitsOf } from '../../lexicon/traits';
import { ipaOf, type Word } from '../../lexicon/entry';
import type { Family } from '../family';
import { advice, sayingAdvice, spokenApart } from '../saying';
import { need, wordOf } from '../proof';
import { shownOf } from '../marks';
import type { Material } from '../material';
import type { Made, Task } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import {
  countSteps,
  fitsStep,
  ofCount,
  ONSET_RIME,
  onSoundRungs,
  partsOf,
  soundRungs,
  soundSteps,
  withOnset,
} from './blending';
import { wordShape } from '../word-shape';
import { mayHear, script, slash } from './common';

/** Every sound of the word: more than was asked for, and never a miss. */
const allItsSounds = (word: Word): LikelyAnswer => ({
  ...notJoined(word),
  id: 'all-sounds',
  slip: null,
  outcome: 'on-own',
  note: 'all its sounds: right',
});

function takeStart(word: Word, material: Material): Made {
  const [onset, rime] = partsOf(word, material);
  const { onset: first, vowel, coda } = onsetAndRime(word);
  return {
    head: word,
    words: [shownOf(word)],
    view: { kind: 'line', spot: null, parts: null },
    expected: `${onset} · ${rime}`,
    judged: { by: 'parts', count: 2, moreToo: true },
    slots: { word: word.word, parts: 'its start, then the rest' },
    how: `They say the start, then the rest in one go. ${sayingAdvice(word)}`,
    script: script(`${onset} · ${rime}`, word.word),
    likely: distinct([
      {
        id: 'right',
        slip: null,
        outcome: 'on-own',
        said: saidOf([first, [vowel, ...coda]]),
        show: `${onset} · ${rime}`,
        note: 'right',
        missed: [],
      },
      allItsSounds(word),
      slipLikely('part-only', { said: first, show: onset, note: 'just the start' }, material.guard),
      wholeWord(word),
    ]),
    facts: [
      ['start and rest join to the word’s sounds', [...first, vowel, ...coda].join(' ') === ipaOf(word).join(' ')],
    ],
  };
}

const takeSounds = (word: Word, step: Step, material: Material): Made => ({
  head: word,
  words: [shownOf(word)],
  view: { kind: 'line', spot: null, parts: null },
  expected: spokenApart(word, ' · '),
  judged: { by: 'sounds', sounds: ipaOf(word), apart: true },
  slots: { word: word.word, parts: 'its sounds' },
  how: `Don’t say how many there are. ${sayingAdvice(word)}`,
  script: script(spokenApart(word, ' · '), `${spokenApart(word)} … ${word.word}!`),
  likely: segmentingLikely(word, material.context),
  facts: [['the word is of the kind the step names', fitsStep(word, step)]],
});

/** The adult says the word; the child says its sounds, one by one, then joins it again. */
const SEGMENTING: Task = {
  id: 'segmenting',
  family: 'segmenting',
  name: 'Segmenting',
  asks: 'They say each sound in a word, then put it back together.',
  act: 'segment',
  unit: 'sound',
  scoresSounds: true,
  counts: true,
  steps: [{ ...ONSET_RIME, count: 2 }, ...soundSteps],
  unlisted: countSteps,
  stepFor: wordShape,
  rungs: onSoundRungs,
  joinsAgain: true,
  wholeWord: 'apart',
  anySet: true,
  secondsPerTurn: 40,
  gesture: 'one finger, or one pot, for each sound',
  plain: 'Listen: {word}. Now say {parts}.',
  heads: (step, material) => (step.unit === 'onset-rime' ? withOnset(material) : ofCount(step, material)),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    return step.unit === 'onset-rime' ? takeStart(word, material) : takeSounds(word, step, material);
  },
};

/** How a sound is asked for: the first, the last, or the one after those that were said. */
function askFor(word: Word, at: number): string {
  if (at === 0) return `${word.word}. What is the first sound?`;
  if (at === word.sounds.length - 1) return `${word.word}. What is the last sound?`;
  const before = spokenApart(word).split(' … ').slice(0, at).join(' … ');
  return `${word.word}: ${before} … What comes next?`;
}

/** What is first, what is next, what is last: one child each, or one child all. */
const ASK: Task = {
  id: 'ask-sound',
  family: 'segmenting',
  name: 'First, next, last',
  asks: 'They say the one sound you ask for.',
  act: 'segment',
  unit: 'sound',
  counts: true,
  steps: [
    { id: '3', name: '3 sounds', count: 3 },
    { id: '4', name: '4 sounds', count: 4 },
  ],
  unlisted: [{ id: '5', name: '5 sounds', count: 5, now: '4' }],
  joinsAgain: true,
  secondsPerTurn: 15,
  gesture: 'point along the row of pots',
  plain: '{ask}',
  heads: (step, material) =>
    ofCount(step, material).filter(
      (w) => w.sounds.length === w.count && w.entry.band < 3 && traitsOf(w).syllables === 1,
    ),
  kinds: (step) => sure(step.count),
  // What was said already is not what comes next.
  fits: (head, kind) =>
    kind === head.sounds.length - 1 ||
    !ipaOf(head)
      .slice(0, kind)
      .includes(sure(ipaOf(head)[kind])),
  build: ({ head, kind }) => ({ words: [head.word], at: kind }),
  make: ({ words, at }, step, material) => {
    const word = wordOf(material, words[0]);
    const ipa = ipaOf(word);
    const sound = need(ipa[at ?? -1], 'Which sound is asked for.');
    const next = ipa[sure(at) + 1] ?? sure(ipa[sure(at) - 1]);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: sure(at), parts: null },
      expected: slash(sound, material),
      kind: sure(at),
      judged: { by: 'sounds', sounds: [sound] },
      slots: { word: word.word, ask: askFor(word, sure(at)) },
      how: `${advice([sound], material.accent)}`,
      script: script(slash(sound, material)),
      likely: distinct([
        soundRight(sound, material.accent),
        ...(next === sound || mayHear(word, sure(at), next)
          ? []
          : [soundAlone('other-sound', next, { accent: material.accent, note: 'the sound next to it' })]),
        wholeWord(word),
      ]),
      facts: [
        ['the number of sounds is that of the step', fitsStep(word, step)],
        ['each sound counts as one', ipa.length === word.count],
      ],
    };
  },
};

const HOW_MANY: Task = {
  id: 'how-many',
  family: 'segmenting',
  name: 'How many sounds?',
  asks: 'They say how many sounds a word has.',
  act: 'segment',
  unit: 'sound',
  counts: true,
  steps: [
    { id: '2-3', name: '2 or 3 sounds', count: 2, most: 3 },
    { id: '3-4', name: '3 or 4 sounds', count: 3, most: 4 },
    { id: '4-5', name: '4 or 5 sounds', count: 4, most: 5 },
  ],
  rungs: { '2-3': 'how-many', '3-4': 'how-many', '4-5': 'how-many' },
  oneOf: () => 2,
  secondsPerTurn: 15,
  gesture: 'a finger for each sound',
  plain: '{word}. How many sounds can you hear?',
  heads: (step, material) => ofCount(step, material).filter((w) => traitsOf(w).syllables === 1 && w.entry.band < 3),
  kinds: () => 2,
  fits: (head, kind, _theme, step) => head.count === sure(step.count) + kind,
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: null, parts: null },
      expected: String(word.count),
      kind: word.count - sure(step.count),
      judged: { by: 'number', right: word.count },
      slots: { word: word.word },
      how: `Count sounds, not letters. ${sayingAdvice(word)}`,
      script: script(String(word.count), spokenApart(word)),
      likely: numberLikely(word.count),
      facts: [['the number of sounds is that of the step', fitsStep(word, step)]],
    };
  },
};

export const SEGMENTING_FAMILY: Family = {
  id: 'segmenting',
  name: 'Segmenting',
  frame: {
    name: 'one pot for each sound',
    opening: 'We’re planting words with one pot for each sound: watch me plant the first one.',
    plain: 'We’re taking words apart. Watch me do the first one.',
  },
  reminder:
    'Have them say the word back first. Don’t tell them how many sounds it has. Put it back together afterwards.',
  atHome: {
    played: 'We took words apart, sound by sound, and put them back together.',
    tries: 'Say a short word together. Take one step for each sound you hear.',
    withWords: true,
  },
  saidBack: true,
  ladder: {
    rungs: [
      ...soundRungs('split a word into its start and the rest, as in c-at', {
        does: 'segment',
        plainly: 'say the sounds',
      }),
      // A number may be guessed, and is less than the sounds themselves.
      { id: 'how-many', name: 'how many', does: 'say how many sounds a word has', carries: [] },
    ],
    needs: ['blending/onset-rime'],
  },
  tasks: [SEGMENTING, ASK, HOW_MANY],
};
