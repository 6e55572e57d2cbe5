import { keyLabel } from '../../core/games/key-label';
import type { Outcome } from '../../core/answers/outcome';
import { rows } from '../storage/rows';
import { answersThat, sessionsHeardTwice, type KeptAnswer } from '../answers/answers';
import { sure } from '../../core/sure';

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
  readonly answers: number;
  /** Of them, marked alike. */
  readonly alike: number;
  /** Marked otherwise, the newest first. */
  readonly differing: readonly HeardTwice[];
}

/**
 * Answers of a group that two adults marked: the same turn, child and item. By pair of adults, with how many are
 * alike.
 */
export async function earsOf(groupId: string): Promise<Ears[]> {
  const names = new Map(
    (await rows<{ id: string; name: string }>('SELECT id, name FROM children', {})).map((c) => [c.id, c.name]),
  );
  const marks = await answersThat({ sessions: await sessionsHeardTwice(groupId), fates: ['stands', 'beside'] });
  const byAnswer = new Map<string, Map<string, KeptAnswer>>();
  for (const mark of marks.reverse()) {
    if (mark.outcome === 'does-not-count' || mark.childId === null || mark.markedBy === null) continue;
    const key = `${mark.sessionId} ${mark.turn} ${mark.childId} ${mark.key}`;
    byAnswer.set(key, (byAnswer.get(key) ?? new Map()).set(mark.markedBy, mark));
  }
  const pairs = new Map<string, HeardTwice[]>();
  for (const marks of byAnswer.values()) {
    const own = [...marks.values()].find((r) => r.fate === 'stands');
    for (const other of marks.values()) {
      if (!own || other.fate === 'stands') continue;
      const key = JSON.stringify([own.markedBy, other.markedBy]);
      pairs.set(key, [
        ...(pairs.get(key) ?? []),
        {
          sessionId: own.sessionId,
          child: names.get(sure(own.childId)) ?? '',
          item: keyLabel(own.key, own.task, own.accent),
          at: own.askedAt,
          marks: [own.outcome, other.outcome],
        },
      ]);
    }
  }
  return [...pairs].map(([key, both]) => {
    const [first, second] = JSON.parse(key) as [string, string];
    return {
      first,
      second,
      answers: both.length,
      alike: both.filter((b) => b.marks[0] === b.marks[1]).length,
      differing: both.filter((b) => b.marks[0] !== b.marks[1]).sort((a, b) => b.at - a.at),
    };
  });
}
