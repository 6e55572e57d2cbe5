import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { findGames } from '../../core/choosing/finding';
import { rungOf } from '../../core/evidence/ladders';
import { foundFor } from '../../core/sessions/find';
import type { AnswerEntry, Entry } from '../../core/sessions/log';
import { playedAs } from '../../core/sessions/own-step';
import { replay, type SessionState } from '../../core/sessions/replay';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { childPage } from '../children/child-page';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { appendLog } from '../record/append-log';
import { sessionRecord } from '../record/session-record';
import { playSession } from '../sessions/play-session';
import { inFreshFiles } from '../testing/fresh-file';
import { startFind } from './start-find';

// Real SQLite files throughout; the children and what they answered are invented.
inFreshFiles();

async function group(...names: string[]): Promise<{ id: string; children: string[] }> {
  const made = await addGroup('Radishes');
  await addChildren(made.id, names.join('\n'));
  const { children } = sure((await listGroups()).find((g) => g.id === made.id));
  return { id: made.id, children: children.map((c) => c.id) };
}

/** Plays a check-in to its end, a child right up to a place on the ladder; gives what was asked, in order. */
async function playOut(session: string, upTo: (childId: string) => number): Promise<SessionState> {
  const play = await playSession(session);
  const [round] = (await sessionRecord(session)).rounds;
  const log: Entry[] = [{ kind: 'modelled', id: v7(), at: Date.now(), round: 0 }];
  for (let state = replay(play.plan, log); state.phase === 'turn'; state = replay(play.plan, log)) {
    const child = sure(state.childId);
    expect(play.rounds[0]?.items[state.word], state.word).toBeDefined();
    const { task, step } = playedAs(sure(round), state.word);
    const right = sure(rungOf(task, step)).at <= upTo(child);
    const plain = answered(state.turn, child, state.word);
    const entry: AnswerEntry = { ...plain, id: v7(), at: Date.now(), outcome: right ? 'on-own' : 'not-yet' };
    log.push(entry);
    expect(log.length).toBeLessThan(60);
  }
  await appendLog(session, log);
  return replay(play.plan, log);
}

test('each child is asked what tells most, one after another, and starts where they were found', async () => {
  const { id, children } = await group('Ottilie', 'Idris');
  const [ottilie, idris] = [sure(children[0]), sure(children[1])];
  const session = await startFind(id, 'blending', children);
  const state = await playOut(session, (child) => (child === ottilie ? 6 : 3));
  const asked = (child: string): AnswerEntry[] => state.answers.filter((a) => a.childId === child);
  // One after another, fewer turns than every step twice, and nobody hears a word twice.
  const order = state.answers.map((a) => a.childId);
  expect(order).toEqual([...order].sort((a, b) => order.indexOf(a) - order.indexOf(b)));
  const find = sure((await sessionRecord(session)).rounds[0]?.find);
  for (const child of children) {
    expect(asked(child).length).toBeLessThanOrEqual(Math.floor(1.2 * find.steps.length));
    expect(new Set(asked(child).map((a) => a.word)).size).toBe(asked(child).length);
  }
  const placeOf = (child: string): number =>
    sure(rungOf('blending', sure(find.steps[foundFor(find, child, state.answers).at]).step)).at;
  expect(placeOf(ottilie)).toBeGreaterThan(placeOf(idris));

  const page = await childPage(ottilie);
  expect(page.next).toMatchObject({ ladder: 'blending' });
  expect(page.next?.reason).toMatch(/^A good place to start: .*Seen once\./);
  // Kept apart: nothing of it is secure, however often it was right.
  expect(page.ladders.flatMap((l) => l.rungs).every((r) => r.state !== 'secure')).toBe(true);
});

test('a child who misses the easiest twice is let go kindly', async () => {
  const { id, children } = await group('Kofi');
  const state = await playOut(await startFind(id, 'segmenting', children), () => -1);
  expect(state.answers.length).toBeLessThanOrEqual(9);
  expect((await childPage(sure(children[0]))).next?.reason).toContain('Seen once');
});

test('every game of the list can be begun, for one child and for twelve', async () => {
  const many = Array.from({ length: 12 }, (_, i) => `Sprout ${i + 1}`);
  const { id, children } = await group(...many);
  for (const game of findGames()) {
    const play = await playSession(await startFind(id, game.id, children));
    expect(replay(play.plan, []).childId, game.id).not.toBeNull();
    await startFind(id, game.id, children.slice(0, 1));
  }
});

test('another game, and children who are not there, are told in a sentence', async () => {
  const { id, children } = await group('Wren');
  await expect(startFind(id, 'chain', children)).rejects.toThrow('Choose another one.');
  await expect(startFind(id, 'blending', [v7()])).rejects.toThrow('on your list');
});
