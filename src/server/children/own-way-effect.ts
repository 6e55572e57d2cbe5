import { analyse, askedFor } from '../../core/answers/analyse';
import type { OwnWay } from '../../core/answers/own-way';
import { chunksOf } from '../../core/answers/said';
import { heardShort } from '../../core/answers/heard';
import { findTask } from '../../core/games';
import type { KeptAnswer } from '../answers/answers';
import type { HeardAs } from '../answers/hearing';

/**
 * Answers marked as not yet that this way of speaking explains, as “tat for cat”. They stay as they were marked until
 * an adult puts them right.
 */
export function wouldBeRight(answers: readonly KeptAnswer[], ownWay: OwnWay, heardAs: HeardAs): string[] {
  return answers.flatMap(({ outcome, said, task, sounds, accent, key }) => {
    const whole = findTask(task)?.wholeWord;
    if (outcome !== 'not-yet' || !said || !whole) return [];
    try {
      const read = analyse(askedFor(sounds), chunksOf(said), {
        apart: whole === 'apart',
        ownWay,
      });
      const heard = heardAs({ said, slip: null, sounds, accent });
      return read.right && read.ownWay && heard ? [`${heardShort(heard)} for ${key}`] : [];
    } catch {
      return []; // what was said is no row of sounds
    }
  });
}
