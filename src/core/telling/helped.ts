import { atMostDrawn } from '../evidence/luck';
import { chancesOf, type Raised } from '../evidence/patterns';
import type { SessionCells } from '../evidence/settle';
import { capital, inWords } from '../in-words';

const newWords = (n: number): string => (n === 1 ? 'one new word' : `${inWords(n)} new words`);

type Then = Pick<Helped, 'earlier' | 'latest' | 'less'>;

const metFew = (what: string, day: string, words: number): string =>
  `${what} First noticed on ${day}. ` +
  (words ? `They’ve only met ${newWords(words)} like these since` : 'They haven’t met a new word like these since') +
  ', so we can’t say yet whether practice is helping.';

const thenAndNow = (what: string, day: string, { earlier, latest, less }: Then): string =>
  `${what} First noticed on ${day}. We heard it in ${inWords(earlier.heard)} of the first ${inWords(earlier.of)} ` +
  `new words after that, and in ${inWords(latest.heard)} of the latest ` +
  `${inWords(latest.of)}${less ? ': it comes less often now.' : ', so we can’t say yet that it has changed.'}`;

/** In how many words a pattern was heard, of those in which it could be. */
interface HeardIn {
  readonly heard: number;
  readonly of: number;
}

/** How a pattern went on after it was first told. */
export interface Helped extends Raised {
  /** The first half of the new words that were asked since. */
  readonly earlier: HeardIn;
  /** The other half. */
  readonly latest: HeardIn;
  /** Heard less often of late, more surely than by luck; null where there are too few words to say. */
  readonly less: boolean | null;
}

/** Words in each half, before the two are compared. */
const FEWEST = 6;
const SURE = 0.05;

const countOf = (words: readonly number[]): HeardIn => ({
  heard: words.filter((missed) => missed > 0).length,
  of: words.length,
});

/**
 * Whether what slipped comes right on words that are new to the child. The answers that raised the suspicion are left
 * out: they were looked at because they were bad, so whatever follows would look like a gain. What comes after is told
 * in two halves and held against itself.
 * @param raised every pattern that was told, with when
 * @param fresh what became of the sounds of words that the child had never been asked before, settled, a word each
 * @example helpedIn(raisedIn(sessions), fresh)[0]?.less // true
 */
export function helpedIn(raised: readonly Raised[], fresh: readonly SessionCells[]): Helped[] {
  const inOrder = [...fresh].sort((a, b) => a.at - b.at);
  return raised.map((one) => {
    const since = inOrder
      .filter((word) => word.at > one.at)
      .map((word) => chancesOf(one.id, word.cells))
      .filter((c) => c.asked > 0)
      .map((c) => c.missed);
    const half = Math.floor(since.length / 2);
    const [earlier, latest] = [countOf(since.slice(0, half)), countOf(since.slice(half))];
    const enough = earlier.of >= FEWEST;
    const luck = atMostDrawn(latest.heard, latest.of, earlier.heard + latest.heard, since.length);
    return { ...one, earlier, latest, less: enough ? luck <= SURE : null };
  });
}

/**
 * The same in whole sentences.
 * @param subject the pattern in words
 * @param day when it was first told, as a person writes it
 */
export function helpedSentence({ id, earlier, latest, less }: Helped, subject: string, day: string): string {
  const what = id.startsWith('keeps-') ? `${capital(subject)}.` : `Misses ${subject}.`;
  if (less === null) return metFew(what, day, earlier.of + latest.of);
  return thenAndNow(what, day, { earlier, latest, less });
}
