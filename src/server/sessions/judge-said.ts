import { judge, type Judgement } from '../../core/answers/judge';
import { stepOf, taskOf } from '../../core/games';
import { makeItem, Unproved } from '../../core/games/item';
import { huntable } from '../../core/games/families/word-hunt';
import { soundsByAnalogy } from '../../core/lexicon/by-analogy';
import { lacking } from '../../core/lexicon/hunt';
import { labelOf } from '../../core/phonology/sounds';
import { preparedBank } from '../words/bank';
import { proposeWord } from '../words/own-words';
import { Problem } from '../storage/problems';
import { sessionPlan } from '../record/session-record';

export interface Judged extends Judgement {
  /** The sounds of what was typed, as heard in this accent. */
  readonly said: readonly string[];
  readonly labels: string;
  /** For a hunt: the word as it stands on the list. */
  readonly word: string;
}

/** How many of a sound a word needs, in words; nothing for one. */
const timesWords = (times: number): string => {
  if (times === 1) return '';
  return `${times === 2 ? 'two' : times} `;
};

/** The sounds of a typed word: from the bank and its forms, the dictionary, or like a word that is spelt alike. */
async function soundsOf(typed: string, bank: Awaited<ReturnType<typeof preparedBank>>): Promise<readonly string[]> {
  const known = bank.soundsOf(typed);
  if (known) return known;
  const [reading] = (await proposeWord(typed)).readings;
  const heard = reading?.sounds[0]?.marks.map((m) => m.ipa) ?? soundsByAnalogy(typed, bank.words);
  if (!heard) throw new Problem(`We cannot tell how “${typed}” sounds. Spell it as it was said, or mark it by ear.`);
  return heard;
}

/**
 * Judges an answer typed in words, by the sounds it has in the accent of the session. Throws a Problem where it has
 * none.
 */
export async function judgeSaid(sessionId: string, roundNumber: number, key: string, typed: string): Promise<Judged> {
  const session = await sessionPlan(sessionId);
  const round = session.rounds[roundNumber];
  if (!round) throw new Problem('There is no such round in this session.', 404);
  const bank = await preparedBank(session.accent, session.conventions);
  const word = typed.trim().toLowerCase();
  if (!word) throw new Problem('Type what was said.');
  const said = await soundsOf(word, bank);
  if (bank.guard(said)) throw new Problem('That one is passed over in silence.');
  const labels = said.map((ipa) => labelOf(ipa, bank.accent).label).join(' · ');
  const task = taskOf(round.task);
  try {
    const item = makeItem(task, stepOf(task, round.step), key, bank);
    if (item.view.kind === 'hunt') {
      const missing = lacking(
        said,
        item.view.sounds.map((m) => m.ipa),
      );
      const needs = missing.map(
        ({ ipa, needs, has }) =>
          `${timesWords(needs)}/${labelOf(ipa, bank.accent).label}/${has ? '' : ', which is not in the handful'}`,
      );
      const unheard = { missed: [], analysis: null };
      const listed = huntable(bank).some((w) => w.word === word);
      return missing.length
        ? {
            said,
            labels,
            word,
            ...unheard,
            outcome: 'not-yet',
            slip: 'other-word',
            why: `It needs ${needs.join(' and ')}.`,
          }
        : {
            said,
            labels,
            word,
            ...unheard,
            outcome: 'on-own',
            slip: null,
            why: listed ? 'It is on the list.' : 'Not on our list, but the sounds make it.',
          };
    }
    return { said, labels, word, ...judge(item, [said]) };
  } catch (error) {
    if (error instanceof Unproved) throw new Problem('This item is not in the bank any more.');
    throw error;
  }
}
