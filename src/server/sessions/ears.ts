import { keyLabel } from '../../core/games/key-label';
import type { Outcome } from '../../core/answers/outcome';
import type { AccentId } from '../../core/phonology/accents';
import { agreement, type Agreement } from '../../core/progress/agreement';
import { rows } from '../storage/rows';
import { left } from '../answers/standing-sql';

interface HeardTwice {
  readonly sessionId: string;
  readonly child: string;
  readonly item: string;
  readonly at: number;
  readonly marks: readonly [Outcome, Outcome];
}
export interface Ears {
  readonly first: string;
  readonly second: string;
  readonly agreement: Agreement;
  /** Marked otherwise, the newest first. */
  readonly differing: readonly HeardTwice[];
}

interface Row {
  readonly id: string;
  readonly session_id: string;
  readonly turn: number;
  readonly word: string;
  readonly task: string;
  readonly outcome: string;
  readonly by: string;
  readonly second: 0 | 1;
  readonly at: number;
  readonly child_id: string;
  readonly child: string;
  readonly accent: string;
}

/**
 * Answers of a group that two adults marked: the same turn, child and item. By pair of adults, with how far they
 * agree.
 */
export async function earsOf(groupId: string): Promise<Ears[]> {
  const marks = await rows<Row>(
    `SELECT a.id, a.session_id, a.turn, a.word, a.task, a.outcome, a.marked_by AS by, a.second, a.at, a.child_id,
       c.name AS child, s.accent
     FROM answers a
     JOIN sessions s ON s.id = a.session_id JOIN children c ON c.id = a.child_id
     WHERE s.group_id = :group AND a.marked_by IS NOT NULL
       AND a.session_id IN (SELECT session_id FROM answers WHERE second = 1) AND ${left('a')}
     ORDER BY a.id`,
    { group: groupId },
  );
  const byAnswer = new Map<string, Map<string, Row>>();
  for (const row of marks) {
    if (row.outcome === 'does-not-count') continue;
    const key = `${row.session_id} ${row.turn} ${row.child_id} ${row.word}`;
    byAnswer.set(key, (byAnswer.get(key) ?? new Map()).set(row.by, row));
  }
  const pairs = new Map<string, HeardTwice[]>();
  for (const marks of byAnswer.values()) {
    const own = [...marks.values()].find((r) => r.second === 0);
    for (const other of marks.values()) {
      if (!own || other.second === 0) continue;
      const key = JSON.stringify([own.by, other.by]);
      pairs.set(key, [
        ...(pairs.get(key) ?? []),
        {
          sessionId: own.session_id,
          child: own.child,
          item: keyLabel(own.word, own.task, own.accent as AccentId),
          at: own.at,
          marks: [own.outcome as Outcome, other.outcome as Outcome],
        },
      ]);
    }
  }
  return [...pairs].map(([key, both]) => {
    const [first, second] = JSON.parse(key) as [string, string];
    return {
      first,
      second,
      agreement: agreement(both.map((b) => b.marks)),
      differing: both.filter((b) => b.marks[0] !== b.marks[1]).sort((a, b) => b.at - a.at),
    };
  });
}
