import { inPrint, canRead } from '../../core/letters/readable';
import { groupBy } from '../../core/group-by';
import { database } from '../storage/database';
import { idSchema } from '../../core/formats/schemas';
import { getSettings } from '../setting/settings';
import { groupGone, Problem } from '../storage/problems';
import { taughtLetters, today } from './letters';
import { lettersPage } from './letters-page';
import { bankOfGroup } from './put-aside';

/** What of a group's letters goes on paper. */
export interface LettersPaper {
  readonly id: string;
  readonly group: string;
  /** A card each: the spelling, and words that have it, for the back. */
  readonly cards: readonly { readonly shown: string; readonly says: string; readonly words: readonly string[] }[];
  /** Everyday words they can read, by number of sounds. */
  readonly words: readonly { readonly count: number; readonly words: readonly string[] }[];
  readonly lines: readonly string[];
}

/** Words on the back of a card. */
const ON_CARD = 3;

/** Throws a Problem (404) for a group that is not there, or does not work with letters. */
export async function lettersPaper(groupId: string): Promise<LettersPaper> {
  const { models } = await database();
  const group = idSchema.safeParse(groupId).success ? (await models.groups.findByPk(groupId))?.get() : undefined;
  if (!group) throw groupGone();
  if (!group.letters) throw new Problem(`${group.name} doesn’t work with letters.`, 404);
  const { accent, conventions } = await getSettings();
  const [page, letters, bank] = await Promise.all([
    lettersPage(groupId),
    taughtLetters(groupId),
    bankOfGroup(groupId, accent, conventions),
  ]);
  const print = inPrint(letters.spellings, letters.words, accent, today());
  const words = bank.words.filter((w) => w.entry.band < 3 && !w.entry.doubt && canRead(w, print));
  const sounds = [...groupBy(words, ({ count }) => count)].sort(([a], [b]) => a - b);
  const all = page.rows.flatMap((row) => row.sounds.flatMap((sound) => sound.spellings));
  return {
    id: groupId,
    group: group.name,
    cards: all
      .filter(({ taught }) => taught)
      .map(({ shown, says, examples }) => ({ shown, says, words: examples.slice(0, ON_CARD) })),
    words: sounds.map(([count, of]) => ({ count, words: of.map(({ word }) => word).sort() })),
    lines: page.lines.map(({ text }) => text),
  };
}
