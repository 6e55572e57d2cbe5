import type { Choice } from '../core/formats/schemas';
import { marksOf, contestWords, type Mark } from '../core/games/item';
import { facets, select, type Facets, type WordSet } from '../core/lexicon/select';
import type { Word } from '../core/lexicon/entry';
import { setSizeFor } from '../core/sessions/turns';
import { preparedBank } from './bank';
import { database } from './database';
import { getSettings } from './settings';

export interface ShownWord {
  readonly word: string;
  readonly meaning: string;
  readonly count: number;
  readonly marks: readonly Mark[];
  readonly contested: string | null;
}

export interface Proposal {
  readonly facets: Facets;
  readonly words: readonly ShownWord[];
  readonly model: string | null;
  readonly spares: readonly string[];
  readonly loosen: WordSet['loosen'];
  readonly size: number;
  readonly confirmed: boolean;
}

const shown = (word: Word): ShownWord => ({
  word: word.word, meaning: word.entry.meaning, count: word.count, marks: marksOf(word), contested: contestWords(word),
});

/** Sessions whose words are left alone while others remain. */
const RECENT_SESSIONS = 3;

async function recentWords(groupId: string): Promise<string[]> {
  const { models } = await database();
  const rows = await models.sessions.findAll({ where: { group_id: groupId }, order: [['started_at', 'DESC']], limit: RECENT_SESSIONS });
  return rows.flatMap((row) => JSON.parse(row.get().words) as string[]);
}

/** A word set for what was chosen, with live counts on every choice. Words given by name stay in their places. */
export async function propose(choice: Choice, group: { id: string; children: readonly { away: boolean }[] }): Promise<Proposal> {
  const { accent, conventions, confirmed } = await getSettings();
  const { words, byName } = preparedBank(accent, conventions);
  const filters = { count: choice.sounds, shape: choice.shape, first: choice.first, contested: confirmed };
  const size = choice.size ?? setSizeFor(group.children.filter((c) => !c.away).length);
  const avoid = [...(choice.no ?? []), ...(await recentWords(group.id))];
  const set = select(words, { ...filters, size, seed: choice.seed, keep: choice.words ?? [], avoid });
  const named = (choice.words ?? []).flatMap((name) => byName.get(name) ?? []).filter((w) => w.count === choice.sounds);
  return {
    facets: facets(words, filters),
    words: (named.length ? named : set.words).map(shown),
    model: set.model?.word ?? null,
    spares: set.spares.map((w) => w.word),
    loosen: named.length ? null : set.loosen,
    size,
    confirmed,
  };
}
