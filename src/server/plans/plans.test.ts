import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { planRequestSchema, type PlanWish } from '../../core/formats/plan-file';
import { TASKS, taskOf } from '../../core/games';
import { readKey } from '../../core/games/spec';
import { PRESETS } from '../../core/phonology/conventions';
import type { AnswerEntry } from '../../core/sessions/log';
import { ROUND_STRIDE } from '../../core/sessions/log';
import { appendLog } from '../record/append-log';
import { database } from '../storage/database';
import { rows } from '../storage/rows';
import { addChildren, addGroup, eraseGroup, listGroups, setAway } from '../people/groups';
import { judgeSaid } from '../sessions/judge-said';
import { exportOf, lookBack } from '../sessions/look-back';
import {
  copyPlan,
  erasePlan,
  importPlan,
  keepPlan,
  listPlans,
  newPlan,
  openPlan,
  planCalendar,
  planFile,
  reportOnPlan,
  workOnPlan,
} from './plans';
import { playSession } from '../sessions/play-session';
import { printedPlan } from './printed-plan';
import { saveSettings } from '../setting/settings';
import { startSession } from '../sessions/start-session';
import { readySessions } from './today';
import { pacesOf } from '../sessions/paces';
import { turnOrder } from '../sessions/turn-order';
import { inFreshFiles } from '../testing/fresh-file';
import { oldFile } from '../testing/old-file';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';

// Real SQLite files throughout.
const folder = inFreshFiles();

const wish = (more: Partial<PlanWish> = {}): PlanWish =>
  planRequestSchema.parse({ shape: 'focus', task: 'sort', step: 'far', minutes: 20, sound: 's', ...more });
async function group(names = 'Wren\nKofi\nIdris'): Promise<string> {
  const made = await addGroup('Radishes');
  await addChildren(made.id, names);
  return made.id;
}
const answer = (turn: number, childId: string | null, word: string, at = Date.now()): AnswerEntry => ({
  ...answered(turn, childId, word),
  id: v7(),
  at,
});

test(
  'a round aimed at eight in ten: harder for children who manage than for those who do not; what is played in ' +
    'a row cannot be aimed',
  async () => {
    const aimedFor = async (outcome: AnswerEntry['outcome']): Promise<{ step: string; items: number }> => {
      const groupId = await group();
      const id = await newPlan(groupId, wish({ task: 'blending', step: '3', sound: undefined }));
      const { plan } = await openPlan(id);
      const session = await startSession(groupId, plan);
      const child = sure((await listGroups()).find((g) => g.id === groupId)).children;
      const at = plan.rounds.findIndex((r) => r.task === 'blending');
      await appendLog(
        session,
        Array.from({ length: 24 }, (_, i) => ({
          ...answer(
            at * ROUND_STRIDE + i,
            sure(child[i % child.length]).id,
            sure(sure(plan.rounds[at]).items[i % sure(plan.rounds[at]).items.length]).key,
          ),
          outcome,
        })),
      );
      const { plan: after, said } = await workOnPlan(id, plan, { kind: 'aim', round: sure(plan.rounds[at]).id });
      expect(said).toMatch(
        /^Blending, .+\. They should get about \d+ in 10 on their own( \(\d+ to \d+, depending on .+\))?\. It’s our/,
      );
      const chain = await workOnPlan(id, after, { kind: 'add-round', task: 'chain', step: 'first' });
      await expect(
        workOnPlan(id, chain.plan, { kind: 'aim', round: sure(chain.plan.rounds.at(-1)).id }),
      ).rejects.toThrow('no one child to aim it at');
      return { step: sure(after.rounds[at]).step, items: sure(after.rounds[at]).items.length };
    };
    const steps = taskOf('blending').steps.map((s) => s.id);
    const [well, ill] = [await aimedFor('on-own'), await aimedFor('not-yet')];
    expect(steps.indexOf(well.step)).toBeGreaterThan(steps.indexOf(ill.step));
    expect(Math.min(well.items, ill.items)).toBeGreaterThanOrEqual(3);
  },
);

describe('plans', () => {
  test('made, opened, changed in every way, kept, copied, erased', async () => {
    const id = await newPlan(await group(), wish());
    const open = await openPlan(id);
    expect(open.shown.rounds.map((r) => r.family)).toEqual(['Echo', 'First sounds', 'First sounds', 'Echo']);
    expect(
      open.shown.rounds.every((r) =>
        r.items.every((i) => i.problem === null && i.script.length > 0 && i.say.length > 3),
      ),
    ).toBe(true);
    let { plan } = open;
    const focus = sure(plan.rounds[1]);
    const change = async (asked: unknown) => {
      ({ plan } = await workOnPlan(id, plan, asked));
      return sure(plan.rounds.find((r) => r.id === focus.id));
    };
    const first = sure(focus.items[0]).key;
    const swapped = await change({ kind: 'swap', round: focus.id, key: first });
    expect(swapped.items.map((i) => i.key)).not.toContain(first);
    expect(swapped.items).toHaveLength(focus.items.length);
    plan = {
      ...plan,
      rounds: plan.rounds.map((r) =>
        r.id === focus.id ? { ...r, items: r.items.map((i, n) => ({ ...i, locked: n === 1 })) } : r,
      ),
    };
    const kept = sure(swapped.items[1]).key;
    const remade = await change({ kind: 'remake', round: focus.id });
    expect(remade.items.find((i) => i.key === kept)).toEqual({ key: kept, locked: true });
    expect(remade.items.filter((i) => swapped.items.some((o) => o.key === i.key))).toHaveLength(1);
    expect((await change({ kind: 'more', round: focus.id })).items).toHaveLength(remade.items.length + 1);
    expect((await change({ kind: 'put', round: focus.id, word: 'sausage' })).items.map((i) => i.key)).toContain(
      'sausage /s/',
    );
    await expect(change({ kind: 'put', round: focus.id, word: 'zzz' })).rejects.toThrow('isn’t in the word bank');
    await expect(change({ kind: 'put', round: 'r99', word: 'sun' })).rejects.toThrow('isn’t in the plan');
    expect(await change({ kind: 'set', round: focus.id, task: 'rhyme-odd', step: '4-far' })).toMatchObject({
      task: 'rhyme-odd',
      step: '4-far',
    });
    await change({ kind: 'add-round', task: 'hunt', step: '3-4' });
    expect(plan.rounds.at(-1)).toMatchObject({ task: 'hunt', way: 'together' });
    // All of it is on disk.
    expect((await openPlan(id)).plan).toEqual(plan);
    await keepPlan(id, { kept: true });
    const copy = await copyPlan(id);
    expect((await listPlans(open.groupId)).map((p) => p.title)).toEqual(
      expect.arrayContaining([plan.title, `${plan.title} 2`]),
    );
    await erasePlan(copy);
    await expect(openPlan(copy)).rejects.toMatchObject({ status: 404 });
    await eraseGroup(open.groupId);
    expect(await (await database()).models.plans.count()).toBe(0);
  });
  test('what is sent broken changes nothing', async () => {
    const id = await newPlan(await group(), wish());
    const { plan } = await openPlan(id);
    await expect(workOnPlan(id, { ...plan, minutes: 900 }, { kind: 'show' })).rejects.toThrow('60 minutes');
    await expect(workOnPlan(id, { ...plan, title: '  ' }, { kind: 'show' })).rejects.toThrow('at least one letter');
    await expect(workOnPlan(id, plan, { kind: 'explode' })).rejects.toThrow();
    await expect(workOnPlan('nonsense', plan, { kind: 'show' })).rejects.toMatchObject({ status: 404 });
    expect((await openPlan(id)).plan).toEqual(plan);
  });
  test('a chain from a word, between two, another way from the middle; what cannot be says what can', async () => {
    const id = await newPlan(
      await group(),
      wish({ shape: 'quick-five', task: 'chain', step: 'any', sound: undefined }),
    );
    let { plan } = await openPlan(id);
    const round = sure(plan.rounds[0]).id;
    ({ plan } = await workOnPlan(id, plan, { kind: 'chain', round, start: 'cat', target: 'dog' }));
    const keys = sure(plan.rounds[0]).items.map((i) => readKey(i.key).words);
    expect([sure(keys[0])[0], sure(keys.at(-1))[1]]).toEqual(['cat', 'dog']);
    keys.forEach((k, i) => i > 0 && expect(k[0]).toBe(sure(keys[i - 1])[1]));
    const middle = sure(sure(plan.rounds[0]).items[1]).key;
    const other = sure((await workOnPlan(id, plan, { kind: 'swap', round, key: middle })).plan.rounds[0]).items.map(
      (i) => i.key,
    );
    expect(other[0]).toBe(sure(sure(plan.rounds[0]).items[0]).key);
    expect(other[1]).not.toBe(middle);
    expect(readKey(sure(other[1])).words[0]).toBe(readKey(middle).words[0]);
    const near = await workOnPlan(id, plan, { kind: 'chain', round, start: 'cat', target: 'elephant' });
    expect(near.said).toContain('can’t get from “cat” to “elephant”');
    expect(sure(near.plan.rounds[0]).reminder).toBe(sure(plan.rounds[0]).reminder);
    const well = await workOnPlan(id, near.plan, { kind: 'chain', round, start: 'cat', target: 'dog' });
    expect(well.said).toBeUndefined();
    expect(sure(well.plan.rounds[0]).reminder).toBe(sure(plan.rounds[0]).reminder);
    await expect(workOnPlan(id, plan, { kind: 'chain', round, start: 'elephant', target: '' })).rejects.toThrow(
      'No chain starts',
    );
  });
  test('as a file and back; items another accent does not make are left out and counted', async () => {
    const groupId = await group();
    const id = await newPlan(groupId, wish({ shape: 'quick-five', task: 'hunt', step: '3-4', sound: undefined }));
    const { plan } = await openPlan(id);
    // The vowel of pot is not a sound of Scottish; that of pit is.
    const [pot, pit] = ['/s/ /p/ /ɒ/ /t/', '/s/ /p/ /ɪ/ /t/'];
    await workOnPlan(
      id,
      {
        ...plan,
        rounds: [
          {
            ...sure(plan.rounds[0]),
            items: [
              { key: pot, locked: false },
              { key: pit, locked: false },
            ],
          },
        ],
      },
      { kind: 'show' },
    );
    const { text, name } = await planFile(id);
    expect(name).toMatch(/\.json$/);
    expect(await reportOnPlan(groupId, text)).toMatchObject({
      fault: null,
      usable: true,
      rounds: [{ why: null, lost: 0 }],
    });
    await saveSettings({ accent: 'scottish', conventions: PRESETS.default });
    expect(await reportOnPlan(groupId, text)).toMatchObject({ rounds: [{ lost: 1 }] });
    expect(sure(sure((await openPlan(id)).shown.rounds[0]).items.find((i) => i.key === pot)).problem).toContain(
      'not in the accent',
    );
    const back = await importPlan(groupId, text);
    expect(sure((await openPlan(back)).plan.rounds[0]).items.map((i) => i.key)).toEqual([pit]);
    await expect(importPlan(groupId, '{')).rejects.toThrow('Nothing was imported');
  });
  test('planned for a day it goes into a calendar, with no child’s name', async () => {
    const id = await newPlan(await group('Ottilie'), wish());
    await expect(planCalendar(id)).rejects.toThrow('Choose a day');
    await expect(keepPlan(id, { plannedFor: 'tomorrow' })).rejects.toThrow('Choose a day');
    await keepPlan(id, { plannedFor: '2026-11-24T09:30' });
    const { text } = await planCalendar(id);
    expect(text).toContain('DTSTART:20261124T093000');
    expect(text).not.toContain('Ottilie');
  });
  test('on paper: every round, every child, each word a card once', async () => {
    const printed = await printedPlan(await newPlan(await group(), wish()));
    expect(printed.children.map((c) => c.name)).toEqual(['Wren', 'Kofi', 'Idris']);
    expect(new Set(printed.cards.map((c) => c.word)).size).toBe(printed.cards.length);
    expect(printed.cards.length).toBeGreaterThan(5);
  });
});

describe('playing a plan', () => {
  test('a round of every task, each answer with its task and step', async () => {
    const groupId = await group();
    for (const task of TASKS) {
      const id = await newPlan(
        groupId,
        wish({ shape: 'quick-five', task: task.id, step: sure(task.steps[0]).id, sound: undefined }),
      );
      const session = await startSession(groupId, (await openPlan(id)).plan);
      const played = await playSession(session);
      const { words: keys } = sure(played.plan.rounds[0]);
      expect(
        keys.every((k) => sure(played.rounds[0]).items[k]),
        task.id,
      ).toBe(true);
      const { refused } = await appendLog(session, [
        { kind: 'modelled', id: v7(), at: 1, round: 0 },
        answer(0, null, sure(keys[0])),
      ]);
      expect(refused, task.id).toEqual([]);
      const back = await lookBack(session);
      expect(back.answers).toMatchObject([{ task: task.id, step: sure(task.steps[0]).id, word: keys[0] }]);
      expect(sure(exportOf(back).session.rounds[0]).task).toBe(task.id);
    }
  });
  test('turns of a round that is not there are refused in words', async () => {
    const groupId = await group();
    const session = await startSession(groupId, (await openPlan(await newPlan(groupId, wish()))).plan);
    const { refused } = await appendLog(session, [answer(9 * ROUND_STRIDE, null, 'sun')]);
    expect(sure(refused[0]).why).toBe('There’s no such round in this session.');
  });
  test('who had fewest turns lately comes first; who is away has none', async () => {
    const groupId = await group();
    const [wren, kofi, idris] = sure((await listGroups())[0]).children.map((c) => c.id);
    const plan = (await openPlan(await newPlan(groupId, wish()))).plan;
    const session = await startSession(groupId, plan);
    const key = sure(sure((await playSession(session)).plan.rounds[1]).words[0]);
    await appendLog(session, [
      answer(ROUND_STRIDE, sure(wren), key),
      answer(ROUND_STRIDE + 1, sure(kofi), key),
      answer(ROUND_STRIDE + 2, sure(wren), key),
    ]);
    expect(await turnOrder(groupId, [sure(wren), sure(kofi), sure(idris)])).toEqual([idris, kofi, wren]);
    expect((await openPlan(await newPlan(groupId, wish()))).shown.turnLine).toContain(
      'Idris first (fewest turns lately)',
    );
    await setAway(sure(idris), true);
    expect((await openPlan(await newPlan(groupId, wish()))).shown).toMatchObject({ children: 2, away: ['Idris'] });
  });
  test('a word that is said in parts is shown with them, so that a print can be read out', async () => {
    const groupId = await group();
    const { shown } = await openPlan(
      await newPlan(groupId, wish({ task: 'blending', step: '4-end', sound: undefined })),
    );
    const focus = sure(shown.rounds.find((r) => r.name === 'Blending'));
    for (const { label, parts } of focus.items) expect(parts, label).toMatch(/^\S+.* … \S+/);
    const echo = sure(shown.rounds.find((r) => r.name === 'Echo words'));
    expect(echo.items.map((i) => i.parts)).toEqual(echo.items.map(() => null));
  });
  test('the group’s own pace is learned from its log', async () => {
    const groupId = await group();
    const session = await startSession(groupId, (await openPlan(await newPlan(groupId, wish()))).plan);
    const key = sure(sure((await playSession(session)).plan.rounds[1]).words[0]);
    expect((await pacesOf(groupId))('sort')).toBe(taskOf('sort').secondsPerTurn);
    await appendLog(
      session,
      Array.from({ length: 12 }, (_, i) => answer(ROUND_STRIDE + i, null, key, 1_000_000 + i * 9_000)),
    );
    expect((await pacesOf(groupId))('sort')).toBe(9);
  });
  test('typed answers are judged by their sounds: rhymes, made-up words, and words of a hunt', async () => {
    const groupId = await group();
    const made = async (task: string, step: string, key: string): Promise<string> => {
      const { plan } = await openPlan(
        await newPlan(groupId, wish({ shape: 'quick-five', task, step, sound: undefined })),
      );
      return startSession(groupId, { ...plan, rounds: [{ ...sure(plan.rounds[0]), items: [{ key, locked: false }] }] });
    };
    const rhyme = await made('rhyme-say', 'many', 'hat');
    expect(await judgeSaid(rhyme, 0, 'hat', 'cat')).toMatchObject({ outcome: 'on-own' });
    expect(await judgeSaid(rhyme, 0, 'hat', 'zat')).toMatchObject({ outcome: 'on-own', labels: 'z · a · t' });
    expect(await judgeSaid(rhyme, 0, 'hat', 'hop')).toMatchObject({ outcome: 'not-yet', slip: 'same-start' });
    await expect(judgeSaid(rhyme, 0, 'hat', 'xxqz')).rejects.toThrow('can’t tell how');
    await expect(judgeSaid(rhyme, 0, 'hat', '  ')).rejects.toThrow('Type what they said');
    const hunt = '/s/ /p/ /ɒ/ /t/';
    const hunted = await made('hunt', '3-4', hunt);
    expect(await judgeSaid(hunted, 0, hunt, 'spot')).toMatchObject({ outcome: 'on-own', why: 'It’s on the list.' });
    expect((await judgeSaid(hunted, 0, hunt, 'tot').catch((e: Error) => ({ why: e.message }))).why).toContain(
      'two /t/',
    );
    expect((await judgeSaid(hunted, 0, hunt, 'cat')).why).toContain('/k/, which isn’t one of your sounds');
  });
  test('today: three that make sense, from nothing and from what was played', async () => {
    const groupId = await group();
    const of = async () => readySessions(sure((await listGroups()).find((g) => g.id === groupId)));
    const fresh = await of();
    expect(fresh).toHaveLength(3);
    expect(new Set(fresh.map((r) => r.wish.task)).size).toBe(3);
    for (const ready of fresh)
      expect([ready.words.length > 2, ready.minutes > 0, /\.$/.test(ready.why)]).toEqual([true, true, true]);
    expect(await of()).toEqual(fresh);
  });
});

test('sessions of the version before come over with their round, their steps and their answers', async () => {
  const file = path.join(folder(), 'old.sqlite');
  const { session } = await oldFile(file, 2);
  process.env.BOUNCY_ECHO_DB = file;
  const back = await lookBack(session);
  expect(back.session).toMatchObject({
    title: 'Segmenting, 4 sounds',
    rounds: [{ task: 'segmenting', step: '4', items: ['frog', 'milk'], model: 'leaf', spares: ['hand'], turns: 2 }],
  });
  expect(back.answers).toMatchObject([{ word: 'frog', step: '4', missed: [1] }]);
  expect(sure(sure((await playSession(session)).rounds[0]).items.frog).expected).toBe('f · r · o · g');
  const columns = await rows<{ name: string }>(`SELECT name FROM pragma_table_info('answers')`);
  expect(columns.map((r) => r.name)).not.toContain('rung');
  expect(readFileSync(file).length).toBeGreaterThan(0);
});
