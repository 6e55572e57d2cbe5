import { describe, expect, test } from 'vitest';
import type { Outcome } from '../answers/outcome';
import { readAnswers, type RoundRan } from './standing';
import type { AnswerEntry, Entry } from './log';
import { replay, type RoundPlan, type SessionPlan } from './replay';
import { answered } from '../testing/answers';

let made = 0;
const stamp = (): { id: string; at: number } => ({ id: `e${String((made += 1)).padStart(6, '0')}`, at: made * 1_000 });
type Loose = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'at'> : never) : never;
const entry = (e: Loose): Entry => ({ ...e, ...stamp() }) as Entry;
const answer = (
  turn: number,
  childId: string | null,
  outcome: Outcome = 'on-own',
  more: Partial<AnswerEntry> = {},
): AnswerEntry => ({ ...answered(turn, childId, 'sun'), outcome, thinkMs: null, ...more, ...stamp() });
const plan = (round: Partial<RoundPlan> = {}, children: readonly string[] = ['a', 'b', 'c']): SessionPlan => ({
  rounds: [{ words: ['sun', 'map', 'dog', 'pin'], turns: 9, ...round }],
  children,
});
const started = entry({ kind: 'modelled', round: 0 });

/** Plays as the screen would: marks whoever has the turn. */
function play(of: SessionPlan, log: Entry[], outcomes: readonly Outcome[]): Entry[] {
  for (const outcome of outcomes) {
    const { turn, childId, word, partnerId } = replay(of, log);
    log.push(answer(turn, childId, outcome, { word, ...(partnerId ? { partnerId } : {}) }));
  }
  return log;
}
const whoPlayed = (log: readonly Entry[]): (string | null)[] =>
  log.flatMap((e) => (e.kind === 'answer' ? [e.childId] : []));
const own = (n: number): Outcome[] => Array.from({ length: n }, () => 'on-own' as const);

test('what does not count costs nobody a turn: that child goes again, and each still has as many as planned', () => {
  const of = plan({ turns: 6 });
  const log = play(of, [started], ['on-own', 'does-not-count', 'on-own', 'on-own', 'on-own', 'on-own']);
  expect(replay(of, log)).toMatchObject({ phase: 'turn', done: 6, planned: 7 });
  play(of, log, own(1));
  expect(replay(of, log).phase).toBe('round-done');
  const counted = log.flatMap((e) => (e.kind === 'answer' && e.outcome !== 'does-not-count' ? [e.childId] : []));
  expect(['a', 'b', 'c'].map((child) => counted.filter((c) => c === child).length)).toEqual([2, 2, 2]);
});

test('when the last turn of a round does not count, that child goes again at once, not one who had theirs', () => {
  const of = plan({ turns: 3 });
  const log = play(of, [started], ['on-own', 'on-own', 'does-not-count']);
  expect(replay(of, log)).toMatchObject({ phase: 'turn', childId: 'c' });
  expect(replay(of, play(of, log, own(1))).phase).toBe('round-done');
});

test('finished too early and opened again, a session is where it was', () => {
  const log = play(plan(), [started], own(3));
  const before = replay(plan(), log);
  log.push(entry({ kind: 'finish' }));
  expect(replay(plan(), log).phase).toBe('finished');
  log.push(entry({ kind: 'reopen' }));
  expect(replay(plan(), log)).toEqual(before);
});

describe('children who come late, or back', () => {
  test('who comes late joins in where the others are, and is not asked five times running', () => {
    const log = play(plan(), [started], own(6));
    log.push(entry({ kind: 'arrive', childId: 'd' }));
    play(plan(), log, own(8));
    const after = whoPlayed(log).slice(6);
    expect(after.filter((c) => c === 'd')).toHaveLength(2);
    expect(after.some((c, i) => c === after[i + 1])).toBe(false);
  });
  test('a page loaded after they came gives the same state', () => {
    const log = play(plan(), [started], own(5));
    log.push(entry({ kind: 'arrive', childId: 'd' }));
    play(plan(), log, own(4));
    const [before, after] = [replay(plan(), log), replay(plan({}, ['a', 'b', 'c', 'd']), log)];
    expect([after.childId, after.word, after.turn]).toEqual([before.childId, before.word, before.turn]);
  });
  test('who was away and comes back goes on with the others', () => {
    const log: Entry[] = [started, entry({ kind: 'away', childId: 'b', away: true })];
    play(plan(), log, own(6));
    log.push(entry({ kind: 'away', childId: 'b', away: false }));
    play(plan(), log, own(6));
    expect(
      whoPlayed(log)
        .slice(6)
        .filter((c) => c === 'b'),
    ).toHaveLength(2);
  });
});

describe('too hard', () => {
  const alone = plan({}, ['a']);
  test.each<[Outcome[], boolean]>([
    [['not-yet', 'not-yet', 'not-yet'], true],
    [['not-yet', 'no-reply', 'not-yet'], true],
    [['not-yet', 'not-yet', 'does-not-count', 'not-yet'], true],
    [['not-yet', 'not-yet'], false],
    [['not-yet', 'on-own', 'not-yet', 'not-yet'], false],
    [['not-yet', 'not-yet', 'not-yet', 'with-help'], false],
  ])('%j offers an easier one: %s', (outcomes, offered) =>
    expect(replay(alone, play(alone, [started], outcomes)).rescue).toBe(offered ? 'a' : null),
  );
  test('three of different children are nobody’s three in a row', () => {
    expect(replay(plan(), play(plan(), [started], ['not-yet', 'not-yet', 'not-yet'])).rescue).toBeNull();
  });
  test('an easier one is for this turn and this child alone; the set stays as it was', () => {
    const log = play(alone, [started], ['not-yet', 'not-yet', 'not-yet']);
    const { turn, word } = replay(alone, log);
    log.push(entry({ kind: 'ease', turn, childId: 'a', word: 'bee' }));
    expect(replay(alone, log)).toMatchObject({ word: 'bee', childId: 'a', turn });
    play(alone, log, ['on-own']);
    expect(replay(alone, log).rescue).toBeNull();
    expect(word).toBe('pin');
    const later = play(alone, log, own(3))
      .slice(-3)
      .flatMap((e) => (e.kind === 'answer' ? [e.word] : []));
    expect(later).not.toContain('bee');
  });
  test('who has had enough is not asked again in this round', () => {
    const log = play(plan(), [started], own(3));
    log.push(entry({ kind: 'rest', round: 0, childId: 'b' }));
    play(plan(), log, own(6));
    expect(whoPlayed(log).slice(3)).not.toContain('b');
  });
});

describe('who answers', () => {
  test('volunteers: nobody has the turn until somebody is tapped, each time anew', () => {
    const of = plan({ way: 'volunteers' });
    const log: Entry[] = [started];
    expect(replay(of, log)).toMatchObject({ childId: null, calling: true });
    log.push(entry({ kind: 'choose', turn: 0, childId: 'c' }));
    expect(replay(of, log)).toMatchObject({ childId: 'c', calling: false });
    log.push(answer(0, 'c'));
    expect(replay(of, log)).toMatchObject({ childId: null, calling: true, turn: 1 });
  });
  test('pairs: one asks, one answers, never the same child for both, and turns stay fair', () => {
    const of = plan({ way: 'pairs' }, ['a', 'b', 'c', 'd']);
    const log: Entry[] = [started];
    for (let i = 0; i < 12; i += 1) {
      const { childId, partnerId } = replay(of, log);
      expect(partnerId).not.toBeNull();
      expect(partnerId).not.toBe(childId);
      play(of, log, ['on-own']);
    }
    const answered = whoPlayed(log);
    expect(['a', 'b', 'c', 'd'].map((c) => answered.filter((x) => x === c).length)).toEqual([3, 3, 3, 3]);
  });
  test('a child alone has no partner', () =>
    expect(replay(plan({ way: 'pairs' }, ['a']), [started]).partnerId).toBeNull());
  test('everyone together: who differed is kept beside the one mark, can be taken back, and uses no turn up', () => {
    const of = plan({ way: 'together' });
    const log: Entry[] = [started, answer(0, null)];
    const differed = answer(0, 'b', 'not-yet', { differs: true });
    log.push(differed);
    expect(replay(of, log)).toMatchObject({
      turn: 1,
      done: 1,
      clashes: 0,
      differing: [{ childId: 'b', outcome: 'not-yet' }],
    });
    log.push(entry({ kind: 'undo', answerId: differed.id }));
    expect(replay(of, log)).toMatchObject({ turn: 1, done: 1, differing: [] });
  });
});

describe('a check-in', () => {
  const of = plan({ way: 'check', words: ['sun', 'map', 'dog', 'pin'] }, ['a', 'b']);
  const asked = (log: readonly Entry[]): string[] =>
    log.flatMap((e) => (e.kind === 'answer' ? [`${e.childId} ${e.word}`] : []));
  test('the same items in the same order for each child, one child after the other', () => {
    const log = play(of, [started], own(8));
    expect(asked(log)).toEqual(['a sun', 'a map', 'a dog', 'a pin', 'b sun', 'b map', 'b dog', 'b pin']);
    expect(replay(of, log)).toMatchObject({ phase: 'round-done', planned: 8 });
  });
  test('it stops kindly after three in a row not managed, and says how many are left', () => {
    const log = play(of, [started], ['not-yet', 'no-reply', 'not-yet']);
    expect(replay(of, log)).toMatchObject({ childId: 'b', word: 'sun', done: 3, planned: 7, rescue: null });
  });
  test('a slip of the adult asks the same item again', () => {
    expect(asked(play(of, [started], ['does-not-count', 'on-own']))).toEqual(['a sun', 'a sun']);
  });
  test('another child may be taken first, and each still gets all', () => {
    const log: Entry[] = [started, entry({ kind: 'choose', turn: 0, childId: 'b' })];
    play(of, log, own(8));
    expect(asked(log)).toEqual(['b sun', 'b map', 'b dog', 'b pin', 'a sun', 'a map', 'a dog', 'a pin']);
  });
});

describe('how an answer stands as evidence', () => {
  const round = { model: 'cat', way: 'individual' };
  const standingOf = (of: AnswerEntry, ran: RoundRan, others: readonly Entry[]): string | undefined => {
    const log = [...others, of].sort((x, y) => (x.id < y.id ? -1 : 1));
    return readAnswers(log, [ran, ran]).find((a) => a.answer === of)?.standing;
  };
  const said = (turn: number, word: string): Entry => entry({ kind: 'said', turn, word, as: 'my-turn' });
  test('fresh where nobody said the answer before', () =>
    expect(standingOf(answer(2, 'a'), round, [said(1, 'map')])).toBe('fresh'));
  test('after a model where the adult said it first, in this round', () => {
    const before = [said(2, 'sun')];
    expect(standingOf(answer(2, 'a'), round, before)).toBe('after-a-model');
    expect(standingOf(answer(1_002, 'a'), round, before)).toBe('fresh');
  });
  test('what is said afterwards changes nothing', () => {
    const first = answer(2, 'a');
    expect(standingOf(first, round, [said(2, 'sun')])).toBe('fresh');
  });
  test('the modelled item, and one that everyone said before, are after a model', () => {
    expect(standingOf(answer(0, 'a', 'on-own', { word: 'cat' }), round, [])).toBe('after-a-model');
    const chorus = answer(0, null);
    expect(standingOf(answer(3, 'a'), round, [chorus])).toBe('after-a-model');
  });
  test('put right later, even after a model of the same word, it is as it was when the child was asked', () => {
    const first = answer(2, 'a', 'not-yet');
    const model = said(3, 'sun');
    const right = answer(2, 'a', 'on-own', { supersedes: first.id, why: 'mis-tap' });
    const read = readAnswers([first, model, right], [round]);
    expect(read.map((a) => [a.fate, a.standing, a.askedAt])).toEqual([
      ['replaced', 'fresh', first.at],
      ['stands', 'fresh', first.at],
    ]);
  });
  test('what everyone said and was taken back is no model', () => {
    const chorus = answer(0, null);
    const back = entry({ kind: 'undo', answerId: chorus.id });
    expect(standingOf(answer(3, 'a'), round, [chorus, back])).toBe('fresh');
  });
  test('in chorus for everyone, and for a child who differed; a check-in stands apart', () => {
    expect(standingOf(answer(0, null), round, [])).toBe('in-chorus');
    expect(standingOf(answer(0, 'a', 'not-yet', { differs: true }), round, [])).toBe('in-chorus');
    expect(standingOf(answer(0, 'a'), { model: null, way: 'check' }, [])).toBe('check-in');
  });
});

test('more said of an answer takes its place, and undo takes both back', () => {
  const of = plan();
  const first = answer(0, 'a', 'with-help');
  const detail = answer(0, 'a', 'with-help', { helps: ['gesture'], supersedes: first.id, why: 'detail' });
  const log: Entry[] = [started, first, detail];
  expect(replay(of, log)).toMatchObject({ done: 1, last: { helps: ['gesture'] }, clashes: 0 });
  log.push(entry({ kind: 'undo', answerId: detail.id }));
  expect(replay(of, log)).toMatchObject({ done: 0, childId: 'a' });
});
