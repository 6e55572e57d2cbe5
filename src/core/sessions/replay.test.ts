import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { OUTCOMES } from '../answers/outcome';
import { sure } from '../sure';
import { mergeLogs, ROUND_STRIDE, type AnswerEntry, type Entry } from './log';
import { markedTwice } from './marked-twice';
import { replay, wordOfTurn, type SessionPlan } from './replay';
import { slippedSounds, tally } from './summary';
import { minutesFor, nextChild, setSizeFor, turnsFor } from './turns';
import { answered } from '../testing/answers';

const plan: SessionPlan = { rounds: [{ words: ['sun', 'map', 'fish', 'leg'], turns: 4 }], children: ['a', 'b'] };
let next = 0;
const id = (): string => String((next += 1)).padStart(6, '0');
type Bare = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'at'> : never) : never;
const entry = (e: Bare): Entry => ({ ...e, id: id(), at: next }) as Entry;
const answer = (turn: number, childId: string | null, word: string, more: Partial<AnswerEntry> = {}): Entry =>
  entry({ ...answered(turn, childId, word), ...more });
const played = (turns: number): Entry[] => {
  const log: Entry[] = [entry({ kind: 'modelled' })];
  for (let i = 0; i < turns; i += 1) {
    const state = replay(plan, log);
    log.push(answer(state.turn, state.childId, state.word));
  }
  return log;
};

describe('replay', () => {
  test('model, turns, round done, one more each, finished', () => {
    expect(replay(plan, []).phase).toBe('model');
    expect(replay(plan, played(0))).toMatchObject({ phase: 'turn', turn: 0, childId: 'a', word: 'sun' });
    expect(replay(plan, played(3))).toMatchObject({ phase: 'turn', turn: 3, childId: 'b', word: 'leg' });
    expect(replay(plan, played(4)).phase).toBe('round-done');
    expect(replay(plan, [...played(4), entry({ kind: 'more', turns: 2 })])).toMatchObject({
      phase: 'turn',
      turn: 4,
      planned: 6,
    });
    expect(replay(plan, [...played(2), entry({ kind: 'finish' })]).phase).toBe('finished');
  });
  test('who goes next is said while there is a next turn, and is who then has it', () => {
    const [first, second, last] = [played(0), played(1), played(3)].map((log) => replay(plan, log));
    expect(first).toMatchObject({ childId: 'a', thenId: 'b' });
    expect(second?.childId).toBe(first?.thenId);
    expect(last?.thenId).toBeNull();
    const together: SessionPlan = { ...plan, rounds: [{ words: ['sun'], turns: 2, way: 'together' }] };
    expect(replay(together, played(0)).thenId).toBeNull();
  });
  test('undo gives the same child the same word again', () => {
    const log = played(2);
    const last = log.at(-1) as AnswerEntry;
    expect(replay(plan, [...log, entry({ kind: 'undo', answerId: last.id })])).toMatchObject({
      turn: 1,
      childId: last.childId,
      word: last.word,
    });
  });
  test('a word put aside never comes back, in its turn or later, and in no item that has it', () => {
    const pairs: SessionPlan = { rounds: [{ words: ['sun', 'map', 'map mop'], turns: 9 }], children: ['a'] };
    const log = [entry({ kind: 'modelled' }), entry({ kind: 'aside', turn: 0, word: 'map' })];
    expect(replay(pairs, log)).toMatchObject({ turn: 0, word: 'sun' });
    const swapped = [...log, entry({ kind: 'swap', turn: 0, from: 'sun', to: 'map' })];
    // Another device had already swapped it in: where nothing else is left, the round stays as it was.
    expect(replay(pairs, swapped).word).toBe('map');
    for (let i = 0; i < 9; i += 1) {
      const state = replay(pairs, log);
      expect(state.word).toBe('sun');
      log.push(answer(state.turn, 'a', state.word));
    }
  });
  test('undo of a swapped word or a chosen child brings back just that', () => {
    const log = [
      entry({ kind: 'modelled' }),
      entry({ kind: 'choose', turn: 0, childId: 'b' }),
      entry({ kind: 'swap', turn: 0, from: 'sun', to: 'net' }),
    ];
    expect(replay(plan, log)).toMatchObject({ childId: 'b', word: 'net' });
    const marked = [...log, answer(0, 'b', 'net')];
    expect(replay(plan, [...marked, entry({ kind: 'undo', answerId: sure(marked.at(-1)).id })])).toMatchObject({
      turn: 0,
      childId: 'b',
      word: 'net',
    });
  });
  test('a correction supersedes, the old mark stays in the log', () => {
    const log = played(2);
    const old = log[1] as AnswerEntry;
    const fixed = [...log, answer(0, old.childId, old.word, { outcome: 'not-yet', supersedes: old.id })];
    expect(replay(plan, fixed).answers.map((a) => a.outcome)).toEqual(['not-yet', 'on-own']);
    expect(fixed).toContain(old);
    expect(replay(plan, fixed).clashes).toBe(0);
  });
  test('two tabs marking one turn: the later stands, and it is noticed', () => {
    const state = replay(plan, [...played(1), answer(0, 'a', 'sun', { outcome: 'with-help' })]);
    expect(state.answers.map((a) => a.outcome)).toEqual(['with-help']);
    expect(state.clashes).toBe(1);
    const [first] = played(1).filter((e): e is AnswerEntry => e.kind === 'answer');
    const second = answer(0, 'a', 'sun', { outcome: 'with-help' });
    const both = [...played(1), second];
    expect(markedTwice(both)).toMatchObject([{ counts: { outcome: 'with-help' }, other: { outcome: 'on-own' } }]);
    // Put right, it is settled; a second pair of ears, and the same mark twice, are no such thing.
    expect(markedTwice([...both, answer(0, 'a', 'sun', { outcome: 'on-own', supersedes: second.id })])).toEqual([]);
    expect(markedTwice([...played(1), answer(0, 'a', 'sun', { outcome: 'with-help', second: true })])).toEqual([]);
    expect(markedTwice([...played(1), answer(0, 'a', 'sun', { outcome: sure(first).outcome })])).toEqual([]);
  });
  test('who passes comes back after the others; who is away is skipped; nobody here means everyone', () => {
    expect(replay(plan, [...played(0), entry({ kind: 'pass', turn: 0, childId: 'a' })]).childId).toBe('b');
    expect(replay(plan, [...played(0), entry({ kind: 'away', childId: 'a', away: true })]).childId).toBe('b');
    expect(replay({ ...plan, children: [] }, played(0)).childId).toBeNull();
  });
  test('merging logs is the same in any order and any number of times', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(played(6), { minLength: 0 }), (part) => {
        const whole = played(0);
        const merged = mergeLogs([], part, whole, part);
        expect(merged).toEqual(mergeLogs(whole, part));
        expect(new Set(merged.map((e) => e.id)).size).toBe(merged.length);
        expect(mergeLogs(merged, part, whole)).toBe(merged);
      }),
    );
  });
});

describe('rounds', () => {
  const two: SessionPlan = {
    rounds: [
      { words: ['sun', 'map'], turns: 2 },
      { words: ['a b', 'b c', 'c d'], turns: 3, inOrder: true },
      { words: ['/s/ /p/'], turns: 1, way: 'together' },
    ],
    children: ['a', 'b'],
  };
  const through = (log: Entry[]): Entry[] => {
    for (let state = replay(two, log); state.phase === 'turn'; state = replay(two, log))
      log.push(answer(state.turn, state.childId, state.word));
    return log;
  };
  test('each is modelled, played and left for the next; turns go on fairly over all of them', () => {
    const log = through([entry({ kind: 'modelled', round: 0 })]);
    expect(replay(two, log)).toMatchObject({ phase: 'round-done', round: 0, done: 2 });
    log.push(entry({ kind: 'round', round: 1 }));
    expect(replay(two, log)).toMatchObject({ phase: 'model', round: 1, turn: ROUND_STRIDE, word: 'a b' });
    through([...log.splice(0), entry({ kind: 'modelled', round: 1 })]).forEach((e) => log.push(e));
    const given = log.filter((e) => e.kind === 'answer');
    expect(given.map((a) => a.word)).toEqual(['sun', 'map', 'a b', 'b c', 'c d']);
    expect(given.map((a) => a.childId)).toEqual(['a', 'b', 'a', 'b', 'a']);
  });
  test('a chain keeps its order, also the second time round', () => {
    const log = through([
      entry({ kind: 'round', round: 1 }),
      entry({ kind: 'modelled', round: 1 }),
      entry({ kind: 'more', turns: 3, round: 1 }),
    ]);
    expect(log.filter((e) => e.kind === 'answer').map((a) => a.word)).toEqual([
      'a b',
      'b c',
      'c d',
      'a b',
      'b c',
      'c d',
    ]);
  });
  test('undo in the middle of a chain gives the same step again, and one from an earlier round goes back to it', () => {
    const log = [
      entry({ kind: 'round', round: 1 }),
      entry({ kind: 'modelled', round: 1 }),
      answer(1000, 'a', 'a b'),
      answer(1001, 'b', 'b c'),
    ];
    const last = sure(replay(two, log).last);
    expect(replay(two, [...log, entry({ kind: 'undo', answerId: last.id })])).toMatchObject({
      round: 1,
      turn: 1001,
      word: 'b c',
      childId: 'b',
      done: 1,
    });
    const early = [...through([entry({ kind: 'modelled', round: 0 })]), entry({ kind: 'round', round: 1 })];
    expect(replay(two, [...early, entry({ kind: 'undo', answerId: sure(replay(two, early).last).id })])).toMatchObject({
      round: 0,
      phase: 'turn',
      word: 'map',
    });
  });
  test('words of a hunt are ticked and taken back, turn by turn; nobody has the turn', () => {
    const log = [
      entry({ kind: 'round', round: 2 }),
      entry({ kind: 'modelled', round: 2 }),
      entry({ kind: 'tick', turn: 2000, word: 'spot', on: true }),
      entry({ kind: 'tick', turn: 2000, word: 'pot', on: true }),
      entry({ kind: 'tick', turn: 2000, word: 'spot', on: false }),
    ];
    const state = replay(two, log);
    expect([...state.ticked]).toEqual(['pot']);
    expect(state.childId).toBeNull();
  });
});

describe('turns are fair', () => {
  test('over any play the numbers of turns differ by at most one, and nobody goes twice running', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 30 }), fc.integer({ min: 1, max: 90 }), (children, turns) => {
        const present = Array.from({ length: children }, (_, i) => `c${i}`);
        const given: { childId: string; outcome: 'on-own' }[] = [];
        for (let i = 0; i < turns; i += 1)
          given.push({ childId: sure(nextChild(present, given, new Set())), outcome: 'on-own' });
        const counts = present.map((c) => given.filter((g) => g.childId === c).length);
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
        given.forEach((g, i) => expect(g.childId).not.toBe(given[i - 1]?.childId));
      }),
    );
  });
  test('an answer that does not count leaves the child their turn', () => {
    const given = [
      { childId: 'a', outcome: 'does-not-count' as const },
      { childId: 'b', outcome: 'on-own' as const },
    ];
    expect(nextChild(['a', 'b'], given, new Set())).toBe('a');
  });
  test.each([
    [0, 8],
    [1, 8],
    [2, 8],
    [3, 6],
    [4, 8],
    [5, 10],
    [6, 6],
    [7, 7],
    [8, 8],
    [9, 9],
    [10, 10],
    [12, 8],
    [30, 8],
  ])('%i children: a set of %i', (children, size) => {
    expect(setSizeFor(children)).toBe(size);
    if (children && children <= 10) expect(turnsFor(size, children) % children).toBe(0);
  });
  test('a child meets new words when the set comes round', () => {
    const words = ['w0', 'w1', 'w2', 'w3'];
    const ofChild = [0, 4, 8].map((turn) => wordOfTurn({ words }, turn, new Map()));
    expect(new Set(ofChild).size).toBe(3);
  });
  test('no word comes twice while spare ones are left; one that stands for another is not spare', () => {
    const plan = { words: ['w0', 'w1'], spares: ['s0', 's1', 's2'] };
    const said = (swaps = new Map<string, string>()): string[] =>
      [0, 1, 2, 3, 4].map((turn) => wordOfTurn(plan, turn, swaps));
    expect(said()).toEqual(['w0', 'w1', 's0', 's1', 's2']);
    expect(said(new Map([['w1', 's0']])).slice(0, 4)).toEqual(['w0', 's0', 's1', 's2']);
    expect(wordOfTurn({ ...plan, inOrder: true }, 2, new Map())).toBe('w0');
  });
  test('minutes', () => expect([minutesFor(8, 15), minutesFor(8, 40), minutesFor(1, 10)]).toEqual([2, 5, 1]));
});

describe('summary', () => {
  const sounds = ['f', 'r', 'ɒ', 'ɡ'];
  const given = (outcome: (typeof OUTCOMES)[number], missed: number[] = []) => ({
    childId: 'a',
    word: 'frog',
    outcome,
    sounds,
    missed,
  });
  test('slips are counted of the answers that say something about sounds', () => {
    const rows = slippedSounds([
      given('not-yet', [1]),
      given('on-own'),
      given('no-reply'),
      given('does-not-count', [0]),
    ]);
    expect(rows).toEqual([{ ipa: 'r', times: 1, heard: 2, words: ['frog'] }]);
  });
  test('the tally keeps no reply apart from not yet', () => {
    expect(tally([given('no-reply'), given('not-yet')])).toMatchObject({ 'no-reply': 1, 'not-yet': 1, 'on-own': 0 });
  });
});
