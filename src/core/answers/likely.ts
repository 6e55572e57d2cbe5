import { inCluster } from '../lexicon/difficulty';
import { ipaOf, type Word } from '../lexicon/entry';
import type { Guard } from '../lexicon/guard';
import type { AccentId } from '../phonology/accents';
import { isPair } from '../phonology/articulation';
import { byEar, EARS, MERGED } from '../phonology/by-ear';
import { CONSONANTS, labelOf } from '../phonology/sounds';
import { sure } from '../sure';
import type { Outcome, Slip } from './outcome';
import { heardLine } from './heard-line';
import type { Bit } from './line-text';
import { letterNames } from './letter-names';
import { asWord, saidOf, type Chunks } from './said';

/** One answer a child is likely to give: a tap records outcome, sounds said and slip together. */
export interface LikelyAnswer {
  readonly id: string;
  /** Null where the answer is right. */
  readonly slip: Slip | null;
  readonly outcome: Outcome;
  /** The sounds said, as answers/said writes them; empty where no sounds can be named. */
  readonly said: string;
  /** How it is read at a glance: a word, a safe respelling, a choice, plain words; null where the line does it. */
  readonly show: string | null;
  /** The sounds said, those that were lost struck through; absent where `show` alone says it. */
  readonly line?: readonly Bit[];
  readonly note: string;
  /** Indices of the sounds that slipped. Empty where the whole task slipped and no one sound did. */
  readonly missed: readonly number[];
}

export interface LikelyContext {
  readonly guard: Guard;
  /** Spelling of a sound string where it is a word of the bank. Example: `fog` for f ɒ ɡ. */
  readonly spellingOf: (sounds: readonly string[]) => string | undefined;
  /** A respelling of a made-up word that is read right by itself; null where there is none. */
  readonly respell: (sounds: readonly string[]) => string | null;
}

/** Candidates an item carries at most; which of them are shown is for answers/rank. */
const MOST = 8;
const slashes = ({ accent }: Word, ipa: string): string => `/${labelOf(ipa, accent).label}/`;

/** Nothing is shown of what would be heard as a rude word. */
const HIDDEN = { show: null } as const;

/** The word with one sound lost, said as a word. */
function lost(word: Word, at: number, { guard, spellingOf, respell }: LikelyContext): LikelyAnswer {
  const left = ipaOf(word).filter((_, i) => i !== at);
  const shown = guard(left)
    ? HIDDEN
    : { show: spellingOf(left) ?? respell(left), line: heardLine([left], ipaOf(word), word.accent) };
  return {
    id: `lost-${at}`,
    slip: 'lost-sound',
    outcome: 'not-yet',
    said: asWord(left),
    ...shown,
    note: `left out ${slashes(word, sure(word.sounds[at]).ipa)}`,
    missed: [at],
  };
}

/**
 * Sounds children most often lose, likeliest first: the second of an opening cluster, the first of a closing one.
 * Common practice, no source.
 */
function oftenLost(word: Word): number[] {
  const vowel = word.sounds.findIndex((s) => s.vowel);
  const clustered = word.sounds.map((_, at) => at).filter((at) => inCluster(word, at));
  const opening = clustered.filter((at) => at < vowel).reverse();
  const closing = clustered.filter((at) => at > vowel);
  const ends = [word.sounds.length - 1, 0].filter((at) => !sure(word.sounds[at]).vowel && !clustered.includes(at));
  return [...opening.slice(0, 2), ...closing.slice(0, 1), ...ends];
}

function lastOnly(word: Word): LikelyAnswer {
  const last = sure(word.sounds.at(-1)).ipa;
  return {
    id: 'last',
    slip: 'last-only',
    outcome: 'not-yet',
    said: last,
    show: null,
    line: heardLine([[last]], [], word.accent),
    note: 'just the last sound',
    missed: [],
  };
}

/** The start said for the whole: *f* or *fr* for *frog*. */
function startOnly(word: Word, { guard }: LikelyContext): LikelyAnswer[] {
  const start = ipaOf(word).slice(
    0,
    word.sounds.findIndex((s) => s.vowel),
  );
  if (!start.length || start.length === word.sounds.length - 1 || guard(start)) return [];
  return [
    {
      id: 'start',
      slip: 'part-only',
      outcome: 'not-yet',
      said: asWord(start),
      show: null,
      line: heardLine([start], [], word.accent),
      note: 'just the start',
      missed: [],
    },
  ];
}

const nearSounds = new Map<string, readonly string[]>();

/** Consonants that are easily taken for one: first those that many children merge, then those near by ear. */
function takenFor(ipa: string): readonly string[] {
  const known = nearSounds.get(ipa);
  if (known) return known;
  const others = EARS.filter((other) => other !== ipa && CONSONANTS[ipa]);
  const merged = others.filter((other) => isPair(MERGED, ipa, other));
  const near = others.filter((other) => !merged.includes(other) && byEar(ipa, other) === 'near');
  nearSounds.set(ipa, [...merged, ...near]);
  return [...merged, ...near];
}

/**
 * Another word of the bank, one sound away that is easily taken for it: what a child may have heard. The first found
 * will do, from the ends inwards.
 */
function nearWord(word: Word, { spellingOf }: LikelyContext): LikelyAnswer[] {
  const ipa = ipaOf(word);
  for (const at of [ipa.length - 1, 0, ...ipa.slice(1, -1).map((_, i) => i + 1)]) {
    for (const other of takenFor(sure(ipa[at]))) {
      const said = ipa.with(at, other);
      const spelt = spellingOf(said);
      if (spelt && spelt !== word.word)
        return [
          {
            id: `near-${at}`,
            slip: 'near-sound',
            outcome: 'not-yet',
            said: asWord(said),
            show: spelt,
            note: `${slashes(word, other)} for ${slashes(word, sure(ipa[at]))}`,
            missed: [at],
          },
        ];
    }
  }
  return [];
}

/**
 * Likely answers when the adult says the sounds and the child says the word, likeliest first.
 * @example blendingLikely(slug, context).slice(0, 4).map((a) => a.note) // ['lost /l/', 'lost /s/', 'not joined',
 * 'last sound only']
 */
export function blendingLikely(word: Word, context: LikelyContext): LikelyAnswer[] {
  const losses = oftenLost(word).map((at) => lost(word, at, context));
  return distinct([
    ...losses.slice(0, 2),
    notJoined(word),
    lastOnly(word),
    ...startOnly(word, context),
    ...nearWord(word, context),
    ...losses.slice(2),
  ]);
}

/** Runs of sounds a child keeps whole: from `from` up to and with `to`. */
function chunked(word: Word, from: number, to: number): Chunks {
  const ipa = ipaOf(word);
  return [...ipa.slice(0, from).map((s) => [s]), ipa.slice(from, to + 1), ...ipa.slice(to + 1).map((s) => [s])];
}

const HEARD_AS: Readonly<Record<string, string>> = { t: 'tʃ', d: 'dʒ' };

/** tr and dr begin like /ch/ and /j/: a child who says so has listened well. */
export function heardClosely(word: Word, firstAlone = false): LikelyAnswer[] {
  const [first, second] = ipaOf(word);
  const as = HEARD_AS[first ?? ''];
  if (!as || second !== 'r') return [];
  const said = firstAlone ? [as] : [as, ...ipaOf(word).slice(1)];
  return [
    {
      id: 'close',
      slip: 'heard-closely',
      outcome: 'on-own',
      said: said.join(' '),
      show: null,
      line: heardLine(
        said.map((ipa) => [ipa]),
        [],
        word.accent,
      ),
      note: `said ${slashes(word, as)}, which is right`,
      missed: [],
    },
  ];
}

/**
 * Likely answers when the adult says the word and the child says its sounds, likeliest first.
 * @example segmentingLikely(frog, context).map((a) => a.show) // ['fr · o · g', 'f · r · og', 'f · o · g', …]
 */
export function segmentingLikely(word: Word, context: LikelyContext): LikelyAnswer[] {
  const { sounds } = word;
  const vowel = sounds.findIndex((s) => s.vowel);
  const end = sounds.length - 1;
  const out: LikelyAnswer[] = [];
  const keep = (slip: 'cluster-kept' | 'rime-kept', from: number, to: number, note: string): void => {
    const run = sounds.slice(from, to + 1).map((s) => s.ipa);
    const said = chunked(word, from, to);
    // What the convention counts as one sound may stay together.
    if (sounds.slice(from + 1, to + 1).every((s) => word.units.some((unit) => unit.sounds.indexOf(s) > 0))) return;
    const missed = sounds.map((_, at) => at).filter((at) => at >= from && at <= to);
    const line = context.guard(run) ? {} : { line: heardLine(said, [], word.accent) };
    out.push({ id: slip, slip, outcome: 'not-yet', said: saidOf(said), show: null, ...line, note, missed });
  };
  if (vowel > 1) keep('cluster-kept', 0, vowel - 1, 'kept the start together');
  if (vowel > 0 && vowel < end) keep('rime-kept', vowel, end, 'kept the end together');
  const losses = oftenLost(word).map((at): LikelyAnswer => {
    const without = lost(word, at, context);
    const left = without.said.split('+');
    const parts = left.map((ipa) => [ipa]);
    const shown = context.guard(left) ? {} : { line: heardLine(parts, ipaOf(word), word.accent) };
    const { id, slip, outcome, note, missed } = without;
    return { id, slip, outcome, note, missed, said: left.join(' '), show: null, ...shown };
  });
  out.push(...losses.slice(0, 1), ...heardClosely(word));
  if (sounds.some((s) => !s.vowel)) out.push(withUh(word));
  out.push(
    wholeWord(word),
    likelyInWords('letters', 'letter-name', { show: letterNames(word.word, word.accent), note: 'letter names' }),
    ...losses.slice(1),
    likelyInWords('heard', 'another-heard', { show: 'a different word', note: 'right sounds', outcome: 'on-own' }),
  );
  return distinct(out);
}

/** Every consonant with the “uh” that creeps in: accepted and noted, never printed as a model. */
const withUh = (word: Word): LikelyAnswer => ({
  id: 'uh',
  slip: 'added-uh',
  outcome: 'on-own',
  said: saidOf(word.sounds.map((s) => (s.vowel ? [s.ipa] : [s.ipa, 'ə']))),
  show: 'with “uh”',
  note: 'right',
  missed: [],
});

/**
 * The choices of an item as chips, the right one among them.
 * @example choiceLikely(['yes', 'no'], 0)[1].outcome // 'not-yet'
 */
export const choiceLikely = (choices: readonly string[], right: number): LikelyAnswer[] =>
  choices.map((choice, i) => ({
    id: `choice-${i}`,
    slip: i === right ? null : 'wrong-choice',
    outcome: i === right ? 'on-own' : 'not-yet',
    said: choice,
    show: choice,
    note: i === right ? 'right' : '',
    missed: [],
  }));

/** Numbers a child is likely to give: right, one fewer, one more. */
export const numberLikely = (right: number): LikelyAnswer[] =>
  [right, right - 1, right + 1]
    .filter((n) => n > 0)
    .map((n) => ({
      id: `count-${n}`,
      slip: n === right ? null : 'other-count',
      outcome: n === right ? 'on-own' : 'not-yet',
      said: String(n),
      show: String(n),
      note: n === right ? 'right' : '',
      missed: [],
    }));

interface LikelySlip {
  readonly said: readonly string[];
  readonly show: string;
  readonly note: string;
  /** Given where letters alone might be read otherwise: the line stands under them. */
  readonly accent?: AccentId;
}

/** A likely answer that slips, in a few words; nothing is shown where it could print a rude word. */
export function slipLikely(slip: Slip, { said, show, note, accent }: LikelySlip, guard: Guard): LikelyAnswer {
  return {
    id: `${slip} ${said.join(' ')}`,
    slip,
    outcome: 'not-yet',
    said: asWord(said),
    ...(guard(said) ? HIDDEN : { show, ...(accent ? { line: heardLine([said], [], accent) } : {}) }),
    note,
    missed: [],
  };
}

/** A likely answer that is right. */
export const rightLikely = (said: readonly string[], show: string, note: string): LikelyAnswer => ({
  id: `right ${said.join(' ')}`,
  slip: null,
  outcome: 'on-own',
  said: asWord(said),
  show,
  note,
  missed: [],
});

/** The word itself, where something else was asked for. */
const wordAgain = (slip: 'whole-word' | 'unchanged', word: Word, note: string): LikelyAnswer => ({
  id: slip === 'unchanged' ? slip : 'whole',
  slip,
  outcome: 'not-yet',
  said: asWord(ipaOf(word)),
  show: word.word,
  note,
  missed: [],
});

/** The word, where its sounds or one of them were asked for. */
export const wholeWord = (word: Word, note: string = 'said the word'): LikelyAnswer =>
  wordAgain('whole-word', word, note);

/** The word, where it was to be changed. */
export const unchanged = (word: Word, note = 'unchanged'): LikelyAnswer => wordAgain('unchanged', word, note);

/** The sounds one by one, where the word was asked for; or its parts, where it was said in parts. */
export const notJoined = (word: Word, parts?: readonly string[]): LikelyAnswer => ({
  id: 'apart',
  slip: 'not-joined',
  outcome: 'not-yet',
  said: ipaOf(word).join(' '),
  ...(parts
    ? { show: parts.join(' · ') }
    : {
        show: null,
        line: heardLine(
          ipaOf(word).map((ipa) => [ipa]),
          [],
          word.accent,
        ),
      }),
  note: 'not joined up',
  missed: [],
});

/** An answer of which only the kind is known, told in words. */
export const likelyInWords = (
  id: string,
  slip: Slip | null,
  { show, note, outcome = 'not-yet' }: { readonly show: string; readonly note: string; readonly outcome?: Outcome },
): LikelyAnswer => ({ id, slip, outcome, said: '', show, note, missed: [] });

/** One sound said alone. */
export const soundAlone = (
  slip: Slip,
  ipa: string,
  { accent, note }: { readonly accent: AccentId; readonly note: string },
): LikelyAnswer => ({
  id: `${slip} ${ipa}`,
  slip,
  outcome: 'not-yet',
  said: ipa,
  show: null,
  line: heardLine([[ipa]], [], accent),
  note,
  missed: [],
});

/** The one sound that was asked for. */
export const soundRight = (ipa: string, accent: AccentId): LikelyAnswer => ({
  id: `right ${ipa}`,
  slip: null,
  outcome: 'on-own',
  said: ipa,
  show: null,
  line: heardLine([[ipa]], [], accent),
  note: 'right',
  missed: [],
});

/** Each once, likeliest first; one of which nothing may be shown is left out. */
export const distinct = (answers: readonly LikelyAnswer[]): LikelyAnswer[] =>
  answers
    .filter((a, i) => (a.show !== null || a.line !== undefined) && answers.findIndex((b) => b.id === a.id) === i)
    .slice(0, MOST);

/** Some of a list, where all of it was asked for. */
export const SOME_MISSED: LikelyAnswer = likelyInWords('some', 'some-missed', {
  show: 'some',
  note: 'but missed others',
});
