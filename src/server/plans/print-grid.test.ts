import { describe, expect, test } from 'vitest';
import { format } from 'date-fns';
import { v7 } from 'uuid';
import { planRequestSchema } from '../../core/formats/plan-file';
import { ROUND_STRIDE, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { replay } from '../../core/sessions/replay';
import type { Plan, Way } from '../../core/sessions/running-order';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { PLAIN_ROUND } from '../../core/testing/rounds';
import { childPage } from '../children/child-page';
import { addChildren, addGroup, eraseChild, listGroups, setAway, type Group } from '../people/groups';
import { appendLog } from '../record/append-log';
import { caughtUp } from '../record/rebuild-queue';
import { replayPlan, sessionPlan } from '../record/session-record';
import { exportOf, listSessions, lookBack } from '../sessions/look-back';
import { paperSheet, typeIn } from '../sessions/papers';
import { rows } from '../storage/rows';
import { inFreshFiles } from '../testing/fresh-file';
import { newPlan, workOnPlan } from './plans';
import { printGrid } from './print-grid';
import { startPlan } from './start-plan';

// Real SQLite files throughout; the children and what they answered are invented.
inFreshFiles();

const NAMES = ['Ottilie', 'Idris', 'Wren', 'Kofi', 'Saoirse', 'Maeve', 'Tomasz', 'Priya'];
const WORDS = ['sun', 'map', 'leg', 'net', 'moon', 'mug', 'fish', 'sock', 'fan', 'lid'];
const MARKS = ['on-own', 'with-help', 'not-yet', 'no-reply'] as const;
const WISH = planRequestSchema.parse({ minutes: 8, seed: 3 });
const today = (): string => format(new Date(), 'yyyy-MM-dd');

const planOf = (way: Way, own = false): Plan => ({
  title: 'Beans',
  minutes: 10,
  letters: false,
  sound: null,
  pairs: [],
  rounds: [
    {
      ...PLAIN_ROUND,
      id: 'r1',
      task: 'blending',
      step: '3-held',
      items: WORDS.map((key) => ({ key, locked: false })),
      way,
      seed: 1,
      ...(own ? { own: { on: true, steps: {} } } : {}),
    },
  ],
});

async function groupOf(names = NAMES): Promise<Group> {
  const { id } = await addGroup('Radishes');
  await addChildren(id, names.join('\n'));
  return sure((await listGroups()).find((g) => g.id === id));
}
/** The plan of a group, kept, and its tick grid. */
async function gridOf(group: Group, plan: Plan): Promise<number> {
  const id = await newPlan(group.id, WISH);
  await workOnPlan(id, plan, { kind: 'show' });
  return sure(await printGrid(id));
}

/** What a child answers to a word, on paper as on a device; twice in three on their own. */
function markFor(name: string, word: string): number {
  const n = [...`${name} ${word}`].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 9973, 7) % 12;
  return n < 8 ? 1 : Math.max(2, n - 7);
}
const outcomeFor = (name: string, word: string) => sure(MARKS[markFor(name, word) - 1]);

interface Played {
  /** Who was asked what. */
  readonly asked: ReadonlySet<string>;
  readonly session: string;
}

/** Plays a session on a device, as many turns as asked for. */
async function played(group: Group, plan: Plan, turns: number): Promise<Played> {
  const session = await startPlan(group.id, plan);
  const planned = replayPlan(await sessionPlan(session));
  const nameOf = (id: string): string => sure(group.children.find((c) => c.id === id)).name;
  const stamp = (i: number) => ({ id: v7(), at: Date.now() - 3_600_000 + i * 20_000 });
  const log: Entry[] = [{ kind: 'more', turns: 100, ...stamp(0) }];
  const asked = new Set<string>();
  for (let i = 1; i <= turns; i += 1) {
    const state = replay(planned, log);
    const [child, word] = [sure(state.childId ?? undefined), state.word];
    asked.add(`${nameOf(child)} ${word}`);
    const answer: AnswerEntry = { ...answered(state.turn, child, word), ...stamp(i), thinkMs: null };
    log.push({ ...answer, outcome: outcomeFor(nameOf(child), word) });
  }
  await appendLog(session, log);
  return { session, asked };
}

/** Types in what was asked, box by box, as it is on the paper. */
async function typed(number: number, asked: ReadonlySet<string>): Promise<string> {
  const { rounds } = await paperSheet(number);
  const line = (name: string, boxes: readonly string[]): string =>
    boxes.map((word) => (asked.has(`${name} ${word}`) ? String(markFor(name, word)) : ' ')).join('');
  const marks = rounds.map((r) => r.rows.map((row) => line(row.name, row.boxes)));
  return typeIn(number, { day: today(), marks, by: 'HB' });
}

/** All that is known of the children of a group, by name; the order of turns is not known from paper. */
async function knownOf(group: Group) {
  await caughtUp();
  const pages = await Promise.all(group.children.map((c) => childPage(c.id)));
  return Promise.all(
    pages.map(async ({ id, name, ladders, next, summary, open }) => ({
      name,
      summary,
      open,
      next: next && `${next.ladder} ${next.rung} ${next.reason}`,
      states: ladders.map((l) => l.rungs.map((r) => `${r.id} ${r.state} ${r.why}`)),
      runs: (
        await rows<{ run: string; marks: string }>(
          `SELECT task || ' ' || step || ' ' || standing || helps AS run, marks FROM evidence WHERE child_id = :id
           ORDER BY task, step, standing`,
          { id },
        )
      ).map(({ run, marks }) => `${run} ${[...marks].sort().join('')}`),
      cells: (await rows<{ cells: string }>('SELECT cells FROM heard_sounds WHERE child_id = :id', { id })).map(
        ({ cells }) => Object.fromEntries(Object.entries(JSON.parse(cells) as object).sort()),
      ),
    })),
  );
}

describe('typed in is as good as played', () => {
  test.each([
    ['a check-in of eight children and ten words, every box', 'check', false, 80],
    ['a round in turn', 'individual', false, 24],
    ['each their own step', 'individual', true, 8],
  ] as const)('%s', async (_, way, own, turns) => {
    const plan = planOf(way, own);
    const [onDevice, onPaper] = [await groupOf(), await groupOf()];
    // Two groups of the same names begin alike: the same deal, the same turns.
    const number = await gridOf(onPaper, plan);
    const { asked } = await played(onDevice, plan, turns);
    expect(asked.size).toBe(turns);
    const session = await typed(number, asked);
    expect((await lookBack(session)).answers).toHaveLength(turns);
    expect(await knownOf(onPaper)).toEqual(await knownOf(onDevice));
  });
});

describe('a grid and its number', () => {
  test('the same grid keeps its number; another, or one typed in since, has another', async () => {
    const group = await groupOf(['Wren', 'Kofi']);
    const plan = await newPlan(group.id, WISH);
    const first = sure(await printGrid(plan));
    expect(await printGrid(plan)).toBe(first);
    await setAway(sure(group.children[1]).id, true);
    const alone = sure(await printGrid(plan));
    expect(alone).toBeGreaterThan(first);
    const sheet = await paperSheet(alone);
    expect(sheet.rounds.flatMap((r) => r.rows.map((row) => row.name)).includes('Kofi')).toBe(false);
    await typed(alone, new Set([`Wren ${sure(sure(sheet.rounds.at(-1)).rows.at(-1)?.boxes[0])}`]));
    expect(await printGrid(plan)).toBeGreaterThan(alone);
  });

  test('typed in once: again gives the same session, marked as from paper wherever it is shown', async () => {
    const group = await groupOf(['Wren', 'Kofi']);
    const number = await gridOf(group, planOf('individual'));
    const asked = new Set(['Wren sun', 'Kofi map']);
    const [one, other] = await Promise.all([typed(number, asked), typed(number, asked)]);
    expect(other).toBe(one);
    expect(await typed(number, new Set(['Wren leg']))).toBe(one);
    const looked = await lookBack(one);
    expect(looked.answers.map((a) => `${a.child ?? ''} ${a.word} ${a.outcome} ${a.markedBy ?? ''}`)).toEqual([
      `Wren sun ${outcomeFor('Wren', 'sun')} HB`,
      `Kofi map ${outcomeFor('Kofi', 'map')} HB`,
    ]);
    expect(looked.session.paper).toBe(number);
    expect(looked.reopens).toBe(false);
    expect(exportOf(looked).session.paper).toBe(number);
    expect((await listSessions(group.id))[0]).toMatchObject({ id: one, paper: number, finished: true });
    expect((await paperSheet(number)).sessionId).toBe(one);
  });

  test('what the boxes are about stays though the answers since would deal otherwise', async () => {
    const group = await groupOf(['Wren', 'Kofi']);
    const plan = planOf('individual', true);
    const number = await gridOf(group, plan);
    const before = (await paperSheet(number)).rounds;
    await played(group, plan, 8);
    await caughtUp();
    expect((await paperSheet(number)).rounds).toEqual(before);
  });

  test('a day too early or too late, no mark, a mark too many: each is told, and nothing is kept', async () => {
    const group = await groupOf(['Wren', 'Kofi']);
    const number = await gridOf(group, planOf('individual'));
    const one = [[`1${' '.repeat(9)}`, ' '.repeat(10)]];
    const keep = (typing: object) => typeIn(number, { day: today(), marks: one, by: '', ...typing });
    await expect(keep({ day: '2020-01-01' })).rejects.toThrow('printed after that day');
    await expect(keep({ day: '2999-01-01' })).rejects.toThrow('hasn’t come yet');
    await expect(keep({ day: 'soon' })).rejects.toThrow('the day you played');
    await expect(keep({ marks: [[' '.repeat(10), ' '.repeat(10)]] })).rejects.toThrow('at least one mark');
    await expect(keep({ marks: [['1', ' '.repeat(10)]] })).rejects.toThrow('This grid has changed');
    await expect(keep({ marks: [[`6${' '.repeat(9)}`, ' '.repeat(10)]] })).rejects.toThrow('from 1 to 5');
    expect((await paperSheet(number)).sessionId).toBeNull();
    expect(await listSessions(group.id)).toEqual([]);
    await keep({});
    expect((await listSessions(group.id)).length).toBe(1);
  });

  test('a number that was never printed, and what is no number, are told in a sentence', async () => {
    await expect(paperSheet(4711)).rejects.toThrow('no grid with the number 4711');
    await expect(paperSheet('twelve')).rejects.toThrow('the number that’s printed');
    await expect(paperSheet('')).rejects.toThrow('the number that’s printed');
  });

  test('an erased child is on no paper any more; the others can still be typed in', async () => {
    const group = await groupOf(['Wren', 'Kofi']);
    const number = await gridOf(group, planOf('individual', true));
    const [wren, kofi] = group.children;
    await eraseChild(sure(wren).id);
    const kept = await rows<{ text: string }>('SELECT rounds || children AS text FROM papers WHERE number = :number', {
      number,
    });
    expect(sure(kept[0]).text).not.toContain(sure(wren).id);
    const { rounds } = await paperSheet(number);
    expect(sure(rounds[0]).rows.map((r) => r.name)).toEqual(['Kofi']);
    const session = await typed(number, new Set([`Kofi ${sure(sure(rounds[0]).rows[0]?.boxes[0])}`]));
    const [answer] = (await lookBack(session)).answers;
    expect(answer).toMatchObject({ childId: sure(kofi).id });
    expect(Math.floor(sure(answer).turn / ROUND_STRIDE)).toBe(0);
  });
});
