import { describe, expect, test } from 'vitest';
import { makingOf } from '../phonology/sounds';
import { context, word } from '../testing/bank';
import { choiceLikely, segmentingLikely } from './likely';
import { addHabits, habitsOf, NO_HABITS, rank, SHOWN } from './rank';

const frog = segmentingLikely(word('frog'), context());
const sounds = word('frog').sounds.map((s) => s.ipa);
const marks = sounds.map((ipa) => ({ ipa, making: makingOf(ipa) }));
const notes = (habits = NO_HABITS): string[] => rank(frog, marks, habits).map((a) => a.note);
const many = (n: number, slip: 'added-uh' | 'letter-name' | 'lost-sound', missed: number[] = []) =>
  habitsOf(Array.from({ length: n }, () => ({ slip, sounds, missed })));

describe('which likely answers are shown', () => {
  test('as many as fit, in the usual order where nothing is known of the child', () => {
    expect(notes()).toHaveLength(SHOWN);
    expect(notes()).toEqual(['left out /r/', 'kept the start together', 'kept the end together', 'said the word']);
  });
  test('what a child has said before comes forward: letter names after a few, not after one', () => {
    expect(notes(many(1, 'letter-name'))).not.toContain('letter names');
    expect(notes(many(8, 'letter-name'))[0]).toBe('letter names');
  });
  test('a sound a child loses comes before another it does not', () => {
    expect(notes(many(6, 'lost-sound', [1]))[0]).toBe('left out /r/');
    expect(notes(many(6, 'lost-sound', [3]))).toContain('left out /g/');
  });
  test('right answers change nothing but how fast it learns; habits of two sittings add up', () => {
    const right = habitsOf(Array.from({ length: 20 }, () => ({ slip: null, sounds, missed: [] })));
    expect(notes(right)).toEqual(notes());
    expect(addHabits(many(3, 'letter-name'), many(4, 'letter-name'))).toEqual(many(7, 'letter-name'));
  });
  test('choices keep their places whatever was chosen before', () => {
    const yesNo = choiceLikely(['yes', 'no'], 1);
    expect(
      rank(
        yesNo,
        [],
        habitsOf(Array.from({ length: 9 }, () => ({ slip: 'wrong-choice' as const, sounds: [], missed: [] }))),
      ).map((a) => a.show),
    ).toEqual(['yes', 'no']);
  });
});
