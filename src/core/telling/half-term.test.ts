import { describe, expect, test } from 'vitest';
import { inWords } from '../in-words';
import { sure } from '../sure';
import { groupIn, WORLDS } from '../testing/worlds';
import { evidenceOf, type StepRun } from '../evidence/evidence';
import { holdsIn } from '../choosing/next-step';
import { halfTermOf, type HalfTermChild } from './half-term';
import { LADDERS } from '../evidence/ladders';

/**
 * Every sentence of the half-term page is taken apart again and each of its claims worked out anew from the marks
 * themselves, by other code than the page’s. Made-up groups: 25 of eight children.
 */
const DAY = 86_400_000;
const NAMES = ['Ottilie', 'Idris', 'Wren', 'Kofi', 'Saoirse', 'Tomasz', 'Bo', 'Ada'];

const skillsIn = (runs: readonly StepRun[]): HalfTermChild['skills'] =>
  evidenceOf(runs).map(({ ladder, rungs }) => ({ ladder, rungs, holds: holdsIn(rungs) ?? null }));

function groupOf(seed: number): { children: HalfTermChild[]; now: number } {
  const histories = groupIn(sure(WORLDS[seed % WORLDS.length]), seed + 1);
  const now = Math.max(...histories.map((h) => h.now)) + DAY;
  return {
    now,
    children: histories.map(({ before }, i) => {
      // Some were here for a few days alone.
      const runs = i % 4 === 3 ? before.slice(-2) : before;
      return { name: sure(NAMES[i]), runs, skills: skillsIn(runs) };
    }),
  };
}

const number = (word: string): number => {
  const known = Array.from({ length: 13 }, (_, n) => inWords(n)).indexOf(word);
  return known > 0 ? known : Number(word);
};
const RUNGS = new Map(
  LADDERS.flatMap((l) => l.rungs.flatMap((r) => r.steps.map(([t, s]) => [`${t} ${s}`, l.name.toLowerCase()] as const))),
);
const nameOf = (r: StepRun): string => RUNGS.get(`${r.task} ${r.step}`) ?? '';
const days = (runs: readonly StepRun[]): number =>
  runs.map((r) => r.day).filter((d, i, all) => all.indexOf(d) === i).length;

describe('two hundred histories', () => {
  test.each(Array.from({ length: 25 }, (_, i) => i))('group %i: each sentence is true of what was seen', (seed) => {
    const { children, now } = groupOf(seed);
    const page = halfTermOf(children, now);
    const lately = (c: HalfTermChild): StepRun[] => c.runs.filter((r) => now - r.at < 42 * DAY);
    const all = children.flatMap(lately);
    const [first = '', ...others] = page.played;
    const told = sure(/on (\S+) days? in the last six weeks and had (\d+) turns?/.exec(first));
    expect(number(sure(told[1]))).toBe(days(all));
    expect(Number(told[2])).toBe(all.map((r) => r.marks).join('').length);
    for (const line of others) {
      const ladder = /^We played (.+) on (\S+) days?, with (\S+) child/.exec(line);
      if (!ladder) {
        const not = sure(/^We haven’t played these in that time: (.+)\.$/.exec(line)?.[1]);
        for (const name of not.split(/, | and /))
          expect(
            all.some((r) => nameOf(r) === name),
            name,
          ).toBe(false);
        continue;
      }
      const on = all.filter((r) => nameOf(r) === ladder[1]);
      expect(number(sure(ladder[2])), line).toBe(days(on));
      expect(number(sure(ladder[3])), line).toBe(
        children.filter((c) => lately(c).some((r) => nameOf(r) === ladder[1])).length,
      );
    }
    const few = children.filter(
      (c) =>
        lately(c)
          .map((r) => r.marks)
          .join('').length < 10,
    );
    expect(few.every((c) => page.tooLittle.join(' ').includes(c.name))).toBe(true);
    expect(NAMES.filter((n) => page.tooLittle.join(' ').includes(n))).toHaveLength(few.length);
  });

  test.each(Array.from({ length: 25 }, (_, i) => i))('group %i: where the children are', (seed) => {
    const { children, now } = groupOf(seed);
    const page = halfTermOf(children, now);
    expect(page.where.length).toBeGreaterThan(0);
    for (const line of page.where) {
      const [, name = '', parts = ''] = sure(/^In (.+?), (.+)\.$/.exec(line));
      const states = children.flatMap((c) => {
        const on = sure(c.skills.find((l) => l.ladder.name.toLowerCase() === name));
        const tried = on.rungs.filter((r) => r.lastAt !== null);
        return tried.length ? [on.rungs.some((r) => r.state === 'secure') ? 'secure' : tried.map((r) => r.state)] : [];
      });
      const secure = states.filter((s) => s === 'secure').length;
      expect(number(/(\S+) child(?:ren)? (?:is|are) secure/.exec(parts)?.[1] ?? '0'), line).toBe(secure);
      const counts = [...parts.matchAll(/(\S+) child/g)].map((m) => number(sure(m[1])));
      expect(
        counts.reduce((a, b) => a + b, 0),
        line,
      ).toBe(states.length);
      // A name is nobody’s: these are numbers of children.
      expect(NAMES.some((n) => line.includes(n))).toBe(false);
    }
    for (const row of page.rows) {
      const tried = children.filter((c) =>
        c.skills.some(
          (l) =>
            l.ladder.name === row.ladder &&
            l.rungs.some((r) => r.rung.does.toLowerCase() === row.step.toLowerCase() && r.lastAt !== null),
        ),
      );
      expect(Object.values(row.states).reduce((a, b) => a + b, 0)).toBe(tried.length);
    }
  });
});

test('where nothing was played, it says just that', () => {
  const page = halfTermOf([{ name: 'Wren', runs: [], skills: skillsIn([]) }], 20_000 * DAY);
  expect(page.played).toEqual(['Nothing has been played in the last six weeks.']);
  expect([page.where, page.rows]).toEqual([[], []]);
});
