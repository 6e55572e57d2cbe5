import { describe, expect, test } from 'vitest';
import { judge } from '../answers/judge';
import { rhymes } from '../lexicon/likeness';
import { material, word } from '../testing/bank';
import type { AccentId } from '../phonology/accents';
import { sure } from '../sure';
import { stepOf, taskOf, TASKS } from './index';
import { makeItem, type Item } from './item';
import { OWN_NAME, keyOf, readKey } from './spec';

const item = (task: string, step: string, key: string, accent: AccentId = 'southern-british'): Item =>
  makeItem(taskOf(task), stepOf(taskOf(task), step), key, material(accent));

// The task examples of the National Reading Panel, Teaching Children to Read (2000), chapter 2, part I; from memory.
describe('worked examples of the National Reading Panel (2000)', () => {
  const accent: AccentId = 'general-american';
  test('isolation: the first sound in paste is /p/', () =>
    expect(item('first-sound', 'clip', 'paste', accent).expected).toBe('/p/'));
  test('identity: the same sound in bike, boy, bell is /b/', () =>
    expect(item('shared-sound', 'any', 'bike boy bell', accent).expected).toBe('/b/'));
  test('categorisation: bus, bun, rug: rug does not belong', () =>
    expect(item('sound-odd', '3-far', 'bus bun rug', accent).expected).toBe('rug'));
  test('blending: /s/ /k/ /oo/ /l/ is school', () => {
    const school = item('blending', '4', 'school', accent);
    expect(school.expected).toBe('school');
    expect(school.slots.sounds).toBe('s … k … oo … l');
  });
  test('segmentation: ship has three sounds', () => {
    expect(item('how-many', '2-3', 'ship', accent).expected).toBe('3');
    expect(item('segmenting', '3', 'ship', accent).expected).toBe('sh · i · p');
  });
  test('deletion: smile without /s/ is mile', () =>
    expect(item('leave-out', 'cluster', 'smile @0', accent).expected).toBe('mile'));
});

// Common practice, no source; in Southern British.
describe('trade facts', () => {
  const rhyme = (key: string, step: string): string => item('rhyme-pairs', step, key).expected;
  test('rhyme', () => {
    expect([rhyme('saw draw', 'far'), rhyme('bark shark', 'far'), rhyme('straw paw', 'far')]).toEqual([
      'yes',
      'yes',
      'yes',
    ]);
    expect([rhyme('yawn yarn', 'same-ends'), rhyme('paws hawk', 'same-vowel')]).toEqual(['no', 'no']);
    // The foil is what its step says, and no other.
    expect(() => item('rhyme-pairs', 'far', 'yawn yarn')).toThrow('kind the step names');
    expect(() => item('rhyme-pairs', 'same-ends', 'paws hawk')).toThrow();
  });
  test('fire and flour are two vowels in one beat each, and do not rhyme; fire and tyre do', () => {
    expect(rhyme('fire tyre', 'far')).toBe('yes');
    expect(rhymes(word('fire'), word('flour'))).toBe(false);
  });
  test('leaving out: zap leaves a word, boot leaves a made-up one and says so', () => {
    expect(item('leave-out', 'first', 'zap @0').expected).toBe('app');
    expect(item('leave-out', 'first-made-up', 'boot @0').expected).toBe('oot (made-up)');
    expect(item('leave-out', 'first-made-up', 'sun @0').expected).toBe('un');
    expect(() => item('leave-out', 'first', 'sun @0')).toThrow();
    expect(() => item('leave-out', 'first-made-up', 'zap @0')).toThrow();
    expect([item('leave-out', 'last', 'lawn @2').expected, item('leave-out', 'last', 'pause @2').expected]).toEqual([
      'law',
      'paw',
    ]);
  });
  test('a word the bank does not have is never called made-up: tail without /t/ is ale', () => {
    expect(item('leave-out', 'first-made-up', 'tail @0').expected).toBe('ail');
  });
  test(
    'fault without /t/ is fall in General American and Scottish; in Southern British the app calls it ' +
      'neither a word nor made-up',
    () => {
      expect([
        item('leave-out', 'cluster', 'fault @3', 'general-american').expected,
        item('leave-out', 'cluster', 'fault @3', 'scottish').expected,
      ]).toEqual(['fall', 'fall']);
      expect(() => item('leave-out', 'cluster', 'fault @3')).toThrow();
      expect(item('leave-out', 'cluster-made-up', 'fault @3').expected).not.toContain('made-up');
      const task = taskOf('leave-out');
      const heads = task.heads(stepOf(task, 'cluster-made-up'), material());
      expect(heads.map((w) => w.word)).not.toContain('fault');
    },
  );
  test('swaps: tall, ball, call change the first sound; call to small changes the whole start', () => {
    expect([item('swap', 'first', 'tall ball').expected, item('swap', 'first', 'ball call').expected]).toEqual([
      'ball',
      'call',
    ]);
    expect(() => item('swap', 'first', 'call small')).toThrow('aren’t one sound apart');
    expect(item('swap', 'onset', 'call small').expected).toBe('small');
    expect(() => item('swap', 'onset', 'tall ball')).toThrow();
  });
  test('which sound changed', () => {
    expect(
      ['top mop', 'mop map', 'pop pot'].map((key) => item('which-changed', 'all', key).expected.split(':')[0]),
    ).toEqual(['first', 'middle', 'last']);
  });
  test('pot and top are the same sounds in another order', () => {
    expect(item('reorder', 'backwards', 'pot top').expected).toBe('top');
    expect(() => item('swap', 'first', 'pot top')).toThrow();
  });
  test('at to sat adds a sound, and is no swap', () => {
    expect(item('add', 'first', 'at sat').expected).toBe('sat');
    for (const step of ['first', 'last', 'middle', 'cluster', 'onset'])
      expect(() => item('swap', step, 'at sat')).toThrow();
  });
  test('/sh/ is last in splash, first in shampoo, nowhere in stamp', () => {
    expect([item('where', 'all', 'splash /ʃ/').expected, item('where', 'ends', 'splash /ʃ/').expected]).toEqual([
      'end',
      'end',
    ]);
    expect(item('anywhere', 'far', 'shampoo /ʃ/').expected).toBe('yes: start');
    expect(item('anywhere', 'near', 'stamp /ʃ/').expected).toBe('no');
    expect(() => item('where', 'all', 'stamp /ʃ/')).toThrow('There is no');
  });
  test('beats: tadpole and thirsty have two, alphabet and argument three', () => {
    expect(['tadpole', 'thirsty'].map((w) => item('clap', '2', w).expected)).toEqual(['2', '2']);
    expect(['alphabet', 'argument', 'seven'].map((w) => item('clap', '3', w).expected)).toEqual(['3', '3', '2']);
    expect(item('drop-beat', 'compound-first', 'rainbow @0').expected).toBe('bow');
  });
});

describe('judging what was said', () => {
  const hat = item('rhyme-say', 'many', 'hat');
  const said = (...ipa: string[]) => judge(hat, [ipa]);
  test(
    'any word or made-up word that rhymes is right; the word again, the same start and a shared vowel are told ' +
      'apart',
    () => {
      expect(said('k', 'æ', 't').outcome).toBe('on-own');
      expect(said('z', 'æ', 't').outcome).toBe('on-own');
      expect(said('h', 'æ', 't')).toMatchObject({ outcome: 'not-yet', slip: 'unchanged' });
      expect(said('h', 'ɒ', 'p')).toMatchObject({ outcome: 'not-yet', slip: 'same-start' });
      expect(said('k', 'æ', 'p').why).toContain('same vowel');
      expect(said('æ', 'k', 'r', 'ə', 'b', 'æ', 't').outcome).toBe('on-own');
    },
  );
  test('sounds are right in order and number; the word unchanged is told apart', () => {
    const swap = item('swap', 'middle', 'mop map');
    const of = (...ipa: string[]) => judge(swap, [ipa]);
    expect([of('m', 'æ', 'p').outcome, of('m', 'ɒ', 'p').slip, of('m', 'æ', 't').slip]).toEqual([
      'on-own',
      'unchanged',
      'changed-more',
    ]);
  });
});

describe('keys', () => {
  test('an item is made again from its key, in any accent where it holds', () => {
    for (const [task, step, key] of [
      ['sort', 'far', 'sock /s/'],
      ['ask-sound', '3', 'sun @2'],
      ['rhyme-odd', '3-far', 'man can grape'],
      ['hunt', '3-4', '/s/ /p/ /ɒ/ /t/'],
      ['recall', '4', 'sock spoon map'],
    ] as const) {
      expect(keyOf(readKey(key))).toBe(key);
      expect(item(task, step, key).key).toBe(key);
    }
    expect(() => item('hunt', '3-4', '/s/ /p/ /ɒ/ /t/', 'general-american')).toThrow('not in the accent');
  });
  test('a key that was tampered with makes no item and breaks nothing', () => {
    for (const key of [
      '',
      ' ',
      '@99',
      '/zz/',
      'sun sun sun',
      'sun @9',
      '<b>',
      'own-name',
      '//',
      'sun/s/',
      '/s/'.repeat(40),
    ]) {
      for (const task of TASKS) {
        try {
          const made = makeItem(task, sure(task.steps[0]), key, material());
          expect(made.proof.length).toBeGreaterThan(0);
        } catch (error) {
          expect((error as Error).message.length).toBeGreaterThan(5);
          expect((error as Error).constructor.name, `${task.id} “${key}”: ${(error as Error).message}`).toBe(
            'Unproved',
          );
        }
      }
    }
  });
  test('clapping one’s own name writes no name', () => {
    const own = item('clap', '2', OWN_NAME);
    expect(own.view).toMatchObject({ kind: 'beats', ownName: true });
    expect(own.judged).toEqual({ by: 'parts', count: 0 });
  });
});
