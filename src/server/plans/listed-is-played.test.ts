import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { planRequestSchema, type PlanWish } from '../../core/formats/plan-file';
import { labelOf } from '../../core/games/item-label';
import { TASKS, taskOf } from '../../core/games';
import { seeded } from '../../core/random';
import { dealtKeys } from '../../core/sessions/own-step';
import { replay } from '../../core/sessions/replay';
import type { Entry } from '../../core/sessions/log';
import type { Plan } from '../../core/sessions/running-order';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { times } from '../../core/testing/deep';
import { tryItem } from '../../core/games/try-item';
import { addChildren, addGroup, groupOf } from '../people/groups';
import { appendLog } from '../record/append-log';
import { lookBack, listSessions } from '../sessions/look-back';
import { playSession } from '../sessions/play-session';
import { inFreshFiles } from '../testing/fresh-file';
import { newPlan, openPlan, workOnPlan } from './plans';
import { printedPlan } from './printed-plan';
import { startPlan } from './start-plan';
import { readySessions } from './today';
import { workshopOf } from './workshop';
import { Problem } from '../storage/problems';

/** What a card or a plan lists is what Play deals, what is printed and what Look back shows. Our own law. */
inFreshFiles();

const PLANS = times(200, 30);
const NAMES = ['Ottilie', 'Idris', 'Wren', 'Kofi', 'Saoirse', 'Tomasz'];

/** Games whose items are words to be said, each its own: not those that go on from one item to the next. */
const WORD_GAMES = TASKS.filter((t) => t.wholeWord);

/** Each their own step in the main game, as an adult switches it on. */
const switchedOn = (plan: Plan): Plan => ({
  ...plan,
  rounds: plan.rounds.map((r) => (r.role === 'focus' ? { ...r, own: { on: true, steps: {} } } : r)),
});

/** The items of a plan’s main game, as the plan lists them. */
async function listedIn(id: string) {
  const open = await openPlan(id);
  const at = open.plan.rounds.findIndex((r) => r.role === 'focus');
  const shown = sure(open.shown.rounds[at]);
  const items = shown.own.length ? shown.own.flatMap((o) => o.items) : shown.items;
  return { open, at, shown, labels: items.map((i) => i.label) };
}

/** A session played to its end, each turn right; gives the labels of what was said in one round. */
async function playedToTheEnd(session: string, round: number): Promise<string[]> {
  const { plan } = await playSession(session);
  const log: Entry[] = [];
  for (let turn = 0; turn < 400; turn += 1) {
    const state = replay(plan, log);
    if (state.phase === 'finished') break;
    const at = Date.now() + turn;
    if (state.phase === 'model') log.push({ kind: 'modelled', id: v7(), at, round: state.round });
    else if (state.phase === 'turn')
      log.push({ ...answered(state.turn, state.childId, state.word), id: v7(), at, outcome: 'on-own' });
    else log.push({ kind: 'round', id: v7(), at, round: state.round + 1 });
  }
  await appendLog(session, log);
  const { answers } = await lookBack(session);
  return answers.filter((a) => Math.floor(a.turn / 1_000) === round).map((a) => a.label);
}

test(`${PLANS} plans: the card, the plan, the paper, Play and Look back have the same words`, async () => {
  let [cards, own, ended] = [0, 0, 0];
  for (let seed = 1; seed <= PLANS; seed += 1) {
    const random = seeded(seed);
    const { id: groupId } = await addGroup(`Bed ${seed}`);
    await addChildren(groupId, NAMES.slice(0, 2 + Math.floor(random() * 5)).join('\n'));
    const group = await groupOf(groupId);
    const where = `plan ${seed}`;
    const ready = await readySessions(group);
    const card = seed % 3 === 0 ? sure(ready[seed % ready.length]) : null;
    const task = sure(WORD_GAMES[Math.floor(random() * WORD_GAMES.length)]);
    const step = sure(task.steps[Math.floor(random() * task.steps.length)]);
    const wish: PlanWish = card?.wish ?? planRequestSchema.parse({ task: task.id, step: step.id, minutes: 8, seed });
    const id = await newPlan(groupId, wish).catch((error: unknown) => {
      if (!(error instanceof Problem)) throw error;
      return null;
    });
    if (id === null) continue;
    if (!card && random() < 0.5) await workOnPlan(id, switchedOn((await openPlan(id)).plan), { kind: 'show' });
    const { open, at, shown, labels } = await listedIn(id);
    const round = sure(open.plan.rounds[at]);
    if (card) {
      cards += 1;
      expect(card.words, `${where}: card`).toEqual(labels);
      expect(card.title, where).toBe(open.plan.title);
    }
    if (shown.own.length) {
      own += 1;
      expect(open.plan.title, where).toBe(`${taskOf(round.task).name.replace(/\?$/, '')}, each their own step`);
    }
    // On paper.
    const paper = sure((await printedPlan(id)).shown.rounds[at]);
    const printed = paper.own.length ? paper.own.flatMap((o) => o.items) : paper.items;
    expect(
      printed.map((i) => i.label),
      `${where}: print`,
    ).toEqual(labels);
    // In Play.
    const session = await startPlan(groupId, open.plan);
    const { rounds, plan } = await playSession(session);
    const dealt = sure(rounds[at]);
    const { bank } = await workshopOf(group);
    const keys = dealtKeys({ items: sure(plan.rounds[at]).words, own: dealt.own }, plan.children);
    const played = keys.map((key) => {
      const childs = dealt.own.find((o) => o.items.includes(key))?.step ?? round.step;
      return labelOf(sure(tryItem({ task: round.task, step: childs }, key, bank).item));
    });
    expect([...played].sort(), `${where}: Play`).toEqual([...labels].sort());
    // Looking back at it.
    const said = await playedToTheEnd(session, at);
    ended += said.length;
    for (const label of said) expect(labels, `${where}: look back`).toContain(label);
    const line = sure((await listSessions(groupId)).find((s) => s.id === session));
    for (const label of said) expect(line.words, where).toContain(label);
  }
  expect(Math.min(cards, own, ended)).toBeGreaterThan(5);
}, 900_000);
