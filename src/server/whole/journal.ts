import { randomUUID } from 'node:crypto';
import { database } from '../storage/database';

/** What is written down of what was done with the data as a whole. None of it names a child. */
export type Done =
  | 'backups-set-up'
  | 'restored'
  | 'child-erased'
  | 'group-erased'
  | 'hold-set'
  | 'hold-lifted'
  | 'new-year'
  | 'kept-long-enough'
  | 'everything-taken'
  | 'child-file-taken'
  | 'session-lent';

/** A line of the journal. */
export interface JournalLine {
  readonly id: string;
  /** Milliseconds since 1970. */
  readonly at: number;
  readonly what: Done;
  /** Initials, as somebody typed them then. */
  readonly by: string | null;
  /** More, in a few words. */
  readonly detail: string | null;
}

/** Lines shown; older ones stay in the file. */
const SHOWN = 50;

/** Writes a line. @param by initials; empty where nobody said */
export async function note(what: Done, by = '', detail: string | null = null): Promise<void> {
  const { models, write } = await database();
  const row = { id: randomUUID(), at: Date.now(), what, done_by: by.trim().slice(0, 20) || null, detail };
  await write((transaction) => models.journal.create(row, { transaction }));
}

/** The journal, the newest line first. */
export async function journal(): Promise<JournalLine[]> {
  const { models } = await database();
  const lines = await models.journal.findAll({ order: [['at', 'DESC']], limit: SHOWN });
  return lines.map((line) => {
    const { id, at, what, done_by: by, detail } = line.get();
    return { id, at, what: what as Done, by, detail };
  });
}
