import { SYLLABIC_ENDINGS, isVowelKey, R_SETS } from '../phonology/keys';
import { parseTranscription } from '../phonology/transcription';
import { sure } from '../sure';
import { parseLetters, type Entry } from './entry';

/**
 * Regular endings. How each is said follows the last sound of the word (Quirk et al., A Comprehensive Grammar of
 * English, 1985, 3.5 and 5.80; from memory).
 */
export const ENDINGS = ['s', 'ing', 'ed'] as const;
export type Ending = (typeof ENDINGS)[number];

export interface Form {
  readonly form: string;
  readonly base: string;
  readonly ending: Ending;
}

const VOICELESS: ReadonlySet<string> = new Set(['p', 't', 'k', 'f', 'th', 's', 'sh', 'ch', 'h', 'kh']);
const HISSING: ReadonlySet<string> = new Set(['s', 'z', 'sh', 'zh', 'ch', 'j']);

/** The tail an ending adds to a line, after its last key. Example: `tailOf('ed', 't') // '+ KIT d'`. */
function tailOf(ending: Ending, last: string): string {
  if (ending === 'ing') return '. KIT ng';
  const voiceless = VOICELESS.has(last);
  if (ending === 's') {
    if (HISSING.has(last)) return '. KIT z';
    return voiceless ? '+ s' : '+ z';
  }
  if (last === 't' || last === 'd') return '. KIT d';
  return voiceless ? '+ t' : '+ d';
}

/**
 * A line with its ending; a bare main word of one syllable keeps its stress.
 * @example withTail('k TRAP t', 's') // 'k TRAP t + s'
 */
export function withTail(line: string, ending: Ending): string {
  const segments = parseTranscription(line);
  const last = sure(segments.at(-1)).key;
  const tail = tailOf(ending, last);
  const stressed = /['’,]/.test(line) || !tail.startsWith('.') ? line : `'${line}`;
  // A weak ending of its own is not said before another vowel: wobble, wobbling.
  const before =
    ending === 'ing' && SYLLABIC_ENDINGS.has(last)
      ? stressed
          .replace(/ E([LMN])$/, (_, c: string) => ` ${c.toLowerCase()}`)
          .replace(/\. ([a-z]+) ([lmn])$/, '$1 . $2')
      : stressed;
  // A written r comes back before a vowel: pour, pouring. Where r is said anyway, the accent says it once.
  return isVowelKey(last) && tail.startsWith('. KIT') && R_SETS.has(last)
    ? `${before} . r ${tail.slice(2)}`
    : `${before} ${tail}`;
}

/** The entry of a word with an ending: sounds by rule, in every accent; letters in one piece. */
export function formEntry({ form, ending }: Form, base: Entry): Entry {
  const line = withTail(base.line, ending);
  const keys = parseTranscription(line).length;
  const ownLines = Object.fromEntries(
    Object.entries(base.ownLines).map(([accent, own]) => [accent, withTail(own, ending)]),
  );
  return {
    ...base,
    word: form,
    line,
    ownLines,
    letters: parseLetters(`${form}:${keys}`),
    meaning: `${base.word}, with an ending`,
    sentence: base.sentence,
    picture: null,
    prop: false,
    cautions: [],
  };
}

/** Reads the list of forms that dictionaries have (first row is the header: form, base, ending). */
export function parseForms(text: string): Form[] {
  return text
    .split('\n')
    .slice(1)
    .filter(Boolean)
    .map((row) => {
      const [form = '', base = '', ending = ''] = row.split('\t');
      const known = ENDINGS.find((e) => e === ending);
      if (!form || !base || !known) throw new Error(`Forms, "${row}": a column is empty or not an ending`);
      return { form, base, ending: known };
    });
}
