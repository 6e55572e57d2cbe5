import { judge } from '../answers/judge';
import { saidOf } from '../answers/said';
import { NO_OWN_WAY, type OwnWay } from '../answers/own-way';
import { makeItem, type Item } from '../games/item';
import { stepOf, taskOf } from '../games';
import type { Help } from '../answers/outcome';
import { askedFor } from '../answers/analyse';
import { cellsFrom, runsFrom, type Given } from '../evidence/reading';
import { spotKey } from '../answers/spots';
import type { StepRun } from '../evidence/evidence';
import type { PebbleCheck } from '../evidence/pebbles';
import { roomsIn, withRoom } from '../evidence/noisy-day';
import type { ChildSeen } from '../evidence/settle';
import { sure } from '../sure';
import { material, word } from './bank';
import type { CaseAnswers, CaseCheck, JudgementCase } from './judgement-cases';
import { GAPS, SPEECH } from './speakers';

export const DAY = 86_400_000;
export const NOW = 20_000 * DAY;

/** `blending 3-clip 1111 5` is a run of four right, five days ago; commas apart; see CaseSeen for what may follow. */
export const readRuns = (text: string): StepRun[] =>
  text
    .split(',')
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t, i): StepRun => {
      const [task = '', step = '', marks = '', ago = '1', ...more] = t.split(' ');
      const standing = more.find((m) => !/^x|=/u.test(m)) ?? 'fresh';
      const among = more.find((m) => m.startsWith('x'));
      const by = more.find((m) => m.startsWith('by='));
      const helps = more.filter((m) => m.includes('=') && m !== by).map((m) => m.split('=') as [Help, string]);
      return {
        task,
        step,
        marks,
        standing: standing as StepRun['standing'],
        at: NOW - Number(ago) * DAY + i * 1000,
        day: 20_000 - Number(ago),
        helps: Object.fromEntries(helps.map(([help, n]) => [help, Number(n)])),
        ...(among ? { among: Number(among.slice(1)) } : {}),
        ...(by ? { by: by.slice(3) } : {}),
      };
    });

/** What a child says, in the parts they say it in. */
type Saying = readonly (readonly string[])[] | null;

/** A word of a case as the child answers it. */
function sayingOf(name: string, task: string, does: string): Saying {
  const of = word(name);
  const sounds = of.sounds.map((s) => s.ipa);
  const apart = task === 'segmenting';
  if (does === 'silent') return null;
  if (does === 'whole word') return [sounds];
  if (does === 'not joined') return sounds.map((s) => [s]);
  if (does === 'last of an end, d too') return apart ? sounds.slice(0, -1).map((s) => [s]) : [sounds.slice(0, -1)];
  const gap = GAPS[does];
  if (gap) return gap.answer(sounds, apart);
  const said = SPEECH[does]?.(sounds, of) ?? sounds;
  return apart ? said.map((s) => [s]) : [said];
}

/** Items are made once: a history asks for the same ones again and again. */
const itemOf = (id: string, step: string, name: string): Item =>
  material().keep(`seen ${id} ${step} ${name}`, () => makeItem(taskOf(id), stepOf(taskOf(id), step), name, material()));

/** An answer as it is kept, judged as the app judges it. */
export function givenBy(
  { task, name, saying }: { readonly task: string; readonly name: string; readonly saying: Saying },
  more: Pick<Given, 'at' | 'day'> & { readonly ownWay?: OwnWay; readonly helped?: boolean; readonly by?: string },
): Given {
  const [id = '', step = 'mixed'] = task.split('/');
  const item = itemOf(id, step, name);
  const judged = saying && judge({ judged: item.judged, marks: item.marks, ownWay: more.ownWay ?? NO_OWN_WAY }, saying);
  const plain = judged ? judged.outcome : 'no-reply';
  const outcome = more.helped === true && plain === 'not-yet' ? 'with-help' : plain;
  return {
    task: id,
    step,
    standing: 'fresh',
    outcome,
    slip: judged && judged.slip,
    said: saying && saidOf(saying),
    missed: judged ? judged.missed : [],
    sounds: item.marks.map((m) => m.ipa),
    helps: [],
    by: more.by ?? null,
    at: more.at,
    day: more.day,
  };
}

function givenIn([task, words, does, daysAgo, helped]: CaseAnswers, ownWay: OwnWay): Given[] {
  return words
    .split(' ')
    .map((name, i) =>
      givenBy(
        { task, name, saying: sayingOf(name, task, does) },
        { at: NOW - daysAgo * DAY + i * 20_000, day: 20_000 - daysAgo, ownWay, helped: helped === true },
      ),
    );
}

/** The key a check is about: sound and place. */
const keyOfSound = (name: string, at: number): string => spotKey(askedFor(word(name).sounds.map((s) => s.ipa)), at);

const checkOf = ({ word: name, at, says, pebbles, told, daysAgo }: CaseCheck): PebbleCheck => ({
  key: keyOfSound(name, at),
  word: name,
  says,
  pebbles,
  told: told ?? null,
  at: NOW - daysAgo * DAY + 3_600_000,
  day: 20_000 - daysAgo,
});

/** Runs with those of a day on which everyone missed the same marked as the room’s. */
function besideOthers(runs: readonly StepRun[], others: readonly (readonly StepRun[])[]): StepRun[] {
  const today = (of: readonly StepRun[]): StepRun[] => of.filter((r) => r.day === 20_000);
  const before = (of: readonly StepRun[]): StepRun[] => of.filter((r) => r.day < 20_000);
  const all = [runs, ...others].map((of, i) => [`c${i}`, of] as const);
  const rooms = roomsIn(
    new Map(all.map(([id, of]) => [id, today(of)])),
    new Map(all.map(([id, of]) => [id, before(of)])),
  );
  return runs.map((run) => (run.day === 20_000 ? withRoom(run, rooms) : run));
}

/** What was seen of the child of a written case. */
export function seenIn({ seen }: Pick<JudgementCase, 'seen'>): ChildSeen {
  const ownWay = { ...NO_OWN_WAY, ...seen.ownWay };
  const days = (seen.answers ?? []).map((rows) => givenIn(rows, ownWay));
  return {
    runs: besideOthers(
      [...readRuns(seen.runs ?? ''), ...days.flatMap((given) => runsFrom(given))],
      (seen.others ?? []).map(readRuns),
    ),
    sessions: days.flatMap((given) => {
      const cells = cellsFrom(given);
      return cells ? [{ at: sure(given[0]).at, cells }] : [];
    }),
    checks: (seen.checks ?? []).map(checkOf),
  };
}
