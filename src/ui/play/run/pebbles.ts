import { MAY_BE_SPEECH } from '@/core/answers/outcome';
import type { PebbleWord } from '@/core/games/pebbles';
import { roundOf, type AnswerEntry } from '@/core/sessions/log';
import type { Run } from './run';
import { whereIn } from '@/core/answers/spots';

/** A check that can be played now. */
export interface Offer {
  /** The slip it is about; null where it comes before any answer of the turn. */
  readonly answer: AnswerEntry | null;
  readonly childId: string;
  readonly word: PebbleWord;
}

/** A check put off is put off for the place in the word, whatever the sound. */
export const putOffKey = ({ childId, word }: Pick<Offer, 'childId' | 'word'>): string =>
  `${childId} ${whereIn(word.key)}`;

/** The check of what slipped in an answer; undefined where nothing did, or it was checked. */
const slippedIn = ({ slip, pebbles, word, missed }: AnswerEntry, session: Run['session']): PebbleWord | undefined =>
  pebbles || !MAY_BE_SPEECH.has(slip) ? undefined : session.pebbles.checks[word]?.[missed[0] ?? -1];

/** It was played in this session already. */
const isPlayed = ({ childId, word }: Offer, log: Run['log']): boolean =>
  log.some((e) => e.kind === 'answer' && e.childId === childId && e.pebbles?.some((p) => p.key === word.key));

/** The check after the newest slip: once a sitting for a child and a place, and not where it is settled. */
export function offerOf({ state, session, view, log }: Run): Offer | null {
  const { last, round } = state;
  const word = last && roundOf(last.turn) === round ? slippedIn(last, session) : undefined;
  if (!last?.childId || !word) return null;
  const offer: Offer = { answer: last, childId: last.childId, word };
  const settled = session.pebbles.settled[offer.childId]?.includes(word.key) === true;
  return settled || isPlayed(offer, log) || view.putOff.includes(putOffKey(offer)) ? null : offer;
}

/** The check of the word being played, where one of its sounds is open for this child. */
export function checkOfTurn({ state, session, item }: Run): Offer | null {
  const { childId } = state;
  const open = childId === null ? undefined : session.pebbles.open[childId];
  if (!childId || !open || !item) return null;
  const word = Object.values(session.pebbles.checks[item.key] ?? {}).find((w) => open.includes(w.key));
  return word ? { answer: null, childId, word } : null;
}
