import { expect, test, vi } from 'vitest';
import { QueryTypes, Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { v7 } from 'uuid';
import { OUTCOMES } from '../../core/answers/outcome';
import { seeded } from '../../core/random';
import { ROUND_STRIDE, roundOf, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { times } from '../../core/testing/deep';
import { boardOf } from '../children/progress';
import { childFile } from '../children/child-file';
import { childPage } from '../children/child-page';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { appendLog } from '../record/append-log';
import { earsOf } from '../sessions/ears';
import { habitsOfChildren } from '../sessions/habits';
import { listSessions, lookBack } from '../sessions/look-back';
import { startSession } from '../sessions/start-session';
import { turnsLately } from '../sessions/turn-order';
import { readySessions } from '../plans/today';
import { behind } from '../record/rebuild-queue';
import { database } from '../storage/database';
import { everything } from '../whole/everything';
import { rows } from '../storage/rows';
import { inFreshFiles } from '../testing/fresh-file';
import { together } from '../testing/pieces';
import { answersThat, askedThat, outcomesThat } from './answers';
import { runsOf } from './kept-evidence';
import { PLAIN_ROUND } from '../../core/testing/rounds';

inFreshFiles();

const WORDS = ['sun', 'map', 'leg', 'net', 'fish'];
const HISTORIES = times(300, 60);

/** A running order of two rounds, one after the other. */
function twoRounds(title: string) {
  const items = WORDS.map((key) => ({ key, locked: false }));
  const round = {
    ...PLAIN_ROUND,
    task: 'blending',
    step: '3-held',
    items,
    model: 'net',
    seed: 1,
  } as const;
  return {
    title,
    minutes: 8,
    letters: false,
    sound: null,
    pairs: [],
    rounds: [
      { id: 'r1', ...round },
      { id: 'r2', ...round, way: 'check' as const },
    ],
  };
}

/** A session of two rounds, with its group and children. */
async function begun(name: string) {
  const group = await addGroup(name);
  await addChildren(group.id, 'Wren\nKofi\nOttilie');
  const { children } = sure((await listGroups()).find((g) => g.id === group.id));
  const id = await startSession(group.id, twoRounds(name));
  return { id, groupId: group.id, children: children.map((c) => c.id) };
}

/** Something happens: a mark, a mark beside, one in chorus, a correction, an undo, or the word said before. */
function happening(random: () => number, log: readonly Entry[], children: readonly string[], n: number): Entry {
  const pick = <T>(of: readonly T[]): T => sure(of[Math.floor(random() * of.length)]);
  const at = 1_760_000_000_000 + n * 60_000;
  const stamp = { id: v7({ msecs: at }), at };
  const given = log.filter((e): e is AnswerEntry => e.kind === 'answer');
  const turn = (random() < 0.3 ? ROUND_STRIDE : 0) + Math.floor(random() * 8);
  const chance = random();
  if (given.length && chance < 0.15) return { kind: 'undo', answerId: pick(given).id, ...stamp };
  if (given.length && chance < 0.4) {
    const old = pick(given);
    const childId = old.childId && random() < 0.3 ? pick(children) : old.childId;
    return { ...old, outcome: pick(OUTCOMES), childId, supersedes: old.id, why: 'heard-again', ...stamp };
  }
  if (chance < 0.5) return { kind: 'said', turn, word: pick(WORDS), as: 'my-turn', ...stamp };
  return { ...marked(random, pick, turn, children), ...stamp };
}

type Pick = <T>(of: readonly T[]) => T;

/** A mark of one child or of everyone, by the first adult or by one who listens along. */
function marked(
  random: () => number,
  pick: Pick,
  turn: number,
  children: readonly string[],
): Omit<AnswerEntry, 'id' | 'at'> {
  const slip = random() < 0.4 ? ({ slip: 'lost-sound', missed: [Math.floor(random() * 3)] } as const) : {};
  const base = { ...answered(turn, random() < 0.1 ? null : pick(children), pick(WORDS)), ...slip };
  const beside = random() < 0.2;
  return {
    ...base,
    outcome: pick(OUTCOMES),
    by: beside ? pick(['KM', 'LP']) : 'HB',
    ...(beside ? { second: true } : {}),
    ...(base.childId && !beside && random() < 0.1 ? { differs: true } : {}),
  };
}

/** Sends a history as two devices would: in pieces, some much later than others, some twice. */
async function send(id: string, log: readonly Entry[], random: () => number): Promise<void> {
  const [mine, theirs] = [log.filter((_, i) => i % 3), log.filter((_, i) => i % 3 === 0)];
  const middle = Math.floor(random() * mine.length);
  const late: Entry[] = [];
  for (const part of [mine.slice(0, middle), theirs, mine.slice(middle), theirs]) {
    const { refused } = await appendLog(id, part);
    late.push(...part.filter((e) => refused.some((r) => r.id === e.id)));
  }
  // What speaks of something that had not come yet is sent again.
  for (let i = 0; i < 4; i += 1) await appendLog(id, late);
}

// The rule said once more, plainly: an answer stands that nobody took back, replaced, or marked again later.
function plainly(log: readonly Entry[]) {
  const answers = log.filter((e): e is AnswerEntry => e.kind === 'answer');
  const left = answers.filter(
    (a) =>
      !log.some((e) => e.kind === 'undo' && e.answerId === a.id) && !answers.some((later) => later.supersedes === a.id),
  );
  const own = left.filter((a) => !a.second);
  const same = (a: AnswerEntry, b: AnswerEntry): boolean =>
    a.turn === b.turn && Boolean(a.differs) === Boolean(b.differs) && (!a.differs || a.childId === b.childId);
  const stands = own.filter((a) => !own.some((b) => b.id > a.id && same(a, b)));
  const first = (a: AnswerEntry): AnswerEntry => {
    const old = answers.find((b) => b.id === a.supersedes);
    return old ? first(old) : a;
  };
  const standing = (a: AnswerEntry): string => {
    if (a.childId === null || a.differs) return 'in-chorus';
    if (roundOf(a.turn) === 1) return 'check-in';
    if (a.word === 'net') return 'after-a-model';
    const asked = first(a).id;
    const said = log.some(
      (e) => e.kind === 'said' && e.word === a.word && roundOf(e.turn) === roundOf(a.turn) && e.id < asked,
    );
    const chorus = stands.some(
      (b) => b.childId === null && b.word === a.word && roundOf(b.turn) === roundOf(a.turn) && first(b).id < asked,
    );
    return said || chorus ? 'after-a-model' : 'fresh';
  };
  return {
    stands: stands
      .map((a) => ({ ...a, standing: standing(a), askedAt: first(a).at }))
      .sort((a, b) => a.askedAt - b.askedAt || (a.id < b.id ? -1 : 1)),
    undone: log.filter((e) => e.kind === 'undo').length,
    beside: left.filter((a) => a.second && !left.some((b) => b.second && b.id > a.id && sameEar(a, b))),
  };
}
const sameEar = (a: AnswerEntry, b: AnswerEntry): boolean =>
  a.turn === b.turn && a.childId === b.childId && a.by === b.by;

const LETTERS: Readonly<Record<string, string>> = { 'on-own': '1', 'with-help': 'h', 'not-yet': '0', 'no-reply': '-' };
/** A lost sound is open: it may be how the child speaks. */
const letterOf = ({ slip, outcome }: AnswerEntry): string =>
  slip === 'lost-sound' && (outcome === 'not-yet' || outcome === 'with-help') ? 'u' : (LETTERS[outcome] ?? '');
const sorted = (ids: readonly string[]): string[] => [...ids].sort();

/** What is only counted or timed is counted and timed over the same answers. */
async function expectCounted(id: string, alone: ReturnType<typeof plainly>['stands'], where: string): Promise<void> {
  const played = alone.filter((a) => a.standing !== 'check-in');
  const asked = await askedThat({ sessions: [id], play: true, turns: true });
  expect(
    asked.map((a) => [a.turn, a.askedAt]),
    where,
  ).toEqual(played.map((a) => [a.turn, a.askedAt]));
  const outcomes = await outcomesThat({ sessions: [id], play: true, turns: true });
  for (const outcome of OUTCOMES) {
    const those = played.filter((a) => a.outcome === outcome);
    const [counted, ...more] = outcomes.filter((o) => o.outcome === outcome);
    expect([counted?.times ?? 0, more], `${where} ${outcome}`).toEqual([those.length, []]);
    if (counted) expect(counted.lastAt, where).toBe(Math.max(...those.map((a) => a.askedAt)));
  }
}

test(`${HISTORIES} histories with corrections, undos, models, second ears, late entries and two devices: every reader of
 answers says what the plain rule says`, async () => {
  for (let seed = 0; seed < HISTORIES; seed += 1) {
    const random = seeded(seed + 1);
    const { id, groupId, children } = await begun(`Bed ${seed}`);
    const log: Entry[] = [];
    const many = 5 + Math.floor(random() * 35);
    while (log.length < many) log.push(happening(random, log, children, log.length));
    await send(id, log, random);
    const kept = new Set((await lookBack(id)).answers.map((a) => a.id));
    const truth = plainly(log);
    const where = `history ${seed}`;
    const ids = (of: readonly { readonly id: string }[]): string[] => sorted(of.map((a) => a.id));

    expect(sorted([...kept]), where).toEqual(ids(truth.stands));
    const read = await answersThat({ sessions: [id] });
    expect(
      read.reverse().map(({ id: of, standing, askedAt }) => [of, standing, askedAt]),
      where,
    ).toEqual(truth.stands.map((a) => [a.id, a.standing, a.askedAt]));
    expect(ids(await answersThat({ sessions: [id], fates: ['beside'] })), where).toEqual(ids(truth.beside));
    const shown = (await lookBack(id)).answers;
    expect(new Map(shown.map((a) => [a.id, a.standing])), where).toEqual(
      new Map(truth.stands.map((a) => [a.id, a.standing])),
    );

    const alone = truth.stands.filter((a) => !a.differs);
    await expectCounted(id, alone, where);
    const [line] = await listSessions(groupId, 50, 1_760_000_000_000);
    for (const outcome of OUTCOMES)
      expect(line?.tally[outcome] ?? 0, `${where} ${outcome}`).toBe(alone.filter((a) => a.outcome === outcome).length);
    const turns = await turnsLately(groupId);
    const habits = await habitsOfChildren(children);
    for (const child of children) {
      const theirs = truth.stands.filter((a) => a.childId === child);
      const counting = alone.filter((a) => a.childId === child && a.outcome !== 'does-not-count');
      expect(turns.get(child) ?? 0, where).toBe(counting.length);
      expect(Boolean(habits[child]), where).toBe(theirs.some((a) => a.slip !== null));
      const counted = theirs.filter((a) => a.outcome !== 'does-not-count');
      const marks = new Map<string, string>();
      for (const a of counted) marks.set(a.standing, (marks.get(a.standing) ?? '') + letterOf(a));
      const runs = sure((await runsOf([child])).get(child));
      expect(new Map(runs.map((r) => [r.standing, r.marks])), where).toEqual(marks);
      for (const run of runs)
        expect(run.at, where).toBe(
          Math.max(...counted.filter((a) => a.standing === run.standing).map((a) => a.askedAt)),
        );
      const page = await childPage(child);
      expect(
        page.recent.map((a) => a.id),
        where,
      ).toEqual(
        theirs
          .map((a) => a.id)
          .reverse()
          .slice(0, 8),
      );
      const file = (await childFile(child)).answers;
      expect(ids(file.filter((a) => a.stands === 'stands')), where).toEqual(ids(theirs));
    }
    const pairs = truth.beside.filter((b) => {
      const own = truth.stands.find((a) => a.turn === b.turn && a.childId === b.childId && a.word === b.word);
      return own && b.childId && [own, b].every((a) => a.outcome !== 'does-not-count');
    });
    expect(
      (await earsOf(groupId)).reduce((sum, e) => sum + e.answers, 0),
      where,
    ).toBe(pairs.length);
  }
}, 900_000);

test('a correction on a later day leaves the answer on the day the child was asked', async () => {
  const { id, children } = await begun('Radishes');
  const monday = Date.parse('2026-03-02T10:00:00Z');
  const wren = sure(children[0]);
  const given = (turn: number, at: number, more: Partial<AnswerEntry> = {}): AnswerEntry => ({
    ...answered(turn, wren, 'sun'),
    id: v7({ msecs: at }),
    at,
    ...more,
  });
  const first = given(0, monday, { outcome: 'not-yet' });
  await appendLog(id, [first, given(1, monday + 60_000)]);
  const before = sure((await runsOf([wren])).get(wren));
  await appendLog(id, [given(0, monday + 3 * 86_400_000, { supersedes: first.id, why: 'mis-tap' })]);
  const after = sure((await runsOf([wren])).get(wren));
  expect(after).toMatchObject([{ at: before[0]?.at, day: before[0]?.day, marks: '11' }]);
  expect((await childPage(wren)).days).toBe(1);
});

test('what another device says late, that the word was modelled before, is heard', async () => {
  const { id, children } = await begun('Beans');
  const wren = sure(children[0]);
  const at = Date.parse('2026-03-02T10:00:00Z');
  await appendLog(id, [{ ...answered(0, wren, 'sun'), id: v7({ msecs: at }), at }]);
  expect(await answersThat({ sessions: [id] })).toMatchObject([{ standing: 'fresh' }]);
  const earlier = at - 5_000;
  await appendLog(id, [{ kind: 'said', turn: 0, word: 'sun', as: 'my-turn', id: v7({ msecs: earlier }), at: earlier }]);
  expect(await answersThat({ sessions: [id] })).toMatchObject([{ standing: 'after-a-model' }]);
});

test('a session that cannot be read holds no other up, is counted as behind, and is given out as marked', async () => {
  const [one, two] = [await begun('Leeks'), await begun('Kale')];
  const { models } = await database();
  const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  for (const { id, children } of [one, two])
    await appendLog(id, [{ ...answered(0, sure(children[0]), 'sun'), id: v7(), at: Date.now() }]);
  await models.sessions.update({ rounds: '[]' }, { where: { id: one.id } });
  expect(await answersThat({ sessions: [one.id, two.id] })).toMatchObject([{ sessionId: two.id }]);
  expect(await behind()).toBe(1);
  expect(said).toHaveBeenCalledOnce();
  expect(await models.sessions.count({ where: { stale: 1 } })).toBe(1);
  // The child’s file and the archive are given out all the same, with the answer as it was marked.
  expect((await childFile(sure(one.children[0]))).answers).toMatchObject([{ stands: 'not-read', standing: null }]);
  said.mockClear();
  expect((await together(everything().pieces)).length).toBeGreaterThan(1_000);
  expect(said).toHaveBeenCalledWith(expect.stringContaining(one.id), expect.anything());
  said.mockRestore();
});

test('a reading that fails once is tried again by itself', async () => {
  const { id, children } = await begun('Chives');
  const { sequelize } = await database();
  const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  await appendLog(id, [{ ...answered(0, sure(children[0]), 'sun'), id: v7(), at: Date.now() }]);
  // The disk is full for a moment (sqlite.org/lang_createtrigger.html, RAISE).
  await sequelize.query(
    `CREATE TRIGGER full BEFORE INSERT ON readings BEGIN SELECT RAISE(ABORT, 'database or disk is full'); END`,
  );
  expect(await answersThat({ sessions: [id] })).toEqual([]);
  expect(await behind()).toBe(1);
  await sequelize.query('DROP TRIGGER full');
  await expect.poll(behind, { timeout: 60_000 }).toBe(0);
  expect(await answersThat({ sessions: [id] })).toHaveLength(1);
  said.mockRestore();
});

test('a question that failed once does not stand for ever: the next one who asks is answered', async () => {
  const { id, children } = await begun('Rocket');
  await appendLog(id, [{ ...answered(0, sure(children[0]), 'sun'), id: v7(), at: Date.now() }]);
  await startAnew();
  const { sequelize } = await database();
  const query = vi.spyOn(sequelize, 'query').mockRejectedValueOnce(new Error('SQLITE_IOERR: disk I/O error'));
  await expect(answersThat({ sessions: [id] })).rejects.toThrow('SQLITE_IOERR');
  query.mockRestore();
  expect(await answersThat({ sessions: [id] })).toHaveLength(1);
});

test('an answer that comes while the session is being read is in the next reading', async () => {
  const { id, children } = await begun('Peas');
  const wren = sure(children[0]);
  const { models } = await database();
  for (let turn = 0; turn < 12; turn += 1) {
    const reading = answersThat({ sessions: [id] });
    const adding = appendLog(id, [{ ...answered(turn, wren, 'sun'), id: v7(), at: Date.now() }]);
    await Promise.all([reading, adding]);
    expect(await answersThat({ sessions: [id] }), `turn ${turn}`).toHaveLength(turn + 1);
  }
  expect(await models.sessions.count({ where: { stale: 1 } })).toBe(0);
});

/** Opens the file anew, as a start of the server does. */
async function startAnew(): Promise<void> {
  await (await database()).close();
  delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
}

test('pages asked for at once read each session once; a page that only reads writes nothing', async () => {
  const { id, groupId, children } = await begun('Chard');
  const wren = sure(children[0]);
  await appendLog(id, [{ ...answered(0, wren, 'sun'), id: v7(), at: Date.now() }]);
  await childPage(wren);
  // The file counts for itself how often a session is put down as read, whoever does it.
  const { sequelize, models, file } = await database();
  await sequelize.query('CREATE TABLE times_read (id TEXT)');
  await sequelize.query(
    'CREATE TRIGGER count_reads AFTER UPDATE OF stale ON sessions WHEN new.stale = 0 ' +
      'BEGIN INSERT INTO times_read VALUES (new.id); END',
  );
  await models.sessions.update({ stale: 1 }, { where: {} });
  await startAnew();
  const group = sure((await listGroups()).find((g) => g.id === groupId));
  await Promise.all([childPage(wren), childPage(wren), boardOf(group), readySessions(group)]);
  const timesRead = await rows<{ id: string }>('SELECT id FROM times_read', {});
  expect(timesRead).toEqual([{ id }]);

  // Another connection sees whether anything was written meanwhile (PRAGMA data_version, sqlite.org/pragma.html).
  const other = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
  const version = () => other.query('PRAGMA data_version', { type: QueryTypes.SELECT });
  const before = await version();
  await Promise.all([childPage(wren), childFile(wren), boardOf(group), readySessions(group), lookBack(id)]);
  expect(await version()).toEqual(before);
  await appendLog(id, [{ ...answered(1, wren, 'map'), id: v7(), at: Date.now() }]);
  expect(await version()).not.toEqual(before);
  await other.close();
});

test('the file of a child whose earlier sessions are still being read is not given out in part', async () => {
  const { groupId, children } = await begun('Sorrel');
  const wren = sure(children[0]);
  for (let n = 0; n < 40; n += 1) {
    const id = await startSession(groupId, twoRounds('Sorrel'));
    await appendLog(id, [{ ...answered(0, wren, 'sun'), id: v7(), at: Date.now() }]);
  }
  await answersThat({ children: [wren] });
  const { models } = await database();
  await models.readings.destroy({ where: {} });
  await models.sessions.update({ stale: 1 }, { where: {} });
  await startAnew();
  await expect(childFile(wren)).rejects.toMatchObject({ status: 503, message: expect.stringContaining('try again') });
  await expect.poll(async () => behind(), { timeout: 60_000 }).toBe(0);
  await expect.poll(async () => (await childFile(wren)).answers.length, { timeout: 60_000 }).toBe(40);
});
