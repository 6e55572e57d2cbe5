import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { childFileSchema } from '../../core/formats/child-file';
import { readPlanFile, planRequestSchema } from '../../core/formats/plan-file';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { setOutOfSight } from '../people/moves';
import { newPlan } from '../plans/plans';
import { appendLog } from '../record/append-log';
import { startWords } from '../sessions/start-session';
import { saveSet } from '../words/word-sets';
import { inFreshFiles } from '../testing/fresh-file';
import { together } from '../testing/pieces';
import { database } from '../storage/database';
import { rows } from '../storage/rows';
import { everything, LEFT_OUT, tables } from './everything';

inFreshFiles();

/** Opens an archive with Python's zipfile, and gives its files by path. */
function opened(bytes: Uint8Array): Map<string, string> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-zip-'));
  try {
    const file = path.join(folder, 'all.zip');
    writeFileSync(file, bytes);
    const script =
      'import json,sys,zipfile; z=zipfile.ZipFile(sys.argv[1]); assert z.testzip() is None; ' +
      'json.dump({n: z.read(n).decode("utf-8") for n in z.namelist()}, open(sys.argv[2], "w"))';
    execFileSync('python3', ['-c', script, file, path.join(folder, 'all.json')]);
    const read = readFileSync(path.join(folder, 'all.json'), 'utf8');
    return new Map(Object.entries(JSON.parse(read) as Record<string, string>));
  } finally {
    rmSync(folder, { recursive: true });
  }
}

test('everything of a setting is in one archive that another program opens, each file as documented', async () => {
  const { id: groupId } = await addGroup('Radishes / peas');
  await addChildren(groupId, 'Wren\n小明\n=1+1');
  const [wren, other] = sure((await listGroups()).find((g) => g.id === groupId)).children.map((c) => c.id);
  const session = await startWords({ groupId, task: 'blending', words: ['sun', 'map'], model: 'net' });
  await appendLog(session, [{ ...answered(0, sure(wren), 'sun'), id: v7(), at: Date.now() }]);
  await newPlan(groupId, planRequestSchema.parse({ minutes: 8, seed: 3 }));
  await saveSet({ name: 'Pond: words?', words: ['frog', 'pond'] });
  await setOutOfSight(sure(other), true);

  const { pieces, name } = everything(new Date(2026, 10, 27, 12).getTime());
  const bytes = await together(pieces);
  expect(name).toBe('bouncy-echo-everything-2026-11-27.zip');
  const files = opened(bytes);
  const under = (folder: string) => [...files].filter(([at]) => at.startsWith(`${folder}/`));
  expect(sure(files.get('README.txt'))).toContain('27 November 2026');
  expect(sure(files.get('groups.csv'))).toContain('Radishes / peas');
  expect(sure(files.get('children.csv')).split('\r\n').filter(Boolean)).toHaveLength(4);
  // A spreadsheet does not take a name for a formula.
  expect(sure(files.get('children.csv'))).toContain("'=1+1");
  expect(sure(files.get('children.csv'))).toMatch(/小明.*2026|小明.*\d{4}-\d\d-\d\d\r?\n/);
  expect(under('children')).toHaveLength(3);
  for (const [, text] of under('children')) childFileSchema.parse(JSON.parse(text));
  expect(
    under('sessions')
      .map(([at]) => path.extname(at))
      .sort(),
  ).toEqual(['.csv', '.json']);
  expect(JSON.parse(sure(under('sessions').find(([at]) => at.endsWith('.json')))[1])).toMatchObject({
    format: 'bouncy-echo-session',
    answers: [{ child: 'Wren', word: 'sun' }],
  });
  expect(under('plans').every(([, text]) => readPlanFile(text).plan !== null)).toBe(true);
  expect(under('word sets')).toHaveLength(1);
  for (const at of files.keys()) expect(at).not.toMatch(/[\\:*?"<>|]|\.\./);
});

test('a value in every column of every table is in the archive, or its table is left out with a reason', async () => {
  const { sequelize } = await database();
  const all = await rows<{ name: string }>(
    `SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'`,
  );
  const seeded: string[] = [];
  await sequelize.query('PRAGMA foreign_keys = OFF');
  for (const { name } of all.filter((t) => !(t.name in LEFT_OUT))) {
    const columns = await rows<{ name: string; type: string }>(`SELECT name, type FROM pragma_table_info('${name}')`);
    const values = columns.map(({ type }, i) =>
      type === 'INTEGER' ? String(7_000_000 + seeded.length + i) : `mark-${name}-${i}`,
    );
    seeded.push(...values);
    // A column that takes only some values keeps its own rule out of the way for once.
    await sequelize.query('PRAGMA ignore_check_constraints = ON');
    await sequelize.query(
      `INSERT INTO "${name}" (${columns.map((c) => `"${c.name}"`).join()})
       VALUES (${values.map((v) => `'${v}'`).join()})`,
    );
  }
  const text: string[] = [];
  for await (const [, file] of tables()) text.push(file);
  const archive = text.join('\n');
  expect(seeded.length).toBeGreaterThan(100);
  expect(seeded.filter((value) => !archive.includes(value))).toEqual([]);
  for (const name of Object.keys(LEFT_OUT)) expect(all.map((t) => t.name)).toContain(name);
});
