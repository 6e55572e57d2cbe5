import { z } from 'zod';
import { taskOf } from '../../core/games';
import { keyLabel } from '../../core/games/key-label';
import { matcher, readQuery } from '../../core/lexicon/search';
import { sortWords } from '../../core/lexicon/find';
import { chart, vowelPad } from '../../core/phonology/pad';
import { sure } from '../../core/sure';
import { answersThat } from '../answers/answers';
import { getSettings } from '../setting/settings';
import { rows } from '../storage/rows';
import { preparedBank } from '../words/bank';
import { listSets } from '../words/word-sets';

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

const SCREENS = [
  ['/', 'Today', 'ready next start door tomorrow'],
  ['/words', 'Find words', 'word set search rhyme sounds'],
  ['/words/sets', 'Our sets', 'word sets saved print cards import'],
  ['/words/shelf', 'Prop shelf', 'objects things toys props'],
  ['/words/new', 'Add words', 'own word new'],
  ['/plan', 'Plan', 'session plans minutes'],
  ['/look-back', 'Look back', 'sessions answers history paper grid type in'],
  ['/children', 'Names', 'children add register class list move group plant'],
  ['/children/board', 'Everyone’s steps', 'board steps next half-term'],
  ['/children/ears', 'Do we mark alike?', 'agreement second adult'],
  ['/sounds', 'Sounds', 'chart how to say phonemes'],
  ['/settings', 'How we say and count', 'settings accent counting convention'],
  ['/settings/judging', 'Judging', 'settings secure rule adults staff order'],
  ['/settings/taught', 'Sounds we’ve taught', 'settings taught words put aside'],
  ['/settings/device', 'This device', 'settings dim nap initials left hand thinking time tick keys'],
  ['/settings/our-data', 'Our data', 'settings backup export download everything zip file'],
] as const;

/** What can be found, in the order it is shown. */
export const HIT_KINDS = ['count', 'child', 'word', 'sound', 'set', 'plan', 'session', 'note', 'place'] as const;
export type HitKind = (typeof HIT_KINDS)[number];

/** One thing that was found, and where it is. */
export interface Hit {
  readonly kind: HitKind;
  readonly name: string;
  /** What tells it from others of its name: the group, the day, the meaning; may be empty. */
  readonly detail: string;
  readonly href: string;
}

/** A row of what has a name, and the group it is in. */
interface Named {
  readonly id: string;
  readonly name: string;
  readonly group: string;
}

/** What is typed to find something. */
export const findSchema = z
  .string()
  .max(60, 'Type up to 60 letters.')
  .transform((text) => text.replace(/\p{Cc}/gu, ' '));

/** Of each kind at most so many. */
const EACH = 5;
/** Sessions and notes that are looked through, the latest first: some years of them. */
const LOOKED_AT = 5_000;

/** Text as it is compared: without case, accents and kinds of apostrophe. */
const folded = (text: string): string =>
  text.normalize('NFD').replace(/\p{M}/gu, '').replaceAll('’', "'").toLowerCase();

/** Keeps what holds every word that was typed, in any order; what begins with them comes first. */
function keep<T>(all: readonly T[], typed: string, textOf: (one: T) => string): T[] {
  const wanted = folded(typed);
  // A few letters with spaces between them are sounds, and not parts of a name.
  const parts = /\p{L}{3}/u.test(wanted) ? wanted.split(/\s+/) : [wanted];
  return all
    .map((one) => ({ one, text: folded(textOf(one)) }))
    .filter(({ text }) => parts.every((part) => text.includes(part)))
    .sort((a, b) => Number(b.text.startsWith(wanted)) - Number(a.text.startsWith(wanted)))
    .slice(0, EACH)
    .map(({ one }) => one);
}

async function childHits(typed: string): Promise<Hit[]> {
  const all = await rows<Named & { readonly away: number | null }>(
    `SELECT c.id, c.name, g.name AS "group", c.archived_at AS away
     FROM children c JOIN "groups" g ON g.id = c.group_id ORDER BY c.archived_at IS NOT NULL, g.position, c.position`,
  );
  return keep(all, typed, (c) => c.name).map(({ id, name, group, away }) => ({
    kind: 'child',
    name,
    detail: away === null ? group : `${group}, off the list`,
    href: `/children/${id}`,
  }));
}

/** Words by their letters, or by their sounds with spaces between them; the easiest first. */
async function wordHits(typed: string): Promise<Hit[]> {
  const { accent, conventions } = await getSettings();
  const { index, byName, whyWithheld } = await preparedBank(accent, conventions);
  const query = readQuery(typed, index.sounds, accent);
  if (!query || query.kind === 'unclear') return [];
  const fits = matcher(index, query);
  const found = index.words.flatMap((_, at) => (fits(at) ? [at] : []));
  const order = sortWords(index, found, 'easy').map((at) => sure(index.words[at]).word);
  const whole = byName.has(typed) ? [typed] : [];
  const begins = order.filter((word) => word.startsWith(typed));
  // Typed without its accents.
  const wanted = folded(typed);
  const accented = index.words
    .map(({ word }) => word)
    .filter((word) => /[^ -~]/.test(word) && folded(word).startsWith(wanted));
  return [...new Set([...whole, ...accented, ...begins, ...order])]
    .filter((word) => !whyWithheld(word))
    .slice(0, EACH)
    .map((word) => ({
      kind: 'word',
      name: word,
      detail: sure(byName.get(word)).entry.meaning,
      href: `/word/${encodeURIComponent(word)}`,
    }));
}

/** A sound of the accent by its label or its IPA, between slashes or not. */
async function soundHits(typed: string): Promise<Hit[]> {
  const { accent } = await getSettings();
  const wanted = typed.replace(/^\/(.+)\/$/, '$1');
  const all = [...chart(accent).flatMap((row) => row.cells.flatMap((c) => c.sounds)), ...vowelPad(accent)];
  return all
    .filter(({ ipa, label }) => !ipa.includes(' ') && (ipa === wanted || label === wanted))
    .map(({ ipa, label, as }) => ({
      kind: 'sound',
      name: `/${label}/`,
      detail: as ? `as in ${as}` : '',
      href: `/sounds/${encodeURIComponent(ipa)}`,
    }));
}

const setHits = async (typed: string): Promise<Hit[]> =>
  keep(await listSets(), typed, (s) => s.name).map(({ id, name, words }) => ({
    kind: 'set',
    name,
    detail: words.slice(0, 4).join(', '),
    href: `/words?set=${id}&sounds=any`,
  }));

async function planHits(typed: string): Promise<Hit[]> {
  const all = await rows<Named>(
    `SELECT p.id, p.title AS name, g.name AS "group" FROM plans p JOIN "groups" g ON g.id = p.group_id
     WHERE p.kept = 1 ORDER BY p.updated_at DESC`,
  );
  return keep(all, typed, (p) => p.name).map(({ id, name, group }) => ({
    kind: 'plan',
    name,
    detail: group,
    href: `/plan/${id}`,
  }));
}

/** Sessions by what was played or by the day, as in “26 November”. */
async function sessionHits(typed: string): Promise<Hit[]> {
  const day = `datetime(s.started_at / 1000, 'unixepoch', 'localtime')`;
  const all = await rows<Named & { readonly day: string }>(
    `SELECT s.id, s.title AS name, g.name AS "group",
       ltrim(strftime('%d', ${day}), '0') || ' ' ||
       rtrim(substr(:months, (strftime('%m', ${day}) - 1) * 9 + 1, 9)) || ' ' || strftime('%Y', ${day}) AS day
     FROM sessions s JOIN "groups" g ON g.id = s.group_id ORDER BY s.started_at DESC LIMIT ${LOOKED_AT}`,
    { months: MONTHS.map((name) => name.padEnd(9)).join('') },
  );
  const wanted = folded(typed);
  const found = all.filter(({ name, day: on }) => [name, on].some((text) => folded(text).includes(wanted)));
  return found.slice(0, EACH).map(({ id, name, group, day: on }) => ({
    kind: 'session',
    name,
    detail: `${group}, ${on}`,
    href: `/look-back/${id}`,
  }));
}

async function noteHits(typed: string): Promise<Hit[]> {
  const all = await answersThat({ noted: true, limit: LOOKED_AT });
  const wanted = folded(typed);
  const noted = all.filter((a) => folded(a.note ?? '').includes(wanted)).slice(0, EACH);
  const names = await rows<Omit<Named, 'group'>>('SELECT id, name FROM children WHERE id IN (:ids)', {
    ids: ['', ...noted.flatMap((a) => a.childId ?? [])],
  });
  const nameOf = new Map(names.map((c) => [c.id, c.name]));
  return noted.map((a) => ({
    kind: 'note',
    name: a.note ?? '',
    detail: [nameOf.get(a.childId ?? ''), keyLabel(a.key, a.task, a.accent)].filter(Boolean).join(', '),
    href: `/look-back/${a.sessionId}`,
  }));
}

/** Words and games by their number of sounds. Example of what is typed: `4 sounds`. */
function countHits(typed: string): Hit[] {
  const count = /^([2-6]) sounds?$/.exec(typed)?.[1];
  if (!count) return [];
  return [
    ...(['blending', 'segmenting'] as const).map((task): Hit => {
      const step = [...taskOf(task).steps, ...(taskOf(task).unlisted ?? [])].find((s) => s.id === count);
      return {
        kind: 'count',
        name: `Plan: ${taskOf(task).name}`,
        detail: step?.name ?? '',
        href: `/plan?task=${task}&step=${count}`,
      };
    }),
    { kind: 'count', name: `Words with ${count} sounds`, detail: '', href: `/words?sounds=${count}` },
  ];
}

/** Screens, by their names and by what people call what is on them. */
const placeHits = (typed: string): Hit[] =>
  keep(SCREENS, typed, ([, name, called]) => `${name} ${called}`).map(([href, name]) => ({
    kind: 'place',
    name,
    detail: '',
    href,
  }));

/**
 * Finds a child, word, sound, set, plan, session, note or screen, by name; a word by its sounds too. Nothing typed
 * finds the screens.
 * @example await findAnything('sh o p') // the word shop
 */
export async function findAnything(text: string): Promise<Hit[]> {
  const typed = text.trim().replace(/\s+/g, ' ').toLowerCase();
  if (!typed) return SCREENS.map(([href, name]) => ({ kind: 'place', name, detail: '', href }));
  const found = await Promise.all([
    childHits(typed),
    wordHits(typed),
    soundHits(typed),
    setHits(typed),
    planHits(typed),
    sessionHits(typed),
    noteHits(typed),
  ]);
  return [...countHits(typed), ...found.flat(), ...placeHits(typed)];
}
