import { format } from 'date-fns';
import { readKey } from '../../core/games/spec';
import type { AccentId } from '../../core/phonology/accents';
import { cellsOf } from '../../core/evidence/cells';
import { helpedIn, helpedSentence } from '../../core/telling/helped';
import type { PebbleCheck } from '../../core/evidence/pebbles';
import { settle, type SessionCells } from '../../core/evidence/settle';
import { sure } from '../../core/sure';
import { answersThat, type KeptAnswer } from '../answers/answers';
import { slipsOf } from '../answers/kept-evidence';
import { subjectOf, type Advised } from './advised';

/** Patterns told of at once, the latest raised. */
const SHOWN = 3;

/** What became of each word that a child had never been asked before, at the time of its session, the first first. */
function freshWords(answers: readonly KeptAnswer[], checks: readonly PebbleCheck[]): readonly SessionCells[] {
  const met = new Set<string>();
  const begun = new Map<string, number>();
  const heard: SessionCells[] = [];
  for (const answer of answers) {
    const { sessionId, key, askedAt, standing } = answer;
    const { words } = readKey(key);
    const isNew = words.every((word) => !met.has(word));
    words.forEach((word) => met.add(word));
    if (answer.outcome === 'does-not-count') continue;
    if (!begun.has(sessionId)) begun.set(sessionId, askedAt);
    const cells = isNew && standing === 'fresh' ? cellsOf(answer) : null;
    if (cells) heard.push({ at: sure(begun.get(sessionId)), cells });
  }
  return settle({ runs: [], sessions: heard, checks }, 0).sessions;
}

/**
 * Whether what slipped comes right since, in whole sentences; none where nothing was ever told to slip.
 * @param raised what was ever told to slip
 */
export async function helpedOf(
  childId: string,
  { raised }: Pick<Advised, 'raised'>,
  accent: AccentId,
  now: number,
): Promise<string[]> {
  if (!raised.length) return [];
  const [answers, slips] = await Promise.all([answersThat({ children: [childId] }), slipsOf([childId], now)]);
  const fresh = freshWords(answers.toReversed(), sure(slips.get(childId)).checks);
  return helpedIn(raised, fresh)
    .slice(-SHOWN)
    .map((h) => helpedSentence(h, subjectOf(accent)(h), format(h.at, 'd MMMM')));
}
