import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { context, ipa, word, words } from '../testing/bank';
import { times } from '../testing/deep';
import { sure } from '../sure';
import { chunksOf, soundsSaid } from './said';
import { heardText } from './heard';
import { blendingLikely, segmentingLikely, type LikelyAnswer } from './likely';

const shown = (answers: readonly LikelyAnswer[]): string[] => answers.map((a) => `${heardText(a)} (${a.note})`);

// What children say when a cluster is lost or kept: fog, dink, poon, fr-o-g … Common practice, no source.
describe('blending', () => {
  test('frog: fog, rog, the sounds apart, the last sound', () => {
    expect(shown(blendingLikely(word('frog'), context())).slice(0, 4)).toEqual([
      'fog (f-[r]-o-g) (left out /r/)',
      'rog ([f]-r-o-g) (left out /f/)',
      'f · r · o · g (not joined up)',
      'g (just the last sound)',
    ]);
  });
  test.each([
    ['spoon', 'soon'],
    ['drink', 'dink'],
    ['snail', 'sail'],
    ['plum', 'pum'],
    ['star', 'sar'],
  ])('%s: likeliest is "%s", one sound lost', (name, said) => {
    const [first] = blendingLikely(word(name), context());
    expect(first).toMatchObject({ slip: 'lost-sound', outcome: 'not-yet', show: said });
    expect(sure(first).missed).toHaveLength(1);
  });
  test('a word of the bank is spelt as it is: losing /n/ from snail is sail, losing /l/ from clap is cap', () => {
    expect(blendingLikely(word('clap'), context()).map((a) => a.show)).toContain('cap');
  });
});

describe('segmenting', () => {
  test('frog: cluster kept, rime kept, a sound lost', () => {
    const answers = segmentingLikely(word('frog'), context());
    expect(shown(answers).slice(0, 3)).toEqual([
      'f-r · o · g (kept the start together)',
      'f · r · o-g (kept the end together)',
      'f · [r] · o · g (left out /r/)',
    ]);
    expect(answers.map((a) => a.said).slice(0, 3)).toEqual(['f+r ɒ ɡ', 'f r ɒ+ɡ', 'f ɒ ɡ']);
  });
  test.each([
    ['drum', 'dʒ', 'j'],
    ['tree', 'tʃ', 'ch'],
  ])('%s begun with /%s/ is faithful hearing: right, and noted', (name, as, label) => {
    const close = segmentingLikely(word(name), context()).find((a) => a.slip === 'heard-closely');
    expect(close).toMatchObject({ outcome: 'on-own', missed: [] });
    expect(sure(close).said.startsWith(as)).toBe(true);
    expect(sure(close).note).toContain(`/${label}/`);
  });
  test('an added "uh" is accepted and noted', () => {
    expect(segmentingLikely(word('sun'), context()).find((a) => a.slip === 'added-uh')).toMatchObject({
      outcome: 'on-own',
      missed: [],
    });
  });
});

// The reason for the guard: dropping sounds from everyday words can print a rude one.
test('flag and grapes never offer what they must not print', () => {
  const noteOf = (name: string): string[] => blendingLikely(word(name), context()).map((a) => a.note);
  expect(noteOf('flag')).not.toContain('left out /l/');
  expect(noteOf('grapes')).not.toContain('left out /g/');
});

/** Every word before a change is called done, every third each day. */
const SOME = times(1, 3);
test.each(ACCENT_IDS)(
  'over the bank: a handful, all different, none shown passes for right, none is rude (%s)',
  (accent) => {
    const ctx = context(accent);
    for (const made of words(accent).filter((_, i) => i % SOME === 0)) {
      for (const answers of [blendingLikely(made, ctx), segmentingLikely(made, ctx)]) {
        expect(answers.length, made.word).toBeGreaterThan(0);
        expect(answers.length, made.word).toBeLessThanOrEqual(8);
        expect(new Set(answers.map((a) => a.id)).size, made.word).toBe(answers.length);
        for (const answer of answers) {
          expect(answer.show !== null || answer.line !== undefined, made.word).toBe(true);
          if (answer.show)
            for (const part of [soundsSaid(answer.said), ...chunksOf(answer.said)])
              expect(ctx.guard(part), `${made.word}: ${answer.show}`).toBe(false);
          if (answer.slip === 'lost-sound') {
            expect(soundsSaid(answer.said).join(' '), made.word).not.toBe(ipa(made));
            expect(soundsSaid(answer.said)).toHaveLength(made.sounds.length - 1);
            if (answer.show) expect(answer.show, made.word).not.toBe(made.word);
          }
          for (const at of answer.missed) expect(made.sounds[at], made.word).toBeDefined();
        }
      }
    }
  },
);
