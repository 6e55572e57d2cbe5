import { expect, test } from 'vitest';
import { AGE_BANDS, bandName } from './age-band';
import { notExpected } from './not-expected';
import { LADDERS } from './ladders';

const notYetAt = (band: (typeof AGE_BANDS)[number] | null): string[] =>
  LADDERS.flatMap((l) => l.rungs.filter((r) => notExpected(band, r)).map((r) => `${l.id}/${r.id}`));

test('three-year-olds: single sounds to blend, take apart or change are not expected yet', () => {
  const not = notYetAt('nursery');
  for (const rung of ['blending/3-held', 'blending/longer', 'segmenting/2', 'leaving-out/first', 'swapping/first'])
    expect(not).toContain(rung);
  for (const rung of [
    'syllables/join',
    'rhyme/same',
    'first-sounds/say',
    'blending/pictures',
    'blending/onset-rime',
    'segmenting/onset-rime',
  ])
    expect(not).not.toContain(rung);
});
test('nothing is said of older ones, nor where no age is set', () => {
  expect([...notYetAt('reception'), ...notYetAt('year-1'), ...notYetAt(null)]).toEqual([]);
});
test('each band has its country’s name', () => {
  expect(AGE_BANDS.map((b) => bandName(b, 'gb'))).toEqual(['Nursery, 3 to 4', 'Reception, 4 to 5', 'Year 1, 5 to 6']);
  expect(bandName('year-1', 'us')).toBe('Kindergarten, 5 to 6');
});
