import { marksOf } from '../../core/games/marks';
import type { Mark } from '../../core/games/view';
import type { Caution } from '../../core/lexicon/cautions';
import { labelOf, isVowel } from '../../core/phonology/sounds';
import { bankEntry, preparedBank } from './bank';
import { database } from '../storage/database';
import { Problem } from '../storage/problems';
import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';

/** The words this setting owns as things. */
export async function ownedProps(): Promise<Set<string>> {
  const { models } = await database();
  return new Set((await models.props.findAll()).map((row) => row.get().word));
}

/** Puts a thing on the shelf or takes it off. Throws a Problem for a word that is not there. */
export async function setOwned(word: string, owned: boolean): Promise<void> {
  if (!(await bankEntry(word))) throw new Problem(`“${word}” isn’t in the word bank.`, 404);
  const { models, write } = await database();
  await write(async (transaction) => {
    if (owned) await models.props.upsert({ word, owned_at: Date.now() }, { transaction });
    else await models.props.destroy({ where: { word }, transaction });
  });
}

interface ShelfWord {
  readonly word: string;
  readonly owned: boolean;
  readonly picture: string | null;
  readonly cautions: readonly Caution[];
  readonly marks: readonly Mark[];
  readonly count: number;
}

export interface ShelfSound {
  readonly ipa: string;
  readonly label: string;
  readonly as?: string;
  readonly words: readonly ShelfWord[];
  readonly owned: number;
}

/** Things by first sound in the accent in force: what is owned, what could be collected; consonants before vowels. */
export async function shelf(): Promise<ShelfSound[]> {
  const { accent, conventions } = await getSettings();
  const [{ words }, owned] = await Promise.all([preparedBank(accent, conventions), ownedProps()]);
  const bySound = new Map<string, ShelfWord[]>();
  for (const word of [...words].sort((a, b) => a.entry.band - b.entry.band || a.word.localeCompare(b.word))) {
    if (!word.entry.prop && !owned.has(word.word)) continue;
    const { ipa } = sure(word.sounds[0]);
    const row: ShelfWord = {
      word: word.word,
      owned: owned.has(word.word),
      picture: word.entry.picture,
      cautions: word.entry.cautions,
      marks: marksOf(word),
      count: word.count,
    };
    bySound.set(ipa, [...(bySound.get(ipa) ?? []), row]);
  }
  const vowel = (ipa: string): number => (isVowel(ipa) ? 1 : 0);
  return [...bySound]
    .map(([ipa, of]) => ({ ipa, ...labelOf(ipa, accent), words: of, owned: of.filter((w) => w.owned).length }))
    .sort((a, b) => vowel(a.ipa) - vowel(b.ipa) || a.label.localeCompare(b.label));
}
