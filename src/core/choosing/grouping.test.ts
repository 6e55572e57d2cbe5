import { describe, expect, test } from 'vitest';
import { ladderOf } from '../evidence/ladders';
import { sure } from '../sure';
import { times } from '../testing/deep';
import { child, randomClass, WEEK } from '../testing/random-class';
import type { Candidate, GroupAsk } from './company';
import { groupsFor, type Grouping } from './grouping';

/**
 * Groups as a person would make them. The laws are our own, from what practitioners say (common practice, no source):
 * three to six, nobody above what they can do, who may not be together is not, all in the fewest days.
 */

const MONDAY = (adults: number): GroupAsk => ({ adults, calendar: WEEK });

const inGroups = ({ groups }: Grouping): string[] => groups.map((g) => [...g.children].sort().join(''));
const named = (letters: string, at: Readonly<Record<string, number>>, more?: Partial<Candidate>): Candidate[] =>
  [...letters].map((l) => child(l, at, more));

describe('six classes whose right answer is plain', () => {
  test('two skills, two adults: each group has its own', () => {
    const made = groupsFor([...named('abcd', { blending: 2 }), ...named('efg', { rhyme: 1 })], MONDAY(2));
    expect(inGroups(made).sort()).toEqual(['abcd', 'efg']);
    expect(made.groups.map((g) => g.day)).toEqual([0, 0]);
    expect(made.groups.every((g) => g.reason.next.length === g.children.length)).toBe(true);
  });
  test('six children and two adults are two threes, side by side', () => {
    const made = groupsFor(named('abcdef', { blending: 2 }), MONDAY(2));
    expect(made.groups.map((g) => g.children.length)).toEqual([3, 3]);
    expect(made.days).toBe(1);
  });
  test('28 children and two adults: five groups in three days', () => {
    const names = 'abcdefghijklmnopqrstuvwxyzAB';
    const made = groupsFor(
      [...names].map((l, i) => child(l, i % 3 ? { blending: 2, rhyme: 1 } : { rhyme: 1, blending: 2 })),
      MONDAY(2),
    );
    expect(made.groups.length).toBe(5);
    expect(made.days).toBe(3);
    expect(made.groups.map((g) => g.day)).toEqual([0, 0, 1, 1, 2]);
    expect(made.alone).toEqual([]);
  });
  test('a child added this morning is not put in a game far above them', () => {
    const made = groupsFor([...named('abcde', { segmenting: 5 }), child('f', { syllables: 0 })], MONDAY(1));
    expect(inGroups(made)).toEqual(['abcde']);
    expect(made.alone).toEqual([{ id: 'f', day: 0 }]);
  });
  test('steps too far apart for one: the same game, each their own step', () => {
    const made = groupsFor(
      [child('a', { blending: 1 }), child('b', { blending: 4 }), child('c', { blending: 6 })],
      MONDAY(1),
    );
    expect(made.groups.map((g) => [g.game.own, g.game.step.ladder, g.children.length])).toEqual([
      [true, 'blending', 3],
    ]);
  });
  test('pairs, key adults and part-time days are kept', () => {
    const made = groupsFor(
      [
        ...named('abc', { blending: 2 }, { days: [1, 2] }),
        ...named('def', { blending: 2 }, { days: [4, 5] }),
        child('g', { blending: 2 }, { together: ['a'] }),
        child('h', { blending: 2 }, { apart: ['g'], keyAdult: 'Hazel' }),
      ],
      MONDAY(1),
    );
    expect(inGroups(made).sort()).toEqual(['abcg', 'defh']);
    expect(made.groups.map((g) => [g.day, g.adult])).toEqual([
      [0, null],
      [3, 'Hazel'],
    ]);
    // Thursday is the first day of those who come at the end of the week.
    expect(made.days).toBe(4);
  });
});

const CLASSES = times(1_000, 200);

/** Every law, told from the children alone. */
function expectLaws(made: Grouping, list: readonly Candidate[], { calendar }: GroupAsk, where: string): void {
  const of = new Map(list.map((c) => [c.id, c]));
  const all = [...made.groups.flatMap((g) => [...g.children, ...g.away]), ...made.alone.map((a) => a.id)];
  expect([...all].sort(), `${where}: everyone, once`).toEqual(list.map((c) => c.id).sort());
  for (const { children, away, game, day, adult } of made.groups) {
    const who = children.map((id) => sure(of.get(id)));
    if (list.length >= 3) expect(children.length + away.length, `${where}: three`).toBeGreaterThanOrEqual(3);
    expect(children.length, `${where}: six`).toBeLessThanOrEqual(6);
    const rungs = ladderOf(game.step.ladder).rungs.map((r) => r.id);
    for (const c of who) {
      const at = c.on.get(game.step.ladder)?.at ?? -1;
      const above = at - rungs.indexOf(game.step.rung);
      if (!game.own) expect([0, 1], `${where}: ${c.id} at their step, or one below it`).toContain(above);
      else expect(at, where).toBeGreaterThanOrEqual(0);
      expect(c.days.includes(sure(calendar[day])) && !(day === 0 && c.away), `${where}: ${c.id} comes`).toBe(true);
      expect(
        c.apart.some((x) => children.includes(x)),
        `${where}: apart`,
      ).toBe(false);
      if (c.keyAdult) expect(adult, where).toBe(c.keyAdult);
    }
    const places = children.map((id) => list.findIndex((c) => c.id === id));
    expect(places, `${where}: in the order of the list`).toEqual([...places].sort((a, b) => a - b));
  }
}

describe(`${CLASSES} classes nobody made up`, () => {
  test('every law holds, whatever the class', () => {
    let [alone, children, parted, pairs] = [0, 0, 0, 0];
    for (let seed = 1; seed <= CLASSES; seed += 1) {
      const { list, ask } = randomClass(seed);
      const made = groupsFor(list, ask);
      const where = `class ${seed}`;
      expectLaws(made, list, ask, where);
      const busy = new Map<number, number>();
      for (const { day } of made.groups) busy.set(day, (busy.get(day) ?? 0) + 1);
      expect(Math.max(0, ...busy.values()), `${where}: an adult a group`).toBeLessThanOrEqual(ask.adults);
      const fullTime = list.every((c) => c.days.length === 5 && !c.away);
      if (fullTime && list.length <= ask.adults * 18 && !list.some((c) => c.keyAdult))
        expect(made.days, `${where}: three days`).toBeLessThanOrEqual(3);
      alone += made.alone.length;
      children += list.length;
      for (const c of list)
        for (const friend of c.together) {
          pairs += 1;
          if (!made.groups.some((g) => g.children.includes(c.id) && g.children.includes(friend))) parted += 1;
        }
    }
    console.log(`alone ${alone} of ${children}; pairs parted ${parted} of ${pairs}`);
    expect(alone / children).toBeLessThan(0.05);
    expect(parted / pairs).toBeLessThan(0.2);
  }, 300_000);
  test('the same class gives the same groups', () => {
    for (let seed = 1; seed <= 60; seed += 1) {
      const { list, ask } = randomClass(seed);
      expect(groupsFor([...list], ask)).toEqual(groupsFor(list, ask));
      expect(inGroups(groupsFor([...list].reverse(), ask)).sort()).toEqual(inGroups(groupsFor(list, ask)).sort());
    }
  });
  test('a list of hundreds has its groups too, after so many tries', () => {
    const { list, ask } = randomClass(7, 240);
    expectLaws(groupsFor(list, ask), list, ask, 'a long list');
  });
  test('nobody: no groups', () => expect(groupsFor([], MONDAY(2))).toEqual({ groups: [], alone: [], days: 0 }));
});
