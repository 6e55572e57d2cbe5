import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { sure } from '../sure';
import { material, word } from '../testing/bank';
import { soundsByAnalogy } from './by-analogy';
import { onsetAndRime } from './syllables';
import { traitsOf } from './traits';
import { voiceParts } from './voice-parts';

const spellings = (accent: (typeof ACCENT_IDS)[number] = 'southern-british') => material(accent).spellings();
const parts = (name: string): string | undefined => voiceParts(word(name), spellings())?.join(' · ');

// Read aloud by ear; the first three are what a silent or a soft first letter needs.
test.each([
  ['knot', 'n · ot'],
  ['gem', 'j · em'],
  ['wrap', 'r · ap'],
  ['gnome', 'n · oam'],
  ['grow', 'gr · oh'],
  ['fly', 'fl · igh'],
  ['break', 'br · ake'],
  ['bone', 'b · own'],
  ['queen', 'qu · een'],
  ['school', 'sk · ool'],
  ['sock', 's · ock'],
])('%s is said as %s', (name, written) => expect(parts(name)).toBe(written));

test('where letters would mislead there are none: the th of this, the two oo of wool, the beginning of cute', () => {
  for (const name of ['this', 'wool', 'cute', 'kind', 'brown']) expect(parts(name), name).toBeUndefined();
});

test.each(ACCENT_IDS)('read back by analogy, start and rest give the sounds of the word (%s)', (accent) => {
  const { words } = material(accent);
  const table = spellings(accent);
  const one = words.filter(
    (w) => traitsOf(w).syllables === 1 && !w.entry.doubt && onsetAndRime(w).onset.length > 0 && w.sounds.length >= 3,
  );
  const made = one.flatMap((w) => {
    const p = voiceParts(w, table);
    return p
      ? [{ word: w.word, rest: p[1], sounds: w.sounds.map((s) => s.ipa), cut: onsetAndRime(w).onset.length }]
      : [];
  });
  expect(made.length / one.length).toBeGreaterThan(0.85);
  // The rest alone is read like most words that end so: an outside start is put before it, so that no word is found.
  const wrong = made.filter(({ rest, sounds, cut }) => {
    const ways = table.readAs.get(rest);
    if (!ways) return soundsByAnalogy(`z${rest}`, words)?.slice(1).join(' ') !== sounds.slice(cut).join(' ');
    const [most] = [...ways].sort((a, b) => b[1] - a[1]);
    const alone = table.wordOf.get(rest);
    return (alone ?? sure(most)[0]) !== sounds.slice(cut).join(' ');
  });
  console.log(`${accent}: ${made.length} of ${one.length} words have parts, ${wrong.length} read otherwise`);
  expect(wrong.map((w) => `${w.word}: ${w.rest}`)).toEqual([]);
});

test('no part is the spelling of another word', () => {
  const table = spellings();
  const { words } = material();
  const misread = words.flatMap((w) => {
    const [, rest] = traitsOf(w).syllables === 1 && onsetAndRime(w).onset.length ? (voiceParts(w, table) ?? []) : [];
    const { vowel, coda } = rest ? onsetAndRime(w) : { vowel: '', coda: [] };
    const alone = rest ? table.wordOf.get(rest) : undefined;
    return alone !== undefined && alone !== [vowel, ...coda].join(' ') ? [`${w.word}: ${rest}`] : [];
  });
  expect(misread).toEqual([]);
});

describe('what nobody can say, or would be read as a rude word, is never printed as a word', () => {
  const { respell } = material('southern-british').context;
  test.each([
    ['srong', 's r ɒ ŋ'],
    ['sream', 's r iː m'],
    ['ars', 'ɑː z'],
    ['jees', 'dʒ iː z'],
  ])('%s', (_letters, sounds) => expect(respell(sounds.split(' '))).toBeNull());
  test('what can be said is', () => {
    expect([respell(['s', 'uː', 'l']), respell(['t', 'r', 'ɪ', 'ŋ'])]).toEqual(['sool', 'tring']);
  });
});
