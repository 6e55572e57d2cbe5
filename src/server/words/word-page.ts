import { CONVENTION_WORDS, PRESETS, CONVENTION_IDS } from '../../core/phonology/conventions';
import { prepare, type Word } from '../../core/lexicon/entry';
import { marksOf } from '../../core/games/marks';
import type { Mark } from '../../core/games/view';
import { rhymes } from '../../core/lexicon/likeness';
import { traitsOf } from '../../core/lexicon/traits';
import type { Change } from '../../core/lexicon/neighbours';
import { MAIN_ACCENTS, type AccentId } from '../../core/phonology/accents';
import { labelOf } from '../../core/phonology/sounds';
import type { Country } from '../../core/lexicon/country';
import { bankEntry, preparedBank, type PreparedBank } from './bank';
import { wordsAside } from './put-aside';
import { Problem } from '../storage/problems';
import { ownedProps } from './props';
import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';
import { shown, type ShownWord } from './words';

interface AccentLine {
  readonly id: AccentId;
  readonly name: string;
  readonly here: boolean;
  readonly ipa: string;
  readonly marks: readonly Mark[];
  readonly count: number;
}
interface LetterBox {
  readonly letters: string;
  readonly labels: readonly string[];
}
interface NeighbourRow {
  readonly change: Change;
  readonly at: number;
  readonly label: string;
  readonly words: readonly string[];
}

export interface WordPage {
  readonly word: ShownWord;
  readonly sentence: string;
  /** The letter whose sound only a careful speaker says here. */
  readonly careful: string | null;
  readonly where: Country | null;
  /** How to show it with hands or face. */
  readonly show: string | null;
  /** The group has put it aside. */
  readonly aside: boolean;
  readonly band: 1 | 2 | 3;
  readonly accents: readonly AccentLine[];
  readonly counts: readonly { readonly name: string; readonly count: number }[];
  readonly letters: readonly LetterBox[];
  readonly neighbours: readonly NeighbourRow[];
  readonly rhymes: readonly string[];
  readonly owned: boolean;
  readonly own: { readonly line: string; readonly accent: AccentId } | null;
}

/** Pieces of spelling with the sounds each stands for, in this accent. */
function boxes(word: Word): LetterBox[] {
  let from = 0;
  return word.entry.letters.map((piece) => {
    const [first, last] = [from, from + piece.keys];
    from = last;
    return {
      letters: piece.letters + (piece.tail ? `…${piece.tail}` : ''),
      labels: word.sounds
        .filter((s) => s.segment >= first && s.segment < last)
        .map((s) => labelOf(s.ipa, word.accent).label),
    };
  });
}

const NEIGHBOURS_SHOWN = 14;

function neighbourRows(word: Word, bank: PreparedBank): NeighbourRow[] {
  const rows = new Map<string, { change: Change; at: number; words: string[] }>();
  for (const { change, at, word: other } of bank.neighbours().of(word)) {
    const key = `${change} ${at}`;
    const row = rows.get(key) ?? { change, at, words: [] };
    row.words.push(other.word);
    rows.set(key, row);
  }
  const order: Record<Change, number> = { swap: 0, 'leave-out': 1, add: 2 };
  return [...rows.values()]
    .sort((a, b) => order[a.change] - order[b.change] || a.at - b.at)
    .map((row) => ({
      ...row,
      words: row.words.slice(0, NEIGHBOURS_SHOWN),
      label: row.change === 'add' ? '' : labelOf(sure(word.sounds[row.at]).ipa, word.accent).label,
    }));
}

/** All that is known of a word. Throws a Problem (404) for a word that is not there. */
export async function wordPage(name: string, groupId: string): Promise<WordPage> {
  const entry = await bankEntry(name);
  if (!entry) throw new Problem(`“${name}” isn’t in the word bank.`, 404);
  const { accent, conventions } = await getSettings();
  const aside = await wordsAside(groupId);
  const bank = await preparedBank(accent, conventions, aside);
  const word = bank.byName.get(name) ?? prepare(entry, accent, conventions);
  const accents = (entry.own ? [] : MAIN_ACCENTS).map(({ id, name: accentName }) => {
    const there = prepare(entry, id as AccentId, conventions);
    return {
      id: id as AccentId,
      name: accentName,
      here: id === accent,
      ipa: there.sounds.map((s) => s.ipa).join(''),
      marks: marksOf(there),
      count: there.count,
    };
  });
  const counts = [
    { name: 'Sound by sound', count: prepare(entry, accent, PRESETS.strict).count },
    { name: 'As the letters go', count: prepare(entry, accent, PRESETS.letters).count },
    ...CONVENTION_IDS.flatMap((id) => {
      const count = prepare(entry, accent, { ...PRESETS.strict, [id]: true }).count;
      return count === word.sounds.length ? [] : [{ name: `With ${CONVENTION_WORDS[id].thing} as one sound`, count }];
    }),
  ];
  const rhyming = (bank.rhymes().get(traitsOf(word).rhyme) ?? [])
    .filter((w) => rhymes(w, word))
    .sort((a, b) => a.entry.band - b.entry.band)
    .map((w) => w.word);
  return {
    word: shown(word, bank.whyWithheld(name)),
    careful: entry.careful,
    where: entry.where,
    show: entry.show,
    aside: aside.includes(name),
    sentence: entry.sentence,
    band: entry.band,
    accents,
    counts,
    letters: boxes(word),
    neighbours: bank.byName.has(name) ? neighbourRows(word, bank) : [],
    rhymes: rhyming,
    owned: (await ownedProps()).has(name),
    own: entry.own ? { line: entry.line, accent } : null,
  };
}
