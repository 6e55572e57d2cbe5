import { describe, expect, test } from 'vitest';
import { ACCENT_IDS, type AccentId } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { judge } from '../answers/judge';
import { chunksOf } from '../answers/said';
import { material, word, words } from '../testing/bank';
import { stepOf, taskOf } from './index';
import { makeItem } from './item';
import { generate } from './generate';
import { slashed, spokenApart } from './saying';

describe('a word’s sounds, said one by one', () => {
  test.each([
    ['apple', 'southern-british', 'a … p … ul'],
    ['kitten', 'southern-british', 'k … i … t … un'],
    ['car', 'southern-british', 'k … ar'],
    ['car', 'general-american', 'k … ar'],
    ['shark', 'general-american', 'sh … ar … k'],
    ['book', 'southern-british', 'b … oo … k'],
    ['this', 'scottish', 'th … i … s'],
  ] as const)('%s in %s: %s', (name, accent, said) => expect(spokenApart(word(name, accent))).toBe(said));
  test('sound by sound, where the setting counts so', () => {
    expect(spokenApart(word('apple', 'southern-british', PRESETS.strict))).toBe('a … p … uh … l');
    expect(spokenApart(word('car', 'general-american', PRESETS.strict))).toBe('k … ah … r');
    expect(spokenApart(word('box', 'southern-british', PRESETS.letters))).toBe('b … o … ks');
  });
  test.each(ACCENT_IDS)('as many parts as are counted, in every convention (%s)', (accent) => {
    for (const conventions of Object.values(PRESETS)) {
      const odd = words(accent, conventions).filter((w) => spokenApart(w).split(' … ').length !== w.count);
      expect(odd.map((w) => w.word)).toEqual([]);
    }
  });
  test('a sound that shares its label is told apart', () => {
    expect([slashed('ʊ', 'southern-british'), slashed('s', 'scottish')]).toEqual(['/oo/ (as in book)', '/s/']);
  });
});

const item = (task: string, step: string, key: string, accent: AccentId = 'southern-british') =>
  makeItem(taskOf(task), stepOf(taskOf(task), step), key, material(accent));

describe('the start and the rest', () => {
  const web = item('segmenting', 'onset-rime', 'web');
  const said = (text: string): string => {
    const { outcome, slip } = judge({ judged: web.judged, marks: web.marks }, chunksOf(text));
    return `${outcome} ${slip}`;
  };
  test('are what is asked for', () => expect(web.say).toBe('Listen: web. Now say its start, then the rest.'));
  test('all its sounds are more, and never a miss', () => {
    expect(said('w e+b')).toBe('on-own null');
    expect(said('w e b')).toBe('on-own null');
    expect(said('w+e+b')).toBe('not-yet whole-word');
    expect(said('w e')).toBe('not-yet lost-sound');
  });
});

test('notes on counting stand where sounds are counted, and nowhere else', () => {
  expect(item('how-many', '2-3', 'ring').contested).not.toBeNull();
  expect(item('clap', '2', 'ring').contested).toBeNull();
  expect(item('first-sound', 'hold', 'ring').contested).toBeNull();
});

test.each(ACCENT_IDS)('a plural or a past tense is neither a sound to add nor one to leave out (%s)', (accent) => {
  const made = material(accent);
  const endings = [
    ['add', 'last'],
    ['add', 'cluster'],
    ['leave-out', 'last'],
    ['leave-out', 'cluster'],
    ['leave-out', 'cluster-made-up'],
  ] as const;
  for (const [task, step] of endings) {
    for (let seed = 1; seed <= 12; seed += 1) {
      const set = generate(taskOf(task), stepOf(taskOf(task), step), made, { size: 6, seed });
      for (const { key, view } of set.items) {
        if (view.kind !== 'change') continue;
        const name = task === 'add' ? key.split(' ')[1] : key.split(' ')[0];
        const longer = made.byName.get(name ?? '');
        const at = (task === 'add' ? view.come : view.gone)[0] ?? 0;
        expect(longer?.segments[longer.sounds[at]?.segment ?? 0]?.seam ?? false, `${task} ${key}`).toBe(false);
      }
    }
  }
});

describe('leaving a beat out, as a child would say what is left', () => {
  const drop = (key: string, step: string, said: string): string => {
    const made = item('drop-beat', step, key);
    const { outcome } = judge({ judged: made.judged, marks: made.marks }, chunksOf(said));
    return `${made.expected}: ${outcome}`;
  };
  test('postman without post is man, with its clear vowel or as it is in the word', () => {
    expect(drop('postman @0', 'first', 'm+æ+n')).toBe('man: on-own');
    expect(drop('postman @0', 'first', 'm+ə+n')).toBe('man: on-own');
    expect(drop('postman @0', 'first', 'm+ɪ+n')).toBe('man: not-yet');
  });
  test('a weak beat, a clipped end, an ending and a single sound are not left', () => {
    const task = taskOf('drop-beat');
    const heads = (step: string): string[] => task.heads(stepOf(task, step), material()).map((w) => w.word);
    for (const name of ['carpet', 'blanket', 'puppet']) expect(heads('first'), name).not.toContain(name);
    for (const name of ['boxes', 'hippo', 'talking', 'orange', 'apple', 'shampoo'])
      expect(heads('last')).not.toContain(name);
    expect(heads('last')).toEqual(expect.arrayContaining(['baby', 'window', 'monkey']));
  });
});
