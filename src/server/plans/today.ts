import { planRequestSchema, type PlanWish } from '../../core/formats/plan-file';
import { familyOf, offeredStep, stepOf, taskOf, TASKS } from '../../core/games';
import { type Item, makeItem } from '../../core/games/item';
import { groupBy } from '../../core/group-by';
import { slashed } from '../../core/games/saying';
import { wholeMinutes, roundSeconds } from '../../core/sessions/running-order';
import { answersThat, latestSessions, outcomesThat } from '../answers/answers';
import type { Group } from '../people/groups';
import { planFrom, workshopOf, type Workshop } from './workshop';
import { Problem } from '../storage/problems';
import { tally } from '../../core/sessions/summary';
import { sure } from '../../core/sure';
import { today as say } from './text';

/** A session to start with one tap. */
export interface ReadySession {
  readonly wish: PlanWish;
  readonly title: string;
  readonly minutes: number;
  readonly why: string;
  /** The words of its focus, as a plan shows them. */
  readonly words: readonly string[];
}

interface Played {
  readonly task: string;
  readonly step: string;
  readonly at: number;
  readonly alone: number;
  readonly counted: number;
}

/** What the group played, task by task and step by step, the latest first. */
async function playedBy(groupId: string): Promise<Played[]> {
  // A check-in is kept apart from play.
  const outcomes = await outcomesThat({ sessions: await latestSessions(groupId, 40), play: true });
  return [...groupBy(outcomes, (o) => `${o.sessionId} ${o.task} ${o.step}`).values()]
    .map((of) => {
      const t = tally(of);
      const counted = t['on-own'] + t['with-help'] + t['not-yet'];
      return {
        task: sure(of[0]).task,
        step: sure(of[0]).step,
        at: Math.max(...of.map((o) => o.lastAt)),
        alone: counted ? t['on-own'] / counted : 0,
        counted,
      };
    })
    .filter((p) => TASKS.some((task) => task.id === p.task) && p.counted > 0)
    .sort((a, b) => b.at - a.at);
}

/** Common practice, no source: a step up when most answers came alone, back when few did. */
const MOSTLY = 0.8;
const FEW = 0.35;
const WEEK_MS = 7 * 86_400_000;

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

/** The words of an item in a few letters. */
function wordsInShort(item: Item): string {
  if (item.view.kind === 'pair' || item.view.kind === 'row') return item.words.map((w) => w.word).join(' · ');
  return item.view.kind === 'hunt' ? sure(item.slots.sounds) : item.word;
}

interface Proposal {
  readonly wish: Partial<PlanWish>;
  readonly why: string;
}

/** One step on, one back, or none. `alone` is the share of answers that came without help, of so many counted. */
function moveAfter(alone: number, counted: number): -1 | 0 | 1 {
  if (counted < 3) return 0;
  if (alone >= MOSTLY) return 1;
  return alone < FEW ? -1 : 0;
}

const MOVE_WORDS = {
  stay: say.sameStepLast,
  on: say.lastTimeMost,
  back: say.lastTimeFew,
} as const;

/** One up, one back, or the same again: from how the last time went. */
function goOn({ task, step, alone, counted }: Played): Proposal {
  const { steps } = taskOf(task);
  const at = steps.indexOf(offeredStep(taskOf(task), step));
  const move = moveAfter(alone, counted);
  const next = steps[at + move] ?? sure(steps[at]);
  const moved = move > 0 ? 'on' : 'back';
  const kind = next === steps[at] ? 'stay' : moved;
  return { wish: { task, step: next.id }, why: MOVE_WORDS[kind] };
}

const lasting = (at: number, now: number): string => {
  const days = Math.round((now - at) / 86_400_000);
  return days >= 14 ? say.weeks(Math.round(days / 7)) : say.days(days);
};

/** The sound that slipped most often lately, where one did more than once. */
async function slipping(groupId: string): Promise<string | null> {
  const times = new Map<string, number>();
  for (const { sounds, missed } of await answersThat({ sessions: await latestSessions(groupId, 6), slipped: true }))
    for (const at of missed) {
      const ipa = sounds[at];
      if (ipa) times.set(ipa, (times.get(ipa) ?? 0) + 1);
    }
  const [top] = [...times].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return top && top[1] > 1 ? top[0] : null;
}

/** Three sessions that make sense from what was played: go on, take up again, and something beside. */
async function proposals(group: Group, shop: Workshop, now: number): Promise<Proposal[]> {
  const played = await playedBy(group.id);
  const latestOf = [...groupBy(played, (p) => p.task).values()].map((of) => sure(of[0]));
  const families = new Set(latestOf.map((p) => taskOf(p.task).family));
  const fresh = BEGINNINGS.filter(([task]) => !families.has(taskOf(task).family)).map(([task, step]): Proposal => ({
    wish: { task, step },
    why: played.length ? say.beenPlayedYet(familyOf(taskOf(task).family).name) : say.goodPlaceBegin,
  }));
  const [latest, ...others] = latestOf;
  // Not the same game twice running, where another was played too.
  const next = others.length && latest ? others.reduce((a, b) => (b.at > a.at ? b : a)) : latest;
  const oldest = latestOf.filter((p) => p !== next && now - p.at >= WEEK_MS).at(-1);
  const sound = await slipping(group.id);
  const out: Proposal[] = [];
  if (next) out.push(goOn(next));
  if (oldest)
    out.push({
      wish: { task: oldest.task, step: offeredStep(taskOf(oldest.task), oldest.step).id },
      why: say.notPlayedFor(lasting(oldest.at, now)),
    });
  if (sound)
    out.push({
      wish: { shape: 'one-sound', sound, minutes: 12 },
      why: say.slippedMostOften(slashed(sound, shop.bank.accent)),
    });
  // A group that has played everything goes on with what it played longest ago.
  const longAgo = latestOf.filter((p) => p !== next && p !== oldest).reverse();
  return [...out, ...fresh, ...longAgo.map(goOn)];
}

/** Three ready sessions for the group. The same evening and the same words give the same three. */
export async function readySessions(group: Group, now = Date.now()): Promise<ReadySession[]> {
  const shop = await workshopOf(group);
  const out: ReadySession[] = [];
  for (const [i, { wish: part, why }] of (await proposals(group, shop, now)).entries()) {
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
        words: focus.items.map(({ key }) => makeItem(task, stepOf(task, focus.step), key, shop.bank)).map(wordsInShort),
      });
    } catch (error) {
      // A sound the bank cannot serve through a game is no proposal.
      if (!(error instanceof Problem)) throw error;
    }
  }
  return out;
}
