import { analyse, askedFor, type Analysis, type AskedSound, type Fault, type Hearing } from './analyse';
import { FAIR_WORDS, fairSwap, type Ear, type Fair } from './fair';
import type { Outcome, Slip } from './outcome';
import { NO_OWN_WAY, saysFor, type OwnWay } from './own-way';
import type { Chunks } from './said';
import { isVowel } from '../phonology/sounds';
import { sure } from '../sure';

const KEPT_TOGETHER = 'They kept two sounds together.';

/** How an item's answer is judged; plain data, so that the screen can say it and the core can do it. */
export type Judged =
  /** These sounds, in this order. */
  | {
      readonly by: 'sounds';
      readonly sounds: readonly string[];
      /** Said one by one, not as a word. */
      readonly apart?: true;
      /** Gaps may be anywhere: a sound three times, then the word. */
      readonly gaps?: true;
      /** Right too: the weak *man* of *postman*, *dust* of *dustpan*. */
      readonly also?: readonly (readonly string[])[];
    }
  /** Anything that ends alike from the vowel on and begins otherwise, word or not. */
  | { readonly by: 'rhyme'; readonly rime: readonly string[]; readonly onset: readonly string[] }
  /** Anything that begins with the sound; whether it fits the clue is heard by the adult. */
  | { readonly by: 'begins'; readonly sound: string }
  /** One of the choices. */
  | { readonly by: 'choice'; readonly choices: readonly string[]; readonly right: number }
  /** A number of beats, sounds or words. */
  | { readonly by: 'number'; readonly right: number }
  /** Parts, wherever the cuts fall, as long as there are so many. */
  | {
      readonly by: 'parts';
      readonly count: number;
      /** More parts than that are right too: every sound, where the start and the rest were asked for. */
      readonly moreToo?: true;
    }
  /** Each entry of a list, in order. */
  | { readonly by: 'list'; readonly entries: readonly string[] }
  /** Any word of the hunt's list. */
  | { readonly by: 'words' };

export interface Judgement {
  readonly outcome: Extract<Outcome, 'on-own' | 'not-yet'>;
  readonly slip: Slip | null;
  /** Indices of the sounds of the item's word that slipped. */
  readonly missed: readonly number[];
  /** Why, in words for the adult. */
  readonly why: string;
  /** What became of each sound; null where the answer is not judged sound by sound. */
  readonly analysis: Analysis | null;
}

/** What is judged against: the item, and how this child speaks. */
export interface Question {
  readonly judged: Judged;
  /** The sounds of the item's word, as its bounce line has them. */
  readonly marks: readonly AskedSound[];
  /** The sounds of what the word becomes, where it is changed. */
  readonly to?: readonly AskedSound[] | undefined;
  /** Here people speak in several accents: any shipped accent’s vowel is right. */
  readonly mixed?: boolean;
  /** The same answer as another accent says it, where the child speaks one. */
  readonly otherAccent?: readonly string[] | undefined;
  readonly ownWay?: OwnWay;
  readonly tapsT?: boolean;
}

const same = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((x, i) => x === b[i]);
const right = (why: string, kind: Slip | null = null, analysis: Analysis | null = null): Judgement => ({
  outcome: 'on-own',
  slip: kind,
  missed: [],
  why,
  analysis,
});
const slip = (
  kind: Slip,
  why: string,
  missed: readonly number[] = [],
  analysis: Analysis | null = null,
): Judgement => ({ outcome: 'not-yet', slip: kind, missed, why, analysis });

/** The better of two readings: a child who speaks another accent may answer in it, or in the setting's. */
function bestAnalysis(targets: readonly (readonly AskedSound[])[], said: Chunks, hearing: Hearing): Analysis {
  const all = targets.map((asked) => analyse(asked, said, hearing));
  return all.find((a) => a.right) ?? all.reduce((best, a) => (a.cost < best.cost ? a : best));
}

const RIGHT_WORDS: Partial<Record<Slip, string>> = {
  'added-uh': 'Right, with a little “uh”.',
  'own-way': 'Right, in their own way of saying it.',
  'own-speech': 'Right: there’s one sound for each. The swap is only how they say it.',
};

const WHY: Partial<Record<Slip, string>> = {
  'last-only': 'Just the last sound.',
  'part-only': 'Just one part of it.',
  'not-joined': 'Right sounds, not joined up yet.',
  'whole-word': 'The whole word, not its sounds.',
  reordered: 'Those are the sounds, but in a different order.',
  'lost-sounds': 'They left out more than one sound.',
  'lost-beat': 'They left a beat out.',
  'near-sound': 'One sound is very like the right one, but it isn’t the same.',
  several: 'More than one sound is different.',
  'changed-more': 'They changed one sound too many.',
  'other-change': 'They changed the right sound, but to a different one.',
  'other-word': 'A different word.',
  'lost-sound': 'They left a sound out.',
  'swapped-sound': 'They swapped one sound.',
  'added-sound': 'They added a sound.',
  'added-uh': 'They added an “uh”.',
  'rime-kept': 'They kept the end in one piece.',
  'cluster-kept': KEPT_TOGETHER,
};

const askedIpa = (asked: readonly AskedSound[]): string[] => asked.map((a) => a.ipa);

const earOf = ({ marks, tapsT = false, mixed = false }: Question): Ear => ({ asked: marks, tapsT, mixed, alone: true });

/** A right answer with the note that goes with it. */
function rightVerdict(read: Analysis): Judgement {
  const [fair] = read.fair;
  if (fair) return right(FAIR_WORDS[fair], 'heard-closely', read);
  return right(read.slip ? sure(RIGHT_WORDS[read.slip]) : 'That’s it.', read.slip, read);
}

/** The sounds asked for with all that is known of them: the word’s own, or those of what it becomes. */
function askedOf(sounds: readonly string[], { marks, to }: Question): readonly AskedSound[] {
  return [marks, to ?? []].find((known) => same(askedIpa(known), sounds)) ?? askedFor(sounds);
}

/** Said in one go, and the “uh” of a consonant said alone let pass. */
const withoutGaps = (said: Chunks): Chunks => [
  said.flatMap(([sound = '', ...more]) =>
    !isVowel(sound) && more.length === 1 && more[0] === 'ə' ? [sound] : [sound, ...more],
  ),
];

/** How an answer of sounds is heard: said one by one or as a word, and by whom. */
const hearingOf = ({ apart, sounds }: BySounds, { ownWay, tapsT, mixed }: Question): Hearing => ({
  apart: apart === true || sounds.length === 1,
  oneForOne: apart === true && sounds.length > 1,
  ...(ownWay ? { ownWay } : {}),
  ...(tapsT ? { tapsT } : {}),
  ...(mixed ? { mixed } : {}),
});

/** Judges sounds against sounds, with what the item's word was before in mind. */
function judgeSounds(judged: BySounds, heard: Chunks, question: Question): Judgement {
  const said = judged.gaps ? withoutGaps(heard) : heard;
  const { marks, otherAccent } = question;
  const whole = same(judged.sounds, askedIpa(marks));
  const asked = askedOf(judged.sounds, question);
  const hearing = hearingOf(judged, question);
  const others = [...(judged.also ?? []), ...(otherAccent ? [otherAccent] : [])].map((sounds) => askedFor(sounds));
  const read = bestAnalysis([asked, ...others], said, hearing);
  // Where a vowel is what changes, the word as it was is not right in another accent.
  const still = !whole && read.fair.length > 0 && same(said.flat(), askedIpa(marks));
  if (read.right && !still) return rightVerdict(read);
  const changed = whole ? null : judgeChanged(judged, said, question, read);
  return changed ?? slip(sure(read.slip), WHY[sure(read.slip)] ?? 'Not that one.', whole ? read.missed : [], read);
}

type BySounds = Extract<Judged, { by: 'sounds' }>;

/** What was asked for is what the word becomes, or one sound of it; null where nothing more is known. */
function judgeChanged(judged: BySounds, said: Chunks, question: Question, read: Analysis): Judgement | null {
  const { marks, ownWay } = question;
  const sounds = said.flat();
  const [wanted] = judged.sounds;
  const one = judged.sounds.length === 1;
  const fair = one && sounds.length === 1 ? fairSound(sure(wanted), sure(sounds[0]), question) : null;
  if (fair) return right(FAIR_WORDS[fair], 'heard-closely', read);
  const before = analyse(marks, said, { apart: false, ...(ownWay ? { ownWay } : {}) });
  if (before.right) return slip('unchanged', 'They said the word unchanged.', [], read);
  // One sound asked for: what was said may be its cluster, another sound of the word, or the word.
  if (one) return oneSound(sure(wanted), said, question, read);
  return (
    onlyOneOf(judged.sounds, sounds, marks, read) ??
    justThePart(judged, said, marks, read) ??
    changedOtherwise(judged.sounds, read, before, marks)
  );
}

/** Why another sound alone is fair for one of the word; not where the word has that sound too. */
function fairSound(wanted: string, said: string, question: Question): Fair | null {
  const { marks } = question;
  if (marks.some((m) => m.ipa === said)) return null;
  for (const [at, { ipa }] of marks.entries()) {
    const fair = ipa === wanted ? fairSwap(earOf(question), at, said) : null;
    if (fair) return fair;
  }
  return null;
}

/** A single sound was said: the one that comes, or the one that goes. */
function onlyOneOf(
  wanted: readonly string[],
  [said, ...more]: readonly string[],
  marks: readonly AskedSound[],
  read: Analysis,
): Judgement | null {
  if (said === undefined || more.length) return null;
  const [comes, was] = [wanted.includes(said), marks.some((m) => m.ipa === said)];
  if (comes && !was) return slip('other-sound', 'They said just the new sound.', [], read);
  if (was && !comes) return slip('other-sound', 'They said just the sound to leave out.', [], read);
  return null;
}

/** The part that was to be left out, and nothing else. */
function justThePart(
  { sounds, also = [] }: BySounds,
  said: Chunks,
  marks: readonly AskedSound[],
  read: Analysis,
): Judgement | null {
  const ipa = askedIpa(marks);
  const gone = [sounds, ...also].flatMap((left) => {
    if (left.length >= ipa.length) return [];
    if (same(ipa.slice(0, left.length), left)) return [marks.slice(left.length)];
    return same(ipa.slice(-left.length), left) ? [marks.slice(0, -left.length)] : [];
  });
  const heard = gone.some((part) => part.length > 1 && analyse(part, said, { apart: false }).right);
  return heard ? slip('part-only', 'They said just the part to leave out.', [], read) : null;
}

/** What was to be done to the word: the one edit that makes it what it becomes; null where it takes more than that. */
function editAsked(marks: readonly AskedSound[], wanted: readonly string[]): Fault | null {
  const { faults } = analyse(marks, [wanted], { apart: false });
  return faults.length === 1 ? sure(faults[0]) : null;
}

/**
 * What was done to a word that was to be changed: one sound too many, another place, another sound.
 * @param read what was said beside what the word becomes
 * @param before the same beside the word as it was
 */
function changedOtherwise(
  wanted: readonly string[],
  read: Analysis,
  before: Analysis,
  marks: readonly AskedSound[],
): Judgement | null {
  if (read.slip === 'not-joined' || same([...wanted].sort(), askedIpa(marks).sort())) return null;
  const [made, ...madeToo] = before.faults;
  const asked = editAsked(marks, wanted);
  if (made && !madeToo.length) {
    const meant = asked?.kind === made.kind && asked.at === made.at;
    if (meant) return slip('other-change', sure(WHY['other-change']), [], read);
    const other = made.kind === 'omitted' ? 'They left a different sound out.' : 'They changed a different sound.';
    if (asked) return slip('wrong-place', other, [], read);
  }
  if (read.faults.length === 1) return slip('changed-more', sure(WHY['changed-more']), [], read);
  return read.slip === 'part-only' || read.slip === 'last-only'
    ? null
    : slip('other-word', sure(WHY['other-word']), [], read);
}

/** Consonants together at the start or the end of the word, the one that was asked for outermost: *st* for *stick*. */
function isItsCluster(
  wanted: string,
  said: readonly string[],
  ipa: readonly string[],
  heard: readonly string[],
): boolean {
  if (said.length < 2 || said.some(isVowel)) return false;
  const starts = ipa[0] === wanted && said.every((s, i) => s === heard[i]);
  const tail = ipa.slice(-said.length);
  return starts || (said.at(-1) === wanted && said.every((s, i) => s === tail[i]));
}

/** The sounds of a word, with those that were said in a fair way as they were said: the *chr* of *train*. */
const asHeard = (said: readonly string[], ipa: readonly string[], question: Question): string[] =>
  ipa.map((sound, at) => (said[at] !== undefined && fairSwap(earOf(question), at, said[at]) ? said[at] : sound));

function oneSound(sound: string, said: Chunks, question: Question, read: Analysis): Judgement {
  const { marks } = question;
  const sounds = said.flat();
  const ipa = askedIpa(marks);
  const at = ipa.indexOf(sure(sounds[0]));
  if (isItsCluster(sound, sounds, ipa, asHeard(sounds, ipa, question)))
    return right('Right: the sound is there, with the one next to it.', 'in-cluster', read);
  if (sounds.length > 1 && sounds.includes(sound) && at >= 0 && same(ipa.slice(at, at + sounds.length), sounds))
    return slip(
      sounds.some(isVowel) ? 'part-only' : 'cluster-kept',
      sounds.some(isVowel) ? 'A bit of the word.' : KEPT_TOGETHER,
      [],
      read,
    );
  if (sounds.length > 2)
    return slip(
      'other-word',
      sounds[0] === sound && ipa[0] === sound
        ? 'A word that starts with it, not the sound itself.'
        : 'A word with the sound in it, not the sound itself.',
      [],
      read,
    );
  return slip(
    'other-sound',
    at >= 0 && sounds.length === 1 ? 'A different sound from the word.' : 'A different sound.',
    [],
    read,
  );
}

/** Where the last strong vowel begins: what stands before it is the start. */
function judgeRhyme(
  { rime, onset }: Extract<Judged, { by: 'rhyme' }>,
  said: readonly string[],
  question: Question,
): Judgement {
  const { marks, ownWay = NO_OWN_WAY } = question;
  const ear = earOf(question);
  const asked = askedIpa(marks);
  const from = asked.length - rime.length;
  if (same(said, asked)) return slip('unchanged', 'They said the same word again.');
  const alike = (wanted: readonly string[], heard: readonly string[]): boolean =>
    wanted.length === heard.length &&
    wanted.every(
      (w, i) =>
        w === heard[i] || saysFor(ownWay, w, sure(heard[i])) || fairSwap(ear, from + i, sure(heard[i])) !== null,
    );
  // The rhyme may stand at the end of a longer word: cat, acrobat.
  const tail = said.slice(-rime.length);
  const before = said.slice(0, -rime.length);
  const cut = before.findLastIndex(isVowel) + 1;
  if (alike(rime, tail))
    return same(before.slice(cut), onset)
      ? slip('unchanged', 'It’s the same word, so it doesn’t count as a rhyme.')
      : right('It rhymes.', rhymedWith(rime, tail, ownWay));
  if (said[0] === asked[0]) return slip('same-start', 'It starts the same, but it doesn’t rhyme.');
  return slip(
    'other-word',
    said.find(isVowel) === rime[0] ? 'It has the same vowel, but it doesn’t rhyme.' : 'It doesn’t rhyme.',
  );
}

/** What a rhyme was right with: nothing to note, their own way, or a fair hearing. */
function rhymedWith(rime: readonly string[], tail: readonly string[], ownWay: OwnWay): Slip | null {
  if (same(rime, tail)) return null;
  return rime.every((w, i) => w === tail[i] || saysFor(ownWay, w, sure(tail[i]))) ? 'own-way' : 'heard-closely';
}

/** Any cut into so many parts is right, as long as the word's sounds are there. */
function judgeParts(
  { count, moreToo }: Extract<Judged, { by: 'parts' }>,
  said: Chunks,
  { marks, ownWay, otherAccent, tapsT, mixed }: Question,
): Judgement {
  const joined = [said.flat()];
  const read = bestAnalysis([marks, ...(otherAccent ? [askedFor(otherAccent)] : [])], joined, {
    apart: false,
    ...(ownWay ? { ownWay } : {}),
    ...(tapsT ? { tapsT } : {}),
    ...(mixed ? { mixed } : {}),
  });
  if (!read.right) return slip(sure(read.slip), WHY[sure(read.slip)] ?? 'Not that one.', read.missed, read);
  if (said.length === count) return right('The right number of parts.', read.slip);
  if (moreToo && said.length > count) return right('Right, and in even smaller parts than you asked for.', read.slip);
  return said.length === 1
    ? slip('whole-word', 'They said the whole word in one.')
    : slip('other-count', `They made ${said.length} parts.`);
}

function judgeBegins(sound: string, first: string, question: Question): Judgement {
  const why = 'It starts with that sound. Does it fit the clue?';
  if (first === sound) return right(why);
  if (saysFor(question.ownWay ?? NO_OWN_WAY, sound, first)) return right(why, 'own-way');
  return fairSound(sound, first, question)
    ? right(why, 'heard-closely')
    : slip('other-sound', 'It starts with a different sound.');
}

/**
 * Judges what was said, as sounds of the accent in force, in the parts it was said in.
 * @example judge({ judged: { by: 'sounds', sounds: ['m', 'æ', 'p'] }, marks: askedFor(['m', 'ɒ', 'p']) }, [['m', 'æ',
 * 'p']]).outcome // 'on-own'
 */
export function judge(question: Question, said: Chunks): Judgement {
  const { judged } = question;
  const sounds = said.flat();
  if (!sounds.length) return slip('other-word', 'There’s nothing to judge.');
  switch (judged.by) {
    case 'sounds':
      return judgeSounds(judged, said, question);
    case 'rhyme':
      return judgeRhyme(judged, sounds, question);
    case 'parts':
      return judgeParts(judged, said, question);
    case 'begins':
      return judgeBegins(judged.sound, sure(sounds[0]), question);
    default:
      return slip('other-word', 'Judge this one by ear.');
  }
}

/** How an item is judged, in words. */
export const JUDGED_WORDS: Readonly<Record<Judged['by'], string>> = {
  sounds: 'these sounds, in this order',
  rhyme: 'any word that rhymes is right, real or made up',
  begins: 'any word that starts with that sound and fits the clue is right',
  choice: 'one of the words is right',
  number: 'the right number',
  parts: 'the right number of parts, wherever they split it',
  list: 'every word, in order',
  words: 'any word you can make from the sounds is right',
};

/** The chance of being right by luck alone, 0 where the answer is open. Example: one half for yes or no. */
export const luckOf = (judged: Judged): number => (judged.by === 'choice' ? 1 / judged.choices.length : 0);
