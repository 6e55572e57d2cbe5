import { dictionary } from 'cmu-pronouncing-dictionary';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ACCENT_IDS, accentOf } from '../phonology/accents';
import { realiseSegments } from '../phonology/realise';
import { readingsOf } from '../phonology/arpabet';
import { isConsonantKey, VOWEL_KEYS, type Key } from '../phonology/keys';
import { parseTranscription } from '../phonology/transcription';
import { cutLetters, writeLetters } from './cut-letters';
import { parseLetters, segmentsOf, spell } from './entry';
import { candidates, lettersFor, lineFromKeys, readings } from './propose';
import { bank } from '../testing/bank';
import { sure } from '../sure';

const keysOf = (line: string): string =>
  parseTranscription(line)
    .map((s) => s.key)
    .join(' ');

test('letters: the table of spellings cuts nearly every word of the bank just as it was cut by hand', () => {
  const different = bank.filter((e) => {
    const pieces = cutLetters(
      e.word,
      segmentsOf(e, 'southern-british').map((s) => s.key),
    );
    return !pieces || writeLetters(pieces) !== writeLetters(e.letters);
  });
  expect(different.length / bank.length, different.map((e) => e.word).join(' ')).toBeLessThan(0.02);
});

test('for words of the pronouncing dictionary, the line the bank has is among those proposed', () => {
  const missed: string[] = [];
  let compared = 0;
  for (const entry of bank.filter((_, i) => i % 4 === 0)) {
    const phones = readingsOf(dictionary, entry.word);
    if (!phones.length) continue;
    compared += 1;
    const keys = parseTranscription(entry.ownLines['general-american'] ?? entry.line)
      .map((s) => s.key)
      .join(' ');
    if (!phones.some((p) => candidates(entry.word, p).some((c) => keysOf(c.line) === keys))) missed.push(entry.word);
  }
  expect(compared).toBeGreaterThan(700);
  expect(missed.length / compared, missed.join(' ')).toBeLessThan(0.04);
});

describe('what only a person can answer', () => {
  const ask = (word: string, accent: (typeof ACCENT_IDS)[number]) =>
    readings(word, readingsOf(dictionary, word), accent);
  // Members of sets after Wells (1982): BATH and TRAP part in Southern British alone; NORTH and FORCE in Scottish
  // alone.
  test('is it the vowel of TRAP or of BATH? asked where they part', () => {
    expect(sure(ask('graph', 'southern-british')[0]).questions.map((q) => q.choices)).toEqual([['TRAP', 'BATH']]);
    expect(sure(ask('graph', 'northern-english')[0]).questions).toEqual([]);
    expect(sure(ask('graph', 'general-american')[0]).questions).toEqual([]);
  });
  test('NORTH or FORCE? asked in Scottish only', () => {
    expect(sure(ask('cork', 'scottish')[0]).questions.map((q) => q.choices)).toEqual([['NORTH', 'FORCE']]);
    expect(sure(ask('cork', 'southern-british')[0]).questions).toEqual([]);
  });
  test('the spelling settles what it can: fern, fir and fur; w and wh', () => {
    for (const [word, key] of [
      ['perch', 'FERN'],
      ['chirp', 'FIR'],
      ['churn', 'FUR'],
      ['wheel', 'hw'],
      ['weed', 'w'],
    ] as const) {
      const [reading] = ask(word, 'scottish');
      expect(sure(reading).questions, word).toEqual([]);
      expect(keysOf(sure(sure(reading).candidates[0]).line), word).toContain(key);
    }
  });
  test('a word the dictionary lacks has no readings', () =>
    expect(readings('zorble', readingsOf(dictionary, 'zorble'), 'scottish')).toEqual([]));
});

test(
  'any word of the pronouncing dictionary: whatever is proposed can be read, spells the word and says a ' +
    'reading’s sounds',
  () => {
    const all = Object.keys(dictionary).filter((w) => /^[a-z]{2,12}$/.test(w));
    fc.assert(
      fc.property(fc.constantFrom(...all), fc.constantFrom(...ACCENT_IDS), (word, accent) => {
        for (const reading of readings(word, readingsOf(dictionary, word), accent)) {
          for (const c of reading.candidates) {
            const segments = parseTranscription(c.line);
            expect(realiseSegments(segments, accentOf(accent)).length).toBeGreaterThan(0);
            expect(spell(parseLetters(c.letters))).toBe(word);
            expect(parseLetters(c.letters).reduce((n, p) => n + p.keys, 0)).toBe(segments.length);
          }
        }
      }),
      { numRuns: 300 },
    );
  },
);

test('any taps: the line holds just those keys, one syllable a vowel, the strong one marked', () => {
  const keys = fc.array(
    fc.constantFrom<Key>('p', 'sh', 'ng', 's', 't', 'r', 'KIT', 'FACE', 'commA', 'START', ...VOWEL_KEYS.slice(0, 5)),
    { minLength: 1, maxLength: 10 },
  );
  fc.assert(
    fc.property(keys, fc.nat(4), (taps, strong) => {
      const line = lineFromKeys(taps, strong);
      expect(keysOf(line)).toBe(taps.join(' '));
      const vowels = taps.filter((k) => !isConsonantKey(k)).length;
      if (vowels > 1 && strong < vowels) expect(line.match(/'/g)?.length).toBe(1);
      const letters = lettersFor('zzz', line);
      expect(parseLetters(letters).reduce((n, p) => n + p.keys, 0)).toBe(taps.length);
    }),
  );
});

test('a weak vowel is a beat too: the second is the strong one of banana’s first half', () => {
  expect(lineFromKeys(['b', 'commA', 'n', 'BATH'], 1)).toBe("b commA . 'n BATH");
});

test('any text as a transcription: read, or refused with a reason, never a fault of another kind', () => {
  const tokens = fc
    .array(fc.constantFrom('p', "'s", ',t', '.', '+', 'KIT', 'kit', '', 'TRAPP', 'ng', 'EL', ' '), { maxLength: 12 })
    .map((t) => t.join(' '));
  fc.assert(
    fc.property(fc.oneof(tokens, fc.string()), (line) => {
      try {
        const segments = parseTranscription(line);
        for (const accent of ACCENT_IDS) realiseSegments(segments, accentOf(accent));
      } catch (error) {
        expect((error as Error).message).toMatch(/is not a key of the transcription/);
      }
    }),
  );
});
