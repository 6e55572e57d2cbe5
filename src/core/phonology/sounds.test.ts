import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from './accents';
import { CONSONANTS, labelOf, makingOf } from './sounds';
import { parseTranscription, syllableCount } from './transcription';
import { contestWords } from '../games/contested';
import { marksOf } from '../games/marks';
import { makeItem } from '../games/item';
import { taskOf, SET_TASKS } from '../games';
import { MIXED } from '../games/step';
import { material, word, words } from '../testing/bank';
import { times } from '../testing/deep';
import { PRESETS } from './conventions';

// The chart of the International Phonetic Association (2020): place, manner, voicing. /tʃ dʒ/ are affricates of two
// of its symbols; /w/ and /ʍ/ stand under its other symbols as labial-velar. English /r/ is counted with
// the postalveolars (Cruttenden, Gimson's Pronunciation of English), written r for ɹ.
const CHART: readonly [string, string, string, boolean][] = [
  ['p', 'bilabial', 'stop', false],
  ['b', 'bilabial', 'stop', true],
  ['t', 'alveolar', 'stop', false],
  ['d', 'alveolar', 'stop', true],
  ['k', 'velar', 'stop', false],
  ['ɡ', 'velar', 'stop', true],
  ['m', 'bilabial', 'nasal', true],
  ['n', 'alveolar', 'nasal', true],
  ['ŋ', 'velar', 'nasal', true],
  ['f', 'labiodental', 'fricative', false],
  ['v', 'labiodental', 'fricative', true],
  ['θ', 'dental', 'fricative', false],
  ['ð', 'dental', 'fricative', true],
  ['s', 'alveolar', 'fricative', false],
  ['z', 'alveolar', 'fricative', true],
  ['ʃ', 'postalveolar', 'fricative', false],
  ['ʒ', 'postalveolar', 'fricative', true],
  ['h', 'glottal', 'fricative', false],
  ['l', 'alveolar', 'lateral approximant', true],
  ['j', 'palatal', 'approximant', true],
  ['w', 'labial-velar', 'approximant', true],
  ['r', 'postalveolar', 'approximant', true],
  ['tʃ', 'postalveolar', 'affricate', false],
  ['dʒ', 'postalveolar', 'affricate', true],
  ['ʍ', 'labial-velar', 'fricative', false],
  ['x', 'velar', 'fricative', false],
];

test.each(CHART)('/%s/ is %s, %s, voiced: %s', (ipa, place, manner, voiced) => {
  expect(CONSONANTS[ipa]).toMatchObject({ place, manner, voiced });
});
test('the table holds just the consonants of the chart that English uses', () => {
  expect(Object.keys(CONSONANTS).sort()).toEqual(CHART.map(([ipa]) => ipa).sort());
});

test('stops and affricates are clipped, /h w j/ are light, the rest can be held (common practice, no source)', () => {
  for (const [ipa, , manner] of CHART) {
    const stopped = manner === 'stop' || manner === 'affricate' ? 'clip' : 'hold';
    const making = ['h', 'w', 'j', 'ʍ'].includes(ipa) ? 'light' : stopped;
    expect(makingOf(ipa), ipa).toBe(making);
  }
  expect(makingOf('ɪə')).toBe('vowel');
  expect(() => makingOf('q')).toThrow('inventory');
});

test.each(ACCENT_IDS)('no two sounds of an accent look the same on the line (%s)', (accent) => {
  const sounds = [...new Set(words(accent).flatMap((w) => w.sounds.map((s) => s.ipa)))];
  const looks = new Map<string, string>();
  for (const ipa of sounds) {
    const { label, as } = labelOf(ipa, accent);
    const look = `${label} ${as ?? ''}`;
    // happY and FLEECE are one to a practitioner.
    const same = [['i', 'iː']].some((pair) => pair.includes(ipa) && pair.includes(looks.get(look) ?? ''));
    expect(looks.has(look) && !same, `/${ipa}/ and /${looks.get(look)}/ both read "${look}"`).toBe(false);
    looks.set(look, ipa);
  }
});

describe('transcription', () => {
  test.each([
    ["'r FACE n + ,b GOAT", 2, 1],
    ['h TRAP n d + z', 1, 1],
    ["'s KIT ng + KIT ng", 2, 1],
    ["b commA . 'n BATH . n commA", 3, 0],
  ])('%s', (line, syllables, seams) => {
    const segments = parseTranscription(line);
    expect(syllableCount(segments)).toBe(syllables);
    expect(segments.filter((s) => s.seam)).toHaveLength(seams);
    expect(segments.filter((s) => s.stress === 'main').length).toBeGreaterThan(0);
  });
  test('an unknown key is named', () => expect(() => parseTranscription('k TRAPP t')).toThrow('"TRAPP"'));
});

describe('the bounce line', () => {
  test('marks stand close inside a cluster and apart over a syllable', () => {
    expect(marksOf(word('frog')).map((m) => m.close)).toEqual([false, true, false, false]);
    expect(marksOf(word('window')).map((m) => m.close)).toEqual([false, false, false, false, false]);
    expect(marksOf(word('hands')).map((m) => m.close)).toEqual([false, false, false, true, true]);
  });
  test('units fused by the convention share an underline', () => {
    expect(marksOf(word('apple')).map((m) => m.fused)).toEqual([false, false, false, true]);
    expect(marksOf(word('box', 'southern-british', PRESETS.letters)).map((m) => m.fused)).toEqual([
      false,
      false,
      false,
      true,
    ]);
    expect(marksOf(word('box')).map((m) => m.fused)).toEqual([false, false, false, false]);
  });
});

test('the other count is said, never the one in force', () => {
  expect(contestWords(word('box'))).toBe('3 if x counts as one');
  expect(contestWords(word('box', 'southern-british', PRESETS.letters))).toBe('4 if x counts as two');
  expect(contestWords(word('apple'))).toBe('4 if its end counts as two');
  expect(contestWords(word('apple', 'southern-british', PRESETS.strict))).toBe('3 if its end counts as one');
  expect(contestWords(word('card', 'general-american'))).toBe('4 if vowel and r counts as two');
  expect(contestWords(word('fire'))).toBe('people count this one differently');
  expect(contestWords(word('sun'))).toBeNull();
});

/** Every word before a change is called done, every fourth each day. */
const SOME = times(1, 4);
test.each(ACCENT_IDS.flatMap((accent) => SET_TASKS.map((task) => [task, accent] as const)))(
  '%s proves an item for its words (%s)',
  (task, accent) => {
    for (const preset of Object.values(PRESETS)) {
      const all = material(accent, preset);
      for (const made of all.words.filter((_, i) => i % SOME === 0)) {
        const item = makeItem(taskOf(task), MIXED, made.word, all);
        expect(item.marks.filter((m) => !m.fused)).toHaveLength(made.count);
        expect(item.proof.length).toBeGreaterThan(2);
      }
    }
  },
);
test('a word that the guard stops makes no item', () => {
  expect(() => makeItem(taskOf('blending'), MIXED, 'sun', { ...material(), guard: () => true })).toThrow(
    'We can’t use “sun”',
  );
});
