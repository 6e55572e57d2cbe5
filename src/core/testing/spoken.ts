import type { Word } from '../lexicon/entry';
import { traitsOf } from '../lexicon/traits';
import { whereIn, spotKey } from '../answers/spots';
import { openIn } from '../evidence/cells';
import { adviseOn } from '../choosing/advice';
import { anotherWord, TELLINGS, verdictOn, type PebbleCheck } from '../evidence/pebbles';
import { cellsFrom, runsFrom, type Given } from '../evidence/reading';
import type { ChildSeen, SessionCells } from '../evidence/settle';
import type { StepRun } from '../evidence/evidence';
import { seeded, shuffle, type Random } from '../random';
import { sure } from '../sure';
import { material } from './bank';
import { DAY, givenBy } from './seen';
import { askedFor } from '../answers/analyse';
import { GAPS, SPEECH, type Gap } from './speakers';

/** A made-up child: how they speak, what they do not hear yet, and how often they slip for no reason. */
export interface Speaker {
  readonly speech: string | null;
  readonly gap: string | null;
  readonly lapse: number;
}

const SESSIONS = 16;
const EACH = 5;
/** A gap shows this often where it could. */
const GAP_SHOWS = 0.9;
/** Chances for the gap, at least, among the eighty answers. */
const HOLD_IT = 14;

/** Everyday words of one beat that can be joined and taken apart. */
const pool = (): readonly Word[] =>
  material().keep('spoken pool', () =>
    material().words.filter(
      (w) =>
        traitsOf(w).syllables === 1 &&
        w.entry.band < 3 &&
        w.sounds.length >= 3 &&
        w.sounds.length <= 5 &&
        !w.entry.doubt,
    ),
  );

const ipa = (w: Word): string[] => w.sounds.map((s) => s.ipa);

/** What the child says back: heard with their gap, said in their own way, with a slip now and then. */
function sayingOf(child: Speaker, word: Word, apart: boolean, random: Random): string[][] {
  const gap = child.gap === null ? null : (GAPS[child.gap] ?? null);
  const sounds = ipa(word);
  const shows = gap !== null && (apart || !gap.onlyApart) && gap.holds(sounds) && random() < GAP_SHOWS;
  const plain = apart ? sounds.map((s) => [s]) : [sounds];
  const heard = shows ? (gap as Gap).answer(sounds, apart) : plain;
  const slipped = random() < child.lapse ? lapsed(heard, random) : heard;
  const says = child.speech === null ? null : sure(SPEECH[child.speech]);
  if (!says) return slipped;
  return apart ? spread(says(slipped.flat(), word), slipped) : [says(slipped.flat(), word)];
}

/** Sounds said one by one; where none was kept together. */
const spread = (said: readonly string[], as: readonly (readonly string[])[]): string[][] =>
  as.every((c) => c.length === 1) ? said.map((s) => [s]) : [...as.map((c) => [...c])];

/** A slip for no reason: a sound left out, anywhere. */
function lapsed(chunks: readonly (readonly string[])[], random: Random): string[][] {
  const at = Math.floor(random() * chunks.flat().length);
  let n = -1;
  return chunks.map((c) => c.filter(() => (n += 1) !== at)).filter((c) => c.length);
}

/** True where a word has the sound in the place of a key. */
const holds = (word: Word, key: string): boolean => keysOf().get(word)?.has(key) ?? false;

/** The keys of every word of the pool, worked out once. */
const keysOf = (): ReadonlyMap<Word, ReadonlySet<string>> =>
  material().keep(
    'spoken keys',
    () =>
      new Map(
        pool().map((w) => {
          const asked = askedFor(ipa(w));
          return [w, new Set(asked.map((_, at) => spotKey(asked, at)))] as const;
        }),
      ),
  );

/** One word of a check, as this child does it. */
function checkOf(
  child: Speaker,
  word: Word,
  key: string,
  { day, random }: { day: number; random: Random },
): PebbleCheck {
  const sounds = ipa(word);
  const said = child.speech === null ? sounds : sure(SPEECH[child.speech])(sounds, word);
  const says = said.join(' ') === sounds.join(' ') ? 'word' : 'slip';
  const pushed = sayingOf({ ...child, speech: null }, word, true, random);
  const pebbles = pushed.length === sounds.length;
  const asked = says === 'slip' && !pebbles;
  const told = asked
    ? Array.from({ length: TELLINGS }, () => random() >= child.lapse / 2).filter(Boolean).length
    : null;
  return { key, word: word.word, says, pebbles, told, at: day * DAY + 3_600_000, day };
}

/** A day, and the share of the checks offered on it that are played. */
interface When {
  readonly day: number;
  readonly random: Random;
  readonly checked: number;
}

/** The check that comes before anything else, where there is one: who plays any plays this. */
function forcedCheck(child: Speaker, seen: ChildSeen, { day, random, checked }: When): PebbleCheck[] {
  if (!checked || checked === 1) return [];
  const key = adviseOn(seen, { now: (day + 1) * DAY - 1, unitOrder: 'sounds-first' }).next?.check;
  if (!key) return [];
  const all = [...seen.checks];
  for (const word of shuffle(
    pool().filter((w) => holds(w, key)),
    random,
  ).slice(0, 3)) {
    all.push(checkOf(child, word, key, { day, random }));
    if (!anotherWord(all, key, day * DAY + 3_600_000)) break;
  }
  return all.slice(seen.checks.length);
}

/** After a session: slips that are open are checked, with another word of the place while that would say more. */
function checksAfter(
  child: Speaker,
  given: readonly Given[],
  before: readonly PebbleCheck[],
  when: When,
): PebbleCheck[] {
  const all = [...before];
  const offered = new Set<string>();
  for (const key of given.flatMap(openIn)) {
    if (offered.has(whereIn(key)) || verdictOn(all, key, when.day * DAY) !== 'open') continue;
    offered.add(whereIn(key));
    if (when.checked < 1 && when.random() >= when.checked) continue;
    const words = shuffle(
      pool().filter((w) => holds(w, key)),
      when.random,
    );
    for (const word of words.slice(0, 3)) {
      all.push(checkOf(child, word, key, when));
      if (!anotherWord(all, key, when.day * DAY + 3_600_000)) break;
    }
  }
  return all.slice(before.length);
}

/** How many sessions, and the share of the checks offered that are played. */
interface Played {
  readonly sessions: number;
  readonly checked: number;
}

/** What is seen of a child over sessions of five answers, with checks played when they are offered. */
export function spokenHistory(
  child: Speaker,
  seed: number,
  { sessions: many, checked }: Played = { sessions: SESSIONS, checked: 1 },
): ChildSeen {
  const random = seeded(seed * 6_151 + 3);
  const gap = child.gap === null ? null : sure(GAPS[child.gap]);
  const holding = gap
    ? shuffle(
        pool().filter((w) => gap.holds(ipa(w))),
        random,
      ).slice(0, HOLD_IT)
    : [];
  const others = shuffle(
    pool().filter((w) => !gap?.holds(ipa(w))),
    random,
  ).slice(0, many * EACH - holding.length);
  const words = shuffle([...holding, ...others], random);
  const runs: StepRun[] = [];
  const sessions: SessionCells[] = [];
  const checks: PebbleCheck[] = [];
  for (let s = 0; s < many; s += 1) {
    const day = 20_000 - 2 * (many - s);
    const apart = gap?.onlyApart === true || s % 2 === 1;
    const given = words
      .slice(s * EACH, (s + 1) * EACH)
      .map((word, i) =>
        givenBy(
          { task: apart ? 'segmenting' : 'blending', name: word.word, saying: sayingOf(child, word, apart, random) },
          { at: day * DAY + i * 20_000, day },
        ),
      );
    runs.push(...runsFrom(given));
    const cells = cellsFrom(given);
    if (cells) sessions.push({ at: day * DAY, cells });
    checks.push(...checksAfter(child, given, checks, { day, random, checked }));
    checks.push(...forcedCheck(child, { runs, sessions, checks }, { day, random, checked }));
  }
  return { runs, sessions, checks };
}
