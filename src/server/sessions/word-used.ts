import { groupBy } from '../../core/group-by';
import { rows } from '../storage/rows';
import { answersThat, latestSessions } from '../answers/answers';

/** Sessions looked through, and shown at most. */
const LATELY = 200;
const SHOWN = 6;

/** A session in which a word was asked. */
export interface WordUse {
  readonly sessionId: string;
  readonly title: string;
  /** When the session began, milliseconds since 1970. */
  readonly at: number;
  readonly answers: number;
}

/** The group's latest sessions in which a word was asked, the latest first. */
export async function usesOf(word: string, groupId: string): Promise<WordUse[]> {
  const answers = await answersThat({ sessions: await latestSessions(groupId, LATELY), key: word });
  const bySession = groupBy(answers, (a) => a.sessionId);
  if (!bySession.size) return [];
  const sessions = await rows<{ id: string; title: string; started_at: number }>(
    'SELECT id, title, started_at FROM sessions WHERE id IN (:ids) ORDER BY started_at DESC LIMIT :many',
    { ids: [...bySession.keys()], many: SHOWN },
  );
  return sessions.map(({ id, title, started_at: at }) => ({
    sessionId: id,
    title,
    at,
    answers: bySession.get(id)?.length ?? 0,
  }));
}
