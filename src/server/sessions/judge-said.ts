import { judge, type Judgement } from '../../core/answers/judge';
import { tryItem } from '../../core/games/try-item';
import { huntable } from '../../core/games/families/word-hunt';
import type { View } from '../../core/games/view';
import { soundsByAnalogy } from '../../core/lexicon/by-analogy';
import { lacking } from '../../core/lexicon/hunt';
import { labelOf } from '../../core/phonology/sounds';
import { playedAs } from '../../core/sessions/own-step';
import { preparedBank, type PreparedBank } from '../words/bank';
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

type Hunt = Extract<View, { kind: 'hunt' }>;

/** How many of a sound a word needs, in words; nothing for one. */
const timesWords = (times: number): string => {
  if (times === 1) return '';
  return `${times === 2 ? 'two' : times} `;
};

/** The sounds of a typed word: from the bank and its forms, the dictionary, or like a word that is spelt alike. */
async function soundsOf(typed: string, bank: PreparedBank): Promise<readonly string[]> {
  const known = bank.soundsOf(typed);
  if (known) return known;
  const [reading] = (await proposeWord(typed)).readings;
  const heard = reading?.sounds[0]?.marks.map((m) => m.ipa) ?? soundsByAnalogy(typed, bank.words);
  if (!heard)
    throw new Problem(`We can’t tell how “${typed}” sounds. Spell it the way they said it, or mark it by ear.`);
  return heard;
}

/**
 * Judges an answer typed in words, by the sounds it has in the accent of the session. Throws a Problem where it has
 * none.
 */
export async function judgeSaid(sessionId: string, roundNumber: number, key: string, typed: string): Promise<Judged> {
  const session = await sessionPlan(sessionId);
  const round = session.rounds[roundNumber];
  if (!round) throw new Problem('There’s no such round in this session.', 404);
  const bank = await preparedBank(session.accent, session.conventions);
  const word = typed.trim().toLowerCase();
  if (!word) throw new Problem('Type what they said.');
  const said = await soundsOf(word, bank);
  if (bank.guard(said)) throw new Problem('We won’t add that one.');
  const labels = said.map((ipa) => labelOf(ipa, bank.accent).label).join(' · ');
  const { item } = tryItem(playedAs(round, key), key, bank);
  if (!item) throw new Problem('This item isn’t in the word bank any more.');
  const verdict = item.view.kind === 'hunt' ? judgeHunted(word, said, item.view, bank) : judge(item, [said]);
  return { said, labels, word, ...verdict };
}

/** A word of a hunt is right where the handful makes it, on the list or not. */
function judgeHunted(word: string, said: readonly string[], { sounds }: Hunt, bank: PreparedBank): Judgement {
  const missing = lacking(
    said,
    sounds.map((m) => m.ipa),
  );
  const heard = { missed: [], analysis: null };
  if (!missing.length) {
    const listed = huntable(bank).some((w) => w.word === word);
    const why = listed ? 'It’s on the list.' : 'It isn’t on our list, but the sounds do make it.';
    return { ...heard, outcome: 'on-own', slip: null, why };
  }
  const needs = missing.map(
    ({ ipa, needs: times, has }) =>
      `${timesWords(times)}/${labelOf(ipa, bank.accent).label}/${has ? '' : ', which isn’t one of your sounds'}`,
  );
  return { ...heard, outcome: 'not-yet', slip: 'other-word', why: `It needs ${needs.join(' and ')}.` };
}
