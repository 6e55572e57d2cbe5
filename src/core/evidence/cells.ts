import { analyse, askedFor } from '../answers/analyse';
import { ACCEPTED, MAY_BE_SPEECH, SWAPPED, type Outcome, type Slip } from '../answers/outcome';
import { chunksOf } from '../answers/said';
import { isOrdinaryLoss, oftenSaidFor } from '../answers/speech';
import { spotKey } from '../answers/spots';
import { findTask } from '../games';
import { isVowel } from '../phonology/sounds';
import { sure } from '../sure';

/**
 * What answers say of single sounds: which were asked for, which were there, and which are open, because a child may
 * hear what they cannot say yet.
 */

/** How often a sound was asked for in a place, how often it was there, and how often what slipped is open. */
type HeardCell = readonly [asked: number, held: number, open?: number];
/**
 * By sound and place: `k last`; clusters apart by side and by what stands before. `keeps-rime` and `keeps-cluster` say
 * how often a word that could be kept together was, and was not.
 */
export type Cells = Readonly<Record<string, HeardCell>>;
export const KEEPS = { rime: 'keeps-rime', cluster: 'keeps-cluster' } as const;

/** An answer, as far as it speaks of sounds. */
export interface Answered {
  readonly task: string;
  readonly outcome: Outcome;
  readonly slip: Slip | null;
  readonly said: string | null;
  /** Indices of the sounds that slipped. */
  readonly missed: readonly number[];
  /** The sounds of the word (IPA). */
  readonly sounds: readonly string[];
}

/** One sound was asked for, and one that young speakers often say for a sound of the word was said. */
function spokenInstead({ slip, said, sounds }: Answered): number {
  if (slip !== 'other-sound' || !said) return -1;
  const [only, ...more] = chunksOf(said).flat();
  return only && !more.length ? sounds.findIndex((s) => oftenSaidFor(s, only)) : -1;
}

/** The sounds a right answer left out, which the child’s own way of speaking let pass. */
function leftOutAndRight({ said, sounds, task }: Answered): number[] {
  if (!said) return [];
  const chunks = chunksOf(said);
  if (chunks.flat().length >= sounds.length) return [];
  const { faults } = analyse(askedFor(sounds), chunks, { apart: findTask(task)?.wholeWord === 'apart' });
  return faults.flatMap((f) => (f.kind === 'omitted' ? [f.at] : []));
}

/** Every swap is one that young speakers make, a sound for a sound: right, as it is judged today. */
function isOneForOne({ said, missed, sounds }: Answered): boolean {
  const chunks = chunksOf(said ?? '');
  return (
    chunks.length === sounds.length && missed.every((at) => oftenSaidFor(sure(sounds[at]), sure(chunks[at])[0] ?? ''))
  );
}

/** Which of the sounds that slipped may be no more than how the child speaks. */
function openAt(answer: Answered): readonly number[] {
  const { task, outcome, slip, missed } = answer;
  const whole = findTask(task)?.wholeWord;
  if (outcome === 'no-reply' || outcome === 'does-not-count') return [];
  if (outcome === 'on-own') return whole && slip === 'own-way' ? leftOutAndRight(answer) : [];
  if (!whole) return spokenInstead(answer) >= 0 ? [spokenInstead(answer)] : [];
  return MAY_BE_SPEECH.has(slip) && (whole === 'joined' || !SWAPPED.has(slip)) ? missed : [];
}

/**
 * The sounds and places an answer leaves open: it counts for nothing until a pebble check has shown whether the child
 * hears what they did not say. None where the answer is plain.
 * @example openIn({ task: 'blending', slip: 'lost-sound', missed: [1], … }) // ['r opening after']
 */
export function openIn(answer: Answered): readonly string[] {
  const asked = askedFor(answer.sounds);
  return [...new Set(openAt(answer).map((at) => spotKey(asked, at)))];
}

const CELL_LETTERS: Readonly<Record<Exclude<Outcome, 'does-not-count'>, string>> = {
  'on-own': '1',
  'with-help': 'h',
  'not-yet': '0',
  'no-reply': '-',
};

/** The letter an answer counts as; null where it does not count. Example: `'u'` where it is open. */
export function markOf(answer: Answered): string | null {
  const { outcome, slip, task } = answer;
  if (outcome === 'does-not-count') return null;
  if (openIn(answer).length) return 'u';
  const apart = findTask(task)?.wholeWord === 'apart';
  return outcome === 'not-yet' && SWAPPED.has(slip) && apart && isOneForOne(answer) ? '1' : CELL_LETTERS[outcome];
}

/** Whether a word could be kept together, by key; and whether it was. */
function keptIn({ task, slip, sounds }: Answered): Record<string, HeardCell> {
  if (findTask(task)?.wholeWord !== 'apart') return {};
  const before = sounds.findIndex(isVowel);
  const after = sounds.length - 1 - sounds.findLastIndex(isVowel);
  return {
    ...(before > 0 && after > 0 ? { [KEEPS.rime]: [1, slip === 'rime-kept' ? 0 : 1] as const } : {}),
    ...(before > 1 ? { [KEEPS.cluster]: [1, slip === 'cluster-kept' ? 0 : 1] as const } : {}),
  };
}

/**
 * What one answer says of its sounds, or null where it says nothing: no reply, help that left nothing to tell, a slip
 * of the whole task. What most people leave out when they talk is asked of nobody.
 * @example cellsOf({ task: 'blending', slip: 'lost-sound', missed: [1], … })['r opening after'] // [1, 0, 1]
 */
export function cellsOf(answer: Answered): Cells | null {
  const { task, outcome, slip, missed, sounds } = answer;
  if (!findTask(task)?.wholeWord || sounds.length < 2) return null;
  if (outcome === 'no-reply' || outcome === 'does-not-count') return null;
  const right = outcome === 'on-own' && (slip === null || ACCEPTED.has(slip));
  if (!right && !missed.length) return null;
  const kept = keptIn(answer);
  if (slip === 'rime-kept' || slip === 'cluster-kept') return Object.keys(kept).length ? kept : null;
  const asked = askedFor(sounds);
  const open = new Set(openAt(answer));
  const cells: Record<string, [number, number, number]> = {};
  asked.forEach((_, at) => {
    if (isOrdinaryLoss(sounds, at)) return;
    const cell = (cells[spotKey(asked, at)] ??= [0, 0, 0]);
    cell[0] += 1;
    if (open.has(at)) cell[2] += 1;
    else if (right || !missed.includes(at)) cell[1] += 1;
  });
  return { ...Object.fromEntries(Object.entries(cells).map(([key, cell]) => [key, short(cell)])), ...kept };
}

/** Without its last number where nothing is open. */
const short = ([asked, held, open]: readonly [number, number, number]): HeardCell =>
  open ? [asked, held, open] : [asked, held];

/** Two tables made one. */
export function addCells(all: readonly Cells[]): Cells {
  const sum: Record<string, [number, number, number]> = {};
  for (const cells of all)
    for (const [key, [asked, held, open = 0]] of Object.entries(cells)) {
      const cell = (sum[key] ??= [0, 0, 0]);
      cell[0] += asked;
      cell[1] += held;
      cell[2] += open;
    }
  return Object.fromEntries(Object.entries(sum).map(([key, cell]) => [key, short(cell)]));
}
