import type { FamilyId } from '../games/task';

/**
 * What is easier and what is harder, as data. A ladder is a family of games, a rung the steps of its tasks that ask
 * the same of a child. The order of units and tasks: Adams (Beginning to Read, 1990) and Anthony & Lonigan (2004),
 * both from memory; the order within a family is common practice, no source.
 */
export interface Rung {
  readonly id: string;
  /** In a word or two, on its hop. */
  readonly name: string;
  /** After “Next:” and inside a sentence. */
  readonly does: string;
  /** Task and step of every game that shows it, the one to play first. */
  readonly steps: readonly (readonly [task: string, step: string])[];
}

export interface Ladder {
  readonly id: FamilyId;
  readonly name: string;
  readonly rungs: readonly Rung[];
}

/** Names a rung anywhere. Example: `blending/3`. */
export interface RungRef {
  readonly ladder: FamilyId;
  readonly rung: string;
}

const counted = (
  task: string,
  does: string,
  extra: Readonly<Record<string, readonly (readonly [string, string])[]>> = {},
): Rung[] =>
  ['2', '3', '4', '5', '6'].map((n) => ({
    id: n,
    name: n,
    does: `${does} ${n} sounds`,
    steps: [[task, n], ...(extra[n] ?? [])],
  }));

export const LADDERS: readonly Ladder[] = [
  {
    id: 'words',
    name: 'Words in a sentence',
    rungs: [
      { id: '3', name: '3', does: 'count 3 words', steps: [['count-words', '3']] },
      { id: '4', name: '4', does: 'count 4 words', steps: [['count-words', '4']] },
      { id: '5-6', name: '5 or 6', does: 'count 5 or 6 words', steps: [['count-words', '5-6']] },
      { id: '7-8', name: '7 or 8', does: 'count 7 or 8 words', steps: [['count-words', '7-8']] },
    ],
  },
  {
    id: 'syllables',
    name: 'Syllables',
    rungs: [
      { id: 'clap', name: 'clap 1, 2', does: 'clap words of 1 or 2 beats', steps: [['clap', '2']] },
      {
        id: 'clap-long',
        name: 'clap 3, 4',
        does: 'clap longer words',
        steps: [
          ['clap', '3'],
          ['clap', '4'],
        ],
      },
      {
        id: 'join',
        name: 'join',
        does: 'join the beats of a word',
        steps: [
          ['join', 'compounds'],
          ['join', '2'],
          ['join', '3'],
          ['join', '4'],
          ['blending', 'syllables'],
        ],
      },
      {
        id: 'split',
        name: 'take apart',
        does: 'take a word apart into beats',
        steps: [
          ['split', 'compounds'],
          ['split', '2'],
          ['split', '3'],
          ['split', '4'],
        ],
      },
      {
        id: 'drop',
        name: 'leave out',
        does: 'leave a beat out',
        steps: [
          ['drop-beat', 'compound-last'],
          ['drop-beat', 'compound-first'],
          ['drop-beat', 'last'],
          ['drop-beat', 'first'],
        ],
      },
    ],
  },
  {
    id: 'rhyme',
    name: 'Rhyme',
    rungs: [
      {
        id: 'same',
        name: 'same?',
        does: 'hear whether two words rhyme',
        steps: [
          ['rhyme-pairs', 'far'],
          ['rhyme-pairs', 'same-start'],
        ],
      },
      {
        id: 'close',
        name: 'close ones',
        does: 'tell rhymes from words that sound close',
        steps: [
          ['rhyme-pairs', 'same-vowel'],
          ['rhyme-pairs', 'same-ends'],
        ],
      },
      {
        id: 'odd',
        name: 'odd one',
        does: 'find the word that does not rhyme',
        steps: [
          ['rhyme-odd', '3-far'],
          ['rhyme-odd', '4-far'],
          ['rhyme-odd', '3-same-start'],
          ['rhyme-odd', '4-same-vowel'],
        ],
      },
      {
        id: 'which',
        name: 'which',
        does: 'find the word that rhymes',
        steps: [
          ['rhyme-match', '2-far'],
          ['rhyme-match', '3-far'],
          ['rhyme-match', '3-same-start'],
          ['rhyme-match', '3-same-vowel'],
        ],
      },
      {
        id: 'say',
        name: 'say one',
        does: 'say a word that rhymes',
        steps: [
          ['rhyme-say', 'many'],
          ['rhyme-say', 'few'],
        ],
      },
    ],
  },
  {
    id: 'first-sounds',
    name: 'First sounds',
    rungs: [
      {
        id: 'same',
        name: 'same?',
        does: 'hear whether two words start alike',
        steps: [
          ['same-first', 'far'],
          ['same-first', 'near'],
        ],
      },
      {
        id: 'sort',
        name: 'sort',
        does: 'sort words by their first sound',
        steps: [
          ['sort', 'far'],
          ['sort', 'near'],
          ['sound-odd', '3-far'],
          ['sound-odd', '4-far'],
          ['sound-odd', '4-near'],
        ],
      },
      {
        id: 'say',
        name: 'say it',
        does: 'say the first sound',
        steps: [
          ['first-sound', 'hold'],
          ['first-sound', 'clip'],
          ['first-sound', 'cluster'],
          ['shared-sound', 'told'],
          ['shared-sound', 'kept'],
          ['shared-sound', 'any'],
        ],
      },
      {
        id: 'last',
        name: 'last',
        does: 'say the last sound',
        steps: [
          ['last-sound', 'hold'],
          ['last-sound', 'clip'],
          ['last-sound', 'cluster'],
        ],
      },
      {
        id: 'where',
        name: 'where',
        does: 'hear where a sound is',
        steps: [
          ['where', 'ends'],
          ['where', 'all'],
          ['anywhere', 'far'],
          ['anywhere', 'near'],
        ],
      },
      {
        id: 'middle',
        name: 'middle',
        does: 'say the middle sound',
        steps: [
          ['middle-sound', 'hold'],
          ['middle-sound', 'clip'],
        ],
      },
    ],
  },
  {
    id: 'blending',
    name: 'Blending',
    rungs: [
      {
        id: 'onset-rime',
        name: 'start + rest',
        does: 'blend a start and the rest',
        steps: [['blending', 'onset-rime']],
      },
      ...counted('blending', 'blend'),
    ],
  },
  {
    id: 'segmenting',
    name: 'Segmenting',
    rungs: [
      {
        id: 'onset-rime',
        name: 'start + rest',
        does: 'take the start from the rest',
        steps: [['segmenting', 'onset-rime']],
      },
      ...counted('segmenting', 'segment', {
        3: [['how-many', '2-3']],
        4: [['how-many', '3-4']],
        5: [['how-many', '4-5']],
      }),
    ],
  },
  {
    id: 'leaving-out',
    name: 'Leaving out',
    rungs: [
      {
        id: 'first',
        name: 'first',
        does: 'leave the first sound out',
        steps: [
          ['leave-out', 'first'],
          ['leave-out', 'first-made-up'],
        ],
      },
      {
        id: 'last',
        name: 'last',
        does: 'leave the last sound out',
        steps: [
          ['leave-out', 'last'],
          ['leave-out', 'last-made-up'],
        ],
      },
      {
        id: 'cluster',
        name: 'in a cluster',
        does: 'leave one of a cluster out',
        steps: [
          ['leave-out', 'cluster'],
          ['leave-out', 'cluster-made-up'],
        ],
      },
    ],
  },
  {
    id: 'adding',
    name: 'Adding',
    rungs: [
      { id: 'first', name: 'first', does: 'add a first sound', steps: [['add', 'first']] },
      {
        id: 'last',
        name: 'last',
        does: 'add a last sound',
        steps: [
          ['add', 'last'],
          ['add', 'ending'],
        ],
      },
      { id: 'cluster', name: 'in a cluster', does: 'add a sound into a cluster', steps: [['add', 'cluster']] },
    ],
  },
  {
    id: 'swapping',
    name: 'Swapping',
    rungs: [
      {
        id: 'first',
        name: 'first',
        does: 'swap the first sound',
        steps: [
          ['swap', 'first'],
          ['chain', 'first'],
        ],
      },
      {
        id: 'last',
        name: 'last',
        does: 'swap the last sound',
        steps: [
          ['swap', 'last'],
          ['chain', 'ends'],
          ['which-changed', 'ends'],
        ],
      },
      {
        id: 'middle',
        name: 'middle',
        does: 'swap the middle sound',
        steps: [
          ['swap', 'middle'],
          ['chain', 'any'],
          ['which-changed', 'all'],
        ],
      },
      {
        id: 'cluster',
        name: 'in a cluster',
        does: 'swap a sound in a cluster',
        steps: [
          ['swap', 'cluster'],
          ['swap', 'onset'],
          ['chain', 'grow'],
        ],
      },
    ],
  },
];

/**
 * Both orders of units that good practitioners use: which ladder must have reached which rung before another is begun.
 */
export const UNIT_ORDERS = ['large-first', 'sounds-first'] as const;
export type UnitOrder = (typeof UNIT_ORDERS)[number];
export const UNIT_ORDER_WORDS: Readonly<Record<UnitOrder, { readonly name: string; readonly what: string }>> = {
  'large-first': { name: 'Large to small', what: 'syllables and rhyme before single sounds' },
  'sounds-first': {
    name: 'Straight to single sounds',
    what: 'first sounds and blending at once; syllables and rhyme beside them',
  },
};

type Needs = Partial<Record<FamilyId, readonly RungRef[]>>;
const ref = (ladder: FamilyId, rung: string): RungRef => ({ ladder, rung });
const SOUNDS: Needs = {
  segmenting: [ref('blending', 'onset-rime')],
  'leaving-out': [ref('segmenting', '3')],
  adding: [ref('leaving-out', 'first')],
  swapping: [ref('leaving-out', 'first')],
};
/** What must hold before the first rung of a ladder. Ladders that are not here can be begun at once. */
export const BEGIN_NEEDS: Readonly<Record<UnitOrder, Needs>> = {
  'large-first': {
    rhyme: [ref('syllables', 'clap')],
    'first-sounds': [ref('rhyme', 'same')],
    blending: [ref('first-sounds', 'same')],
    ...SOUNDS,
  },
  'sounds-first': SOUNDS,
};
/** The order in which something new is begun. */
export const BEGIN_ORDER: Readonly<Record<UnitOrder, readonly FamilyId[]>> = {
  'large-first': [
    'syllables',
    'words',
    'rhyme',
    'first-sounds',
    'blending',
    'segmenting',
    'leaving-out',
    'adding',
    'swapping',
  ],
  'sounds-first': [
    'first-sounds',
    'blending',
    'segmenting',
    'leaving-out',
    'adding',
    'swapping',
    'syllables',
    'rhyme',
    'words',
  ],
};

/** The ladder of an id. Throws for one that has none (word hunt, echo). */
export function ladderOf(id: string): Ladder {
  const ladder = LADDERS.find((l) => l.id === id);
  if (!ladder) throw new Error(`There is no ladder "${id}".`);
  return ladder;
}

const places = new Map(
  LADDERS.flatMap((ladder) =>
    ladder.rungs.flatMap((rung, at) =>
      rung.steps.map(([task, step]) => [`${task} ${step}`, { ladder, rung, at }] as const),
    ),
  ),
);

/** Where a game's step stands, or undefined where it is on no ladder. Example: `rungOf('blending', '3')?.at // 2`. */
export const rungOf = (
  task: string,
  step: string,
): { readonly ladder: Ladder; readonly rung: Rung; readonly at: number } | undefined => places.get(`${task} ${step}`);
