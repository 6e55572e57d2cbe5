import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { GROUP_SIZE, groupsFor, type Candidate } from './grouping';
import { ladderOf, LADDERS } from '../evidence/ladders';
import { plainStep, type NextStep } from './next-step';
import { sure } from '../sure';

const step = (ladder: string, rung: string): NextStep => {
  const of = ladderOf(ladder);
  return plainStep(of.id, sure(of.rungs.find((r) => r.id === rung)), 'stay', '');
};
const BEGIN = step('syllables', 'clap');
const child = (id: string, ...steps: [string, string][]): Candidate => {
  const [next = null, other = null] = steps.map(([l, r]) => step(l, r));
  return { id, next, other };
};
const any = fc
  .array(
    fc.array(fc.constantFrom(...LADDERS.flatMap((l) => l.rungs.map((r) => [l.id, r.id] as [string, string]))), {
      minLength: 0,
      maxLength: 2,
    }),
    { minLength: 0, maxLength: 30 },
  )
  .map((all) => all.map((next, i) => child(`c${String(i).padStart(2, '0')}`, ...next)));

describe('groups for tomorrow', () => {
  test('those who need the same step play it, three to six together', () => {
    const { groups, afterEachOther } = groupsFor(
      [...'abcd']
        .map((id) => child(id, ['blending', '3-clip']))
        .concat([...'efg'].map((id) => child(id, ['segmenting', '2']))),
      2,
      BEGIN,
    );
    expect(groups.map((g) => [g.step.ladder, g.step.rung, g.children.length, g.gave.length])).toEqual([
      ['blending', '3-clip', 4, 0],
      ['segmenting', '2', 3, 0],
    ]);
    expect(afterEachOther).toBe(false);
  });
  test('a neighbouring step or a second choice is taken before anything else, and said', () => {
    const { groups } = groupsFor(
      [
        child('a', ['blending', '3-clip']),
        child('b', ['blending', '3-clip']),
        child('c', ['blending', '4-end']),
        child('d', ['rhyme', 'say'], ['blending', '3-clip']),
      ],
      1,
      BEGIN,
    );
    expect(groups).toHaveLength(1);
    expect(sure(groups[0]).step).toMatchObject({ ladder: 'blending', rung: '3-clip' });
    expect(sure(groups[0]).gave.map((g) => [g.id, g.why])).toEqual([
      ['d', 'second'],
      ['c', 'neighbour'],
    ]);
  });
  test('more children than the adults can take at once: more groups, one after the other', () => {
    const { groups, afterEachOther } = groupsFor(
      Array.from({ length: 14 }, (_, i) => child(`c${10 + i}`, ['blending', '3-clip'])),
      2,
      BEGIN,
    );
    expect(groups).toHaveLength(3);
    expect(afterEachOther).toBe(true);
  });
  test('edges: nobody, one, two, and nobody of whom anything is known', () => {
    expect(groupsFor([], 2, BEGIN).groups).toEqual([]);
    expect(groupsFor([child('a', ['blending', '3-clip'])], 2, BEGIN).groups.map((g) => g.children)).toEqual([['a']]);
    expect(
      groupsFor([child('a', ['blending', '3-clip']), child('b', ['rhyme', 'say'])], 2, BEGIN).groups.map(
        (g) => g.children.length,
      ),
    ).toEqual([2]);
    const fresh = groupsFor(
      [...'abc'].map((id) => child(id)),
      2,
      BEGIN,
    ).groups;
    expect(fresh.map((g) => [g.step.ladder, g.gave.map((x) => x.why)])).toEqual([['syllables', ['new', 'new', 'new']]]);
  });
  test(
    'everybody is in one group, sizes hold, and the same children give the same groups in whatever order they ' +
      'come',
    () => {
      fc.assert(
        fc.property(any, fc.integer({ min: 1, max: 5 }), (all, staff) => {
          const { groups } = groupsFor(all, staff, BEGIN);
          expect(groups.flatMap((g) => g.children).sort()).toEqual(all.map((c) => c.id).sort());
          for (const g of groups) {
            expect(g.children.length).toBeLessThanOrEqual(GROUP_SIZE.most);
            if (all.length >= GROUP_SIZE.least) expect(g.children.length).toBeGreaterThanOrEqual(GROUP_SIZE.least);
            for (const id of g.children) {
              const first = sure(all.find((c) => c.id === id)).next;
              const own = first?.ladder === g.step.ladder && first.rung === g.step.rung;
              expect(g.gave.some((x) => x.id === id)).toBe(!own);
            }
          }
          expect(groupsFor([...all].reverse(), staff, BEGIN)).toEqual(groupsFor(all, staff, BEGIN));
        }),
        { numRuns: 150 },
      );
    },
  );
});
