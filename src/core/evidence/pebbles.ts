import type { PebbleMark } from '../sessions/log';
import { whereIn } from '../answers/spots';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * The pebble check: does a child hear a sound that they do not say? They say the word, push a pebble for each sound of
 * it with their lips zipped, and tell the word from the one without the sound. Which of its marks say what is decided
 * here and nowhere else. Common practice, no source; the chance of six of six by luck alone is 1 in 64.
 */
export interface PebbleCheck extends PebbleMark {
  /** Milliseconds since 1970. */
  readonly at: number;
  /** Days since 1970 where the setting is. */
  readonly day: number;
}

/**
 * What a slip was: the child hears the sound (speech); does not hear it yet (awareness); can tell the words apart, so
 * words they can say are better (own words); cannot, on two days (talk); or nobody knows yet (open).
 */
export type Verdict = 'speech' | 'awareness' | 'own-words' | 'talk' | 'open';

/** Days a check is good for. */
export const KEPT_DAYS = 30;
/** Words that are said well and missed with pebbles, before it is called awareness. */
const WORDS_NEEDED = 3;
/** Six of six tell them apart. */
export const TELLINGS = 6;
/** Days on which they could not be told apart, before anyone is told. */
const DAYS_NEEDED = 2;

const words = (checks: readonly PebbleCheck[]): number => new Set(checks.map((c) => c.word)).size;

/** Says the words of a place well and misses their pebbles: it is not how they speak. */
function isAwareness(checks: readonly PebbleCheck[], place: string): boolean {
  const there = checks.filter((c) => whereIn(c.key) === place && c.says === 'word');
  const missed = words(there.filter((c) => !c.pebbles));
  return missed >= WORDS_NEEDED && missed > words(there.filter((c) => c.pebbles));
}

/**
 * What a slip of a sound in a place was, from the checks that are good for that day.
 * @param at when the slip came, milliseconds since 1970
 * @example verdictOn([{ key: 'r opening after', says: 'slip', pebbles: true, … }], 'r opening after', at) // 'speech'
 */
export function verdictOn(checks: readonly PebbleCheck[], key: string, at: number): Verdict {
  if (!checks.length) return 'open';
  const good = checks.filter((c) => Math.abs(c.at - at) <= KEPT_DAYS * millisecondsInDay);
  const own = good.filter((c) => c.key === key).sort((a, b) => a.at - b.at);
  const heard = own.findLast((c) => c.pebbles);
  if (heard && heard.says !== 'word') return 'speech';
  if (isAwareness(good, whereIn(key))) return 'awareness';
  // A child who says the word well slipped for another reason: what comes on a later day is open again.
  if (heard && heard.at > at - millisecondsInDay) return 'speech';
  const cannotSay = own.filter((c) => c.says === 'slip' && !c.pebbles && c.told !== null);
  if (cannotSay.some((c) => c.told === TELLINGS)) return 'own-words';
  return new Set(cannotSay.map((c) => c.day)).size >= DAYS_NEEDED ? 'talk' : 'open';
}

/**
 * What a check asks next: how they say it, the pebbles, telling the two apart, or nothing more.
 * @example nextPart({ says: 'slip', pebbles: false, told: null }) // 'tell'
 */
export function nextPart(check: {
  readonly says: PebbleCheck['says'] | null;
  readonly pebbles: boolean | null;
  readonly told: number | null;
}): 'say' | 'pebbles' | 'tell' | 'done' {
  if (check.says === null) return 'say';
  if (check.pebbles === null) return 'pebbles';
  return check.says === 'slip' && !check.pebbles && check.told === null ? 'tell' : 'done';
}

/** Whether another word would say more: said well, and the pebbles missed, and not three words of it yet. */
export const anotherWord = (checks: readonly PebbleCheck[], key: string, now: number): boolean => {
  const last = checks.filter((c) => whereIn(c.key) === whereIn(key)).at(-1);
  return last?.says === 'word' && !last.pebbles && verdictOn(checks, key, now) === 'open';
};
