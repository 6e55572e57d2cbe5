import { askedFor, whereOf, type Asked } from '../answers/analyse';
import { ACCEPTED, type Outcome, type Slip } from '../answers/outcome';
import { findTask } from '../games';
import { CONSONANTS } from '../phonology/sounds';
import { sure } from '../sure';
import { atLeast } from './luck';
import { posteriorOf } from './posterior';
import { soundMap as say } from './text';

/**
 * Which sounds hold and which slip, and where in the word. Many cells are looked at together, so a slip is only called
 * one where accident is ruled out for all of them at once (Holm 1979, A simple sequentially rejective multiple test
 * procedure; from memory).
 */
export const SPOTS = ['first', 'middle', 'last', 'cluster'] as const;
export type Spot = (typeof SPOTS)[number];
export const SPOT_WORDS: Readonly<Record<Spot, string>> = {
  first: say.atTheStart,
  middle: say.inTheMiddle,
  last: say.atTheEnd,
  cluster: say.inACluster,
};

/**
 * How often each sound was asked for in each spot, and how often it was there: `k last` → [asked, held]. Clusters are
 * kept apart by side.
 */
export type Cells = Readonly<Record<string, readonly [asked: number, held: number]>>;

interface Heard {
  readonly task: string;
  readonly outcome: Outcome;
  readonly slip: Slip | null;
  readonly missed: readonly number[];
  readonly sounds: readonly string[];
}

/**
 * Consonants side by side at the start or end of a word make a cluster; its key says which side, and after which kind
 * of sound.
 */
function keyAt(sounds: readonly Asked[], at: number): string {
  const { place, cluster } = whereOf(sounds, at);
  return `${sure(sounds[at]).ipa} ${cluster ?? place}${cluster && sure(sounds[at]).close ? ' after' : ''}`;
}

/**
 * What one answer says of its sounds, or null where it says nothing: no reply, help that left nothing to tell, a slip
 * of the whole task.
 * @example cellsOf({ task: 'blending', outcome: 'not-yet', slip: 'lost-sound', missed: [1], sounds: ['f', 'r', 'ɒ',
 * 'ɡ'] })['r opening after'] // [1, 0]
 */
export function cellsOf({ task, outcome, slip, missed, sounds }: Heard): Cells | null {
  if (!findTask(task)?.wholeWord || sounds.length < 2) return null;
  const right = outcome === 'on-own' && (slip === null || ACCEPTED.has(slip));
  if (!right && (outcome === 'no-reply' || outcome === 'does-not-count' || !missed.length)) return null;
  const asked = askedFor(sounds);
  const cells: Record<string, [number, number]> = {};
  asked.forEach((_, at) => {
    const cell = (cells[keyAt(asked, at)] ??= [0, 0]);
    cell[0] += 1;
    if (right || !missed.includes(at)) cell[1] += 1;
  });
  return cells;
}

/** Two tables made one. */
export function addCells(all: readonly Cells[]): Cells {
  const sum: Record<string, [number, number]> = {};
  for (const cells of all)
    for (const [key, [asked, held]] of Object.entries(cells)) {
      const cell = (sum[key] ??= [0, 0]);
      cell[0] += asked;
      cell[1] += held;
    }
  return sum;
}

interface Cell {
  readonly ipa: string;
  readonly side: string;
  readonly after: boolean;
  readonly spot: Spot;
  readonly asked: number;
  readonly held: number;
}

function readCells(cells: Cells): Cell[] {
  return Object.entries(cells).map(([key, [asked, held]]) => {
    const [ipa = '', side = '', after] = key.split(' ');
    return {
      ipa,
      side,
      after: after === 'after',
      spot: (side === 'opening' || side === 'closing' ? 'cluster' : side) as Spot,
      asked,
      held,
    };
  });
}

/** What several sounds may share: a row for each kind, the narrower first. */
const manner =
  (...wanted: string[]) =>
  (c: Cell): boolean =>
    wanted.includes(CONSONANTS[c.ipa]?.manner ?? '');
const KINDS: readonly { readonly id: string; readonly name: string; readonly holds: (c: Cell) => boolean }[] = [
  {
    id: 'last-stops',
    name: say.clippedSoundsEnd,
    holds: (c) => c.side === 'last' && manner('stop', 'affricate')(c),
  },
  {
    id: 'last-held',
    name: say.heldSoundsEnd,
    holds: (c) => c.side === 'last' && manner('fricative', 'nasal', 'lateral approximant')(c),
  },
  {
    id: 'last-consonants',
    name: say.consonantsEndWords,
    holds: (c) => c.side === 'last' && CONSONANTS[c.ipa] !== undefined,
  },
  {
    id: 'opening-r',
    name: say.secondR,
    holds: (c) => c.side === 'opening' && c.after && c.ipa === 'r',
  },
  {
    id: 'opening-l',
    name: say.secondL,
    holds: (c) => c.side === 'opening' && c.after && c.ipa === 'l',
  },
  {
    id: 'opening-s',
    name: say.firstS,
    holds: (c) => c.side === 'opening' && !c.after && c.ipa === 's',
  },
  {
    id: 'opening-second',
    name: say.secondSoundCluster,
    holds: (c) => c.side === 'opening' && c.after,
  },
  {
    id: 'closing-first',
    name: say.firstSoundCluster,
    holds: (c) => c.side === 'closing' && !c.after,
  },
  { id: 'closing-last', name: say.lastSoundCluster, holds: (c) => c.side === 'closing' && c.after },
  { id: 'back', name: say.soundsMadeBack, holds: (c) => CONSONANTS[c.ipa]?.place === 'velar' },
  {
    id: 'middle-vowels',
    name: say.vowelsMiddle,
    holds: (c) => c.side === 'middle' && CONSONANTS[c.ipa] === undefined,
  },
];

/** A slip here and there is nobody's pattern: up to this share is put down to accident. Our own choice. */
const ACCIDENT = 0.12;
const FEWEST = 4;
/** How surely accident must be ruled out over everything that is looked at. */
const SURE = 0.05;
/** A cell holds when its rate is at least this, nine times in ten. */
const HOLDS = 0.7;

type CellState = 'holds' | 'slips' | 'little-seen';
export interface MapCell {
  readonly ipa: string;
  readonly spot: Spot;
  readonly state: CellState;
  readonly asked: number;
  readonly held: number;
  readonly low: number;
  readonly high: number;
}
interface Pattern {
  readonly id: string;
  readonly name: string;
  readonly missed: number;
  readonly asked: number;
  readonly sounds: readonly string[];
}
export interface SoundMap {
  readonly cells: readonly MapCell[];
  readonly patterns: readonly Pattern[];
}

const sum = (cells: readonly Cell[]): { asked: number; missed: number } => ({
  asked: cells.reduce((n, c) => n + c.asked, 0),
  missed: cells.reduce((n, c) => n + c.asked - c.held, 0),
});

interface Claim {
  readonly key: string;
  readonly kind: (typeof KINDS)[number] | null;
  readonly cells: readonly Cell[];
  readonly chance: number;
  readonly asked: number;
  readonly missed: number;
}

/** What is told already accounts for nearly all of it. */
const MOSTLY = 0.8;
const explainedBy = (told: readonly Claim[], { cells, missed }: Claim): boolean => {
  const known = new Set(told.flatMap((t) => t.cells));
  return sum(cells.filter((c) => known.has(c))).missed >= MOSTLY * missed;
};

/**
 * The map of a child. A pattern shared by sounds of one kind is named as that kind; a single sound only where no kind
 * explains it.
 * @example soundMap(addCells(all)).patterns[0]?.name // say.secondR
 */
export function soundMap(table: Cells): SoundMap {
  const cells = readCells(table);
  const everything = sum(cells);
  const single = cells.map((c) => ({ key: `${c.ipa} ${c.side} ${c.after}`, kind: null, cells: [c] }));
  const claims = [...KINDS.map((kind) => ({ key: kind.id, kind, cells: cells.filter(kind.holds) })), ...single]
    .flatMap(({ key, kind, cells: of }): Claim[] => {
      const { asked, missed } = sum(of);
      if (asked < FEWEST) return [];
      // Held against what slips elsewhere, so that a child who slips everywhere is not given a pattern for each place.
      const elsewhere = everything.asked > asked ? (everything.missed - missed) / (everything.asked - asked) : 0;
      return [{ key, kind, cells: of, asked, missed, chance: atLeast(missed, asked, Math.max(ACCIDENT, elsewhere)) }];
    })
    .sort((a, b) => a.chance - b.chance);
  const found: Claim[] = [];
  for (const [i, claim] of claims.entries()) {
    if (claim.chance > SURE / (claims.length - i)) break;
    found.push(claim);
  }
  const slipping = new Set(found.flatMap((f) => (f.kind ? [] : f.cells)));
  // A kind is named where two of its sounds or more have a part in it, or where it is about one sound alone; the most
  // surely seen first.
  const told: Claim[] = [];
  for (const claim of found.filter((f) => f.kind)) {
    const share = claim.cells.filter((c) => c.asked > c.held);
    const one = new Set(claim.cells.map((c) => c.ipa)).size === 1;
    if ((one || new Set(share.map((c) => c.ipa)).size >= 2) && !explainedBy(told, claim)) told.push(claim);
  }
  for (const claim of found.filter((f) => !f.kind)) if (!explainedBy(told, claim)) told.push(claim);
  const explained = new Set(told.flatMap((t) => t.cells.filter((c) => c.asked > c.held)));
  const bySpot = new Map<string, Cell[]>();
  for (const c of cells) bySpot.set(`${c.ipa} ${c.spot}`, [...(bySpot.get(`${c.ipa} ${c.spot}`) ?? []), c]);
  return {
    cells: [...bySpot.values()].map((of) => {
      const { asked, missed } = sum(of);
      const known = posteriorOf([{ right: asked - missed, wrong: missed, guess: 0 }]);
      const otherwise = asked >= FEWEST && known.above(HOLDS) >= 0.9 ? 'holds' : 'little-seen';
      const slips = of.some((c) => slipping.has(c) || (explained.has(c) && (c.asked - c.held) * 2 >= c.asked));
      return {
        ipa: sure(of[0]).ipa,
        spot: sure(of[0]).spot,
        asked,
        held: asked - missed,
        low: known.quantile(0.05),
        high: known.quantile(0.95),
        state: slips ? 'slips' : otherwise,
      };
    }),
    patterns: told.map(({ key, kind, cells: of, asked, missed }) => ({
      id: key,
      name: kind ? kind.name : '',
      asked,
      missed,
      sounds: [
        ...new Set(
          of
            .filter((c) => c.asked > c.held)
            .sort((a, b) => (b.asked - b.held) / b.asked - (a.asked - a.held) / a.asked)
            .map((c) => c.ipa),
        ),
      ],
    })),
  };
}
