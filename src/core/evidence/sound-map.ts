import { groupBy } from '../group-by';
import { sure } from '../sure';
import { lately, patternsIn, readCells, type Pattern, type SpotCount } from './patterns';
import { posteriorOf } from './posterior';
import type { SettledSeen } from './settle';
import type { WordPlace } from './word-places';

const wordPlaceOf = (side: string): WordPlace =>
  side === 'opening' || side === 'closing' ? 'cluster' : (side as WordPlace);

/** A cell holds when its rate is at least this, nine times in ten. */
const HOLDS = 0.7;
const FEWEST = 4;

/** `open`: what slipped may be how the child speaks, and no check has settled it. */
type CellState = 'holds' | 'slips' | 'open' | 'little-seen';
export interface MapCell {
  readonly ipa: string;
  readonly spot: WordPlace;
  readonly state: CellState;
  readonly asked: number;
  readonly held: number;
  readonly low: number;
  readonly high: number;
}
export interface SoundMap {
  readonly cells: readonly MapCell[];
  readonly patterns: readonly Pattern[];
}

/**
 * The map of a child from what is settled, with what is open beside it.
 * @example soundMap(settle(seen, now), now).cells.find((c) => c.ipa === 'r')?.state // 'open'
 */
export function soundMap({ sessions, open }: Pick<SettledSeen, 'sessions' | 'open'>, now: number): SoundMap {
  const { patterns, slipping } = patternsIn(sessions, now);
  const counts = readCells(lately(sessions, now));
  const openSpots = new Set(open.map(({ key }) => spotName(sure(readCells({ [key]: [0, 0] })[0]))));
  const seen = groupBy(counts, spotName);
  const names = new Set([...seen.keys(), ...openSpots]);
  return {
    patterns,
    cells: [...names].map((name) => {
      const [ipa = '', spot = ''] = name.split(' ');
      const counts = seen.get(name) ?? [];
      const asked = counts.reduce((n, c) => n + c.asked, 0);
      const held = counts.reduce((n, c) => n + c.held, 0);
      const known = posteriorOf([{ right: held, wrong: asked - held, guess: 0 }]);
      const holds = asked >= FEWEST && known.above(HOLDS) >= 0.9;
      return {
        ipa,
        spot: spot as WordPlace,
        asked,
        held,
        low: known.quantile(0.05),
        high: known.quantile(0.95),
        state: stateOf({ slips: counts.some((c) => slipping.has(c.key)), open: openSpots.has(name), holds }),
      };
    }),
  };
}

const spotName = ({ ipa, side }: SpotCount): string => `${ipa} ${wordPlaceOf(side)}`;

function stateOf({ slips, open, holds }: Record<'slips' | 'open' | 'holds', boolean>): CellState {
  if (slips) return 'slips';
  if (open) return 'open';
  return holds ? 'holds' : 'little-seen';
}
