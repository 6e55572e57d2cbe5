import { expect, test } from 'vitest';
import type { Outcome } from '../answers/outcome';
import { talkAbout } from './talk-about';

// Invented answers: what is checked is which of them are worth a sentence (common practice, no source).

const NAMES = new Map([
  ['w', 'Wren'],
  ['k', 'Kofi'],
]);

const answer = (childId: string | null, outcome: Outcome, more: { missed?: number[]; note?: string } = {}) => ({
  childId,
  word: 'frog',
  label: 'frog',
  outcome,
  sounds: ['f', 'r', 'ɒ', 'ɡ'],
  missed: more.missed ?? [],
  note: more.note ?? null,
});

const textsOf = (...answers: ReturnType<typeof answer>[]): string[] =>
  talkAbout(answers, NAMES, 'southern-british').map((t) => t.text);

test('a note comes first, then children, then sounds missed more than once', () => {
  expect(
    textsOf(
      answer('w', 'not-yet', { missed: [1] }),
      answer('w', 'not-yet', { missed: [1], note: 'Coughing today.' }),
      answer('w', 'with-help'),
      answer('k', 'on-own'),
      answer('k', 'on-own'),
      answer('k', 'on-own'),
    ),
  ).toEqual([
    'You wrote about Wren (frog): “Coughing today.”',
    'Wren didn’t manage any of the 3 on their own yet.',
    'Kofi did all 3 on their own.',
    '/r/ was missed 2 times out of 6, in frog.',
  ]);
});

test('few answers, one slip and a mixed session say nothing', () => {
  expect(textsOf(answer('w', 'not-yet', { missed: [0] }), answer('w', 'not-yet'))).toEqual([]);
  expect(textsOf(answer('w', 'on-own'), answer('w', 'not-yet'), answer('w', 'on-own'))).toEqual([]);
});

test('no reply is told as no reply, never as not knowing; what does not count is left out', () => {
  expect(textsOf(answer('w', 'no-reply'), answer('w', 'no-reply'), answer('w', 'on-own'))).toEqual([
    'Wren didn’t reply to 2 of 3 questions. That doesn’t mean they don’t know.',
  ]);
  expect(textsOf(answer('w', 'does-not-count'), answer('w', 'does-not-count'), answer('w', 'does-not-count'))).toEqual(
    [],
  );
});
