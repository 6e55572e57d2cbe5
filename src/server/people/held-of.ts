import { rows } from '../storage/rows';

/** How much a file holds of a child. */
export interface HeldOfChild {
  readonly answers: number;
  readonly notes: number;
  /** Sessions they sat in. */
  readonly sessions: number;
  /** Tick grids that were printed with their name. */
  readonly papers: number;
}

const HELD = `
  SELECT
    (SELECT COUNT(*) FROM answers a WHERE a.child_id = :id AND NOT EXISTS
      (SELECT 1 FROM answers later WHERE later.supersedes = a.id)) AS answers,
    (SELECT COUNT(*) FROM answers a WHERE a.child_id = :id AND a.note IS NOT NULL AND NOT EXISTS
      (SELECT 1 FROM answers later WHERE later.supersedes = a.id)) AS notes,
    (SELECT COUNT(*) FROM session_children WHERE child_id = :id) AS sessions,
    (SELECT COUNT(*) FROM papers WHERE children LIKE '%' || :id || '%') AS papers`;

/** Counts what is held of a child, as it stands. Example: `(await heldOf(id)).answers // 42`. */
export async function heldOf(id: string): Promise<HeldOfChild> {
  const [held] = await rows<HeldOfChild>(HELD, { id });
  return held ?? { answers: 0, notes: 0, sessions: 0, papers: 0 };
}
