import type { Choice } from '../../core/formats/schemas';
import { contestWords } from '../../core/games/contested';
import { marksOf } from '../../core/games/marks';
import type { Mark } from '../../core/games/view';
import { readKey } from '../../core/games/spec';
import type { Caution } from '../../core/lexicon/cautions';
import type { Doubt, Word } from '../../core/lexicon/entry';
import type { Withheld } from '../../core/lexicon/country';
import { find, sortWords, type Facets, type Filters } from '../../core/lexicon/find';
import { matcher, readQuery } from '../../core/lexicon/search';
import { select, type WordSet } from '../../core/lexicon/select';
import { inCircumstances, type WordIndex } from '../../core/lexicon/word-index';
import type { AccentId } from '../../core/phonology/accents';
import { ownKeys } from '../../core/sessions/own-step';
import { setSizeFor } from '../../core/sessions/turns';
import type { StoredRound } from '../../core/sessions/stored-round';
import type { PreparedBank } from './bank';
import { database } from '../storage/database';
import { ownEntries } from './own-entries';
import { ownedProps } from './props';
import { bankOfGroup } from './put-aside';

import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';
import { inPrintOf, readableIn } from './letters';
import { taughtSounds } from './taught';

export interface ShownWord {
  readonly word: string;
  readonly meaning: string;
  readonly count: number;
  readonly marks: readonly Mark[];
  readonly contested: string | null;
  readonly doubt: Doubt | null;
  readonly picture: string | null;
  readonly prop: boolean;
  readonly cautions: readonly Caution[];
  readonly own: boolean;
  /** Why it is not put forward here; null where it may be. */
  readonly withheld: Withheld | null;
}

export const shown = (word: Word, withheld?: Withheld): ShownWord => ({
  word: word.word,
  meaning: word.entry.meaning,
  count: word.count,
  marks: marksOf(word),
  contested: contestWords(word),
  doubt: word.entry.doubt,
  picture: word.entry.picture,
  prop: word.entry.prop,
  cautions: word.entry.cautions,
  own: word.entry.own === true,
  withheld: withheld ?? null,
});

export interface WordsFound {
  readonly accent: AccentId;
  readonly facets: Facets;
  /** Fitting words in the order asked for, the first pages of them. */
  readonly results: readonly ShownWord[];
  /** Fitting words that are not shown yet. */
  readonly further: number;
  /** The set: words by name in their order, or a proposal. */
  readonly set: readonly ShownWord[];
  readonly proposed: boolean;
  /** Names given that no word has here. */
  readonly missing: readonly string[];
  readonly model: string | null;
  readonly spares: readonly string[];
  readonly loosen: WordSet['loosen'];
  readonly size: number;
  readonly confirmed: boolean;
  /** The word that was searched for is here and does not fit: what is chosen hides it. */
  readonly hidden: { readonly word: string; readonly count: number } | null;
  /** Why the search was not understood. */
  readonly unclear: string | null;
  readonly taughtAny: boolean;
  /** The group works with letters, so that words it can read may be asked for. */
  readonly letters: boolean;
  /** Own words whose sounds were confirmed in another accent. */
  readonly waiting: readonly string[];
}

/** Sessions whose words are left alone while others remain. */
const RECENT_SESSIONS = 3;
const PAGE = 24;

/** Words of the group's last sessions. */
export async function recentWords(groupId: string): Promise<string[]> {
  const { models } = await database();
  const rows = await models.sessions.findAll({
    where: { group_id: groupId },
    order: [['started_at', 'DESC']],
    limit: RECENT_SESSIONS,
  });
  return rows.flatMap((row) =>
    (JSON.parse(row.get().rounds) as StoredRound[]).flatMap((r) =>
      [...r.items, ...ownKeys(r)].flatMap((key) => readKey(key).words),
    ),
  );
}

/** What the address asks, as filters of the core. */
function filtersOf(
  choice: Choice,
  index: WordIndex,
  accent: AccentId,
  { confirmed, letters }: { readonly confirmed: boolean; readonly letters: boolean },
): { filters: Filters; unclear: string | null } {
  const query = choice.q ? readQuery(choice.q, index.sounds, accent) : null;
  return {
    unclear: query?.kind === 'unclear' ? query.why : null,
    filters: {
      count: choice.sounds === 'any' ? undefined : choice.sounds,
      shape: choice.shape,
      first: choice.first,
      sound: choice.sound !== undefined && index.sounds.includes(choice.sound) ? choice.sound : undefined,
      place: choice.place,
      syllables: choice.syllables,
      only: letters ? choice.only : choice.only?.filter((name) => name !== 'readable'),
      contested: confirmed,
      doubtful: choice.doubtful,
      matches: query ? matcher(index, query) : undefined,
    },
  };
}

/** The set as it is shown: the words named, in their order, else the proposal. */
function setShown(
  names: readonly string[] | undefined,
  proposal: WordSet,
  { byName, whyWithheld }: PreparedBank,
): Pick<WordsFound, 'set' | 'proposed' | 'missing' | 'model' | 'spares'> {
  const named = (names ?? []).flatMap((name) => byName.get(name) ?? []);
  const inSet = new Set(named.map((w) => w.word));
  const spares = [...proposal.spares, ...(names ? proposal.words : [])].map((w) => w.word);
  return {
    set: (names ? named : proposal.words).map((w) => shown(w, whyWithheld(w.word))),
    proposed: names === undefined,
    missing: (names ?? []).filter((name) => !byName.has(name)),
    model: proposal.model?.word ?? named[0]?.word ?? null,
    spares: spares.filter((w) => !inSet.has(w)),
  };
}

/** The word that was typed, where the bank has it and what is chosen beside it leaves it out. */
function hiddenWord(
  { q }: Choice,
  fitting: readonly string[],
  { byName, whyWithheld }: PreparedBank,
): WordsFound['hidden'] {
  const word = byName.get(q?.trim().toLowerCase() ?? '');
  if (!word || fitting.includes(word.word) || whyWithheld(word.word)) return null;
  return { word: word.word, count: word.count };
}

/**
 * The words that fit what was chosen, live counts on every choice, and a word set: the words named, in their order, or
 * a proposal with one stretch at the end.
 */
export async function findWords(
  choice: Choice,
  group: { id: string; children: readonly { away: boolean }[] },
): Promise<WordsFound> {
  const { accent, conventions, confirmed } = await getSettings();
  const bank = await bankOfGroup(group.id, accent, conventions);
  const [owned, taught, own, recent] = await Promise.all([
    ownedProps(),
    taughtSounds(group.id, accent),
    ownEntries(),
    recentWords(group.id),
  ]);
  const print = await inPrintOf(group.id, accent);
  const readable = print ? readableIn(bank, print) : undefined;
  const index = inCircumstances(bank.index, { owned, taught, ...(readable ? { readable } : {}) });
  const { filters, unclear } = filtersOf(choice, index, accent, { confirmed, letters: print !== null });
  const found = find(index, filters);
  const { fitting, facets } = found;
  const size = choice.size ?? setSizeFor(group.children.filter((c) => !c.away).length);
  const proposal = select(
    index,
    { ...filters, size, seed: choice.seed, avoid: [...(choice.no ?? []), ...recent, ...(choice.words ?? [])] },
    found,
  );
  const order = sortWords(index, fitting, choice.sort ?? 'easy');
  const end = PAGE * (choice.more ?? 1);
  return {
    accent,
    facets,
    size,
    confirmed,
    unclear,
    hidden: hiddenWord(
      choice,
      fitting.map((w) => sure(index.words[w]).word),
      bank,
    ),
    results: order.slice(0, end).map((w) => shown(sure(index.words[w]))),
    further: Math.max(0, order.length - end),
    ...setShown(choice.words, proposal, bank),
    loosen: fitting.length >= size ? null : proposal.loosen,
    taughtAny: taught.size > 0,
    letters: readable !== undefined,
    waiting: own.filter((o) => !o.removed && o.accent !== accent).map((o) => o.entry.word),
  };
}
