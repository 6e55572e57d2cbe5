import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { evidenceOf, type StepRun } from '../evidence/evidence';
import { BEGIN_NEEDS, carries, LADDERS, ladderOf, type RungRef } from '../evidence/ladders';
import type { UnitOrder } from '../evidence/unit-order';
import { modelOf } from './model';
import { nextSteps, type Choosing, type NextStep } from './next-step';
import { sure } from '../sure';

const DAY = 86_400_000;
const NOW = 20_000 * DAY;

/** `blending 3-clip 1111 5` is a run of four right, five days ago; commas apart. */
const read = (text: string): StepRun[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t, i): StepRun => {
      const [task, step, marks, ago = '1', standing = 'fresh'] = t.split(' ') as [
        string,
        string,
        string,
        string?,
        StepRun['standing']?,
      ];
      return {
        task,
        step,
        marks,
        standing,
        at: NOW - Number(ago) * DAY + i * 1000,
        day: 20_000 - Number(ago),
        helps: {},
      };
    });
const choosing = (runs: readonly StepRun[], now = NOW): Choosing => ({
  runs,
  model: modelOf(runs, now),
  now,
  clustersPause: false,
});
const both = (runs: readonly StepRun[], order: UnitOrder): NextStep[] => {
  const { next, other } = nextSteps(evidenceOf(runs), choosing(runs), order);
  return [next, other].filter((s) => s !== null);
};
const advise = (runs: readonly StepRun[], order: UnitOrder = 'large-first'): NextStep[] => both(runs, order);
const named = (s: NextStep | undefined): string => (s ? `${s.move} ${s.ladder}/${s.rung}` : 'nothing');

const HOLDS = (task: string, step: string, ago = 3): string =>
  `${task} ${step} 1111 ${ago + 3}, ${task} ${step} 1111 ${ago}`;
const PAIRS =
  'rhyme-pairs far 11111111 9, rhyme-pairs far 11111111 8, rhyme-pairs far 11111111 7, rhyme-pairs far 111111 6';

/** What a practitioner would say (common practice, no source): what was seen, and what comes next. */
const WRITTEN: readonly (readonly [string, string, string, UnitOrder?])[] = [
  ['nothing seen yet: the largest unit', '', 'begin syllables/compounds'],
  ['nothing seen yet, straight to sounds', '', 'begin first-sounds/same', 'sounds-first'],
  ['clapping just begun', 'clap 2 11', 'stay syllables/clap'],
  ['clapping comes and goes', 'clap 2 1101 4, clap 2 1011', 'stay syllables/clap'],
  ['blending 2 holds: 3', HOLDS('blending', '2'), 'up blending/3-held'],
  ['blending 3-clip holds: 4', HOLDS('blending', '3-clip'), 'up blending/4-end'],
  ['blending 6 holds, nothing above: what it leads to', HOLDS('blending', 'two-beats'), 'begin syllables/compounds'],
  [
    'blending 3-clip holds and 4 comes: stay',
    `${HOLDS('blending', '3-clip')}, blending 4-end 101`,
    'stay blending/4-end',
  ],
  [
    'blending 3-clip holds and 4 is not yet: back to 3',
    `${HOLDS('blending', '3-clip')}, blending 4-end 0000`,
    'back blending/3-clip',
  ],
  [
    'after that, three right on 3 since: still 3',
    `${HOLDS('blending', '3-clip', 5)}, blending 4-end 0000 2, blending 3-clip 111 1`,
    'back blending/3-clip',
  ],
  [
    'and four right on 3 since: 4 again',
    `${HOLDS('blending', '3-clip', 5)}, blending 4-end 0000 2, blending 3-clip 1111 1`,
    'up blending/4-end',
  ],
  [
    'one lucky right on 4: not more than begun',
    `${HOLDS('blending', '3-clip')}, blending 4-end 1`,
    'stay blending/4-end',
  ],
  ['two right on 5 only: stay with 5, nothing skipped', 'blending longer 11', 'stay blending/longer'],
  ['first sounds first met by saying it: stay there', 'first-sound hold 110', 'stay first-sounds/say'],
  ['the first step not yet: stay, with help', 'clap 2 0000', 'stay syllables/clap'],
  [
    'segmenting 3 not yet, nothing easier asked: start and rest',
    'segmenting 3-clip 0000',
    'back segmenting/onset-rime',
  ],
  [
    'blending 3-clip with help only: the same with less help',
    'blending 3-clip hhhh 3, blending 3-clip hhh',
    'stay blending/3-clip',
  ],
  ['only silence: the same step, nothing held against them', 'blending 2 ---- 3, blending 2 ---', 'stay blending/2'],
  ['only after a model: begun on their own', 'blending 3-clip 1111 2 after-a-model', 'begin blending/pictures'],
  ['rhyme pairs hold by many answers: choose one of two', PAIRS, 'up rhyme/match-2'],
  [
    'rhyme pairs, ten of ten: luck not ruled out, so where guessing helps less',
    'rhyme-pairs far 11111 4, rhyme-pairs far 11111',
    'up rhyme/match-2',
  ],
  ['leaving out the first holds: the last', HOLDS('leave-out', 'first'), 'up leaving-out/last'],
  [
    'leaving out the last not yet: the first',
    `${HOLDS('leave-out', 'first')}, leave-out last 0000`,
    'back leaving-out/first',
  ],
  ['adding holds at the start: at the end', HOLDS('add', 'first'), 'up adding/last'],
  ['swap first holds: a whole start', HOLDS('swap', 'first'), 'up swapping/onset'],
  ['swap middle comes: stay', `${HOLDS('swap', 'last')}, swap middle 1010`, 'stay swapping/middle'],
  ['last sound holds: where it is', HOLDS('last-sound', 'hold'), 'up first-sounds/where'],
  [
    'say the first sound holds where it can be held: short ones',
    'first-sound hold 1111 6, shared-sound kept 1111 4',
    'up first-sounds/say-clip',
  ],
  ['what was played last comes first', `${HOLDS('blending', '2', 6)}, segmenting 2 110 1`, 'stay segmenting/2'],
  [
    'words in a sentence: 3 holds, 4 next',
    'count-words 3 11111 9, count-words 3 11111 6, count-words 3 11111 3',
    'up words/4',
  ],
  ['joining beats in two games at once', 'join 2 1111 5, blending syllables 1111 3', 'up syllables/split'],
  ['a pair at the end holds: a pair at the start', HOLDS('blending', '4-end'), 'up blending/4-start'],
  [
    'a pair at the start is not yet: three sounds',
    `${HOLDS('blending', '4-end')}, blending 4-start 0000`,
    'back blending/3-clip',
  ],
  [
    'where it is goes wrong: it leads nowhere back',
    `${HOLDS('last-sound', 'hold')}, where ends 000000`,
    'stay first-sounds/where',
  ],
  ['a beat left out comes: stay', 'drop-beat compound-last 110', 'stay syllables/drop'],
];

describe('written cases', () => {
  test('there are thirty or more', () => expect(WRITTEN.length).toBeGreaterThanOrEqual(30));
  test.each(WRITTEN.map(([what, seen, advice, order]) => [what, seen, advice, order ?? 'large-first'] as const))(
    '%s',
    (_, seen, advice, order) => expect(named(advise(read(seen), order)[0])).toBe(advice),
  );
  test('another skill is a choice only where it was begun, or what leads to it holds', () => {
    const names = advise(read(`${HOLDS('blending', '2')}, clap 2 110 8`));
    expect(names.map(named)).toEqual(['up blending/3-held', 'begin segmenting/onset-rime']);
    for (const s of names) expect(s.reason).toMatch(/[.]$/);
    expect(advise(read('segmenting longer 11101 6, segmenting longer 1101 3'))).toHaveLength(1);
  });
});

const any = fc
  .array(
    fc.record({
      place: fc.constantFrom(
        ...LADDERS.flatMap((l) => l.rungs.flatMap((r) => r.steps.map(([task, step]) => ({ task, step })))),
      ),
      marks: fc.oneof(fc.stringMatching(/^[1h0-]{1,6}$/), fc.constantFrom('11111111', '0000', '111111')),
      ago: fc.integer({ min: 0, max: 40 }),
      standing: fc.constantFrom(
        'fresh' as const,
        'fresh' as const,
        'after-a-model' as const,
        'in-chorus' as const,
        'check-in' as const,
      ),
    }),
    { maxLength: 25 },
  )
  .map((all) =>
    all.map(({ place, marks, ago, standing }, i): StepRun => ({
      ...place,
      marks,
      standing,
      at: NOW - ago * DAY - i,
      day: 20_000 - ago,
      helps: {},
    })),
  );

describe('always', () => {
  test('never more than one rung above what holds or is being played', () => {
    fc.assert(
      fc.property(any, fc.constantFrom<UnitOrder>('large-first', 'sounds-first'), (runs, order) => {
        const all = evidenceOf(runs);
        for (const s of both(runs, order)) {
          const { rungs } = sure(all.find((l) => l.ladder.id === s.ladder));
          const at = rungs.findIndex((r) => r.rung.id === s.rung);
          // At most one rung above one that holds, is being played, or was asked in a check-in.
          const known = Math.max(
            -1,
            ...rungs.filter((r) => r.state === 'secure').map((r) => r.at),
            ...rungs
              .filter((r) => r.checked ?? r.fresh.own + r.fresh.helped + r.fresh.notYet + r.fresh.noReply > 0)
              .map((r) => r.at),
          );
          expect(at).toBeLessThanOrEqual(known + 1);
        }
      }),
      { numRuns: 300 },
    );
  });
  test('a ladder whose needs do not hold is not begun while another can be', () => {
    fc.assert(
      fc.property(any, fc.constantFrom<UnitOrder>('large-first', 'sounds-first'), (runs, order) => {
        const all = evidenceOf(runs);
        const holds = ({ ladder, rung }: RungRef): boolean =>
          all.some((l) => l.ladder.id === ladder && l.rungs.some((r) => r.rung.id === rung && r.state === 'secure'));
        const isReady = (ladder: string): boolean => (BEGIN_NEEDS[order][ladder] ?? []).every(holds);
        const unplayed = new Set(all.filter((l) => l.rungs.every((r) => !r.lastAt)).map((l) => l.ladder.id));
        const advised = both(runs, order).map((s) => s.ladder);
        const ready = [...unplayed].filter((id) => isReady(id) && !advised.includes(id));
        for (const ladder of advised.filter((id) => unplayed.has(id) && !isReady(id)))
          expect(ready, ladder).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
  test('the same answers give the same advice, in whatever order they come', () => {
    fc.assert(
      fc.property(any, (runs) => {
        expect(advise([...runs].reverse())).toEqual(advise(runs));
      }),
      { numRuns: 150 },
    );
  });
  test('up and back: a step that turns out too hard leads back to the one it came from', () => {
    for (const { id, rungs } of LADDERS) {
      for (let at = 0; at + 1 < rungs.length; at += 1) {
        const [task, step] = sure(sure(rungs[at]).steps[0]);
        const held = read(`${task} ${step} ${'1'.repeat(24)} 9, ${task} ${step} ${'1'.repeat(24)} 6`);
        const up = advise(held).find((s) => s.ladder === id);
        expect(up, `${id}/${sure(rungs[at]).id}`).toMatchObject({ move: 'up', rung: sure(rungs[at + 1]).id });
        const [harder, harderStep] = sure(sure(rungs[at + 1]).steps[0]);
        const back = advise([...held, ...read(`${harder} ${harderStep} 000000 1`)]).find((s) => s.ladder === id);
        const easier = rungs.filter((_, i) => carries(ladderOf(id), at + 1, i)).map((r) => r.id);
        expect(back?.move, `${id}/${sure(rungs[at + 1]).id}`).toBe(easier.length ? 'back' : 'stay');
        if (easier.length) expect(easier).toContain(back?.rung);
      }
    }
  });
});
