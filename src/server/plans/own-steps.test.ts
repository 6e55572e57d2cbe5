import { readFileSync } from 'node:fs';
import path from 'node:path';
import { nextOn } from '../../core/choosing/advice';
import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { planRequestSchema, readPlanFile } from '../../core/formats/plan-file';
import { readKey } from '../../core/games/spec';
import { rungOf } from '../../core/evidence/ladders';
import type { AnswerEntry, Entry } from '../../core/sessions/log';
import { replay } from '../../core/sessions/replay';
import type { Plan } from '../../core/sessions/running-order';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { advised } from '../children/advised';
import { addChildren, addGroup, eraseChild, listGroups, setAway, type Group } from '../people/groups';
import { appendLog } from '../record/append-log';
import { caughtUp } from '../record/rebuild-queue';
import { sessionPlan } from '../record/session-record';
import { homePaper } from '../sessions/home-page';
import { lookBack } from '../sessions/look-back';
import { playSession } from '../sessions/play-session';
import { rows } from '../storage/rows';
import { inFreshFiles } from '../testing/fresh-file';
import { newPlan, openPlan, planFile, workOnPlan } from './plans';
import { printedPlan } from './printed-plan';
import { startPlan } from './start-plan';
import { PLAIN_ROUND } from '../../core/testing/rounds';

// Real SQLite files throughout; the children and what they answered are invented.
const folder = inFreshFiles();
const NAMES = ['Ottilie', 'Idris', 'Wren', 'Kofi'];
const DAY = 86_400_000;

interface Here {
  readonly groupId: string;
  readonly idOf: (name: string) => string;
}

const groupNow = async (id: string): Promise<Group> => sure((await listGroups()).find((g) => g.id === id));

/** One game played alone by one child, some days ago. */
async function played({ groupId, idOf }: Here, name: string, [step, marks, daysAgo]: [string, string, number]) {
  const plan = { ...BEANS, rounds: [{ ...sure(BEANS.rounds[0]), step }] };
  const session = await startPlan(groupId, plan, [idOf(name)]);
  const log = [...marks].map((mark, i): AnswerEntry => {
    const at = Date.now() - daysAgo * DAY + i * 20_000;
    const plain = answered(i, idOf(name), sure(WORDS[step])[i % 3] ?? 'sun');
    return { ...plain, id: v7({ msecs: at }), at, outcome: mark === '1' ? 'on-own' : 'not-yet' };
  });
  await appendLog(session, log);
}

const WORDS: Readonly<Record<string, readonly string[]>> = {
  '3-held': ['sun', 'map', 'leg'],
  '4-start': ['frog', 'spoon', 'plum'],
  '2': ['tea', 'bow', 'key'],
};
const BEANS: Plan = {
  title: 'Beans',
  minutes: 8,
  letters: false,
  sound: null,
  pairs: [],
  rounds: [
    {
      ...PLAIN_ROUND,
      id: 'r1',
      task: 'blending',
      step: '3-held',
      items: ['sun', 'map', 'leg', 'net', 'pin', 'bus', 'dog', 'cup'].map((key) => ({ key, locked: false })),
      model: 'hat',
      frame: { on: false, opening: null, ask: null },
      seed: 3,
    },
  ],
};

/** Ottilie blends clusters, Idris two sounds with luck; Wren and Kofi are new. */
async function spread(): Promise<Here> {
  const made = await addGroup('Radishes');
  await addChildren(made.id, NAMES.join('\n'));
  const { children } = await groupNow(made.id);
  const here = { groupId: made.id, idOf: (name: string) => sure(children.find((c) => c.name === name)).id };
  await played(here, 'Ottilie', ['3-held', '11111111', 9]);
  await played(here, 'Ottilie', ['4-start', '1111111', 4]);
  await played(here, 'Idris', ['3-held', '000000', 6]);
  await played(here, 'Idris', ['2', '1001', 3]);
  return here;
}

/** The plan with each their own step in its main game. */
const switchedOn = (plan: Plan, steps: Readonly<Record<string, string>> = {}): Plan => ({
  ...plan,
  rounds: plan.rounds.map((r) => (r.role === 'focus' ? { ...r, own: { on: true, steps } } : r)),
});

const OWN: Plan = { ...BEANS, rounds: [{ ...sure(BEANS.rounds[0]), own: { on: true, steps: {} } }] };

test('a spread group is dealt each their own step; the plan shows it, and Play deals just that', async () => {
  const here = await spread();
  const { groupId, idOf } = here;
  const wish = planRequestSchema.parse({ shape: 'focus', task: 'blending', step: '3-held', minutes: 15 });
  const id = await newPlan(groupId, wish);
  const offered = await openPlan(id);
  // It is asked, and never switched on by itself; the name is then what is played.
  const focus = sure(offered.plan.rounds.find((r) => r.role === 'focus'));
  expect(focus.own).toBeUndefined();
  expect(offered.shown.rounds.find((r) => r.id === focus.id)).toMatchObject({ offersOwn: true, own: [] });
  expect(offered.plan.title).toBe('Blending, 3 sounds, like sun');
  await workOnPlan(id, switchedOn(offered.plan), { kind: 'show' });
  const open = await openPlan(id);
  expect(open.plan.title).toBe('Blending, each their own step');
  const round = sure(open.plan.rounds.find((r) => r.role === 'focus'));
  expect(round.own?.on).toBe(true);
  const shown = sure(open.shown.rounds.find((r) => r.id === round.id));
  expect(shown.own.map((o) => o.name)).toEqual(NAMES);
  const words = shown.own.flatMap((o) => o.items.flatMap((i) => readKey(i.key).words));
  expect(new Set(words).size).toBe(words.length);
  const at = (name: string): number => sure(rungOf('blending', sure(shown.own.find((o) => o.name === name)).step)).at;
  expect(at('Ottilie')).toBeGreaterThan(at('Idris'));
  const { of } = await advised([idOf('Idris')], Date.now());
  const next = sure(nextOn(sure(of.get(idOf('Idris'))), 'blending'));
  expect(sure(rungOf('blending', sure(shown.own.find((o) => o.name === 'Idris')).step)).rung.id).toBe(next.rung);
  expect(sure(shown.own.find((o) => o.name === 'Wren')).why).toBe('Not seen here yet.');
  expect(sure(shown.own.find((o) => o.name === 'Idris')).why).toBe(next.reason);
  const paper = await printedPlan(id);
  for (const word of words) expect(paper.cards.map((c) => c.word)).toContain(word);
  const { rounds, plan } = await playSession(await startPlan(groupId, open.plan));
  const dealt = sure(rounds[open.plan.rounds.indexOf(round)]);
  for (const o of shown.own) {
    expect(dealt.own.find((d) => d.childId === o.childId)?.items).toEqual(o.items.map((i) => i.key));
    for (const item of o.items) expect(dealt.items[item.key]?.key).toBe(item.key);
  }
  expect(plan.rounds[open.plan.rounds.indexOf(round)]?.own?.[idOf('Idris')]).toBeDefined();
  // What Idris does meanwhile changes what is next for him, and not the words that are listed.
  await played(here, 'Idris', ['2', '11111111', 0]);
  const later = sure((await openPlan(id)).shown.rounds.find((r) => r.id === round.id));
  expect(later.own.map((o) => o.items.map((i) => i.key))).toEqual(shown.own.map((o) => o.items.map((i) => i.key)));
});

test('what an adult chooses for one child stands with the plan, and goes into no file that is shared', async () => {
  const { groupId, idOf } = await spread();
  const id = await newPlan(groupId, planRequestSchema.parse({ task: 'blending', step: '3-held', minutes: 15 }));
  const { plan } = await openPlan(id);
  const changed = switchedOn(plan, { [idOf('Kofi')]: '4-start' });
  const { shown } = await workOnPlan(id, changed, { kind: 'show' });
  const own = sure(shown.rounds.flatMap((r) => r.own).find((o) => o.name === 'Kofi'));
  expect(own).toMatchObject({ step: '4-start', byHand: true, why: 'Your choice.' });
  const file = await planFile(id);
  expect(file.text).not.toContain(idOf('Kofi'));
  const again = sure(readPlanFile(file.text).plan).rounds.find((r) => r.own);
  expect(again?.own).toEqual({ on: true, steps: {} });
  const kept = sure((await openPlan(id)).plan.rounds.find((r) => r.own));
  expect(kept.own?.dealt?.deals.map((d) => d.childId)).toContain(idOf('Kofi'));
  await eraseChild(idOf('Kofi'));
  expect(JSON.stringify((await openPlan(id)).plan)).not.toContain(idOf('Kofi'));
});

test('an answer counts on the step of its child wherever answers are read; a late child has theirs', async () => {
  const { groupId, idOf } = await spread();
  await setAway(idOf('Wren'), true);
  const session = await startPlan(groupId, OWN);
  const before = await sessionPlan(session);
  expect(before.childIds).not.toContain(idOf('Wren'));
  const deals = sure(before.rounds[0]?.own);
  expect(deals.map((d) => d.childId)).toContain(idOf('Wren'));
  const log: Entry[] = [{ kind: 'modelled', id: v7(), at: Date.now(), round: 0 }];
  const arrive: Entry = { kind: 'arrive', id: v7(), at: Date.now(), childId: idOf('Wren') };
  const { plan } = await playSession(session);
  for (let turn = 0; turn < 8; turn += 1) {
    if (turn === 3) log.push(arrive);
    const state = replay(plan, log);
    const deal = sure(deals.find((d) => d.childId === state.childId));
    expect(deal.items).toContain(state.word);
    log.push({ ...answered(turn, state.childId, state.word), id: v7(), at: Date.now(), outcome: 'on-own' });
  }
  await appendLog(session, log);
  const { answers } = await lookBack(session);
  expect(answers).toHaveLength(8);
  for (const a of answers) expect(a.step).toBe(sure(deals.find((d) => d.childId === a.childId)).step);
  await caughtUp();
  const kept = await rows<{ child_id: string; step: string }>(
    'SELECT child_id, step FROM evidence WHERE session_id = :session',
    { session },
  );
  for (const row of kept) expect(row.step).toBe(sure(deals.find((d) => d.childId === row.child_id)).step);
  expect(kept).toHaveLength(4);
  // Everyone’s words are on the page; the round’s own, which nobody heard, are not.
  const home = await homePaper(session);
  expect(home.text).not.toContain('dog');
  // Another device that loads the page in the middle deals the same.
  const later = await playSession(session);
  expect(replay({ ...later.plan, children: plan.children }, log).word).toBe(replay(plan, log).word);
  await eraseChild(idOf('Ottilie'));
  expect(readFileSync(path.join(folder(), 'test.sqlite')).includes(idOf('Ottilie'))).toBe(false);
});

test('where a group is alike, or plays together, it is the same for all', async () => {
  const made = await addGroup('Beans');
  await addChildren(made.id, 'Saoirse\nTomasz');
  const id = await newPlan(made.id, planRequestSchema.parse({ task: 'blending', step: '3-held', minutes: 15 }));
  const { plan, shown } = await openPlan(id);
  expect(plan.rounds.some((r) => r.own?.on)).toBe(false);
  expect(shown.rounds.flatMap((r) => r.own)).toEqual([]);
  const together = { ...OWN, rounds: OWN.rounds.map((r) => ({ ...r, way: 'together' as const })) };
  const session = await sessionPlan(await startPlan(made.id, together));
  expect(session.rounds[0]?.own).toBeUndefined();
});
