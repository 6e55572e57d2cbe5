import { format } from 'date-fns';
import { heardText } from '../../core/answers/heard';
import { childCsv, childFileSchema, type ChildFile } from '../../core/formats/child-file';
import { FATES, type Fate } from '../../core/sessions/standing';
import { plantOf } from '../../core/sessions/plants';
import type { OpenSlip } from '../../core/evidence/settle';
import { whySentence } from '../../core/telling/why';
import { advised } from './advised';
import { choicesOf } from './chosen-steps';
import { companyOf } from '../people/company';
import { database } from '../storage/database';
import { answersThat, type KeptAnswer } from '../answers/answers';
import { hearingOfAny } from '../answers/hearing';
import type { AnswerRow, LogRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { stillReading, unread } from '../record/rebuild-queue';
import { checkId, readOwnWay } from '../record/session-record';
import { sure } from '../../core/sure';

/** The last moment there is a date for: an older file may hold a later one (ECMA-262, 21.4.1.1). */
const LAST = 8.64e15;
const iso = (at: number): string => new Date(Math.min(at, LAST)).toISOString();

/** A slip that is open, as the file has it. */
const notSettled = ({ key, times, verdict, lastAt }: OpenSlip): ChildFile['notSettled'][number] => ({
  place: key,
  times,
  verdict,
  lastAt: iso(lastAt),
});

/** Everything about a child, checked against the file's schema. Throws a Problem (404) where there is no such child. */
export async function childFile(childId: string, now = Date.now()): Promise<ChildFile> {
  const { models } = await database();
  const child = (await models.children.findByPk(checkId(childId)))?.get();
  if (!child) throw new Problem('That child isn’t in the list any more.', 404);
  const theirs = { where: { child_id: childId }, order: [['id', 'ASC']] as [string, string][], raw: true } as const;
  const [group, answers, steps, asked, all, choices] = await Promise.all([
    models.groups.findByPk(child.group_id),
    models.answers.findAll(theirs) as unknown as Promise<AnswerRow[]>,
    models.logRows.findAll(theirs) as unknown as Promise<LogRow[]>,
    models.answers.findAll({
      where: { partner_id: childId },
      attributes: ['id', 'session_id', 'at'],
      raw: true,
    }) as unknown as Promise<AnswerRow[]>,
    advised([childId], now),
    choicesOf(childId),
  ]);
  // Read after the answers are, so that each of them is in it.
  const readings = new Map((await answersThat({ children: [childId], fates: FATES })).map((r) => [r.id, r]));
  const failed = await unread();
  // What is still being read will be there in a moment; what cannot be read is given out as it was marked.
  if (answers.some((a) => !readings.has(a.id) && !failed.has(a.session_id))) throw stillReading();
  const heardAs = await hearingOfAny();
  const heardOf = (answer: KeptAnswer | undefined): string | null => {
    const heard = answer ? heardAs(answer) : null;
    return heard && heardText(heard);
  };
  return childFileSchema.parse({
    format: 'bouncy-echo-child',
    version: 5,
    exportedAt: iso(now),
    child: {
      id: child.id,
      name: child.name,
      group: group?.get().name ?? '',
      addedAt: iso(child.created_at),
      awayOn: child.away_on,
      ownWay: readOwnWay(child.own_way),
      plant: plantOf(child.plant),
      ownId: child.own_id,
      outOfSightSince: child.archived_at === null ? null : iso(child.archived_at),
      days: companyOf(child, []).days,
      keyAdult: child.key_adult,
    },
    states: sure(all.of.get(childId)).skills.flatMap(({ ladder, rungs }) =>
      rungs
        .filter((r) => r.lastAt !== null)
        .map((r) => ({ ladder: ladder.id, step: r.rung.id, state: r.state, why: whySentence(r) })),
    ),
    notSettled: sure(all.of.get(childId)).open.map(notSettled),
    chosenSteps: choices.map((c) => ({
      ladder: c.ladder,
      step: c.rung,
      at: iso(c.at),
      by: c.chosen_by,
      endedAt: c.ended_at === null ? null : iso(c.ended_at),
    })),
    answers: answers.map((a) => fileAnswer(a, readings.get(a.id), heardOf)),
    asked: asked.map((a) => ({ session: a.session_id, answer: a.id, at: iso(a.at) })),
    steps: steps.map((s) => ({ session: s.session_id, kind: s.kind, at: iso(s.at) })),
  });
}

type AnswerInFile = ChildFile['answers'][number];

/** An answer as the file has it; `read`: what became of it, where its session could be read. */
const fileAnswer = (
  a: AnswerRow,
  read: KeptAnswer | undefined,
  heardOf: (answer: KeptAnswer | undefined) => string | null,
) => ({
  id: a.id,
  session: a.session_id,
  task: a.task,
  step: a.step,
  word: a.word,
  sounds: a.sounds ? a.sounds.split(' ') : [],
  outcome: a.outcome,
  standing: read?.standing ?? null,
  slip: a.slip,
  said: a.said,
  heard: heardOf(read),
  missed: JSON.parse(a.missed) as number[],
  helps: JSON.parse(a.helps) as string[],
  note: a.note,
  secondsToMark: a.think_ms === null ? null : a.think_ms / 1000,
  selfCorrected: a.self_corrected === 1,
  shown: a.shown === 1,
  pebbles: a.pebbles === null ? [] : (JSON.parse(a.pebbles) as AnswerInFile['pebbles']),
  markedBy: a.marked_by,
  at: iso(a.at),
  stands: standsAs(read?.fate),
  deviceAt: a.device_at === null ? null : iso(a.device_at),
});

/** What became of an answer; it is not known in a session that could not be read. */
const standsAs = (fate: Fate | undefined): AnswerInFile['stands'] =>
  fate === undefined ? 'not-read' : STANDS_AS[fate];

/** The file’s words for what became of an answer. */
const STANDS_AS: Readonly<Record<Fate, AnswerInFile['stands']>> = {
  stands: 'stands',
  beside: 'second',
  replaced: 'replaced',
  undone: 'replaced',
};

const FORMS = { json: (file: ChildFile) => `${JSON.stringify(file, null, 2)}\n`, csv: childCsv } as const;
export type ChildForm = keyof typeof FORMS;
export const isChildForm = (as: string): as is ChildForm => Object.hasOwn(FORMS, as);

/** The file with its name. */
export async function childDownload(childId: string, as: ChildForm): Promise<{ text: string; name: string }> {
  const file = await childFile(childId);
  // Signs that some file systems do not take.
  const who = file.child.name.replace(/[\\/:*?"<>|]+/g, ' ');
  return {
    text: FORMS[as](file),
    name: `bouncy-echo-${who}-${format(new Date(file.exportedAt), 'yyyy-MM-dd')}.${as}`,
  };
}
