import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { v7 } from 'uuid';
import { PRESETS } from '../../core/phonology/conventions';
import { migrate, MIGRATION_NAMES } from '../storage/migrations';

/** Who and what a file of an earlier version holds: one of each. */
export interface OldFile {
  readonly group: string;
  readonly child: string;
  readonly session: string;
  readonly answer: string;
}

/**
 * Makes a file as an earlier version left it, with a group, a child, a session and an answer in it.
 * @param version how many migrations that version had; two at least
 */
export async function oldFile(file: string, version: number): Promise<OldFile> {
  const old = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
  const run = (statement: string) => old.query(statement);
  const [group, child, session, answer] = [v7(), v7(), v7(), v7()];
  const later = (from: number): string[] => MIGRATION_NAMES.slice(from);
  await migrate({ run }, later(2));
  for (const statement of [
    `INSERT INTO groups VALUES ('${group}', 'Radishes', 0, 1)`,
    `INSERT INTO children VALUES ('${child}', '${group}', 'Wren', 0, NULL, 1)`,
    `INSERT INTO sessions VALUES ('${session}', '${group}', 'segmenting', 4, 'southern-british', ` +
      `'${JSON.stringify(PRESETS.default)}', '["frog","milk"]', 'leaf', '["hand"]', 2, 1, NULL)`,
    `INSERT INTO session_children VALUES ('${session}', '${child}', 0)`,
    `INSERT INTO answers VALUES ('${answer}', '${session}', '${child}', 0, 'frog', 'segmenting', 4, 'f r ɒ ɡ', ` +
      "'not-yet', 'fresh', 'lost-sound', 'f ɒ ɡ', '[1]', '[]', NULL, 1, NULL, 1, 1)",
  ])
    await run(statement);
  await migrate({ run }, [...MIGRATION_NAMES.slice(0, 2), ...later(version)]);
  await old.close();
  return { group, child, session, answer };
}
