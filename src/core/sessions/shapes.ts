import type { Word } from '../lexicon/entry';
import type { SoundPair } from '../phonology/articulation';
import { slashed } from '../games/saying';
import { generateInParts, headsOf, type GameRequest } from '../games/generate';
import { familyOf, offeredStep, stepOf, taskOf } from '../games';
import { hearAndSay, holding, patternName, twinsOf } from '../games/pebbles';
import { spotOf } from '../answers/spots';
import { MIXED } from '../games/step';
import type { Material } from '../games/material';
import { readKey } from '../games/spec';
import { sure } from '../sure';
import { toEnd } from '../to-end';
import { keepTime, type Kept } from './keep-time';
import {
  MODEL_SECONDS,
  TOGETHER_ITEMS,
  turnsOf,
  type Plan,
  type PlannedRound,
  type RoundRole,
  type Way,
} from './running-order';
import { setSizeFor } from './turns';
import { capital } from '../in-words';

const oneSoundManyGames = (sound: string | undefined) =>
  sound ? `${sound} in lots of games` : 'One sound in lots of games';

/** Shapes to start a running order from. */
export const SHAPES = ['focus', 'one-sound', 'blend-segment', 'quick-five', 'check-in', 'pattern'] as const;
type Shape = (typeof SHAPES)[number];

/** What a check-in is, in one line. Common practice, no source. */
const CHECK_REMINDER =
  'Ask each child the same things, one child at a time. Don’t help or praise; just say “thank you”. If three in ' +
  'a row are too hard, stop there.';

export interface PlanRequest {
  readonly shape: Shape;
  readonly task: string;
  readonly step: string;
  /** Number of sounds, for the shapes that need one. */
  readonly count: number;
  readonly sound?: string | undefined;
  /** What slips, or is thought to: the id of a pattern, and the sounds it is about. */
  readonly pattern?: string | undefined;
  readonly slipping?: readonly string[] | undefined;
  readonly minutes: number;
  readonly children: number;
  readonly seed: number;
  readonly avoid?: readonly string[];
  readonly pairs?: readonly SoundPair[];
  readonly lowOnly?: boolean;
  readonly contested?: boolean;
  readonly owned?: ReadonlySet<string>;
  readonly paceOf: (task: string) => number;
}

const CLOSE_SIZE = 4;
const MOST_ITEMS = 12;
/** What a check-in asks, larger units first, and items of each for each child. */
const CHECKED = [
  ['rhyme-match', '3-far'],
  ['first-sound', 'hold'],
  ['blending', '3-held'],
  ['segmenting', '3-held'],
] as const;
const CHECK_SIZE = 3;
export const SPARES = 5;

interface RoundWish {
  readonly role: RoundRole;
  readonly task: string;
  readonly step: string;
  readonly size: number;
  readonly way?: Way;
  readonly words?: readonly string[];
  readonly sound?: string | undefined;
  readonly start?: string | undefined;
}

/** A round of a shape, which may be played with the words of the shape’s own focus. */
interface ShapeWish extends RoundWish {
  /** `some` of the words of the first focus round, or `all` of them, however many that round has. */
  readonly sameWords?: 'some' | 'all';
  /** What the plan is for: it stays, however little time there is. */
  readonly heart?: true;
}

/** A round with its items made; null where nothing could be made. */
export const makeRound = (
  material: Material,
  wish: RoundWish,
  request: Omit<GameRequest, 'size' | 'words' | 'sound'>,
  id: string,
): PlannedRound | null => toEnd(makeRoundInParts(material, wish, request, id));

/** The same, with pauses, for whoever has others to serve meanwhile. */
export function* makeRoundInParts(
  material: Material,
  wish: RoundWish,
  request: Omit<GameRequest, 'size' | 'words' | 'sound'>,
  id: string,
): Generator<undefined, PlannedRound | null> {
  const task = taskOf(wish.task);
  const step = stepOf(task, wish.step);
  const made = yield* generateInParts(task, step, material, {
    ...request,
    size: wish.size,
    sound: wish.sound,
    words: wish.words,
    start: wish.start,
    spares: SPARES,
  });
  if (!made.items.length) return null;
  return {
    id,
    role: wish.role,
    task: task.id,
    step: step.id,
    items: made.items.map(({ key }) => ({ key, locked: false })),
    model: made.model?.key ?? null,
    spares: made.spares.map((s) => s.key),
    way: wish.way ?? (task.together ? 'together' : 'individual'),
    gap: 1,
    gesture: 'task',
    frame: { on: wish.way !== 'check', opening: null, ask: null },
    reminder: wish.way === 'check' ? CHECK_REMINDER : familyOf(task.family).reminder,
    names: false,
    seed: request.seed,
  };
}

/** The words of rounds already made, so that a later one does not say them again unless it should. */
const wordsIn = (rounds: readonly PlannedRound[]): string[] =>
  rounds.flatMap((r) => r.items.flatMap((i) => readKey(i.key).words));

/**
 * One sound through many tasks, each at the first step that has enough words with the sound; a task that has none is
 * left out. One round after the other, because finding the words of a step takes a while.
 */
function* oneSound(request: PlanRequest, material: Material): Generator<ShapeWish> {
  const { sound, count, children, paceOf } = request;
  const size = Math.max(3, Math.min(setSizeFor(children), 8));
  const long = Math.max(size, sizeInTime(request, paceOf('blending'), 0.3));
  const short = Math.min(size, 4);
  const first = (task: string): string | undefined =>
    taskOf(task).steps.find(({ id }) => enough(task, id, sound, material))?.id;
  const pairs = first('rhyme-pairs');
  if (pairs) yield { role: 'warm-up', task: 'rhyme-pairs', step: pairs, size: short, way: 'together', sound };
  if (canSort(sound, material)) yield { role: 'focus', task: 'sort', step: 'far', size: short, sound };
  else {
    const where = first('where');
    const [task, step] = where ? ['where', where] : ['anywhere', 'far'];
    yield { role: 'focus', task, step, size: short, sound };
  }
  yield { role: 'focus', task: 'blending', step: String(count), size: long, sound, heart: true };
  yield { role: 'focus', task: 'segmenting', step: String(count), size, sound };
  const swap = first('swap');
  if (swap) yield { role: 'stretch', task: 'swap', step: swap, size: short, way: 'together', sound };
}

/** Turns for each child that keep a game fresh. Common practice, no source. */
const MOST_TURNS = 3;

/**
 * Items that fill a share of the time there is with whole turns of the children.
 * @example sizeInTime({ minutes: 12, children: 6 }, 15, 0.6) // 12: two turns each
 */
function sizeInTime(
  { minutes, children }: Pick<PlanRequest, 'minutes' | 'children'>,
  pace: number,
  share: number,
): number {
  if (children < 1) return 0;
  const turns = Math.floor((minutes * 60 * share - MODEL_SECONDS) / (children * pace));
  const each = Math.min(MOST_TURNS, turns, Math.floor(MOST_ITEMS / children));
  return Math.max(0, each) * children;
}

/** Words of a pattern for each child here; fresh ones where there are any. */
const TWINS_EACH = 8;

/** Where in the word a pattern is, as the step of the game that points: by its kind, or by the place of one sound. */
function pointingStep(pattern: string): string {
  const { side, after } = spotOf(pattern);
  const row = POINTING.find((p) => p.kinds.includes(pattern) || (p.side === side && p.after === after));
  return row?.step ?? 'last';
}
const POINTING = [
  { step: 'start', kinds: ['opening-second', 'opening-r', 'opening-l'], side: 'opening', after: true },
  { step: 's-start', kinds: ['opening-s'], side: 'opening', after: false },
  { step: 'end-first', kinds: ['closing-first'], side: 'closing', after: false },
  { step: 'end-last', kinds: ['closing-last'], side: 'closing', after: true },
];

/**
 * What slips, played: words that hold it beside their twins without it; pointing before saying, joining before taking
 * apart. What is kept together is stretched first. Common practice, no source.
 */
function patternWishes(request: PlanRequest, material: Material): ShapeWish[] {
  const { pattern = '', slipping = [], avoid = [], children } = request;
  const size = Math.max(6, setSizeFor(children));
  const focus = { role: 'focus' as const, size, heart: true as const };
  if (pattern.startsWith('keeps-')) {
    const step = pattern === 'keeps-rime' ? '3-held' : '4-start';
    return [
      { ...focus, role: 'warm-up', task: 'blending', step: pattern === 'keeps-rime' ? 'stretched' : step },
      { ...focus, task: 'ask-sound', step: pattern === 'keeps-rime' ? '3' : '4' },
      { ...focus, task: 'segmenting', step },
    ];
  }
  const late = new Set(avoid);
  const twins = twinsOf(pattern, slipping, material);
  const fresh = twins.filter(({ word }) => !late.has(word.word));
  const dealt = (fresh.length >= TWINS_EACH ? fresh : twins).slice(0, TWINS_EACH * 2);
  const words = dealt.map(({ word }) => word.word);
  const both = dealt
    .slice(0, TWINS_EACH)
    .flatMap(({ word, twin }, i) => (i % 3 === 2 ? [word.word, twin.word] : [word.word]));
  return [
    { ...focus, task: 'twins', step: pointingStep(pattern), words },
    { ...focus, task: 'blending', step: MIXED.id, words: both },
    { ...focus, task: 'segmenting', step: MIXED.id, words: both },
  ];
}

/** Words of the step that hold what is suspected, where there are enough of them; else any. */
function holdingWords({ task: id, step, pattern }: PlanRequest, size: number, material: Material) {
  const task = taskOf(id);
  if (!pattern || !task.wholeWord || pattern.startsWith('keeps-')) return {};
  const held = new Set(holding(pattern, material));
  const words = headsOf(task, stepOf(task, step), material).filter((w) => held.has(w));
  return words.length >= size * 2 ? { words: words.map((w) => w.word) } : {};
}

/** Each shape as rounds to make, in order; a function of what was asked, so that a shape is a row. */
const WISHES: Readonly<Record<Shape, (request: PlanRequest, material: Material) => Iterable<ShapeWish>>> = {
  focus: (request, material) => {
    const { task, step, sound, children, paceOf } = request;
    const { steps, together, inOrder } = taskOf(task);
    const harder = steps[steps.indexOf(offeredStep(taskOf(task), step)) + 1];
    const each = setSizeFor(children);
    const inARow = inOrder ? Math.min(Math.max(each, 3), 9) : Math.max(each, sizeInTime(request, paceOf(task), 0.6));
    const size = together ? 3 : inARow;
    return [
      { role: 'warm-up', task: 'echo-words', step: '1', size: TOGETHER_ITEMS, sound },
      { role: 'focus', task, step, size, sound, heart: true, ...holdingWords(request, size, material) },
      ...(harder
        ? [{ role: 'stretch' as const, task, step: harder.id, size: together ? 1 : 2, way: 'together' as const, sound }]
        : []),
      { role: 'close', task: 'recall', step: '4', size: CLOSE_SIZE, way: 'together' },
    ];
  },
  'one-sound': oneSound,
  'blend-segment': (request) => {
    const { count, sound, children, paceOf } = request;
    const pace = paceOf('blending') + paceOf('segmenting');
    const size = Math.max(setSizeFor(children), sizeInTime(request, pace, 0.8));
    return [
      { role: 'warm-up', task: 'echo-sounds', step: '1', size: TOGETHER_ITEMS },
      { role: 'focus', task: 'blending', step: String(count), size, sound, heart: true },
      { role: 'focus', task: 'segmenting', step: String(count), size, sound, sameWords: 'all', heart: true },
      { role: 'close', task: 'recall', step: '4', size: CLOSE_SIZE, way: 'together', sameWords: 'some' },
    ];
  },
  'quick-five': ({ task, step, sound }) => [
    { role: 'focus', task, step, size: taskOf(task).together ? 3 : 5, way: 'together', sound, heart: true },
  ],
  pattern: patternWishes,
  'check-in': () => CHECKED.map(([task, step]) => ({ role: 'focus', task, step, size: CHECK_SIZE, way: 'check' })),
};

const holds = (word: Word, sound: string | undefined): boolean =>
  sound === undefined || word.sounds.some((s) => s.ipa === sound);
/** Enough words of a step hold the sound to make a round of them. */
const enough = (task: string, step: string, sound: string | undefined, material: Material): boolean =>
  headsOf(taskOf(task), stepOf(taskOf(task), step), material).filter((w) => holds(w, sound)).length >= 4;
const canSort = (sound: string | undefined, material: Material): boolean =>
  sound === undefined ||
  headsOf(taskOf('sort'), stepOf(taskOf('sort'), 'far'), material).filter((w) => sure(w.sounds[0]).ipa === sound)
    .length >= 3;

/**
 * A complete running order at once: rounds with items, spares and models, cut to the minutes there are.
 * @example makePlan(material, { shape: 'focus', task: 'first-sound', step: 'hold', count: 3, minutes: 8, children: 6,
 * seed: 1, paceOf }).rounds.length // 4
 */
export const makePlan = (material: Material, request: PlanRequest): Plan => toEnd(planInParts(material, request));

/** As `makePlan`, with pauses, for whoever has others to serve meanwhile. */
export function* planInParts(material: Material, request: PlanRequest): Generator<undefined, Plan> {
  const rounds: PlannedRound[] = [];
  const heart = new Set<string>();
  let number = 0;
  for (const wish of WISHES[request.shape](request, material)) {
    yield;
    number += 1;
    const focus = wish.sameWords && rounds.find((r) => r.role === 'focus');
    const set = focus ? focus.items.flatMap((item) => readKey(item.key).words) : wish.words;
    const avoid = [...(request.avoid ?? []), ...(set ? [] : wordsIn(rounds))];
    const { role, task, step, size, way, sound, start } = wish;
    const round = yield* makeRoundInParts(
      material,
      {
        role,
        task,
        step,
        size: set && wish.sameWords === 'all' ? set.length : size,
        sound,
        start,
        ...(way ? { way } : {}),
        ...(set ? { words: set } : {}),
      },
      {
        seed: request.seed * 16 + number - 1,
        avoid,
        pairs: request.pairs,
        lowOnly: request.lowOnly,
        contested: request.contested,
        owned: request.owned,
      },
      `r${number}`,
    );
    if (!round) continue;
    rounds.push(set ? round : asManyAsTurns(round, request.children));
    if (wish.heart) heart.add(round.id);
  }
  return planned(request, material, keepTime(rounds, heart, request));
}

/**
 * A round with as many items as it has turns, where one child answers after the other: what is listed is what is
 * played. What is over stands by, and what is missing is taken from what stands by; the hardest stays at the end.
 */
function asManyAsTurns(round: PlannedRound, children: number): PlannedRound {
  const { task, way, items, spares } = round;
  if (taskOf(task).inOrder || (way !== 'individual' && way !== 'pairs')) return round;
  const turns = turnsOf(round, children);
  const [first, last] = [items.slice(0, -1), items.slice(-1)];
  const left = first.slice(0, Math.max(0, turns - 1));
  const more = spares.slice(0, Math.max(0, turns - items.length));
  return {
    ...round,
    items: [...left, ...more.map((key) => ({ key, locked: false })), ...last],
    spares: [...first.slice(left.length).map((item) => item.key), ...spares.slice(more.length)],
  };
}

/** A plan of these rounds. */
const planned = (request: PlanRequest, material: Material, { rounds, dropped }: Kept): Plan => ({
  title: titleOf(request, material),
  minutes: request.minutes,
  letters: false,
  sound: request.sound ?? null,
  pairs: request.pairs ?? [],
  rounds,
  ...(dropped.length ? { dropped } : {}),
});

const TITLE_LIMIT = 44;

/**
 * What a plan of one main game is called, by what it plays; null for one that has its name from its shape.
 * @example nameOf(plan, material) // 'Blending, each their own step'
 */
export function nameOf({ rounds, sound }: Plan, material: Material): string | null {
  const [round, ...others] = rounds.filter((r) => r.role === 'focus');
  if (!round || others.length) return null;
  const { task, step, own } = round;
  if (own?.on) return `${taskOf(task).name.replace(/\?$/, '')}, each their own step`;
  return titleOf({ shape: 'focus', task, step, count: 3, sound: sound ?? undefined }, material);
}

/** What a plan is called until somebody calls it otherwise. */
export function titleOf(
  {
    shape,
    task,
    step,
    count,
    sound,
    pattern,
  }: Pick<PlanRequest, 'shape' | 'task' | 'step' | 'count' | 'sound' | 'pattern'>,
  material: Material,
): string {
  const { accent } = material;
  const withSound = sound === undefined ? '' : ` with ${slashed(sound, accent)}`;
  if (shape === 'one-sound') return oneSoundManyGames(sound && slashed(sound, accent));
  if (shape === 'blend-segment') return `Blend and segment ${count} sounds${withSound}`;
  if (shape === 'check-in') return 'Check-in';
  if (shape === 'pattern') return capital(hearAndSay(patternName(pattern ?? '', material)));
  const played = taskOf(task);
  const name = played.name.replace(/\?$/, '');
  // What comes after a colon explains the step; the name of it is enough.
  const kind = sure(stepOf(played, step).name.split(':')[0]);
  const title = `${name}, ${kind}${withSound}`;
  if (title.length <= TITLE_LIMIT) return title;
  const short = `${name}${withSound}`;
  return short.length <= TITLE_LIMIT ? short : `${short.slice(0, TITLE_LIMIT - 1)}…`;
}
