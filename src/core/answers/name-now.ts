import { findTask } from '../games';
import { analyse, askedFor } from './analyse';
import type { Outcome, Slip } from './outcome';
import { chunksOf } from './said';

/** Names of what became of sounds, which were once fewer: two sounds lost were called one, a near sound a swap. */
const SOUND_SLIPS: ReadonlySet<Slip | null> = new Set<Slip>([
  'lost-sound',
  'lost-sounds',
  'lost-beat',
  'swapped-sound',
  'near-sound',
  'several',
  'added-sound',
  'reordered',
]);

/** An answer that was kept, as far as its name goes. */
interface Named {
  readonly task: string;
  readonly outcome: Outcome;
  readonly slip: Slip | null;
  readonly said: string | null;
  /** Of the item’s word. */
  readonly sounds: readonly string[];
}

/**
 * What a kept slip is called today. Its mark is never touched, and what was not worked out from sounds keeps its name.
 * @example nameNow({ task: 'blending', outcome: 'not-yet', slip: 'lost-sound', said: 'f+ɒ', sounds: [...'frɒɡ'] }) //
 * 'lost-sounds'
 */
export function nameNow({ task, outcome, slip, said, sounds }: Named): Slip | null {
  const whole = findTask(task)?.wholeWord;
  if (outcome !== 'not-yet' || !whole || !said || !sounds.length || !SOUND_SLIPS.has(slip)) return slip;
  try {
    const now = analyse(askedFor(sounds), chunksOf(said), { apart: whole === 'apart' }).slip;
    return SOUND_SLIPS.has(now) ? now : slip;
  } catch {
    // What was kept may be no sounds of ours: then its name stays too.
    return slip;
  }
}
