import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import type { Entry } from '../../core/sessions/log';
import { omit } from '../../core/pick';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { boardRows } from '../children/board';
import { childPage } from '../children/child-page';
import { addChildren, addGroup, groupOf, plantGroup, setOwnWay } from '../people/groups';
import { appendLog } from '../record/append-log';
import { caughtUp } from '../record/rebuild-queue';
import { sessionLog, sessionPlan } from '../record/session-record';
import { lookBack } from '../sessions/look-back';
import { playSession } from '../sessions/play-session';
import { startWords } from '../sessions/start-session';
import { tabletsOf, takeTabletBack } from '../sessions/tablets';
import { saveLendSettings } from '../setting/settings';
import { rows } from '../storage/rows';
import { inFreshFiles } from '../testing/fresh-file';
import { lentSession, notLendable } from './lent-session';
import { takeFrom } from './take';

// What a tablet may hold and do is the design of this product: no standard speaks of it. Real SQLite files throughout.
inFreshFiles();

const NAMES = ['Wren', 'Idris', 'Ottilie', 'Kofi Bean'];
const NOTE = 'She clapped along by the water butt';

/** A session of four children, with marks, a note, and a child who says w for r. */
async function begun(words = ['sun', 'map', 'leg', 'red']) {
  const { id: groupId } = await addGroup('Marrows of Wren');
  await addChildren(groupId, NAMES.join(', '));
  await plantGroup(groupId);
  const children = (await groupOf(groupId)).children.map((c) => c.id);
  await setOwnWay(sure(children[0]), {
    swaps: [{ asked: 'r', says: 'w' }],
    drops: [],
    accent: 'scottish',
    access: [],
    lowOnly: false,
    languages: 'Twi',
  });
  const session = await startWords({ groupId, task: 'blending', words, model: 'net' });
  const word = sure((await sessionPlan(session)).rounds[0]?.items[0]);
  const noted = { ...answered(0, sure(children[0]), word), id: v7(), at: Date.now(), note: NOTE, said: 's u n' };
  await appendLog(session, [noted]);
  return { groupId, children, session, word, noted };
}

const mark = (turn: number, child: string, word: string): Entry => ({
  ...answered(turn, child, word),
  outcome: 'not-yet',
  id: v7(),
  at: Date.now(),
});

describe('what a tablet is given', () => {
  test('holds no name, no note and nothing of how anyone speaks; the words are the same', async () => {
    const { session } = await begun();
    const given = await lentSession(session);
    const text = JSON.stringify(given);
    for (const secret of [...NAMES, 'Kofi', 'Marrows', NOTE, 'Twi', 's u n', '"scottish"']) {
      expect(text.includes(secret), secret).toBe(false);
    }
    expect(given.children.map((c) => c.name)).toEqual(['Carrot', 'Radish', 'Beetroot', 'Turnip']);
    expect(given.children.every((c) => c.ownWay.swaps.length === 0)).toBe(true);
    expect(given.habits).toEqual({});
    const whole = await playSession(session);
    expect(JSON.stringify(whole)).toContain('Wren');
    expect(given.rounds.map((r) => r.items)).toEqual(whole.rounds.map((r) => r.items));
  });
  test('has initials beside the plants only where the setting said so', async () => {
    const { session } = await begun();
    await saveLendSettings({ initials: true, plain: false });
    const given = await lentSession(session);
    expect(given.children.map((c) => c.name)).toEqual(['W', 'I', 'O', 'K']);
    expect(JSON.stringify(given)).not.toContain('Wren');
    await saveLendSettings({ initials: false, plain: false });
  });
  test('what comes back to it of the log has no notes, and of others’ marks no sounds', async () => {
    const { session, children, word } = await begun();
    const own = { ...answered(1, sure(children[1]), word), said: 'm a t', id: v7(), at: Date.now() };
    const { log, added } = await takeFrom(session, 'green', { entries: [own] });
    expect(added).toHaveLength(1);
    expect(log.map((e) => e.kind === 'answer' && [e.said, e.note])).toEqual([
      [null, null],
      ['m a t', null],
    ]);
    expect(JSON.stringify(log)).not.toContain(NOTE);
  });
  test('a session that is finished, or plays with names, is not lent', async () => {
    const { session } = await begun();
    await appendLog(session, [{ kind: 'finish', id: v7(), at: Date.now() }]);
    await expect(lentSession(session)).rejects.toThrow('This session is finished.');
    const { rounds } = await playSession(session);
    expect(notLendable({ rounds: rounds.map((r) => ({ ...r, names: true })), log: [] })).toMatch(/own names/);
    expect(notLendable({ rounds, log: [] })).toBeNull();
  });
});

describe('what a tablet may do', () => {
  test('each thing that does not belong to the game is refused in words, and nothing of it is kept', async () => {
    const { session, children, word, noted } = await begun();
    const [wren = ''] = children;
    const stamp = () => ({ id: v7(), at: Date.now() });
    const cases: readonly (readonly [Entry, RegExp])[] = [
      [{ ...mark(1, wren, 'elephant') }, /wasn’t dealt/],
      [{ ...mark(900, wren, word) }, /no such turn/],
      [{ ...mark(5_000, wren, word) }, /no such turn/],
      [{ ...mark(1, v7(), word) }, /has been erased/],
      [{ ...mark(1, wren, word), note: 'hello' } as Entry, /Notes are only taken/],
      [{ kind: 'undo', answerId: noted.id, ...stamp() }, /only change its own/],
      [{ ...mark(0, wren, word), supersedes: noted.id, why: 'mis-tap' } as Entry, /only change its own/],
      [{ kind: 'aside', turn: 0, word: 'sun', ...stamp() }, /only be done on the computer/],
      [{ kind: 'reopen', ...stamp() }, /only be done on the computer/],
      [{ kind: 'swap', turn: 0, from: word, to: 'elephant', ...stamp() }, /wasn’t dealt/],
    ];
    for (const [entry, why] of cases) {
      const { refused, added } = await takeFrom(session, 'green', { entries: [entry] });
      expect(refused.map((r) => r.why).join(), JSON.stringify(entry)).toMatch(why);
      expect(added).toEqual([]);
    }
    expect(await sessionLog(session)).toHaveLength(1);
    // Another's mark does not become a tablet's own by sending its id: neither to hear its sounds, nor to undo it.
    const copy = { ...mark(0, wren, word), id: noted.id };
    const { log, refused } = await takeFrom(session, 'green', {
      entries: [copy, { kind: 'undo', answerId: noted.id, ...stamp() }],
    });
    expect(refused.map((r) => r.why).join()).toMatch(/only change its own/);
    expect(JSON.stringify(log)).not.toContain('s u n');
  });
  test('more than fifty at once, or what cannot be read, is not looked at', async () => {
    const { session, children, word } = await begun();
    const many = Array.from({ length: 51 }, () => mark(1, sure(children[0]), word));
    await expect(takeFrom(session, 'green', { entries: many })).rejects.toThrow(/doesn’t fit/);
    for (const body of [null, [], 'x', { entries: [{ kind: 'drop table' }] }, { entries: [], more: 1 }])
      await expect(takeFrom(session, 'green', body)).rejects.toThrow(/doesn’t fit/);
  });
  test('its own mark it can undo and put right; which tablet it was, and when it came, is written down', async () => {
    const { session, children, word } = await begun();
    const first = mark(1, sure(children[1]), word);
    await takeFrom(session, 'green', { entries: [first] });
    const { refused } = await takeFrom(session, 'green', {
      entries: [{ kind: 'undo', answerId: first.id, id: v7(), at: Date.now() }],
    });
    expect(refused).toEqual([]);
    const other = mark(1, sure(children[1]), word);
    // Another tablet has no hand in it.
    expect((await takeFrom(session, 'blue', { entries: [other] })).refused).toEqual([]);
    expect(
      (await takeFrom(session, 'green', { entries: [{ kind: 'undo', answerId: other.id, id: v7(), at: Date.now() }] }))
        .refused,
    ).toHaveLength(1);
    const kept = await rows<{ tablet: string | null; received_at: number }>(
      'SELECT tablet, received_at FROM answers WHERE session_id = :session ORDER BY id',
      { session },
    );
    expect(kept.map((row) => row.tablet)).toEqual([null, 'green', 'blue']);
    expect(kept.every((row) => Math.abs(row.received_at - Date.now()) < 60_000)).toBe(true);
    expect(await tabletsOf(session, await sessionLog(session))).toEqual([{ tablet: 'blue', marks: 1 }]);
  });
});

test('two hundred wrong marks of one tablet go at once: states, next step and pages are as before', async () => {
  const { groupId, children, session, word } = await begun();
  const [wren = '', idris = ''] = children;
  // Six more marks of the computer's own, so that there is something to spoil.
  const items = sure((await sessionPlan(session)).rounds[0]).items;
  const real = [0, 1, 2].flatMap((i) =>
    [wren, idris].map((child, j) => ({
      ...answered(1 + i * 2 + j, child, items[i % items.length] ?? word),
      id: v7(),
      at: Date.now(),
    })),
  );
  await appendLog(session, real);
  await caughtUp();
  const now = Date.now();
  const pages = async () => {
    const group = await groupOf(groupId);
    const shown = await Promise.all(children.map((id) => childPage(id, now)));
    // How many rows are held of a child is another thing: those that were taken back are held too.
    const all = [await boardRows(group), ...shown.map((page) => omit(page, ['held']))];
    const { answers } = await lookBack(session);
    return JSON.parse(JSON.stringify({ all, answers })) as unknown;
  };
  const before = await pages();

  // A forger adds turns, says answers first, swaps whose turn it is, and marks all of it wrong.
  const stamp = () => ({ id: v7(), at: Date.now() });
  const forged: Entry[] = [
    { kind: 'more', turns: 100, round: 0, ...stamp() },
    { kind: 'more', turns: 100, round: 0, ...stamp() },
    ...items.map((key, i): Entry => ({ kind: 'said', turn: i, word: key, as: 'my-turn', ...stamp() })),
    { kind: 'pass', turn: 3, childId: idris, ...stamp() },
    { kind: 'away', childId: idris, away: true, ...stamp() },
    ...Array.from({ length: 200 }, (_, i) => mark(i % 180, sure(children[i % 4]), items[i % items.length] ?? word)),
  ];
  for (let from = 0; from < forged.length; from += 50) {
    const { refused } = await takeFrom(session, 'green', { entries: forged.slice(from, from + 50) });
    expect(refused).toEqual([]);
  }
  await caughtUp();
  expect(await pages()).not.toEqual(before);
  expect((await lookBack(session)).tablets).toEqual([{ tablet: 'green', marks: 200 }]);

  expect(await takeTabletBack(session, 'green')).toBe(200);
  await caughtUp();
  expect(await pages()).toEqual(before);
  expect((await lookBack(session)).tablets).toEqual([]);
  // Every row is still there, and a second time takes nothing more.
  expect(await rows('SELECT id FROM answers WHERE session_id = :session', { session })).toHaveLength(207);
  expect(await takeTabletBack(session, 'green')).toBe(0);
});
