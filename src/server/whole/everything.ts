import { format } from 'date-fns';
import { strToU8, zip } from 'fflate';
import { csv } from '../../core/formats/csv';
import { toCsv } from '../../core/formats/session-export';
import { childDownload } from '../children/child-file';
import { listGroups } from '../people/groups';
import { planFile } from '../plans/plans';
import { sessionLog } from '../record/session-record';
import { exportOf, lookBack } from '../sessions/look-back';
import { database } from '../storage/database';
import { exportSet, listSets } from '../words/word-sets';
import { everything as say } from './text';

/** Files by their path in the archive. */
type Files = Record<string, string>;

/** A name that every file system takes, with what tells two alike apart. */
const named = (name: string, id: string): string =>
  `${name.replace(/[\\/:*?"<>|\s]+/g, ' ').trim() || 'file'} ${id.slice(-8)}`;

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

/** Who is on which list, and who is out of sight. */
async function lists(): Promise<Files> {
  const { models } = await database();
  const groups = await listGroups();
  const nameOf = new Map(groups.map((g) => [g.id, g.name]));
  const children = (await models.children.findAll({ order: [['position', 'ASC']] })).map((c) => c.get());
  return {
    'groups.csv': csv(
      say.groupHeads,
      groups.map((g) => [g.id, g.name, g.ageBand ?? '', g.children.length]),
    ),
    'children.csv': csv(
      say.childHeads,
      children.map((c) => [
        c.id,
        c.name,
        nameOf.get(c.group_id) ?? '',
        c.own_id ?? '',
        format(c.created_at, 'yyyy-MM-dd'),
        c.archived_at === null ? '' : format(c.archived_at, 'yyyy-MM-dd'),
      ]),
    ),
  };
}

/** A file for each child, with everything about them. */
async function children(): Promise<Files> {
  const { models } = await database();
  const files: Files = {};
  for (const child of await models.children.findAll({ attributes: ['id', 'name'] })) {
    const { id, name } = child.get();
    files[`children/${named(name, id)}.json`] = (await childDownload(id, 'json')).text;
  }
  return files;
}

/** Two files for each session: for a program, and for a spreadsheet. */
async function sessions(): Promise<Files> {
  const { models } = await database();
  const files: Files = {};
  for (const session of await models.sessions.findAll({ attributes: ['id', 'title', 'started_at'] })) {
    const { id, title, started_at: at } = session.get();
    const path = `sessions/${named(`${format(at, 'yyyy-MM-dd')} ${title}`, id)}`;
    try {
      const made = exportOf(await lookBack(id));
      files[`${path}.json`] = json(made);
      files[`${path}.csv`] = toCsv(made);
    } catch (error) {
      // One that cannot be read is given as it was marked, and holds no other up.
      console.error(say.asMarked(id), error instanceof Error ? error.message : error);
      files[`${path}.json`] = json({ format: 'bouncy-echo-session-log', version: 1, id, log: await sessionLog(id) });
    }
  }
  return files;
}

/** Plans and word sets as they are shared. */
async function plansAndSets(): Promise<Files> {
  const { models } = await database();
  const files: Files = {};
  for (const plan of await models.plans.findAll({ attributes: ['id', 'title'] })) {
    const { id, title } = plan.get();
    files[`plans/${named(title, id)}.json`] = (await planFile(id)).text;
  }
  for (const { id, name } of await listSets())
    files[`word sets/${named(name, id)}.json`] = (await exportSet(id, 'json')).text;
  return files;
}

/**
 * Everything of this setting as one archive of open files (docs/everything-file.md): lists, a file for each child, two
 * for each session, plans and word sets.
 * @returns the bytes of a ZIP file (APPNOTE 6.3), and its name
 */
export async function everything(now = Date.now()): Promise<{ bytes: Uint8Array; name: string }> {
  const files: Files = {
    'README.txt': say.readMe(format(now, 'd MMMM yyyy, HH:mm')),
    ...(await lists()),
    ...(await children()),
    ...(await sessions()),
    ...(await plansAndSets()),
  };
  const bytes = await new Promise<Uint8Array>((resolve, reject) => {
    const packed = Object.fromEntries(Object.entries(files).map(([path, text]) => [path, strToU8(text)]));
    zip(packed, (error, data) => (error ? reject(error) : resolve(data)));
  });
  return { bytes, name: `bouncy-echo-everything-${format(now, 'yyyy-MM-dd')}.zip` };
}
