import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { ACCENT_IDS, type AccentId } from '../phonology/accents';
import { seeded, shuffle } from '../random';
import { sure } from '../sure';
import { word, words } from '../testing/bank';
import { canRead, inPrint, opens, untaught, type InPrint } from './readable';
import { partsOf } from './parts';
import { spellingsOf } from './spellings';

/** The letters column as it stands in the file, read again from scratch. */
const columns = new Map(
  readFileSync('lexicon/words.tsv', 'utf8')
    .split('\n')
    .slice(1)
    .filter(Boolean)
    .map((row) => row.split('\t'))
    .map((cells) => [sure(cells[0]), sure(cells[2])]),
);

/**
 * A second way to a word’s parts: from sound to sound, asking which run of letters each comes from, with the letters of
 * no sound put to the ones before.
 */
function partsAnew(name: string, accent: AccentId): string[] {
  const { sounds } = word(name, accent);
  const owner = sure(columns.get(name))
    .split('|')
    .flatMap((cell, at) => Array.from({ length: Number(cell.split(':')[1] ?? 1) }, () => at));
  const cells = sure(columns.get(name))
    .split('|')
    .map((cell) => sure(cell.split(':')[0]));
  const said = cells.map((): string[] => []);
  for (const { ipa, segment } of sounds) sure(said[sure(owner[segment])]).push(ipa);
  const out: { letters: string; said: string[] }[] = [];
  cells.forEach((letters, at) => {
    const mine = sure(said[at]);
    const last = out.at(-1);
    if (mine.length || !last) out.push({ letters, said: mine });
    else if (/^r/.test(letters) && last.said.length > 1 && last.said.at(-1) === 'r')
      out.push({ letters, said: [sure(last.said.pop())] });
    else last.letters += letters;
  });
  return out.map(({ letters, said: of }) => `${letters} ${of.join(' ')}`);
}

describe.each(ACCENT_IDS)('what can be read in %s', (accent) => {
  const all = words(accent);
  const spellings = spellingsOf(all);

  test('the letters and the sounds of every word come back whole, and every part has a sound', () => {
    for (const w of all) {
      const parts = partsOf(w);
      expect(parts.map((p) => p.sounds).join(' '), w.word).toBe(w.sounds.map((s) => s.ipa).join(' '));
      expect([...parts.map((p) => p.spelling.replace('_', '')).join('')].sort().join(''), w.word).toBe(
        [...w.word].sort().join(''),
      );
    }
  });

  test('over 200 drawn sets of what was taught, no word is wrongly in or out', () => {
    const random = seeded(200);
    const anew = new Map(all.map((w) => [w.word, partsAnew(w.word, accent)]));
    for (let n = 0; n < 200; n += 1) {
      const drawn = shuffle(spellings, random).slice(0, 5 + Math.floor(random() * 80));
      const taught = inPrint(
        drawn.map(({ spelling, keys }) => ({ spelling, keys, on: null })),
        [],
        accent,
        '2026-11-30',
      );
      const ids = new Set(drawn.map(({ spelling, sounds }) => `${spelling} ${sounds}`));
      const wrong = all.filter((w) => canRead(w, taught) !== sure(anew.get(w.word)).every((id) => ids.has(id)));
      expect(wrong.map((w) => w.word)).toEqual([]);
    }
  });

  test('what each next spelling opens is what trying it opens', () => {
    const taught = inPrint(
      shuffle(spellings, seeded(7))
        .slice(0, 60)
        .map(({ spelling, keys }) => ({ spelling, keys, on: null })),
      [],
      accent,
      '2026-11-30',
    );
    const now = all.filter((w) => w.entry.band < 3 && canRead(w, taught)).length;
    const found = opens(all, taught);
    for (const { id } of spellings) {
      if (taught.spellings.has(id)) continue;
      const then: InPrint = { ...taught, spellings: new Set([...taught.spellings, id]) };
      expect(found.get(id)?.words ?? 0, id).toBe(all.filter((w) => w.entry.band < 3 && canRead(w, then)).length - now);
    }
  });
});

test('letters that speak for another accent are right in a child’s own', () => {
  const taught = (accent: AccentId): InPrint =>
    inPrint(
      ['b:b', 'a:TRAP', 'th:th', 'c:k', 'u:STRUT', 'p:p'].map((t) => {
        const [spelling = '', keys = ''] = t.split(':');
        return { spelling, keys, on: null };
      }),
      [],
      accent,
      '2026-11-30',
    );
  // The vowel of bath is that of trap in the north, and not in the south: Wells, Accents of English (1982), 4.3.
  expect(canRead(word('bath', 'northern-english'), taught('northern-english'))).toBe(true);
  expect(canRead(word('bath', 'southern-british'), taught('southern-british'))).toBe(false);
  expect(untaught(word('bath', 'southern-british'), taught('southern-british')).map((p) => p.spelling)).toEqual(['a']);
  expect(canRead(word('cup', 'northern-english'), taught('northern-english'))).toBe(true);
});

test('what is planned for a later day is not taught yet; a word with an odd part may be taught as it is', () => {
  const taught = inPrint(
    [
      { spelling: 's', keys: 's', on: '2026-11-30' },
      { spelling: 'd', keys: 'd', on: '2026-12-01' },
    ],
    ['said'],
    'southern-british',
    '2026-11-30',
  );
  expect([...taught.spellings]).toEqual(['s s']);
  expect(canRead(word('said'), taught)).toBe(true);
  expect(canRead(word('sad'), taught)).toBe(false);
});
