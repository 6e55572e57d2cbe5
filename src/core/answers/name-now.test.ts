import { expect, test } from 'vitest';
import { nameNow } from './name-now';

const frog = ['f', 'r', 'ɒ', 'ɡ'];

// Hand-made; what each is called: answers/analyse and its tests.
test.each([
  ['blending', 'lost-sound', 'f+ɒ', 'lost-sounds'],
  ['blending', 'lost-sound', 'f+ɒ+ɡ', 'lost-sound'],
  ['blending', 'swapped-sound', 'f+l+ɒ+ɡ', 'near-sound'],
  ['blending', 'lost-sound', 'f+ɒ+m', 'several'],
  ['segmenting', 'lost-sound', 'f ɒ', 'lost-sounds'],
  // Not worked out from sounds, or nothing was kept of what was said, or the word was to be changed.
  ['blending', 'not-joined', 'f r ɒ ɡ', 'not-joined'],
  ['blending', 'lost-sound', null, 'lost-sound'],
  ['leave-out', 'swapped-sound', 'r+ɒ+m', 'swapped-sound'],
] as const)('%s: “%s”, said “%s”, is “%s” today', (task, slip, said, now) => {
  expect(nameNow({ task, outcome: 'not-yet', slip, said, sounds: frog })).toBe(now);
});

test('what is no row of sounds keeps its name', () => {
  const kept = { task: 'blending', outcome: 'not-yet', slip: 'lost-sound' } as const;
  expect(nameNow({ ...kept, said: 'fog, perhaps', sounds: frog })).toBe('lost-sound');
  expect(nameNow({ ...kept, said: 'f+ɒ+ɡ', sounds: [''] })).toBe('lost-sound');
});

test('a right answer keeps its note', () => {
  expect(nameNow({ task: 'blending', outcome: 'on-own', slip: 'own-way', said: 'f+w+ɒ+ɡ', sounds: frog })).toBe(
    'own-way',
  );
});
