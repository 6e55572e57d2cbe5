import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { OUTCOMES } from '../../core/answers/outcome';
import { LADDERS } from '../../core/evidence/ladders';
import { seeded } from '../../core/random';
import type { AnswerEntry } from '../../core/sessions/log';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { PLAIN_ROUND } from '../../core/testing/rounds';
import { times } from '../../core/testing/deep';
import { addChildren, addGroup, listGroups, type Group } from '../people/groups';
import { readySessions } from '../plans/today';
import { appendLog } from '../record/append-log';
import { startSession } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { advised, type Advised } from './advised';
import { boardRows } from './board';
import { childPage } from './child-page';
import { childPaper } from './child-paper';
import { chooseStep } from './chosen-steps';
import { boardOf, tomorrowFor } from './progress';

inFreshFiles();

const WORDS = ['frog', 'clap', 'went', 'lamp', 'sun', 'map', 'nest', 'snail'];
const HISTORIES = times(300, 40);

/** A session of one joining and one taking-apart round, with whatever came of it. */
async function played(groupId: string, children: readonly string[], random: () => number, daysAgo: number) {
  const pick = <T>(of: readonly T[]): T => sure(of[Math.floor(random() * of.length)]);
  const round = (id: string, task: string) => ({
    ...PLAIN_ROUND,
    id,
    task,
    step: 'mixed',
    items: WORDS.map((key) => ({ key, locked: false })),
    seed: 1,
  });
  const rounds = [round('r1', 'blending'), round('r2', 'segmenting')];
  const plan = { title: 'Beans', minutes: 8, letters: false, sound: null, pairs: [], rounds };
  const id = await startSession(groupId, plan, { only: children });
  const log = Array.from({ length: 16 }, (_, i): AnswerEntry => {
    const at = Date.now() - daysAgo * 86_400_000 + i * 20_000;
    const outcome = pick(OUTCOMES);
    const lost = outcome === 'not-yet' && random() < 0.7;
    const word = pick(WORDS);
    const says = pick(['word', 'slip'] as const);
    const check = { key: 'r opening after', word: 'frog', says, pebbles: random() < 0.5, told: null };
    return {
      ...answered((i % 2) * 1_000 + Math.floor(i / 2), sure(children[i % children.length]), word),
      outcome,
      ...(lost ? { slip: 'lost-sound' as const, missed: [1], said: null } : {}),
      ...(lost && random() < 0.3 ? { pebbles: [check] } : {}),
      id: v7({ msecs: at }),
      at,
    };
  });
  await appendLog(id, log);
}

/** A group of three with a history from a seed; the first child's step may have been chosen by an adult. */
async function groupFrom(seed: number) {
  const random = seeded(seed);
  const { id: groupId } = await addGroup(`Bed ${seed}`);
  await addChildren(groupId, 'Wren\nKofi\nOttilie');
  const group = sure((await listGroups()).find((g) => g.id === groupId));
  const ids = group.children.map((c) => c.id);
  for (const daysAgo of [12, 5, 1]) if (random() < 0.8) await played(groupId, ids, random, daysAgo);
  if (random() < 0.3) {
    const ladder = sure(LADDERS[Math.floor(random() * LADDERS.length)]);
    await chooseStep(sure(ids[0]), { step: { ladder: ladder.id, rung: sure(ladder.rungs[0]).id }, by: 'HB' });
  }
  return { group, ids };
}

const statesOf = (ladders: Advised['ladders']): string[][] => ladders.map((l) => l.rungs.map((r) => r.state));
const named = (s: { ladder: string; rung: string; pattern?: string | null } | undefined): string =>
  s ? `${s.ladder}/${s.rung} ${s.pattern ?? ''}` : 'nothing';

/** What is next for a child at each door, and their states there. */
async function atTheDoors(group: Group, id: string, now: number) {
  const [page, paper, rows, board, tomorrow] = await Promise.all([
    childPage(id, now),
    childPaper(id, now),
    boardRows(group, now),
    boardOf(group, now),
    tomorrowFor(group, now),
  ]);
  const grouped = sure(tomorrow.grouping.groups.find((g) => g.children.includes(id)));
  const gave = grouped.gave.find((g) => g.id === id);
  return {
    page: named(page.chosen?.shown ?? page.next[0]),
    chosen: page.chosen !== null,
    paper: paper.next ?? '',
    board: sure(rows.find((r) => r.id === id)).next,
    group: gave ? gave.own?.rung : grouped.step.rung,
    states: [
      page.ladders.map((l) => l.rungs.map((r) => r.state)),
      statesOf(sure(board.find((c) => c.id === id)).ladders),
    ],
  };
}

/** What Today proposes first is next, or beside it, for somebody who is here. */
async function expectToday(group: Group, all: readonly Advised[], where: string): Promise<void> {
  const { task, step, pattern } = sure((await readySessions(group))[0]).wish;
  const fits = all
    .flatMap((a) => a.next.slice(0, 2))
    .some((s) => (pattern ? s.pattern === pattern : s.rungOf.steps.some(([t, id]) => t === task && id === step)));
  expect(fits, `Today, ${where}`).toBe(true);
}

test(`${HISTORIES} random histories: every door has the same next step, and the same states`, async () => {
  for (let seed = 1; seed <= HISTORIES; seed += 1) {
    const where = `history ${seed}`;
    const { group, ids } = await groupFrom(seed);
    const now = Date.now();
    const { of } = await advised(ids, now);
    for (const id of ids) {
      const { next, ladders, choice } = sure(of.get(id));
      const doors = await atTheDoors(group, id, now);
      const first = sure(next[0]);
      expect(doors.page, where).toBe(named(first));
      expect(doors.chosen, where).toBe(choice !== null);
      expect(doors.paper, where).toContain(first.rungOf.plainly ?? first.rungOf.does);
      expect(doors.board, where).toContain(first.rungOf.does);
      expect(doors.group, where).toBe(first.rung);
      for (const states of doors.states) expect(states, where).toEqual(statesOf(ladders));
    }
    if (seed % 10 === 0) await expectToday(group, [...of.values()], where);
  }
}, 900_000);
