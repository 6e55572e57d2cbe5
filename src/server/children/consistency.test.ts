import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { OUTCOMES } from '../../core/answers/outcome';
import { inGroup } from '../../core/choosing/advice';
import { plainly } from '../../core/telling/family-page';
import { LADDERS } from '../../core/evidence/ladders';
import { seeded } from '../../core/random';
import type { AnswerEntry } from '../../core/sessions/log';
import { familyOf } from '../../core/games';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { PLAIN_ROUND } from '../../core/testing/rounds';
import { times } from '../../core/testing/deep';
import { addChildren, addGroup, listGroups, type Group } from '../people/groups';
import { coverCard } from '../plans/cover-card';
import { readySessions } from '../plans/today';
import { appendLog } from '../record/append-log';
import { startSession } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { advised, type Advised } from './advised';
import { boardRows } from './board';
import { childPage } from './child-page';
import { childPaper } from './child-paper';
import { chooseStep } from './chosen-steps';
import { groupHandover, handoverPaper, talkPaper } from './papers';
import { boardOf } from './progress';
import { whoWithWhom } from './who-with-whom';

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

const statesOf = (skills: Advised['skills']): string[][] => skills.map((l) => l.rungs.map((r) => r.state));
/** What is next, as far as it can be compared. */
interface Ref {
  readonly ladder: string;
  readonly rung: string;
  readonly pattern?: string | null;
  readonly check?: string | null;
}
const ref = (s: Ref | null): string => (s ? `${s.ladder}/${s.rung} ${s.pattern ?? ''} ${s.check ?? ''}` : 'nothing');

/** All the text of a door. */
const textOf = (door: object): string => JSON.stringify(door).replaceAll('\\"', '"');

/** Every door that says what is next for a child, as text; those that give the reason too; and the states told. */
async function atTheDoors(group: Group, id: string, now: number) {
  const [page, paper, rows, board, who, hand, whole, cover, talk] = await Promise.all([
    childPage(id, now),
    childPaper(id, now),
    boardRows(group, now),
    boardOf(group, now),
    whoWithWhom(group, now),
    handoverPaper(id, now),
    groupHandover(group.id, now),
    coverCard(group.id, false, now),
    talkPaper(id, now),
  ]);
  const name = sure(group.children.find((c) => c.id === id)).name;
  const grouped = who.grouping.groups.find((g) => !g.game.own && g.reason.next.includes(id));
  return {
    page,
    refs: [ref(page.next), ref(sure(rows.find((r) => r.id === id)).next)],
    named: {
      page: textOf({ next: page.next }),
      board: textOf({ next: sure(rows.find((r) => r.id === id)).next }),
      handover: textOf({ parts: hand.parts }),
      'group handover': textOf(sure(whole.parts.find((p) => p.heading === name))),
      cover: textOf(sure(cover.children.find((c) => c.id === id))),
    },
    reasoned: { page: textOf({ next: page.next }), handover: textOf({ parts: hand.parts }) },
    paper: paper.next ?? '',
    talk: sure(talk.parts[1]).lines[0] ?? '',
    // Where the group plays what is next for this child; else it is said that something else is.
    group: grouped ? grouped.game.step : undefined,
    states: [
      page.ladders.map((l) => l.rungs.map((r) => r.state)),
      statesOf(sure(board.find((c) => c.id === id)).skills),
    ],
  };
}

/** What Today proposes first is next, or beside it, for somebody who is here. */
async function expectToday(group: Group, all: readonly Advised[], where: string): Promise<void> {
  const { task, step, pattern } = sure((await readySessions(group))[0]).wish;
  const fits = all
    .flatMap((a) => [inGroup(a), a.other])
    .some((s) => s && (pattern ? s.pattern === pattern : s.game[0] === task && s.game[1] === step));
  expect(fits, `Today, ${where}`).toBe(true);
}

const without = (text: string): string => text.toLowerCase();

test(`${HISTORIES} random histories: every door, by its text, has one name and one reason for next`, async () => {
  for (let seed = 1; seed <= HISTORIES; seed += 1) {
    const { group, ids } = await groupFrom(seed);
    const now = Date.now();
    const { of } = await advised(ids, now);
    for (const id of ids) {
      const advice = sure(of.get(id));
      const next = sure(advice.next);
      const doors = await atTheDoors(group, id, now);
      for (const door of doors.refs) expect(door, `history ${seed}`).toBe(ref(next));
      for (const [door, text] of Object.entries(doors.named))
        expect(without(text), `${door}, history ${seed}`).toContain(next.does.toLowerCase());
      for (const [door, text] of Object.entries(doors.reasoned))
        expect(text, `${door}, history ${seed}`).toContain(next.reason);
      expect(doors.paper, `family page, history ${seed}`).toContain(plainly(next.rungOf));
      // No step is named there: what is tried first is of the skill that is next.
      expect(doors.talk, `talk, history ${seed}`).toContain(familyOf(next.ladder).atHome.tries);
      if (doors.group) expect(ref(doors.group), `group, history ${seed}`).toBe(ref(inGroup(advice)));
      expect(doors.page.chosen !== null).toBe(advice.choice !== null);
      for (const states of doors.states) expect(states, `history ${seed}`).toEqual(statesOf(advice.skills));
      // The sentence that heads a page says what holds, and nothing of what is next.
      for (const other of advice.skills.flatMap((s) => (s.holds ? [] : (s.workingOn?.does ?? []))))
        expect(doors.page.summary, `history ${seed}`).not.toContain(other);
    }
    if (seed % 10 === 0) await expectToday(group, [...of.values()], `history ${seed}`);
  }
}, 900_000);
