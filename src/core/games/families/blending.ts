import { blendingLikely, choiceLikely, distinct, notJoined, slipLikely } from '../../answers/likely';
import { ipaOf, type Word } from '../../lexicon/entry';
import { onsetAndRime, onsetAndRimeLetters } from '../../lexicon/syllables';
import { voiceParts } from '../../lexicon/voice-parts';
import { traitsOf } from '../../lexicon/traits';
import { shuffle } from '../../random';
import type { Family, FamilyRung } from '../family';
import { need, wordOf } from '../proof';
import { sayingAdvice, spokenApart } from '../saying';
import { shownOf } from '../marks';
import { oneBeat, playable, type Material } from '../material';
import { wordShape } from '../word-shape';
import type { Made, Task } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import { makingOf } from '../../phonology/sounds';
import { bestOf, firstOf, foilKind, lastOf, script } from './common';
import { beatsVary, joinBeats } from './syllables';
import { TWINS } from './twins';

/** Words by their shape, easy to hard. */
export const soundSteps: readonly Step[] = [
  { id: '2', name: '2 sounds', count: 2, shape: '2' },
  { id: '3-held', name: '3 sounds, like sun: the first can be held', count: 3, shape: '3-held', starts: 'hold' },
  { id: '3-clip', name: '3 sounds, like pot: the first is short', count: 3, shape: '3-clip', starts: 'clip' },
  { id: '4-end', name: 'like lamp: two sounds together at the end', count: 4, shape: '4-end' },
  { id: '4-start', name: 'like frog: two sounds together at the start', count: 4, shape: '4-start' },
  { id: 'longer', name: 'like plant: one beat, 5 sounds or more', count: 5, shape: 'longer' },
  { id: 'two-beats', name: 'like rabbit: two beats', count: 5, shape: 'two-beats' },
];

/** Words by their number of sounds, whatever their shape: what a set or a plan may ask for. */
export const countSteps: readonly Step[] = [
  { id: '3', name: '3 sounds, of any kind', count: 3, now: '3-clip' },
  { id: '4', name: '4 sounds, of any kind', count: 4, now: '4-end' },
  { id: '5', name: '5 sounds, of any kind', count: 5, now: 'longer' },
  { id: '6', name: '6 sounds or more, of any kind', count: 6, most: 9, now: 'two-beats' },
];

/** Before there are gaps: the sounds run into each other. */
const STRETCHED: Step = {
  id: 'stretched',
  name: 'like sun, in one slow breath',
  shape: '3-held',
  starts: 'hold',
};

export const ONSET_RIME: Step = { id: 'onset-rime', name: 'start and rest', unit: 'onset-rime' };

/** What holds below the clusters, on either ladder of single sounds. */
const BELOW_CLUSTERS = [ONSET_RIME.id, '2', '3-held', '3-clip'];

/** What is done with the sounds: as practitioners say it, and plainly. */
interface SoundVerb {
  readonly does: string;
  readonly plainly: string;
}

/** A rung for each of those steps, and the start and rest below them. */
export const soundRungs = (
  onsetRime: string,
  { does, plainly }: SoundVerb,
  below: readonly FamilyRung[] = [],
): FamilyRung[] => {
  const like = (word: string) => ({
    name: `like ${word}`,
    does: `${does} words like ${word}`,
    plainly: `${plainly} in words like ${word}`,
  });
  const easier = [...below.map(({ id }) => id), ...BELOW_CLUSTERS];
  return [
    ...below,
    { id: ONSET_RIME.id, name: 'start + rest', does: onsetRime },
    { id: '2', name: '2', does: `${does} 2 sounds`, plainly: `${plainly} in words like go` },
    { id: '3-held', ...like('sun') },
    { id: '3-clip', ...like('pot'), was: ['3'] },
    { id: '4-end', ...like('lamp'), was: ['4'] },
    // A cluster at the one end says nothing of a cluster at the other.
    { id: '4-start', ...like('frog'), carries: easier },
    { id: 'longer', ...like('plant'), was: ['5'] },
    { id: 'two-beats', ...like('rabbit'), carries: easier, was: ['6'] },
  ];
};

/** Each of those steps is on the rung of its name. */
export const onSoundRungs: Readonly<Record<string, string>> = Object.fromEntries(
  [ONSET_RIME, ...soundSteps].map(({ id }) => [id, id]),
);

/** The start and the rest of a word as they are read aloud; null where letters would mislead. */
const clearParts = (word: Word, material: Material): readonly [start: string, rest: string] | null =>
  voiceParts(word, material.spellings());

/** The same; of a word that was dealt before such parts were known, its letters. */
export const partsOf = (word: Word, material: Material): readonly [start: string, rest: string] =>
  clearParts(word, material) ?? onsetAndRimeLetters(word);

/** Words with a start to part from the rest. */
export const withOnset = (material: Material): readonly Word[] =>
  material.keep('with onset', () =>
    oneBeat(material).filter(
      (w) =>
        onsetAndRime(w).onset.length > 0 &&
        w.sounds.length >= 3 &&
        w.count <= 5 &&
        clearParts(w, material) !== null &&
        !material.guard([onsetAndRime(w).vowel, ...onsetAndRime(w).coda]),
    ),
  );

/** Words a step about single sounds can take. */
export const ofCount = (step: Step, material: Material): readonly Word[] =>
  playable(material).filter((w) => fitsStep(w, step) && isSpoken(w, step));
const fitsCount = (w: Word, { count, most }: Step): boolean =>
  count === undefined || (w.count >= count && w.count <= (most ?? count));

/** True where a word has the shape, or else the number of sounds, that a step names. */
export const fitsStep = (w: Word, step: Step): boolean =>
  step.shape ? wordShape(ipaOf(w)) === step.shape : fitsCount(w, step);

/** An “uh” alone is what nobody is to say. */
export const WEAK_ALONE: ReadonlySet<string> = new Set(['ə', 'ɚ']);

/** Longest words that a step by shape deals: more sounds than that are a test of memory. */
const MOST_SOUNDS = 6;
/** Words to deal of a shape: everyday ones of one beat, or of two, with no “uh” in them. */
const isSpoken = (w: Word, { shape }: Step): boolean =>
  shape === undefined ||
  (w.count <= MOST_SOUNDS &&
    traitsOf(w).syllables === (shape === 'two-beats' ? 2 : 1) &&
    w.entry.band < 3 &&
    !w.sounds.some((s) => WEAK_ALONE.has(s.ipa)));

function joinOnset(word: Word, material: Material): Made {
  const [onset, rime] = partsOf(word, material);
  const { onset: first, vowel, coda } = onsetAndRime(word);
  return {
    head: word,
    words: [shownOf(word)],
    view: { kind: 'line', spot: null, parts: [onset, rime] },
    expected: word.word,
    judged: { by: 'sounds', sounds: ipaOf(word) },
    slots: { word: word.word, sounds: `${onset} … ${rime}` },
    how: `Say the start, then the rest in one go. ${sayingAdvice(word)}`,
    script: script(word.word),
    likely: distinct([
      notJoined(word, [onset, rime]),
      slipLikely(
        'part-only',
        { said: [vowel, ...coda], show: rime, note: 'just the rest', accent: material.accent },
        material.guard,
      ),
      slipLikely('part-only', { said: first, show: onset, note: 'just the start' }, material.guard),
    ]),
    facts: [
      ['start and rest join to the word’s sounds', [...first, vowel, ...coda].join(' ') === ipaOf(word).join(' ')],
      ['the rest alone is not rude', !material.guard([vowel, ...coda])],
    ],
  };
}

const isStretched = (step: Step): boolean => step.id === STRETCHED.id;

/** How the sounds of a word are said: with gaps, or stretched into each other. */
const soundsSaid = (word: Word, step: Step): string => spokenApart(word, isStretched(step) ? ' – ' : ' … ');

/** Words whose every sound can be held, so that one runs into the next. */
const isStretchable = (word: Word): boolean => makingOf(lastOf(word)) === 'hold';

const joinSounds = (word: Word, step: Step, material: Material): Made => ({
  head: word,
  words: [shownOf(word)],
  view: { kind: 'line', spot: null, parts: null },
  expected: word.word,
  judged: { by: 'sounds', sounds: ipaOf(word) },
  slots: { word: word.word, sounds: soundsSaid(word, step) },
  how: isStretched(step)
    ? 'Say it in one slow breath with no gaps, stretching each sound into the next.'
    : `Leave a gap after each sound. ${sayingAdvice(word)}`,
  script: script(word.word, `${soundsSaid(word, step)} … ${word.word}!`),
  likely: blendingLikely(word, material.context),
  facts: [['the word is of the kind the step names', fitsStep(word, step)]],
});

/** The adult says the parts; the child says the word. */
const BLENDING: Task = {
  id: 'blending',
  family: 'blending',
  name: 'Blending',
  asks: 'They hear the sounds and say the word.',
  act: 'blend',
  unit: 'sound',
  steps: [
    { id: 'syllables', name: 'beats', unit: 'syllable', count: 2 },
    STRETCHED,
    { ...ONSET_RIME, count: 2 },
    ...soundSteps,
  ],
  unlisted: countSteps,
  stepFor: wordShape,
  rungs: { ...onSoundRungs, syllables: 'syllables/join', [STRETCHED.id]: STRETCHED.id },
  wholeWord: 'joined',
  anySet: true,
  secondsPerTurn: 15,
  gesture: 'sweep a hand along as you join the sounds',
  counts: true,
  plain: 'Listen: {sounds}. What word is it?',
  heads: (step, material) => {
    if (step.unit === 'onset-rime') return withOnset(material);
    if (isStretched(step)) return ofCount(step, material).filter(isStretchable);
    if (step.unit !== 'syllable') return ofCount(step, material);
    return playable(material).filter((w) => traitsOf(w).syllables === 2 && !beatsVary(w));
  },
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    if (step.unit === 'syllable') return joinBeats(word, step, material);
    return step.unit === 'onset-rime' ? joinOnset(word, material) : joinSounds(word, step, material);
  },
};

const pictured = (material: Material): readonly Word[] =>
  material.keep('pictured', () => oneBeat(material).filter((w) => w.entry.picture !== null));

const PICTURES: Task = {
  id: 'blend-pictures',
  family: 'blending',
  name: 'Blend and find the picture',
  asks: 'They hear the sounds and point to the picture.',
  act: 'blend',
  unit: 'sound',
  counts: true,
  steps: [
    { id: '3-far', name: '3 sounds, 3 pictures', count: 3, choices: 3, foil: 'far', pictures: true },
    {
      id: '3-same-start',
      name: '3 sounds, one picture starts the same',
      count: 3,
      choices: 3,
      foil: 'same-start',
      pictures: true,
    },
    { id: '4-far', name: '4 sounds, 3 pictures', count: 4, choices: 3, foil: 'far', pictures: true },
  ],
  rungs: { '3-far': 'pictures', '3-same-start': 'pictures', '4-far': 'pictures' },
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 15,
  gesture: 'point to the picture',
  plain: 'Listen: {sounds}. Which picture is it?',
  heads: (step, material) => pictured(material).filter((w) => fitsStep(w, step)),
  kinds: () => 3,
  build: ({ head, step, material, random, kind, wishes }) => {
    const others: Word[] = [];
    const kinds = step.foil === 'same-start' ? ['same-start', 'far'] : ['far', 'far'];
    for (const want of kinds) {
      const foil = bestOf(
        pictured(material),
        random,
        (w) =>
          foilKind(head, w, material) === want &&
          Math.abs(w.count - head.count) <= 1 &&
          others.every((o) => firstOf(o) !== firstOf(w) && foilKind(o, w, material) !== null) &&
          !wishes.avoid.has(w.word),
        80,
      );
      if (!foil) return null;
      others.push(foil);
    }
    const names = shuffle(others, random).map((w) => w.word);
    names.splice(kind, 0, head.word);
    return { words: names, at: kind };
  },
  make: ({ words, at }, step, material) => {
    const row = words.map((w) => wordOf(material, w));
    const word = need(row[at ?? -1], 'Which picture it is.');
    const others = row.filter((w) => w !== word);
    return {
      head: word,
      words: row.map(shownOf),
      view: { kind: 'row', answer: sure(at), first: false, tags: { answer: 'this one' }, pictures: true },
      expected: word.word,
      kind: sure(at),
      judged: { by: 'choice', choices: words, right: sure(at) },
      slots: { word: word.word, sounds: spokenApart(word) },
      how: `Name all three pictures first. ${sayingAdvice(word)}`,
      script: script(word.word),
      likely: choiceLikely(words, sure(at)),
      facts: [
        ['every word has a picture', row.every((w) => w.entry.picture !== null)],
        ['no two are alike', others.every((w) => foilKind(word, w, material) !== null)],
        ['the number of sounds is that of the step', fitsStep(word, step)],
        [
          'a foil begins alike where the step says so',
          (step.foil === 'same-start') === others.some((w) => firstOf(w) === firstOf(word)),
        ],
      ],
    };
  },
};

export const BLENDING_FAMILY: Family = {
  id: 'blending',
  name: 'Blending',
  frame: {
    name: 'the old shed radio',
    opening: 'Our old shed radio says words in bits, so listen while I mend the first one.',
    plain: 'I’ll say a word in bits. Listen while I put the first one together.',
  },
  reminder: 'Leave a real gap, and wait before you help.',
  atHome: {
    played: 'One of us said the sounds in a word one by one, and we worked out the word.',
    tries: 'Say the sounds in a word with a little gap between them. Can your child say the word?',
    withWords: true,
  },
  ladder: {
    rungs: soundRungs(
      'put a start and a rest together, as in c-at',
      { does: 'blend', plainly: 'put together the sounds' },
      [
        { id: 'pictures', name: 'pictures', does: 'hear the sounds in a word and point to its picture' },
        { id: STRETCHED.id, name: 'stretched', does: 'hear a stretched-out word and say it' },
      ],
    ),
    needsLarger: ['first-sounds/same'],
  },
  tasks: [BLENDING, PICTURES, TWINS],
};
