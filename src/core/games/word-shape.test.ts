import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { material, word } from '../testing/bank';
import { generate } from './generate';
import { findStep, offeredStep, shownStep, stepOf, taskOf, TASKS } from './index';
import { wordShape } from './word-shape';

const sounds = (name: string, accent: (typeof ACCENT_IDS)[number] = 'southern-british'): string[] =>
  word(name, accent).sounds.map((s) => s.ipa);

describe('the shape of a word', () => {
  // By hand, from how the words are said; common practice, no source.
  test.each([
    ['pea', '2'],
    ['us', '2'],
    ['sun', '3-held'],
    ['map', '3-held'],
    ['shoes', '3-held'],
    ['pot', '3-clip'],
    ['hat', '3-clip'],
    ['jam', '3-clip'],
    ['lamp', '4-end'],
    ['ask', '4-end'],
    ['hand', '4-end'],
    ['box', '4-end'],
    ['frog', '4-start'],
    ['star', '4-start'],
    ['play', '4-start'],
    ['queen', '4-start'],
    ['plant', 'longer'],
    ['street', 'longer'],
    ['clamp', 'longer'],
    ['spider', 'two-beats'],
    ['rainbow', 'two-beats'],
    ['banana', 'two-beats'],
  ] as const)('%s: %s', (name, shape) => expect(wordShape(sounds(name))).toBe(shape));
  test.each([
    ['card', 'general-american', '3-clip'],
    ['car', 'general-american', '2'],
    ['farm', 'scottish', '3-held'],
    ['star', 'scottish', '4-start'],
    ['carrot', 'general-american', 'two-beats'],
  ] as const)('%s in %s: %s, a vowel and its r as one', (name, accent, shape) =>
    expect(wordShape(sounds(name, accent))).toBe(shape),
  );
});

describe('steps of before', () => {
  test('an answer to a step by number of sounds shows the step of its word’s shape', () => {
    expect(shownStep('blending', '3', sounds('star'))).toBe('4-start');
    expect(shownStep('blending', '3', sounds('rat'))).toBe('3-held');
    expect(shownStep('segmenting', '5', sounds('ground'))).toBe('longer');
    expect(shownStep('segmenting', '5', sounds('spider'))).toBe('two-beats');
    expect(shownStep('segmenting', 'mixed', sounds('lamp'))).toBe('4-end');
  });
  test('every other answer keeps its step', () => {
    expect(shownStep('blending', 'onset-rime', sounds('star'))).toBe('onset-rime');
    expect(shownStep('blending', '4-end', sounds('star'))).toBe('4-end');
    expect(shownStep('how-many', '3-4', sounds('star'))).toBe('3-4');
    expect(shownStep('blending', '3', [])).toBe('3');
    expect(shownStep('shared-sound', 'told', sounds('sun'))).toBe('told');
    expect(shownStep('a-game-that-never-was', '3', sounds('sun'))).toBe('3');
  });
  test('each leads to one that is offered, and can still be played', () => {
    for (const task of TASKS)
      for (const step of task.unlisted ?? []) {
        expect(task.steps.map((s) => s.id)).toContain(offeredStep(task, step.id).id);
        expect(task.steps.map((s) => s.id)).not.toContain(step.id);
      }
    expect(
      generate(taskOf('blending'), stepOf(taskOf('blending'), '3'), material(), { size: 4, seed: 1 }).items,
    ).toHaveLength(4);
    expect(TASKS.some((t) => t.id === 'recall-back')).toBe(false);
    expect(taskOf('recall-back').name).toBe('Say the list backwards');
  });
  test('an unknown step is none, and never the first', () => {
    expect(findStep(taskOf('blending'), '17')).toBeUndefined();
    expect(() => stepOf(taskOf('blending'), '17')).toThrow('“Blending” has no step “17”.');
  });
});
