import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { syllableCount } from '../phonology/transcription';
import { sure } from '../sure';
import { word, words } from '../testing/bank';
import { voiceBeats } from './voice-beats';
import { OWN_CUTS } from './voice-cuts';

const SHORT = new Set(['KIT', 'DRESS', 'TRAP', 'LOT', 'STRUT', 'FOOT', 'BATH', 'CLOTH']);
const many = words().filter((w) => syllableCount(w.segments) > 1);

describe('beats that are read aloud at sight', () => {
  // How schools cut these for reading, as most dictionaries print them; from memory.
  test.each([
    ['teddy', 'ted-dy'],
    ['puppet', 'pup-pet'],
    ['cotton', 'cot-ton'],
    ['biscuit', 'bis-cuit'],
    ['rocket', 'rock-et'],
    ['spaghetti', 'spa-ghet-ti'],
    ['alligator', 'al-li-ga-tor'],
    ['television', 'tel-e-vi-sion'],
    ['chocolate', 'choc-late'],
    ['castle', 'cas-tle'],
    ['pencil', 'pen-cil'],
    ['lettuce', 'let-tuce'],
    ['rainbow', 'rain-bow'],
    ['banana', 'ba-nah-na'],
    ['running', 'run-ning'],
    ['umbrella', 'um-brel-la'],
    ['bulldozer', 'bull-do-zer'],
    ['cloudy', 'cloud-dy'],
    ['fairy', 'fair-ry'],
    ['lily', 'lil-ly'],
    ['snowy', 'snow-ee'],
    ['tickle', 'tick-kle'],
    ['classroom', 'class-room'],
  ])('%s is %s', (name, cut) => expect(voiceBeats(word(name)).join('-')).toBe(cut));

  test.each(ACCENT_IDS)('there are as many as the word has, in every accent (%s)', (accent) => {
    for (const w of words(accent)) expect(voiceBeats(w), w.word).toHaveLength(syllableCount(w.segments));
  });

  test('no stressed beat ends in a short vowel, but before -sion and its like', () => {
    const open = many.filter((w) => {
      const beats = voiceBeats(w);
      return w.segments.some((s, i) => {
        const next = w.segments[i + 1];
        const ends = SHORT.has(s.key) && s.stress !== 'none' && next !== undefined && next.syllable > s.syllable;
        return ends && /[aeiouy]$/.test(sure(beats[s.syllable])) && !/^(si|ti|ci)/.test(sure(beats[s.syllable + 1]));
      });
    });
    expect(open.filter((w) => !OWN_CUTS.has(w.word)).map((w) => voiceBeats(w).join('-'))).toEqual([]);
  });

  test('none begins with a doubled consonant', () => {
    const doubled = many.filter((w) => voiceBeats(w).some((b) => /^([bcdfglmnprstvz])\1/.test(b)));
    expect(doubled.map((w) => voiceBeats(w).join('-'))).toEqual([]);
  });

  /** A y that takes the consonant before it again, as the y that is written. */
  const plainY = (beats: readonly string[]): string =>
    beats
      .map((b, i) =>
        i > 0 && (b === 'ee' || /^(ky|(.h|[bdfglmnprstvz])y)$/.test(b)) && again(beats[i - 1], b) ? 'y' : b,
      )
      .join('');
  const again = (before = '', beat: string): boolean =>
    beat === 'ee' || before.endsWith(beat.slice(0, -1)) || (beat === 'ky' && before.endsWith('ck'));

  test('together they are the letters of the word, less a letter nobody says; the rest is written by hand', () => {
    const bare = (text: string): string => text.replace('ckkl', 'ckl').replaceAll('ow', 'ou').replace(/[eou]/g, '');
    const other = many.filter(
      (w) =>
        ![voiceBeats(w).join(''), plainY(voiceBeats(w))].some((text) => bare(text) === bare(w.word)) &&
        !OWN_CUTS.has(w.word),
    );
    expect(other.map((w) => voiceBeats(w).join('-'))).toEqual([]);
  });

  test('a cut by hand is of a word of the bank', () => {
    const names = new Set(many.map((w) => w.word));
    expect([...OWN_CUTS.keys()].filter((name) => !names.has(name))).toEqual([]);
  });
});
