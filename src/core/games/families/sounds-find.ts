import { choiceLikely } from '../../answers/likely';
import { inCluster } from '../../lexicon/difficulty';
import { ipaOf, type Word } from '../../lexicon/entry';
import { traitsOf } from '../../lexicon/traits';
import { isPair } from '../../phonology/articulation';
import { EARS, NEVER_APART } from '../../phonology/by-ear';
import { CONSONANTS } from '../../phonology/sounds';
import type { Random } from '../../random';
import { advice } from '../saying';
import { need, Unproved, wordOf } from '../proof';
import { shownOf } from '../marks';
import { oneBeat, playable, shelves, type Material } from '../material';
import type { Building, Opening, Task, Wishes } from '../task';
import type { FoilKind, Step } from '../step';
import { sure } from '../../sure';
import {
  bestOf,
  firstOf,
  foilKind,
  isFoil,
  isThing,
  mayHear,
  mayHearIn,
  neverApart,
  script,
  slash,
  soundFoil,
  thingsByStart,
  times,
  YES_NO,
} from './common';

const FOILS: readonly Step[] = [
  { id: 'far', name: 'very different sounds', foil: 'far' },
  { id: 'near', name: 'similar sounds', foil: 'near' },
];

/** The start of *train* and *drink* is heard as /ch/ and /j/ too: not a word to ask about a sound’s place. */
const heardTwoWays = (w: Word): boolean =>
  w.sounds.some((s, i) => (s.ipa === 't' || s.ipa === 'd') && w.sounds[i + 1]?.ipa === 'r');

/** Words of one beat to put beside each other: not the same vowel, no rhyme, so that only the first sound decides. */
const apartInEnd = (a: Word, b: Word, material: Material): boolean => {
  const [x, y] = [shelves(material).of(a), shelves(material).of(b)];
  return x.vowel !== y.vowel && foilKind(a, b, material) !== 'same-ends';
};

/** Two words whose starts anyone tells apart. */
const toldApart = (a: Word, b: Word): boolean =>
  isFoil(firstOf(a), firstOf(b)) && !mayHear(a, 0, firstOf(b)) && !mayHear(b, 0, firstOf(a));

/** Of those, the words whose first sound has a foil of the step’s kind. */
const foiledStart = (step: Step, material: Material): readonly Word[] =>
  material.keep(`foiled start ${step.foil}`, () => {
    const firsts = [...new Set(thingsByStart(material).map(firstOf))];
    const fits = new Set(firsts.filter((a) => firsts.some((b) => soundFoil(a, b, step.foil))));
    return thingsByStart(material).filter((w) => fits.has(firstOf(w)));
  });

const otherFirst = ({ step, material, random, wishes }: Building, heads: readonly Word[]): Word | undefined => {
  const targets = heads.map(firstOf);
  return bestOf(
    thingsByStart(material),
    random,
    (w) =>
      targets.every((t) => soundFoil(t, firstOf(w), step.foil, wishes)) &&
      heads.every((h) => apartInEnd(h, w, material)) &&
      !wishes.avoid.has(w.word),
    60,
  );
};

const sameFirst = ({ material, random, wishes }: Building, row: readonly Word[]): Word | undefined =>
  bestOf(
    shelves(material).byFirst.get(firstOf(sure(row[0]))) ?? [],
    random,
    (w) =>
      isThing(w) &&
      w.count <= 4 &&
      !inCluster(w, 0) &&
      row.every((r) => r !== w && apartInEnd(r, w, material)) &&
      !wishes.avoid.has(w.word),
    40,
  );

const SAME: Task = {
  id: 'same-first',
  family: 'first-sounds',
  name: 'Same start?',
  asks: 'They say whether two words start with the same sound.',
  act: 'notice',
  unit: 'sound',
  steps: FOILS,
  rungs: { far: 'same', near: 'near' },
  oneOf: () => 2,
  secondsPerTurn: 12,
  gesture: 'thumbs up or thumbs down',
  plain: '{first} … {second}. Do they start with the same sound?',
  heads: foiledStart,
  kinds: () => 2,
  build: (b) => {
    const other = b.kind === 0 ? sameFirst(b, [b.head]) : otherFirst(b, [b.head]);
    return other ? { words: [b.head.word, other.word] } : null;
  },
  make: ({ words }, _step, material) => {
    const [a, b] = [wordOf(material, words[0]), wordOf(material, words[1])];
    const kind = firstOf(a) === firstOf(b) ? 0 : 1;
    return {
      head: a,
      words: [shownOf(a), shownOf(b)],
      view: { kind: 'pair' },
      expected: kind
        ? `no: ${slash(firstOf(a), material)} and ${slash(firstOf(b), material)}`
        : `yes: ${slash(firstOf(a), material)}`,
      judged: { by: 'choice', choices: YES_NO, right: kind },
      kind,
      slots: { first: a.word, second: b.word },
      likely: choiceLikely(YES_NO, kind),
      how: advice([...new Set([firstOf(a), firstOf(b)])], material.accent),
      script: script(kind ? 'No!' : 'Yes!'),
      facts: [
        ['they begin alike, or with sounds that anyone tells apart', kind === 0 || toldApart(a, b)],
        ['the ends do not give it away', traitsOf(a).rhyme !== traitsOf(b).rhyme],
      ],
    };
  },
};

const ODD: Task = {
  id: 'sound-odd',
  family: 'first-sounds',
  name: 'Odd one out',
  opening: {
    opening: 'One word has come up in the wrong row. Listen while I weed out the first one.',
    plain: 'One word starts with a different sound. Listen while I find the first one.',
  },
  asks: 'They find the word that starts with a different sound.',
  act: 'match',
  unit: 'sound',
  steps: [
    { id: '3-far', name: '3 words, a very different sound', foil: 'far', choices: 3 },
    { id: '4-far', name: '4 words, a very different sound', foil: 'far', choices: 4 },
    { id: '4-near', name: '4 words, a similar sound', foil: 'near', choices: 4 },
  ],
  rungs: { '3-far': 'sort', '4-far': 'near', '4-near': 'near' },
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 20,
  gesture: 'point to your choice',
  plain: '{words}. Which one starts with a different sound?',
  heads: foiledStart,
  kinds: (step) => sure(step.choices),
  build: (b) => {
    const row = [b.head];
    while (row.length < sure(b.step.choices) - 1) {
      const other = sameFirst(b, row);
      if (!other) return null;
      row.push(other);
    }
    const odd = otherFirst(b, row);
    if (!odd) return null;
    const names = row.map((w) => w.word);
    names.splice(b.kind, 0, odd.word);
    return { words: names };
  },
  make: ({ words }, step, material) => {
    const row = words.map((w) => wordOf(material, w));
    const odd = row.findIndex((w) => row.every((o) => o === w || firstOf(o) !== firstOf(w)));
    const rest = row.filter((_, i) => i !== odd);
    const head = need(rest[0], 'A row of words.');
    return {
      head,
      words: row.map(shownOf),
      view: { kind: 'row', answer: odd, first: false, tags: { answer: 'the odd one' } },
      expected: need(words[odd], 'One that starts differently.'),
      kind: odd,
      judged: { by: 'choice', choices: words, right: odd },
      slots: { words: words.join(' … ') },
      likely: choiceLikely(words, odd),
      how: `The others start with ${slash(firstOf(head), material)}. ${advice([firstOf(head)], material.accent)}`,
      script: script(sure(words[odd]), rest.map((w) => w.word).join(', ')),
      facts: [
        ['there are as many words as the step says', row.length === step.choices],
        ['all the others begin alike', rest.every((w) => firstOf(w) === firstOf(head))],
        ['the odd one begins with a sound that anyone tells apart', odd >= 0 && toldApart(head, sure(row[odd]))],
        [
          'no end gives it away',
          row.every((w, i) => row.every((o, j) => i === j || traitsOf(w).rhyme !== traitsOf(o).rhyme)),
        ],
      ],
    };
  },
};

/** Sounds a set can be about: enough words begin with them. */
/** How a theme is chosen. */
interface Choosing {
  readonly random: Random;
  readonly wishes: Wishes;
  /** Only a sound that can be held. */
  readonly held: boolean;
  /** The words of a set are things. */
  readonly things: boolean;
}

function pickTheme(step: Step, material: Material, { random, wishes, held, things }: Choosing): string | null {
  // Few things begin with some sounds.
  const least = things ? 6 : 10;
  const fits = (w: Word): boolean => w.entry.band < 3 && w.count <= 4 && (!things || isThing(w));
  const counts = material.keep(`themes ${things ? 'of things' : ''}`, () =>
    [...shelves(material).byFirst]
      .filter(([ipa, words]) => CONSONANTS[ipa] && words.filter(fits).length >= least)
      .map(([ipa]) => ipa),
  );
  if (wishes.sound) return wishes.sound;
  // A foil needs a neighbour, near or far, that many words begin with and that everyone here tells apart.
  const fit = counts.filter(
    (ipa) =>
      counts.some((o) => soundFoil(ipa, o, step.foil, wishes)) && (!held || sure(CONSONANTS[ipa]).making === 'hold'),
  );
  return fit[Math.floor(random() * fit.length)] ?? counts[0] ?? null;
}

/** The foil of a step; of a sound that has no near one, such as /s/, a far one. */
const foilOf = (theme: string, { foil }: Step): FoilKind | undefined =>
  foil === 'near' && !EARS.some((other) => soundFoil(theme, other, foil)) ? 'far' : foil;

const SORT: Task = {
  id: 'sort',
  family: 'first-sounds',
  name: 'Sort into two rows',
  asks: 'They say whether a word starts with the sound, and put it in the right row.',
  act: 'notice',
  unit: 'sound',
  steps: FOILS.map((s) => ({ ...s, place: 'last' as const })),
  rungs: { far: 'sort', near: 'near' },
  oneOf: () => 2,
  secondsPerTurn: 25,
  gesture: 'point to a row',
  plain: '{word}. Does it start with {sound}?',
  heads: (_step, material) => oneBeat(material).filter((w) => isThing(w) && w.count <= 5 && !heardTwoWays(w)),
  theme: (step, material, random, wishes) => pickTheme(step, material, { random, wishes, held: false, things: true }),
  kinds: () => 2,
  fits: (head, kind, theme, step) =>
    kind === 0 ? firstOf(head) === theme : theme !== null && soundFoil(theme, firstOf(head), foilOf(theme, step)),
  build: ({ head, theme, wishes }) =>
    theme &&
    (firstOf(head) === theme ||
      soundFoil(theme, firstOf(head), undefined, wishes) ||
      (!wishes.pairs?.length && !wishes.lowOnly))
      ? { words: [head.word], sounds: [theme] }
      : null,
  make: ({ words, sounds }, _step, material) => {
    const word = wordOf(material, words[0]);
    const target = need(sounds?.[0], 'A sound to sort by.');
    const kind = firstOf(word) === target ? 0 : 1;
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: 0, parts: null },
      expected: kind ? `no: ${slash(firstOf(word), material)}` : 'yes',
      kind,
      judged: { by: 'choice', choices: YES_NO, right: kind },
      slots: { word: word.word, sound: slash(target, material) },
      likely: choiceLikely(YES_NO, kind),
      how: `${advice([target], material.accent)} Name the thing or picture first.`,
      script: script(kind ? 'No!' : 'Yes!'),
      facts: [
        [
          'it begins with the sound, or with one that anyone tells from it',
          kind === 0 || (isFoil(target, firstOf(word)) && !mayHear(word, 0, target)),
        ],
      ],
    };
  },
};

/** How a game is opened that is about sounds anywhere in a word. */
const HIDDEN: Opening = {
  opening: 'Sounds can hide anywhere in a word, like potatoes in the soil. Listen while I dig up the first one.',
  plain: 'We’re listening for a sound anywhere in a word. Listen while I do the first one.',
};

const ANYWHERE: Task = {
  id: 'anywhere',
  family: 'first-sounds',
  name: 'Is it in there?',
  opening: HIDDEN,
  asks: 'They say whether a sound is anywhere in a word.',
  act: 'match',
  unit: 'sound',
  steps: FOILS.map((s) => ({ ...s, place: 'any' as const })),
  rungs: { far: 'where', near: 'where' },
  oneOf: () => 2,
  secondsPerTurn: 15,
  gesture: 'thumbs up or thumbs down',
  plain: '{word}. Can you hear {sound} in it?',
  heads: (_step, material) =>
    playable(material).filter((w) => w.count >= 3 && w.count <= 6 && w.entry.band < 3 && !heardTwoWays(w)),
  theme: (step, material, random, wishes) => pickTheme(step, material, { random, wishes, held: true, things: false }),
  kinds: () => 2,
  fits: (head, kind, theme, step) => {
    if (!theme) return false;
    if (kind === 0) return times(head, theme) > 0;
    const near = head.sounds.some((s) => soundFoil(theme, s.ipa, 'near'));
    const twin = head.sounds.some((s) => isPair(NEVER_APART, theme, s.ipa));
    return times(head, theme) === 0 && !twin && !mayHearIn(head, theme) && near === (step.foil === 'near');
  },
  build: ({ head, theme, wishes }) =>
    theme && (times(head, theme) > 0 || !head.sounds.some((s) => s.ipa !== theme && neverApart(theme, s.ipa, wishes)))
      ? { words: [head.word], sounds: [theme] }
      : null,
  make: ({ words, sounds }, _step, material) => {
    const word = wordOf(material, words[0]);
    const target = need(sounds?.[0], 'A sound to look for.');
    const kind = times(word, target) > 0 ? 0 : 1;
    const at = ipaOf(word).indexOf(target);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: at < 0 ? null : at, parts: null },
      expected: kind ? 'no' : `yes: ${whereIs(word, at)}`,
      kind,
      judged: { by: 'choice', choices: YES_NO, right: kind },
      slots: { word: word.word, sound: slash(target, material) },
      likely: choiceLikely(YES_NO, kind),
      how: advice([target], material.accent),
      script: script(kind ? 'No!' : 'Yes!'),
      facts: [
        [
          'the sound is in it, or no sound that anyone tells from it badly',
          kind === 0 || !(word.sounds.some((s) => isPair(NEVER_APART, target, s.ipa)) || mayHearIn(word, target)),
        ],
      ],
    };
  },
};

/** Where in a word an index stands, as children say it. */
const PLACE_CHOICES = ['start', 'middle', 'end'] as const;
const placeAt = (word: Word, at: number): number => {
  if (at === 0) return 0;
  return at === word.sounds.length - 1 ? 2 : 1;
};
const whereIs = (word: Word, at: number): string => sure(PLACE_CHOICES[placeAt(word, at)]);

/** In the middle, and no part of a cluster. */
const isInside = (word: Word, at: number): boolean => at > 0 && at < word.sounds.length - 1 && !inCluster(word, at);

const WHERE: Task = {
  id: 'where',
  family: 'first-sounds',
  name: 'Where is it?',
  opening: HIDDEN,
  asks: 'They say whether a sound is at the start, in the middle or at the end.',
  act: 'produce',
  unit: 'sound',
  steps: [
    { id: 'ends', name: 'start or end', place: 'ends', choices: 2 },
    { id: 'all', name: 'start, middle or end', place: 'middle', choices: 3 },
  ],
  rungs: { ends: 'where', all: 'where' },
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 18,
  gesture: 'head, tummy or toes',
  plain: '{word}. Where do you hear {sound}: {choices}?',
  heads: (step, material) =>
    playable(material).filter(
      (w) =>
        w.count >= 3 &&
        w.count <= 6 &&
        w.entry.band < 3 &&
        !heardTwoWays(w) &&
        !sure(w.sounds[0]).vowel &&
        !sure(w.sounds.at(-1)).vowel &&
        sure(w.units.at(-1)).sounds.length === 1 &&
        (step.choices === 2 || times(w, sure(ipaOf(w)[1])) === 1),
    ),
  kinds: (step) => sure(step.choices),
  build: ({ head, kind, step, random, wishes }) => {
    // By itself in the middle: children say that the l of *slide* is at the start.
    const middles = head.sounds.map((_, i) => i).filter((i) => isInside(head, i));
    const inside = (): number => middles[Math.floor(random() * middles.length)] ?? 0;
    const later = (): number => (step.choices === 2 || kind === 2 ? head.sounds.length - 1 : inside());
    const at = kind === 0 ? 0 : later();
    if (kind === 1 && step.choices === 3 && !isInside(head, at)) return null;
    const ipa = sure(ipaOf(head)[at]);
    const told = (other: string): boolean => other !== ipa && neverApart(ipa, other, wishes);
    return times(head, ipa) === 1 && !mayHearIn(head, ipa) && !head.sounds.some((s) => told(s.ipa))
      ? { words: [head.word], sounds: [ipa] }
      : null;
  },
  make: ({ words, sounds }, step, material) => {
    const word = wordOf(material, words[0]);
    const target = need(sounds?.[0], 'A sound to place.');
    const at = ipaOf(word).indexOf(target);
    if (at < 0) throw new Unproved(`There is no ${target} in “${word.word}”.`);
    const choices = step.choices === 2 ? [PLACE_CHOICES[0], PLACE_CHOICES[2]] : [...PLACE_CHOICES];
    const right = choices.indexOf(sure(PLACE_CHOICES[placeAt(word, at)]));
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: at, parts: null },
      expected: choices[right] ?? '',
      kind: right,
      judged: { by: 'choice', choices, right },
      slots: {
        word: word.word,
        sound: slash(target, material),
        choices: choices.length === 2 ? 'at the start or at the end' : 'at the start, in the middle or at the end',
      },
      likely: choiceLikely(choices, right),
      how: advice([target], material.accent),
      script: script(choices[right] ?? ''),
      facts: [
        ['the sound is there once, as far as anyone tells', times(word, target) === 1 && !mayHearIn(word, target)],
        [
          'it is at an end, or by itself where anyone tells',
          PLACE_CHOICES[placeAt(word, at)] !== 'middle' || isInside(word, at),
        ],
        ['its place is one of the choices', right >= 0],
      ],
    };
  },
};

export const FIND_TASKS: readonly Task[] = [SAME, SORT, ODD, ANYWHERE, WHERE];
