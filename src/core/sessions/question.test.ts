import { describe, expect, test } from 'vitest';
import { NO_OWN_WAY, type OwnWay } from '../answers/own-way';
import { asWord } from '../answers/said';
import { stepOf, taskOf } from '../games';
import { makeItem } from '../games/item';
import { sure } from '../sure';
import { material } from '../testing/bank';
import { questionOf, rightInOwnWay } from './question';

const task = taskOf('blending');
const item = makeItem(task, stepOf(task, '3'), 'ring', material());
const here = { accent: 'southern-british', mixed: false, otherAccent: undefined } as const;
const LABIAL: OwnWay = { ...NO_OWN_WAY, swaps: [{ asked: 'r', says: 'w' }] };

describe('likely answers that are right for one child', () => {
  // McLeod & Crowe 2018, from memory: w for r is usual until five and later; it is speech, not listening.
  test('a child who says w for r is not offered “wing” as a slip for ring', () => {
    const slips = item.likely.filter((l) => l.outcome === 'not-yet');
    const wing = { ...item, likely: [...slips, { ...sure(slips[0]), id: 'wing', said: asWord(['w', 'ɪ', 'ŋ']) }] };
    expect(rightInOwnWay(wing, { ...here, ownWay: LABIAL })).toContain('wing');
    expect(rightInOwnWay(wing, { ...here, ownWay: NO_OWN_WAY })).toEqual([]);
  });
  test('what is judged by ear has none, whoever answers', () => {
    const odd = taskOf('rhyme-pairs');
    const yesNo = makeItem(odd, stepOf(odd, 'far'), 'cat hat', material());
    expect(rightInOwnWay(yesNo, { ...here, ownWay: LABIAL })).toEqual([]);
  });
  test('the question carries the child’s way, the accent’s t and what a word becomes', () => {
    expect(questionOf(item, { ...here, ownWay: LABIAL })).toMatchObject({ ownWay: LABIAL, to: undefined });
    const swap = taskOf('swap');
    const changed = makeItem(swap, stepOf(swap, 'first'), 'cat hat', material());
    expect(questionOf(changed, { ...here, ownWay: NO_OWN_WAY }).to?.map((m) => m.ipa)).toEqual(['h', 'æ', 't']);
  });
});
