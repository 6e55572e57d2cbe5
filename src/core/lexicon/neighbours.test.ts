import { dictionary } from 'cmu-pronouncing-dictionary';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { readingsOf } from '../phonology/arpabet';
import { oneSoundApart, rhymes } from './likeness';
import { neighbourGraph, neighbourhood, rhymeClasses, stepsFrom } from './neighbours';
import { bank, ipa, word, words } from '../testing/bank';
import { sure } from '../sure';
import { traitsOf } from './traits';

/** Does the step lead where it says? Worked out from the two strings alone. */
function leads(from: string, change: string, at: number, to: string): boolean {
  const without = (s: string, i: number): string => s.slice(0, i) + s.slice(i + 1);
  if (change === 'swap')
    return from.length === to.length && without(from, at) === without(to, at) && from[at] !== to[at];
  return change === 'leave-out' ? without(from, at) === to : without(to, at) === from;
}

describe('the neighbour graph', () => {
  test('any strings: it joins just the pairs that comparing every two finds, both ways, each step true', () => {
    const strings = fc.uniqueArray(
      fc.string({ unit: fc.constantFrom('a', 'b', 't', 's'), minLength: 1, maxLength: 5 }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(strings, (said) => {
        const graph = neighbourGraph(said);
        said.forEach((from, i) => {
          const steps = stepsFrom(graph, i);
          for (const step of steps)
            expect(leads(from, step.change, step.at, sure(said[step.to])), `${from} ${JSON.stringify(step)}`).toBe(
              true,
            );
          const reached = new Set(steps.map((s) => s.to));
          said.forEach((to, j) => {
            if (i !== j) expect(reached.has(j), `${from} ${to}`).toBe(distance(from, to) === 1);
          });
        });
      }),
      { numRuns: 300 },
    );
  });
  test.each(ACCENT_IDS)('over the whole bank it agrees with comparing every two words (%s)', (accent) => {
    const made = words(accent);
    const near = neighbourhood(made);
    for (const one of made.filter((_, i) => i % 97 === 0)) {
      const found = new Set(near.of(one).map((n) => traitsOf(n.word).said));
      const all = new Set(made.filter((other) => oneSoundApart(one, other)).map((w) => traitsOf(w).said));
      expect(found, one.word).toEqual(all);
    }
  });
  test(
    'worked examples (National Reading Panel 2000, from memory: smile without /s/ is mile; others common ' +
      'practice)',
    () => {
      const near = neighbourhood(words());
      const reach = (from: string, change: string, at: number): string[] =>
        near
          .of(word(from))
          .filter((n) => n.change === change && n.at === at)
          .map((n) => n.word.word);
      expect(reach('smile', 'leave-out', 0)).toEqual(['mile']);
      expect(reach('cat', 'swap', 0)).toEqual(expect.arrayContaining(['hat', 'bat', 'mat']));
      expect(reach('top', 'add', 0)).toContain('stop');
      expect(reach('frog', 'leave-out', 1)).toEqual(['fog']);
    },
  );
  test('bud and bird are neighbours by sound in Southern British, and not in Scottish', () => {
    const joined = (accent: 'southern-british' | 'scottish'): boolean =>
      neighbourhood(words(accent))
        .of(word('bud', accent))
        .some((n) => n.word.word === 'bird');
    expect(joined('southern-british')).toBe(true);
    expect(joined('scottish')).toBe(false);
  });
});

/** Edit distance (Levenshtein 1966), the plain table. */
function distance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const next = [i];
    for (let j = 1; j <= b.length; j += 1)
      next[j] = Math.min(sure(row[j]) + 1, sure(next[j - 1]) + 1, sure(row[j - 1]) + (a[i - 1] === b[j - 1] ? 0 : 1));
    row = next;
  }
  return sure(row[b.length]);
}

describe('rhyme', () => {
  // J. C. Wells, Accents of English (1982): THOUGHT and FORCE fall together where r is not pronounced; STRUT and FOOT
  // in the north.
  test.each([
    ['saw', 'door', ['southern-british', 'northern-english']],
    ['put', 'cut', ['northern-english']],
    ['fork', 'walk', ['southern-british', 'northern-english']],
    ['cat', 'hat', [...ACCENT_IDS]],
    ['wet', 'what', []],
    ['bird', 'word', ['southern-british', 'northern-english', 'general-american', 'general-american-merged']],
    ['moth', 'cloth', [...ACCENT_IDS]],
    ['food', 'good', ['scottish']],
    ['chart', 'heart', [...ACCENT_IDS]],
    ['yawn', 'born', ['southern-british', 'northern-english']],
    ['frog', 'leapfrog', []],
    ['cake', 'pancake', []],
  ])('%s and %s rhyme in %j', (a, b, where) => {
    expect(ACCENT_IDS.filter((accent) => rhymes(word(a, accent), word(b, accent)))).toEqual(where);
  });
  test.each(ACCENT_IDS)(
    'every two words of a class rhyme or are said alike, and classes do not meet (%s)',
    (accent) => {
      const seen = new Set<string>();
      for (const members of rhymeClasses(words(accent)).values()) {
        for (const w of members) {
          expect(seen.has(w.word)).toBe(false);
          seen.add(w.word);
          expect(traitsOf(w).rhyme).toBe(traitsOf(sure(members[0])).rhyme);
        }
      }
      expect(seen.size).toBeGreaterThan(1_800);
    },
  );

  // The pronouncing dictionary's own rhyming part: from the last stressed vowel to the end.
  test('General American: words of one syllable that share the dictionary’s rhyming part are in one class', () => {
    const part = (phones: readonly string[]): string =>
      phones
        .slice(phones.findLastIndex((p) => /[12]$/.test(p)))
        .join(' ')
        .replace(/\d/g, '')
        .replace(/\bIY R/g, 'IH R');
    const classes = new Map(
      [...rhymeClasses(words('general-american'))].flatMap(([key, of]) => of.map((w) => [w.word, key] as const)),
    );
    const byPart = new Map<string, string[]>();
    for (const { word: name } of bank) {
      const [first, ...more] = readingsOf(dictionary, name);
      if (!first || more.length || first.filter((p) => /\d/.test(p)).length !== 1) continue;
      byPart.set(part(first), [...(byPart.get(part(first)) ?? []), name]);
    }
    const different = [...byPart.values()].flatMap((names) => {
      const keys = names.map((n) => classes.get(n));
      const usual = keys.toSorted((a, b) => keys.filter((k) => k === b).length - keys.filter((k) => k === a).length)[0];
      return names.length > 1 ? names.filter((_, i) => keys[i] !== usual) : [];
    });
    // The dictionary's vowel stands against our reviewed one: raw (merged vowel), twang (slip), real (one syllable
    // there), those of lexicon/reviewed.tsv.
    console.log(
      `Rhyming parts: ${byPart.size} compared; words that differ: ` +
        `${different.map((n) => `${n} /${ipa(word(n, 'general-american'))}/`).join(', ')}`,
    );
    expect(different.length).toBeLessThanOrEqual(12);
  });
});
