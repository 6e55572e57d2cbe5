import { dictionary } from 'cmu-pronouncing-dictionary';
import { describe, expect, test } from 'vitest';
import { readingsOf } from '../phonology/arpabet';
import { seeded } from '../random';
import { findChain, changePlace, unlike, type ChainRequest } from './chains';
import { said } from '../testing/forms';
import { lacking, hunt } from './hunt';
import { soundsByAnalogy } from './by-analogy';
import { CMU } from '../testing/references';
import { material, word } from '../testing/bank';
import { sure } from '../sure';
import { homophones } from './likeness';

const all = material();
const neighbours = all.neighbours();
const request = (start: string, more: Partial<ChainRequest> = {}): ChainRequest => ({
  start: word(start),
  length: 6,
  places: ['first', 'middle', 'last'],
  grow: false,
  allowed: (w) => !w.entry.doubt,
  ...more,
});
const apart = (a: string, b: string): number => unlike(word(a), word(b));

describe('chains', () => {
  test('from every start of three sounds: each step one change, no word twice, the place varied', () => {
    const starts = all.words.filter(
      (w) => !w.entry.doubt && w.sounds.length === 3 && neighbours.of(w).filter((n) => n.change === 'swap').length >= 4,
    );
    let varied = 0;
    let [steps, open] = [0, 0];
    for (const [i, start] of starts.entries()) {
      const { words, links, whole, others } = findChain(neighbours, request(start.word), seeded(i));
      const names = words.map((w) => w.word);
      expect(new Set(names).size, names.join(' ')).toBe(names.length);
      for (const link of links)
        expect(apart(link.from.word, link.to.word), `${link.from.word} ${link.to.word}`).toBe(1);
      if (whole) {
        expect(names).toHaveLength(6);
        if (new Set(links.map((l) => l.place)).size > 1) varied += 1;
      }
      for (const [at, ways] of others.entries())
        for (const way of ways) expect(apart(sure(words[at]).word, way.word)).toBe(1);
      steps += links.length;
      open += others.filter((ways) => ways.length > 0).length;
    }
    expect(starts.length).toBeGreaterThan(500);
    expect(varied / starts.length).toBeGreaterThan(0.9);
    // Another way to go, at nearly every step.
    expect(open / steps).toBeGreaterThan(0.95);
  });
  test('between two words, with the length asked for, ending on the target', () => {
    const { words, whole } = findChain(
      neighbours,
      request('cat', { target: word('dog'), length: 5, places: ['first', 'middle', 'last', 'cluster'] }),
      seeded(1),
    );
    expect(whole).toBe(true);
    expect([sure(words[0]).word, sure(words.at(-1)).word, words.length]).toEqual(['cat', 'dog', 5]);
  });
  test('what cannot be had is answered with the nearest that can', () => {
    const shorter = findChain(
      neighbours,
      request('cat', { target: word('hat'), length: 9, places: ['first'] }),
      seeded(1),
    );
    expect(sure(shorter.words.at(-1)).word).toBe('hat');
    const never = findChain(neighbours, request('cat', { target: word('elephant'), length: 5 }), seeded(1));
    expect(never.whole).toBe(false);
    expect(apart(sure(never.words.at(-1)).word, 'elephant')).toBeLessThanOrEqual(apart('cat', 'elephant'));
    const lonely = findChain(neighbours, request('elephant'), seeded(1));
    expect([lonely.whole, lonely.words.map((w) => w.word)]).toEqual([false, ['elephant']]);
  });
  test('only the changes asked for: first sounds only, or adding and leaving out too', () => {
    for (const link of findChain(neighbours, request('hen', { places: ['first'] }), seeded(2)).links)
      expect([link.change, link.at]).toEqual(['swap', 0]);
    const grown = Array.from(
      { length: 30 },
      (_, seed) =>
        findChain(
          neighbours,
          request('top', { grow: true, places: ['first', 'middle', 'last', 'cluster'] }),
          seeded(seed),
        ).links,
    ).flat();
    expect(grown.some((l) => l.change !== 'swap')).toBe(true);
    expect(changePlace(word('slip'), 1)).toBe('cluster');
  });
});

describe('word hunt', () => {
  test('each sound once a word; the full list, by length', () => {
    const found = hunt(all.words, ['s', 'p', 'ɒ', 't']).map((w) => w.word);
    expect(found.map((w) => word(w).sounds.length)).toEqual(
      [...found.map((w) => word(w).sounds.length)].sort((a, b) => b - a),
    );
    expect(found).toEqual(expect.arrayContaining(['pot', 'top', 'spot', 'stop']));
    expect(found).not.toContain('sport');
  });
  test('a rejected word is explained', () => {
    expect(lacking(['t', 'ɒ', 't'], ['t', 'ɒ', 'p'])).toEqual([{ ipa: 't', needs: 2, has: 1 }]);
    expect(lacking(['k', 'æ', 't'], ['t', 'æ', 'p'])).toEqual([{ ipa: 'k', needs: 1, has: 0 }]);
    expect(lacking(['t', 'ɒ', 'p'], ['p', 'ɒ', 't'])).toEqual([]);
  });
  test('plurals and other endings are found', () => {
    const found = hunt(
      [...all.words, ...all.forms()],
      word('cat')
        .sounds.map((s) => s.ipa)
        .concat('s'),
    ).map((w) => w.word);
    expect(found).toEqual(expect.arrayContaining(['cats', 'cat']));
  });
});

describe('endings', () => {
  // Every form against the CMU Pronouncing Dictionary, all readings; it lists each or the form is not shipped.
  test('each shipped form sounds as the dictionary has it', async () => {
    const american = material('general-american');
    const wrong: string[] = [];
    for (const form of american.forms())
      if (!(await CMU.read(form.word)).includes(CMU.fold(form.sounds.map((s) => s.ipa)))) wrong.push(form.word);
    expect(wrong).toEqual([]);
    expect(american.forms().length).toBeGreaterThan(2_000);
  });
  // Quirk et al., A Comprehensive Grammar of English (1985), 3.5, 5.80; from memory.
  test.each([
    ['cat', 's', 'k æ t s'],
    ['dog', 's', 'd ɒ ɡ z'],
    ['dish', 's', 'd ɪ ʃ ɪ z'],
    ['jump', 'ed', 'dʒ ʌ m p t'],
    ['plant', 'ed', 'p l ɑː n t ɪ d'],
    ['pour', 'ing', 'p ɔː r ɪ ŋ'],
    ['wobble', 'ing', 'w ɒ b l ɪ ŋ'],
  ] as const)('%s and -%s is said %s in Southern British', (base, ending, sounds) => {
    expect(said(base, ending, 'southern-british')).toBe(sounds);
  });
  test('where r is said anyway it is said once', () =>
    expect(said('pour', 'ing', 'general-american')).toBe('p ɔ r ɪ ŋ'));
});

describe('little words', () => {
  test('each is in the dictionary with the sounds it has in General American', async () => {
    const american = material('general-american');
    for (const little of [
      'the',
      'a',
      'of',
      'your',
      'do',
      'to',
      'an',
      'have',
      'here',
      'and',
      'its',
      'they',
      'all',
      'want',
      'too',
      'or',
      'than',
      'gran',
      'says',
      'lots',
    ]) {
      const ours = american.soundsOf(little);
      expect(ours, little).toBeDefined();
      expect(readingsOf(dictionary, little).length, little).toBeGreaterThan(0);
      expect(await CMU.read(little), `${little}: ${sure(ours).join(' ')}`).toContain(CMU.fold(sure(ours)));
    }
  });
});

describe('made-up words are read as words that are spelt alike', () => {
  test.each([
    ['zat', 'z æ t'],
    ['shog', 'ʃ ɒ ɡ'],
    ['quing', 'k w ɪ ŋ'],
    ['plook', 'p l ʊ k'],
  ])('%s is heard as %s', (typed, said) => expect(soundsByAnalogy(typed, all.words)?.join(' ')).toBe(said));
  test.each(['zzz', 'bxrqt', '', 'q'])('%j is not guessed at', (typed) =>
    expect(soundsByAnalogy(typed, all.words)).toBeUndefined(),
  );
});

test('no two words of a rhyme class that sound alike are called rhymes', () => {
  for (const members of all.rhymes().values())
    for (const a of members.slice(0, 6))
      for (const b of members.slice(0, 6)) if (a !== b && homophones(a, b)) expect(a.word).not.toBe(b.word);
});
