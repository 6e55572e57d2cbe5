import { describe, expect, test, vi } from 'vitest';
import { v7 } from 'uuid';
import { judge } from '../../core/answers/judge';
import type { PlanChange } from '../../core/formats/plan-file';
import { planRequestSchema } from '../../core/formats/plan-file';
import { stepOf, taskOf } from '../../core/games';
import { generate } from '../../core/games/generate';
import { routineOf } from '../../core/games/routine';
import { tryItem } from '../../core/games/try-item';
import { accentOf, type AccentId } from '../../core/phonology/accents';
import { labelOf } from '../../core/phonology/sounds';
import { howMade } from '../../core/phonology/how-made';
import { PRESETS } from '../../core/phonology/conventions';
import { guessOf } from '../../core/evidence/guessing';
import { BEGIN_NEEDS, BEGIN_ORDER, ladderOf, rungOf } from '../../core/evidence/ladders';
import { ROUND_STRIDE } from '../../core/sessions/log';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { material, word } from '../../core/testing/bank';
import { fault } from '../../core/testing/every-game';
import { SECOND_JUDGES } from '../../core/testing/made-up-game';
import { childPage } from '../children/child-page';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { newPlan, openPlan, workOnPlan } from '../plans/plans';
import { startStep } from '../plans/start-step';
import { catalogue } from '../plans/catalogue';
import { appendLog } from '../record/append-log';
import { homePaper } from '../sessions/home-page';
import { judgeSaid } from '../sessions/judge-said';
import { exportOf, lookBack } from '../sessions/look-back';
import { playSession } from '../sessions/play-session';
import { startSession } from '../sessions/start-session';
import { saveSettings } from '../setting/settings';
import { wordPage } from '../words/word-page';
import { inFreshFiles } from './fresh-file';

// A family of games and an accent, each in one file, are put in the two lists an installation may add to. Nothing else
// knows of them: what follows goes through the whole product as any game and any accent does.
vi.mock('../../core/games/families/more', () => import('../../core/testing/made-up-game'));
vi.mock('../../core/phonology/accents/more', () => import('../../core/testing/made-up-accent'));

inFreshFiles();

const BEAN_ROW = 'bean-row' as AccentId;
const LONGER = 'which-is-longer';
const BACKWARDS = 'last-sound-first';

async function children() {
  const group = await addGroup('Runner beans');
  await addChildren(group.id, 'Wren\nKofi\nOttilie');
  const { children: all } = sure((await listGroups()).find((g) => g.id === group.id));
  return { groupId: group.id, ids: all.map((c) => c.id) };
}

const wish = (task: string, step: string) =>
  planRequestSchema.parse({ shape: 'focus', task, step, minutes: 20, seed: 3 });

describe('a game of one file', () => {
  test.each([LONGER, BACKWARDS])('%s: sets of every step pass the second judge and the judge of answers', (id) => {
    const task = taskOf(id);
    for (const step of task.steps)
      for (let seed = 1; seed <= 10; seed += 1) {
        const { items, model } = generate(task, step, material(), { size: 5, seed });
        expect(items.length).toBeGreaterThanOrEqual(4);
        expect(model).not.toBeNull();
        expect(fault(items, { task, step, accent: 'southern-british', judges: SECOND_JUDGES })).toBeNull();
      }
  });

  test('it has a ladder of its own, luck, a routine, and a place after those that ship', () => {
    expect(rungOf(LONGER, 'one')).toMatchObject({ at: 1, ladder: { id: 'long-and-short', name: 'Long and short' } });
    expect(ladderOf('long-and-short').rungs.map((r) => r.steps)).toEqual([
      [[LONGER, 'two']],
      [[LONGER, 'one']],
      [[BACKWARDS, 'three']],
    ]);
    expect([guessOf(LONGER, 'two'), guessOf(BACKWARDS, 'three')]).toEqual([0.5, 0]);
    expect(routineOf(BACKWARDS, false)).toEqual(['say-back', 'my-turn', 'together', 'your-turn', 'join']);
    expect(routineOf(LONGER, true)).toEqual(['say-back', 'your-turn']);
    expect(BEGIN_ORDER['large-first'].at(-1)).toBe('long-and-short');
    expect(BEGIN_NEEDS['sounds-first']['long-and-short']).toEqual([{ ladder: 'segmenting', rung: '2' }]);
  });

  test('it is planned, changed, played, judged, looked back on, exported and shown on the child’s page', async () => {
    const { groupId, ids } = await children();
    expect((await catalogue()).families.at(-1)).toMatchObject({ name: 'Long and short', tasks: [{}, {}] });
    const id = await newPlan(groupId, wish(LONGER, 'two'));
    let { plan } = await openPlan(id);
    const focus = sure(plan.rounds.find((r) => r.task === LONGER && r.role === 'focus'));
    const change = async (made: PlanChange): Promise<void> => {
      plan = (await workOnPlan(id, plan, made)).plan;
    };
    const now = () => sure(plan.rounds.find((r) => r.id === focus.id));
    const [before] = focus.items;
    await change({ kind: 'swap', round: focus.id, key: sure(before).key });
    expect(now().items.map((i) => i.key)).not.toContain(sure(before).key);
    const size = now().items.length;
    await change({ kind: 'more', round: focus.id });
    expect(now().items).toHaveLength(size + 1);
    await change({ kind: 'remake', round: focus.id });
    await change({ kind: 'aim', round: focus.id });
    await change({ kind: 'set', round: focus.id, task: LONGER, step: 'one' });
    expect(now().step).toBe('one');
    await change({ kind: 'put', round: focus.id, word: 'frog' });
    expect(now().items.some((i) => i.key.includes('frog'))).toBe(true);
    await expect(change({ kind: 'chain', round: focus.id, start: 'pan', target: '' })).rejects.toThrow(
      'isn’t a chain game',
    );
    await change({ kind: 'add-round', task: BACKWARDS, step: 'three' });
    const { shown } = await openPlan(id);
    expect(shown.rounds.every((r) => r.items.every((i) => i.problem === null))).toBe(true);

    const session = await startSession(groupId, plan);
    const run = await playSession(session);
    const at = run.rounds.findIndex((r) => r.task === BACKWARDS);
    const { key } = sure(sure(plan.rounds[at]).items[0]);
    const item = sure(tryItem({ task: BACKWARDS, step: 'three' }, key, material()).item);
    expect(
      item.judged.by === 'sounds' &&
        judge(
          item,
          item.judged.sounds.map((s) => [s]),
        ).outcome,
    ).toBe('on-own');
    expect((await judgeSaid(session, at, key, item.word)).outcome).toBe('not-yet');
    const longer = run.rounds.findIndex((r) => r.task === LONGER && r.role === 'Focus');
    const keys = sure(plan.rounds[longer]).items.map((i) => i.key);
    await appendLog(
      session,
      keys.slice(0, 3).map((word, n) => ({
        ...answered(longer * ROUND_STRIDE + n, sure(ids[n]), word),
        id: v7(),
        at: Date.now(),
      })),
    );
    const back = await lookBack(session);
    expect(back.answers.map((a) => [a.task, a.step, a.label])).toEqual(
      keys.slice(0, 3).map((k) => [LONGER, 'one', k.replace(' ', ' · ')]),
    );
    expect(exportOf(back).answers).toHaveLength(3);
    expect((await homePaper(session)).played).toContain('We listened for which of two words has more sounds.');
    const page = await childPage(sure(ids[0]));
    expect(page.ladders.at(-1)).toMatchObject({ name: 'Long and short', played: true });
    expect(page.recent).toMatchObject([{ game: 'Which word is longer?', outcome: 'on-own' }]);
    const next = await startStep(groupId, { ladder: 'long-and-short', rung: 'from-the-end' }, ids);
    expect((await playSession(next)).rounds.map((r) => r.task)).toContain(BACKWARDS);
  });
});

describe('an accent of one file', () => {
  test('words are said, labelled and explained in it', () => {
    expect(accentOf(BEAN_ROW).name).toBe('Bean Row');
    expect(word('whale', BEAN_ROW).sounds.map((s) => s.ipa)).toContain('ɸ');
    expect(word('farm', BEAN_ROW).sounds.map((s) => s.ipa)).toEqual(['f', 'ɑː', 'r', 'm']);
    expect(labelOf('ɸ', BEAN_ROW)).toEqual({ label: 'wh', as: 'whale' });
    expect(howMade('ɸ', 'wh').made).toContain('lips close');
  });

  test('games of every kind are made and judged in it', () => {
    for (const [id, step] of [
      ['blending', '3'],
      ['rhyme-match', '3-far'],
      ['sort', 'far'],
      ['leave-out', 'first'],
      ['chain', 'first'],
      [LONGER, 'two'],
    ] as const) {
      const task = taskOf(id);
      const { items } = generate(task, stepOf(task, step), material(BEAN_ROW), { size: 4, seed: 2 });
      expect(items.length, id).toBeGreaterThanOrEqual(3);
      for (const item of items)
        if (item.judged.by === 'sounds')
          expect(
            judge(item, item.judged.apart ? item.judged.sounds.map((s) => [s]) : [item.judged.sounds]).outcome,
          ).toBe('on-own');
    }
  });

  test('a setting chooses it, plans and plays in it, and the page of a word says how it is said there', async () => {
    const { groupId, ids } = await children();
    await saveSettings({ accent: BEAN_ROW, conventions: PRESETS.default });
    const { plan } = await openPlan(await newPlan(groupId, wish('blending', '3')));
    const session = await startSession(groupId, plan);
    const run = await playSession(session);
    expect(run.accent).toBe(BEAN_ROW);
    const at = run.rounds.findIndex((r) => r.task === 'blending');
    const { key } = sure(sure(plan.rounds[at]).items[0]);
    expect((await judgeSaid(session, at, key, key)).outcome).toBe('on-own');
    await appendLog(session, [{ ...answered(at * ROUND_STRIDE, sure(ids[0]), key), id: v7(), at: Date.now() }]);
    expect((await childPage(sure(ids[0]))).accent).toBe(BEAN_ROW);
    expect(exportOf(await lookBack(session))).toMatchObject({ answers: [{ word: key }] });
    expect(JSON.stringify(await wordPage('farm', groupId))).toContain('Bean Row');
  });
});
