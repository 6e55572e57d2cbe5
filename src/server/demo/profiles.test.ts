import { expect, test } from 'vitest';
import { segmentingLikely } from '../../core/answers/likely';
import { context, word } from '../../core/testing/bank';
import { seeded } from '../../core/random';
import { answerAs, PROFILES, type ProfileId } from './profiles';

const frog = segmentingLikely(word('frog'), context());
const many = (profile: ProfileId, cluster: boolean) => {
  const random = seeded(11);
  return Array.from({ length: 2_000 }, () => answerAs(profile, cluster, frog, random));
};

test.each(Object.keys(PROFILES) as ProfileId[])('%s answers in the shares its profile states, in its time', (id) => {
  for (const [cluster, shares] of [
    [false, PROFILES[id].plain],
    [true, PROFILES[id].cluster],
  ] as const) {
    expect(Object.values(shares).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    const answers = many(id, cluster);
    for (const [outcome, share] of Object.entries(shares)) {
      // Four standard errors of a share over 2,000 answers.
      const slack = 4 * Math.sqrt((share * (1 - share)) / answers.length);
      expect(
        Math.abs(answers.filter((a) => a.outcome === outcome).length / answers.length - share),
        outcome,
      ).toBeLessThanOrEqual(slack);
    }
    const [least, most] = PROFILES[id].seconds;
    expect(answers.every((a) => a.thinkMs >= least * 1000 && a.thinkMs <= most * 1000)).toBe(true);
  }
});

test('a child who drops sounds from clusters does just that; help is named only where help was given', () => {
  const answers = many('drops-from-clusters', true);
  expect(new Set(answers.filter((a) => a.outcome === 'not-yet').map((a) => a.likely?.slip))).toEqual(
    new Set(['lost-sound']),
  );
  for (const answer of answers) if (answer.helps.length) expect(answer.outcome).toBe('with-help');
  expect(answers.some((a) => a.helps.length > 0)).toBe(true);
});
