import type { OwnWay } from '../answers/own-way';
import type { AgeBand } from '../evidence/age-band';
import type { UnitOrder } from '../evidence/unit-order';

/**
 * What an experienced practitioner would do next, written down before the code that proposes it. Common practice, no
 * source: each is one person's judgement, in our own scenario, with why.
 */
export interface JudgementCase {
  readonly name: string;
  readonly seen: CaseSeen;
  readonly want: CaseWant;
}

/** Words of one kind, and what the child did with each of them. */
export type CaseAnswers = readonly [
  task: 'blending' | 'segmenting' | 'blending/onset-rime',
  words: string,
  /** `right`, `silent`, `whole word`, `not joined`, a way of speaking or a gap of testing/speakers. */
  does: string,
  daysAgo: number,
  /** The answer came with help in the end. */
  helped?: true,
];

/** One pebble check: say it, push a pebble a sound, tell the two words apart. */
export interface CaseCheck {
  readonly word: string;
  /** Index of the sound it is about. */
  readonly at: number;
  readonly says: 'word' | 'slip' | 'unsure';
  readonly pebbles: boolean;
  /** Of six; absent where it was not asked. */
  readonly told?: number;
  readonly daysAgo: number;
}

export interface CaseSeen {
  /**
   * `blending 3-clip 1111 5` is four right alone, five days ago; commas apart. A standing may follow, who marked
   * (`by=AB`), how many children played (`x6`) and how often a help was noted (`said-again=3`).
   */
  readonly runs?: string;
  readonly answers?: readonly CaseAnswers[];
  readonly checks?: readonly CaseCheck[];
  readonly ownWay?: Partial<OwnWay>;
  readonly order?: UnitOrder;
  /** `rhyme/say`, where an adult chose it. */
  readonly chosen?: string;
  /** Runs of the other children of the group, on the same days. */
  readonly others?: readonly string[];
  /** How old the group is. */
  readonly band?: AgeBand;
}

export interface CaseWant {
  /** What may stand first: `up blending/4-end`, `pattern closing-first`; any of them. */
  readonly first?: readonly string[];
  /** What must be among the two. */
  readonly among?: readonly string[];
  /** No pattern, no step up and none back: nothing is advised beyond going on. */
  readonly nothing?: true;
  /** Part of what must not be among the two. */
  readonly never?: readonly string[];
  /** The slip that a pebble check would settle. */
  readonly settle?: string;
  /** What is said beside it. */
  readonly says?: CaseSays;
  /** What is not said. */
  readonly silent?: CaseSays;
  /** A step and the state it must have, or must not: `blending/3-clip secure`. */
  readonly state?: string;
  readonly notState?: string;
  /** Part of the reason of what is next. */
  readonly reason?: RegExp;
  /** What is next can be answered by pointing. */
  readonly pointed?: true;
}

type CaseSays = 'talk' | 'point' | 'room' | 'words-they-can-say' | 'alone' | 'together' | 'hearing';

const ENDS = 'went tent lamp camp sink belt milk pink ant bank';
const STARTS = 'frog crawl tree truck drip grape bread broom clap plane black clean';
const WITH_S = 'snail stick stone star stool stop smile snow spot swing';
const CAN_SAY = (word: string, at: number, daysAgo: number): CaseCheck => ({
  word,
  at,
  says: 'word',
  pebbles: false,
  daysAgo,
});

/** The ten of the design come first. */
export const JUDGEMENT_CASES: readonly JudgementCase[] = [
  {
    name: '“went” taken apart as w-e-t again and again by a child who says “went”: a pattern, to point at first',
    seen: {
      answers: [
        ['segmenting', ENDS, 'first of an end', 4],
        ['segmenting', 'sun map leg net', 'right', 4],
      ],
      checks: [CAN_SAY('went', 2, 3), CAN_SAY('lamp', 2, 3), CAN_SAY('belt', 2, 3)],
    },
    want: { first: ['pattern closing-first'] },
  },
  {
    name: 'the same from a child who says “wet” for “went”: words they can say, and no advice',
    seen: {
      answers: [
        ['segmenting', ENDS, 'first of an end', 4],
        ['segmenting', 'sun map leg net', 'right', 4],
      ],
      checks: [{ word: 'went', at: 2, says: 'slip', pebbles: false, told: 6, daysAgo: 3 }],
    },
    want: { nothing: true, says: 'words-they-can-say' },
  },
  {
    name: '“cap” taken apart as t-a-p by a child who says t for k: right, so move on',
    seen: {
      answers: [
        ['segmenting', 'cap cup coat cake cat cot', 'fronting', 6],
        ['segmenting', 'car cow key king cook kite', 'fronting', 3],
      ],
      ownWay: { swaps: [{ asked: 'k', says: 't' }] },
    },
    want: { first: ['up segmenting/4-end'], never: ['pattern', 'back'] },
  },
  {
    name: 'cannot tell “fog” from “frog”, on two days: speak with the family; clusters pause',
    seen: {
      answers: [
        ['blending', STARTS, 'clusters made short', 8],
        ['blending', 'sun map leg net fish', 'right', 8],
      ],
      checks: [
        { word: 'frog', at: 1, says: 'slip', pebbles: false, told: 3, daysAgo: 7 },
        { word: 'bread', at: 1, says: 'slip', pebbles: false, told: 2, daysAgo: 2 },
      ],
    },
    want: { nothing: true, says: 'talk', never: ['4-start', '4-end', 'longer'] },
  },
  {
    name: 'rhyme pairs, seven of eight on one day: choose a rhyme instead, where guessing helps less',
    seen: { runs: 'rhyme-pairs far 11101111 2' },
    want: { first: ['up rhyme/match-2', 'up rhyme/match-3', 'stay rhyme/same'] },
  },
  {
    name: 'new to English, no reply ten times of twelve: pointing games, and nothing claimed',
    seen: { runs: 'blending 2 --1--- 4, blending 2 ----1- 2' },
    want: { nothing: true, says: 'point' },
  },
  {
    name: 'Ottilie takes five sounds apart',
    seen: { runs: 'segmenting longer 11101 6, segmenting longer 1101 3, segmenting 4-start 11111 8' },
    want: { first: ['stay segmenting/longer', 'up segmenting/two-beats'] },
  },
  {
    name: 'everyone missed the last sounds today: suspect the room, and nobody moves',
    seen: {
      runs: 'blending 3-clip 1111 9, blending 3-clip 1111 5, blending 3-clip 0000 0',
      others: [
        'blending 3-clip 1111 9, blending 3-clip 1110 5, blending 3-clip 0000 0',
        'blending 3-clip 1111 9, blending 3-clip 1111 5, blending 3-clip 0h00 0',
        'blending 3-clip 1101 9, blending 3-clip 1111 5, blending 3-clip 0000 0',
        'blending 3-clip 1111 9, blending 3-clip 1011 5, blending 3-clip 000h 0',
      ],
    },
    want: { never: ['pattern', 'back'], says: 'room' },
  },
  {
    name: 'asked for the sounds of “man”, says m-an six times of eight: hold each sound on to the next',
    seen: {
      answers: [
        ['segmenting', 'man sun leg moon fish net', 'the end kept whole', 3],
        ['segmenting', 'map sock', 'right', 3],
        ['segmenting', 'man nut rain ship', 'the end kept whole', 1],
      ],
    },
    want: { among: ['pattern keeps-rime'] },
  },
  {
    name: 'three sounds secure, one of three after five weeks: two easy ones, and look again',
    seen: { runs: 'blending 3-clip 11111 42, blending 3-clip 11111 38, blending 3-clip 100 0' },
    want: { first: ['again blending/3-clip'], never: ['back'] },
  },

  // Where a child stands on the steps.
  {
    name: 'five of six on long words: on with them, and nowhere near clapping',
    seen: { runs: 'blending 4-end 11111 9, blending 4-start 1111 6, blending longer 110111 1' },
    want: { first: ['stay blending/longer', 'up blending/two-beats'], never: ['back', 'clap'] },
  },
  { name: 'nothing seen: the largest unit', seen: {}, want: { first: ['begin syllables/compounds'] } },
  {
    name: 'nothing seen, straight to single sounds',
    seen: { order: 'sounds-first' },
    want: { first: ['begin first-sounds/same'] },
  },
  {
    name: 'three sounds secure on two days: a pair at the end',
    seen: { runs: 'blending 3-clip 11111 6, blending 3-clip 11111 3' },
    want: { first: ['up blending/4-end'] },
  },
  {
    name: 'a pair at the end secure: a pair at the start',
    seen: { runs: 'blending 4-end 11111 6, blending 4-end 11111 3' },
    want: { first: ['up blending/4-start'] },
  },
  {
    name: 'pairs at the start came to nothing, three sounds are secure: an easier one again',
    seen: { runs: 'blending 3-clip 11111 9, blending 3-clip 11111 6, blending 4-start 00000 2' },
    want: { first: ['back blending/3-clip', 'back blending/4-end', 'stay blending/4-end'] },
  },
  {
    name: 'one lucky answer above a secure step: hardly begun, so go on there',
    seen: { runs: 'blending 3-clip 11111 6, blending 3-clip 11111 3, blending 4-end 1 1' },
    want: { first: ['stay blending/4-end'] },
  },
  {
    name: 'six and six of twelve: the same step with other words',
    seen: { runs: 'segmenting 3-held 101010 6, segmenting 3-held 010101 2' },
    want: { first: ['stay segmenting/3-held'], nothing: true },
  },
  {
    name: 'all with help, two days: the same with a little less help',
    seen: { runs: 'blending 3-held hhhh 4, blending 3-held hhhh 1' },
    want: { first: ['stay blending/3-held', 'back blending/2', 'back blending/onset-rime'] },
  },
  {
    name: 'only after a model: turns of their own',
    seen: { runs: 'blending 3-held 1111 2 after-a-model' },
    want: { never: ['up blending', 'back'] },
  },
  {
    name: 'said the whole word when asked for its sounds: start and rest',
    seen: { answers: [['segmenting', 'sun map leg net fish moon rain nut', 'whole word', 2]] },
    want: { first: ['back segmenting/onset-rime', 'back segmenting/2'] },
  },
  {
    name: 'said the sounds back and did not join them: stretched words',
    seen: { answers: [['blending', 'sun map leg net fish moon rain nut', 'not joined', 2]] },
    want: {
      first: ['back blending/stretched', 'back blending/onset-rime', 'back blending/pictures', 'back blending/2'],
    },
  },
  {
    name: 'yes or no, three of three: nothing to go by yet',
    seen: { runs: 'rhyme-pairs far 111 1' },
    want: { first: ['stay rhyme/same', 'up rhyme/match-2', 'up rhyme/match-3'] },
  },
  {
    name: 'a bad day after twenty good answers: not back',
    seen: { runs: 'segmenting 3-clip 1111111111 8, segmenting 3-clip 1111111111 4, segmenting 3-clip 0000 0' },
    want: { first: ['again segmenting/3-clip', 'stay segmenting/3-clip'], never: ['back'] },
  },
  {
    name: 'secure ten weeks ago and not seen since: look again',
    seen: { runs: 'blending 3-clip 11111 75, blending 3-clip 11111 70' },
    want: { first: ['again blending/3-clip', 'up blending/4-end'], never: ['back'] },
  },
  {
    name: 'a long step comes off on two days, shorter ones were never asked: nothing goes back to them',
    seen: { runs: 'blending longer 1111 6, blending longer 1111 3' },
    want: { first: ['stay blending/longer', 'up blending/two-beats'], never: ['back'] },
  },
  {
    name: 'two of four with two sounds, the first time: go on there',
    seen: { runs: 'blending 2 1100 1' },
    want: { first: ['stay blending/2'], nothing: true },
  },
  {
    name: 'how many sounds, five of six: luck is not ruled out',
    seen: { runs: 'how-many 2-3 111011 1' },
    want: { never: ['up', 'back'] },
  },
  {
    name: 'points to the right picture eight times of nine on two days: stretched words',
    seen: { runs: 'blend-pictures 3-far 11110 6, blend-pictures 3-far 1111 3' },
    want: { first: ['up blending/stretched'] },
  },
  {
    name: 'first sounds to hold, secure: short ones',
    seen: { runs: 'first-sound hold 11111 6, first-sound hold 11111 3' },
    want: { first: ['up first-sounds/say-clip'] },
  },
  {
    name: 'clapping comes off, the first of all: on with it',
    seen: { runs: 'clap 2 11111111 6, clap 2 11111111 3, clap 2 1111111 1' },
    want: {
      first: ['up syllables/join', 'stay syllables/clap', 'begin syllables/compounds', 'stay syllables/compounds'],
    },
  },
  {
    name: 'the very first step does not come: stay, and help them along',
    seen: { runs: 'join compounds 00000 2' },
    want: { first: ['stay syllables/compounds'] },
  },
  {
    name: 'swaps first sounds, secure: a whole start',
    seen: { runs: 'swap first 11111 6, swap first 11111 3' },
    want: { first: ['up swapping/onset'] },
  },
  {
    name: 'a check-in alone moves nobody',
    seen: { runs: 'blending 3-held 111 2 check-in' },
    want: { nothing: true },
  },
  {
    name: 'everyone missed a step that is new to them all: too hard, and not the room',
    seen: {
      runs: 'blending 3-clip 11111 9, blending 3-clip 11111 5, blending longer 00000 0',
      others: ['blending longer 00000 0', 'blending longer 00000 0', 'blending longer 0000 0'],
    },
    want: { first: ['back blending/3-clip', 'up blending/4-end', 'back blending/4-end'] },
  },
  {
    name: 'two children alone missed it: not the room',
    seen: {
      runs: 'blending 3-clip 1111 9, blending 3-clip 0000 0',
      others: ['blending 3-clip 1111 9, blending 3-clip 0000 0'],
    },
    want: { first: ['again blending/3-clip', 'stay blending/3-clip', 'back blending/3-held', 'back blending/2'] },
  },

  // Speech.
  {
    name: 'says t for k, nobody has set it, taking apart: one for one is right',
    seen: {
      answers: [
        ['segmenting', 'cap cup coat cake cat cot', 'fronting', 6],
        ['segmenting', 'car cow key king cook kite', 'fronting', 3],
      ],
    },
    want: { never: ['pattern', 'back'], first: ['up segmenting/4-end', 'stay segmenting/3-clip'] },
  },
  {
    name: 'says “tap” for “cap” when joining, nobody has set it: settle it first',
    seen: { answers: [['blending', 'cap cup coat cake cat cot', 'fronting', 3]] },
    want: { nothing: true, settle: 'k first' },
  },
  {
    name: 'the same, and the pebbles were right: credit, and on',
    seen: {
      answers: [
        ['blending', 'cap cup coat cake cat cot', 'fronting', 6],
        ['blending', 'car cow key king cook kite', 'fronting', 3],
      ],
      checks: [{ word: 'cap', at: 0, says: 'slip', pebbles: true, daysAgo: 2 }],
    },
    want: { first: ['up blending/4-end'], never: ['pattern', 'back'] },
  },
  {
    name: 'f-w-o-g for “frog”, all through: right',
    seen: { answers: [['segmenting', STARTS, 'gliding', 3]] },
    want: { never: ['pattern', 'back'] },
  },
  {
    name: 'a lisp when joining: settle it',
    seen: { answers: [['blending', 'sun sock seed sail soap', 'lisp', 3]] },
    want: { nothing: true, settle: 's first' },
  },
  {
    name: 'f for th, set on the child: right, and on',
    seen: {
      answers: [
        ['blending', 'thumb sun map leg net moon', 'f for th', 6],
        ['blending', 'moth fish rain nut sock ship', 'f for th', 3],
      ],
      ownWay: { swaps: [{ asked: 'θ', says: 'f' }] },
    },
    want: { first: ['up blending/3-clip'], never: ['pattern'] },
  },
  {
    name: '“nail” for “snail”, and the pebbles were right: credit',
    seen: {
      answers: [['blending', WITH_S, 's of a start', 3]],
      checks: [
        { word: 'snail', at: 0, says: 'slip', pebbles: true, daysAgo: 2 },
        { word: 'stick', at: 0, says: 'slip', pebbles: true, daysAgo: 2 },
      ],
    },
    want: { never: ['pattern', 'back'] },
  },
  {
    name: '“ca” for “cat”, and the pebbles were right: credit',
    seen: {
      answers: [['blending', 'cat map boat cup duck leaf', 'ends left off', 3]],
      checks: [{ word: 'cat', at: 2, says: 'slip', pebbles: true, daysAgo: 2 }],
    },
    want: { never: ['pattern', 'back'] },
  },
  {
    name: 'ends left off, not settled: no advice from it',
    seen: { answers: [['blending', 'cat map boat cup duck leaf net pot', 'ends left off', 3]] },
    want: { nothing: true },
  },
  {
    name: 'a weak beat left off: no advice from it',
    seen: { answers: [['blending', 'banana tomato potato', 'weak beats left off', 3]] },
    want: { nothing: true },
  },
  {
    name: 'drops s from clusters, set on the child, pebbles not played: no advance from it',
    seen: { answers: [['blending', WITH_S, 's of a start', 3]], ownWay: { drops: ['s'] } },
    want: { nothing: true },
  },
  {
    name: 'the same, and the pebbles were right: it counts',
    seen: {
      answers: [
        ['blending', WITH_S, 's of a start', 6],
        ['blending', WITH_S, 's of a start', 3],
      ],
      ownWay: { drops: ['s'] },
      checks: ['snail', 'stick', 'spot', 'swing'].map((w) => ({
        word: w,
        at: 0,
        says: 'slip',
        pebbles: true,
        daysAgo: 2,
      })),
    },
    want: { first: ['up blending/longer', 'stay blending/4-start'], never: ['pattern', 'back'] },
  },
  {
    name: 'a check that was right forty days ago: new slips are open again',
    seen: {
      answers: [['blending', STARTS, 'second of a start', 2]],
      checks: [{ word: 'frog', at: 1, says: 'slip', pebbles: true, daysAgo: 40 }],
    },
    want: { nothing: true, settle: 'r opening after' },
  },
  {
    name: 'could not tell how the child says it: still open',
    seen: {
      answers: [['blending', STARTS, 'second of a start', 2]],
      checks: [{ word: 'frog', at: 1, says: 'unsure', pebbles: false, daysAgo: 1 }],
    },
    want: { nothing: true },
  },
  {
    name: 'pebbles missed for two words, both said well: one more word before anything is said',
    seen: {
      answers: [['segmenting', STARTS, 'second of a start', 2]],
      checks: [CAN_SAY('frog', 1, 1), CAN_SAY('drip', 1, 1)],
    },
    want: { nothing: true, settle: 'r opening after' },
  },
  {
    name: 'cannot tell “fog” from “frog”, one day so far: nothing is said yet',
    seen: {
      answers: [['blending', STARTS, 'clusters made short', 3]],
      checks: [{ word: 'frog', at: 1, says: 'slip', pebbles: false, told: 3, daysAgo: 2 }],
    },
    want: { nothing: true },
  },
  {
    name: '“fog” at first and “frog” with help: open, and no advice from it',
    seen: {
      answers: [
        ['blending', 'frog tree truck drip grape bread', 'second of a start', 3, true],
        ['blending', 'frog tree truck drip', 'second of a start', 1, true],
      ],
    },
    want: { never: ['pattern', 'back'] },
  },

  // Patterns.
  {
    name: 'the second of a start is lost, and all three words were said well: a pattern',
    seen: {
      answers: [['segmenting', STARTS, 'second of a start', 4]],
      checks: [CAN_SAY('frog', 1, 3), CAN_SAY('drip', 1, 3), CAN_SAY('clap', 1, 3)],
    },
    want: { first: ['pattern opening-second'] },
  },
  {
    name: 'four chances only: too few to call it anything',
    seen: {
      answers: [
        ['segmenting', 'went lamp belt pink', 'first of an end', 4],
        ['segmenting', 'sun map leg net moon rain', 'right', 4],
      ],
      checks: [CAN_SAY('went', 2, 3), CAN_SAY('lamp', 2, 3), CAN_SAY('belt', 2, 3)],
    },
    want: { never: ['pattern'] },
  },
  {
    name: 'three of twenty ends slipped: nobody’s pattern',
    seen: {
      answers: [
        ['segmenting', 'went lamp belt', 'first of an end', 4],
        [
          'segmenting',
          'tent camp sink milk pink ant bank wink ramp melt send bend land hunt think munch pump',
          'right',
          4,
        ],
      ],
      checks: [CAN_SAY('went', 2, 3), CAN_SAY('lamp', 2, 3), CAN_SAY('belt', 2, 3)],
    },
    want: { never: ['pattern', 'back'] },
  },
  {
    name: '“han” for “hand”, as most people say it: not a pattern',
    seen: {
      answers: [['segmenting', 'hand sand pond band land bend send cold', 'last of an end, d too', 4]],
      checks: [CAN_SAY('hand', 3, 3), CAN_SAY('sand', 3, 3), CAN_SAY('pond', 3, 3)],
    },
    want: { never: ['pattern'] },
  },
  {
    name: 'the start kept together, eight of ten: a pattern',
    seen: {
      answers: [
        ['segmenting', 'frog tree truck drip grape bread clap plane', 'the start kept whole', 3],
        ['segmenting', 'black broom', 'right', 3],
      ],
    },
    want: { among: ['pattern keeps-cluster'] },
  },
  {
    name: 'a pattern, and since then eight fresh words of eight: it holds, and is left alone',
    seen: {
      answers: [
        ['segmenting', ENDS, 'first of an end', 20],
        ['segmenting', 'wink ramp melt hunt think munch pump shelf', 'right', 2],
      ],
      checks: [CAN_SAY('went', 2, 19), CAN_SAY('lamp', 2, 19), CAN_SAY('belt', 2, 19)],
    },
    want: { never: ['pattern'] },
  },
  {
    name: 'an adult’s own choice comes first, and the pattern is still told',
    seen: {
      answers: [['segmenting', ENDS, 'first of an end', 4]],
      checks: [CAN_SAY('went', 2, 3), CAN_SAY('lamp', 2, 3), CAN_SAY('belt', 2, 3)],
      chosen: 'rhyme/say',
    },
    want: { first: ['chosen rhyme/say'], among: ['pattern closing-first'] },
  },
];
