import { Umzug } from 'umzug';
import * as firstGame from './0001-first-game';
import * as words from './0002-words';
import * as plans from './0003-plans';
import * as answersInFull from './0004-answers-in-full';
import * as progress from './0005-progress';
import * as readings from './0006-readings';
import * as erased from './0007-erased';
import * as putAside from './0008-put-aside';
import * as mixed from './0009-mixed';
import * as shapes from './0010-shapes';
import * as plants from './0011-plants';
import * as pebbles from './0012-pebbles';
import * as papers from './0013-papers';
import * as outOfSight from './0014-out-of-sight';
import * as clocks from './0015-clocks';
import * as byChild from './0016-by-child';
import * as oneVoice from './0017-one-voice';
import * as smallGroups from './0018-small-groups';
import * as inAllTheSame from './0019-in-all-the-same';
import * as backups from './0020-backups';
import * as tablets from './0021-tablets';
import * as letters from './0022-letters';
import type { InTransaction } from './statements';

interface Migration {
  up(parameters: { context: InTransaction }): Promise<void>;
  down(parameters: { context: InTransaction }): Promise<void>;
}

const MIGRATIONS: readonly { name: string; migration: Migration }[] = [
  { name: '0001-first-game', migration: firstGame },
  { name: '0002-words', migration: words },
  { name: '0003-plans', migration: plans },
  { name: '0004-answers-in-full', migration: answersInFull },
  { name: '0005-progress', migration: progress },
  { name: '0006-readings', migration: readings },
  { name: '0007-erased', migration: erased },
  { name: '0008-put-aside', migration: putAside },
  { name: '0009-mixed', migration: mixed },
  { name: '0010-shapes', migration: shapes },
  { name: '0011-plants', migration: plants },
  { name: '0012-pebbles', migration: pebbles },
  { name: '0013-papers', migration: papers },
  { name: '0014-out-of-sight', migration: outOfSight },
  { name: '0015-clocks', migration: clocks },
  { name: '0016-by-child', migration: byChild },
  { name: '0017-one-voice', migration: oneVoice },
  { name: '0018-small-groups', migration: smallGroups },
  { name: '0019-in-all-the-same', migration: inAllTheSame },
  { name: '0020-backups', migration: backups },
  { name: '0021-tablets', migration: tablets },
  { name: '0022-letters', migration: letters },
];

/** Names of the migrations of this version, in order. */
export const MIGRATION_NAMES: readonly string[] = MIGRATIONS.map(({ name }) => name);

/** The list of what was done to a file, in the file itself. */
const META = 'CREATE TABLE IF NOT EXISTS SequelizeMeta (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)';

/**
 * Does what is still to be done to a file. Everything runs through `context`, which the caller holds in one
 * transaction: all of it is done, or nothing.
 * @param done names of the migrations that the file has had
 */
export async function migrate(context: InTransaction, done: readonly string[]): Promise<void> {
  await context.run(META);
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, migration }) => ({ name, up: migration.up, down: migration.down })),
    context,
    storage: {
      executed: async () => [...done],
      logMigration: async ({ name }) => {
        await context.run(`INSERT INTO SequelizeMeta (name) VALUES ('${name}')`);
      },
      unlogMigration: async ({ name }) => {
        await context.run(`DELETE FROM SequelizeMeta WHERE name = '${name}'`);
      },
    },
    logger: undefined,
  });
  await umzug.up();
}
