import {
  choiceLikely,
  distinct,
  notJoined,
  rightLikely,
  slipLikely,
  soundAlone,
  unchanged,
} from '../../answers/likely';
import {
  CHANGE_PLACES,
  findChain,
  linkOf,
  linksFrom,
  changePlace,
  type ChangePlace,
  type ChainLink,
} from '../../lexicon/chains';
import { ipaOf, type Word } from '../../lexicon/entry';
import { onsetAndRime } from '../../lexicon/syllables';
import { traitsOf } from '../../lexicon/traits';
import { voiceStart } from '../../lexicon/voice-parts';
import { groupBy } from '../../group-by';
import { isVowel } from '../../phonology/sounds';
import type { Family } from '../family';
import { advice, spokenApart } from '../saying';
import { marksOf, shownOf } from '../marks';
import { need, wordOf } from '../proof';
import { oneBeat, playable, type Material } from '../material';
import { headsAmong, type Building, type Made, type Task } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import { WEAK_ALONE } from './blending';
import {
  apart,
  bestOf,
  isEnding,
  neverApart,
  rimesAlike,
  script,
  slash,
  some,
  staysAlike,
  times,
  WORDS_OF_ASKING,
} from './common';

/** Words a change may start from and come to: each sound one unit, so that nothing is argued about. */
const changeable = (material: Material): readonly Word[] =>
  material.keep('changeable', () =>
    playable(material).filter((w) => w.sounds.length >= 2 && w.sounds.length <= 6 && traitsOf(w).syllables <= 2),
  );
const isChangeable = (material: Material): ((word: Word) => boolean) => {
  const all = material.keep('changeable names', () => new Set(changeable(material).map((w) => w.word)));
  return (word) => all.has(word.word);
};

const changePlaces = ({ place }: Step): readonly ChangePlace[] => {
  if (place === 'any') return CHANGE_PLACES;
  return place === 'ends' ? ['first', 'last'] : [place as ChangePlace];
};

/** A plural or a past tense is no change of a sound, and a sound that is there twice is not named by itself. */
const readsClear = ({ from, to, at, old, new: come }: ChainLink, { soundsOf }: Material): boolean =>
  !WORDS_OF_ASKING.has(to.word) &&
  staysAlike(from, to, at) &&
  ![old, come].some((ipa) => ipa !== null && WEAK_ALONE.has(ipa)) &&
  !(old !== null && (isEnding(from, at, soundsOf) || times(from, old) > 1)) &&
  !(come !== null && isEnding(to, at, soundsOf));

/** The same, worked out once for each link: a chain looks at thousands. */
function isClear(link: ChainLink, material: Material): boolean {
  const known = material.keep('clear links', () => new WeakMap<ChainLink, boolean>());
  const clear = known.get(link) ?? readsClear(link, material);
  known.set(link, clear);
  return clear;
}

/** The changes that a step allows. */
const possible = (word: Word, step: Step, material: Material): ChainLink[] =>
  linksFrom(word, {
    neighbours: material.neighbours(),
    places: changePlaces(step),
    grow: step.grow === true,
    allowed: isChangeable(material),
  });

/** Those that are dealt. */
const links = (word: Word, step: Step, material: Material): ChainLink[] =>
  possible(word, step, material).filter((link) => isClear(link, material));

/** The one change from a word to another, or undefined where there is none. */
const between = (from: Word, to: Word, material: Material): ChainLink | undefined =>
  material
    .neighbours()
    .of(from)
    .filter((n) => traitsOf(n.word).said === traitsOf(to).said)
    .map((n) => ({ ...linkOf(from, n), to }))[0];

/** Where a sound comes in, in words. */
function whereTo({ at, to }: ChainLink, material: Material): string {
  if (at === 0) return 'at the start';
  return at === to.sounds.length - 1 ? 'at the end' : `after ${slash(sure(to.sounds[at - 1]).ipa, material)}`;
}

const CHANGE_WORDS: Readonly<Record<ChainLink['change'], (link: ChainLink, material: Material) => string>> = {
  swap: (l, m) => `change ${slash(sure(l.old), m)} to ${slash(sure(l.new), m)}`,
  'leave-out': (l, m) => `leave ${slash(sure(l.old), m)} out`,
  add: (l, m) => `add ${slash(sure(l.new), m)} ${whereTo(l, m)}`,
};

/** The new sound in the wrong place: at the other end of the word. */
function elsewhere({ from, at, change, new: come }: ChainLink, material: Material) {
  const place = at === 0 ? from.sounds.length - 1 : 0;
  const there = sure(from.sounds[place]);
  if (change !== 'swap' || !come || isVowel(come) || there.vowel || there.ipa === come) return [];
  const said = ipaOf(from).with(place, come);
  // Shown where it is a word: what else comes of it may not be seen, or not be said.
  const show = material.context.spellingOf(said);
  if (show === undefined) return [];
  return [slipLikely('wrong-place', { said, show, note: 'in another place' }, material.guard)];
}

/** An item of one change: what leaves, what comes, and the word it makes. */
function changed(link: ChainLink, material: Material, facts: Made['facts']): Made {
  const { from, to } = link;
  const change = CHANGE_WORDS[link.change](link, material);
  const sounds = [link.old, link.new].filter((s): s is string => s !== null);
  return {
    head: from,
    words: [shownOf(from), shownOf(to)],
    expected: to.word,
    judged: { by: 'sounds', sounds: ipaOf(to) },
    facts,
    view: {
      kind: 'change',
      from: marksOf(from),
      to: marksOf(to),
      gone: link.old === null ? [] : [link.at],
      come: link.new === null ? [] : [link.at],
    },
    slots: {
      word: from.word,
      change,
      answer: to.word,
      old: link.old ? slash(link.old, material) : '',
      new: link.new ? slash(link.new, material) : '',
    },
    how: `${advice(sounds, material.accent)}`,
    script: script(to.word),
    likely: distinct([
      rightLikely(ipaOf(to), to.word, 'right'),
      unchanged(from),
      ...elsewhere(link, material),
      ...(link.new
        ? [soundAlone('other-sound', link.new, { accent: material.accent, note: 'just the new sound' })]
        : []),
    ]),
  };
}

const oneChange = (from: Word, to: Word, link: ChainLink): readonly [string, boolean] => {
  const [a, b] = [ipaOf(from), ipaOf(to)];
  const differing = link.change === 'swap' ? a.filter((s, i) => s !== b[i]).length : Math.abs(a.length - b.length);
  return ['one sound changed, and no other', differing === 1 && (link.change !== 'swap' || a.length === b.length)];
};

const SWAP: Task = {
  id: 'swap',
  family: 'swapping',
  name: 'Swap a sound',
  asks: 'They change one sound in a word and say the new word.',
  act: 'swap',
  unit: 'sound',
  steps: [
    { id: 'first', name: 'the first sound', place: 'first' },
    { id: 'onset', name: 'a whole start for another', place: 'onset' },
    { id: 'last', name: 'the last sound', place: 'last' },
    { id: 'middle', name: 'the middle sound', place: 'middle' },
    { id: 'cluster', name: 'one of two together', place: 'cluster' },
  ],
  rungs: { first: 'first', onset: 'onset', last: 'last', middle: 'middle', cluster: 'cluster' },
  becomes: true,
  secondsPerTurn: 15,
  gesture: 'take one pot away and put another in its place',
  plain: '{word}. Now {change}. What is it now?',
  ...headsAmong(
    (step, material) =>
      step.place === 'onset'
        ? oneBeat(material).filter((w) => w.entry.band < 3 && onsetAndRime(w).onset.length > 0)
        : changeable(material).filter((w) => w.entry.band < 3),
    (word, step, material) =>
      (step.place === 'onset' ? onsetPartners(word, material) : links(word, step, material)).length > 0,
  ),
  build: ({ head, step, material, random, wishes }) => {
    if (step.place === 'onset') {
      const to = bestOf(onsetPartners(head, material), random, (w) => !wishes.avoid.has(w.word));
      return to ? { words: [head.word, to.word] } : null;
    }
    const to = some(links(head, step, material), random)
      .filter((l) => !wishes.avoid.has(l.to.word) && !neverApart(l.old ?? '', l.new ?? '', wishes))
      .sort((a, b) => a.to.entry.band - b.to.entry.band)[0];
    return to ? { words: [head.word, to.to.word] } : null;
  },
  make: ({ words }, step, material) => {
    const [from, to] = [wordOf(material, words[0]), wordOf(material, words[1])];
    if (step.place === 'onset') return onsetSwap(from, to, material);
    const link = need(between(from, to, material), `“${from.word}” and “${to.word}” aren’t one sound apart.`);
    return changed(link, material, [
      oneChange(from, to, link),
      [
        'it changed where the step says',
        possible(from, step, material).some((l) => traitsOf(l.to).said === traitsOf(to).said),
      ],
    ]);
  },
};

/** The start of a word as it is read aloud; null where letters would mislead. */
const startOf = (word: Word): string | null => voiceStart(onsetAndRime(word).onset, word.accent);

/**
 * Words that rhyme, where the starts have different numbers of sounds: not one sound, a whole start (*call*, *small*).
 */
const onsetPartners = (word: Word, material: Material): readonly Word[] => {
  const onset = onsetAndRime(word).onset.length;
  return (material.rhymes().get(traitsOf(word).rhyme) ?? []).filter(
    (w) =>
      !w.entry.doubt &&
      !WORDS_OF_ASKING.has(w.word) &&
      traitsOf(w).syllables === 1 &&
      onsetAndRime(w).onset.length > 0 &&
      onsetAndRime(w).onset.length !== onset &&
      onsetAndRime(w).coda.join() === onsetAndRime(word).coda.join() &&
      rimesAlike(word, w) &&
      startOf(w) !== null &&
      startOf(word) !== null &&
      !w.word.startsWith(word.word) &&
      !between(word, w, material),
  );
};

function onsetSwap(from: Word, to: Word, material: Material): Made {
  const [a, b] = [onsetAndRime(from), onsetAndRime(to)];
  const name = (word: Word): string => `“${startOf(word) ?? apart(onsetAndRime(word).onset, material)}”`;
  const change = `change the start ${name(from)} to ${name(to)}`;
  return {
    head: from,
    words: [shownOf(from), shownOf(to)],
    expected: to.word,
    judged: { by: 'sounds', sounds: ipaOf(to) },
    view: {
      kind: 'change',
      from: marksOf(from),
      to: marksOf(to),
      gone: a.onset.map((_, i) => i),
      come: b.onset.map((_, i) => i),
    },
    slots: { word: from.word, change, answer: to.word, old: name(from), new: name(to) },
    how: 'The whole start changes, all its sounds together.',
    script: script(to.word),
    likely: distinct([rightLikely(ipaOf(to), to.word, 'right'), unchanged(from)]),
    facts: [
      ['both have the same rest', a.vowel === b.vowel && a.coda.join(' ') === b.coda.join(' ')],
      [
        'the starts differ by more than one sound swapped',
        a.onset.length !== b.onset.length && a.onset.length > 0 && b.onset.length > 0,
      ],
      ['it is more than one sound', !between(from, to, material)],
    ],
  };
}

const PLACE_NAMES = ['first', 'middle', 'last'] as const;

const WHICH: Task = {
  id: 'which-changed',
  family: 'swapping',
  name: 'Which sound changed?',
  opening: {
    opening: 'Somebody has dug up one sound and planted another. Listen while I spot the first one.',
    plain: 'One sound changes. Listen while I do the first one.',
  },
  asks: 'They hear two words and say where the sound changed.',
  act: 'match',
  unit: 'sound',
  steps: [
    { id: 'ends', name: 'first or last', place: 'ends', choices: 2 },
    { id: 'all', name: 'first, middle or last', place: 'middle', choices: 3 },
  ],
  rungs: { ends: 'last', all: 'middle' },
  becomes: true,
  oneOf: (step) => sure(step.choices),
  secondsPerTurn: 15,
  gesture: 'point to the finger that changed',
  plain: '{first} … {second}. Which sound changed: {choices}?',
  heads: (_step, material) =>
    changeable(material).filter((w) => w.sounds.length === 3 && w.shape === 'CVC' && w.count === 3),
  kinds: (step) => sure(step.choices),
  build: ({ head, kind, step, material, random, wishes }) => {
    const place = step.choices === 2 ? sure((['first', 'last'] as const)[kind]) : sure(PLACE_NAMES[kind]);
    const found = some(links(head, { ...step, place }, material), random)
      .filter(
        (l) =>
          l.change === 'swap' &&
          l.to.shape === 'CVC' &&
          l.to.sounds.length === 3 &&
          !neverApart(sure(l.old), sure(l.new), wishes),
      )
      .sort((a, b) => a.to.entry.band - b.to.entry.band)[0];
    return found ? { words: [head.word, found.to.word] } : null;
  },
  make: ({ words }, step, material) => {
    const [from, to] = [wordOf(material, words[0]), wordOf(material, words[1])];
    const link = need(between(from, to, material), 'Words one sound apart.');
    const choices = step.choices === 2 ? ['first', 'last'] : [...PLACE_NAMES];
    const right = choices.indexOf(changePlace(from, link.at));
    const place = need(choices[right], 'The place that changed.');
    return {
      head: from,
      words: [shownOf(from), shownOf(to)],
      view: { kind: 'change', from: marksOf(from), to: marksOf(to), gone: [link.at], come: [link.at] },
      expected: `${place}: ${slash(link.old ?? '', material)} to ${slash(link.new ?? '', material)}`,
      kind: right,
      judged: { by: 'choice', choices, right },
      slots: {
        first: from.word,
        second: to.word,
        choices: choices.length === 2 ? 'first or last' : 'first, middle or last',
      },
      likely: choiceLikely(choices, right),
      how: `Say both twice. ${advice([sure(link.old), sure(link.new)], material.accent)}`,
      script: script(sure(choices[right])),
      facts: [oneChange(from, to, link), ['it was swapped', link.change === 'swap']],
    };
  },
};

/** Words with the same sounds in another order. */
const anagrams = (material: Material): ReadonlyMap<string, readonly Word[]> =>
  material.keep('anagrams', () => groupBy(changeable(material), (w) => [...ipaOf(w)].sort().join(' ')));
const reordered = (word: Word, step: Step, material: Material): Word[] => {
  const backwards = [...ipaOf(word)].reverse().join(' ');
  return (anagrams(material).get([...ipaOf(word)].sort().join(' ')) ?? []).filter(
    (w) => traitsOf(w).said !== traitsOf(word).said && (step.place === 'ends') === (ipaOf(w).join(' ') === backwards),
  );
};

const ORDER: Task = {
  id: 'reorder',
  family: 'swapping',
  name: 'Back to front',
  opening: {
    opening: 'Some words can be planted back to front. Watch me do the first one.',
    plain: 'We’re saying the sounds backwards. Watch me do the first one.',
  },
  asks: 'They say the sounds in a word backwards and work out the new word. It’s best for children of five and over.',
  act: 'swap',
  unit: 'sound',
  steps: [{ id: 'backwards', name: 'from the last to the first', place: 'ends' }],
  // The new order had to be told, which makes it blending.
  unlisted: [{ id: 'any', name: 'in any order', place: 'any', now: 'backwards' }],
  becomes: true,
  secondsPerTurn: 20,
  gesture: 'move the pots about',
  plain: '{word}. {turn}',
  heads: (step, material) => changeable(material).filter((w) => reordered(w, step, material).length > 0),
  build: ({ head, step, material, random, wishes }) => {
    const to = bestOf(reordered(head, step, material), random, (w) => !wishes.avoid.has(w.word));
    return to ? { words: [head.word, to.word] } : null;
  },
  make: ({ words }, step, material) => {
    const [from, to] = [wordOf(material, words[0]), wordOf(material, words[1])];
    return {
      head: from,
      words: [shownOf(from), shownOf(to)],
      view: {
        kind: 'change',
        from: marksOf(from),
        to: marksOf(to),
        gone: from.sounds.map((_, i) => i),
        come: to.sounds.map((_, i) => i),
      },
      expected: to.word,
      judged: { by: 'sounds', sounds: ipaOf(to) },
      slots: {
        word: from.word,
        sounds: spokenApart(from),
        turn:
          step.place === 'ends'
            ? `Its sounds are ${spokenApart(from)}. Say them backwards. What word do you get?`
            : `The same sounds in a new order: ${spokenApart(to)}. What is it now?`,
        answer: to.word,
      },
      how: advice([...new Set(ipaOf(to))], material.accent),
      script: script(to.word),
      likely: distinct([rightLikely(ipaOf(to), to.word, 'right'), unchanged(from), notJoined(to)]),
      facts: [
        [
          'the same sounds, and another order',
          [...ipaOf(from)].sort().join() === [...ipaOf(to)].sort().join() && ipaOf(from).join() !== ipaOf(to).join(),
        ],
        ['the order is that of the step', reordered(from, step, material).includes(to)],
      ],
    };
  },
};

/** Fewest and most words in a chain. */
const CHAIN_LENGTH = { least: 3, most: 10 } as const;

/** Links that add a sound or leave one out. */
const growing = (links: readonly ChainLink[]): number => links.filter((l) => l.change !== 'swap').length;
/** Where words may grow, one link in three does. */
const growsEnough = (links: readonly ChainLink[], { grow }: Step): boolean =>
  !grow || growing(links) * 3 >= links.length;
const isBetter = (a: readonly ChainLink[], b: readonly ChainLink[], step: Step): boolean =>
  a.length !== b.length ? a.length > b.length : step.grow === true && growing(a) > growing(b);

const CHAIN: Task = {
  id: 'chain',
  family: 'swapping',
  name: 'Chain',
  asks: 'Each word is one change away from the last, and they say the new one.',
  act: 'swap',
  unit: 'sound',
  inOrder: true,
  steps: [
    { id: 'first', name: 'first sounds only', place: 'first', count: 1 },
    { id: 'ends', name: 'first and last sounds', place: 'ends', count: 2 },
    { id: 'any', name: 'any sound', place: 'any', count: 2 },
    { id: 'grow', name: 'any sound, with adding and leaving out too', place: 'any', count: 3, grow: true },
  ],
  rungs: { first: 'first', ends: 'last', any: 'middle', grow: 'cluster' },
  becomes: true,
  leadsOn: true,
  secondsPerTurn: 15,
  gesture: 'take one pot away and put another in its place',
  plain: '{word}. Now {change}. What is it now?',
  heads: (step, material) =>
    material.keep(`chain ${step.id}`, () =>
      changeable(material).filter(
        (w) => w.entry.band < 3 && w.sounds.length <= 4 && links(w, step, material).length >= 2,
      ),
    ),
  sequence: ({ step, material, random, wishes }: Omit<Building, 'head' | 'kind'>) => {
    const heads = CHAIN.heads(step, material).filter(
      (w) => (!wishes.sound || ipaOf(w).includes(wishes.sound)) && (!wishes.words || wishes.words.has(w.word)),
    );
    const length = Math.min(Math.max(wishes.size + 1, CHAIN_LENGTH.least), CHAIN_LENGTH.most);
    const given = wishes.start ? material.byName.get(wishes.start) : undefined;
    const target = wishes.target ? material.byName.get(wishes.target) : undefined;
    const starts = given
      ? [given]
      : some(
          heads.filter((w) => !wishes.avoid.has(w.word)),
          random,
          step.grow ? 24 : 6,
        );
    const allowed = isChangeable(material);
    let best: ChainLink[] = [];
    for (const start of starts) {
      const { links: found } = findChain(
        material.neighbours(),
        {
          start,
          length,
          places: changePlaces(step),
          grow: step.grow === true,
          target,
          allowed,
          fits: (link) => isClear(link, material),
        },
        random,
      );
      if (isBetter(found, best, step)) best = [...found];
      if (best.length === length - 1 && growsEnough(best, step)) break;
    }
    return best.map((l) => ({ words: [l.from.word, l.to.word] }));
  },
  build: ({ head, step, material, random }) => {
    const to = some(links(head, step, material), random)[0];
    return to ? { words: [head.word, to.to.word] } : null;
  },
  make: ({ words }, step, material) => {
    const [from, to] = [wordOf(material, words[0]), wordOf(material, words[1])];
    const link = need(between(from, to, material), `“${from.word}” and “${to.word}” aren’t one sound apart.`);
    return changed(link, material, [
      oneChange(from, to, link),
      [
        'the change is one the step allows',
        possible(from, step, material).some((l) => traitsOf(l.to).said === traitsOf(to).said),
      ],
    ]);
  },
};

export const SWAPPING: Family = {
  id: 'swapping',
  name: 'Swapping',
  frame: {
    name: 'dig one out and replant',
    opening: 'We’re digging one sound out and planting a new one: watch me do the first one.',
    plain: 'We’re changing one sound. Watch me do the first one.',
  },
  reminder: 'Say which sound is going before you say the new one.',
  atHome: {
    played: 'We changed one sound in a word to make a new word.',
    tries: 'Say a short word, then change its first sound. What have you made?',
    withWords: true,
  },
  saidBack: true,
  ladder: {
    rungs: [
      { id: 'first', name: 'first', does: 'swap the first sound' },
      { id: 'onset', name: 'whole start', does: 'swap the whole start, as in ball, small' },
      { id: 'last', name: 'last', does: 'swap the last sound' },
      { id: 'middle', name: 'middle', does: 'swap the middle sound' },
      { id: 'cluster', name: 'in a cluster', does: 'swap one of two sounds together' },
    ],
    needs: ['first-sounds/say'],
  },
  tasks: [SWAP, WHICH, ORDER, CHAIN],
};
