import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { generate } from '../games/generate';
import { luckOf } from '../answers/judge';
import { TASKS, taskOf } from '../games';
import { material } from '../testing/bank';
import { sure } from '../sure';
import { evidenceOf, ladderEvidence, type StepRun, type RungEvidence } from './evidence';
import { guessOf } from './guessing';
import { LADDERS, ladderOf, rungNow, rungOf } from './ladders';
import { luckSentence, whySentence } from '../telling/why';

const DAY = 86_400_000;
const NOW = 20_000 * DAY;
/** A run so many days ago. */
type RunRow = [task: string, step: string, marks: string, daysAgo?: number, more?: Partial<StepRun>];
const run = (...[task, step, marks, daysAgo = 1, more = {}]: RunRow): StepRun => ({
  task,
  step,
  marks,
  standing: 'fresh',
  at: NOW - daysAgo * DAY,
  day: 20_000 - daysAgo,
  helps: {},
  ...more,
});
const rungs = (ladder: string, runs: readonly StepRun[]): RungEvidence[] => ladderEvidence(ladderOf(ladder), runs);
const blend = (n: string, runs: readonly StepRun[]): RungEvidence =>
  sure(rungs('blending', runs).find((r) => r.rung.id === n));

describe('ladders', () => {
  test('every step of a ladder is a step of a game, on one rung alone', () => {
    const seen = new Set<string>();
    for (const { rungs: all } of LADDERS)
      for (const { steps } of all)
        for (const [task, step] of steps) {
          expect(
            taskOf(task).steps.map((s) => s.id),
            `${task} ${step}`,
          ).toContain(step);
          expect(seen.has(`${task} ${step}`)).toBe(false);
          seen.add(`${task} ${step}`);
        }
  });
  // The order of games: Adams (Beginning to Read, 1990), Anthony & Lonigan (2004), Treiman (1985), all from memory;
  // within a family common practice, no source.
  const ORDER: Readonly<Record<string, string>> = {
    rhyme: 'same match-2 match-3 close odd-3 odd-4 say',
    syllables: 'compounds clap join split drop count split-long drop-beat',
    'first-sounds': 'same sort say say-clip near hear-last last where middle cluster',
    blending: 'pictures stretched onset-rime 2 3-held 3-clip 4-end 4-start longer two-beats',
    segmenting: 'onset-rime 2 3-held 3-clip 4-end 4-start longer two-beats how-many',
    'leaving-out': 'first last made-up cluster cluster-made-up',
    swapping: 'first onset last middle cluster',
  };
  test.each(Object.entries(ORDER))('%s goes from easy to hard: %s', (ladder, order) =>
    expect(
      ladderOf(ladder)
        .rungs.map((r) => r.id)
        .join(' '),
    ).toBe(order),
  );
  test('every rung has a game', () =>
    expect(LADDERS.flatMap((l) => l.rungs.filter((r) => !r.steps.length).map((r) => `${l.id}/${r.id}`))).toEqual([]));
  test('a cluster at one end says nothing of the other; what may be guessed says nothing at all', () => {
    const holds = (ladder: string, task: string, step: string): string[] =>
      rungs(ladder, [run(task, step, '1'.repeat(20), 6), run(task, step, '1'.repeat(20), 3)])
        .filter((r) => r.state === 'secure')
        .map((r) => r.rung.id);
    expect(holds('blending', 'blending', '4-start')).toEqual([
      'pictures',
      'stretched',
      'onset-rime',
      '2',
      '3-held',
      '3-clip',
      '4-start',
    ]);
    expect(holds('blending', 'blending', '4-end')).not.toContain('4-start');
    expect(holds('blending', 'blending', 'longer')).toEqual(expect.arrayContaining(['4-start', '4-end']));
    expect(holds('blending', 'blending', 'two-beats')).not.toContain('4-end');
    expect(holds('first-sounds', 'where', 'ends')).toEqual(['where']);
    expect(holds('syllables', 'clap', '2')).toEqual(['clap']);
    expect(holds('words', 'count-words', '7-8')).toEqual(['7-8']);
    expect(holds('segmenting', 'how-many', '3-4')).toEqual(['how-many']);
  });
  test('rungs of before lead to those of today', () => {
    for (const [ladder, before, now] of [
      ['rhyme', 'which', 'match-3'],
      ['rhyme', 'odd', 'odd-3'],
      ['syllables', 'clap-long', 'count'],
      ['blending', '3', '3-clip'],
      ['segmenting', '4', '4-end'],
      ['segmenting', '5', 'longer'],
      ['blending', '6', 'two-beats'],
      ['blending', '2', '2'],
    ] as const)
      expect(rungNow(ladder, before)?.id).toBe(now);
    expect(rungNow('blending', '17')).toBeUndefined();
  });
  test('the chance of luck is that of the items themselves, wherever they offer choices', () => {
    const bank = material();
    for (const task of TASKS)
      for (const step of task.steps) {
        if (!rungOf(task.id, step.id)) continue;
        for (const item of generate(task, step, bank, { size: 4, seed: 3 }).items)
          if (item.judged.by === 'choice')
            expect(guessOf(task.id, step.id), `${task.id} ${step.id}`).toBeCloseTo(luckOf(item.judged), 10);
      }
  });
});

describe('states of a rung', () => {
  const states: readonly (readonly [string, string, readonly StepRun[], RungEvidence['state']])[] = [
    ['nothing seen', '3-clip', [], 'not-enough'],
    ['one right', '3-clip', [run('blending', '3-clip', '1')], 'not-enough'],
    [
      'eight of eight on two days',
      '3-clip',
      [run('blending', '3-clip', '1111', 3), run('blending', '3-clip', '1111', 1)],
      'secure',
    ],
    ['eight of eight on one day', '3-clip', [run('blending', '3-clip', '11111111')], 'getting-there'],
    [
      'five of five on two days: too few',
      '3-clip',
      [run('blending', '3-clip', '111', 3), run('blending', '3-clip', '11')],
      'getting-there',
    ],
    [
      'six of ten',
      '3-clip',
      [run('blending', '3-clip', '11010', 3), run('blending', '3-clip', '11001')],
      'getting-there',
    ],
    ['none of four', '3-clip', [run('blending', '3-clip', '00', 3), run('blending', '3-clip', '00')], 'not-yet'],
    ['none of two: too few', '3-clip', [run('blending', '3-clip', '00')], 'not-enough'],
    [
      'all with help: never secure, and no “not yet”',
      '3-clip',
      [run('blending', '3-clip', 'hhhhhh', 3), run('blending', '3-clip', 'hhhhhh')],
      'getting-there',
    ],
    [
      'no reply ten times says nothing',
      '3-clip',
      [run('blending', '3-clip', '-----', 3), run('blending', '3-clip', '-----')],
      'not-enough',
    ],
    [
      'eight of eight after a model: practice',
      '3-clip',
      [
        run('blending', '3-clip', '1111', 3, { standing: 'after-a-model' }),
        run('blending', '3-clip', '1111', 1, { standing: 'in-chorus' }),
      ],
      'not-enough',
    ],
    [
      'eight of eight in check-ins: shown apart',
      '3-clip',
      [
        run('blending', '3-clip', '1111', 3, { standing: 'check-in' }),
        run('blending', '3-clip', '1111', 1, { standing: 'check-in' }),
      ],
      'not-enough',
    ],
    [
      'a harder rung that holds carries an easier one',
      '3-clip',
      [run('blending', '4-end', '1111', 3), run('blending', '4-end', '1111')],
      'secure',
    ],
    [
      'but not against what was seen',
      '3-clip',
      [run('blending', '4-end', '1111', 3), run('blending', '4-end', '1111'), run('blending', '3-clip', '0000', 2)],
      'not-yet',
    ],
    [
      'a harder rung that does not hold leaves an easier one as it is',
      '3-clip',
      [run('blending', '3-clip', '1111', 3), run('blending', '3-clip', '1111'), run('blending', '4-end', '0000')],
      'secure',
    ],
  ];
  test.each(states)('%s', (_, rung, runs, state) => expect(blend(rung, runs).state).toBe(state));

  test('right answers on a harder rung are counted, its misses with them', () => {
    const few = [
      run('blending', '3-clip', '111', 3),
      run('blending', '4-end', '1111', 2),
      run('blending', '4-end', '111'),
    ];
    expect(blend('3-clip', few)).toMatchObject({ state: 'secure', harder: { right: 7, of: 7 } });
    const missed = [
      run('blending', '3-clip', '111', 3),
      run('blending', '4-end', '1010', 2),
      run('blending', '4-end', '100'),
    ];
    expect(blend('3-clip', missed).state).toBe('getting-there');
  });
  test('luck is taken out: ten of ten yes/no answers on two days are not enough, where ten open ones are', () => {
    expect(
      sure(rungs('rhyme', [run('rhyme-pairs', 'far', '11111', 3), run('rhyme-pairs', 'far', '11111')])[0]).state,
    ).toBe('getting-there');
    expect(blend('3-clip', [run('blending', '3-clip', '11111', 3), run('blending', '3-clip', '11111')]).state).toBe(
      'secure',
    );
  });
  test('a state is that of the last answer: it stands while nothing is seen; old answers fade beside new', () => {
    const old = [run('blending', '3-clip', '1111', 383), run('blending', '3-clip', '1111', 381)];
    expect(blend('3-clip', old).state).toBe('secure');
    // Half a year later the eight of then weigh an eighth; what was seen since speaks.
    expect(blend('3-clip', [...old, run('blending', '3-clip', '0110', 201)]).state).toBe('getting-there');
    // What is answered on another step changes nothing of this one.
    expect(blend('3-clip', [...old, run('blending', '4-end', '0000', 1)]).state).toBe('secure');
  });
  test('what is open may have been missed where a step is to hold, and right where it is not to', () => {
    const open = (marks: string, marks2: string): string =>
      blend('3-clip', [run('blending', '3-clip', marks, 3), run('blending', '3-clip', marks2)]).state;
    expect(open('1111', '1111')).toBe('secure');
    expect(open('1111', '1111uuu')).toBe('getting-there');
    expect(open('uuuu', 'uuuu')).toBe('not-enough');
    expect(open('000', '0')).toBe('not-yet');
    expect(open('000', '0uuuuu')).toBe('getting-there');
    expect(open('00000000', '00u')).toBe('not-yet');
    fc.assert(
      fc.property(fc.stringMatching(/^[1h0u]{1,9}$/), fc.stringMatching(/^[1h0u]{1,9}$/), (first, last) => {
        const as = (letter: string): string => open(first.replaceAll('u', letter), last.replaceAll('u', letter));
        const state = open(first, last);
        if (state === 'secure') expect(as('0')).toBe('secure');
        if (state === 'not-yet') expect(as('1')).toBe('not-yet');
      }),
      { numRuns: 200 },
    );
  });
  test('the same runs in any order give the same', () => {
    const any = fc.array(
      fc.record({
        step: fc.constantFrom('2', '3-clip', '4-end'),
        marks: fc.stringMatching(/^[1h0-]{1,5}$/),
        days: fc.integer({ min: 0, max: 60 }),
        standing: fc.constantFrom('fresh' as const, 'after-a-model' as const, 'check-in' as const),
      }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(any, fc.integer({ min: 1, max: 1000 }), (made, turn) => {
        const runs = made.map((m, i) =>
          run('blending', m.step, m.marks, m.days, { at: NOW - m.days * DAY - i, standing: m.standing }),
        );
        const mixed = [...runs].sort((a, b) => ((a.at * turn) % 97) - ((b.at * turn) % 97));
        expect(evidenceOf(mixed)).toEqual(evidenceOf(runs));
      }),
      { numRuns: 60 },
    );
  });
  test('one more right never makes a rung less secure; one more with help never makes it secure', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^[1h0]{3,8}$/), fc.stringMatching(/^[1h0]{3,8}$/), (first, second) => {
        const at = (last: string): string =>
          blend('3-clip', [run('blending', '3-clip', first, 4), run('blending', '3-clip', last)]).state;
        if (at(second) === 'secure') expect(at(`${second}1`)).toBe('secure');
        else expect(at(`${second}h`)).not.toBe('secure');
      }),
      { numRuns: 80 },
    );
  });
});

describe('sentences', () => {
  test('the numbers that were used, the help that worked, practice and check-ins apart', () => {
    const seen = blend('3-clip', [
      run('blending', '3-clip', '11h0', 3, { helps: { slower: 1 } }),
      run('blending', '3-clip', '1'),
      run('blending', '3-clip', '111', 2, { standing: 'after-a-model' }),
      run('blending', '3-clip', '110', 5, { standing: 'check-in' }),
    ]);
    expect(whySentence(seen)).toBe(
      '3 of 5 right on their own, over 2 days, and 1 with help (slower); ' +
        '3 more after a model or all together (practice, so not counted); 2 of 3 right in the check-in.',
    );
  });
  test('what cannot be counted yet is said', () => {
    expect(whySentence(blend('3-clip', [run('blending', '3-clip', '11u', 3), run('blending', '3-clip', '0uuu')]))).toBe(
      '2 of 3 right on their own, over 2 days; and 4 we can’t count yet.',
    );
    expect(whySentence(blend('3-clip', [run('blending', '3-clip', 'uu')]))).toBe('2 we can’t count yet.');
  });
  test('no reply is told as what it is', () =>
    expect(whySentence(blend('3-clip', [run('blending', '3-clip', '---')]))).toBe(
      'No reply three times, which doesn’t tell us what they know.',
    ));
  test('luck is told where it explains the answers, and not where it does not', () => {
    const five = sure(rungs('rhyme', [run('rhyme-pairs', 'far', '111', 3), run('rhyme-pairs', 'far', '110')])[0]);
    expect(luckSentence(five)).toBe('In a yes/no game, pure guessing gets five of six about one time in nine.');
    expect(luckSentence(sure(rungs('rhyme', [run('rhyme-pairs', 'far', '1'.repeat(12))])[0]))).toBeNull();
    expect(luckSentence(blend('3-clip', [run('blending', '3-clip', '111')]))).toBeNull();
  });
});
