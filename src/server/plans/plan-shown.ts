import { familyOf, stepOf, taskOf } from '../../core/games';
import { GESTURES, gestureLine, MIRROR } from '../../core/games/gestures';
import { capital, inWords } from '../../core/in-words';
import { fill } from '../../core/games/fill';
import { labelOf } from '../../core/games/item-label';
import type { Item } from '../../core/games/item';
import { tryItem } from '../../core/games/try-item';
import type { Line, Mark } from '../../core/games/view';
import { readKey } from '../../core/games/spec';
import { JUDGED_WORDS, luckOf } from '../../core/answers/judge';
import type { Caution } from '../../core/lexicon/cautions';
import { WITHHELD_WORDS } from '../../core/lexicon/country';
import {
  fitOf,
  roundSeconds,
  turnsOf,
  WAY_WORDS,
  wholeMinutes,
  type Fit,
  type Plan,
  type PlannedRound,
} from '../../core/sessions/running-order';
import type { Group } from '../people/groups';
import { adviceHere, mayOwn, offersOwn, ownDeals } from './own-steps';
import type { OwnDeal } from '../../core/sessions/own-step';
import type { Workshop } from './workshop';
import { spokenLines } from '../sessions/play-session';
import { turnOrder, turnsLately } from '../sessions/turn-order';
import { sure } from '../../core/sure';

const takesFirstTurn = (name: string, fewest: boolean) => `, ${name} first${fewest ? ' (fewest turns lately)' : ''}`;

/** An item as the plan shows it. */
export interface ShownItem {
  readonly key: string;
  readonly label: string;
  readonly say: string;
  readonly expected: string;
  /** What is said of the word in parts, where it is; null elsewhere. */
  readonly parts: string | null;
  /** The sentences of a story that is read. */
  readonly story: readonly string[];
  readonly script: readonly Line[];
  readonly marks: readonly Mark[];
  readonly count: number;
  readonly reasons: readonly string[];
  readonly contested: string | null;
  readonly picture: string | null;
  /** What there is to know of a word in it that no game offers here; null where there is nothing. */
  readonly note: string | null;
  /** Why it cannot be played in this accent any more. */
  readonly problem: string | null;
}

export interface ShownRound {
  readonly id: string;
  readonly family: string;
  readonly name: string;
  readonly step: string;
  readonly asks: string;
  readonly opening: string;
  readonly ask: string;
  /** The first item's line as it will be said. */
  readonly sample: string;
  readonly model: string | null;
  readonly gesture: string;
  readonly judged: string;
  readonly seconds: number;
  readonly minutes: number;
  readonly turns: number;
  /** Whose turn it is, in words. */
  readonly whose: string;
  readonly inOrder: boolean;
  /** Each item is the one before and more: the last has it all. */
  readonly grows: boolean;
  readonly alwaysTogether: boolean;
  readonly items: readonly ShownItem[];
  /** Each child can have their own step here. */
  readonly mayOwn: boolean;
  /** The children’s own steps are far apart here, and all play the same. */
  readonly offersOwn: boolean;
  /** Who gets what, of those who are here; empty where it is the same for all. */
  readonly own: readonly ShownOwn[];
}

/** What one child is dealt. */
export interface ShownOwn {
  readonly childId: string;
  readonly name: string;
  readonly step: string;
  readonly stepName: string;
  /** The step is an adult’s choice for this round. */
  readonly byHand: boolean;
  /** Why it is theirs. */
  readonly why: string;
  readonly items: readonly ShownItem[];
}

/** A thing to bring, and the game it is for. */
interface ToBring {
  readonly word: string;
  readonly game: string;
  readonly owned: boolean;
  readonly cautions: readonly Caution[];
}

export interface ShownPlan {
  readonly rounds: readonly ShownRound[];
  readonly fit: Fit;
  /** Things to bring, with what to watch for. */
  readonly bring: readonly ToBring[];
  /** Seconds a turn of each task in the plan takes in this group. */
  readonly paces: Readonly<Record<string, number>>;
  readonly children: number;
  readonly turnLine: string;
  readonly away: readonly string[];
  readonly mirror: string;
}

const storyOf = ({ view }: Item): string[] =>
  view.kind === 'story' && view.title ? view.sentences.map((s) => s.map((w) => w.text).join(' ')) : [];

interface MadeRound {
  readonly shown: ShownItem;
  /** Null where it cannot be made (any more). */
  readonly item: Item | null;
}

function shownItem(key: string, round: Pick<PlannedRound, 'task' | 'step'>, ask: string, shop: Workshop): MadeRound {
  const { item, why } = tryItem(round, key, shop.bank);
  if (!item)
    return { item, shown: { ...NOTHING_SHOWN, key, label: readKey(key).words.join(' · ') || key, problem: why } };
  const { expected, script, marks, count, reasons, contested, slots } = item;
  return {
    item,
    shown: {
      key,
      label: labelOf(item),
      say: fill(ask, item.slots),
      expected,
      parts: expected === item.word ? (slots['sounds'] ?? null) : null,
      story: storyOf(item),
      script,
      marks,
      count,
      reasons,
      contested,
      picture: item.words[0]?.picture ?? null,
      note: withheldIn(key, shop),
      problem: null,
    },
  };
}

/** Which word of an item no game offers here, and why. */
function withheldIn(key: string, { bank }: Workshop): string | null {
  const word = readKey(key).words.find((w) => bank.whyWithheld(w));
  const why = word === undefined ? undefined : bank.whyWithheld(word);
  return why ? `“${word}” is ${WITHHELD_WORDS[why]}` : null;
}

/** What is shown of an item that cannot be made. */
const NOTHING_SHOWN = {
  say: '',
  expected: '',
  parts: null,
  story: [],
  script: [],
  marks: [],
  count: 0,
  reasons: [],
  contested: null,
  picture: null,
  note: null,
} as const;

/** How a round is judged, and what luck alone would do; empty where nothing is judged. */
function judgedInWords(item: Item | null | undefined): string {
  if (!item) return '';
  const luck = luckOf(item.judged);
  return `${JUDGED_WORDS[item.judged.by]}${luck ? `; by guessing, one in ${Math.round(1 / luck)}` : ''}`;
}

/** Who gets what in a round, of those who are here, with what is made of it. */
function ownIn(round: PlannedRound, dealt: readonly OwnDeal[], group: Group, shop: Workshop) {
  const { ask } = spokenLines(round);
  const task = taskOf(round.task);
  const here = group.children.filter((c) => !c.away);
  return here.map(({ id, name }) => {
    const deal = dealt.find((d) => d.childId === id);
    // Who has no words of their own has those that everyone shares.
    const step = deal?.step ?? round.step;
    const made = (deal?.items ?? []).map((key) => shownItem(key, { task: task.id, step }, ask, shop));
    const byHand = round.own?.steps[id] !== undefined;
    const shown = {
      childId: id,
      name,
      step,
      stepName: stepOf(task, step).name,
      byHand,
      why: deal ? (deal.why ?? '') : 'We ran out of words at this step, so they get the words everyone shares.',
      items: made.map((m) => m.shown),
    };
    return { shown, made };
  });
}

interface Filled {
  readonly items: readonly MadeRound[];
  readonly own: readonly ShownOwn[];
}

function shownRound(round: PlannedRound, { items, own }: Filled, shop: Workshop): Omit<ShownRound, 'offersOwn'> {
  const { children, paceOf } = shop;
  const task = taskOf(round.task);
  const { opening, ask } = spokenLines(round);
  const model = round.model ? shownItem(round.model, round, ask, shop) : null;
  const gesture = GESTURES.find((g) => g.id === round.gesture) ?? sure(GESTURES[0]);
  const seconds = roundSeconds(round, children, paceOf(round.task));
  const first = items.find((i) => i.item);
  const most = Math.max(0, ...items.map((i) => i.shown.marks.length));
  return {
    id: round.id,
    family: familyOf(task.family).name,
    name: task.name,
    step: stepOf(task, round.step).name,
    asks: task.asks,
    opening,
    ask,
    sample: own[0]?.items[0]?.say ?? first?.shown.say ?? '',
    model: model?.item ? model.shown.label : null,
    gesture: gestureLine(gesture, task.gesture, most),
    judged: judgedInWords(first?.item),
    seconds,
    minutes: wholeMinutes(seconds),
    turns: turnsOf(round, children),
    whose: capital(`${WAY_WORDS[round.way]}.`),
    inOrder: task.inOrder === true,
    grows: task.grows === true,
    alwaysTogether: task.together === true,
    items: items.map((i) => i.shown),
    mayOwn: mayOwn(round) && children > 1,
    own,
  };
}

/** How many turns each child has, and whose is first. */
async function turnLineOf(plan: Plan, rounds: readonly ShownRound[], group: Group): Promise<string> {
  const here = group.children.filter((c) => !c.away);
  if (!here.length) return 'No names yet, so everyone plays together.';
  const turns = rounds.filter((_, i) => sure(plan.rounds[i]).way === 'individual').reduce((sum, r) => sum + r.turns, 0);
  if (!turns) return 'Everyone plays together.';
  const ids = here.map((c) => c.id);
  const [order, lately] = await Promise.all([turnOrder(group.id, ids), turnsLately(group.id)]);
  const first = here.find((c) => c.id === order[0]);
  const fewest = new Set(order.map((id) => lately.get(id) ?? 0)).size > 1;
  const who = first ? takesFirstTurn(first.name, fewest) : '';
  return `${numberWord(turns / here.length)} each${who}.`;
}

/** A plan with every line as it will be said, its minutes, what to bring and whose turn is first. */
export async function showPlan(plan: Plan, group: Group, shop: Workshop): Promise<ShownPlan> {
  const { children, paceOf, owned } = shop;
  const things = new Map<string, ToBring>();
  const [deals, known] = await Promise.all([ownDeals(plan, group, shop), adviceHere(shop)]);
  const rounds = plan.rounds.map((round) => {
    const { ask } = spokenLines(round);
    const items = round.items.map(({ key }) => shownItem(key, round, ask, shop));
    const dealt = deals.get(round.id);
    const own = dealt ? ownIn(round, dealt, group, shop) : [];
    const played = own.length ? own.flatMap((o) => o.made) : items;
    for (const w of played.flatMap(({ item }) => item?.words ?? [])) {
      const isNew = !things.has(w.word) && (w.prop || owned.has(w.word));
      const game = taskOf(round.task).name;
      if (isNew) things.set(w.word, { word: w.word, game, owned: owned.has(w.word), cautions: w.cautions });
    }
    const shown = shownRound(round, { items, own: own.map((o) => o.shown) }, shop);
    return { ...shown, offersOwn: offersOwn(round, known) };
  });
  const turnLine = await turnLineOf(plan, rounds, group);
  return {
    rounds: rounds.map((r, i) => (sure(plan.rounds[i]).way === 'individual' ? { ...r, whose: turnLine } : r)),
    fit: fitOf(plan, children, paceOf),
    children,
    bring: [...things.values()],
    paces: Object.fromEntries(plan.rounds.map((r) => [r.task, paceOf(r.task)])),
    turnLine,
    away: group.children.filter((c) => c.away).map((c) => c.name),
    mirror: MIRROR,
  };
}

/** A number as a sentence begins with it. */
const numberWord = (n: number): string => (Number.isInteger(n) ? capital(inWords(n)) : `About ${Math.round(n)}`);
