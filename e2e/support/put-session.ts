import { randomUUID } from 'node:crypto';
import { QueryTypes, Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { PRESETS } from '../../src/core/phonology/conventions';
import type { AccentId } from '../../src/core/phonology/accents';
import type { StoredRound } from '../../src/core/sessions/stored-round';
import { sure } from '../../src/core/sure';

/** Rounds for the children of a group, in the order of its list. */
type RoundsFor = (childIds: readonly string[]) => readonly StoredRound[];

/** A way to put sessions into a file that is being served, with items of the test's choice. */
export function openFile(file: string) {
  const db = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
  return {
    /** Puts a session of the first group's children there and gives its id. */
    async put(made: readonly StoredRound[] | RoundsFor, accent: AccentId): Promise<string> {
      const [group] = await db.query<{ id: string }>('SELECT id FROM groups ORDER BY position LIMIT 1', {
        type: QueryTypes.SELECT,
      });
      const children = await db.query<{ id: string }>('SELECT id FROM children WHERE group_id = ? ORDER BY position', {
        replacements: [sure(group).id],
        type: QueryTypes.SELECT,
      });
      const id = randomUUID();
      const rounds = typeof made === 'function' ? made(children.map((child) => child.id)) : made;
      await db.query(
        `INSERT INTO sessions (id, group_id, title, letters, rounds, accent, conventions, started_at, stale)
         VALUES (?, ?, 'Layout', 0, ?, ?, ?, ?, 0)`,
        {
          replacements: [
            id,
            sure(group).id,
            JSON.stringify(rounds),
            accent,
            JSON.stringify(PRESETS.default),
            Date.now(),
          ],
        },
      );
      for (const [position, child] of children.entries())
        await db.query('INSERT INTO session_children (session_id, child_id, position) VALUES (?, ?, ?)', {
          replacements: [id, child.id, position],
        });
      return id;
    },
    close: (): Promise<void> => db.close(),
  };
}
