import { roundOf, type Entry } from './log';
import type { StoredRound } from './stored-round';

/**
 * How many turns a round can have had at most, from what was planned and what its log says: those added, and those
 * played once more because they did not count. Where every child gets every item, each may have had each.
 *
 * @param index the round's number in its session
 * @param children how many play
 * @example mostTurns({ ...round, turns: 6, items: ['sun'] }, 0, 4, []) // 6
 */
export function mostTurns(round: StoredRound, index: number, children: number, log: readonly Entry[]): number {
  const added = log.reduce((sum, e) => (e.kind === 'more' && (e.round ?? 0) === index ? sum + e.turns : sum), 0);
  const again = log.filter(
    (e) => e.kind === 'answer' && e.outcome === 'does-not-count' && roundOf(e.turn) === index,
  ).length;
  const arrived = new Set(log.flatMap((e) => (e.kind === 'arrive' ? [e.childId] : []))).size;
  const items = round.find?.steps.reduce((sum, step) => sum + step.keys.length, 0) ?? round.items.length;
  return Math.max(round.turns, items * (children + arrived)) + added + again;
}
