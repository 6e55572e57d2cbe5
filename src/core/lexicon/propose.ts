import { mayBegin } from '../phonology/clusters';
import { placesOf, type Place } from '../phonology/from-phones';
import { isVowelKey } from '../phonology/keys';
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
 * Every transcription that a General American reading of a spelling may stand for, likeliest first. Choices the spelling
 * cannot write are left out; what remains may need a person ("TRAP or BATH?").
 *
 * @param spelling lower case; `+` marks a seam between two words or before an ending
 * @param phones ARPAbet with stress digits
 * @example candidates('bath', ['B', 'AE1', 'TH']).map((c) => c.line) // ['b TRAP th', 'b BATH th']
 */
export function candidates(spelling: string, phones: readonly string[]): Candidate[] {
  const plain = spelling.replaceAll('+', '');
  const seams = seamOffsets(spelling);
  const places = placesOf(phones);
  const found: Candidate[] = [];
  for (const choices of combinations(places)) {
    const keys = choices.flatMap((c) => c.split(' ')).filter((k) => k !== '.');
    const pieces = cutLetters(plain, keys);
    if (!pieces) continue;
    const cost = pieces.length + choices.reduce((sum, c, i) => sum + places[i]!.choices.indexOf(c) * 0.6, 0);
    found.push({ choices, cost, letters: writeLetters(pieces), line: writeLine(choices, places, seamKeys(pieces, seams)) });
  }
  return found.sort((a, b) => a.cost - b.cost);
}

function* combinations(places: readonly Place[]): Generator<string[]> {
  const total = places.reduce((n, p) => n * p.choices.length, 1);
  for (let n = 0; n < Math.min(total, MOST); n += 1) {
    let left = n;
    yield places.map((p) => {
      const at = left % p.choices.length;
      left = Math.floor(left / p.choices.length);
      return p.choices[at]!;
    });
  }
}

function seamOffsets(spelling: string): Set<number> {
  const offsets = new Set<number>();
  let at = 0;
  for (const char of spelling) if (char === '+') offsets.add(at); else at += 1;
  return offsets;
}

/** Indexes of the keys at which a seam lies: the first piece that begins at or after the offset. */
function seamKeys(pieces: readonly { letters: string; tail: string; keys: number }[], offsets: ReadonlySet<number>): Set<number> {
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
function writeLine(choices: readonly string[], places: readonly Place[], seams: ReadonlySet<number>): string {
  const keys: { key: string; stress: Place['stress']; dot: boolean }[] = [];
  choices.forEach((choice, i) => {
    let dot = false;
    for (const key of choice.split(' ')) {
      if (key === '.') dot = true;
      else {
        keys.push({ key, stress: isVowelKey(key) ? places[i]!.stress : '', dot });
        dot = false;
      }
    }
  });
  const nuclei = keys.flatMap((k, i) => (isVowelKey(k.key) && !joins(keys, i) ? [i] : []));
  const starts = new Map<number, '.' | '+'>();
  nuclei.slice(1).forEach((nucleus, n) => starts.set(syllableStart(keys, nuclei[n]!, nucleus, seams), '.'));
  for (const seam of seams) if (seam > 0 && seam < keys.length) starts.set(seam, '+');
  const heads = [0, ...starts.keys()].sort((a, b) => a - b);
  const stressOf = (head: number): string => {
    const next = heads.find((h) => h > head) ?? keys.length;
    const strongest = keys.slice(head, next).map((k) => k.stress).filter((s) => s === '1' || s === '2').sort()[0];
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
  keys[at]!.key === 'lettER' && !keys[at]!.dot && (keys[at - 1]?.key === 'PRICE' || keys[at - 1]?.key === 'MOUTH');

function syllableStart(keys: readonly { key: string }[], from: number, to: number, seams: ReadonlySet<number>): number {
  let first = from + 1;
  while (first < to && isVowelKey(keys[first]!.key)) first += 1;
  for (let at = to; at > first; at -= 1) if (seams.has(at)) return at;
  if (seams.has(first)) return first;
  const short = ['KIT', 'DRESS', 'TRAP', 'LOT', 'STRUT', 'FOOT'].includes(keys[from]!.key);
  for (let at = first; at < to; at += 1) {
    if (short && at === first && to - first > 1 && keys[at]!.key !== 's') continue; // a short vowel keeps one of two consonants
    if (mayBegin(keys.slice(at, to).map((k) => k.key))) return at;
  }
  return to;
}
