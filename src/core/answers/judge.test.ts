import { describe, expect, test } from 'vitest';
import { material } from '../testing/bank';
import { makeItem, type Item } from '../games/item';
import { stepOf, taskOf } from '../games';
import type { AccentId } from '../phonology/accents';
import { judge, type Judgement } from './judge';
import { NO_OWN_WAY, type OwnWay } from './own-way';
import { chunksOf } from './said';

const item = (task: string, step: string, key: string, accent: AccentId = 'southern-british'): Item =>
  makeItem(taskOf(task), stepOf(taskOf(task), step), key, material(accent));
const said = (of: Item, text: string, ownWay: OwnWay = NO_OWN_WAY, otherAccent?: string[]): Judgement =>
  judge({ ...of, ownWay, otherAccent }, chunksOf(text));
const named = (of: Item, text: string): string => {
  const { outcome, slip } = said(of, text);
  return slip ? `${outcome} ${slip}` : outcome;
};

// The cases a practitioner meets in each family, after the design's list of likely answers. Common practice, no source.
describe('swapping: mop to map', () => {
  const swap = item('swap', 'middle', 'mop map');
  test.each([
    ['m+æ+p', 'on-own'],
    ['m+ɒ+p', 'not-yet unchanged'],
    ['æ', 'not-yet other-sound'],
    ['t+ɒ+p', 'not-yet wrong-place'],
    ['m+ɒ+t', 'not-yet wrong-place'],
    ['m æ p', 'not-yet not-joined'],
    ['m+æ', 'not-yet changed-more'],
    ['s+ʌ+n', 'not-yet other-word'],
  ])('“%s” is %s', (text, name) => expect(named(swap, text)).toBe(name));
});

describe('the first sound of stick', () => {
  const first = item('first-sound', 'cluster', 'stick');
  test.each([
    ['s', 'on-own'],
    ['s+ə', 'on-own added-uh'],
    ['s+t', 'on-own in-cluster'],
    ['t', 'not-yet other-sound'],
    ['k', 'not-yet other-sound'],
    ['s+t+ɪ+k', 'not-yet unchanged'],
    ['m', 'not-yet other-sound'],
    ['s+ʌ+n', 'not-yet other-word'],
    ['s+t+ɪ', 'not-yet part-only'],
  ])('“%s” is %s', (text, name) => expect(named(first, text)).toBe(name));
  test('a word that starts so is said to be one', () => expect(said(first, 's+ʌ+n').why).toContain('starts with it'));
  test('/dʒ/ for the start of drink is faithful hearing', () =>
    expect(named(item('first-sound', 'cluster', 'drink'), 'dʒ')).toBe('on-own heard-closely'));
});

describe('leaving out, adding, beats', () => {
  const meat = item('leave-out', 'first', 'meat @0');
  test.each([
    ['iː+t', 'on-own'],
    ['m+iː+t', 'not-yet unchanged'],
    ['m', 'not-yet other-sound'],
    ['m+iː', 'not-yet wrong-place'],
    ['iː t', 'not-yet not-joined'],
  ])('meat without /m/: “%s” is %s', (text, name) => expect(named(meat, text)).toBe(name));
  test('any cut into the right number of parts is right', () => {
    const apart = item('split', '2', 'rabbit');
    expect(apart.judged).toMatchObject({ by: 'parts', count: 2 });
    expect(named(apart, 'r+æ b+ɪ+t')).toBe('on-own');
    expect(named(apart, 'r+æ+b ɪ+t')).toBe('on-own');
    expect(named(apart, 'r+æ+b+ɪ+t')).toBe('not-yet whole-word');
    expect(named(apart, 'r æ b+ɪ+t')).toBe('not-yet other-count');
    expect(named(apart, 'r+æ')).toMatch(/^not-yet/);
  });
});

// One sound for each is what was asked for; how a sound is said is speech (see answers/speech).
describe('taking apart, as young children speak', () => {
  test.each([
    ['frog', 'f w ɒ ɡ', 'on-own own-speech'],
    ['frog', 'p w ɒ d', 'on-own own-speech'],
    ['frog', 'f w ɒ+ɡ', 'not-yet several'],
    ['frog', 'f ɒ ɡ', 'not-yet lost-sound'],
    ['frog', 'm r ɒ ɡ', 'not-yet swapped-sound'],
    ['cap', 't æ p', 'on-own own-speech'],
    ['cap', 't+ə æ p', 'on-own own-speech'],
    ['thumb', 'f ʌ m', 'on-own own-speech'],
    ['sun', 'θ ʌ n', 'on-own own-speech'],
    ['dog', 'ɡ ɒ d', 'not-yet reordered'],
    ['bat', 'p æ t', 'not-yet swapped-sound'],
    ['pen', 'p æ n', 'not-yet near-sound'],
  ])('%s taken apart as “%s” is %s', (word, text, name) =>
    expect(named(item('segmenting', 'mixed', word), text)).toBe(name),
  );
  test('joining is another matter: a word was heard or it was not', () =>
    expect(named(item('blending', 'mixed', 'cap'), 't+æ+p')).toBe('not-yet near-sound'));
});

describe('rhyme', () => {
  const hat = item('rhyme-say', 'many', 'hat');
  test.each([
    ['k+æ+t', 'on-own'],
    ['z+æ+t', 'on-own'],
    ['h+æ+t', 'not-yet unchanged'],
    ['h+ɒ+p', 'not-yet same-start'],
    ['k+æ+p', 'not-yet other-word'],
  ])('“%s” for hat is %s', (text, name) => expect(named(hat, text)).toBe(name));
  test('a child who says /f/ for /θ/ rhymes moth with “boff”', () => {
    const way: OwnWay = { ...NO_OWN_WAY, swaps: [{ asked: 'θ', says: 'f' }] };
    const moth = {
      judged: { by: 'rhyme' as const, rime: ['ɒ', 'θ'], onset: ['m'] },
      marks: [
        { ipa: 'm', close: false, fused: false },
        { ipa: 'ɒ', close: false, fused: false },
        { ipa: 'θ', close: false, fused: false },
      ],
    };
    expect(judge({ ...moth, ownWay: way }, [['b', 'ɒ', 'f']])).toMatchObject({ outcome: 'on-own', slip: 'own-way' });
    expect(judge(moth, [['b', 'ɒ', 'f']]).outcome).toBe('not-yet');
  });
});

describe('another accent at home', () => {
  const card = item('blending', '3', 'card');
  const scottish = ['k', 'a', 'r', 'd'];
  test('a child who says its r is right where the setting says none', () => {
    expect(said(card, 'k+a+r+d').outcome).toBe('not-yet');
    expect(said(card, 'k+a+r+d', NO_OWN_WAY, scottish).outcome).toBe('on-own');
    expect(said(card, 'k+ɑː+d', NO_OWN_WAY, scottish).outcome).toBe('on-own');
  });
  test('and a sound that is lost is lost in either', () =>
    expect(said(card, 'k+a+r', NO_OWN_WAY, scottish)).toMatchObject({ outcome: 'not-yet', slip: 'lost-sound' }));
});

describe('cat for a child with and without a pattern', () => {
  const cat = item('blending', '3', 'cat');
  test('tat is a slip, and right for a child who says /t/ for /k/', () => {
    expect(said(cat, 't+æ+t')).toMatchObject({ outcome: 'not-yet', slip: 'near-sound', missed: [0] });
    expect(said(cat, 't+æ+t', { ...NO_OWN_WAY, swaps: [{ asked: 'k', says: 't' }] })).toMatchObject({
      outcome: 'on-own',
      slip: 'own-way',
      missed: [],
    });
  });
  test('nothing said is nothing to judge', () =>
    expect(said(cat, '')).toMatchObject({ outcome: 'not-yet', why: 'There’s nothing to judge.' }));
});
