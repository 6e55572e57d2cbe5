import type { Judged } from '../answers/judge';
import type { LikelyAnswer } from '../answers/likely';
import { followsInCluster } from '../lexicon/difficulty';
import type { Caution, Word } from '../lexicon/entry';
import { CONVENTION_WORDS } from '../phonology/conventions';
import { labelOf, makingOf, MAKING_ADVICE, type Making } from '../phonology/sounds';
import type { AccentId } from '../phonology/accents';
import { sure } from '../sure';
import { fill } from './fill';
import { hardnessOf } from './hardness';
import type { Material } from './material';
import { keyOf, readKey, type Spec } from './spec';
import type { Made, Step, Task } from './task';

/** One sound as the bounce line shows it. */
export interface Mark {
  readonly ipa: string;
  readonly label: string;
  /** A word that tells two sounds with one label apart. */
  readonly as?: string;
  /** This word's own letters for the sound; absent where the spelling cannot be cut there. */
  readonly letters?: string;
  readonly making: Making;
  /** Stands close to the mark before it: both belong to one cluster. */
  readonly close: boolean;
  /** Shares an underline with the mark before it: the convention counts them as one. */
  readonly fused: boolean;
}

/** Who says a line of the script. */
type Role = 'adult' | 'together' | 'children';
export interface Line {
  readonly role: Role;
  readonly text: string;
}

/** A word as a screen shows it. */
export interface Shown {
  readonly word: string;
  readonly marks: readonly Mark[];
  readonly count: number;
  readonly meaning: string;
  readonly picture: string | null;
  readonly prop: boolean;
  readonly cautions: readonly Caution[];
}

/** How Play draws an item: each task properly, not one card for all. */
export type View =
  /** One word on its bounce line; `spot` is the sound asked for, `parts` what the adult says with gaps. */
  | { readonly kind: 'line'; readonly spot: number | null; readonly parts: readonly string[] | null }
  /** Two words, yes or no. */
  | { readonly kind: 'pair' }
  /**
   * Words in a row: `answer` is the one that is right (the odd one, the one that rhymes); `first` is the word asked
   * about.
   */
  | { readonly kind: 'row'; readonly answer: number | null; readonly first: boolean }
  /** A sound leaves, drops in, or both. */
  | {
      readonly kind: 'change';
      readonly from: readonly Mark[];
      readonly to: readonly Mark[];
      readonly gone: readonly number[];
      readonly come: readonly number[];
    }
  /** One beat for each part: words of a sentence, or syllables. */
  | {
      readonly kind: 'beats';
      readonly parts: readonly string[];
      readonly ownName: boolean;
      readonly out: number | null;
    }
  /** A handful of sounds, every word it makes, and a timer. */
  | {
      readonly kind: 'hunt';
      readonly sounds: readonly Mark[];
      readonly words: readonly { readonly word: string; readonly count: number }[];
      readonly seconds: number;
    }
  /** A list to say back. */
  | { readonly kind: 'list'; readonly entries: readonly string[]; readonly backwards: boolean }
  /** A short story; words to catch are marked. */
  | {
      readonly kind: 'story';
      readonly sentences: readonly (readonly { readonly text: string; readonly hit: boolean }[])[];
    };

/** Everything the Play screen needs to run one item. Plain data: it crosses to the browser as it is. */
export interface Item {
  /** The spec in one line; unique in a round. */
  readonly key: string;
  readonly task: string;
  readonly step: string;
  /** The word at its head, or what stands for it. */
  readonly word: string;
  readonly words: readonly Shown[];
  readonly meaning: string;
  readonly sentence: string;
  readonly count: number;
  readonly marks: readonly Mark[];
  readonly view: View;
  /** What the adult says, word for word, with the frame off. */
  readonly say: string;
  readonly slots: Readonly<Record<string, string>>;
  readonly script: readonly Line[];
  /** A line under it: how to say it, and what comes after the answer. */
  readonly how: string;
  readonly expected: string;
  readonly judged: Judged;
  readonly likely: readonly LikelyAnswer[];
  readonly kind: number;
  readonly foil: string | null;
  readonly difficulty: number;
  readonly reasons: readonly string[];
  /** Why the count may be argued about, in words. */
  readonly contested: string | null;
  readonly proof: readonly string[];
}

/** The marks of a word's bounce line. */
export function marksOf(word: Word): Mark[] {
  const seconds = new Set(word.units.flatMap((unit) => unit.sounds.slice(1)));
  const letters = lettersBySegment(word);
  return word.sounds.map((sound, at) => ({
    ipa: sound.ipa,
    ...labelOf(sound.ipa, word.accent),
    ...(letters[sound.segment] ? { letters: sure(letters[sound.segment]) } : {}),
    making: makingOf(sound.ipa),
    close: followsInCluster(word, at),
    fused: seconds.has(sound),
  }));
}

/** The letters of each segment; none where one piece spells several keys. */
function lettersBySegment({ entry }: Word): (string | undefined)[] {
  const lettersOf = ({ keys, letters, tail }: (typeof entry.letters)[number]): string | undefined => {
    if (keys > 1) return undefined;
    return tail ? `${letters}‑${tail}` : letters;
  };
  return entry.letters.flatMap((piece) => Array.from({ length: piece.keys }, () => lettersOf(piece)));
}

/** A mark for a sound that stands alone. */
export const soundMark = (ipa: string, accent: AccentId): Mark => ({
  ipa,
  ...labelOf(ipa, accent),
  making: makingOf(ipa),
  close: false,
  fused: false,
});

export const shownOf = (word: Word): Shown => ({
  word: word.word,
  marks: marksOf(word),
  count: word.count,
  meaning: word.entry.meaning,
  picture: word.entry.picture,
  prop: word.entry.prop,
  cautions: word.entry.cautions,
});

/** Sounds as labels with dots between, for reading aloud. Example: `s … l … u … g`. */
export const spokenApart = (word: Word): string =>
  word.sounds.map((s) => labelOf(s.ipa, word.accent).label).join(' … ');

/** A sound between slashes. Example: `/sh/`. */
export const slashed = (ipa: string, accent: AccentId): string => `/${labelOf(ipa, accent).label}/`;

/**
 * The other count, for each convention that would change it: "3 if x counts as one" where box has 4,
 * "4 if its end counts as two" where apple has 3.
 */
export function contestWords(word: Word): string | null {
  if (!word.contest) return null;
  const { by, strict } = word.contest;
  const lines = by.map(({ convention, count }) => {
    const fusedNow = word.units.some((unit) => unit.by === convention);
    const other = fusedNow ? word.count + (strict - count) : word.count - (strict - count);
    return `${other} if ${CONVENTION_WORDS[convention].thing} counts as ${fusedNow ? 'two' : 'one'}`;
  });
  if (word.contest.speaker.length) lines.push('the count changes from speaker to speaker');
  return lines.join('; ');
}

/** An item that cannot be proved right is no item. */
export class Unproved extends Error {}

/** Throws Unproved where something an item needs is not there. */
export function need<T>(thing: T | null | undefined, what: string): T {
  if (thing === null || thing === undefined) throw new Unproved(what);
  return thing;
}

/** The word of a name, which must be in the bank. */
export const wordOf = (material: Material, name: string | undefined): Word =>
  need(material.byName.get(name ?? ''), `“${name ?? ''}” is not in the bank.`);

/**
 * Makes the item of a spec and proves it: every fact the task states about it, and that nothing in it is rude.
 * Throws Unproved with what does not hold.
 */
export function makeItem(task: Task, step: Step, from: Spec | string, material: Material): Item {
  const spec = typeof from === 'string' ? readKey(from) : from;
  const key = keyOf(spec);
  const inAccent = material.keep(
    'sounds of the accent',
    () => new Set(material.words.flatMap((w) => w.sounds.map((s) => s.ipa))),
  );
  if (spec.sounds?.some((ipa) => !inAccent.has(ipa))) throw new Unproved(`A sound of “${key}” is not in the accent.`);
  const made = task.make(spec, step, material);
  const proof = proofOf(made, `“${key}” in ${task.name}`, material);
  const { points, reasons } = hardnessOf(task, step, made.head);
  return {
    key,
    task: task.id,
    step: step.id,
    ...aboutHead(made.head, made.words[0]?.word ?? key),
    words: made.words,
    view: made.view,
    say: fill(task.plain, made.slots),
    slots: made.slots,
    script: made.script,
    how: made.how,
    expected: made.expected,
    judged: made.judged,
    likely: made.likely,
    kind: made.kind ?? 0,
    foil: step.foil ?? null,
    difficulty: points,
    reasons,
    proof,
  };
}

/** What an item says of the word it is about; `name` where it is about none. */
const aboutHead = (
  head: Word | null,
  name: string,
): Pick<Item, 'word' | 'meaning' | 'sentence' | 'count' | 'marks' | 'contested'> => ({
  word: head?.word ?? name,
  meaning: head?.entry.meaning ?? '',
  sentence: head?.entry.sentence ?? '',
  count: head?.count ?? 0,
  marks: head ? marksOf(head) : [],
  contested: head ? contestWords(head) : null,
});

/** The facts that make an item what it says it is. Throws Unproved with the first that does not hold. */
function proofOf(made: Made, where: string, material: Material): string[] {
  const facts: (readonly [string, boolean])[] = [
    ...made.facts,
    ['the words pass the guard', made.words.every((w) => !material.guard(w.marks.map((m) => m.ipa)))],
    ['likely answers differ from each other', new Set(made.likely.map((a) => a.id)).size === made.likely.length],
  ];
  const broken = facts.find(([, holds]) => !holds);
  if (broken) throw new Unproved(`No item for ${where}: ${broken[0]} does not hold.`);
  return facts.map(([what]) => what);
}

const list = (labels: readonly string[]): string =>
  labels.length < 2 ? labels.join('') : `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`;

/** How to say the word's sounds alone: which to clip, which to hold. Example: "Hold /s/ and /l/. Clip /g/: no “uh”." */
export function sayingAdvice(word: Word): string {
  return advice([...new Set(word.sounds.map((s) => s.ipa))], word.accent);
}

/** How to say sounds alone. Example: `advice(['s'], 'scottish') // 'Hold /s/.'`. */
export function advice(sounds: readonly string[], accent: AccentId): string {
  const of = (making: Making): string[] =>
    sounds.filter((ipa) => makingOf(ipa) === making).map((ipa) => slashed(ipa, accent));
  const [hold, clip, light] = [of('hold'), of('clip'), of('light')];
  return [
    hold.length ? `Hold ${list(hold)}.` : '',
    clip.length ? `Clip ${list(clip)}: no “uh”.` : '',
    light.length ? `${list(light)} lightly.` : '',
    !hold.length && !clip.length && !light.length ? MAKING_ADVICE.vowel : '',
  ]
    .filter(Boolean)
    .join(' ');
}
