import { distinct, choiceLikely, rightLikely, slipLikely, unchanged } from '../../answers/likely';
import { ipaOf, type Word } from '../../lexicon/entry';
import { rhymes } from '../../lexicon/likeness';
import { shuffle } from '../../random';
import type { Family } from '../family';
import { need, wordOf } from '../proof';
import { shownOf } from '../marks';
import { oneBeat, shelves, type Material } from '../material';
import type { Building, Task } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import {
  bestOf,
  firstOf,
  foilKind,
  isThing,
  rhymeFoil,
  rhymesOf,
  script,
  some,
  steadyRhymesOf,
  YES_NO,
} from './common';

/** Words of one beat with at least so many rhymes that hold in every accent. */
const rhyming =
  (least: number) =>
  (_step: Step, material: Material): readonly Word[] =>
    material.keep(`rhyming ${least}`, () =>
      oneBeat(material).filter((w) => w.entry.band < 3 && steadyRhymesOf(w, material).length >= least),
    );

const foilSteps: readonly Step[] = [
  { id: 'far', name: 'the others sound quite different', foil: 'far' },
  { id: 'same-start', name: 'the others start the same', foil: 'same-start' },
  { id: 'same-vowel', name: 'the others have the same vowel', foil: 'same-vowel' },
  { id: 'same-ends', name: 'only the vowel is different in the others', foil: 'same-ends' },
];

/** Rows that are easy are of things, which can be shown. */
const fitsRow = ({ things }: Step): ((word: Word) => boolean) => (things === true ? isThing : () => true);

const foilFor = (
  word: Word,
  { step, material, random, wishes }: Building,
  others: readonly Word[] = [],
): Word | undefined => rhymeFoil(word, sure(step.foil), others, { material, random, wishes, only: fitsRow(step) });
const partner = ({ head, step, material, random, wishes }: Building): Word | undefined => {
  const fits = (w: Word): boolean => fitsRow(step)(w) && !wishes.avoid.has(w.word);
  return (
    bestOf(steadyRhymesOf(head, material).filter(fits), random, fits, 24) ??
    bestOf(rhymesOf(head, material).filter(fits), random, fits, 24)
  );
};

const PAIRS: Task = {
  id: 'rhyme-pairs',
  family: 'rhyme',
  name: 'Do they rhyme?',
  asks: 'They say whether two words rhyme.',
  act: 'notice',
  unit: 'rhyme',
  steps: foilSteps,
  rungs: { far: 'same', 'same-start': 'same', 'same-vowel': 'close', 'same-ends': 'close' },
  oneOf: () => 2,
  secondsPerTurn: 12,
  gesture: 'thumbs up or thumbs down',
  plain: '{first} … {second}. Do they rhyme?',
  heads: rhyming(1),
  kinds: () => 2,
  build: (b) => {
    const other = b.kind === 0 ? partner(b) : foilFor(b.head, b);
    return other ? { words: [b.head.word, other.word] } : null;
  },
  make: ({ words }, step, material) => {
    const [a, b] = [wordOf(material, words[0]), wordOf(material, words[1])];
    const yes = rhymes(a, b);
    const kind = yes ? 0 : 1;
    return {
      head: a,
      words: [shownOf(a), shownOf(b)],
      view: { kind: 'pair' },
      expected: YES_NO[kind],
      judged: { by: 'choice', choices: YES_NO, right: kind },
      kind,
      slots: { first: a.word, second: b.word },
      how: 'Say both twice in the same voice. Give them time to think before the thumbs go up.',
      likely: choiceLikely(YES_NO, kind),
      script: script(yes ? 'Yes!' : 'No!', yes ? undefined : `${a.word} … ${b.word}`),
      facts: [
        ['they rhyme, or the foil is of the kind the step names', yes || foilKind(a, b, material) === step.foil],
        ['they are two words', a !== b && ipaOf(a).join() !== ipaOf(b).join()],
      ],
    };
  },
};

const rowSteps: readonly Step[] = [
  { id: '3-far', name: '3 words, the odd one sounds quite different', foil: 'far', choices: 3, things: true },
  { id: '4-far', name: '4 words, the odd one sounds quite different', foil: 'far', choices: 4 },
  { id: '3-same-start', name: '3 words, the odd one starts the same', foil: 'same-start', choices: 3 },
  { id: '4-same-vowel', name: '4 words, the odd one has the same vowel', foil: 'same-vowel', choices: 4 },
];

const ODD: Task = {
  id: 'rhyme-odd',
  family: 'rhyme',
  name: 'Odd one out',
  asks: 'They find the word that does not rhyme.',
  act: 'match',
  unit: 'rhyme',
  steps: rowSteps,
  rungs: { '3-far': 'odd-3', '3-same-start': 'odd-3', '4-far': 'odd-4', '4-same-vowel': 'odd-4' },
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 20,
  gesture: 'point to your choice',
  plain: '{words}. Which one does not rhyme?',
  heads: (step, material) => rhyming(sure(step.choices) - 2)(step, material).filter(fitsRow(step)),
  kinds: (step) => sure(step.choices),
  build: (b) => {
    const { head, step, material, random } = b;
    const row = [head];
    for (const other of some(steadyRhymesOf(head, material).filter(fitsRow(step)), random, 12)) {
      if (row.length < sure(step.choices) - 1 && !b.wishes.avoid.has(other.word) && row.every((w) => rhymes(w, other)))
        row.push(other);
    }
    const foil = row.length === sure(step.choices) - 1 ? foilFor(head, b, row) : undefined;
    if (!foil) return null;
    const words = row.map((w) => w.word);
    words.splice(b.kind, 0, foil.word);
    return { words };
  },
  make: ({ words }, step, material) => {
    const row = words.map((w) => wordOf(material, w));
    const odd = row.findIndex((w) => row.every((o) => o === w || !rhymes(w, o)));
    const rest = row.filter((_, i) => i !== odd);
    const names = row.map((w) => w.word);
    return {
      head: need(rest[0], 'A row of words.'),
      words: row.map(shownOf),
      view: { kind: 'row', answer: odd, first: false, tags: { answer: 'the odd one' } },
      expected: need(names[odd], 'One that does not rhyme.'),
      kind: odd,
      judged: { by: 'choice', choices: names, right: odd },
      slots: { words: names.join(' … ') },
      likely: choiceLikely(names, odd),
      how: 'Say the row twice in the same voice. If you use pictures, name each one first.',
      script: script(sure(names[odd]), rest.map((w) => w.word).join(', ')),
      facts: [
        ['there are as many words as the step says', row.length === step.choices],
        ['all the others rhyme', rest.every((w, i) => rest.every((o, j) => i === j || rhymes(w, o)))],
        ['one alone does not', odd >= 0 && rest.every((w) => !rhymes(w, sure(row[odd])))],
        [
          'the odd one is of the kind the step names',
          rest.some((w) => foilKind(w, sure(row[odd]), material) === step.foil),
        ],
      ],
    };
  },
};

const MATCH: Task = {
  id: 'rhyme-match',
  family: 'rhyme',
  name: 'Which one rhymes?',
  asks: 'They choose the word that rhymes with the first.',
  act: 'match',
  unit: 'rhyme',
  steps: [
    { id: '2-far', name: '2 to choose from', foil: 'far', choices: 2, things: true },
    { id: '3-far', name: '3 to choose from', foil: 'far', choices: 3, things: true },
    { id: '3-same-start', name: '3, the others start the same', foil: 'same-start', choices: 3 },
    { id: '3-same-vowel', name: '3, the others have the same vowel', foil: 'same-vowel', choices: 3 },
  ],
  rungs: { '2-far': 'match-2', '3-far': 'match-3', '3-same-start': 'match-3', '3-same-vowel': 'match-3' },
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 18,
  gesture: 'point to your choice',
  plain: '{first}. Which one rhymes with it: {choices}?',
  heads: (step, material) => rhyming(1)(step, material).filter(fitsRow(step)),
  kinds: (step) => sure(step.choices),
  build: (b) => {
    const right = partner(b);
    if (!right) return null;
    const others: Word[] = [];
    while (others.length < sure(b.step.choices) - 1) {
      const foil = foilFor(b.head, b, [b.head, right, ...others]);
      if (!foil) return null;
      others.push(foil);
    }
    const names = shuffle(others, b.random).map((w) => w.word);
    names.splice(b.kind, 0, right.word);
    return { words: [b.head.word, ...names] };
  },
  make: ({ words }, step, material) => {
    const [first, ...choices] = words.map((w) => wordOf(material, w));
    const head = need(first, 'A word.');
    const right = choices.findIndex((w) => rhymes(head, w));
    const names = choices.map((w) => w.word);
    return {
      head,
      words: [head, ...choices].map(shownOf),
      view: { kind: 'row', answer: right + 1, first: true, tags: { first: 'rhymes with', answer: 'this one' } },
      expected: need(names[right], 'One that rhymes.'),
      kind: right,
      judged: { by: 'choice', choices: names, right },
      slots: { first: head.word, choices: names.join(' … ') },
      likely: choiceLikely(names, right),
      how: 'Say the first word again before each choice.',
      script: script(sure(names[right]), `${head.word}, ${names[right]}`),
      facts: [
        ['there are as many choices as the step says', choices.length === step.choices],
        ['one alone rhymes', choices.filter((w) => rhymes(head, w)).length === 1],
        [
          'the others are of the kind the step names',
          choices.every((w, i) => i === right || foilKind(head, w, material) === step.foil),
        ],
      ],
    };
  },
};

const SAY: Task = {
  id: 'rhyme-say',
  family: 'rhyme',
  name: 'Say one that rhymes',
  asks: 'They say any word, real or made up, that rhymes.',
  act: 'produce',
  unit: 'rhyme',
  steps: [
    { id: 'many', name: 'many rhymes', told: 'told' },
    { id: 'few', name: 'few rhymes', told: 'kept' },
  ],
  rungs: { many: 'say', few: 'say' },
  secondsPerTurn: 18,
  gesture: 'hold out an open hand to whoever is next',
  plain: 'Can you say a word that rhymes with {word}?',
  heads: (step, material) =>
    material.keep(`rhyme-say ${step.id}`, () =>
      rhyming(2)(step, material).filter((w) => (step.told === 'told') === rhymesOf(w, material).length >= 6),
    ),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    const all = rhymesOf(word, material);
    const top = [...all].sort((a, b) => a.entry.band - b.entry.band);
    const { onset, vowel, coda } = shelves(material).of(word);
    const start = (shelves(material).byFirst.get(firstOf(word)) ?? []).find(
      (w) => w !== word && foilKind(word, w, material) === 'same-start',
    );
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: null, parts: null },
      expected: top
        .slice(0, 4)
        .map((w) => w.word)
        .join(', '),
      judged: { by: 'rhyme', rime: [vowel, ...coda], onset },
      slots: { word: word.word },
      how: 'A made-up word that rhymes is right, so cheer for it.',
      script: script(top[0]?.word ?? ''),
      likely: distinct([
        ...top.slice(0, 2).map((w) => rightLikely(ipaOf(w), w.word, 'rhymes')),
        ...(start
          ? [
              slipLikely(
                'same-start',
                { said: ipaOf(start), show: start.word, note: 'same first sound' },
                material.guard,
              ),
            ]
          : []),
        unchanged(word, 'said the same word'),
      ]),
      facts: [
        ['there are rhymes to find', all.length >= 2],
        ['every one given rhymes', top.slice(0, 4).every((w) => rhymes(word, w))],
        ['as many as the step says', (step.told === 'told') === all.length >= 6],
      ],
    };
  },
};

export const RHYME: Family = {
  id: 'rhyme',
  name: 'Rhyme',
  frame: {
    name: 'two peas that rhyme',
    opening: 'Rhyming words belong together like peas in a pod, so listen while I open the first one.',
    plain: 'Rhyming words sound the same at the end. Listen while I do the first one.',
  },
  reminder: 'Just listen to how the words end. The spelling doesn’t matter.',
  atHome: {
    played: 'We listened for words that rhyme.',
    tries: 'Say a word and think of one that rhymes with it. Made-up words are welcome.',
    withWords: true,
  },
  ladder: {
    rungs: [
      { id: 'same', name: 'same?', does: 'hear whether two words rhyme' },
      { id: 'match-2', name: 'match, 2', does: 'choose the rhyme from two words' },
      { id: 'match-3', name: 'match, 3', does: 'choose the rhyme from three words', was: ['which'] },
      { id: 'close', name: 'close ones', does: 'tell words that rhyme from words that only sound similar' },
      { id: 'odd-3', name: 'odd one, 3', does: 'find the one of three that does not rhyme', was: ['odd'] },
      { id: 'odd-4', name: 'odd one, 4', does: 'find the one of four that does not rhyme' },
      { id: 'say', name: 'say one', does: 'say a word that rhymes' },
    ],
    needsLarger: ['syllables/compounds'],
  },
  tasks: [PAIRS, ODD, MATCH, SAY],
};
