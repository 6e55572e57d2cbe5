import { planRequestSchema, type PlanWish } from '../../core/formats/plan-file';
import { familyOf, stepOf, taskOf, TASKS } from '../../core/games';
import { rungNow } from '../../core/evidence/ladders';
import type { NextStep } from '../../core/choosing/next-step';
import { inGroup } from '../../core/choosing/advice';
import { boardOf, dueIn, type ChildProgress } from '../children/progress';
import { makeItem } from '../../core/games/item';
import { labelOf } from '../../core/games/item-label';
import { groupBy } from '../../core/group-by';
import { wholeMinutes, roundSeconds } from '../../core/sessions/running-order';
import type { Group } from '../people/groups';
import { wishFor } from './wish-for';
import { database } from '../storage/database';
import { planFrom, workshopOf, type Workshop } from './workshop';
import { Problem } from '../storage/problems';
import { sure } from '../../core/sure';
import { inWords, listed } from '../../core/in-words';

/** More than so many are counted, not named. */
const NAMED = 4;

/** For whom of those here a step is next. Example: `It’s next for Kofi and Saoirse.` */
function nextFor(names: readonly string[], here: number): string {
  if (names.length === here) return 'It’s next for everyone here.';
  const who = names.length > NAMED ? `${inWords(names.length)} of the ${inWords(here)} here` : listed([...names]);
  return `It’s next for ${who}.`;
}

/** A session to start with one tap. */
export interface ReadySession {
  readonly wish: PlanWish;
  readonly title: string;
  readonly minutes: number;
  readonly why: string;
  /** The words of its focus, as a plan shows them. */
  readonly words: readonly string[];
}

interface Proposal {
  readonly wish: Partial<PlanWish>;
  readonly why: string;
  /** What it is about, so that nothing is proposed twice. */
  readonly about: string;
}

/** What weighs more when a step is played by all: what is first for a child, or beside it. */
const WEIGHT = { first: 1, second: 0.5 } as const;

/** One step, and for how many of those here it is first, or one of the two. */
interface Wanted {
  readonly step: NextStep;
  readonly weight: number;
  /** Names of those it is first for. */
  readonly first: readonly string[];
}

const stepKey = (s: NextStep): string => `${s.ladder}/${s.rung} ${s.pattern ?? ''}`;

/** The steps that are next for those here, what would serve most of them first. */
function wantedBy(here: readonly ChildProgress[]): Wanted[] {
  const all = here.flatMap((child) => {
    const next = inGroup(child);
    return [
      ...(next ? [{ step: next, weight: WEIGHT.first, name: child.name }] : []),
      ...(child.other?.check === undefined && child.other
        ? [{ step: child.other, weight: WEIGHT.second, name: child.name }]
        : []),
    ];
  });
  return [...groupBy(all, (w) => stepKey(w.step)).values()]
    .map((advice) => ({
      step: sure(advice[0]).step,
      weight: advice.reduce((sum, w) => sum + w.weight, 0),
      first: advice.filter((w) => w.weight === WEIGHT.first).map((w) => w.name),
    }))
    .sort((a, b) => b.weight - a.weight || (stepKey(a.step) < stepKey(b.step) ? -1 : 1));
}

const lasting = (days: number): string => (days >= 14 ? `${Math.round(days / 7)} weeks` : `${Math.max(1, days)} days`);

/** What is next for most, what is due again, what else would carry, then beginnings. */
async function proposals(group: Group, now: number): Promise<Proposal[]> {
  const here = (await boardOf(group, now)).filter((c) => !c.away);
  const seen = here.some((c) => c.seen);
  const wanted = seen ? wantedBy(here) : [];
  const next = wanted.map(({ step, first }): Proposal => ({
    wish: wishFor(step, here),
    why: first.length ? nextFor(first, here.length) : 'It would help some of them as well.',
    about: `${step.ladder}/${step.rung}`,
  }));
  const due = dueIn(here, now).flatMap(({ ladder, rung, days }): Proposal[] => {
    const game = rungNow(ladder, rung)?.steps[0];
    return game
      ? [
          {
            wish: { task: game[0], step: game[1] },
            why: `It was secure, and nobody has played it for ${lasting(days)}: time to look again.`,
            about: `${ladder}/${rung}`,
          },
        ]
      : [];
  });
  const families = new Set(next.map((p) => p.about.split('/')[0]));
  const fresh = BEGINNINGS.filter(([task]) => !families.has(taskOf(task).family)).map(([task, step]): Proposal => ({
    wish: { task, step },
    why: seen
      ? `An easy first step in ${familyOf(taskOf(task).family).name.toLowerCase()}, if you’d like a change.`
      : 'A good place to start: everyday words and an easy first step.',
    about: `${taskOf(task).family}/`,
  }));
  const [first, ...others] = next;
  const ladderOfFirst = first?.about.split('/')[0];
  const another = others.filter((p) => p.about.split('/')[0] !== ladderOfFirst);
  const all = [...(first ? [first] : []), ...due.slice(0, 1), ...another, ...others, ...due.slice(1), ...fresh];
  return all.filter((p, i) => all.findIndex((other) => other.about === p.about) === i);
}

/** Where a group that is new to everything begins, family by family, larger units first. */
const BEGINNINGS: readonly (readonly [string, string])[] = [
  ['join', 'compounds'],
  ['rhyme-pairs', 'far'],
  ['hear-first', '2-far'],
  ['blend-pictures', '3-far'],
  ['count-words', '3'],
  ['segmenting', 'onset-rime'],
  ['swap', 'first'],
  ['leave-out', 'first'],
  ['hunt', '3-4'],
];

/** Ready sessions as they are remembered, with all that they were made of. */
interface KeptReady {
  readonly under: string;
  readonly bank: Workshop['bank'];
  readonly ready: readonly ReadySession[];
}

/** All that ready sessions are made of beside the bank, as text. */
function underOf(asked: readonly Proposal[], shop: Workshop): string {
  const { owned, recent, confirmed, children, lowOnly, paceOf } = shop;
  return JSON.stringify([
    asked,
    [...owned].sort(),
    recent,
    confirmed,
    children,
    lowOnly,
    TASKS.map((t) => paceOf(t.id)),
  ]);
}

/** Three ready sessions for the group, remembered. The same evening and the same words give the same three. */
export async function readySessions(group: Group, now = Date.now()): Promise<readonly ReadySession[]> {
  const [{ remembered }, shop, asked] = await Promise.all([database(), workshopOf(group), proposals(group, now)]);
  const under = underOf(asked, shop);
  const known = remembered.recall<KeptReady>(group.id, 'ready');
  if (known?.under === under && known.bank === shop.bank) return known.ready;
  const since = remembered.sinceOf(group.id);
  const ready = await madeReady(asked, shop);
  remembered.keep(group.id, 'ready', { under, bank: shop.bank, ready } satisfies KeptReady, since);
  return ready;
}

async function madeReady(asked: readonly Proposal[], shop: Workshop): Promise<ReadySession[]> {
  const out: ReadySession[] = [];
  for (const [i, { wish: part, why }] of asked.entries()) {
    if (out.length === 3) break;
    const wish = planRequestSchema.parse({ shape: 'focus', task: 'blending', minutes: 8, seed: 11 + i, ...part });
    try {
      const plan = await planFrom(wish, shop);
      const focus = plan.rounds.find((r) => r.role === 'focus') ?? sure(plan.rounds[0]);
      const task = taskOf(focus.task);
      out.push({
        wish,
        title: plan.title,
        why,
        minutes: wholeMinutes(
          plan.rounds.reduce((sum, r) => sum + roundSeconds(r, shop.children, shop.paceOf(r.task)), 0),
        ),
        words: focus.items.map(({ key }) => makeItem(task, stepOf(task, focus.step), key, shop.bank)).map(labelOf),
      });
    } catch (error) {
      // A sound the bank cannot serve through a game is no proposal.
      if (!(error instanceof Problem)) throw error;
    }
  }
  return out;
}
