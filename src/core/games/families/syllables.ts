import {
  distinct,
  notJoined,
  numberLikely,
  slipLikely,
  unchanged,
  wholeWord,
  type LikelyAnswer,
} from '../../answers/likely';
import { ipaOf, type Word } from '../../lexicon/entry';
import { CLIPPED_SETS, isVowelKey, type Key } from '../../phonology/keys';
import { isVowel } from '../../phonology/sounds';
import { beatsOf, halvesOf } from '../../lexicon/syllables';
import { traitsOf } from '../../lexicon/traits';
import { voiceBeats } from '../../lexicon/voice-beats';
import type { Family } from '../family';
import { need, Unproved, wordOf } from '../proof';
import { shownOf } from '../marks';
import { playable, type Material } from '../material';
import { OWN_NAME } from '../spec';
import { headsAmong, type Made, type Task } from '../task';
import { restOf, senseOfRest, type Sense } from '../sense';
import type { Step } from '../step';
import { sure } from '../../sure';
import { script } from './common';

/** A sound that few people say is no beat. */
export const beatsVary = ({ contest }: Word): boolean => contest?.speaker.some((by) => by !== 'careful') ?? false;

/** Words whose beats do not vary from speaker to speaker (*fire* is one beat or two). */
const steadyBeats = (material: Material): readonly Word[] =>
  material.keep('steady beats', () => playable(material).filter((w) => !beatsVary(w)));

const ofBeats =
  (step: Step) =>
  (w: Word): boolean => {
    const n = traitsOf(w).syllables;
    return n >= (step.count ?? 1) && n <= (step.most ?? step.count ?? 9);
  };

/** Words made of two words children know. */
const compounds = (material: Material): readonly Word[] =>
  material.keep('compounds', () =>
    steadyBeats(material).filter((w) => {
      const halves = traitsOf(w).syllables === 2 ? halvesOf(w) : null;
      return (
        halves !== null &&
        halves.every(
          (half, i) =>
            material.soundsOf(sure(beatsOf(w)[i]).letters)?.join(' ') === half.join(' ') && !material.guard(half),
        )
      );
    }),
  );

const isCompoundStep = (step: Step): boolean => step.unit === 'word';
const headsOf = (step: Step, material: Material): readonly Word[] =>
  isCompoundStep(step) ? compounds(material) : steadyBeats(material).filter((w) => ofBeats(step)(w));

/** The beats as they are read aloud. */
const lettersOf = (word: Word): readonly string[] => voiceBeats(word);

const CLAP: Task = {
  id: 'clap',
  family: 'syllables',
  name: 'Clap the beats',
  asks: 'They clap a word and say how many beats it has.',
  act: 'notice',
  unit: 'syllable',
  steps: [
    { id: '2', name: '1 or 2 beats', count: 1, most: 2 },
    { id: '3', name: '2 or 3 beats', count: 2, most: 3 },
    { id: '4', name: '3 or 4 beats', count: 3, most: 4 },
  ],
  rungs: { 2: 'clap', 3: 'count', 4: 'count' },
  ownName: true,
  oneOf: () => 2,
  secondsPerTurn: 15,
  gesture: 'a clap, a pat on the knees, or a pour, for each beat',
  plain: 'Clap it: {word}. How many beats?',
  heads: headsOf,
  kinds: () => 2,
  fits: (head, kind, _theme, step) => traitsOf(head).syllables === sure(step.count) + kind,
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    if (words[0] === OWN_NAME) return ownName();
    const word = wordOf(material, words[0]);
    const parts = lettersOf(word);
    const n = traitsOf(word).syllables;
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'beats', parts, ownName: false, out: null },
      expected: String(n),
      judged: { by: 'number', right: n },
      kind: n - sure(step.count),
      slots: { word: word.word },
      likely: numberLikely(n),
      how: 'Say the whole word first. It doesn’t matter where they split it; listen for the number.',
      script: script(String(n), parts.join(' · ')),
      facts: [
        ['each beat has one vowel', beatsOf(word).length === n && beatsOf(word).every((b) => b.ipa.length > 0)],
        ['the number of beats is that of the step', ofBeats(step)(word)],
        politeBeats(word, material),
      ],
    };
  },
};

/** Clapping one’s own name: nobody but the speaker says how many beats it has. */
const ownName = (): Made => ({
  head: null,
  words: [],
  view: { kind: 'beats', parts: [], ownName: true, out: null },
  expected: 'as many claps as the name has beats',
  judged: { by: 'parts', count: 0 },
  slots: { word: 'your own name' },
  likely: [],
  how: 'Say the name as the family says it. Clap it together before the child does.',
  script: script('their name, a clap for each beat'),
  facts: [],
});

const apartSteps: readonly Step[] = [
  { id: 'compounds', name: 'two words in one', unit: 'word', count: 2 },
  { id: '2', name: '2 beats', count: 2 },
  { id: '3', name: '3 beats', count: 3 },
  { id: '4', name: '4 beats', count: 4 },
];

const politeBeats = (word: Word, material: Material): readonly [string, boolean] => [
  'no beat alone is rude',
  beatsOf(word).every((b) => !material.guard(b.ipa)),
];

const partsFact = (word: Word, step: Step, material: Material): readonly (readonly [string, boolean])[] => [
  [
    'the beats join to the word’s sounds',
    beatsOf(word)
      .flatMap((b) => b.ipa)
      .join(' ') === ipaOf(word).join(' '),
  ],
  ['the number of beats is that of the step', ofBeats(step)(word)],
  ['a compound is made of two known words', !isCompoundStep(step) || compounds(material).includes(word)],
  politeBeats(word, material),
];

const onlyPart = (word: Word, at: number, note: string, material: Material): LikelyAnswer => {
  const show = sure(lettersOf(word).at(at));
  return slipLikely(
    'part-only',
    { said: sure(beatsOf(word).at(at)).ipa, show, note, accent: word.accent },
    material.guard,
  );
};

/** The adult says the beats; the child says the word. Used by the syllable games and as a first step of blending. */
export function joinBeats(word: Word, step: Step, material: Material): Made {
  const parts = lettersOf(word);
  return {
    head: word,
    words: [shownOf(word)],
    view: { kind: 'line', spot: null, parts },
    expected: word.word,
    judged: { by: 'sounds', sounds: ipaOf(word) },
    slots: { word: word.word, parts: parts.join(' … '), sounds: parts.join(' … ') },
    how: 'Leave a clear gap between the beats, and say each one the way it sounds in the word.',
    script: script(word.word),
    likely: distinct([
      notJoined(word, parts),
      onlyPart(word, -1, 'just the last part', material),
      onlyPart(word, 0, 'just the first part', material),
    ]),
    facts: partsFact(word, step, material),
  };
}

const JOIN: Task = {
  id: 'join',
  family: 'syllables',
  name: 'Join the beats',
  opening: {
    opening: 'The watering can has poured a word out, beat by beat. Listen while I put the first one back together.',
    plain: 'I’ll say a word beat by beat. Listen while I put the first one together.',
  },
  asks: 'They hear the beats and say the word.',
  act: 'blend',
  unit: 'syllable',
  steps: apartSteps,
  rungs: { compounds: 'compounds', 2: 'join', 3: 'join', 4: 'join' },
  secondsPerTurn: 12,
  gesture: 'two fists that meet',
  plain: 'Listen: {parts}. What word is it?',
  heads: headsOf,
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => joinBeats(wordOf(material, words[0]), step, material),
};

const SPLIT: Task = {
  id: 'split',
  family: 'syllables',
  name: 'Take the beats apart',
  asks: 'They say a word beat by beat.',
  act: 'segment',
  unit: 'syllable',
  steps: apartSteps,
  rungs: { compounds: 'split', 2: 'split', 3: 'split-long', 4: 'split-long' },
  joinsAgain: true,
  secondsPerTurn: 15,
  gesture: 'a pour, or a pat, for each beat',
  plain: '{word}. Say it beat by beat.',
  heads: headsOf,
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    const parts = lettersOf(word);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'beats', parts, ownName: false, out: null },
      expected: parts.join(' · '),
      judged: { by: 'parts', count: parts.length },
      slots: { word: word.word },
      how: 'Wherever they split it is fine, as long as the number of beats is right.',
      script: script(parts.join(' · '), word.word),
      likely: distinct([wholeWord(word), onlyPart(word, 0, 'just the first part', material)]),
      facts: partsFact(word, step, material),
    };
  },
};

/** A half of a compound is a word that is known. */
const wordOrNeither = (left: readonly string[], material: Material): Sense =>
  material.knownAs(left) === undefined ? 'neither' : 'word';

/** What is left when one part goes, and the part. */
interface Cut {
  readonly left: readonly string[];
  /** What is left as a word by itself has it: the *man* of *postman*, the *dust* of *dustpan*. */
  readonly strong: readonly string[] | null;
  /** Right too: what is left with a consonant of the part that goes, *monk* for *monkey*. */
  readonly also: readonly (readonly string[])[];
  readonly gone: readonly string[];
  /** The parts in letters; the one that goes as it is read aloud. */
  readonly names: readonly string[];
  readonly sense: Sense;
}

/** Cuts a word for cue and answer alike. Parts of a compound are its words; of other words, their beats. */
function cut(word: Word, at: number, step: Step, material: Material): Cut {
  const compound = isCompoundStep(step);
  const halves = compound
    ? need(halvesOf(word), `“${word.word}” isn’t made of two words.`)
    : beatsOf(word).map((b) => b.ipa);
  if (at < 0 || at >= halves.length) throw new Unproved(`“${word.word}” has no part ${at}.`);
  const left = halves.filter((_, i) => i !== at).flat();
  const strong = halves.length === 2 ? asOwnWord(word, 1 - at, material) : null;
  const gone = sure(halves[at]);
  const letters = compound ? beatsOf(word).map((b) => b.letters) : lettersOf(word);
  return {
    left,
    strong,
    also: [...(strong ? [left] : []), ...(at === halves.length - 1 ? withItsStart(left, gone) : [])],
    gone,
    names: letters.map((name, i) => (i === at && !compound ? (aloud(gone, material) ?? name) : name)),
    sense:
      compound || strong
        ? wordOrNeither(strong ?? left, material)
        : senseOfRest(word, (segment) => sure(word.segments[segment]).syllable !== at, material),
  };
}

/** Where a beat ends is a matter of ear: what is left may keep the consonants that begin the part that goes. */
function withItsStart(left: readonly string[], gone: readonly string[]): string[][] {
  const vowel = gone.findIndex(isVowel);
  return Array.from({ length: Math.max(vowel, 0) }, (_, i) => [...left, ...gone.slice(0, i + 1)]);
}

/** The end of *happy* by itself is the vowel of *bee*. */
const fullVowel = (sounds: readonly string[], { soundsOf }: Material): readonly string[] => {
  const long = soundsOf('bee')?.at(-1);
  return long !== undefined && sounds.at(-1) === 'i' ? sounds.with(-1, long) : sounds;
};

/**
 * A beat in letters that are read right by themselves: a word, or a respelling read at sight; null where there are
 * none. An adult stops at *spigh*.
 */
function aloud(sounds: readonly string[], material: Material): string | null {
  const full = fullVowel(sounds, material);
  if (full.length < 2) return null;
  const respelt = material.context.respell(full);
  return material.context.spellingOf(full) ?? (respelt?.endsWith('igh') ? null : respelt);
}

/**
 * A beat that is a word of its own, spelt and said as such but for its weak vowel, or for a consonant that goes beside
 * the other part: *man*, *dust*. Null where it is no such word.
 */
function asOwnWord(word: Word, beat: number, material: Material): readonly string[] | null {
  const { ipa, letters } = sure(beatsOf(word)[beat]);
  const own = material.soundsOf(letters);
  const seam = word.segments.some((s) => s.seam && s.syllable === 1);
  if (!own || !seam) return null;
  if (own.length === ipa.length + 1 && own.slice(0, -1).every((s, i) => s === ipa[i]) && !isVowel(sure(own.at(-1))))
    return own;
  if (own.length !== ipa.length) return null;
  const differ = own.filter((s, i) => s !== ipa[i]);
  return differ.length === 1 && own.every((s, i) => s === ipa[i] || (isVowel(s) && WEAK.has(sure(ipa[i]))))
    ? own
    : null;
}

/** Vowels of a beat without stress. */
const WEAK: ReadonlySet<string> = new Set(['ə', 'ɪ', 'ɚ', 'i', 'ʊ']);

/** A beat a child would say by itself as it is in the word: a clear vowel, and not a clipped one at its end. */
function clearBeat(word: Word, beat: number): boolean {
  const segments = word.segments.filter((s) => s.syllable === beat);
  const vowel = segments.findIndex((s) => isVowelKey(s.key));
  const { key, stress } = sure(segments[vowel]);
  if (stress === 'none' && WEAK_SETS.has(key)) return false;
  return !(CLIPPED_SETS.has(key) && vowel === segments.length - 1);
}
const WEAK_SETS: ReadonlySet<Key> = new Set<Key>(['commA', 'lettER', 'KIT', 'EL', 'EM', 'EN', 'FOOT']);

/** A word with an ending that the bank writes as one: *talking*, *teacher*. */
function isForm(name: string, { soundsOf }: Material): boolean {
  const stem = /^(.{3,})(ing|ed|es|er|est)$/.exec(name)?.[1];
  return stem !== undefined && [stem, `${stem}e`, stem.slice(0, -1)].some((base) => soundsOf(base) !== undefined);
}

/** An ending is no beat to play with: *boxes* without *es* is one box, and *talking* is not *tal* and *king*. */
function hasEnding({ segments, ...word }: Word, material: Material): boolean {
  const begins = segments.findIndex((s) => s.syllable === 1);
  const seam = segments.findIndex((s, i) => i > 0 && s.seam);
  if (seam < 0) return isForm(word.word, material);
  return seam !== begins || !material.soundsOf(sure(beatsOf({ segments, ...word })[1]).letters);
}

/** A word that can be printed is left, or where the step takes made-up ones a silly word for certain. */
const fitsSense = (said: readonly string[], sense: Sense, step: Step, material: Material): boolean =>
  said.length > 1 &&
  (material.context.spellingOf(said) !== undefined ||
    (step.result === 'nonsense' && sense === 'silly' && material.context.respell(said) !== null));

/** Two words that make one belong to the steps of two words. */
const twoWords = (word: Word): boolean => halvesOf(word) !== null;

/** Whether a beat may be left out: what is left and what goes are kind, clear, and known for what they are. */
function mayDrop(word: Word, step: Step, material: Material): boolean {
  const at = 1 - atOf(step);
  const { left, strong, gone, sense } = cut(word, atOf(step), step, material);
  if ([left, strong ?? [], gone].some((sounds) => material.guard(sounds))) return false;
  if (isCompoundStep(step)) return material.knownAs(strong ?? left) !== undefined;
  const heard = clearBeat(word, at) && clearBeat(word, atOf(step)) && aloud(gone, material) !== null;
  return heard && !twoWords(word) && !hasEnding(word, material) && fitsSense(left, sense, step, material);
}

const DROP: Task = {
  id: 'drop-beat',
  family: 'syllables',
  name: 'Leave a beat out',
  opening: {
    opening: 'The watering can pours once for each beat, but now it keeps one back. Watch me do the first one.',
    plain: 'We’re leaving a beat out. Watch me do the first one.',
  },
  asks: 'They say a word without one of its beats.',
  act: 'leave-out',
  unit: 'syllable',
  steps: [
    { id: 'compound-last', name: 'two words in one, without the last', unit: 'word', count: 2, place: 'first' },
    { id: 'compound-first', name: 'two words in one, without the first', unit: 'word', count: 2, place: 'last' },
    { id: 'last', name: '2 beats, without the last', count: 2, place: 'first', result: 'nonsense' },
    { id: 'first', name: '2 beats, without the first', count: 2, place: 'last', result: 'nonsense' },
  ],
  rungs: { 'compound-last': 'drop', 'compound-first': 'drop', last: 'drop-beat', first: 'drop-beat' },
  secondsPerTurn: 12,
  gesture: 'hold up two fists, then hide one',
  plain: '{word}. Say it again, but don’t say “{part}”.',
  ...headsAmong(headsOf, mayDrop),
  build: ({ head, step }) => ({ words: [head.word], at: atOf(step) }),
  make: ({ words, at }, step, material) => {
    const word = wordOf(material, words[0]);
    const { left, strong, also, gone, names, sense } = cut(word, need(at, 'Which beat goes.'), step, material);
    const said = strong ?? left;
    const rest = restOf(said, sense, material, isCompoundStep(step) ? names.find((_, i) => i !== at) : undefined);
    const part = sure(names[sure(at)]);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'beats', parts: names, ownName: false, out: sure(at) },
      expected: rest.expected,
      judged: { by: 'sounds', sounds: said, ...(also.length ? { also } : {}) },
      slots: { word: word.word, part, left: rest.name },
      how: ['Have them say the whole word back first.', rest.about].filter(Boolean).join(' '),
      script: script(rest.name),
      likely: distinct([
        rest.likely,
        unchanged(word, 'the whole word'),
        ...(gone.join() === left.join()
          ? []
          : [
              slipLikely(
                'part-only',
                { said: gone, show: part, note: 'the part to leave out', accent: word.accent },
                material.guard,
              ),
            ]),
      ]),
      facts: [
        ['what is left is the word without that part', left.length + gone.length === word.sounds.length],
        ['what is left is not rude', !material.guard(left)],
        [
          'what is left is a word, where the step says so',
          step.result === 'nonsense' || material.knownAs(said) !== undefined,
        ],
        ['the part is the one the step asks for', at === atOf(step)],
      ],
    };
  },
};

/** The step names what stays first; the other part goes. */
function atOf(step: Step): number {
  return step.place === 'last' ? 0 : 1;
}

export const SYLLABLES: Family = {
  id: 'syllables',
  name: 'Syllables',
  frame: {
    name: 'one pour for each beat',
    opening: 'The watering can pours once for each beat in a word: watch me do the first one.',
    plain: 'Words have beats we can clap. Watch me do the first one.',
  },
  reminder: 'Say the whole word before you clap it.',
  atHome: {
    played: 'We clapped the beats in words.',
    tries: 'Clap the beats in everyone’s name, one clap for each beat.',
    withWords: true,
  },
  ladder: {
    rungs: [
      { id: 'compounds', name: 'two words', does: 'join two words into one' },
      // Clapping along may be done with the others, and a number may be guessed: it shows nothing else.
      { id: 'clap', name: 'clap 1, 2', does: 'clap words of 1 or 2 beats', carries: [] },
      { id: 'join', name: 'join', does: 'join the beats of a word' },
      { id: 'split', name: 'take apart', does: 'take a word of 2 beats apart' },
      { id: 'drop', name: 'leave one out', does: 'leave out half of a joined-up word, as in snowman' },
      { id: 'count', name: 'clap 3, 4', does: 'clap words of 3 or 4 beats', carries: ['clap'], was: ['clap-long'] },
      {
        id: 'split-long',
        name: 'long ones',
        does: 'take words of 3 or 4 beats apart',
        carries: ['compounds', 'join', 'split'],
      },
      {
        id: 'drop-beat',
        name: 'leave a beat',
        does: 'leave one beat out of a word',
        carries: ['compounds', 'join', 'split', 'drop'],
      },
    ],
  },
  tasks: [CLAP, JOIN, SPLIT, DROP],
};
