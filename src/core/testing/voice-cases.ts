import type { CaseSeen, CaseWant } from './judgement-cases';

/**
 * What an experienced practitioner would do next, and would say, after a break, with slips nobody can place yet, in a
 * loud room, with a three-year-old, with a silent child, and beside another adult. Written down before the code that
 * says it; common practice, no source.
 */
interface VoiceCase {
  readonly name: string;
  readonly seen: CaseSeen;
  readonly want: CaseWant;
}

const of = (name: string, seen: CaseSeen, want: CaseWant): VoiceCase => ({ name, seen, want });

/** Held in two sessions, three days apart; the last so many days ago. */
const held = (task: string, step: string, ago: number): string =>
  `${task} ${step} 1111 ${ago + 3}, ${task} ${step} 11111 ${ago}`;

/** Steps of pairs and of three to choose from hold by more answers: every second one may be luck. */
const held2 = (task: string, step: string, ago: number): string =>
  [9, 6, 3, 0].map((more) => `${task} ${step} 11111111 ${ago + more}`).join(', ');

const POT = 'blending 3-clip';
const STARTS = 'frog crawl tree truck drip grape bread broom clap plane black clean';
const EASY = 'sun map leg net fish';
const PAUSED = ['4-start', '4-end', 'longer'];

const AFTER_A_BREAK: readonly VoiceCase[] = [
  of(
    'held, and not seen for five weeks: look again',
    { runs: held('blending', '3-clip', 35) },
    {
      first: ['again blending/3-clip'],
      state: 'blending/3-clip secure',
    },
  ),
  of(
    'the same after sixteen weeks: it still says that it held',
    { runs: held('blending', '3-clip', 112) },
    {
      first: ['again blending/3-clip'],
      state: 'blending/3-clip secure',
    },
  ),
  of(
    'the same after a year',
    { runs: held('blending', '3-clip', 365) },
    {
      first: ['again blending/3-clip'],
      state: 'blending/3-clip secure',
    },
  ),
  of(
    'held, and the next step begun, six weeks ago: look again at what held',
    {
      runs: `${held('blending', '3-clip', 45)}, blending 4-end 101 42`,
    },
    { first: ['again blending/3-clip'] },
  ),
  of(
    'looked at again yesterday, four of four: on from there',
    {
      runs: `${held('blending', '3-clip', 50)}, ${POT} 1111 1`,
    },
    { first: ['up blending/4-end'] },
  ),
  of(
    'looked at again yesterday, one of four: stay with it, and no second look',
    {
      runs: `${held('blending', '3-clip', 50)}, ${POT} 0010 1`,
    },
    { first: ['stay blending/3-clip', 'back blending/3-held'], never: ['again', 'up'] },
  ),
  of('held two weeks ago: up', { runs: held('blending', '3-clip', 14) }, { first: ['up blending/4-end'] }),
  of(
    'held three weeks and a day ago: look again',
    { runs: held('blending', '3-clip', 22) },
    {
      first: ['again blending/3-clip'],
    },
  ),
  of(
    'nearly all right on one day, eight weeks ago, nothing held: the same step, not up',
    { runs: `${POT} 111110 56` },
    {
      first: ['stay blending/3-clip', 'again blending/3-clip'],
      never: ['up'],
    },
  ),
  of('not yet before the summer: the same or an easier one', { runs: `${POT} 0000 70` }, { never: ['up', 'again'] }),
  of(
    'rhyme held ten weeks ago, blending played last week: go on with blending',
    {
      runs: `${held2('rhyme-pairs', 'far', 70)}, ${POT} 1011 6`,
    },
    { first: ['stay blending/3-clip'] },
  ),
  of(
    'two skills held before the summer: one look, at what was played last',
    {
      runs: `${held2('rhyme-pairs', 'far', 80)}, ${held('blending', '2', 63)}`,
    },
    { first: ['again blending/2'] },
  ),
];

const cannotSay = (daysAgo: number) => ({ word: 'frog', at: 1, says: 'slip', pebbles: false, daysAgo }) as const;

const OPEN_SLIPS: readonly VoiceCase[] = [
  of(
    'twelve starts made short, nothing checked: the check comes next',
    {
      answers: [['blending', STARTS, 'clusters made short', 4]],
    },
    { first: ['check'] },
  ),
  of(
    'four starts made short: too few to ask for it first',
    {
      answers: [
        ['blending', 'frog crawl tree truck', 'clusters made short', 4],
        ['blending', EASY, 'right', 3],
      ],
    },
    { never: ['check'] },
  ),
  of(
    'two starts said and ten open, on two days: not secure',
    {
      answers: [
        ['blending', 'frog crawl', 'right', 6],
        ['blending', 'tree truck drip grape bread', 'clusters made short', 6],
        ['blending', 'broom clap plane black clean', 'clusters made short', 3],
      ],
    },
    { notState: 'blending/4-start secure' },
  ),
  of(
    'eight right and six open: not secure while they may be misses',
    {
      answers: [
        ['blending', 'frog crawl tree truck', 'right', 6],
        ['blending', 'drip grape bread', 'clusters made short', 6],
        ['blending', 'broom clap plane black', 'right', 3],
        ['blending', 'clean brush green', 'clusters made short', 3],
      ],
    },
    { notState: 'blending/4-start secure' },
  ),
  of(
    'twenty-four right and one open: secure all the same',
    {
      answers: [
        ['blending', STARTS, 'right', 9],
        ['blending', STARTS, 'right', 6],
        ['blending', 'green', 'clusters made short', 3],
      ],
    },
    { state: 'blending/4-start secure' },
  ),
  of(
    'ten open and nothing else: not “not yet”',
    {
      answers: [['blending', 'frog crawl tree truck drip grape bread broom clap plane', 'clusters made short', 4]],
    },
    { notState: 'blending/4-start not-yet' },
  ),
  of(
    'eight plain misses and two open: not yet, whatever the two were',
    {
      answers: [
        ['blending', 'frog crawl tree truck drip grape bread broom', 'not joined', 4],
        ['blending', 'clap plane', 'clusters made short', 4],
      ],
    },
    { state: 'blending/4-start not-yet' },
  ),
  of(
    'checked, and every pebble right: nothing more to check',
    {
      answers: [['blending', 'frog crawl tree truck drip grape', 'clusters made short', 4]],
      checks: ['frog', 'crawl', 'tree', 'drip'].map((word) => ({
        word,
        at: 1,
        says: 'slip' as const,
        pebbles: true,
        daysAgo: 3,
      })),
    },
    { never: ['pattern'] },
  ),
  of(
    'hears the two words apart and cannot say it: words they can say, no second check',
    {
      answers: [['blending', STARTS, 'second of a start', 4]],
      checks: [{ ...cannotSay(3), told: 6 }],
    },
    { never: ['check r opening', 'pattern'], says: 'words-they-can-say' },
  ),
  of(
    'open slips of ten weeks ago: nobody checks those',
    {
      answers: [['blending', STARTS, 'clusters made short', 70]],
    },
    { never: ['check'] },
  ),
  of(
    'three open at the start and three at the end: too few of each',
    {
      answers: [
        ['blending', 'frog crawl tree', 'clusters made short', 4],
        ['blending', 'went tent lamp', 'clusters made short', 4],
        ['blending', EASY, 'right', 4],
      ],
    },
    { never: ['check'] },
  ),
  of(
    'cannot tell the words apart on two days: talk, and no check, and clusters wait',
    {
      answers: [
        ['blending', STARTS, 'clusters made short', 8],
        ['blending', EASY, 'right', 8],
      ],
      checks: [
        { ...cannotSay(7), told: 3 },
        { ...cannotSay(2), told: 2 },
      ],
    },
    { never: PAUSED, says: 'talk' },
  ),
];

const WELL = `${POT} 1111 9 by=AB`;
const BEFORE = `${POT} 11011 12 by=AB, ${WELL}`;

const LOUD_ROOM: readonly VoiceCase[] = [
  of(
    'everyone missed what each could do: the room, and nobody moves',
    {
      runs: `${BEFORE}, ${POT} 0000 0 by=AB`,
      others: [`${WELL}, ${POT} 0000 0 by=AB`, `${WELL}, ${POT} 0001 0 by=AB`],
    },
    { says: 'room', never: ['back'] },
  ),
  of(
    'everyone was helped at once: that is the adult, not the room',
    {
      runs: `${BEFORE}, ${POT} hhhh 0 by=AB`,
      others: [`${WELL}, ${POT} hhhh 0 by=AB`, `${WELL}, ${POT} hhhh 0 by=AB`],
    },
    { silent: 'room' },
  ),
  of(
    'mostly helped, a miss each: still not the room',
    {
      runs: `${BEFORE}, ${POT} hhh0 0 by=AB`,
      others: [`${WELL}, ${POT} hhh0 0 by=AB`, `${WELL}, ${POT} hhh1 0 by=AB`],
    },
    { silent: 'room' },
  ),
  of(
    'another adult led, and everyone missed: that may be the adult',
    {
      runs: `${BEFORE}, ${POT} 0000 0 by=CD`,
      others: [`${WELL}, ${POT} 0000 0 by=CD`, `${WELL}, ${POT} 0000 0 by=CD`],
    },
    { silent: 'room' },
  ),
  of(
    'one help among the misses: still the room',
    {
      runs: `${BEFORE}, ${POT} 0h00 0 by=AB`,
      others: [`${WELL}, ${POT} 0000 0 by=AB`, `${WELL}, ${POT} 000h 0 by=AB`],
    },
    { says: 'room' },
  ),
  of(
    'everyone was silent: that is no missing',
    {
      runs: `${BEFORE}, ${POT} ---- 0 by=AB`,
      others: [`${WELL}, ${POT} ---- 0 by=AB`, `${WELL}, ${POT} ---- 0 by=AB`],
    },
    { silent: 'room' },
  ),
  of(
    'two children are too few to blame the room',
    {
      runs: `${BEFORE}, ${POT} 0000 0 by=AB`,
      others: [`${WELL}, ${POT} 0000 0 by=AB`],
    },
    { silent: 'room' },
  ),
  of(
    'nobody noted who marked: the room',
    {
      runs: `${POT} 1111 9, ${POT} 0000 0`,
      others: [`${POT} 1111 9, ${POT} 0000 0`, `${POT} 1111 9, ${POT} 0000 0`],
    },
    { says: 'room' },
  ),
];

const YOUNG: readonly VoiceCase[] = [
  of('three years old, nothing seen: beats', { band: 'nursery' }, { first: ['begin syllables/compounds'] }),
  of(
    'three years old, start and rest joined: no single sounds yet',
    {
      runs: held('blending', 'onset-rime', 3),
      band: 'nursery',
    },
    { never: ['blending/2', 'blending/3', 'segmenting/2'] },
  ),
  of(
    'four years old, the same: two sounds',
    { runs: held('blending', 'onset-rime', 3), band: 'reception' },
    {
      first: ['up blending/2'],
    },
  ),
  of(
    'three years old, no age said: two sounds',
    { runs: held('blending', 'onset-rime', 3) },
    {
      first: ['up blending/2'],
    },
  ),
  of(
    'three years old and already blending three: go on, and say that it is early',
    {
      runs: `${POT} 1101 4, ${POT} 1111 2`,
      band: 'nursery',
    },
    { first: ['stay blending/3-clip', 'up blending/4-end'], reason: /early/u },
  ),
  of(
    'three years old, two sounds came to nothing: something else',
    {
      runs: `${held('blending', 'onset-rime', 6)}, blending 2 0000 2`,
      band: 'nursery',
    },
    { never: ['blending/2', 'blending/3'] },
  ),
  of(
    'three years old, words split into start and rest: no single sounds yet',
    {
      runs: held('segmenting', 'onset-rime', 3),
      band: 'nursery',
    },
    { never: ['segmenting/2', 'segmenting/3', 'blending/2', 'blending/3'] },
  ),
  of(
    'three years old, the adult chose two sounds: the adult’s choice stands',
    {
      runs: held('segmenting', 'onset-rime', 3),
      band: 'nursery',
      chosen: 'segmenting/2',
    },
    { first: ['chosen segmenting/2'] },
  ),
];

const SILENT: readonly VoiceCase[] = [
  of(
    'no reply ten times of twelve: a game to point in',
    { runs: 'blending 2 --1--- 4, blending 2 ----1- 2' },
    {
      says: 'point',
      pointed: true,
      never: ['segmenting', 'blending/2'],
    },
  ),
  of(
    'may point, nothing seen: a game to point in, not clapping',
    { ownWay: { access: ['points'] } },
    {
      pointed: true,
      never: ['syllables'],
    },
  ),
  of(
    'may point, and hears whether words rhyme: choose the rhyme',
    {
      runs: held2('rhyme-pairs', 'far', 3),
      ownWay: { access: ['points'] },
    },
    { first: ['up rhyme/match-2'], pointed: true },
  ),
  of(
    'may point, and blends three: pictures',
    { runs: held('blending', '3-clip', 3), ownWay: { access: ['points'] } },
    {
      pointed: true,
    },
  ),
  of(
    'silent among six, and answers alone: play with just this child',
    {
      runs: `${POT} ---- 8 x6, ${POT} ---1 6 x6, ${POT} 1101 4 x1, ${POT} 1110 2 x1`,
    },
    { says: 'alone', silent: 'point' },
  ),
  of(
    'silent among six and silent alone: pointing',
    {
      runs: `${POT} ---- 8 x6, ${POT} ---- 6 x6, ${POT} ---- 4 x1, ${POT} ---- 2 x1`,
    },
    { says: 'point', silent: 'alone' },
  ),
  of('answers among six: nothing is said', { runs: `${POT} 1101 6 x6, ${POT} 1-11 3 x6` }, { silent: 'point' }),
  of(
    'silent six weeks ago, answers now',
    { runs: `${POT} ------ 42, ${POT} 1101 4, ${POT} 1110 2` },
    {
      silent: 'point',
    },
  ),
];

const TWO_ADULTS: readonly VoiceCase[] = [
  of(
    'one marks it all right, the other all wrong: play four together before anything moves',
    {
      runs: `${POT} 1111 8 by=AB, ${POT} 1111 6 by=AB, ${POT} 0000 4 by=CD, ${POT} 0000 2 by=CD`,
    },
    { says: 'together', first: ['together blending/3-clip'] },
  ),
  of(
    'both much alike: nothing is said',
    {
      runs: `${POT} 1110 8 by=AB, ${POT} 1101 6 by=AB, ${POT} 1011 4 by=CD, ${POT} 0111 2 by=CD`,
    },
    { silent: 'together' },
  ),
  of(
    'one on an easier step, the other on a harder one: that is the step',
    {
      runs: `blending 2 11111111 6 by=AB, blending 4-end 00000 2 by=CD`,
    },
    { silent: 'together' },
  ),
  of(
    'three answers of the second adult are too few',
    {
      runs: `${POT} 1111 8 by=AB, ${POT} 1111 6 by=AB, ${POT} 000 2 by=CD`,
    },
    { silent: 'together' },
  ),
];

/** Help of one kind nearly every time, over more than three weeks. */
const weeksOf = (help: string): string =>
  `${AGAIN} hhh1 24 ${help}=3, ${AGAIN} hh1 15 ${help}=2, ${AGAIN} hhh 8 ${help}=3, ${AGAIN} hh1 2 ${help}=2`;
const AGAIN = 'segmenting 3-held';
const HEARING: readonly VoiceCase[] = [
  of(
    'over three weeks mostly right only after hearing it again: ask about hearing',
    {
      runs: weeksOf('said-again'),
    },
    { says: 'hearing' },
  ),
  of(
    'the same with a hearing aid on: it is known',
    {
      runs: weeksOf('said-again'),
      ownWay: { access: ['aid'] },
    },
    { silent: 'hearing' },
  ),
  of(
    'the same within one week: a cold, perhaps',
    {
      runs: `${AGAIN} hhh1 6 said-again=3, ${AGAIN} hhh 4 said-again=3, ${AGAIN} hhh 2 said-again=3`,
    },
    { silent: 'hearing' },
  ),
  of(
    'right after it was said more slowly: that is practice',
    {
      runs: weeksOf('slower'),
    },
    { silent: 'hearing' },
  ),
];

const ONE_VOICE: readonly VoiceCase[] = [
  of(
    'a pattern is next: nothing beside it answers the same gap another way',
    {
      answers: [
        ['segmenting', 'went tent lamp camp sink belt milk pink ant bank', 'first of an end', 4],
        ['segmenting', 'sun map leg net', 'right', 4],
      ],
      checks: ['went', 'lamp', 'belt'].map((word) => ({
        word,
        at: 2,
        says: 'word' as const,
        pebbles: false,
        daysAgo: 3,
      })),
    },
    { first: ['pattern closing-first'], never: ['back segmenting', 'segmenting/3', 'segmenting/2'] },
  ),
  of(
    'takes five sounds apart: joining two words is no choice for her',
    {
      runs: 'segmenting 4-start 11111 8, segmenting longer 11101 6, segmenting longer 1101 3',
    },
    { never: ['syllables/compounds'] },
  ),
  of(
    'one skill under way: the other choice is one that was begun too',
    {
      runs: `${held('blending', '2', 3)}, clap 2 110 8`,
    },
    { first: ['up blending/3-held'] },
  ),
  of(
    'the adult chose, and ours stands beside it',
    { runs: held('blending', '2', 3), chosen: 'rhyme/say' },
    {
      first: ['chosen rhyme/say'],
      among: ['up blending/3-held'],
    },
  ),
];

export const VOICE_CASES: readonly VoiceCase[] = [
  ...AFTER_A_BREAK,
  ...OPEN_SLIPS,
  ...LOUD_ROOM,
  ...YOUNG,
  ...SILENT,
  ...TWO_ADULTS,
  ...HEARING,
  ...ONE_VOICE,
];
