import type { Item } from '../games/item';
import type { Task } from '../games/task';

/** Words that no colleague says to a small child. */
const STIFF = /\b(otherwise|begins so|another sound|put to|its (second|third|fourth|fifth) sound)\b/i;

/** Games in which the word is said, and comes back as the answer: an echo, or one of the choices. */
const SAID_IN_THE_QUESTION = new Set(['echo', 'match', 'notice']);

const letters = (text: string): string => text.toLowerCase().replace(/[^a-z ]+/g, ' ');
const has = (text: string, word: string): boolean => ` ${letters(text)} `.includes(` ${letters(word).trim()} `);

/** How many gaps a row of parts has, and one more. Example: `partsIn('a … p … ul') // 3`. */
const partsIn = (row: string): number => row.split(/ … | · | – /).length;

/** The answer stands in what is asked. */
function givesAway({ say, expected, judged }: Item, { act, plain }: Task): boolean {
  if (SAID_IN_THE_QUESTION.has(act) || judged.by === 'number' || judged.by === 'list') return false;
  if (judged.by === 'choice') return false;
  const answer = expected.replace(/ \(made-up\)$/, '');
  // *What* may be asked for in a question that begins with it.
  return has(say, answer) && !has(plain, answer);
}

/**
 * What is wrong with a line that is said aloud, or null: whole sentences, every slot filled, no answer in its
 * question, and as many parts as are counted. Common practice, no source.
 */
export function unsayable(item: Item, task: Task): string | null {
  const { say, how, script, count } = item;
  const lines = [say, how, ...script.map((l) => l.text)];
  const stiff = lines.find((line) => STIFF.test(line));
  if (stiff) return `nobody says “${stiff}”`;
  if (!/[.?:!]$/.test(say) || /\s[,.?!]|\s{2}|\.\.|undefined|null/.test(say)) return `“${say}” is no whole sentence`;
  if (givesAway(item, task)) return `“${say}” has its answer, ${item.expected}, in it`;
  const apart = task.counts && item.slots['sounds'] && task.unit === 'sound' && !item.view.kind.startsWith('row');
  const whole = item.step !== 'syllables' && item.step !== 'onset-rime';
  if (apart && whole && partsIn(item.slots['sounds'] ?? '') !== count)
    return `${item.slots['sounds']} has not the ${count} parts that are counted`;
  return null;
}
