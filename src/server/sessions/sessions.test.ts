import { chmodSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { QueryTypes, type Transaction } from 'sequelize';
import { v7 } from 'uuid';
import { wordsSchema } from '../../core/formats/schemas';
import { toCsv } from '../../core/formats/session-export';
import type { AnswerEntry } from '../../core/sessions/log';
import { slippedSounds, tally } from '../../core/sessions/summary';
import { appendLog } from '../record/append-log';
import { sessionRecord } from '../record/session-record';
import { setOwnWay } from '../people/groups';
import { findWords } from '../words/words';
import { database, openDatabase } from '../storage/database';
import { seedDemo } from '../demo/seed';
import {
  addChildren,
  addGroup,
  eraseChild,
  eraseGroup,
  groupOrFirst,
  listGroups,
  renameChild,
  renameGroup,
  setAway,
} from '../people/groups';
import { correctionOf, exportOf, listSessions, lookBack } from './look-back';
import { playSession } from './play-session';
import { REOPEN_MS, reopenSession } from './reopen';
import { replay } from '../../core/sessions/replay';
import { Problem } from '../storage/problems';
import { getSettings, saveSettings } from '../setting/settings';
import { startWords } from './start-session';
import { readySessions } from '../plans/today';
import { PRESETS } from '../../core/phonology/conventions';
import { inFreshFiles } from '../testing/fresh-file';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';

// Real SQLite files throughout.
const folder = inFreshFiles();

const answer = (turn: number, childId: string | null, word: string, more: Partial<AnswerEntry> = {}): AnswerEntry => ({
  ...answered(turn, childId, word),
  id: v7(),
  at: Date.now(),
  ...more,
});

async function begun(
  names = 'Wren\nKofi',
  words = ['sun', 'map', 'frog'],
): Promise<{ id: string; groupId: string; children: string[] }> {
  const group = await addGroup('Radishes');
  await addChildren(group.id, names);
  const { children } = sure((await listGroups())[0]);
  const id = await startWords({ groupId: group.id, task: 'blending', words, model: 'leg', spares: ['net'] });
  return { id, groupId: group.id, children: children.map((c) => c.id) };
}

describe('database', () => {
  test('every connection has its pragmas: WAL, FULL, foreign keys, busy timeout, secure delete', async () => {
    const { sequelize, write } = await database();
    const read = async (name: string, transaction?: Transaction): Promise<unknown> => {
      const rows = await sequelize.query(`PRAGMA ${name}`, {
        type: QueryTypes.SELECT,
        ...(transaction ? { transaction } : {}),
      });
      return Object.values(rows[0] as object)[0];
    };
    const wanted = { journal_mode: 'wal', synchronous: 2, foreign_keys: 1, busy_timeout: 5000, secure_delete: 1 };
    for (const [name, value] of Object.entries(wanted)) {
      expect(await read(name), name).toBe(value);
      await write(async (transaction) => expect(await read(name, transaction), `${name} in a transaction`).toBe(value));
    }
  });
  test('fifty writes at once all land', async () => {
    await Promise.all(Array.from({ length: 50 }, (_, i) => addGroup(`Group ${i}`)));
    expect(await listGroups()).toHaveLength(50);
  });
  test('a write that fails leaves nothing half-written and does not stop the queue', async () => {
    const { models, write } = await database();
    await expect(
      write(async (transaction) => {
        await models.groups.create({ id: v7(), name: 'half', position: 0, created_at: 0, letters: 0 }, { transaction });
        throw new Error('no');
      }),
    ).rejects.toThrow('no');
    await addGroup('whole');
    expect((await listGroups()).map((g) => g.name)).toEqual(['whole']);
  });
  test('what is not a database is named and left as it was', async () => {
    const file = path.join(folder(), 'letter.sqlite');
    writeFileSync(file, 'Dear all, this is a letter and no database. '.repeat(200));
    const before = readFileSync(file);
    await expect(openDatabase(file)).rejects.toThrow(/isn’t a Bouncy Echo database\. We haven’t touched it/);
    expect(readFileSync(file).equals(before)).toBe(true);
  });
  test.runIf(process.getuid?.() === 0)('a data folder without write access is said in words', async () => {
    chmodSync(folder(), 0o755);
    const closed = path.join(folder(), 'closed');
    mkdirSync(closed, { mode: 0o555 });
    sure(process.seteuid)(65534);
    try {
      await expect(openDatabase(path.join(closed, 'x.sqlite'))).rejects.toThrow(
        /can’t write to .*Nothing has been saved/,
      );
    } finally {
      sure(process.seteuid)(0);
    }
  });
  test('a failed opening is tried again', async () => {
    writeFileSync(sure(process.env.BOUNCY_ECHO_DB), 'x'.repeat(5_000));
    await expect(listGroups()).rejects.toBeInstanceOf(Problem);
    rmSync(sure(process.env.BOUNCY_ECHO_DB));
    expect(await listGroups()).toEqual([]);
  });
});

describe('groups and children', () => {
  test('the first visit finds a group, so that nothing blocks playing', async () => {
    const found = await Promise.all(Array.from({ length: 5 }, () => groupOrFirst(undefined)));
    expect(new Set(found.map((g) => g.id)).size).toBe(1);
    expect(sure(found[0]).name).toBe('Our group');
    expect(await listGroups()).toHaveLength(1);
  });
  test('names on lines; odd ones are kept, impossible ones are named', async () => {
    const group = await addGroup('G');
    const read = await addChildren(group.id, `<script>x</script>\n=1+1\n小明\n${'z'.repeat(200)}\nWren\nWren`);
    expect(read.problems.map((p) => p.line)).toEqual([4]);
    expect(read.doubles).toEqual(['Wren']);
    expect(sure((await listGroups())[0]).children.map((c) => c.name)).toEqual([
      '<script>x</script>',
      '=1+1',
      '小明',
      'Wren',
      'Wren',
    ]);
  });
  test('bad input is refused in words and changes nothing', async () => {
    await expect(addGroup('  ')).rejects.toThrow('A name needs at least one letter.');
    await expect(addChildren(v7(), 'Wren')).rejects.toThrow('isn’t here any more');
    await expect(addChildren('not-an-id', 'Wren')).rejects.toThrow('isn’t a Bouncy Echo id');
    await expect(renameChild(v7(), 'Wren')).rejects.toThrow('isn’t in the list');
    expect(await listGroups()).toEqual([]);
  });
  test('away is for today', async () => {
    const { children } = await begun();
    await setAway(sure(children[0]), true);
    expect(sure((await listGroups())[0]).children.map((c) => c.away)).toEqual([true, false]);
    const { models } = await database();
    await models.children.update({ away_on: '2020-01-01' }, { where: {} });
    expect(sure((await listGroups())[0]).children.some((c) => c.away)).toBe(false);
  });
  test('erasing a child leaves no trace in the file', async () => {
    const { id, children } = await begun('Zebedee-Unmistakable\nKofi');
    await appendLog(id, [
      answer(0, sure(children[0]), 'sun', { note: 'a-telltale-note' }),
      answer(1, sure(children[1]), 'map'),
    ]);
    const all = (): string =>
      readdirSync(folder())
        .map((f) => readFileSync(path.join(folder(), f)).toString('latin1'))
        .join('');
    expect(all()).toContain('Zebedee-Unmistakable');
    await eraseChild(sure(children[0]));
    for (const trace of ['Zebedee-Unmistakable', 'a-telltale-note', sure(children[0])])
      expect(all(), trace).not.toContain(trace);
    expect((await lookBack(id)).answers.map((a) => a.child)).toEqual(['Kofi']);
  });
});

test('a group is renamed, and erased with everything in it', async () => {
  const { id, groupId, children } = await begun('Zebedee-Unmistakable');
  await appendLog(id, [answer(0, sure(children[0]), 'sun', { note: 'a-telltale-note' })]);
  await renameGroup(groupId, 'Turnips');
  expect(sure((await listGroups())[0]).name).toBe('Turnips');
  await expect(renameGroup(groupId, ' ')).rejects.toThrow('at least one letter');
  await eraseGroup(groupId);
  expect(await listGroups()).toEqual([]);
  await expect(lookBack(id)).rejects.toMatchObject({ status: 404 });
  const all = readdirSync(folder())
    .map((f) => readFileSync(path.join(folder(), f)).toString('latin1'))
    .join('');
  for (const trace of ['Zebedee-Unmistakable', 'a-telltale-note', 'Turnips']) expect(all, trace).not.toContain(trace);
});

describe('sessions', () => {
  test('a device that has the rest gets only what is new; one that has not gets it all', async () => {
    const { id, children } = await begun();
    const [first, second] = [answer(0, sure(children[0]), 'sun'), answer(1, sure(children[1]), 'map')];
    expect(await appendLog(id, [first])).toMatchObject({ total: 1, log: [{ id: first.id }] });
    expect((await appendLog(id, [second], { has: 1 })).log.map((e) => e.id)).toEqual([second.id]);
    expect((await appendLog(id, [], { has: 1 })).log.map((e) => e.id)).toEqual([second.id]);
    expect((await appendLog(id, [])).log.map((e) => e.id)).toEqual([first.id, second.id]);
    expect((await appendLog(id, [], { has: 9 })).log.map((e) => e.id)).toEqual([first.id, second.id]);
    expect(await appendLog(id, [], { has: 2 })).toMatchObject({ log: [], total: 2 });
  });
  test('a session left without an answer is not listed after a few hours', async () => {
    const { groupId } = await begun();
    expect(await listSessions(groupId)).toHaveLength(1);
    expect(await listSessions(groupId, 50, Date.now() + 7 * 3_600_000)).toEqual([]);
  });
  test('saving twice changes nothing', async () => {
    const { id, children } = await begun();
    const given = [answer(0, sure(children[0]), 'sun'), answer(1, sure(children[1]), 'map', { outcome: 'no-reply' })];
    const first = await appendLog(id, given);
    const second = await appendLog(id, [...given, ...given]);
    expect(second).toEqual(first);
    expect(second.log).toHaveLength(2);
  });
  test('what cannot be kept is refused with a reason, and the rest is kept', async () => {
    const { id, children } = await begun();
    const good = answer(0, sure(children[0]), 'sun');
    const bad = [
      answer(1, v7(), 'map'),
      answer(2, sure(children[0]), 'zzz'),
      answer(3, null, 'map', { supersedes: v7() }),
    ];
    const { log, refused } = await appendLog(id, [good, ...bad]);
    expect(log.map((e) => e.id)).toEqual([good.id]);
    expect(refused.map((r) => r.id)).toEqual(bad.map((b) => b.id));
    for (const { why } of refused) expect(why).toMatch(/\.$/);
  });
  test('a session that is not there, and words that are not in the bank', async () => {
    await expect(appendLog(v7(), [])).rejects.toMatchObject({ status: 404 });
    await expect(playSession('../../etc/passwd')).rejects.toMatchObject({ status: 404 });
    const { groupId } = await begun();
    await expect(startWords({ groupId, task: 'blending', words: ['sun', 'zzz'] })).rejects.toThrow('zzz');
  });
  test('fresh, after a model and in chorus are told apart by how the round ran', async () => {
    const { id, children } = await begun();
    await appendLog(id, [
      answer(0, sure(children[0]), 'sun'),
      answer(1, sure(children[1]), 'leg'),
      answer(2, null, 'map'),
    ]);
    expect((await lookBack(id)).answers.map((a) => a.standing)).toEqual(['fresh', 'after-a-model', 'in-chorus']);
  });
  test('a correction supersedes and the old mark stays', async () => {
    const { id, children } = await begun();
    const given = answer(0, sure(children[0]), 'frog', { outcome: 'not-yet', slip: 'lost-sound', missed: [1] });
    await appendLog(id, [given]);
    const before = await lookBack(id);
    await appendLog(id, [
      sure(
        correctionOf(before.answers, {
          answerId: given.id,
          newId: v7(),
          outcome: 'on-own',
          note: 'heard it on the way out',
        }),
      ),
    ]);
    const after = await lookBack(id);
    expect(after.answers).toMatchObject([
      {
        outcome: 'on-own',
        missed: [],
        note: 'heard it on the way out',
        before: [{ id: given.id, outcome: 'not-yet' }],
      },
    ]);
    expect(sure((await listSessions((await groupOrFirst(undefined)).id))[0]).tally['on-own']).toBe(1);
    const { models } = await database();
    expect(await models.answers.count()).toBe(2);
    expect(toCsv(exportOf(after))).toContain('Not yet');
  });
  test('a correction keeps who asked, unless that child is said to have answered', async () => {
    const { id, children } = await begun('Wren\nKofi\nIdris');
    const [wren, kofi, idris] = children as [string, string, string];
    const given = answer(0, wren, 'sun', { partnerId: kofi, outcome: 'not-yet' });
    await appendLog(id, [given]);
    const correct = async (answerId: string, childId?: string): Promise<string> => {
      const { answers } = await lookBack(id);
      const newId = v7();
      const more = childId ? { childId } : {};
      await appendLog(id, [sure(correctionOf(answers, { answerId, newId, outcome: 'on-own', ...more }))]);
      return newId;
    };
    const first = await correct(given.id);
    expect((await lookBack(id)).answers).toMatchObject([{ child: 'Wren', partner: 'Kofi' }]);
    const second = await correct(first, idris);
    expect((await lookBack(id)).answers).toMatchObject([{ child: 'Idris', partner: 'Kofi' }]);
    await correct(second, kofi);
    expect((await lookBack(id)).answers).toMatchObject([{ child: 'Kofi', partner: null }]);
  });
  test('ended too early, a session goes on within the hour, with all that was marked; later it stays', async () => {
    const { id, children } = await begun();
    const end = Date.now();
    await appendLog(id, [
      answer(0, sure(children[0]), 'sun'),
      { kind: 'finish', id: v7({ msecs: end + 5_000 }), at: end },
    ]);
    expect((await lookBack(id)).reopens).toBe(true);
    await expect(reopenSession(id, end + REOPEN_MS)).rejects.toThrow('more than an hour ago');
    await reopenSession(id, end + 60_000);
    await reopenSession(id, end + 61_000);
    const { session, answers, reopens } = await lookBack(id);
    expect([session.finishedAt, answers.length, reopens]).toEqual([null, 1, false]);
    const { plan, log } = await playSession(id);
    expect(replay(plan, log).phase).toBe('turn');
    expect(log.filter((e) => e.kind === 'reopen')).toHaveLength(1);
  });
  test('play carries every item ready, in the accent and counting of the session', async () => {
    const { id } = await begun();
    await saveSettings({ accent: 'general-american', conventions: PRESETS.letters });
    const session = await playSession(id);
    const [round] = session.rounds;
    expect(Object.keys(sure(round).items).sort()).toEqual(['frog', 'leg', 'map', 'net', 'sun']);
    expect(sure(sure(round).items.frog).marks.map((m) => m.ipa)).toEqual(['f', 'r', 'ɒ', 'ɡ']);
    expect(sure(session.plan.rounds[0]).turns).toBe(2);
  });
  test('several accents in the setting, or a child with one of their own: any shipped vowel is fair', async () => {
    const { id, children } = await begun();
    const { accent, conventions } = await getSettings();
    await saveSettings({ accent, conventions, mixed: true });
    expect([(await playSession(id)).mixed, (await getSettings()).mixed]).toEqual([true, true]);
    await saveSettings({ accent, conventions });
    expect((await getSettings()).mixed).toBe(true);
    await saveSettings({ accent, conventions, mixed: false });
    expect((await playSession(id)).mixed).toBe(false);
    const { accent: own } = await sessionRecord(id);
    const other = own === 'scottish' ? 'general-american' : 'scottish';
    await setOwnWay(sure(children[0]), { swaps: [], drops: [], accent: other });
    expect((await playSession(id)).mixed).toBe(true);
  });
});

describe('choosing', () => {
  test('contested words come in once the setting has said how it counts', async () => {
    const group = await addGroup('G');
    const choice = wordsSchema.parse({ sounds: '4' });
    const before = await findWords(choice, { ...group, children: [] });
    await saveSettings({ ...(await getSettings()), conventions: PRESETS.default });
    const after = await findWords(choice, { ...group, children: [] });
    expect(after.facets.counts[4]).toBeGreaterThan(before.facets.counts[4]);
  });
  test('a swapped word stays, the others keep their places', async () => {
    const group = { ...(await addGroup('G')), children: [] };
    const first = await findWords(wordsSchema.parse({ sounds: '3' }), group);
    const names = first.set.map((w) => w.word);
    const swapped = names.map((w, i) => (i === 2 ? sure(first.spares[0]) : w));
    const second = await findWords(
      wordsSchema.parse({ sounds: '3', words: swapped.join(','), no: sure(names[2]) }),
      group,
    );
    expect(second.set.map((w) => w.word)).toEqual(swapped);
    expect(second.spares).not.toContain(names[2]);
  });
  test('today goes on with the step that is next for those here', async () => {
    const { id, groupId, children } = await begun('Wren\nKofi', ['sun', 'map', 'leg', 'fish']);
    await appendLog(
      id,
      [0, 1, 2, 3].map((t) => answer(t, sure(children[t % 2]), sure(['sun', 'map', 'leg', 'fish'][t]))),
    );
    await new Promise((resolve) => setTimeout(resolve, 5));
    await startWords({ groupId, task: 'segmenting', words: ['sun'] });
    const ready = await readySessions(sure((await listGroups())[0]));
    expect(ready).toHaveLength(3);
    expect(ready[0]).toMatchObject({ wish: { task: 'blending', step: '3-held' } });
    expect(sure(ready[0]).why).toContain('It’s next for');
  });
});

test('the demo: two groups, three weeks, profiles that show, the same from the same seed and time', async () => {
  const now = new Date(2026, 9, 14, 12).getTime();
  expect(await seedDemo(now)).toBe(true);
  expect(await seedDemo(now)).toBe(false);
  const groups = await listGroups();
  expect(groups).toHaveLength(2);
  const shares: Record<string, ReturnType<typeof tally>> = {};
  let wren: { slips: number; sounds: string[] } = { slips: 0, sounds: [] };
  const ids: string[] = [];
  for (const group of groups) {
    const sessions = await listSessions(group.id);
    expect(sessions.length).toBeGreaterThanOrEqual(9);
    expect((sure(sessions[0]).startedAt - sure(sessions.at(-1)).startedAt) / 86_400_000).toBeGreaterThan(14);
    for (const s of sessions) expect([0, 6]).not.toContain(new Date(s.startedAt).getDay());
    const answers = (await Promise.all(sessions.map((s) => lookBack(s.id)))).flatMap((s) => s.answers);
    ids.push(...answers.map((a) => a.id));
    for (const child of group.children) shares[child.name] = tally(answers.filter((a) => a.childId === child.id));
    const slips = slippedSounds(answers.filter((a) => a.child === 'Wren'));
    if (slips.length) wren = { slips: slips.reduce((n, s) => n + s.times, 0), sounds: slips.map((s) => s.ipa) };
  }
  expect(sure(shares.Ottilie)['on-own']).toBeGreaterThan(
    sure(shares.Ottilie)['not-yet'] + sure(shares.Ottilie)['with-help'],
  );
  expect(sure(shares.Idris)['no-reply']).toBeGreaterThan(sure(shares.Idris)['on-own']);
  expect(sure(shares.Tomasz)['on-own']).toBe(0);
  expect(wren.slips).toBeGreaterThan(0);

  await (await database()).close();
  delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
  process.env.BOUNCY_ECHO_DB = path.join(folder(), 'again.sqlite');
  await seedDemo(now);
  const again = (
    await Promise.all(
      (await Promise.all((await listGroups()).map((g) => listSessions(g.id)))).flat().map((s) => lookBack(s.id)),
    )
  ).flatMap((s) => s.answers.map((a) => a.id));
  expect(new Set(again)).toEqual(new Set(ids));
  expect(existsSync(path.join(folder(), 'again.sqlite'))).toBe(true);
});
