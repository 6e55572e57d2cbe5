import { choiceLikely, SOME_MISSED } from '../../answers/likely';
import { firstMaking, inCluster } from '../../lexicon/difficulty';
import { ipaOf, type Word } from '../../lexicon/entry';
import { traitsOf } from '../../lexicon/traits';
import { shuffle, type Random } from '../../random';
import { sure } from '../../sure';
import { shownOf } from '../marks';
import { oneBeat, type Material } from '../material';
import { need, wordOf } from '../proof';
import { advice } from '../saying';
import type { Building, Made, Opening, Task } from '../task';
import type { Step } from '../step';
import type { Spec } from '../spec';
import {
  bestOf,
  firstOf,
  isFoil,
  isThing,
  LAST_OPENING,
  lastOf,
  mayHear,
  mayHearIn,
  script,
  slash,
  some,
  soundFoil,
  thingsByStart,
} from './common';
import { allKnown, wordsOf } from './words';

/** Everyday words of one beat with one consonant at the start and one at the end. */
const plainWords = (material: Material): readonly Word[] =>
  material.keep('plain at both ends', () =>
    oneBeat(material).filter(
      (w) =>
        w.count === 3 &&
        w.sounds.length === 3 &&
        w.entry.band < 3 &&
        firstMaking(w) !== 'vowel' &&
        !sure(w.sounds[2]).vowel &&
        !inCluster(w, 0) &&
        !inCluster(w, 2),
    ),
  );

/** The things, which can be pointed to; where the sounds must be near, longer ones too, so that there are enough. */
const choicesOf = ({ foil }: Step, material: Material): readonly Word[] =>
  foil === 'near' ? thingsByStart(material) : material.keep('plain things', () => plainWords(material).filter(isThing));

/** Words of a row do not rhyme, and do not share what is not asked about. */
const unlike = (a: Word, b: Word): boolean =>
  a !== b && traitsOf(a).rhyme !== traitsOf(b).rhyme && ipaOf(a)[1] !== ipaOf(b)[1];

interface Hear {
  readonly place: 'first' | 'last';
  readonly name: string;
  readonly verb: string;
  readonly steps: readonly Step[];
  readonly rungs: Readonly<Record<string, string>>;
  readonly opening?: Opening;
  /** The sound asked about. */
  readonly at: (word: Word) => string;
}

/** Choices as they are read out. Example: `orOf(['sun', 'boat']) // 'sun or boat'`. */
const orOf = (choices: readonly string[]): string => `${choices.slice(0, -1).join(' … ')} … or ${sure(choices.at(-1))}`;

/**
 * Hearing before saying: the sound is told, and the word with it is to be found. A word, or its picture, is pointed
 * to.
 */
const hear = ({ place, name, verb, steps, rungs, opening, at }: Hear): Task => ({
  id: `hear-${place}`,
  ...(opening ? { opening } : {}),
  family: 'first-sounds',
  name,
  asks: `They hear a sound and find the word that ${verb} it.`,
  act: 'match',
  unit: 'sound',
  steps,
  rungs,
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 15,
  gesture: 'point to your choice',
  plain: `Which one ${verb} {sound}: {choices}?`,
  heads: (step, material) =>
    material.keep(`hear ${place} ${step.foil}`, () => {
      const all = choicesOf(step, material);
      const sounds = [...new Set(all.map(at))];
      const foiled = new Set(sounds.filter((a) => sounds.some((b) => soundFoil(a, b, step.foil, { place }))));
      return all.filter((w) => foiled.has(at(w)));
    }),
  kinds: (step) => sure(step.choices),
  build: ({ head, step, material, random, kind, wishes }) => {
    const others: Word[] = [];
    while (others.length < sure(step.choices) - 1) {
      const other = bestOf(
        choicesOf(step, material),
        random,
        (w) =>
          soundFoil(at(head), at(w), step.foil, { ...wishes, place }) &&
          !ipaOf(w).includes(at(head)) &&
          !mayHearIn(w, at(head)) &&
          [head, ...others].every((o) => unlike(o, w) && at(o) !== at(w)) &&
          !wishes.avoid.has(w.word),
        80,
      );
      if (!other) return null;
      others.push(other);
    }
    const names = shuffle(others, random).map((w) => w.word);
    names.splice(kind, 0, head.word);
    return { words: names, sounds: [at(head)] };
  },
  make: ({ words, sounds }, step, material) => {
    const row = words.map((w) => wordOf(material, w));
    const target = need(sounds?.[0], 'A sound to listen for.');
    const right = row.findIndex((w) => at(w) === target);
    const others = row.filter((_, i) => i !== right);
    const word = need(row[right], 'A word with the sound.');
    return {
      head: word,
      words: row.map(shownOf),
      view: {
        kind: 'row',
        answer: right,
        first: false,
        tags: { answer: 'this one' },
        ...(row.every((w) => w.entry.picture !== null) ? { pictures: true } : {}),
      },
      expected: word.word,
      kind: right,
      judged: { by: 'choice', choices: words, right },
      slots: { sound: slash(target, material), choices: orOf(words), word: word.word },
      likely: choiceLikely(words, right),
      how: `${advice([target], material.accent)} Name the pictures or things first. Pointing is an answer.`,
      script: script(word.word),
      facts: [
        ['there are as many words as the step says', row.length === step.choices],
        ['no other word has the sound', others.every((w) => !ipaOf(w).includes(target))],
        ['anyone tells it from theirs', others.every((w) => !mayHearIn(w, target))],
        ['anyone tells the sounds apart', others.every((w) => isFoil(target, at(w)))],
      ],
    };
  },
});

const HEAR_FIRST = hear({
  place: 'first',
  name: 'Which one starts with it?',
  verb: 'starts with',
  at: firstOf,
  steps: [
    { id: '2-far', name: '2 words, very different sounds', foil: 'far', choices: 2, place: 'first' },
    { id: '3-far', name: '3 words, very different sounds', foil: 'far', choices: 3, place: 'first' },
    { id: '3-near', name: '3 words, similar sounds', foil: 'near', choices: 3, place: 'first' },
  ],
  rungs: { '2-far': 'same', '3-far': 'sort', '3-near': 'near' },
});

const HEAR_LAST = hear({
  place: 'last',
  opening: LAST_OPENING,
  name: 'Which one ends with it?',
  verb: 'ends with',
  at: lastOf,
  steps: [
    { id: '2-far', name: '2 words, very different sounds', foil: 'far', choices: 2, place: 'last' },
    { id: '3-far', name: '3 words, very different sounds', foil: 'far', choices: 3, place: 'last' },
  ],
  rungs: { '2-far': 'hear-last', '3-far': 'hear-last' },
});

/** Words to catch among others: each is said with a breath after it. */
const callOut = (words: readonly Word[], target: string, step: Step, material: Material): Made => {
  const hits = words.filter((w) => firstOf(w) === target);
  const others = words.filter((w) => firstOf(w) !== target);
  return {
    head: null,
    words: words.map(shownOf),
    view: { kind: 'story', sentences: words.map((w) => [{ text: w.word, hit: firstOf(w) === target }]) },
    expected: hits.map((w) => w.word).join(', '),
    judged: { by: 'list', entries: hits.map((w) => w.word) },
    listed: words.map((w) => w.word).join(' · '),
    slots: { sound: slash(target, material), list: words.map((w) => w.word).join(' … ') },
    how: `${advice([target], material.accent)} Wait a breath after each word.`,
    script: script(hits.map((w) => w.word).join(', ')),
    likely: [SOME_MISSED],
    facts: [
      ['there are as many words as the step says', words.length === step.count],
      ['half of them are to be caught', hits.length * 2 === words.length],
      ['anyone tells the others from them', others.every((w) => isFoil(target, firstOf(w)) && !mayHear(w, 0, target))],
    ],
  };
};

/** No three alike in a row: hands would stay up. */
const mixed = (words: readonly Word[], target: string): boolean =>
  words.every(
    (w, i) => i < 2 || [i - 1, i - 2].some((j) => (firstOf(sure(words[j])) === target) !== (firstOf(w) === target)),
  );

function wordsToCatch({ head, theme, step, material, random, wishes }: Building): Spec | null {
  const pool = plainWords(material);
  const half = sure(step.count) / 2;
  const row = [head];
  const take = (fits: (w: Word) => boolean): void => {
    const fit = (w: Word): boolean => fits(w) && row.every((r) => unlike(r, w)) && !wishes.avoid.has(w.word);
    const next = bestOf(pool, random, (w) => isThing(w) && fit(w), 80) ?? bestOf(pool, random, fit, 80);
    if (next) row.push(next);
  };
  for (let i = 1; i < half; i += 1) take((w) => firstOf(w) === theme);
  for (let i = 0; i < half; i += 1) take((w) => soundFoil(sure(theme), firstOf(w), 'far', wishes));
  if (row.length !== step.count) return null;
  const order = rowInOrder(row, sure(theme), random);
  return order && { words: order.map((w) => w.word), sounds: [sure(theme)] };
}

function rowInOrder(row: readonly Word[], theme: string, random: Random): readonly Word[] | null {
  for (let tries = 0; tries < 20; tries += 1) {
    const order = shuffle(row, random);
    if (mixed(order, theme)) return order;
  }
  return null;
}

/** Sentences of plans made before: every word that starts with the sound was to be caught. */
function sentencesToCatch(words: readonly string[], target: string, step: Step, material: Material): Made {
  const story = words.map((w) => wordOf(material, w).entry.sentence);
  const sentences = story.map((s) =>
    s.split(/\s+/).map((text) => ({ text, hit: material.soundsOf(wordsOf(text)[0] ?? '')?.[0] === target })),
  );
  const hits = sentences
    .flat()
    .filter((w) => w.hit)
    .map((w) => sure(wordsOf(w.text)[0]));
  return {
    head: null,
    words: [],
    view: { kind: 'story', sentences },
    expected: hits.join(', '),
    judged: { by: 'list', entries: hits },
    slots: { sound: slash(target, material), list: story.join(' ') },
    how: `${advice([target], material.accent)} Read slowly, and wait a breath after each sentence.`,
    script: script(hits.join(', ')),
    likely: [SOME_MISSED],
    facts: [
      ['there are as many sentences as the step says', story.length === step.count],
      ['every word is known', story.every((s) => allKnown(s, material))],
      ['there is something to catch', hits.length > 0],
    ],
  };
}

/** A step of before: whole sentences were read. */
const isStory = (step: Step): boolean => step.now !== undefined;

const CATCH: Task = {
  id: 'catch',
  family: 'first-sounds',
  name: 'Catch the sound',
  opening: {
    opening: 'Our sound keeps popping up, like seedlings in spring. Watch me catch the first one.',
    plain: 'We’re catching a sound each time we hear it. Watch me do the first one.',
  },
  asks: 'They hear some words, one after another, and catch each one that starts with the sound.',
  act: 'match',
  unit: 'sound',
  steps: [
    { id: '6', name: '6 words', count: 6 },
    { id: '8', name: '8 words', count: 8 },
  ],
  unlisted: [
    { id: '3', name: '3 sentences', count: 3, now: '6' },
    { id: '4', name: '4 sentences', count: 4, now: '8' },
  ],
  secondsPerTurn: 30,
  gesture: 'hands up at each one',
  together: true,
  plain: 'Put your hands up when a word starts with {sound}.',
  heads: (_step, material) => plainWords(material),
  theme: (step, material, random, wishes) => {
    if (wishes.sound) return wishes.sound;
    const all = [...new Set(plainWords(material).map(firstOf))];
    // Where nothing can be told from a sound, there is nothing to catch it among.
    const sounds = some(all, random).filter((s) => all.some((o) => soundFoil(s, o, 'far', wishes)));
    const many = (s: string, of: (w: Word) => boolean): number =>
      plainWords(material).filter((w) => firstOf(w) === s && of(w)).length;
    const enough = sounds.filter((s) => many(s, () => true) >= sure(step.count) * 3);
    return enough.find((s) => many(s, isThing) >= sure(step.count)) ?? enough[0] ?? null;
  },
  fits: (head, _kind, theme) => theme !== null && firstOf(head) === theme,
  build: (building) => (building.theme === null ? null : wordsToCatch(building)),
  make: ({ words, sounds }, step, material) => {
    const target = need(sounds?.[0], 'A sound to catch.');
    if (isStory(step)) return sentencesToCatch(words, target, step, material);
    return callOut(
      words.map((w) => wordOf(material, w)),
      target,
      step,
      material,
    );
  },
};

export const HEAR_TASKS: readonly Task[] = [HEAR_FIRST, HEAR_LAST, CATCH];
