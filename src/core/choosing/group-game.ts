import { TASKS } from '../games';
import { canOwn } from '../sessions/own-step';
import type { AgeBand } from '../evidence/age-band';
import { carries, LADDERS, type Ladder } from '../evidence/ladders';
import { inGroup, type ChildAdvice } from './advice';
import { isBarred, plainStep, type NextStep } from './next-step';

/** Where a child stands on one ladder, as far as playing in a group goes. */
export interface Standing {
  /** The rung they are working on, as a place on the ladder; the place after the last where all of it holds. */
  readonly at: number;
  /** The rung before it may be played with them too. */
  readonly easier: boolean;
  /** Something of the ladder was played. */
  readonly begun: boolean;
}

/** What a child can be asked to play, in a group. */
export interface CanPlay {
  readonly id: string;
  /** By ladder; a ladder that is not for the child now is not there. */
  readonly on: ReadonlyMap<string, Standing>;
  readonly next: NextStep | null;
  readonly other: NextStep | null;
}

/** What a group plays: one step for all, or one game with each child’s own step. */
export interface GroupGame {
  readonly step: NextStep;
  readonly own: boolean;
  /** Its name, as every screen says it. Example: `blend words like frog`, `blending, each their own step`. */
  readonly does: string;
}

/** What can be asked of a child in a group, from what is advised. */
export function canPlay(id: string, advice: ChildAdvice, band: AgeBand | null): CanPlay {
  const { skills, other, points, talk } = advice;
  const on = new Map<string, Standing>();
  for (const { ladder, rungs, workingOn, begun, holds } of skills) {
    const { length } = ladder.rungs;
    const at = workingOn ? ladder.rungs.findIndex((r) => r.id === workingOn.rung) : length;
    if (!workingOn && holds?.at !== length - 1) continue;
    const before = rungs[at - 1];
    const easier =
      before !== undefined &&
      (at === length || carries(ladder, at, at - 1)) &&
      !isBarred({ clustersPause: talk, points, band }, rungs, before);
    on.set(ladder.id, { at, easier, begun });
  }
  return { id, on, next: inGroup(advice), other };
}

/** What each kind of answer to “why this?” weighs: the child’s next, their other choice, a skill begun, a new one. */
const WEIGHS = { next: 0, other: 1.5, begun: 3, unbegun: 5, easier: 1, plain: 1, own: 2 } as const;
/** What cannot be asked of a child. */
export const CANNOT = 200;

const isSame = (a: NextStep | null, b: NextStep): boolean =>
  a?.ladder === b.ladder && a.rung === b.rung && a.pattern === b.pattern;

const weighSkill = ({ next, other }: CanPlay, ladder: string, { begun }: Standing): number => {
  if (next?.ladder === ladder) return WEIGHS.next;
  if (other?.ladder === ladder) return WEIGHS.other;
  return begun ? WEIGHS.begun : WEIGHS.unbegun;
};

const places = new Map(LADDERS.flatMap((l) => l.rungs.map((r, at) => [`${l.id} ${r.id}`, at])));
/** The place of a game’s step on its ladder. */
export const placeOf = ({ step }: GroupGame): number => places.get(`${step.ladder} ${step.rung}`) ?? -1;

/**
 * What a game weighs for a child: 0 for their own next step, more the further it is from that; CANNOT where it is above
 * what they can do, or more than one step from it.
 */
export function weigh(child: CanPlay, game: GroupGame, at = placeOf(game)): number {
  const { step, own } = game;
  const here = child.on.get(step.ladder);
  if (!here) return CANNOT;
  const skill = weighSkill(child, step.ladder, here);
  if (own) return here.begun ? skill + WEIGHS.own : CANNOT;
  if (isSame(child.next, step)) return WEIGHS.next;
  if (here.at === at) return skill + WEIGHS.plain * Number(child.next?.ladder === step.ladder);
  return here.at === at + 1 && here.easier ? skill + WEIGHS.easier : CANNOT;
}

/** True for a ladder with a game in which each child can have their own step. */
const givesOwn = ({ id }: Ladder): boolean => TASKS.some((t) => t.family === id && canOwn(t));

function ownGame(ladder: Ladder): GroupGame {
  const [task] = TASKS.filter((t) => t.family === ladder.id && canOwn(t));
  const rung = ladder.rungs.find((r) => r.steps.some(([id]) => id === task?.id)) ?? ladder.rungs[0];
  if (!rung) throw new Error(`“${ladder.name}” has no steps.`);
  const step = plainStep(ladder.id, rung, 'stay', '');
  return {
    step: { ...step, game: rung.steps.find(([id]) => id === task?.id) ?? step.game },
    own: true,
    does: `${ladder.name.toLowerCase()}, each their own step`,
  };
}

/** Each step of a ladder for all, and each ladder step by step. */
const GAMES: readonly GroupGame[] = [
  ...LADDERS.flatMap((ladder) =>
    ladder.rungs.map((rung) => ({ step: plainStep(ladder.id, rung, 'stay', ''), own: false, does: rung.does })),
  ),
  ...LADDERS.filter(givesOwn).map(ownGame),
];

/** Every game that some children could play: with the patterns that are next for one of them. */
export function gamesFor(children: readonly CanPlay[]): GroupGame[] {
  const patterns = new Map(
    children.flatMap(({ next }) => (next?.pattern ? [[`${next.ladder} ${next.rung} ${next.pattern}`, next]] : [])),
  );
  const ofThem = [...patterns]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([, step]) => ({ step, own: false, does: step.does }));
  return [...GAMES, ...ofThem];
}

/** The game that suits some children best, and who cannot play it. */
export interface Suited {
  readonly game: GroupGame;
  readonly cannot: readonly string[];
}

/** The one game for some children; the same for the same children, in whatever order they come. */
export function gameFor(children: readonly CanPlay[]): Suited | null {
  let best: { readonly game: GroupGame; readonly sum: number } | null = null;
  for (const game of gamesFor(children)) {
    const at = placeOf(game);
    const sum = children.reduce((total, c) => total + weigh(c, game, at), 0);
    if (!best || sum < best.sum - 1e-9) best = { game, sum };
  }
  if (!best || best.sum >= CANNOT * children.length) return null;
  const { game } = best;
  return { game, cannot: children.filter((c) => weigh(c, game) >= CANNOT).map((c) => c.id) };
}

/** For whom a game is exactly what is next, who could do a harder step of it, and who comes from another skill. */
export interface GameReason {
  readonly next: readonly string[];
  readonly harder: readonly string[];
  readonly beside: readonly string[];
}

export function reasonFor(children: readonly CanPlay[], game: GroupGame): GameReason {
  const at = placeOf(game);
  const isNext = (c: CanPlay): boolean =>
    game.own ? c.next?.ladder === game.step.ladder && !c.next.pattern : isSame(c.next, game.step);
  const isHarder = (c: CanPlay): boolean => !game.own && c.on.get(game.step.ladder)?.at === at + 1;
  const ids = (of: readonly CanPlay[]): string[] => of.map((c) => c.id);
  return {
    next: ids(children.filter(isNext)),
    harder: ids(children.filter((c) => !isNext(c) && isHarder(c))),
    beside: ids(children.filter((c) => !isNext(c) && !isHarder(c))),
  };
}
