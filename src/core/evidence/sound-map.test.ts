import { describe, expect, test } from 'vitest';
import { words } from '../testing/bank';
import { proofOf } from '../testing/kept-proof';
import { seeded, shuffle, type Random } from '../random';
import { sure } from '../sure';
import { addCells, cellsOf, type Answered, type Cells } from './cells';
import { soundMap as mapOf, type SoundMap } from './sound-map';

/** The map of settled cells of one day. */
const soundMap = (cells: Cells): SoundMap => mapOf({ sessions: [{ at: 0, cells }], open: [] }, 0);
/** A loss that was settled as one of awareness. */
const settled = (answer: Answered): Cells => {
  const cells = sure(cellsOf(answer));
  return Object.fromEntries(Object.entries(cells).map(([key, [asked, held]]) => [key, [asked, held]]));
};

const pool = words()
  .filter((w) => w.entry.band < 3 && !w.entry.doubt && w.count >= 3 && w.count <= 5)
  .map((w) => w.sounds.map((s) => s.ipa));

/** A made-up child: which place of a word slips, how often; and how often some sound slips by accident. */
interface Child {
  readonly slips: (sounds: readonly string[], at: number) => boolean;
  readonly habit: number;
  readonly accident: number;
}
const NONE: Child['slips'] = () => false;

function sitting(
  { slips, habit, accident }: Child,
  seed: number,
  answers: number,
  about: (sounds: readonly string[]) => boolean = () => true,
): Cells[] {
  const random: Random = seeded(seed);
  return shuffle(pool.filter(about), random)
    .slice(0, answers)
    .map((sounds) => {
      const missed = sounds.flatMap((_, at) => (slips(sounds, at) && random() < habit ? [at] : []));
      if (random() < accident) missed.push(Math.floor(random() * sounds.length));
      return settled({
        task: 'segmenting',
        outcome: missed.length ? 'not-yet' : 'on-own',
        slip: missed.length ? 'lost-sound' : null,
        said: null,
        missed: [...new Set(missed)].sort((a, b) => a - b),
        sounds,
      });
    });
}
const keysOf = (sounds: readonly string[]): string[] =>
  Object.keys(sure(cellsOf({ task: 'segmenting', outcome: 'on-own', slip: null, said: null, missed: [], sounds })));
const keyAt = (sounds: readonly string[], at: number): string | undefined =>
  Object.keys(
    sure(cellsOf({ task: 'segmenting', outcome: 'not-yet', slip: 'lost-sound', said: null, missed: [at], sounds })),
  ).find((k) => k.startsWith(`${sure(sounds[at])} `));
const STOPS = new Set(['p', 'b', 't', 'd', 'k', 'ɡ']);

describe('what one answer says', () => {
  test('frog without its r', () => {
    expect(
      cellsOf({
        task: 'blending',
        outcome: 'not-yet',
        slip: 'lost-sound',
        said: 'f+ɒ+ɡ',
        missed: [1],
        sounds: ['f', 'r', 'ɒ', 'ɡ'],
      }),
    ).toEqual({ 'f opening': [1, 1], 'r opening after': [1, 0, 1], 'ɒ middle': [1, 1], 'ɡ last': [1, 1] });
  });
  test('right answers say that all was there, an accepted “uh” with them', () => {
    expect(
      cellsOf({
        task: 'segmenting',
        outcome: 'on-own',
        slip: 'added-uh',
        said: null,
        missed: [],
        sounds: ['s', 'ʌ', 'n'],
      }),
    ).toEqual({ 's first': [1, 1], 'ʌ middle': [1, 1], 'n last': [1, 1], 'keeps-rime': [1, 1] });
  });
  test('no reply, what does not count, another game, or a slip of the whole task say nothing', () => {
    const sounds = ['s', 'ʌ', 'n'];
    for (const more of [
      { outcome: 'no-reply' as const },
      { outcome: 'does-not-count' as const },
      { outcome: 'not-yet' as const, slip: 'whole-word' as const },
      { task: 'rhyme-say' },
      { outcome: 'with-help' as const },
    ])
      expect(
        cellsOf({ task: 'blending', outcome: 'on-own', slip: null, said: null, missed: [], sounds, ...more }),
      ).toBeNull();
  });
});

describe('patterns', () => {
  /** What is planted, which answers have it, what it is to be called, and how often it shows. */
  const PLANTED: readonly (readonly [
    string,
    Child['slips'],
    (sounds: readonly string[]) => boolean,
    string,
    number,
  ])[] = [
    [
      'clipped sounds at the end',
      (s, at) => at === s.length - 1 && STOPS.has(sure(s[at])) && keyAt(s, at)?.includes(' last') === true,
      (s) =>
        STOPS.has(sure(s.at(-1))) && keysOf(s).some((k) => STOPS.has(sure(k.split(' ')[0])) && k.includes(' last')),
      'last-stops',
      0.5,
    ],
    [
      'the second of a cluster at the start',
      (s, at) => keyAt(s, at)?.endsWith('opening after') === true && at === 1,
      (s) => keysOf(s).some((k) => k.endsWith('opening after')),
      'opening-second',
      0.5,
    ],
    [
      '/r/ after another consonant alone',
      (s, at) => s[at] === 'r' && at === 1 && keyAt(s, at)?.endsWith('opening after') === true,
      (s) => keysOf(s).includes('r opening after'),
      'opening-r',
      0.6,
    ],
  ];
  const seeds = (children: number): number[] => Array.from({ length: children }, (_, i) => i + 1);
  const patternsOf = (child: Child, seed: number, answers: number, about?: (typeof PLANTED)[number][2]): string[] =>
    soundMap(addCells(sitting(child, seed, answers, about))).patterns.map((p) => p.id);
  /** The patterns told of each of some made-up children. */
  const KINDS: Readonly<Record<string, () => readonly (readonly string[])[]>> = {
    ...Object.fromEntries(
      [0, 0.05, 0.1].map((accident) => [
        `accident ${accident}`,
        () => seeds(200).map((seed) => patternsOf({ slips: NONE, habit: 0, accident }, seed, 200)),
      ]),
    ),
    everywhere: () => seeds(100).map((seed) => patternsOf({ slips: NONE, habit: 0, accident: 0.35 }, seed, 200)),
    ...Object.fromEntries(
      PLANTED.map(([name, slips, about, , habit]) => [
        name,
        () => seeds(100).map((seed) => patternsOf({ slips, habit, accident: 0.04 }, seed, 80, about)),
      ]),
    ),
  };
  const proof = proofOf('src/core/evidence/sound-map.test.ts', {
    name: 'patterns',
    parts: Object.keys(KINDS),
    prove: (kind) => sure(KINDS[kind])(),
  });
  test.each([0, 0.05, 0.1])(
    'no pattern, 200 answers, accidents in %s: at most 5 in 100 children are given one',
    async (accident) => {
      const all = await proof.of(`accident ${accident}`);
      expect(all).toHaveLength(200);
      expect(all.filter((ids) => ids.length > 0).length).toBeLessThanOrEqual(10);
    },
  );
  test('a child who slips everywhere, in every third answer, is not given a pattern either', async () => {
    expect((await proof.of('everywhere')).filter((ids) => ids.length > 0).length).toBeLessThanOrEqual(5);
  });
  test.each(PLANTED)(
    '%s: found within 80 answers that have it, in 90 of 100 children, and named as that kind',
    async (name, _slips, _about, id) => {
      const found = (await proof.of(name)).filter((ids) => ids.includes(id));
      expect(found.length).toBeGreaterThanOrEqual(90);
    },
  );
  test('a single sound in one place, no kind: named as that sound', () => {
    const map = soundMap({
      'ʃ first': [12, 2],
      's first': [14, 14],
      'm first': [15, 15],
      'ʌ middle': [30, 30],
      'n last': [20, 20],
      't last': [20, 19],
    });
    expect(map.patterns.map((p) => p.id)).toEqual(['ʃ first']);
    expect(map.cells.find((c) => c.ipa === 'ʃ')).toMatchObject({ state: 'slips', asked: 12, held: 2 });
    expect(map.cells.find((c) => c.ipa === 'n')).toMatchObject({ state: 'holds' });
  });
  test('little seen stays little seen; nothing seen is an empty map', () => {
    expect(soundMap({ 'k last': [2, 0] }).cells[0]).toMatchObject({ state: 'little-seen' });
    expect(soundMap({})).toEqual({ cells: [], patterns: [] });
  });
});
