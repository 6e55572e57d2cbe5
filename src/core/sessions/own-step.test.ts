import { describe, expect, test } from 'vitest';
import { stepOf, taskOf, TASKS } from '../games';
import { readKey } from '../games/spec';
import { tryItem } from '../games/try-item';
import { holding } from '../games/pebbles';
import { seeded } from '../random';
import { sure } from '../sure';
import { answered } from '../testing/answers';
import { material } from '../testing/bank';
import { times } from '../testing/deep';
import type { AnswerEntry, Entry } from './log';
import { canOwn, dealOwn, dealtKeys, namesWho, ownKeys, playedAs, type OwnDeal } from './own-step';
import { makeRound } from './shapes';
import { replay, type SessionPlan } from './replay';
import { ROUND_STRIDE } from './log';

/** Groups are invented; fair turns, and no word twice, are the job’s own rules (common practice, no source). */
const bank = material();
const GAMES = TASKS.filter(canOwn);

interface Group {
  readonly task: string;
  readonly step: string;
  readonly items: readonly string[];
  readonly own: readonly OwnDeal[];
  readonly wishes: readonly { readonly childId: string; readonly step: string }[];
  readonly each: number;
}

/** A group of two to twelve, spread over the steps of a game as chance has it. */
function groupOf(seed: number): Group {
  const random = seeded(seed * 7_919 + 3);
  const pick = <T>(from: readonly T[]): T => sure(from[Math.floor(random() * from.length)]);
  const task = pick(GAMES);
  const children = 2 + Math.floor(random() * 11);
  const each = 1 + Math.floor(random() * 3);
  const wishes = Array.from({ length: children }, (_, i) => ({ childId: `c${i}`, step: pick(task.steps).id }));
  const wish = { role: 'focus' as const, task: task.id, step: pick(task.steps).id, size: 6 };
  const round = makeRound(bank, wish, { seed, contested: true }, 'r1');
  const items = (round?.items ?? []).map((i) => i.key);
  const taken = items.flatMap((key) => readKey(key).words);
  const own = dealOwn(bank, wishes, { task: task.id, each, seed, contested: true, taken });
  return { task: task.id, step: wish.step, items, own, wishes, each };
}

const answer = (id: string, turn: number, childId: string | null, word: string): AnswerEntry => ({
  ...answered(turn, childId, word),
  id,
  at: turn,
});

describe('each child their own step', () => {
  test('every item is on its child’s step, no word comes twice, everyone has as many, for any spread', () => {
    let fewer = 0;
    for (let seed = 1; seed <= times(1_000, 50); seed += 1) {
      const { task, step, items, own, wishes, each } = groupOf(seed);
      const words = own.flatMap((o) => [...o.items, ...o.spares]).flatMap((key) => readKey(key).words);
      const shared = items.flatMap((key) => readKey(key).words);
      expect(new Set(words).size, `words of ${task}, group ${seed}`).toBe(words.length);
      expect(words.filter((w) => shared.includes(w))).toEqual([]);
      for (const deal of own) {
        expect(deal.step).toBe(sure(wishes.find((w) => w.childId === deal.childId)).step);
        expect(deal.items.length).toBeLessThanOrEqual(each);
        if (deal.items.length < each) fewer += 1;
        for (const key of [...deal.items, ...deal.spares]) {
          const as = playedAs({ task, step, own }, key);
          expect(as).toEqual({ task, step: deal.step });
          expect(tryItem(as, key, bank).item?.key, `${key} as ${task} ${deal.step}`).toBe(key);
        }
      }
    }
    // Steps of few words run out in large groups; most do not.
    expect(fewer).toBeLessThan(times(1_000, 50) * 0.5);
  });

  test('the same request gives the same deal', () => {
    for (const seed of [3, 44, 101]) expect(groupOf(seed)).toEqual(groupOf(seed));
  });

  test('each hears their own words in turn, however the turns run, and two devices agree', () => {
    for (let seed = 1; seed <= times(400, 25); seed += 1) {
      const { task, own, items, wishes, each } = groupOf(seed);
      if (!items.length) continue;
      const children = wishes.map((w) => w.childId);
      const plan: SessionPlan = {
        children,
        rounds: [
          {
            words: items,
            turns: children.length * each,
            way: 'individual',
            inOrder: taskOf(task).inOrder === true,
            own: Object.fromEntries(own.map((o) => [o.childId, o.items])),
          },
        ],
      };
      const random = seeded(seed);
      const log: Entry[] = [{ kind: 'modelled', id: '0', at: 0, round: 0 }];
      const had = new Map<string, string[]>();
      for (let i = 1; i <= children.length * each; i += 1) {
        if (random() < 0.2) {
          const { turn } = replay(plan, log);
          log.push({
            kind: 'choose',
            id: `${i}c`.padStart(6, '0'),
            at: i,
            turn,
            childId: sure(children[i % children.length]),
          });
        }
        const state = replay(plan, log);
        expect(
          replay(
            plan,
            [...log].reverse().sort((a, b) => (a.id < b.id ? -1 : 1)),
          ).word,
        ).toBe(state.word);
        const deal = own.find((o) => o.childId === state.childId);
        if (deal) expect(deal.items).toContain(state.word);
        else expect(items).toContain(state.word);
        had.set(sure(state.childId), [...(had.get(sure(state.childId)) ?? []), state.word]);
        log.push(answer(`${i}x`.padStart(6, '0'), state.turn, state.childId, state.word));
      }
      for (const [child, words] of had) {
        const deal = own.find((o) => o.childId === child);
        if (deal && words.length <= deal.items.length) expect(words).toEqual(deal.items.slice(0, words.length));
      }
    }
  });

  test('words that hold what slips come first, where the bank has them', () => {
    const held = holding('closing-last', bank).map((w) => w.word);
    const own = dealOwn(bank, [{ childId: 'a', step: '4-end', words: held }], { task: 'blending', each: 3, seed: 5 });
    expect(own[0]?.items).toHaveLength(3);
    expect(own[0]?.items.every((key) => held.includes(key))).toBe(true);
  });

  test('a swap stays with the turn, a word put aside goes, a child who has none has the round’s', () => {
    const plan: SessionPlan = {
      children: ['a', 'b'],
      rounds: [{ words: ['sun', 'map'], turns: 4, own: { a: ['frog', 'plant'] } }],
    };
    const log: Entry[] = [{ kind: 'modelled', id: '00', at: 0, round: 0 }];
    expect(replay(plan, log).word).toBe('frog');
    const swapped: Entry[] = [...log, { kind: 'swap', id: '01', at: 1, turn: 0, from: 'frog', to: 'drum' }];
    expect(replay(plan, swapped).word).toBe('drum');
    const aside: Entry[] = [...log, { kind: 'aside', id: '01', at: 1, turn: 0, word: 'frog' }];
    expect(replay(plan, aside).word).toBe('plant');
    expect(replay(plan, [...log, answer('01', 0, 'a', 'frog')])).toMatchObject({ childId: 'b', word: 'map' });
  });

  test('who volunteers is tapped, and then their own word comes; in pairs it is the word of who answers', () => {
    const own = { a: ['frog', 'plant'], b: ['sun', 'map'] };
    const round = { words: ['leg'], turns: 4, own };
    const log: Entry[] = [{ kind: 'modelled', id: '00', at: 0, round: 0 }];
    const free: SessionPlan = { children: ['a', 'b'], rounds: [{ ...round, way: 'volunteers' }] };
    expect(replay(free, log)).toMatchObject({ calling: true, childId: null });
    const tapped: Entry[] = [...log, { kind: 'choose', id: '01', at: 1, turn: 0, childId: 'b' }];
    expect(replay(free, tapped)).toMatchObject({ calling: false, childId: 'b', word: 'sun' });
    const pairs: SessionPlan = { children: ['a', 'b'], rounds: [{ ...round, way: 'pairs' }] };
    expect(replay(pairs, log)).toMatchObject({ childId: 'a', partnerId: 'b', word: 'frog' });
  });

  test('only games whose items stand alone, and ways that name who answers', () => {
    expect(GAMES.map((t) => t.id)).toContain('blending');
    for (const task of GAMES)
      expect([task.inOrder, task.together, task.sequence, task.theme]).toEqual(Array(4).fill(undefined));
    expect(canOwn(taskOf('chain'))).toBe(false);
    expect([namesWho('individual'), namesWho('pairs'), namesWho('volunteers')]).toEqual([true, true, true]);
    expect([namesWho('together'), namesWho('check')]).toEqual([false, false]);
  });

  test('what was dealt is told from what is shared', () => {
    const own = [{ childId: 'a', step: '4-start', items: ['frog'], spares: ['drum'] }];
    const round = { task: 'blending', step: stepOf(taskOf('blending'), '3-held').id, items: ['sun'], own };
    expect(dealtKeys(round, ['a'])).toEqual(['frog']);
    expect(dealtKeys(round, ['a', 'b'])).toEqual(['frog', 'sun']);
    expect(dealtKeys(round, ['b'])).toEqual(['sun']);
    expect(ownKeys(round)).toEqual(['frog', 'drum']);
    expect(playedAs(round, 'drum').step).toBe('4-start');
    expect(playedAs(round, 'sun').step).toBe('3-held');
  });

  test('a turn of the second round counts by its own round', () => {
    const plan: SessionPlan = {
      children: ['a'],
      rounds: [
        { words: ['sun'], turns: 1, own: { a: ['frog', 'plant'] } },
        { words: ['map'], turns: 1, own: { a: ['spoon', 'clip'] } },
      ],
    };
    const log: Entry[] = [
      { kind: 'modelled', id: '00', at: 0, round: 0 },
      answer('01', 0, 'a', 'frog'),
      { kind: 'round', id: '02', at: 2, round: 1 },
      { kind: 'modelled', id: '03', at: 3, round: 1 },
    ];
    expect(replay(plan, log)).toMatchObject({ turn: ROUND_STRIDE, word: 'spoon' });
  });
});
