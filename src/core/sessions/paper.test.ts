import { describe, expect, test } from 'vitest';
import { sure } from '../sure';
import { PLAIN_ROUND } from '../testing/rounds';
import { roundOf, turnInRound, type AnswerEntry } from './log';
import { lengthOf, onPaper, paperLog, paperRows, type TypedMarks } from './paper';
import { replay } from './replay';
import { readAnswers } from './standing';
import type { StoredRound } from './stored-round';

// The children and the words are of our own making.
const WORDS = ['sun', 'map', 'leg'];
const CHILDREN = ['ada', 'bo'];
const round = (more: Partial<StoredRound> = {}): StoredRound => ({
  ...PLAIN_ROUND,
  task: 'blending',
  step: '3-held',
  items: WORDS,
  turns: 6,
  ...more,
});
const counting = () => {
  let n = 0;
  return () => String((n += 1)).padStart(6, '0');
};
const logOf = (rounds: readonly StoredRound[], marks: TypedMarks, at = 0) =>
  paperLog({ rounds, childIds: CHILDREN, marks, at, by: null }, counting());
const answersIn = (rounds: readonly StoredRound[], marks: TypedMarks): AnswerEntry[] =>
  logOf(rounds, marks).filter((e): e is AnswerEntry => e.kind === 'answer');
const said = (a: AnswerEntry): string => `${turnInRound(a.turn)} ${a.childId ?? 'all'} ${a.word} ${a.outcome}`;

describe('what stands on paper', () => {
  test('every child has a box for every item; together, everyone has a line of their own', () => {
    expect(paperRows(round(), CHILDREN)).toEqual(CHILDREN.map((childId) => ({ childId, boxes: WORDS })));
    expect(paperRows(round({ way: 'together' }), CHILDREN).map((r) => r.childId)).toEqual([null, ...CHILDREN]);
  });
  test('who has their own items has boxes for those; who has none gets some of the round’s', () => {
    const own = [{ childId: 'ada', step: '2', items: ['tea', 'key'], spares: [] }];
    const there = onPaper(round({ own }), CHILDREN);
    expect(paperRows(there, CHILDREN).map((r) => r.boxes)).toEqual([
      ['tea', 'key'],
      ['map', 'sun'],
    ]);
    // A child taken off the list changes nothing for the others.
    expect(paperRows(there, ['bo'])[0]?.boxes).toEqual(['map', 'sun']);
  });
});

describe('what was marked, as a log', () => {
  test('everyone has a turn, then everyone again; an empty box is no turn', () => {
    expect(answersIn([round()], [['1 3', '24 ']]).map(said)).toEqual([
      '0 ada sun on-own',
      '1 bo sun with-help',
      '2 bo map no-reply',
      '3 ada leg not-yet',
    ]);
  });
  test('in a check-in a child has all the items, then the next', () => {
    const check = round({ way: 'check' });
    const log = logOf([check], [['12 ', '1  ']]);
    expect(log.filter((e): e is AnswerEntry => e.kind === 'answer').map((a) => a.childId)).toEqual([
      'ada',
      'ada',
      'bo',
    ]);
    expect(readAnswers(log, [check]).map((a) => a.standing)).toEqual(['check-in', 'check-in', 'check-in']);
  });
  test('together: one answer for everyone, and who answered otherwise beside it', () => {
    const answers = answersIn([round({ way: 'together' })], [['1 1', '3  ', ' 1 ']]);
    expect(answers.map((a) => `${said(a)}${a.differs ? ' differs' : ''}`)).toEqual([
      '0 all sun on-own',
      '0 ada sun not-yet differs',
      // Nobody marked everyone for this word: the child had a turn alone.
      '1 bo map on-own',
      '2 all leg on-own',
    ]);
  });
  test('rounds keep their numbers though one of them was not played', () => {
    const rounds = [round(), round(), round({ task: 'segmenting' })];
    const answers = answersIn(rounds, [
      ['1  ', '   '],
      ['   ', '   '],
      ['2  ', '   '],
    ]);
    expect(answers.map((a) => roundOf(a.turn))).toEqual([0, 2]);
  });
  test('is finished, and reads as if it had been played', () => {
    const log = logOf([round()], [['111', '333']], 1_000);
    const plan = { rounds: [{ words: WORDS, turns: 6 }], children: CHILDREN };
    const state = replay(plan, log);
    expect(state.phase).toBe('finished');
    expect(state.done).toBe(6);
    expect(state.clashes).toBe(0);
    expect(readAnswers(log, [round()]).every((a) => a.fate === 'stands' && a.standing === 'fresh')).toBe(true);
  });
  test('the times go forward, turn by turn, and end where they are said to', () => {
    const marks = [['111', '222']];
    const log = logOf([round()], marks, 5_000);
    const times = log.map((e) => e.at);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(sure(times.at(-1)) - 5_000).toBe(lengthOf({ rounds: [round()], childIds: CHILDREN, marks }));
    expect([...log.map((e) => e.id)].sort()).toEqual(log.map((e) => e.id));
  });
  test('who marked is kept with every answer, or nobody', () => {
    const by = paperLog({ rounds: [round()], childIds: CHILDREN, marks: [['1', '']], at: 0, by: 'HB' }, counting());
    expect(by.find((e) => e.kind === 'answer')).toMatchObject({ by: 'HB' });
    expect(logOf([round()], [['1', '']]).find((e) => e.kind === 'answer')).not.toHaveProperty('by');
  });
});
