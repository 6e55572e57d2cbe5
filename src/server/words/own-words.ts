import { dictionary } from 'cmu-pronouncing-dictionary';
import { v7 } from 'uuid';
import { ownWordSchema, reason, spellingSchema, type OwnWordInput } from '../../core/formats/schemas';
import { marksOf } from '../../core/games/marks';
import type { Mark } from '../../core/games/view';
import { parseLetters, PLAIN_MARKS, prepare, type Entry } from '../../core/lexicon/entry';
import { writeLetters } from '../../core/lexicon/cut-letters';
import { lettersFor, lineFromKeys, readings } from '../../core/lexicon/propose';
import type { AccentId } from '../../core/phonology/accents';
import { readingsOf } from '../../core/phonology/arpabet';
import { PRESETS } from '../../core/phonology/conventions';
import { isConsonantKey, isVowelKey, type Key } from '../../core/phonology/keys';
import { keyword } from '../../core/phonology/pad';
import { guardOf, inBank, rudeAnywhere } from './bank';
import { database } from '../storage/database';
import { ownEntries, ownEntriesChanged } from './own-entries';
import { Problem } from '../storage/problems';
import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';

const alreadyInBank = (word: string) => `“${word}” is already in the word bank.`;

/** One way the word may be said, with the line that would be kept. */
export interface ProposedSounds {
  /** The choice at each question's place, in order of the questions. */
  readonly answers: readonly string[];
  readonly line: string;
  readonly letters: string;
  readonly marks: readonly Mark[];
  readonly count: number;
}

interface ProposedQuestion {
  readonly choices: readonly { readonly choice: string; readonly words: string }[];
}

export interface WordProposal {
  readonly word: string;
  readonly readings: readonly {
    readonly questions: readonly ProposedQuestion[];
    readonly sounds: readonly ProposedSounds[];
  }[];
}

const bareEntry = (word: string, line: string, letters: string): Entry => ({
  word,
  line,
  ownLines: {},
  letters: parseLetters(letters),
  band: 2,
  meaning: '',
  sentence: '',
  picture: null,
  prop: false,
  cautions: [],
  doubt: null,
  ...PLAIN_MARKS,
  own: true,
});

const KEPT_OUT = 'We can’t save this one: said aloud, it sounds like a word we keep out of games with children.';

/** A choice in words a person can answer: "the vowel of bath", "y and the vowel of goose". */
const choiceInWords = (choice: string): string =>
  choice
    .split(' ')
    .filter((key) => key !== '.')
    .map((key) => (isVowelKey(key) ? `the vowel of ${keyword(key)}` : key))
    .join(' and ');

async function show(word: string, line: string, letters: string): Promise<Omit<ProposedSounds, 'answers'>> {
  const { accent, conventions } = await getSettings();
  const made = prepare(bareEntry(word, line, letters), accent, conventions);
  return { line, letters, marks: marksOf(made), count: made.count };
}

/**
 * The sounds of a word from the pronouncing dictionary, with a question for every place where the accents part and the
 * dictionary cannot tell. No readings where the dictionary does not have the word. Throws a Problem for a spelling that
 * cannot be used or a word that is here already.
 */
export async function proposeWord(typed: string): Promise<WordProposal> {
  const spelling = spellingSchema.safeParse(typed);
  if (!spelling.success) throw new Problem(reason(spelling.error));
  const word = spelling.data;
  if (inBank(word)) throw new Problem(alreadyInBank(word), 409);
  const { accent } = await getSettings();
  const guard = guardOf(accent);
  const found = readings(word, readingsOf(dictionary, word), accent).map(async ({ candidates, questions }) => ({
    questions: questions.map(({ choices }) => ({
      choices: choices.map((choice) => ({ choice, words: choiceInWords(choice) })),
    })),
    sounds: await Promise.all(
      candidates.map(async (c) => ({
        answers: questions.map((q) => sure(c.choices[q.place])),
        ...(await show(word, c.line, c.letters)),
      })),
    ),
  }));
  const all = await Promise.all(found);
  if (all.some((r) => r.sounds.some((s) => guard(s.marks.map((m) => m.ipa))))) throw new Problem(KEPT_OUT);
  return { word, readings: all };
}

/** The sounds that were tapped, as a line with letters. Throws a Problem for sounds that cannot make a word. */
export async function soundsFromTaps(
  typed: string,
  taps: readonly string[],
  strong: number,
): Promise<Omit<ProposedSounds, 'answers'>> {
  const spelling = spellingSchema.safeParse(typed);
  if (!spelling.success) throw new Problem(reason(spelling.error));
  const keys = taps.filter((key): key is Key => isConsonantKey(key) || isVowelKey(key));
  if (keys.length !== taps.length || keys.length > 16 || !keys.some(isVowelKey) || keys.length < 2) {
    throw new Problem('Tap at least two sounds, one of them a vowel.');
  }
  const line = lineFromKeys(keys, strong);
  return show(spelling.data, line, lettersFor(spelling.data, line));
}

/** Why an own word may not be kept, or null. */
export const ownWordFault = (own: OwnWordInput): string | null =>
  rudeAnywhere(bareEntry(own.word, own.line, own.letters), PRESETS.strict) ? KEPT_OUT : null;

/** Keeps a word of the setting's own, confirmed in the accent in force; the same word again changes it. */
export async function saveOwnWord(input: unknown): Promise<string> {
  const read = ownWordSchema.safeParse(input);
  if (!read.success) throw new Problem(reason(read.error));
  const own = read.data;
  if (inBank(own.word)) throw new Problem(alreadyInBank(own.word), 409);
  const fault = ownWordFault(own);
  if (fault) throw new Problem(fault);
  const { accent } = await getSettings();
  const { models, write } = await database();
  const values = {
    word: own.word,
    line: own.line,
    letters: own.letters,
    accent,
    meaning: own.meaning || 'one of our own words',
    sentence: own.sentence,
    prop: own.prop ? (1 as const) : (0 as const),
    cautions: JSON.stringify(own.cautions),
    removed_at: null,
  };
  await write(async (transaction) => {
    const before = await models.ownWords.findOne({ where: { word: own.word }, transaction });
    if (before) await models.ownWords.update(values, { where: { word: own.word }, transaction });
    else await models.ownWords.create({ id: v7(), created_at: Date.now(), ...values }, { transaction });
  });
  ownEntriesChanged();
  return own.word;
}

/** Takes an own word out of every list; sessions that used it keep it, sets lose it. */
export async function removeOwnWord(word: string): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) => {
    const [rows] = await models.ownWords.update({ removed_at: Date.now() }, { where: { word }, transaction });
    if (!rows) throw new Problem('That isn’t one of your own words.', 404);
    for (const set of await models.wordSets.findAll({ transaction })) {
      const words = JSON.parse(set.get().words) as string[];
      if (words.includes(word))
        await set.update({ words: JSON.stringify(words.filter((w) => w !== word)) }, { transaction });
    }
    await models.props.destroy({ where: { word }, transaction });
  });
  ownEntriesChanged();
}

/** The setting's own words that are in use. */
export const listOwnWords = async (): Promise<{ word: string; accent: AccentId }[]> =>
  (await ownEntries()).filter((o) => !o.removed).map((o) => ({ word: o.entry.word, accent: o.accent }));

/** An own word as it was put in, to be changed; null where it is not one of ours. */
export async function ownWordInput(word: string): Promise<OwnWordInput | null> {
  const own = (await ownEntries()).find((o) => o.entry.word === word && !o.removed)?.entry;
  return own
    ? {
        word: own.word,
        line: own.line,
        letters: writeLetters(own.letters),
        meaning: own.meaning,
        sentence: own.sentence,
        prop: own.prop,
        cautions: [...own.cautions],
      }
    : null;
}
