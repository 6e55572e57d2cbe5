import { describe, expect, test } from 'vitest';
import { NOW } from '../testing/seen';
import { GAPS, SPEECH } from '../testing/speakers';
import { spokenHistory, type Speaker } from '../testing/spoken';
import { adviseOn, type ChildAdvice } from './advice';
import { sure } from '../sure';

const CHILDREN = 100;
const LAPSES = [0, 0.02, 0.05, 0.1] as const;

/** What is advised to made-up children of one kind at the end of sixteen sessions. */
const advised = (kind: Omit<Speaker, 'lapse'>): ChildAdvice[] =>
  Array.from({ length: CHILDREN }, (_, i) =>
    adviseOn(spokenHistory({ ...kind, lapse: sure(LAPSES[i % LAPSES.length]) }, i + 1), {
      now: NOW,
      rule: 'weighed',
      unitOrder: 'sounds-first',
    }),
  );
const patterns = ({ next }: ChildAdvice): string[] => next.flatMap((s) => s.pattern ?? []);

/** A sound that is the only one of its kind and place says the same as the kind. */
const isPlanted = (id: string, gap: string): boolean => sure(GAPS[gap]).named.includes(id) || id.includes(' ');

describe('speech is not advised', () => {
  test.each(Object.keys(SPEECH))('%s, everything heard: at most 2 of 100 get a pattern or a step back', (speech) => {
    const all = advised({ speech, gap: null });
    const wrong = all.filter((a) => patterns(a).length > 0 || a.next.some((s) => s.move === 'back'));
    expect(wrong.length).toBeLessThanOrEqual(2);
  });
});

describe('what is not heard yet is advised', () => {
  test.each(Object.keys(GAPS))('%s, everything said: among the two in 90 of 100, and nothing else in 95', (gap) => {
    const all = advised({ speech: null, gap });
    const found = all.filter((a) => patterns(a).some((p) => sure(GAPS[gap]).named.includes(p)));
    const other = all.filter((a) => patterns(a).some((p) => !isPlanted(p, gap)));
    expect(found.length).toBeGreaterThanOrEqual(90);
    expect(other.length).toBeLessThanOrEqual(5);
  });
});

test('both at once: what is not heard is still found, and nothing is made of the speech', () => {
  const all = advised({ speech: 'fronting', gap: 'first of an end' });
  expect(all.filter((a) => patterns(a).includes('closing-first')).length).toBeGreaterThanOrEqual(80);
  expect(all.filter((a) => patterns(a).some((p) => !['closing-first'].includes(p))).length).toBeLessThanOrEqual(5);
});

test('neither: no pattern', () => {
  expect(advised({ speech: null, gap: null }).filter((a) => patterns(a).length > 0).length).toBeLessThanOrEqual(2);
});
