import { accentOf, type AccentId } from '../phonology/accents';
import { groupBy } from '../group-by';
import { CONSONANT_IPA, isConsonantKey } from '../phonology/keys';
import { realiseSegments } from '../phonology/realise';
import { pluralAfter } from '../phonology/plural';
import { isConsonant } from '../phonology/sounds';
import { parseTranscription } from '../phonology/transcription';

/** How well a string of sounds of one beat is known: a common word, or a rare word or a name. */
type HowCommon = 'common' | 'rare';

/** Words and names of one beat that a pronouncing dictionary has, by their sounds. */
export interface OneBeatList {
  /** What is known under these sounds; null where no list has them. */
  readonly known: (sounds: readonly string[], accent: AccentId) => HowCommon | null;
  /** Whether letters may be read so: they spell no common word, or one that may be said so, however it is read. */
  readonly mayRead: (spelling: string, sounds: readonly string[], accent: AccentId) => boolean;
}

interface Row {
  /** `b TRAP|BATH th` */
  readonly sounds: string;
  readonly words: readonly string[];
}

/** `b TRAP|BATH th` as each of its lines. */
function soundLines(sounds: string): string[] {
  let lines = [''];
  for (const place of sounds.split(' '))
    lines = lines.flatMap((line) => place.split('|').map((choice) => `${line} ${choice.replaceAll('+', ' ')}`.trim()));
  return lines;
}

/** Words that the dictionary has not yet and everyone knows. */
const ALSO = ['b l KIT ng\tbling'];

const listRows = (text: string): Row[] =>
  [...text.split('\n').slice(1), ...ALSO].filter(Boolean).map((row) => {
    const [sounds = '', words = ''] = row.split('\t');
    return { sounds, words: words.split(' ').filter(Boolean) };
  });

/** Sounds that come and go from accent to accent, or from choice to choice, and those written otherwise in one. */
const FRAME: Readonly<Record<string, string>> = { r: '', j: '', ʍ: 'w', x: 'k' };

/** The consonants of a string of sounds that every accent has: where two frames differ, so do the sounds. */
const frameOf = (sounds: readonly string[]): string =>
  sounds
    .filter(isConsonant)
    .map((ipa) => FRAME[ipa] ?? ipa)
    .join('');

/** By the first choice of each place: the choices differ in vowels, r and y alone. */
const frameOfRow = ({ sounds }: Row): string =>
  frameOf(
    sounds.split(' ').flatMap((place) => {
      const key = place.split('|')[0] ?? '';
      return isConsonantKey(key) ? [CONSONANT_IPA[key]] : [];
    }),
  );

/** More than one of a thing is a word where one is: *amps*. */
function endsLikePlural(sounds: readonly string[]): boolean {
  const [before = '', last] = sounds.slice(-2);
  const [only, more] = pluralAfter(before);
  return sounds.length > 2 && more === undefined && last === only;
}

/**
 * Reads the list (first row is the header): sounds with every choice of a place, and the common spellings of a row.
 * Where an American reading may be two vowels elsewhere, both are known: better to call nothing made-up than a word.
 * Only rows that may fit are realised: the whole list in an accent takes half a second.
 * @example oneBeatList(text).known(['ɑː', 'k'], 'southern-british') // 'common': ark
 */
export function oneBeatList(text: string): OneBeatList {
  const kept = new Map<string, unknown>();
  const once = <T>(key: string, make: () => T): T => {
    if (!kept.has(key)) kept.set(key, make());
    return kept.get(key) as T;
  };
  const rows = (): Row[] => once('rows', () => listRows(text));
  const byFrame = (): ReadonlyMap<string, readonly Row[]> => once('frames', () => groupBy(rows(), frameOfRow));
  const byWord = (): ReadonlyMap<string, readonly Row[]> =>
    once('words', () => {
      const all = new Map<string, Row[]>();
      for (const row of rows()) for (const word of row.words) all.set(word, [...(all.get(word) ?? []), row]);
      return all;
    });
  const lines = new Map<string, string>();
  const said = (line: string, accent: AccentId): string => {
    const key = accent + line;
    const before = lines.get(key);
    if (before !== undefined) return before;
    const sounds = realiseSegments(parseTranscription(line), accentOf(accent));
    const made = sounds.map((s) => s.ipa).join(' ');
    lines.set(key, made);
    return made;
  };
  const expanded = new Map<Row, readonly string[]>();
  const linesFor = (row: Row): readonly string[] => {
    const made = expanded.get(row) ?? soundLines(row.sounds);
    expanded.set(row, made);
    return made;
  };
  const saysSo = (row: Row, wanted: string, accent: AccentId): boolean =>
    linesFor(row).some((line) => said(line, accent) === wanted);
  const listed = (sounds: readonly string[], accent: AccentId): HowCommon | null =>
    once(`${accent} ${sounds.join(' ')}`, () => {
      const wanted = sounds.join(' ');
      const found = (byFrame().get(frameOf(sounds)) ?? []).filter((row) => saysSo(row, wanted, accent));
      if (!found.length) return null;
      return found.some(({ words }) => words.length) ? 'common' : 'rare';
    });
  return {
    known: (sounds, accent) =>
      listed(sounds, accent) ?? (endsLikePlural(sounds) ? listed(sounds.slice(0, -1), accent) : null),
    mayRead: (spelling, sounds, accent) => {
      const wanted = sounds.join(' ');
      return (byWord().get(spelling) ?? []).every((row) => saysSo(row, wanted, accent));
    },
  };
}
