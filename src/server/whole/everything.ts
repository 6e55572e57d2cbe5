import { format } from 'date-fns';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import { csv } from '../../core/formats/csv';
import { CSV_COLUMNS, linesOf, toCsv } from '../../core/formats/session-export';
import { childDownload } from '../children/child-file';
import { listGroups } from '../people/groups';
import { planFile } from '../plans/plans';
import { caughtUp, soonRead, stillReading } from '../record/rebuild-queue';
import { sessionLog } from '../record/session-record';
import { exportOf, lookBack } from '../sessions/look-back';
import { database } from '../storage/database';
import { rows } from '../storage/rows';
import { Problem } from '../storage/problems';
import { exportSet, listSets } from '../words/word-sets';

const GROUP_COLUMNS = ['id', 'name', 'ages', 'children'] as const;

const CHILD_COLUMNS = ['id', 'name', 'group', 'own id', 'added', 'out of sight since'] as const;

/** A file of the archive: its path, and its text. */
type File = readonly [path: string, text: string];

/** A name that every file system takes, with what tells two alike apart. */
const named = (name: string, id: string): string =>
  `${name.replace(/[\\/:*?"<>|\s]+/g, ' ').trim() || 'file'} ${id.slice(-8)}`;

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

/** Who is on which list, and who is out of sight. */
async function* lists(): AsyncGenerator<File> {
  const { models } = await database();
  const groups = await listGroups();
  const nameOf = new Map(groups.map((g) => [g.id, g.name]));
  const children = (await models.children.findAll({ order: [['position', 'ASC']] })).map((c) => c.get());
  const groupLines = groups.map((g) => [g.id, g.name, g.ageBand ?? '', g.children.length]);
  yield ['groups.csv', csv(GROUP_COLUMNS, groupLines)];
  const childLines = children.map((c) => [
    c.id,
    c.name,
    nameOf.get(c.group_id) ?? '',
    c.own_id ?? '',
    format(c.created_at, 'yyyy-MM-dd'),
    c.archived_at === null ? '' : format(c.archived_at, 'yyyy-MM-dd'),
  ]);
  yield ['children.csv', csv(CHILD_COLUMNS, childLines)];
}

/** A file for each child, with everything about them. */
async function* children(): AsyncGenerator<File> {
  const { models } = await database();
  for (const child of await models.children.findAll({ attributes: ['id', 'name'] })) {
    const { id, name } = child.get();
    const file = await childDownload(id, 'json').catch((error: unknown) => {
      // Erased since the list was made.
      if (error instanceof Problem && error.status === 404) return null;
      throw error;
    });
    if (file) yield [`children/${named(name, id)}.json`, file.text];
  }
}

/** Two files for each session, for a program and for a spreadsheet; and all answers on one sheet. */
async function* sessions(): AsyncGenerator<File> {
  const sheet: (string | number)[][] = [];
  const { models } = await database();
  for (const session of await models.sessions.findAll({ attributes: ['id', 'title', 'started_at'] })) {
    const { id, title, started_at: at } = session.get();
    const path = `sessions/${named(`${format(at, 'yyyy-MM-dd')} ${title}`, id)}`;
    try {
      const made = exportOf(await lookBack(id));
      yield [`${path}.json`, json(made)];
      yield [`${path}.csv`, toCsv(made)];
      sheet.push(...linesOf(made).map((line) => [format(at, 'yyyy-MM-dd HH:mm'), made.session.group, title, ...line]));
    } catch (error) {
      // One that cannot be read is given as it was marked, and holds no other up.
      console.error(
        `Session ${id} could not be read; the archive has it as it was marked:`,
        error instanceof Error ? error.message : error,
      );
      yield [`${path}.json`, json({ format: 'bouncy-echo-session-log', version: 1, id, log: await sessionLog(id) })];
    }
  }
  yield ['answers.csv', csv(['started', 'group', 'session', ...CSV_COLUMNS], sheet)];
}

/** Tables that are no part of what a setting has put in. */
export const LEFT_OUT: Readonly<Record<string, string>> = {
  SequelizeMeta: 'which changes the file has had',
  erased: 'what was erased is not given out again',
  evidence: 'worked out from the answers',
  heard_sounds: 'worked out from the answers',
  kept_advice: 'worked out from the answers',
  local_steps: 'worked out from the answers',
};

/** Every other table as it is kept, so that nothing is missing: own words, settings, the shelf and all. */
export async function* tables(): AsyncGenerator<File> {
  const all = await rows<{ name: string }>(
    `SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name`,
  );
  for (const { name } of all) {
    if (name in LEFT_OUT) continue;
    const columns = (await rows<{ name: string }>(`SELECT name FROM pragma_table_info('${name}')`)).map((c) => c.name);
    const lines = await rows<Record<string, string | number | null>>(`SELECT * FROM "${name}"`);
    yield [
      `tables/${name}.csv`,
      csv(
        columns,
        lines.map((line) => columns.map((column) => line[column] ?? '')),
      ),
    ];
  }
}

/** Plans and word sets as they are shared. */
async function* plansAndSets(): AsyncGenerator<File> {
  const { models } = await database();
  for (const plan of await models.plans.findAll({ attributes: ['id', 'title'] })) {
    const { id, title } = plan.get();
    yield [`plans/${named(title, id)}.json`, (await planFile(id)).text];
  }
  for (const { id, name } of await listSets())
    yield [`word sets/${named(name, id)}.json`, (await exportSet(id, 'json')).text];
}

/** Every file of the archive, one after the other: none is made before the one before it is taken. */
async function* filesOf(now: number): AsyncGenerator<File> {
  await caughtUp();
  if (await soonRead()) throw stillReading();
  yield [
    'README.txt',
    `Everything in Bouncy Echo, taken out on ${format(now, 'd MMMM yyyy, HH:mm')}.

groups.csv, children.csv  who is on which list, and who is out of sight
children/                 a file for each child, with everything about them
sessions/                 each session twice: JSON for a program, CSV for a spreadsheet
answers.csv               all answers of all sessions on one sheet
plans/, word sets/        as they are shared; both can be brought in again
tables/                   everything else as it is kept: our own words, words put aside, taught sounds, the prop
                          shelf, settings and all

This is about children. Keep it as your setting’s rules ask, and delete it when you no longer need it.
A child who is erased in Bouncy Echo is still in this file.
`,
  ];
  yield* lists();
  yield* children();
  yield* sessions();
  yield* plansAndSets();
  yield* tables();
}

/** Files as the pieces of a ZIP archive (APPNOTE 6.3), as they are asked for. */
async function* zipped(files: AsyncGenerator<File>): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = [];
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    ready.push(piece);
  });
  for await (const [path, text] of files) {
    const file = new ZipDeflate(path);
    zip.add(file);
    file.push(strToU8(text), true);
    yield* ready.splice(0);
  }
  zip.end();
  yield* ready.splice(0);
}

/**
 * Everything of this setting as one archive of open files (docs/everything-file.md): lists, a file for each child, two
 * for each session, plans and word sets. It is made while it is taken, so that it is nowhere in memory whole.
 */
export function everything(now = Date.now()): { pieces: AsyncGenerator<Uint8Array>; name: string } {
  return {
    pieces: zipped(filesOf(now)),
    name: `bouncy-echo-everything-${format(now, 'yyyy-MM-dd')}.zip`,
  };
}
