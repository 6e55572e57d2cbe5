import { examplesOf, reasonWith } from '../../core/choosing/examples';
import type { NextStep } from '../../core/choosing/next-step';
import type { Material } from '../../core/games/material';
import { checkWords } from '../../core/games/pebbles';
import type { AccentId } from '../../core/phonology/accents';
import { spotWords, type Advised } from './advised';

/** What comes next, with its one name, its reason and words to try now. */
export interface ShownNext {
  readonly ladder: string;
  readonly rung: string;
  readonly pattern: string | null;
  readonly check: string | null;
  readonly does: string;
  readonly reason: string;
  readonly words: readonly string[];
  readonly twins: readonly string[];
}

export function shownNext(step: NextStep, { patterns }: Advised, material: Material): ShownNext {
  const examples = examplesOf(step, patterns, material);
  const { ladder, rung, does, pattern = null, check = null } = step;
  return { ladder, rung, pattern, check, does, reason: reasonWith(step, examples), ...examples };
}

/** A slip that is open. */
export interface ShownOpen {
  readonly key: string;
  readonly text: string;
  /** False where it was played: words the child can say are better. */
  readonly play: boolean;
}

/** Slips shown at once. */
const OPEN_SHOWN = 3;

const slipped = (spot: string, times: number): string =>
  `${spot} slipped ${['', 'once', 'twice'][times] ?? `${times} times`}.`;

/** What nobody can tell yet, the most often first; one that is next already is not said twice. */
export const openShown = ({ open, next }: Advised, accent: AccentId, material: Material): ShownOpen[] =>
  open
    .filter((o) => o.verdict !== 'talk' && o.key !== next?.check)
    .slice(0, OPEN_SHOWN)
    .map(({ key, times, verdict }) => ({
      key,
      text:
        verdict === 'own-words'
          ? `They hear ${spotWords(key, accent)} but can’t say it yet. Play words they can say.`
          : slipped(spotWords(key, accent), times),
      play: verdict === 'open' && checkWords(key, material).length > 0,
    }));
