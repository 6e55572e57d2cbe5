import { analyse, askedFor } from '../../core/answers/analyse';
import type { OwnWay } from '../../core/answers/own-way';
import { chunksOf } from '../../core/answers/said';
import { saidLabel } from '../../core/answers/said-label';
import type { AccentId } from '../../core/phonology/accents';

interface Said {
  readonly word: string;
  readonly task: string;
  readonly outcome: string;
  readonly said: string | null;
  readonly sounds: string;
  readonly accent: string;
}

/**
 * Answers marked as not yet that this way of speaking explains, as “tat for cat”. They stay as they were marked until
 * an adult puts them right.
 */
export function wouldBeRight(rows: readonly Said[], ownWay: OwnWay): string[] {
  return rows.flatMap((row) => {
    if (row.outcome !== 'not-yet' || !row.said || (row.task !== 'blending' && row.task !== 'segmenting')) return [];
    try {
      const read = analyse(askedFor(row.sounds.split(' ')), chunksOf(row.said), {
        apart: row.task === 'segmenting',
        ownWay,
      });
      return read.right ? [`${saidLabel(row.said, row.accent as AccentId)} for ${row.word}`] : [];
    } catch {
      return []; // what was said is no row of sounds
    }
  });
}
