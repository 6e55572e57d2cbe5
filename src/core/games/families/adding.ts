import { distinct, rightLikely, soundAlone, unchanged } from '../../answers/likely';
import { inCluster } from '../../lexicon/difficulty';
import { ipaOf, type Word } from '../../lexicon/entry';
import { changePlace } from '../../lexicon/chains';
import type { Family } from '../family';
import { advice } from '../saying';
import { marksOf, shownOf } from '../marks';
import { need, wordOf } from '../proof';
import { playable, type Material } from '../material';
import type { Step } from '../step';
import type { Task } from '../task';
import { sure } from '../../sure';
import { isEnding, script, slash, some, staysAlike, WORDS_OF_ASKING } from './common';

/** Words one sound longer, with the index of the new sound, at the step's place. */
function longer(word: Word, step: Step, material: Material): { to: Word; at: number }[] {
  return material
    .neighbours()
    .of(word)
    .filter(
      (n) =>
        n.change === 'add' &&
        !WORDS_OF_ASKING.has(n.word.word) &&
        !n.word.entry.doubt &&
        n.word.units.every((u) => u.sounds.length === 1),
    )
    .map((n) => ({ to: n.word, at: placeIn(word, n.word) }))
    .filter(({ to, at }) => {
      const last = to.sounds.length - 1;
      if (sure(to.sounds[at]).vowel || sure(to.sounds[at]).ipa === 'ŋ' || isEnding(to, at, material.soundsOf))
        return false;
      if (step.place === 'cluster') return changePlace(to, at) === 'cluster';
      return !inCluster(to, at) && at === (step.place === 'first' ? 0 : last);
    });
}

/** Those that are dealt. */
const grown = (word: Word, step: Step, material: Material): { to: Word; at: number }[] =>
  longer(word, step, material).filter(({ to, at }) => staysAlike(word, to, at));

/** Where the new sound stands: of two like sounds beside each other, the later. */
function placeIn(from: Word, to: Word): number {
  const [a, b] = [ipaOf(from), ipaOf(to)];
  let at = 0;
  while (at < a.length && a[at] === b[at]) at += 1;
  return at;
}

/** Words that name things, with their plural: one frog, two frogs. */
const plurals = (material: Material): ReadonlyMap<string, Word> =>
  material.keep(
    'plurals',
    () =>
      new Map(
        material.forms().flatMap((form): [string, Word][] => {
          const from = material.baseOf().get(form.word);
          const base = material.byName.get(from?.base ?? '');
          const thing = base && (base.entry.prop || base.entry.picture !== null) && !base.entry.doubt;
          return thing && from?.ending === 's' && form.sounds.length === base.sounds.length + 1
            ? [[base.word, form]]
            : [];
        }),
      ),
  );

const WHERE: Readonly<Record<string, string>> = { first: 'at the start', last: 'at the end' };

/** Where a step puts the new sound, in words. */
function whereTo(word: Word, to: Word, step: Step, material: Material): string {
  if (step.id === 'ending') return 'at the end';
  const before = to.sounds[placeIn(word, to) - 1];
  if (step.place === 'cluster') return before ? `after ${slash(before.ipa, material)}` : 'at the start';
  return WHERE[sure(step.place)] ?? '';
}

const ADD: Task = {
  id: 'add',
  family: 'adding',
  name: 'Add a sound',
  asks: 'They add a sound to a word and say the new word.',
  act: 'add',
  unit: 'sound',
  steps: [
    { id: 'first', name: 'a first sound', place: 'first' },
    { id: 'last', name: 'a last sound', place: 'last' },
    { id: 'ending', name: 'an ending: one frog, two frogs', place: 'ends' },
    { id: 'cluster', name: 'a sound next to another, like top to stop', place: 'cluster' },
  ],
  rungs: { first: 'first', last: 'last', ending: 'last', cluster: 'cluster' },
  becomes: true,
  secondsPerTurn: 12,
  gesture: 'bring a fist to the row of fingers',
  plain: '{ask}',
  heads: (step, material) =>
    step.id === 'ending'
      ? [...plurals(material).keys()].map((w) => sure(material.byName.get(w)))
      : playable(material).filter((w) => w.sounds.length >= 2 && w.count <= 5 && grown(w, step, material).length > 0),
  build: ({ head, step, material, random, wishes }) => {
    if (step.id === 'ending') return { words: [head.word, need(plurals(material).get(head.word), 'Its plural.').word] };
    const to = some(grown(head, step, material), random)
      .sort((a, b) => a.to.entry.band - b.to.entry.band)
      .find((g) => !wishes.avoid.has(g.to.word));
    return to ? { words: [head.word, to.to.word] } : null;
  },
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    const ending = step.id === 'ending';
    const to = need(
      ending ? plurals(material).get(word.word) : material.byName.get(words[1] ?? ''),
      'The longer word.',
    );
    const at = placeIn(word, to);
    const come = need(to.sounds[at]?.ipa, 'The new sound.');
    const sound = slash(come, material);
    const where = whereTo(word, to, step, material);
    return {
      head: word,
      words: [shownOf(word), shownOf(to)],
      view: { kind: 'change', from: marksOf(word), to: marksOf(to), gone: [], come: [at] },
      expected: to.word,
      judged: { by: 'sounds', sounds: ipaOf(to) },
      slots: {
        word: word.word,
        ask: ending ? `One ${word.word}, two …?` : `${word.word}. Add ${sound} ${where}. What is it now?`,
        sound,
        where,
        answer: to.word,
      },
      how: ending ? 'Show one, then two.' : `Have them say it back first. ${advice([come], material.accent)}`,
      script: script(to.word),
      likely: distinct([
        rightLikely(ipaOf(to), to.word, 'right'),
        unchanged(word),
        soundAlone('other-sound', come, { accent: material.accent, note: 'just the new sound' }),
      ]),
      facts: [
        [
          'one sound was added and nothing else changed',
          to.sounds.length === word.sounds.length + 1 &&
            ipaOf(to)
              .filter((_, i) => i !== at)
              .join(' ') === ipaOf(word).join(' '),
        ],
        [
          'it was added where the step says',
          ending ? at === to.sounds.length - 1 : longer(word, step, material).some((g) => g.to === to && g.at === at),
        ],
      ],
    };
  },
};

export const ADDING: Family = {
  id: 'adding',
  name: 'Adding',
  frame: {
    name: 'a new shoot',
    opening: 'Let’s add a sound and see what grows: watch me do the first one.',
    plain: 'We’re adding a sound to a word. Watch me do the first one.',
  },
  reminder: 'Have them say the word back before you add the sound.',
  atHome: {
    played: 'We added a sound to a word to make a new word.',
    tries: 'Say a short word, then add a sound to the front. What have you made?',
    withWords: true,
  },
  saidBack: true,
  ladder: {
    rungs: [
      { id: 'first', name: 'first', does: 'add a first sound' },
      { id: 'last', name: 'last', does: 'add a last sound' },
      { id: 'cluster', name: 'in a cluster', does: 'add a sound, as in top, stop' },
    ],
    needs: ['leaving-out/first'],
  },
  tasks: [ADD],
};
