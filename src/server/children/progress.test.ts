import path from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { heardText } from '../../core/answers/heard';
import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { childFileSchema } from '../../core/formats/child-file';
import { ROUND_STRIDE, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { appendLog } from '../record/append-log';
import { rebuild } from '../record/rebuild';
import { behind } from '../record/rebuild-queue';
import { boardRows } from './board';
import { childCsv } from '../../core/formats/child-file';
import { childFile } from './child-file';
import { childPage } from './child-page';
import { chooseStep, choicesOf } from './chosen-steps';
import { database } from '../storage/database';
import { earsOf } from '../sessions/ears';
import { answersThat } from '../answers/answers';
import { addCells, type Cells } from '../../core/evidence/cells';
import { runsOf, seenOf } from '../answers/kept-evidence';

/** How each sound fared for a child, over all sessions. */
const cellsOfChild = async (child: string): Promise<Cells> =>
  addCells(sure((await seenOf([child], Date.now())).get(child)).sessions.map((s) => s.cells));
import { addChildren, addGroup, eraseChild, listGroups, setAgeBand, setOwnWay } from '../people/groups';
import { lookBack } from '../sessions/look-back';
import { Problem } from '../storage/problems';
import { whoWithWhom } from './who-with-whom';
import {
  getProgressSettings,
  getSettings,
  hadPlainRule,
  saveStaff,
  saveUnitOrder,
  saveSettings,
} from '../setting/settings';
import { MIGRATION_NAMES } from '../storage/migrations';
import { oldFile } from '../testing/old-file';
import { startStep } from '../plans/start-step';
import { startWords } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { PRESETS } from '../../core/phonology/conventions';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';

const folder = inFreshFiles();

const answer = (turn: number, childId: string | null, word: string, more: Partial<AnswerEntry> = {}): AnswerEntry => ({
  ...answered(turn, childId, word),
  id: v7(),
  at: Date.now(),
  ...more,
});
async function begun(task: 'blending' | 'segmenting' = 'blending'): Promise<{
  id: string;
  groupId: string;
  wren: string;
  kofi: string;
}> {
  const group = await addGroup('Radishes');
  await addChildren(group.id, 'Wren\nKofi');
  const [wren, kofi] = sure((await listGroups())[0]).children.map((c) => c.id) as [string, string];
  return {
    groupId: group.id,
    wren,
    kofi,
    id: await startWords({ groupId: group.id, task, words: ['sun', 'map', 'leg'], model: 'net' }),
  };
}
const marksOf = async (child: string): Promise<string[]> =>
  sure((await runsOf([child])).get(child))
    .map((r) => `${r.task} ${r.step} ${r.standing} ${r.marks}`)
    .sort();

test('a turn two devices gave to two children is the later one’s, on the page of each', async () => {
  const { id, wren, kofi } = await begun();
  await appendLog(id, [
    answer(0, wren, 'sun', { id: v7({ msecs: 1_760_000_000_000 }), at: 1 }),
    answer(0, kofi, 'sun', { id: v7({ msecs: 1_760_000_001_000 }), at: 2 }),
  ]);
  expect(await answersThat({ children: [wren], limit: 5 })).toEqual([]);
  expect((await childFile(wren)).answers.map((a) => a.stands)).toEqual(['replaced']);
  expect((await answersThat({ children: [kofi], limit: 5 })).map((r) => r.turn)).toEqual([0]);
});

test('what held and was not heard for long is due, with its children, and can be played with them', async () => {
  const { groupId, wren } = await begun();
  const step = { ladder: 'blending', rung: '3-clip' };
  const start = 1_760_000_000_000;
  const DAY = 86_400_000;
  for (const day of [0, 1]) {
    const id = await startStep(groupId, step, [wren]);
    const { rounds } = (await lookBack(id)).session;
    const at = rounds.findIndex((r) => r.task === 'blending' && r.step === '3-clip');
    const words = sure(rounds[at]).items.filter((key) => key !== sure(rounds[at]).model);
    const { refused } = await appendLog(
      id,
      Array.from({ length: 15 }, (_, i) => {
        const when = start + day * DAY + i * 1_000;
        return answer(at * ROUND_STRIDE + i, wren, sure(words[i % words.length]), {
          id: v7({ msecs: when }),
          at: when,
          outcome: i ? 'on-own' : 'with-help',
        });
      }),
    );
    expect(refused).toEqual([]);
  }
  const [group] = await listGroups();
  expect((await whoWithWhom(sure(group), start + 2 * DAY)).due).toEqual([]);
  const { due, names } = await whoWithWhom(sure(group), start + 30 * DAY);
  expect(due).toMatchObject([{ ...step, children: [wren], days: 28 }]);
  expect(names[wren]).toBe('Wren');
  expect(await startStep(groupId, sure(due[0]), sure(due[0]).children)).toMatch(/^[0-9a-f-]{36}$/);
});

describe('evidence', () => {
  test('is what stands: corrected, undone, doubled, of another child, or of a second pair of ears', async () => {
    const { id, wren, kofi } = await begun();
    const [a, b, c, d] = [
      answer(0, wren, 'sun', { outcome: 'not-yet' }),
      answer(1, wren, 'map'),
      answer(2, wren, 'leg'),
      answer(3, kofi, 'sun', { outcome: 'with-help', helps: ['slower'] }),
    ];
    await appendLog(id, [a, b, c, d]);
    expect(await marksOf(wren)).toEqual(['blending 3-held fresh 011']);
    await appendLog(id, [answer(0, wren, 'sun', { supersedes: a.id, why: 'mis-tap' })]);
    await appendLog(id, [{ kind: 'undo', id: v7(), at: Date.now(), answerId: c.id } satisfies Entry]);
    await appendLog(id, [answer(1, wren, 'map', { outcome: 'no-reply' })]);
    await appendLog(id, [answer(3, kofi, 'sun', { outcome: 'not-yet', second: true, by: 'KM' })]);
    expect((await runsOf([wren, kofi])).get(kofi)).toMatchObject([{ marks: 'h', helps: { slower: 1 } }]);
    expect((await marksOf(wren)).join()).toMatch(/^blending 3-held fresh (1-|-1)$/);
    await appendLog(id, [answer(3, wren, 'sun', { supersedes: d.id, why: 'other-child' })]);
    expect(await marksOf(kofi)).toEqual([]);
  });
  test('is worked out soon after the log has grown, and the same from nothing', async () => {
    const { id, wren } = await begun();
    const { models, write } = await database();
    const stale = (): Promise<number> => models.sessions.count({ where: { stale: 1 } });
    await appendLog(id, [
      answer(0, wren, 'sun'),
      answer(1, wren, 'map', { outcome: 'not-yet', slip: 'lost-sound', missed: [2] }),
    ]);
    expect(await stale()).toBe(1);
    // Nobody reads: it is done all the same.
    await expect.poll(stale, { timeout: 30_000 }).toBe(0);
    const before = [await runsOf([wren]), await cellsOfChild(wren)];
    await appendLog(id, [{ kind: 'modelled', id: v7(), at: Date.now() }]);
    expect(await stale()).toBe(0);
    await models.evidence.destroy({ where: {} });
    await models.heardSounds.destroy({ where: {} });
    await write((transaction) => rebuild(id, transaction));
    expect([await runsOf([wren]), await cellsOfChild(wren)]).toEqual(before);
    expect(before[1]).toMatchObject({ 'p last': [1, 0, 1], 'm first': [1, 1] });
  });
  test('of a file from before is worked out at the first asking, though nothing is appended', async () => {
    const { id, wren } = await begun();
    await appendLog(id, [answer(0, wren, 'sun')]);
    const before = await runsOf([wren]);
    const { models, close } = await database();
    await models.evidence.destroy({ where: {} });
    await models.sessions.update({ stale: 1 }, { where: {} });
    await close();
    delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
    expect(await runsOf([wren])).toEqual(before);
    expect(await behind()).toBe(0);
  });
  test('what does not count is nowhere; answers of everyone are nobody’s', async () => {
    const { id, wren } = await begun();
    await appendLog(id, [answer(0, wren, 'sun', { outcome: 'does-not-count' }), answer(1, null, 'map')]);
    expect(await marksOf(wren)).toEqual([]);
  });
});

test('how old the children are is kept, and says what nobody expects of them yet', async () => {
  const { id, groupId, wren } = await begun();
  await appendLog(id, [answer(0, wren, 'sun'), answer(1, wren, 'map')]);
  const why = async (): Promise<string> =>
    sure((await childPage(wren)).ladders.flatMap((l) => l.rungs).find((r) => r.does === 'blend words like sun')).why;
  expect(await why()).not.toContain('Not expected yet');
  await setAgeBand(groupId, 'nursery');
  expect((await listGroups())[0]?.ageBand).toBe('nursery');
  expect(await why()).toContain('We wouldn’t expect this at their age yet.');
  await setAgeBand(groupId, null);
  expect(await why()).not.toContain('Not expected yet');
  await expect(setAgeBand(groupId, 'ninety')).rejects.toThrow('Choose one of the ages');
  await expect(setAgeBand(v7(), 'nursery')).rejects.toThrow('isn’t here any more');
});

describe('a child', () => {
  test('the page says what was said, what it means, and what is next; a child that is not there is a 404', async () => {
    const { id, wren } = await begun();
    await appendLog(id, [
      answer(0, wren, 'sun', { outcome: 'not-yet', slip: 'swapped-sound', said: 'θ+ʌ+n', missed: [0] }),
      answer(1, wren, 'map', { note: 'very sure' }),
    ]);
    const page = await childPage(wren);
    expect(page.recent.map((r) => [r.label, r.outcome, r.heard && heardText(r.heard)])).toEqual([
      ['map', 'on-own', null],
      ['sun', 'not-yet', 'thun (th (as in thin)-u-n)'],
    ]);
    expect(page.notes.map((n) => n.note)).toEqual(['very sure']);
    expect(sure(page.next).reason).toMatch(/^Just started \(1 of 1 on their own\).* Try /);
    expect(page.summary).toBe('Nothing is secure yet.');
    await expect(childPage(v7())).rejects.toThrow(Problem);
    await expect(childPage('x')).rejects.toThrow(Problem);
  });
  test('a slip of before is called what it was, in every reading; its mark and its row stay as they were', async () => {
    const { id, wren } = await begun();
    await appendLog(id, [
      answer(0, wren, 'sun', { outcome: 'not-yet', slip: 'swapped-sound', said: 'θ+ʌ+n', missed: [0] }),
      answer(1, wren, 'map', { outcome: 'not-yet', slip: 'lost-sound', said: 'æ', missed: [0, 2] }),
    ]);
    const read = await answersThat({ children: [wren], limit: 5 });
    expect(read.map(({ key, outcome, slip }) => [key, outcome, slip])).toEqual([
      ['map', 'not-yet', 'lost-sounds'],
      ['sun', 'not-yet', 'near-sound'],
    ]);
    expect((await lookBack(id)).answers.map(({ word, slip }) => [word, slip])).toEqual([
      ['sun', 'near-sound'],
      ['map', 'lost-sounds'],
    ]);
    const { models } = await database();
    const rows = await models.answers.findAll({ order: [['turn', 'ASC']] });
    expect(rows.map((row) => row.get().slip)).toEqual(['swapped-sound', 'lost-sound']);
  });
  test('an own way of speaking: which earlier answers it explains is shown, and nothing is changed', async () => {
    const { id, wren } = await begun();
    await appendLog(id, [
      answer(0, wren, 'sun', { outcome: 'not-yet', slip: 'swapped-sound', said: 'θ+ʌ+n', missed: [0] }),
    ]);
    await setOwnWay(wren, { swaps: [{ asked: 's', says: 'θ' }], drops: [], accent: null });
    expect((await childPage(wren)).ownWayEffect).toEqual(['thun for sun']);
    expect(sure((await answersThat({ children: [wren], limit: 5 }))[0]).outcome).toBe('not-yet');
  });
  test('a chosen step stands before ours, goes back, and stays among the choices', async () => {
    const { groupId, wren } = await begun();
    await chooseStep(wren, { step: { ladder: 'rhyme', rung: 'say' }, by: 'HB' });
    const group = sure((await listGroups()).find((g) => g.id === groupId));
    expect(sure((await boardRows(group)).find((r) => r.id === wren)).next).toMatchObject({
      does: 'say a word that rhymes',
      chosen: true,
    });
    await chooseStep(wren, null);
    expect((await childPage(wren)).chosen).toBeNull();
    expect((await choicesOf(wren)).map((c) => [c.ladder, c.rung, c.chosen_by])).toEqual([['rhyme', 'say', 'HB']]);
    await expect(chooseStep(wren, { step: { ladder: 'rhyme', rung: 'nowhere' } })).rejects.toThrow(
      'There’s no such step.',
    );
    await expect(chooseStep(v7(), { step: { ladder: 'rhyme', rung: 'say' } })).rejects.toThrow('isn’t in the list');
  });
  test('the file has everything, replaced answers too, and fits its schema; gone with the child', async () => {
    const { id, wren, kofi } = await begun();
    const first = answer(0, wren, 'sun', { outcome: 'not-yet', note: '=1+1' });
    await appendLog(id, [
      first,
      answer(0, wren, 'sun', { supersedes: first.id, why: 'mis-tap' }),
      answer(1, kofi, 'map', { partnerId: wren }),
      { kind: 'pass', id: v7(), at: Date.now(), turn: 2, childId: wren },
    ]);
    await chooseStep(wren, { step: { ladder: 'rhyme', rung: 'say' } });
    const file = childFileSchema.parse(JSON.parse(JSON.stringify(await childFile(wren))));
    expect(file.answers.map((a) => a.stands)).toEqual(['replaced', 'stands']);
    expect([file.asked.length, file.steps.length, file.chosenSteps.length]).toEqual([1, 1, 1]);
    expect(childCsv(file)).toContain("'=1+1");
    await eraseChild(wren);
    const { models } = await database();
    for (const table of [models.evidence, models.heardSounds, models.chosenSteps] as const)
      expect(await (table as typeof models.evidence).count({ where: { child_id: wren } })).toBe(0);
    await expect(childFile(wren)).rejects.toThrow(Problem);
  });
});

test('two adults: pairs of the same answer, without those undone or left out', async () => {
  const { id, groupId, wren, kofi } = await begun();
  const slip = answer(2, wren, 'leg', { by: 'KM', second: true, outcome: 'not-yet' });
  await appendLog(id, [
    answer(0, wren, 'sun', { by: 'HB' }),
    answer(0, wren, 'sun', { by: 'KM', second: true }),
    answer(1, kofi, 'map', { by: 'HB' }),
    answer(1, kofi, 'map', { by: 'KM', second: true, outcome: 'with-help' }),
    answer(2, wren, 'leg', { by: 'HB' }),
    slip,
    { kind: 'undo', id: v7(), at: Date.now(), answerId: slip.id },
  ]);
  const [ears] = await earsOf(groupId);
  expect(ears).toMatchObject({
    first: 'HB',
    second: 'KM',
    answers: 2,
    alike: 1,
    differing: [{ child: 'Kofi', item: 'map', marks: ['on-own', 'with-help'] }],
  });
  expect((await lookBack(id)).answers.map((a) => a.outcome)).toEqual(['on-own', 'on-own', 'on-own']);
});

test('a ready session of a step has just these children; what is not there says so', async () => {
  const { groupId, wren } = await begun();
  const id = await startStep(groupId, { ladder: 'blending', rung: '3-clip' }, [wren]);
  const { session } = await lookBack(id);
  expect(session.children.map((c) => c.name)).toEqual(['Wren']);
  expect(session.rounds.some((r) => r.task === 'blending' && r.step === '3-clip')).toBe(true);
  await expect(startStep(groupId, { ladder: 'blending', rung: '99' }, [wren])).rejects.toThrow('There’s no such step.');
  await expect(startStep(groupId, { ladder: 'up', rung: '3-clip' }, [wren])).rejects.toThrow('There’s no such step.');
  await expect(startStep(v7(), { ladder: 'blending', rung: '3-clip' }, [wren])).rejects.toThrow('isn’t here any more');
  await expect(startStep(groupId, { ladder: 'blending', rung: '3-clip' }, [v7()])).rejects.toThrow(
    'None of these children',
  );
});

test('what comes first and how we count are kept side by side', async () => {
  expect(await getProgressSettings()).toEqual({ unitOrder: 'large-first', staff: 2 });
  await saveUnitOrder('sounds-first');
  await saveStaff(3);
  await expect(saveStaff(0)).rejects.toThrow('at least one adult');
  expect((await getSettings()).confirmed).toBe(false);
  await saveSettings({ accent: 'scottish', conventions: PRESETS.strict });
  expect(await getProgressSettings()).toEqual({ unitOrder: 'sounds-first', staff: 3 });
  expect(await getSettings()).toMatchObject({ accent: 'scottish', confirmed: true });
});

test('a setting that had chosen four of the last five is moved over, and told until it saves its rules', async () => {
  const file = path.join(folder(), 'old.sqlite');
  await oldFile(file, MIGRATION_NAMES.indexOf('0017-one-voice'));
  const old = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
  const conventions = JSON.stringify(PRESETS.strict);
  await old.query(
    `INSERT INTO settings (id, accent, conventions, rule) VALUES (1, 'scottish', '${conventions}', 'plain')`,
  );
  await old.close();
  process.env.BOUNCY_ECHO_DB = file;
  expect(await hadPlainRule()).toBe(true);
  await saveUnitOrder('large-first');
  expect(await hadPlainRule()).toBe(false);
  expect(await getSettings()).toMatchObject({ accent: 'scottish' });
});
