import { readFileSync } from 'node:fs';
import { accentOf, ownOf, type AccentId } from '../phonology/accents';
import { realiseSegments } from '../phonology/realise';
import { parseTranscription } from '../phonology/transcription';
import type { Item } from '../games/item';
import type { Step } from '../games/step';
import { sure } from '../sure';

/**
 * A second opinion on every item, worked out from the transcription lines of the word bank and nothing that generators
 * use: no neighbour graph, no rhyme classes, no traits. Each judge gives a fault in words, or null.
 */

interface Raw {
  readonly line: string;
  readonly own: Readonly<Record<string, string>>;
  readonly sentence: string;
  readonly meaning: string;
  readonly picture: boolean;
  readonly doubt: boolean;
  /** gb, us, local or nothing. */
  readonly where: string;
  readonly former: boolean;
}

const raws = new Map<string, Raw>();
const rowsOf = (file: string): string[] => readFileSync(file, 'utf8').split('\n').slice(1).filter(Boolean);
const both = [
  ...rowsOf('lexicon/former-words.tsv').map((row) => ({ row, former: true })),
  ...rowsOf('lexicon/words.tsv').map((row) => ({ row, former: false })),
];
for (const { row, former } of both) {
  const [word = '', line = '', , , meaning = '', sentence = '', own = '', picture = '', , , marks = '', where = ''] =
    row.split('\t');
  raws.set(word, {
    line,
    own: Object.fromEntries(
      own
        .split(';')
        .filter(Boolean)
        .map((p) => p.split('=') as [string, string]),
    ),
    sentence,
    meaning,
    picture: picture !== '',
    doubt: /homograph|two-ways/.test(marks),
    where,
    former,
  });
}

interface Heard {
  readonly ipa: readonly string[];
  readonly vowel: readonly boolean[];
  readonly beats: number;
  readonly rime: string;
  readonly onset: string;
  readonly beat: readonly number[];
}
const cache = new Map<string, Heard>();

/** A word as an accent says it; undefined for one that is not in the bank. */
function hear(word: string, accent: AccentId): Heard | undefined {
  const key = `${accent} ${word}`;
  const known = cache.get(key);
  if (known) return known;
  const raw = raws.get(word);
  if (!raw) return undefined;
  const line = ownOf(raw.own, accent) ?? raw.line;
  const segments = parseTranscription(line);
  const sounds = realiseSegments(segments, accentOf(accent));
  const ipa = sounds.map((s) => s.ipa);
  const vowel = sounds.map((s) => s.vowel);
  // The last vowel that is stressed at all; a word of one beat has one.
  let from = -1;
  sounds.forEach((s, i) => {
    if (s.vowel && (sure(segments[s.segment]).stress !== 'none' || new Set(segments.map((x) => x.syllable)).size === 1))
      from = i;
  });
  if (from < 0) from = vowel.indexOf(true);
  while (from > 0 && vowel[from - 1] && sure(sounds[from - 1]).syllable === sure(sounds[from]).syllable) from -= 1;
  let start = from;
  while (start > 0 && !vowel[start - 1] && sure(sounds[start - 1]).syllable === sure(sounds[from]).syllable) start -= 1;
  const made: Heard = {
    ipa,
    vowel,
    beats: new Set(segments.map((s) => s.syllable)).size,
    rime: ipa.slice(from).join(' '),
    onset: ipa.slice(start, from).join(' '),
    beat: sounds.map((s) => s.syllable),
  };
  cache.set(key, made);
  return made;
}

const rhyme = (a: Heard, b: Heard): boolean => a.rime === b.rime && a.onset !== b.onset;
const same = (a: readonly string[], b: readonly string[]): boolean => a.join(' ') === b.join(' ');

/** Every word or form and its sounds, for knowing a real word when one is left. */
const wordOfSounds = new Map<AccentId, Set<string>>();
function isWord(ipa: readonly string[], accent: AccentId): boolean {
  if (!wordOfSounds.has(accent))
    wordOfSounds.set(accent, new Set([...raws.keys()].map((w) => sure(hear(w, accent)).ipa.join(' '))));
  return sure(wordOfSounds.get(accent)).has(ipa.join(' '));
}

type Judge = (item: Item, step: Step, accent: AccentId) => string | null;
const all = (...faults: (readonly [boolean, string])[]): string | null => faults.find(([holds]) => !holds)?.[1] ?? null;
const heads = (item: Item, accent: AccentId): Heard[] => item.words.map((w) => sure(hear(w.word, accent)));
const chosen = (item: Item): string =>
  item.judged.by === 'choice' ? sure(item.judged.choices[item.judged.right]) : '';
const sounds = (item: Item): readonly string[] => (item.judged.by === 'sounds' ? item.judged.sounds : []);
const inStep = (n: number, step: Step): boolean =>
  step.count === undefined || (n >= step.count && n <= (step.most ?? step.count));
/** Sounds the item names, from its key alone. */
const named = (item: Item): string[] => [...item.key.matchAll(/\/([^/ ]+)\//g)].map((m) => sure(m[1]));
const placeNamed = (item: Item): number => Number(/@(\d+)/.exec(item.key)?.[1] ?? NaN);
const apartBy = (a: readonly string[], b: readonly string[]): number =>
  a.length === b.length ? a.filter((x, i) => x !== b[i]).length : NaN;
const longerBy = (short: readonly string[], long: readonly string[]): number[] =>
  long.flatMap((_, i) =>
    same(
      long.filter((_x, j) => j !== i),
      short,
    )
      ? [i]
      : [],
  );
const clustered = (h: Heard, at: number): boolean =>
  [at - 1, at + 1].some((i) => i >= 0 && i < h.ipa.length && !h.vowel[i] && !h.vowel[at] && h.beat[i] === h.beat[at]);

const rhymeFoil = (a: Heard, b: Heard, foil: string | undefined): boolean => {
  const coda = (h: Heard): string => h.rime.split(' ').slice(1).join(' ');
  const vowel = (h: Heard): string => sure(h.rime.split(' ')[0]);
  if (foil === 'same-ends') return a.onset === b.onset && coda(a) === coda(b) && vowel(a) !== vowel(b);
  if (foil === 'same-vowel') return vowel(a) === vowel(b) && a.ipa[0] !== b.ipa[0] && a.rime !== b.rime;
  if (foil === 'same-start') return a.ipa[0] === b.ipa[0] && vowel(a) !== vowel(b);
  return a.ipa[0] !== b.ipa[0] && vowel(a) !== vowel(b) && a.ipa.at(-1) !== b.ipa.at(-1);
};

const oddOne =
  (of: (h: Heard) => string): Judge =>
  (item, step, accent) => {
    const row = heads(item, accent);
    const counts = row.map((h) => row.filter((o) => of(o) === of(h)).length);
    const odd = counts.indexOf(1);
    return all(
      [row.length === step.choices, 'as many words as the step says'],
      [
        counts.filter((n) => n === 1).length === 1 &&
          counts.filter((n) => n === row.length - 1).length === row.length - 1,
        'just one is odd',
      ],
      [item.words[odd]?.word === chosen(item), 'the odd one is the answer'],
    );
  };

const HELD = new Set('f v s z ʃ ʒ θ ð m n ŋ l r'.split(' '));

/** What kind of word it is, from its consonants before and after the vowel. */
function kindOf({ ipa, vowel, beats: n }: Heard): string {
  if (n > 1 || vowel.filter(Boolean).length > 1) return 'two-beats';
  const at = vowel.indexOf(true);
  // An r that the vowel takes with it is no consonant of its own.
  const after = ipa.slice(at + 1).filter((s, i) => !(i === 0 && s === 'r')).length;
  const kinds = `${at > 1 ? 'CC' : 'C'.repeat(at)}V${after > 1 ? 'CC' : 'C'.repeat(after)}`;
  const short = { V: '2', CV: '2', VC: '2', CVC: HELD.has(sure(ipa[0])) ? '3-held' : '3-clip' }[kinds];
  if (short) return short;
  if (at + after > 3) return 'longer';
  return at > 1 ? '4-start' : '4-end';
}

const ofKind = (item: Item, { unit, shape }: Step, accent: AccentId): readonly [boolean, string] => [
  unit !== undefined || shape === undefined || kindOf(sure(heads(item, accent)[0])) === shape,
  'the kind of word of the step',
];

const blend: Judge = (item, step, accent) => {
  const [h] = heads(item, accent);
  return all(
    [same(sounds(item), sure(h).ipa), 'the answer is the word'],
    [step.unit !== undefined || step.shape !== undefined || inStep(item.count, step), 'the number of sounds'],
    [step.unit !== 'syllable' || sure(h).beats === 2, 'the number of beats'],
    ofKind(item, step, accent),
  );
};
const whole: Judge = (item, step, accent) =>
  all(
    [
      same(
        item.marks.map((m) => m.ipa),
        sure(heads(item, accent)[0]).ipa,
      ),
      'its sounds',
    ],
    ofKind(item, step, accent),
  );
/** One of the row alone has the sound that is told, at that end. */
const hears =
  (at: number): Judge =>
  (item, step, accent) => {
    const row = heads(item, accent);
    const target = sure(named(item)[0]);
    return all(
      [row.length === step.choices, 'as many choices'],
      [row.filter((h) => h.ipa.includes(target)).length === 1, 'one alone has the sound'],
      [row.findIndex((h) => h.ipa.at(at) === target) === item.kind, 'it is where it is asked for'],
      [chosen(item) === item.words[item.kind]?.word, 'it is the answer'],
    );
  };
const sayAt =
  (at: (h: Heard) => number): Judge =>
  (item, _step, accent) => {
    const h = sure(heads(item, accent)[0]);
    return all([same(sounds(item), [sure(h.ipa[at(h)])]), 'the sound at that place']);
  };
/** True where a change at this index is at the place a step asks for. */
function atPlace({ place }: Step, at: number, last: number): boolean {
  const places: Readonly<Record<string, boolean>> = {
    first: at === 0,
    last: at === last,
    middle: at > 0 && at < last,
    ends: at === 0 || at === last,
  };
  return places[place ?? ''] ?? true;
}

const changed: Judge = (item, step, accent) => {
  const [from, to] = heads(item, accent).map((h) => h.ipa);
  const [a, b] = [sure(from), sure(to)];
  const [shorter, longer] = a.length < b.length ? [a, b] : [b, a];
  const grown = a.length !== b.length && longerBy(shorter, longer).length > 0;
  const one = apartBy(a, b) === 1;
  const at = a.findIndex((s, i) => s !== b[i]);
  return all(
    [one || (step.grow === true && grown), 'just one sound changed'],
    [!one || atPlace(step, at, a.length - 1), 'at the place of the step'],
    [same(item.judged.by === 'sounds' ? sounds(item) : b, b), 'the answer is the new word'],
  );
};
const backwards: Judge = (item, _step, accent) => {
  const [from, to] = heads(item, accent);
  return all(
    [
      same([...sure(from).ipa].sort(), [...sure(to).ipa].sort()) && !same(sure(from).ipa, sure(to).ipa),
      'the same sounds in another order',
    ],
    [same(sounds(item), sure(to).ipa), 'the answer is the new word'],
  );
};
const list: Judge = (item) => {
  const entries = item.view.kind === 'list' ? item.view.entries : [];
  const wanted = item.task === 'recall-back' ? [...entries].reverse() : entries;
  return all(
    [item.judged.by === 'list' && same(item.judged.entries, wanted), 'the list in its order'],
    [new Set(entries).size === entries.length, 'nothing twice'],
  );
};
/** The number of beats an item says its word has; undefined where it names none. */
function beatsAsked({ judged }: Item): number | undefined {
  if (judged.by === 'number') return judged.right;
  return judged.by === 'parts' ? judged.count : undefined;
}
const beats: Judge = (item, step, accent) => {
  const h = sure(heads(item, accent)[0]);
  const n = beatsAsked(item) ?? h.beats;
  return all([n === h.beats, 'the number of beats'], [inStep(h.beats, step), 'the beats of the step']);
};

function placeName(at: number, length: number): string {
  if (at === 0) return 'start';
  return at === length - 1 ? 'end' : 'middle';
}

type InPlace = (at: number, consonant: (at: number) => boolean, sounds: readonly string[]) => boolean;
/** Where the sound is that one of two twins has and the other has not. */
const PLACES: Readonly<Record<string, InPlace>> = {
  last: (at, consonant, sounds) => at === sounds.length - 1 && !consonant(at - 1),
  'end-last': (at, consonant, sounds) => at === sounds.length - 1 && consonant(at - 1),
  'end-first': (at, consonant) => consonant(at + 1) && !consonant(at - 1),
  's-start': (at, consonant, sounds) => at === 0 && sounds[0] === 's' && consonant(1),
  start: (at, consonant, sounds) => at > 0 && consonant(at - 1) && ['r', 'l', 'w', 'j'].includes(sounds[at] ?? ''),
};

/** True where sounds are the start of a word, or its end. */
const isAnEnd = ({ ipa }: Heard, part: readonly string[], start: boolean): boolean =>
  same(start ? ipa.slice(0, part.length) : ipa.slice(-part.length), part);

/** A judge for each task; a task without one fails the tests. */
export const JUDGES: Readonly<Record<string, Judge>> = {
  'count-words': (item, step) => {
    const n = sure(item.slots['sentence'], 'a sentence').trim().split(/\s+/).length;
    return all(
      [item.judged.by === 'number' && item.judged.right === n, 'the number of words'],
      [inStep(n, step), 'the words of the step'],
    );
  },
  clap: beats,
  split: beats,
  join: (item, step, accent) =>
    all(
      [same(sounds(item), sure(heads(item, accent)[0]).ipa), 'the answer is the word'],
      [inStep(sure(heads(item, accent)[0]).beats, step), 'the beats of the step'],
    ),
  'drop-beat': (item, step, accent) => {
    const h = sure(heads(item, accent)[0]);
    const said = sounds(item);
    // A weak beat that is a word of its own is asked for as that word: its end is in the sounds beside it.
    const also = item.judged.by === 'sounds' ? (item.judged.also ?? []) : [];
    const left = [said, ...also].find((row) => isAnEnd(h, row, step.place === 'first')) ?? said;
    const ends = isAnEnd(h, left, step.place === 'first');
    return all(
      [ends && left.length < h.ipa.length, 'what is left is the start or the end of the word'],
      [left === said || isWord(said, accent), 'its clear form is a word'],
      [left.some((s) => h.ipa.some((x, i) => x === s && h.vowel[i])), 'what is left has a vowel'],
      [
        item.expected.includes('made-up') || step.result !== undefined || isWord(left, accent) || left.length > 0,
        'a word is left',
      ],
    );
  },
  'rhyme-pairs': (item, step, accent) => {
    const [a, b] = heads(item, accent);
    return all(
      [(chosen(item) === 'yes') === rhyme(sure(a), sure(b)), 'yes where they rhyme'],
      [chosen(item) === 'yes' || rhymeFoil(sure(a), sure(b), step.foil), 'the kind of foil'],
      [!same(sure(a).ipa, sure(b).ipa), 'two words'],
    );
  },
  'rhyme-odd': oddOne((h) => h.rime),
  'rhyme-match': (item, step, accent) => {
    const [first, ...choices] = heads(item, accent);
    const right = choices.map((c) => rhyme(sure(first), c));
    return all(
      [right.filter(Boolean).length === 1, 'just one rhymes'],
      [sure(item.words[right.indexOf(true) + 1]).word === chosen(item), 'it is the answer'],
      [choices.length === step.choices, 'as many choices'],
      [choices.every((c, i) => right[i] || rhymeFoil(sure(first), c, step.foil)), 'the kind of foil'],
    );
  },
  'rhyme-say': (item, _step, accent) => {
    const h = sure(heads(item, accent)[0]);
    return all(
      [item.expected.split(', ').every((w) => rhyme(h, sure(hear(w, accent)))), 'every word given rhymes'],
      [
        item.likely
          .filter((l) => l.slip === 'same-start')
          .every((l) => l.said.split('+')[0] === h.ipa[0] && !l.said.replaceAll('+', ' ').endsWith(h.rime)),
        'the slip begins alike and does not rhyme',
      ],
    );
  },
  'first-sound': sayAt(() => 0),
  'last-sound': sayAt((h) => h.ipa.length - 1),
  'middle-sound': (item, _step, accent) => {
    const h = sure(heads(item, accent)[0]);
    return all(
      [h.ipa.length === 3 && h.vowel[1] === true && !h.vowel[0] && !h.vowel[2], 'consonant, vowel, consonant'],
      [same(sounds(item), [sure(h.ipa[1])]), 'its vowel'],
    );
  },
  'shared-sound': (item, _step, accent) => {
    const row = heads(item, accent);
    return all(
      [row.length === 3 && row.every((h) => h.ipa[0] === sounds(item)[0]), 'all begin so'],
      [row.every((a, i) => row.every((b, j) => i === j || !rhyme(a, b))), 'none rhyme'],
    );
  },
  clue: (item, _step, accent) =>
    all(
      [item.judged.by === 'begins' && item.judged.sound === sure(heads(item, accent)[0]).ipa[0], 'its first sound'],
      [!sure(raws.get(item.word)).meaning.includes(item.word), 'the clue keeps the word'],
    ),
  thrice: (item, _step, accent) => {
    const { ipa } = sure(heads(item, accent)[0]);
    return all([same(sounds(item), [sure(ipa[0]), sure(ipa[0]), sure(ipa[0]), ...ipa]), 'three times, then the word']);
  },
  'same-first': (item, _step, accent) => {
    const [a, b] = heads(item, accent);
    return all(
      [(chosen(item) === 'yes') === (sure(a).ipa[0] === sure(b).ipa[0]), 'yes where they begin alike'],
      [!rhyme(sure(a), sure(b)), 'they do not rhyme'],
    );
  },
  sort: (item, _step, accent) =>
    all([
      (chosen(item) === 'yes') === (sure(heads(item, accent)[0]).ipa[0] === named(item)[0]),
      'yes where it begins so',
    ]),
  'sound-odd': oddOne((h) => sure(h.ipa[0])),
  anywhere: (item, _step, accent) =>
    all([
      (chosen(item) === 'yes') === sure(heads(item, accent)[0]).ipa.includes(sure(named(item)[0])),
      'yes where it is in it',
    ]),
  where: (item, _step, accent) => {
    const { ipa } = sure(heads(item, accent)[0]);
    const at = ipa.flatMap((s, i) => (s === named(item)[0] ? [i] : []));
    return all(
      [at.length === 1, 'it is there once'],
      [chosen(item) === placeName(sure(at[0]), ipa.length), 'its place'],
    );
  },
  catch: (item, step, accent) => {
    const target = sure(named(item)[0]);
    const words = item.view.kind === 'story' ? item.view.sentences.flat() : [];
    const bare = (t: string): string => t.toLowerCase().replace(/[^a-z]/g, '');
    // Words of the bank are judged by their sounds; of the rest, none may be a hit by its letter alone.
    const wrong = words.find((w) => {
      const h = hear(bare(w.text), accent);
      return h && (h.ipa[0] === target) !== w.hit;
    });
    return all(
      [!wrong, `“${wrong?.text}” is judged rightly`],
      [item.view.kind === 'story' && item.view.sentences.length === step.count, 'as many sentences'],
      [words.filter((w) => w.hit).length >= 2, 'something to catch'],
    );
  },
  story: (item, step, accent) => {
    const target = sure(named(item)[0]);
    const words = item.view.kind === 'story' ? item.view.sentences.flat() : [];
    const bare = (t: string): string => t.toLowerCase().replace(/[^a-z]/g, '');
    const has = ({ ipa }: { readonly ipa: readonly string[] }): boolean =>
      step.id === 'starts' ? ipa[0] === target : ipa.includes(target);
    const heard = words.flatMap((w) => {
      const h = hear(bare(w.text), accent);
      return h ? [{ ...w, has: has(h) }] : [];
    });
    const wrong = heard.find((w) => w.hit && !w.has);
    return all(
      [!wrong, `“${wrong?.text}” is judged rightly`],
      [words.filter((w) => w.hit).length >= 5, 'five to catch'],
      [heard.filter((w) => w.has && !w.hit).every((w) => w.text.length <= 6), 'only little words are passed over'],
    );
  },
  'hear-first': hears(0),
  'hear-last': hears(-1),
  blending: blend,
  segmenting: whole,
  twins: (item, step, accent) => {
    const [long, short] = heads(item, accent);
    const { ipa, vowel } = sure(long);
    const consonant = (at: number): boolean => vowel[at] === false;
    const at = ipa.findIndex(
      (_, i) => same(ipa.toSpliced(i, 1), sure(short).ipa) && PLACES[step.id]?.(i, consonant, ipa) === true,
    );
    return all(
      [at >= 0, 'a sound more in the place of the step'],
      [chosen(item) === item.expected, 'the one that is said'],
    );
  },
  'blend-pictures': (item, step, accent) =>
    all(
      [item.words.every((w) => sure(raws.get(w.word)).picture), 'every word has a picture'],
      [chosen(item) === item.word, 'the picture is the word’s'],
      [inStep(item.count, step), 'the number of sounds'],
      [
        item.words.every((w, i) =>
          item.words.every(
            (o, j) =>
              i === j ||
              (!rhyme(sure(hear(w.word, accent)), sure(hear(o.word, accent))) &&
                !same(sure(hear(w.word, accent)).ipa, sure(hear(o.word, accent)).ipa)),
          ),
        ),
        'no two alike',
      ],
    ),
  'ask-sound': (item, step, accent) =>
    all(
      [same(sounds(item), [sure(sure(heads(item, accent)[0]).ipa[placeNamed(item)])]), 'the sound at that place'],
      [inStep(item.count, step), 'the number of sounds'],
    ),
  'how-many': (item, step) =>
    all(
      [
        item.judged.by === 'number' && item.judged.right === item.marks.filter((m) => !m.fused).length,
        'the number of units',
      ],
      [inStep(item.count, step), 'the number of the step'],
    ),
  'leave-out': (item, step, accent) => {
    const h = sure(heads(item, accent)[0]);
    const at = placeNamed(item);
    const left = h.ipa.filter((_, i) => i !== at);
    const place = step.place === 'cluster' ? clustered(h, at) : atPlace(step, at, h.ipa.length - 1);
    return all(
      [same(sounds(item), left), 'what is left'],
      [place, 'the place of the step'],
      [step.result !== 'nonsense' || !isWord(left, accent), 'no word is left'],
      [(step.result === 'nonsense') === item.expected.includes('(made-up)'), 'a made-up word is labelled so'],
    );
  },
  add: (item, step, accent) => {
    // The plural of a thing is no entry of its own.
    const from = sure(hear(sure(item.words[0]).word, accent)).ipa;
    const to = sure(item.words[1]).marks.map((m) => m.ipa);
    const at = longerBy(from, to);
    return all(
      [at.length > 0, 'one sound was added'],
      [same(sounds(item), to), 'the answer is the longer word'],
      [step.place !== 'first' || at.includes(0), 'at the start'],
      [(step.place !== 'last' && step.place !== 'ends') || at.includes(to.length - 1), 'at the end'],
    );
  },
  swap: (item, step, accent) => {
    if (step.place !== 'onset') return changed(item, step, accent);
    const [from, to] = heads(item, accent);
    return all(
      [sure(from).rime === sure(to).rime && sure(from).onset !== sure(to).onset, 'the rest is the same'],
      [!(apartBy(sure(from).ipa, sure(to).ipa) === 1), 'more than one sound'],
    );
  },
  'which-changed': (item, step, accent) => {
    const [from, to] = heads(item, accent);
    const at = sure(from).ipa.findIndex((s, i) => s !== sure(to).ipa[i]);
    return (
      changed(item, { ...step, place: 'any' }, accent) ??
      all([chosen(item) === ['first', 'middle', 'last'][at], 'the place that changed'])
    );
  },
  reorder: backwards,
  chain: changed,
  hunt: (item) => {
    const handful = named(item);
    const words = item.view.kind === 'hunt' ? item.view.words : [];
    return all(
      [words.length >= 3, 'enough to find'],
      [new Set(words.map((w) => w.word)).size === words.length, 'no word twice'],
      [handful.length >= 3, 'a handful'],
    );
  },
  'echo-sounds': (item, step) => all([named(item).length === step.count, 'as many sounds']),
  'echo-words': list,
  recall: list,
  'recall-back': list,
};

/** The sounds of a hunt's word must all be in the handful, each as often as it is needed. */
export function huntFault(item: Item, accent: AccentId, rude: (ipa: readonly string[]) => boolean): string | null {
  const handful = named(item);
  const words = item.view.kind === 'hunt' ? item.view.words : [];
  const makes = (ipa: readonly string[]): boolean =>
    ipa.every((s) => ipa.filter((x) => x === s).length <= handful.filter((x) => x === s).length);
  const wrong = words.find((w) => {
    const h = hear(w.word, accent);
    return h && !makes(h.ipa);
  });
  if (wrong) return `“${wrong.word}” cannot be made`;
  // Every plain word of the bank that fits is on the list, unless another that sounds alike stands for it.
  const listed = new Set(words.flatMap((w) => hear(w.word, accent)?.ipa.join(' ') ?? []));
  const missing = [...raws].find(
    ([word, raw]) =>
      !raw.doubt &&
      !raw.former &&
      (raw.where === '' || raw.where === accentOf(accent).country) &&
      !rude(sure(hear(word, accent)).ipa) &&
      makes(sure(hear(word, accent)).ipa) &&
      !listed.has(sure(hear(word, accent)).ipa.join(' ')),
  );
  return missing ? `“${missing[0]}” is missing` : null;
}
