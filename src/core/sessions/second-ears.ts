import type { Entry } from './log';

/**
 * A session as a second pair of ears goes through it: their own marks make the turns go on, those of the first adult
 * are not in it. What else happens (who is away, words swapped, rounds) is shared.
 * @param by who listens along
 */
export const asSecond = (log: readonly Entry[], by: string): Entry[] =>
  log.flatMap((e): Entry[] => {
    if (e.kind !== 'answer') return [e];
    if (!e.second || (e.by ?? '') !== by) return [];
    const { second, ...own } = e;
    void second;
    return [own];
  });
