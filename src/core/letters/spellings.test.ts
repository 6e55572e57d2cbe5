import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { word, words } from '../testing/bank';
import { alike } from './alike';
import { partsOf, soundsOfKeys } from './parts';
import { meantBy, spellingsOf } from './spellings';
import { readTyped, type Known } from './typed';

const cut = (name: string, ...of: Parameters<typeof word> extends [string, ...infer Rest] ? Rest : never): string =>
  partsOf(word(name, ...of))
    .map((p) => `${p.spelling}=${p.sounds}`)
    .join(' ');

describe('the parts of a word', () => {
  // Worked by hand from the handbook descriptions of each accent (Wells 1982) and Carney (1994), from memory.
  test.each([
    ['cake', 'southern-british', 'c=k a_e=eɪ k=k'],
    ['box', 'southern-british', 'b=b o=ɒ x=k s'],
    ['queen', 'southern-british', 'qu=k w ee=iː n=n'],
    ['apple', 'southern-british', 'a=æ pp=p le=ə l'],
    ['knee', 'southern-british', 'kn=n ee=iː'],
    ['idea', 'southern-british', 'i=aɪ d=d ea=ɪə'],
    ['car', 'general-american', 'c=k ar=ɑ r'],
    ['fairy', 'general-american', 'f=f ai=ɛ r=r y=i'],
    ['new', 'general-american', 'n=n ew=u'],
    ['new', 'scottish', 'n=n ew=j ʉ'],
    ['hurry', 'general-american', 'h=h urr=ɝ y=i'],
  ] as const)('%s in %s', (name, accent, parts) => expect(cut(name, accent)).toBe(parts));

  test('a chunk that a setting counts as one is one spelling', () => {
    expect(cut('pink', 'southern-british', PRESETS.letters)).toBe('p=p i=ɪ nk=ŋ k');
    expect(cut('pink')).toBe('p=p i=ɪ n=ŋ k=k');
    expect(cut('ring', 'southern-british', PRESETS.letters)).toBe('r=r ing=ɪ ŋ');
  });
});

describe.each(ACCENT_IDS)('the spellings of %s', (accent) => {
  const spellings = spellingsOf(words(accent));

  test('each is kept so that it comes back as the same sound, and no two are the same', () => {
    for (const s of spellings) expect(soundsOfKeys(s.keys, accent)).toBe(s.sounds);
    expect(new Set(spellings.map((s) => `${s.spelling} ${s.sounds}`)).size).toBe(spellings.length);
  });

  test('who names a letter alone means the sound it has most; y is that of yes', () => {
    // Common practice, no source: the first sound a single letter is taught with.
    const means = (spelling: string): string | undefined => meantBy(spelling, spellings)?.keys;
    const FIRST = 's:s a:TRAP t:t p:p i:KIT n:n m:m d:d g:g o:LOT c:k k:k e:DRESS r:r h:h b:b f:f l:l j:j v:v w:w';
    for (const pair of `${FIRST} x:k,s y:y z:z qu:k,w ch:ch sh:sh th:th ng:ng ee:FLEECE ai:FACE oa:GOAT`.split(' ')) {
      const [spelling = '', keys = ''] = pair.split(':');
      const meant = means(spelling) ?? '';
      expect(soundsOfKeys(meant, accent), spelling).toBe(soundsOfKeys(keys.replace(',', ' '), accent));
    }
  });
});

describe('a list as it is typed', () => {
  const known: Known = {
    accent: 'southern-british',
    spellings: spellingsOf(words()),
    byName: new Map(words().map((w) => [w.word, w])),
  };
  const read = (text: string): string =>
    readTyped(text, known)
      .read.map((r) => `${r.spelling}=${r.sounds}${r.on ? ` ${r.on}` : ''}${r.assumed ? '?' : ''}`)
      .join(', ');

  test.each([
    ['m o d t e h', 'm=m, o=ɒ?, d=d, t=t, e=e?, h=h'],
    ['sh\nch, th', 'sh=ʃ, ch=tʃ?, th=θ?'],
    ['ow /aʊ/ oo /ʊ/ a…e i-e', 'ow=aʊ, oo=ʊ, a_e=eɪ, i_e=aɪ?'],
    [
      'spelling,sound,date\r\now,cow,2026-11-20\r\now,snow,\r\nth,/ð/,3/9/2026',
      'ow=aʊ 2026-11-20, ow=əʊ, th=ð 2026-09-03',
    ],
    ['s, a, t, p, i, n', 's=s?, a=æ?, t=t, p=p, i=ɪ?, n=n?'],
    ['oo;book', 'oo=ʊ'],
  ])('%j', (text, list) => expect(read(text)).toBe(list));

  test('what cannot be read is given back with a sentence', () => {
    expect(readTyped('zq m\now, frog\nsh,,Tuesday', known).unread).toEqual([
      { typed: 'zq', why: 'We don’t know a word where “zq” spells a sound.' },
      { typed: 'ow, frog', why: 'We don’t know a word where “ow” has the sound of “frog”.' },
      { typed: 'sh, , Tuesday', why: '“Tuesday” isn’t a date we can read.' },
    ]);
  });
});

test('b and d are alike to eye and ear, m and n too; s and sh to the ear; m and b to neither', () => {
  const s = (spelling: string, sounds = spelling) => ({ spelling, sounds });
  expect(alike(s('b'), s('d'))).toBe('both');
  expect(alike(s('m'), s('n'))).toBe('both');
  expect(alike(s('s'), s('sh', 'ʃ'))).toBe('sound');
  expect(alike(s('v'), s('w'))).toBe('look');
  expect(alike(s('m'), s('k'))).toBeNull();
});
