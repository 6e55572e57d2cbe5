import { mayBegin } from '../phonology/clusters';
import { phonePlaces, type PhonePlace } from '../phonology/from-phones';
import { accentOf, type AccentId } from '../phonology/accents';
import { realiseSegments } from '../phonology/realise';
import { isVowelKey, type Key } from '../phonology/keys';
import { parseTranscription } from '../phonology/transcription';
import { sure } from '../sure';
import { cutLetters, writeLetters } from './cut-letters';

/** A transcription a reading may stand for, with the cut of the spelling that goes with it. */
export interface Candidate {
  /** One choice for each place, in order. */
  readonly choices: readonly string[];
  readonly line: string;
  readonly letters: string;
  readonly cost: number;
}

/** More combinations than this are not looked at; no word of the pronouncing dictionary that a child meets has them. */
const MOST = 4096;

/**
 * Every transcription that a General American reading of a spelling may stand for, likeliest first. Choices the
 * spelling cannot write are left out; what remains may need a person ("TRAP or BATH?").
 *
 * @param spelling lower case; `+` marks a seam between two words or before an ending
 * @param phones ARPAbet with stress digits
 * @example candidates('bath', ['B', 'AE1', 'TH']).map((c) => c.line) // ['b TRAP th', 'b BATH th']
 */
export function candidates(spelling: string, phones: readonly string[]): Candidate[] {
  const plain = spelling.replaceAll('+', '');
  const seams = seamOffsets(spelling);
  const places = phonePlaces(phones);
  const found: Candidate[] = [];
  for (const choices of combinations(places)) {
    const keys = choices.flatMap((c) => c.split(' ')).filter((k) => k !== '.');
    const pieces = cutLetters(plain, keys);
    if (!pieces) continue;
    const cost = pieces.length + choices.reduce((sum, c, i) => sum + sure(places[i]).choices.indexOf(c) * 0.6, 0);
    found.push({
      choices,
      cost,
      letters: writeLetters(pieces),
      line: writeLine(choices, places, seamKeys(pieces, seams)),
    });
  }
  return found.sort((a, b) => a.cost - b.cost);
}

function* combinations(places: readonly PhonePlace[]): Generator<string[]> {
  const total = places.reduce((n, p) => n * p.choices.length, 1);
  for (let n = 0; n < Math.min(total, MOST); n += 1) {
    let left = n;
    yield places.map((p) => {
      const at = left % p.choices.length;
      left = Math.floor(left / p.choices.length);
      return sure(p.choices[at]);
    });
  }
}

function seamOffsets(spelling: string): Set<number> {
  const offsets = new Set<number>();
  let at = 0;
  for (const char of spelling)
    if (char === '+') offsets.add(at);
    else at += 1;
  return offsets;
}

/** Indexes of the keys at which a seam lies: the first piece that begins at or after the offset. */
function seamKeys(
  pieces: readonly { letters: string; tail: string; keys: number }[],
  offsets: ReadonlySet<number>,
): Set<number> {
  const keys = new Set<number>();
  for (const offset of offsets) {
    let [at, key, waiting] = [0, 0, ''];
    for (const piece of pieces) {
      if (at >= offset && key > 0) break;
      at += piece.letters.length + waiting.length;
      waiting = piece.tail;
      key += piece.keys;
    }
    keys.add(key);
  }
  return keys;
}

const STRESS_MARK = { '': '', 0: '', 1: "'", 2: ',' } as const;

/**
 * Writes keys as a transcription line: syllables by the longest beginning English allows, a seam always parting them.
 */
function writeLine(choices: readonly string[], places: readonly PhonePlace[], seams: ReadonlySet<number>): string {
  const keys: { key: string; stress: PhonePlace['stress']; dot: boolean }[] = [];
  choices.forEach((choice, i) => {
    let dot = false;
    for (const key of choice.split(' ')) {
      if (key === '.') dot = true;
      else {
        keys.push({ key, stress: isVowelKey(key) ? sure(places[i]).stress : '', dot });
        dot = false;
      }
    }
  });
  const nuclei = keys.flatMap((k, i) => (isVowelKey(k.key) && !joins(keys, i) ? [i] : []));
  const starts = new Map<number, '.' | '+'>();
  nuclei.slice(1).forEach((nucleus, n) => starts.set(syllableStart(keys, sure(nuclei[n]), nucleus, seams), '.'));
  for (const seam of seams) if (seam > 0 && seam < keys.length) starts.set(seam, '+');
  const heads = [0, ...starts.keys()].sort((a, b) => a - b);
  const stressOf = (head: number): string => {
    const next = heads.find((h) => h > head) ?? keys.length;
    const strongest = keys
      .slice(head, next)
      .map((k) => k.stress)
      .filter((s) => s === '1' || s === '2')
      .sort()[0];
    return STRESS_MARK[strongest ?? ''];
  };
  const line = keys.map(({ key }, i) => {
    const head = i === 0 || starts.has(i);
    return `${starts.has(i) ? `${starts.get(i)} ` : ''}${head && nuclei.length > 1 ? stressOf(i) : ''}${key}`;
  });
  return line.join(' ');
}

/** A weak vowel that follows PRICE or MOUTH with no dot is of the same syllable (*fire*). */
const joins = (keys: readonly { key: string; dot: boolean }[], at: number): boolean =>
  sure(keys[at]).key === 'lettER' &&
  !sure(keys[at]).dot &&
  (keys[at - 1]?.key === 'PRICE' || keys[at - 1]?.key === 'MOUTH');

function syllableStart(keys: readonly { key: string }[], from: number, to: number, seams: ReadonlySet<number>): number {
  let first = from + 1;
  while (first < to && isVowelKey(sure(keys[first]).key)) first += 1;
  for (let at = to; at > first; at -= 1) if (seams.has(at)) return at;
  if (seams.has(first)) return first;
  const short = ['KIT', 'DRESS', 'TRAP', 'LOT', 'STRUT', 'FOOT'].includes(sure(keys[from]).key);
  for (let at = first; at < to; at += 1) {
    // A short vowel keeps one of two consonants.
    if (short && at === first && to - first > 1 && sure(keys[at]).key !== 's') continue;
    if (mayBegin(keys.slice(at, to).map((k) => k.key))) return at;
  }
  return to;
}

/** A question only a person can answer: which of these does the place hold? */
interface Question {
  readonly place: number;
  readonly choices: readonly string[];
}

export interface ProposedReading {
  /** Likeliest first. */
  readonly candidates: readonly Candidate[];
  readonly questions: readonly Question[];
}

/** Candidates dearer than the best by more than this are not offered: their spelling would be odd. */
const LEEWAY = 2.6;

/**
 * What the dictionary's readings of a word leave open in an accent. Places whose choices sound alike there are settled
 * without asking; the rest become questions.
 *
 * @example readings('bath', [['B', 'AE1', 'TH']], 'southern-british')[0].questions // [{ place: 1, choices: ['TRAP',
 * 'BATH'] }]
 */
export function readings(
  spelling: string,
  phones: readonly (readonly string[])[],
  accent: AccentId,
): ProposedReading[] {
  const seen = new Set<string>();
  return phones.flatMap((reading) => {
    const all = candidates(spelling, reading);
    const likely = all.filter((c) => c.cost <= sure(all[0]).cost + LEEWAY);
    // Of candidates that sound alike here the likeliest stands for all.
    const bySound = new Map<string, Candidate>();
    for (const c of likely) {
      const said = ipaOfLine(c.line, accent);
      if (!bySound.has(said)) bySound.set(said, c);
    }
    const kept = [...bySound.values()];
    const name = [...bySound.keys()].sort().join('|');
    if (!kept.length || seen.has(name)) return [];
    seen.add(name);
    const questions = sure(kept[0])
      .choices.map((_, place) => ({ place, choices: [...new Set(kept.map((c) => sure(c.choices[place])))] }))
      .filter((q) => q.choices.length > 1);
    return [{ candidates: kept, questions }];
  });
}

const ipaOfLine = (line: string, accent: AccentId): string =>
  realiseSegments(parseTranscription(line), accentOf(accent))
    .map((s) => s.ipa)
    .join(' ');

/**
 * A transcription line from keys that were tapped, one after the other, the given beat the strong one.
 * @example lineFromKeys(['b', 'KIT', 'n'], 0) // 'b KIT n'
 */
export function lineFromKeys(keys: readonly Key[], strong: number): string {
  let beat = -1;
  const places = keys.map((key): PhonePlace => {
    if (!isVowelKey(key)) return { choices: [key], stress: '' };
    beat += 1;
    return { choices: [key], stress: beat === strong ? '1' : '0' };
  });
  return writeLine(keys, places, new Set());
}

/** The letters of a spelling under the keys of a line; the whole spelling as one piece where they cannot be cut. */
export function lettersFor(spelling: string, line: string): string {
  const keys = parseTranscription(line).map((s) => s.key);
  const pieces = cutLetters(spelling, keys);
  return pieces ? writeLetters(pieces) : `${spelling}:${keys.length}`;
}
