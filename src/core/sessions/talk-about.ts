import type { Outcome } from '../answers/outcome';
import { listed } from '../in-words';
import { labelOf } from '../phonology/sounds';
import type { AccentId } from '../phonology/accents';
import { slippedSounds, tally, type Marked } from './summary';

const managedOnOwn = (name: string, own: number, all: number) =>
  own ? `${name} managed ${own} of ${all} on their own.` : `${name} didn’t manage any of the ${all} on their own yet.`;

/** A standing answer with what was noted of it. */
interface Told extends Marked {
  /** What the item is called. */
  readonly label: string;
  readonly note: string | null;
}

/** One thing to talk about after a session, and whom it is about where that is one child. */
export interface Topic {
  readonly childId: string | null;
  readonly text: string;
}

/** Fewer answers of a child than this say nothing. Common practice, no source. */
const ENOUGH = 3;
/** A sound missed once may be an accident. */
const TWICE = 2;
const SOUNDS_TOLD = 2;

const counts = (outcome: Outcome): boolean => outcome !== 'does-not-count';

/** What stands out in the answers of one child; null where nothing does. */
function ofChild(name: string, answers: readonly Told[]): string | null {
  const counted = answers.filter((a) => counts(a.outcome));
  const { 'on-own': own, 'no-reply': silent } = tally(counted);
  const all = counted.length;
  if (silent >= TWICE && silent * 2 >= all)
    return `${name} didn’t reply to ${silent} of ${all} questions. That doesn’t mean they don’t know.`;
  if (all < ENOUGH) return null;
  if (own === all) return `${name} did all ${all} on their own.`;
  return own * 3 <= all ? managedOnOwn(name, own, all) : null;
}

/**
 * What to talk about after a session, in whole sentences: notes first, then whom it was hard or easy for, then sounds
 * that were missed more than once. What nobody could do anything about is left out.
 *
 * @param names of the children, by id, in the order they are listed
 * @example talkAbout(answers, new Map([['a', 'Wren']]), 'southern-british')[0]?.text // 'Wren did all 3 on their own.'
 */
export function talkAbout(answers: readonly Told[], names: ReadonlyMap<string, string>, accent: AccentId): Topic[] {
  const notes = answers.flatMap(({ childId, label, note }): Topic[] =>
    note ? [{ childId, text: `You wrote about ${names.get(childId ?? '') ?? 'everyone'} (${label}): “${note}”` }] : [],
  );
  const children = [...names].flatMap(([id, name]): Topic[] => {
    const text = ofChild(
      name,
      answers.filter((a) => a.childId === id),
    );
    return text ? [{ childId: id, text }] : [];
  });
  const sounds = slippedSounds(answers)
    .filter((s) => s.times >= TWICE)
    .slice(0, SOUNDS_TOLD)
    .map(({ ipa, times, heard, words }): Topic => ({
      childId: null,
      text: `${`/${labelOf(ipa, accent).label}/`} was missed ${times} times out of ${heard}, in ${listed(words)}.`,
    }));
  return [...notes, ...children, ...sounds];
}
