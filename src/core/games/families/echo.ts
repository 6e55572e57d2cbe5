import { SOME_MISSED } from '../../answers/likely';
import { ipaOf, type Word } from '../../lexicon/entry';
import { traitsOf } from '../../lexicon/traits';
import { isPair } from '../../phonology/articulation';
import { CONSONANTS } from '../../phonology/sounds';
import type { Family } from '../family';
import { advice } from '../saying';
import { need, Unproved, wordOf } from '../proof';
import { shownOf } from '../marks';
import { oneBeat, playable, type Material } from '../material';
import type { Random } from '../../random';
import { homophones } from '../../lexicon/likeness';
import type { Made, Task, Wishes } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import { bestOf, firstOf, script, slash, some } from './common';

/** Words to say back that do not muddle each other: other starts, other ends. */
function unlikeEach(
  head: Word,
  count: number,
  pool: readonly Word[],
  { random, avoid }: { readonly random: () => number; readonly avoid: ReadonlySet<string> },
): Word[] | null {
  const row = [head];
  while (row.length < count) {
    const next = bestOf(
      pool,
      random,
      (w) =>
        !avoid.has(w.word) &&
        row.every(
          (r) =>
            firstOf(r) !== firstOf(w) &&
            traitsOf(r).rhyme !== traitsOf(w).rhyme &&
            traitsOf(r).said !== traitsOf(w).said,
        ),
      60,
    );
    if (!next) return null;
    row.push(next);
  }
  return row;
}

/** Words of one first sound, no two rhyming: of the sound asked for, or one that enough words start with. */
function oneStart(pool: readonly Word[], count: number, random: Random, { sound, avoid }: Wishes): Word[] | null {
  const sounds = some(
    [...new Set(pool.map(firstOf))].filter((s) => CONSONANTS[s]),
    random,
  );
  for (const first of [...(sound ? [sound] : []), ...sounds]) {
    const row: Word[] = [];
    for (const w of some(
      pool.filter((word) => firstOf(word) === first && !avoid.has(word.word)),
      random,
      40,
    ))
      if (row.length < count && row.every((r) => traitsOf(r).rhyme !== traitsOf(w).rhyme && !homophones(r, w)))
        row.push(w);
    if (row.length === count) return row;
  }
  return null;
}

const everyday = (_step: Step, material: Material): readonly Word[] =>
  material.keep('everyday', () =>
    playable(material).filter(
      (w) =>
        w.entry.band < 3 && (w.entry.picture !== null || w.entry.prop) && w.count <= 5 && traitsOf(w).syllables <= 2,
    ),
  );

/** What a list to say back is made with. */
interface Echo {
  readonly backwards: boolean;
  readonly step: Step;
  readonly how: string;
  readonly facts: Made['facts'];
}

function echoed(entries: readonly string[], words: readonly Word[], { backwards, step, how, facts }: Echo): Made {
  const answer = backwards ? [...entries].reverse() : entries;
  return {
    head: words[0] ?? null,
    words: words.map(shownOf),
    view: { kind: 'list', entries, backwards },
    expected: answer.join(', '),
    judged: { by: 'list', entries: answer },
    slots: { list: entries.join(' … '), count: String(entries.length) },
    how,
    script: script(answer.join(' … '), backwards ? undefined : entries.join(' … ')),
    likely: entries.length > 1 ? [SOME_MISSED] : [],
    facts: [
      ...facts,
      [
        'the list is as long as the step says',
        entries.length >= (step.count ?? 1) && entries.length <= (step.most ?? step.count ?? 99),
      ],
      ['nothing stands twice', new Set(entries).size === entries.length],
    ],
  };
}

const ECHO_WORDS: Task = {
  id: 'echo-words',
  family: 'echo',
  name: 'Echo words',
  asks: 'They say words back: my turn, your turn.',
  act: 'echo',
  unit: 'word',
  together: true,
  steps: [
    { id: '1', name: '1 word', count: 1 },
    { id: '2', name: '2 words', count: 2 },
    { id: '3', name: '3 words', count: 3 },
  ],
  secondsPerTurn: 8,
  gesture: 'hands to the mouth, then to the ear',
  plain: 'My turn: {list}. Your turn.',
  heads: everyday,
  build: ({ head, step, material, random, wishes }) => {
    const row = unlikeEach(head, sure(step.count), everyday(step, material), { random, avoid: wishes.avoid });
    return row ? { words: row.map((w) => w.word) } : null;
  },
  make: ({ words }, step, material) =>
    echoed(
      words,
      words.map((w) => wordOf(material, w)),
      { backwards: false, step, how: 'Say each one three times: loudly, softly, then in a whisper.', facts: [] },
    ),
};

const ECHO_SOUNDS: Task = {
  id: 'echo-sounds',
  family: 'echo',
  name: 'Echo sounds',
  asks: 'They say sounds back, short and pure.',
  act: 'echo',
  unit: 'sound',
  together: true,
  steps: [
    { id: '1', name: '1 sound', count: 1 },
    { id: '2', name: '2 sounds', count: 2 },
    { id: '3', name: '3 sounds', count: 3 },
  ],
  secondsPerTurn: 6,
  gesture: 'a finger beside the mouth',
  plain: 'My turn: {list}. Your turn.',
  heads: (_step, material) => oneBeat(material).filter((w) => CONSONANTS[firstOf(w)] !== undefined),
  build: ({ head, step, material, random, wishes }) => {
    const sounds = [firstOf(head)];
    const others = some(
      [...new Set(oneBeat(material).map(firstOf))].filter((s) => CONSONANTS[s]),
      random,
    );
    for (const s of others)
      if (
        sounds.length < sure(step.count) &&
        !sounds.includes(s) &&
        !sounds.some((t) => isPair(wishes.pairs ?? [], s, t))
      )
        sounds.push(s);
    return { words: [], sounds };
  },
  make: ({ sounds }, step, material) => {
    const all = need(sounds, 'A sound.');
    if (!all.every((ipa) => CONSONANTS[ipa])) throw new Unproved('We echo only consonants on their own.');
    return echoed(
      all.map((s) => slash(s, material)),
      [],
      { backwards: false, step, how: advice(all, material.accent), facts: [] },
    );
  },
};

/** A list that grows by one word each turn. */
const recall = (id: string, name: string, backwards: boolean): Task => ({
  id,
  opening: {
    opening: 'We’re filling a basket, one thing at a time. Listen while I put the first thing in.',
    plain: 'We’re making a list that grows. Listen to me first.',
  },
  family: 'echo',
  name,
  ...(backwards ? { former: true as const } : {}),
  asks: backwards
    ? 'They say the growing list from the last word to the first.'
    : 'They say a growing list of words that start with the same sound.',
  act: 'echo',
  unit: 'word',
  inOrder: true,
  grows: true,
  steps: [
    { id: '4', name: 'up to 4 words', count: 4, ...(backwards ? { place: 'last' as const } : {}) },
    { id: '6', name: 'up to 6 words', count: 6, ...(backwards ? { place: 'last' as const } : {}) },
    { id: '8', name: 'up to 8 words', count: 8, ...(backwards ? { place: 'last' as const } : {}) },
  ],
  secondsPerTurn: 12,
  gesture: 'a finger for each word',
  plain: 'In the basket: {list}. {say}{backwards}.',
  heads: everyday,
  sequence: ({ step, material, random, wishes }) => {
    const pool = everyday(step, material).filter(
      (w) => (!wishes.sound || ipaOf(w).includes(wishes.sound)) && (!wishes.words || wishes.words.has(w.word)),
    );
    const count = Math.min(sure(step.count), Math.max(2, wishes.size));
    // A plan’s own words stay what they are; else the list is of one first sound.
    if (!wishes.words) {
      const list = oneStart(everyday(step, material), count, random, wishes);
      if (list) return list.map((_, i) => ({ words: list.slice(0, i + 1).map((w) => w.word) }));
    }
    const start =
      bestOf(pool.length ? pool : everyday(step, material), random, (w) => !wishes.avoid.has(w.word)) ??
      sure(everyday(step, material)[0]);
    const from = pool.length >= sure(step.count) * 3 ? pool : everyday(step, material);
    const words = unlikeEach(start, count, from, { random, avoid: wishes.avoid }) ?? [start];
    return words.map((_, i) => ({ words: words.slice(0, i + 1).map((w) => w.word) }));
  },
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const made = echoed(
      words,
      words.map((w) => wordOf(material, w)),
      {
        backwards,
        step: { ...step, count: 1, most: sure(step.count) },
        how: 'Each child says the list so far, then you add the next word.',
        facts: [],
      },
    );
    return {
      ...made,
      slots: {
        ...made.slots,
        say: words.length > 1 ? 'Say them all' : 'Say it',
        backwards: backwards && words.length > 1 ? ' from the last to the first' : '',
      },
    };
  },
});

export const ECHO: Family = {
  id: 'echo',
  name: 'Echo',
  frame: {
    name: 'calling across the field',
    opening: 'We’re calling across the field and the hedge calls back, so listen to me first.',
    plain: 'My turn, then your turn. Listen to me first.',
  },
  reminder: 'Take turns to be loud, soft or whispering.',
  atHome: {
    played: 'We echoed words and sounds back to each other.',
    tries: 'Say three words and ask your child to say them back: loudly, softly or in a whisper.',
  },
  tasks: [
    ECHO_SOUNDS,
    ECHO_WORDS,
    recall('recall', 'Say the list', false),
    recall('recall-back', 'Say the list backwards', true),
  ],
};
