import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { parseForms } from '../lexicon/endings';
import { ACCENT_IDS, type AccentId } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { sure } from '../sure';
import { bank, words } from '../testing/bank';
import { canReadLine, lettersWith, linesOpened, namesIn, parseLineWords, readLine, wordFinder } from './lines';
import { partsOf } from './parts';
import type { InPrint } from './readable';
import { spellingsOf } from './spellings';
import { readTyped } from './typed';

const texts = readFileSync('lexicon/lines.txt', 'utf8').split('\n').filter(Boolean);
const little = parseLineWords(readFileSync('lexicon/line-words.tsv', 'utf8'));
const forms = parseForms(readFileSync('lexicon/forms.tsv', 'utf8'));

const finderIn = (accent: AccentId) => {
  const byName = new Map(words(accent).map((w) => [w.word, w]));
  return wordFinder({ accent, conventions: PRESETS.default, bank: byName, forms, little });
};
const linesIn = (accent: AccentId) =>
  texts.map((text) => {
    const line = readLine(text, finderIn(accent));
    if (line.unknown !== null) throw new Error(`${text}: ${line.unknown}`);
    return line;
  });
const taught = (typed: string, accent: AccentId = 'southern-british'): InPrint => {
  const byName = new Map(words(accent).map((w) => [w.word, w]));
  const { read } = readTyped(typed, { accent, spellings: spellingsOf(words(accent)), byName });
  return { spellings: new Set(read.map(({ id }) => id)), words: new Set() };
};

test('at least 200 lines, each a phrase in small letters or a sentence with its capital and stop, none twice', () => {
  expect(texts.length).toBeGreaterThanOrEqual(200);
  expect(new Set(texts.map((t) => t.toLowerCase())).size).toBe(texts.length);
  for (const text of texts) {
    expect(text, text).toMatch(/^([A-Z][A-Za-z ,]*[.!?]|[a-z][A-Za-z ]*)$/);
    expect(namesIn(text).length, text).toBeLessThanOrEqual(8);
    expect(namesIn(text).length, text).toBeGreaterThanOrEqual(2);
  }
});

test('the little words of lines are no words of the bank', () => {
  const listed = new Set(bank.map(({ word }) => word));
  expect([...little.keys()].filter((name) => listed.has(name))).toEqual([]);
});

// Two orders of our own: somebody else’s may be any.
const ORDERS = [
  'm o d t e h a c s i p n g r b u l f k ck w j sh th ch ee x v y ng',
  'i n s a t r o g p e d c u m l h b f k ck sh ch th ng ee oo w v j ai',
].map((order) => order.split(' '));

describe.each(ORDERS)('an order that begins with %s', (...order) => {
  const lines = linesIn('southern-british');
  test.each([
    [10, 8],
    [15, 20],
    [20, 60],
    [30, 120],
  ])('after %i spellings at least %i lines can be read, with no word of an odd part', (many, least) => {
    const known = taught(order.slice(0, many).join(' '));
    expect(lines.filter((line) => canReadLine(line, known)).length).toBeGreaterThanOrEqual(least);
  });
});

test.each(ACCENT_IDS)(
  'every word of every line is known in %s, and what opens a line is what it waits for',
  (accent) => {
    const lines = linesIn(accent);
    const known = taught(sure(ORDERS[0]).slice(0, 18).join(' '), accent);
    const now = lines.filter((line) => canReadLine(line, known)).length;
    const opened = linesOpened(lines, known);
    expect(opened.size).toBeGreaterThan(3);
    for (const [id, more] of opened) {
      const then = { ...known, spellings: new Set([...known.spellings, id]) };
      expect(lines.filter((line) => canReadLine(line, then)).length - now, id).toBe(more);
    }
  },
);

test('a word with an ending is cut like the word, its ending as it is said', () => {
  const find = finderIn('southern-british');
  const cut = (name: string): string =>
    partsOf(sure(find(name)))
      .map((p) => `${p.spelling}=${p.sounds}`)
      .join(' ');
  // Quirk et al. (1985), 3.5 and 5.80, from memory: -s after a voiceless sound, after a voiced one; -ing.
  expect(cut('ants')).toBe('a=æ n=n t=t s=s');
  expect(cut('spins')).toBe('s=s p=p i=ɪ n=n s=z');
  const form = (of: string) => sure(forms.find((f) => f.form === of));
  const base = (of: string) => sure(bank.find(({ word }) => word === form(of).base));
  const shapes = (of: string): string | undefined =>
    lettersWith(form(of), base(of))
      ?.map(({ letters, tail }) => letters + (tail && `_${tail}`))
      .join('|');
  expect(shapes('kicking')).toBe('k|i|ck|i|ng');
  expect(shapes('stopping')).toBe('s|t|o|pp|i|ng');
  expect(shapes('baking')).toBeUndefined();
});
