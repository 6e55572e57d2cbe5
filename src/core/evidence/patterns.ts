import { isAbout, SPOT_KINDS, spotOf, type Spot } from '../answers/spots';
import { addCells, KEEPS, type Cells } from './cells';
import { atLeast } from './luck';
import type { SessionCells } from './settle';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * What slips again and again in one place of the word. Many places are looked at together, so a slip is only called a
 * pattern where accident is ruled out for all of them at once (Holm 1979, A simple sequentially rejective multiple test
 * procedure; from memory). Only what is settled is counted: how a child speaks is no pattern.
 */
export interface SpotCount extends Spot {
  readonly key: string;
  readonly asked: number;
  readonly held: number;
}

const cellsRead = new WeakMap<Cells, readonly SpotCount[]>();
/** The cells of sounds, read from their keys once; what may be kept together is apart. */
export function readCells(cells: Cells): readonly SpotCount[] {
  const known = cellsRead.get(cells);
  if (known) return known;
  const made = Object.entries(cells)
    .filter(([key]) => key !== KEEPS.rime && key !== KEEPS.cluster)
    .map(([key, [asked, held]]) => ({ key, ...spotOf(key), asked, held }));
  cellsRead.set(cells, made);
  return made;
}

/** What each kind of slip is about, in words. */
const NAMES: Readonly<Record<string, string>> = {
  'last-stops': 'short sounds at the end of words',
  'last-held': 'long sounds at the end of words',
  'last-consonants': 'consonants at the end of words',
  'opening-r': '/r/ after another consonant',
  'opening-l': '/l/ after another consonant',
  'opening-s': '/s/ before another consonant',
  'opening-second': 'the second of two starting sounds (so “frog” becomes “fog”)',
  'closing-first': 'the first of two end sounds (so “went” becomes “wet”)',
  'closing-last': 'the last of two end sounds (so “belt” becomes “bell”)',
  back: 'sounds made at the back of the mouth',
  'middle-vowels': 'vowels in the middle',
};
const KINDS = Object.entries(SPOT_KINDS).map(([id, holds]) => ({ id, name: NAMES[id] ?? '', holds }));

/** Words kept together: looked at beside the sounds. */
const KEPT: readonly { readonly id: string; readonly name: string; readonly key: string }[] = [
  { id: 'keeps-rime', name: 'keeps the end of a word together (m-an for “man”)', key: KEEPS.rime },
  { id: 'keeps-cluster', name: 'keeps the start of a word together (fr-o-g for “frog”)', key: KEEPS.cluster },
];

/** A slip here and there is nobody's pattern: up to this share is put down to accident. Our own choice. */
const ACCIDENT = 0.12;
/** Chances before anything is called a pattern. */
const FEWEST_CHANCES = 8;
/** How surely accident must be ruled out over everything that is looked at. */
const SURE = 0.05;
/** What was seen longer ago says little of a child of four. */
const DAYS = 90;
/** A pattern is let go once so many of the latest chances held. */
const HOLDS_AGAIN = 0.85;

export interface Pattern {
  /** A kind of the table, or sound and place where it is about one sound alone. */
  readonly id: string;
  /** In words; empty where it is about one sound alone. */
  readonly name: string;
  readonly missed: number;
  readonly asked: number;
  /** Days on which it was missed. */
  readonly days: number;
  readonly sounds: readonly string[];
}

/** What was seen within the time that patterns are read from, made one table. */
export function lately(sessions: readonly SessionCells[], now: number): Cells {
  const known = tables.get(sessions);
  if (known?.now === now) return known.table;
  const table = addCells(sessions.filter((s) => now - s.at <= DAYS * millisecondsInDay).map((s) => s.cells));
  tables.set(sessions, { now, table });
  return table;
}
const tables = new WeakMap<readonly SessionCells[], { readonly now: number; readonly table: Cells }>();

const sum = (cells: readonly SpotCount[]): { asked: number; missed: number } => ({
  asked: cells.reduce((n, c) => n + c.asked, 0),
  missed: cells.reduce((n, c) => n + c.asked - c.held, 0),
});

interface Claim {
  readonly key: string;
  readonly name: string;
  readonly kind: boolean;
  readonly cells: readonly SpotCount[];
  readonly chance: number;
  readonly asked: number;
  readonly missed: number;
}

/** What is told already accounts for nearly all of it. */
const MOSTLY = 0.8;
const explainedBy = (told: readonly Claim[], { cells, missed }: Claim): boolean => {
  const known = new Set(told.flatMap((t) => t.cells));
  return cells.length > 0 && sum(cells.filter((c) => known.has(c))).missed >= MOSTLY * missed;
};

/** Everything that is looked at, the least likely to be accident first. */
function claimsIn(table: Cells): Claim[] {
  const cells = readCells(table);
  const everything = sum(cells);
  const single = cells.map((c) => ({ key: c.key, name: '', kind: false, cells: [c] }));
  const kinds = KINDS.map(({ id, name, holds }) => ({ key: id, name, kind: true, cells: cells.filter(holds) }));
  const ofSounds = [...kinds, ...single].flatMap((of): Claim[] => {
    const { asked, missed } = sum(of.cells);
    if (asked < FEWEST_CHANCES) return [];
    // Held against what slips elsewhere, so that a child who slips everywhere is not given a pattern for each place.
    const elsewhere = everything.asked > asked ? (everything.missed - missed) / (everything.asked - asked) : 0;
    return [{ ...of, asked, missed, chance: atLeast(missed, asked, Math.max(ACCIDENT, elsewhere)) }];
  });
  const kept = KEPT.flatMap(({ id, name, key }): Claim[] => {
    const [asked = 0, held = 0] = table[key] ?? [];
    if (asked < FEWEST_CHANCES) return [];
    return [
      {
        key: id,
        name,
        kind: true,
        cells: [],
        asked,
        missed: asked - held,
        chance: atLeast(asked - held, asked, ACCIDENT),
      },
    ];
  });
  return [...ofSounds, ...kept].sort((a, b) => a.chance - b.chance);
}

/** Those that accident does not explain, all of them together. */
function foundIn(claims: readonly Claim[]): Claim[] {
  const found: Claim[] = [];
  for (const [i, claim] of claims.entries()) {
    if (claim.chance > SURE / (claims.length - i)) break;
    found.push(claim);
  }
  return found;
}

/**
 * A kind is named where two of its sounds or more have a part in it, or where it is about one sound alone; the most
 * surely seen first. A single sound only where no kind explains it.
 */
function toldOf(found: readonly Claim[]): Claim[] {
  const told: Claim[] = [];
  for (const claim of found.filter((f) => f.kind)) {
    const share = claim.cells.filter((c) => c.asked > c.held);
    const one = new Set(claim.cells.map((c) => c.ipa)).size <= 1;
    if ((one || new Set(share.map((c) => c.ipa)).size >= 2) && !explainedBy(told, claim)) told.push(claim);
  }
  for (const claim of found.filter((f) => !f.kind)) if (!explainedBy(told, claim)) told.push(claim);
  return told;
}

/** How often a pattern could have shown in a table, and how often it did. */
function chancesOf(id: string, table: Cells): { readonly asked: number; readonly missed: number } {
  const kept = KEPT.find((k) => k.id === id);
  if (kept) {
    const [asked = 0, held = 0] = table[kept.key] ?? [];
    return { asked, missed: asked - held };
  }
  return sum(readCells(table).filter((c) => isAbout(id, c.key)));
}

const newest = new WeakMap<readonly SessionCells[], readonly SessionCells[]>();
/** Sessions put in order once, the newest first. */
function newestFirst(sessions: readonly SessionCells[]): readonly SessionCells[] {
  const made = newest.get(sessions) ?? [...sessions].sort((a, b) => b.at - a.at);
  newest.set(sessions, made);
  return made;
}

/** True where the latest chances, eight or more, nearly all held. */
function holdsAgain(id: string, sessions: readonly SessionCells[]): boolean {
  let [asked, missed] = [0, 0];
  for (const { cells } of newestFirst(sessions)) {
    const chances = chancesOf(id, cells);
    asked += chances.asked;
    missed += chances.missed;
    if (asked >= FEWEST_CHANCES) break;
  }
  return asked >= FEWEST_CHANCES && asked - missed >= HOLDS_AGAIN * asked;
}

/** Days on which a pattern was missed, of late. */
function missedOn(id: string, sessions: readonly SessionCells[], now: number): number {
  const missed = sessions.filter((s) => now - s.at <= DAYS * millisecondsInDay && chancesOf(id, s.cells).missed > 0);
  return new Set(missed.map((s) => Math.floor(s.at / millisecondsInDay))).size;
}

/** What is read from a child's sounds. */
export interface PatternsRead {
  readonly patterns: readonly Pattern[];
  /** Keys of the places that a pattern, or a slip of their own, is about. */
  readonly slipping: ReadonlySet<string>;
}

/**
 * The patterns of a child, the most surely seen first; one that has come right on the latest words is let go.
 * @param sessions settled
 * @example patternsIn(settled.sessions, now).patterns[0]?.id // 'closing-first'
 */
export function patternsIn(sessions: readonly SessionCells[], now: number): PatternsRead {
  const found = foundIn(claimsIn(lately(sessions, now))).filter((claim) => !holdsAgain(claim.key, sessions));
  const told = toldOf(found);
  const alone = found.flatMap((f) => (f.kind ? [] : f.cells));
  const inPatterns = told.flatMap((t) => t.cells.filter((c) => (c.asked - c.held) * 2 >= c.asked && c.asked > c.held));
  return {
    slipping: new Set([...alone, ...inPatterns].map((c) => c.key)),
    patterns: told.map(({ key, name, cells, asked, missed }) => ({
      id: key,
      name,
      asked,
      missed,
      days: missedOn(key, sessions, now),
      sounds: [
        ...new Set(
          cells
            .filter((c) => c.asked > c.held)
            .sort((a, b) => (b.asked - b.held) / b.asked - (a.asked - a.held) / a.asked)
            .map((c) => c.ipa),
        ),
      ],
    })),
  };
}

/** Missed twice and in two of five chances: worth dealing words that hold it, before anything is said. */
export function suspectedIn(sessions: readonly SessionCells[], now: number): string[] {
  const table = lately(sessions, now);
  return [...KINDS.map((k) => k.id), ...KEPT.map((k) => k.id)].filter((id) => {
    const { asked, missed } = chancesOf(id, table);
    return missed >= 2 && missed * 5 >= asked * 2 && !holdsAgain(id, sessions);
  });
}
