import { describe, expect, test } from 'vitest';
import { proofOf } from '../testing/kept-proof';
import { NOW } from '../testing/seen';
import { GAPS, SPEECH } from '../testing/speakers';
import { spokenHistory, type Speaker } from '../testing/spoken';
import { adviseOn, type ChildAdvice } from '../choosing/advice';
import { sure } from '../sure';

const CHILDREN = 100;
const LAPSES = [0, 0.02, 0.05, 0.1] as const;

/** What is advised to made-up children of one kind at the end of sixteen sessions. */
const advised = (kind: Omit<Speaker, 'lapse'>): ChildAdvice[] =>
  Array.from({ length: CHILDREN }, (_, i) =>
    adviseOn(spokenHistory({ ...kind, lapse: sure(LAPSES[i % LAPSES.length]) }, i + 1), {
      now: NOW,
      unitOrder: 'sounds-first',
    }),
  );

const BOTH: Omit<Speaker, 'lapse'> = { speech: 'fronting', gap: 'first of an end' };
const KINDS: Readonly<Record<string, Omit<Speaker, 'lapse'>>> = {
  ...Object.fromEntries(Object.keys(SPEECH).map((speech) => [`says: ${speech}`, { speech, gap: null }])),
  ...Object.fromEntries(Object.keys(GAPS).map((gap) => [`hears: ${gap}`, { speech: null, gap }])),
  both: BOTH,
  neither: { speech: null, gap: null },
};

/** Of each child the patterns advised, and whether a step back is. */
interface Advised {
  readonly patterns: readonly string[];
  readonly back: boolean;
}
const proof = proofOf<readonly Advised[]>('src/core/evidence/speech.test.ts', {
  name: 'speech-and-hearing',
  parts: Object.keys(KINDS),
  prove: (kind) =>
    advised(sure(KINDS[kind])).map(({ next }) => ({
      patterns: [next?.pattern].flatMap((p) => p ?? []),
      back: next?.move === 'back',
    })),
});

/** A sound that is the only one of its kind and place says the same as the kind. */
const isPlanted = (id: string, gap: string): boolean => sure(GAPS[gap]).named.includes(id) || id.includes(' ');

describe('speech is not advised', () => {
  test.each(Object.keys(SPEECH))(
    '%s, everything heard: at most 2 of 100 get a pattern or a step back',
    async (speech) => {
      const all = await proof.of(`says: ${speech}`);
      expect(all).toHaveLength(CHILDREN);
      expect(all.filter((a) => a.patterns.length > 0 || a.back).length).toBeLessThanOrEqual(2);
    },
  );
});

describe('what is not heard yet is advised', () => {
  test.each(Object.keys(GAPS))('%s, everything said: it is next in 90 of 100, and nothing else in 95', async (gap) => {
    const all = await proof.of(`hears: ${gap}`);
    const found = all.filter((a) => a.patterns.some((p) => sure(GAPS[gap]).named.includes(p)));
    const other = all.filter((a) => a.patterns.some((p) => !isPlanted(p, gap)));
    expect(found.length).toBeGreaterThanOrEqual(90);
    expect(other.length).toBeLessThanOrEqual(5);
  });
});

test('both at once: what is not heard is still found, and nothing is made of the speech', async () => {
  const all = await proof.of('both');
  expect(all.filter((a) => a.patterns.includes('closing-first')).length).toBeGreaterThanOrEqual(80);
  expect(all.filter((a) => a.patterns.some((p) => p !== 'closing-first')).length).toBeLessThanOrEqual(5);
});

test('neither: no pattern', async () => {
  expect((await proof.of('neither')).filter((a) => a.patterns.length > 0).length).toBeLessThanOrEqual(2);
});
