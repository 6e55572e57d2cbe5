import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { taskOf } from '../games';
import { material } from '../testing/bank';
import { makePlan } from '../sessions/shapes';
import { sure } from '../sure';
import { calendarOf } from './calendar';
import { planChangeSchema, planRequestSchema, planSchema, planToJson, readPlanFile } from './plan-file';

const plan = makePlan(material(), {
  shape: 'focus',
  task: 'sort',
  step: 'far',
  count: 3,
  minutes: 8,
  children: 6,
  seed: 1,
  paceOf: (task) => taskOf(task).secondsPerTurn,
});
const file = planToJson(plan, 'southern-british');
const changed = (change: (rounds: Record<string, unknown>[]) => void): string => {
  const body = JSON.parse(file) as { plan: { rounds: Record<string, unknown>[] } };
  change(body.plan.rounds);
  return JSON.stringify(body);
};

test('a step that a game does not have is told, and never another one played', () => {
  expect(planRequestSchema.safeParse({ task: 'rhyme-match', step: '2' }).error?.issues[0]?.message).toBe(
    '“Which one rhymes?” has no step “2”.',
  );
  expect(planRequestSchema.parse({ task: 'rhyme-match' }).step).toBe('2-far');
  const round = { ...sure(plan.rounds[0]), task: 'blending', step: '17' };
  const read = readPlanFile(planToJson({ ...plan, rounds: [round, ...plan.rounds] }, 'southern-british'));
  expect(read.rounds[0]).toMatchObject({ round: null, why: '“Blending” has no step “17”.' });
  expect(read.plan?.rounds).toHaveLength(plan.rounds.length);
});

test('a plan made before is read with its steps as they were: by number of sounds, and games that went', () => {
  const old = [
    ['blending', '3'],
    ['segmenting', '5'],
    ['shared-sound', 'told'],
    ['reorder', 'any'],
    ['catch', '3'],
    ['hunt', '7-8'],
    ['recall-back', '4'],
  ] as const;
  const rounds = old.map(([task, step], i) => ({ ...sure(plan.rounds[0]), id: `r${i + 1}`, task, step }));
  const read = readPlanFile(planToJson({ ...plan, rounds }, 'southern-british'));
  expect(read.plan?.rounds.map((r) => [r.task, r.step])).toEqual(old);
});

describe('a plan as a file', () => {
  test('comes back as it was', () => {
    expect(readPlanFile(file)).toMatchObject({ fault: null, plan });
    expect(readPlanFile(`\uFEFF${file}`).plan).toEqual(plan);
    expect(planSchema.parse(JSON.parse(JSON.stringify(plan)))).toEqual(plan);
  });
  test.each([
    ['', 'empty'],
    ['{', 'can’t read this JSON'],
    ['[]', 'not a plan'],
    ['{"format":"bouncy-echo-word-set"}', 'not a plan'],
    ['x'.repeat(300_000), 'too large'],
  ])('%.20j is refused in words', (text, why) => {
    expect(readPlanFile(text)).toMatchObject({ plan: null });
    expect(readPlanFile(text).fault).toContain(why);
  });
  test('a round that is broken is left out and named; the others stay', () => {
    const read = readPlanFile(
      changed((rounds) => {
        sure(rounds[0]).task = 'juggling';
      }),
    );
    expect(read.rounds[0]).toMatchObject({ round: null, why: 'There is no game “juggling”.' });
    expect(sure(read.plan).rounds).toHaveLength(plan.rounds.length - 1);
  });
  test('with no round left there is no plan', () => {
    const read = readPlanFile(
      changed((rounds) => {
        for (const r of rounds) r.gap = 90;
      }),
    );
    expect(read.fault).toContain('None of the rounds');
    expect(sure(read.rounds[0]).why).toContain('two seconds at most');
  });
  test('a part that is missing is named in a sentence', () => {
    const body = JSON.parse(file) as { plan: Record<string, unknown> };
    delete body.plan.title;
    expect(readPlanFile(JSON.stringify(body)).fault).toBe('“title” is missing, or is not what it should be.');
  });
  test('no text breaks the reader, and what it takes is a plan', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.json(),
          fc.tuple(fc.nat(file.length), fc.nat(40)).map(([at, n]) => file.slice(0, at) + file.slice(at + n)),
        ),
        (text) => {
          const read = readPlanFile(text);
          if (read.plan) expect(planSchema.safeParse(read.plan).success).toBe(true);
          else expect(read.fault).toMatch(/\.$/);
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('wishes and changes at the door', () => {
  test('a form’s fields become a wish; what is out of bounds is said', () => {
    expect(
      planRequestSchema.parse({ shape: 'focus', task: 'sort', step: 'far', minutes: '8', sound: '' }),
    ).toMatchObject({ minutes: 8, sound: undefined, seed: 1 });
    expect(sure(sure(planRequestSchema.safeParse({ task: 'sort', minutes: '0' }).error).issues[0]).message).toBe(
      'A plan needs at least one minute.',
    );
    expect(planRequestSchema.safeParse({ task: 'sort', minutes: '900' }).success).toBe(false);
    expect(planChangeSchema.safeParse({ kind: 'set', round: 'r1', task: 'juggling', step: '' }).success).toBe(false);
    expect(planChangeSchema.safeParse({ kind: 'explode' }).success).toBe(false);
  });
});

// RFC 5545: 3.1 content lines (75 octets, folded), 3.6.1 VEVENT (UID, DTSTAMP, DTSTART), 3.3.11 TEXT escaping, 3.3.5
// form 1.
describe('a plan in a calendar (RFC 5545)', () => {
  const text = calendarOf({
    id: '0190',
    title: 'Peas, pods; and rhymes',
    group: 'Radishes',
    at: '2026-11-24T09:30',
    minutes: 8,
    stamp: new Date('2026-11-23T20:00:00Z'),
    lines: ['2 min Rhyme: hat · cat', `3 min ${'Segmenting '.repeat(12)}`],
    bring: ['sock', 'spoon'],
  });
  const lines = text.split('\r\n');
  const unfolded = text.replace(/\r\n[ \t]/g, '').split('\r\n');
  test('begins, ends and names its event as the standard asks', () => {
    expect(lines[0]).toBe('BEGIN:VCALENDAR');
    expect(unfolded).toEqual(
      expect.arrayContaining(['VERSION:2.0', 'BEGIN:VEVENT', 'UID:0190@bouncy-echo', 'END:VEVENT', 'END:VCALENDAR']),
    );
    expect(unfolded.some((l) => /^DTSTAMP:20261123T200000Z$/.test(l))).toBe(true);
  });
  test('no line is longer than 75 octets', () =>
    lines.forEach((l) => expect(Buffer.byteLength(l)).toBeLessThanOrEqual(75)));
  test('starts and ends by the wall clock', () => {
    expect(unfolded).toEqual(expect.arrayContaining(['DTSTART:20261124T093000', 'DTEND:20261124T093800']));
  });
  test('commas, semicolons and new lines are escaped', () => {
    expect(unfolded.find((l) => l.startsWith('SUMMARY'))).toBe('SUMMARY:Peas\\, pods\\; and rhymes (Radishes)');
    expect(unfolded.find((l) => l.startsWith('DESCRIPTION'))).toContain('\\nBring: sock\\, spoon');
  });
});
