import { QueryTypes } from 'sequelize';
import { expect, test, vi } from 'vitest';
import { v7 } from 'uuid';
import { planRequestSchema } from '../../core/formats/plan-file';
import { wordsSchema, type OwnWordInput } from '../../core/formats/schemas';
import { CONVENTION_IDS, PRESETS, type Conventions } from '../../core/phonology/conventions';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { newPlan, openPlan, workOnPlan } from '../plans/plans';
import { appendLog } from '../record/append-log';
import { sessionLog } from '../record/session-record';
import { correctionOf, lookBack } from '../sessions/look-back';
import { startWords } from '../sessions/start-session';
import { database } from '../storage/database';
import { ownEntries } from '../words/own-entries';
import { preparedBank } from '../words/bank';
import { saveOwnWord } from '../words/own-words';
import { saveSet } from '../words/word-sets';
import { inFreshFiles } from './fresh-file';

inFreshFiles();

async function begun() {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren');
  const child = sure(sure((await listGroups()).find((g) => g.id === groupId)).children[0]).id;
  return { groupId, child, id: await startWords({ groupId, task: 'blending', words: ['sun', 'map'], model: 'net' }) };
}

test('a correction keeps the pebble check; its note goes when it is emptied, and else stays', async () => {
  const { id, child } = await begun();
  const pebbles = [{ key: 'r opening after', word: 'frog', says: 'slip', pebbles: true, told: null }] as const;
  const first = { ...answered(0, child, 'sun'), id: v7(), at: Date.now(), note: 'Whispered.', pebbles };
  await appendLog(id, [first]);
  const correct = async (answerId: string, note?: string): Promise<string> => {
    const change = { answerId, newId: v7(), outcome: 'with-help' as const, ...(note === undefined ? {} : { note }) };
    const entry = sure(correctionOf((await lookBack(id)).answers, change));
    await appendLog(id, [entry]);
    return entry.id;
  };
  const second = await correct(first.id);
  const third = await correct(second, '  ');
  const log = await sessionLog(id);
  expect(log.find((e) => e.id === second)).toMatchObject({ pebbles, note: 'Whispered.' });
  expect(log.find((e) => e.id === third)).toMatchObject({ pebbles, note: null });
});

const own = (word: string): OwnWordInput => ({
  word,
  line: 'z ~e d',
  letters: 'z-e-d',
  meaning: 'the last letter of all',
  sentence: 'The last letter is zed.',
  prop: false,
  cautions: [],
});

test('an own word that is saved while the words are being read is there at the next reading', async () => {
  const { models } = await database();
  const findAll = models.ownWords.findAll.bind(models.ownWords);
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  const spy = vi.spyOn(models.ownWords, 'findAll').mockImplementationOnce(async (...asked) => {
    const rows = await findAll(...(asked as []));
    await held;
    return rows as never;
  });
  const reading = ownEntries();
  const { models: again, write } = await database();
  await write((transaction) =>
    again.ownWords.create(
      { ...own('zed'), id: v7(), accent: 'southern-british', prop: 0, cautions: '[]', created_at: 1, removed_at: null },
      { transaction },
    ),
  );
  const { ownEntriesChanged } = await import('../words/own-entries');
  ownEntriesChanged();
  letGo();
  expect(await reading).toEqual([]);
  spy.mockRestore();
  expect((await ownEntries()).map((o) => o.entry.word)).toEqual(['zed']);
  await expect(saveOwnWord({})).rejects.toThrow();
});

test('banks of ways of counting that nobody asks for any more are let go', async () => {
  const kept = (globalThis as { bouncyEchoBanks?: Map<string, unknown> }).bouncyEchoBanks;
  const ways = CONVENTION_IDS.slice(0, 7).map((id): Conventions => ({
    ...PRESETS.default,
    [id]: !PRESETS.default[id],
  }));
  for (const conventions of ways) await preparedBank('southern-british', conventions);
  expect(sure(kept).size).toBeLessThanOrEqual(8);
  expect(ways.length).toBeGreaterThan(5);
});

test('two tabs on one plan: the one that has not seen the other’s change is told, and overwrites nothing', async () => {
  const { groupId } = await begun();
  const id = await newPlan(groupId, planRequestSchema.parse({ minutes: 8, seed: 3 }));
  const [left, right] = [await openPlan(id), await openPlan(id)];
  const named = (title: string) => ({ ...left.plan, title });
  const changed = await workOnPlan(id, named('Left'), { kind: 'show' }, left.version);
  await expect(workOnPlan(id, named('Right'), { kind: 'show' }, right.version)).rejects.toMatchObject({ status: 409 });
  expect((await openPlan(id)).plan.title).toBe('Left');
  await workOnPlan(id, named('Left again'), { kind: 'show' }, changed.version);
  expect((await openPlan(id)).version).not.toBe(changed.version);
});

test('too many words in a set are too many, not none; a word named three times is one', async () => {
  const words = Array.from({ length: 201 }, (_, i) => `word${i}`);
  await expect(saveSet({ name: 'All', words })).rejects.toThrow(/60/);
  expect(wordsSchema.parse({ words: 'sun,sun, sun,map' }).words).toEqual(['sun', 'map']);
});

test('what is asked by child alone goes by an index', async () => {
  const { sequelize } = await database();
  for (const table of [
    'steps',
    'session_children',
    'readings',
    'answers',
    'evidence',
    'heard_sounds',
    'pebble_checks',
  ]) {
    const plan = await sequelize.query<{ detail: string }>(
      `EXPLAIN QUERY PLAN SELECT 1 FROM ${table} WHERE child_id = 'x'`,
      { type: QueryTypes.SELECT },
    );
    expect(sure(plan[0]).detail, table).toMatch(/^SEARCH/);
  }
});
