import { sure } from '../sure';

/**
 * What a General American reading can stand for in lexical sets. One American vowel may be two sets elsewhere (TRAP and
 * BATH), so each place holds every choice; the spelling rules some of them out, a person the rest.
 */
export interface PhonePlace {
  /** Keys apart by spaces, the likeliest first. */
  readonly choices: readonly string[];
  /** Stress of the vowel here: ARPAbet's digit, or '' for a consonant. */
  readonly stress: '' | '0' | '1' | '2';
}

const PLAIN: Readonly<Record<string, string>> = {
  B: 'b',
  CH: 'ch',
  D: 'd',
  DH: 'dh',
  F: 'f',
  G: 'g',
  HH: 'h',
  JH: 'j',
  K: 'k',
  L: 'l',
  M: 'm',
  N: 'n',
  NG: 'ng',
  P: 'p',
  R: 'r',
  S: 's',
  SH: 'sh',
  T: 't',
  TH: 'th',
  V: 'v',
  Y: 'y',
  Z: 'z',
  ZH: 'zh',
};

/** Choices of a vowel on its own, before an r that ends the syllable, and before an r that begins the next. */
const VOWELS: Readonly<
  Record<string, { alone: readonly string[]; r?: readonly string[]; rVowel?: readonly string[] }>
> = {
  AA: { alone: ['LOT', 'PALM'], r: ['START'], rVowel: ['LOT r', 'START r', 'PALM r'] },
  AE: { alone: ['TRAP'], rVowel: ['TRAP r'] },
  AO: { alone: ['THOUGHT', 'CLOTH'], r: ['NORTH', 'FORCE'], rVowel: ['FORCE r', 'CLOTH r', 'NORTH r'] },
  EH: { alone: ['DRESS'], r: ['SQUARE'], rVowel: ['DRESS r', 'SQUARE r', 'TRAP r'] },
  IH: { alone: ['KIT'], r: ['NEAR'], rVowel: ['NEAR r', 'KIT r'] },
  IY: { alone: ['FLEECE'], r: ['NEAR'], rVowel: ['NEAR r'] },
  UH: { alone: ['FOOT'], r: ['CURE'], rVowel: ['CURE r'] },
  UW: { alone: ['GOOSE'] },
  AH: { alone: ['STRUT', 'LOT'] },
  EY: { alone: ['FACE'] },
  AY: { alone: ['PRICE'] },
  OY: { alone: ['CHOICE'] },
  AW: { alone: ['MOUTH'] },
  OW: { alone: ['GOAT'], r: ['FORCE'], rVowel: ['FORCE r'] },
};
const NURSE = ['FERN', 'FIR', 'FUR'] as const;

/** Before these, an American TRAP may be BATH: staff, grass, bath, plant, branch, dance, example. */
const MAY_BE_BATH = /^(F|S|TH|DH|V|Z|N (T|CH|S|D)|M P|F T)( |$)/;
const DROPS_Y: ReadonlySet<string> = new Set(['T', 'D', 'N', 'S', 'Z', 'L', 'TH']);
const AFTER_NO_EN: ReadonlySet<string> = new Set(['M', 'N', 'NG', 'L', 'R', 'W', 'Y', 'HH']);

/** One phone with what stands around it. */
interface Here {
  /** The phone without its digit. */
  readonly phone: string;
  readonly stress: PhonePlace['stress'];
  readonly before: string;
  readonly beforeVowel: boolean;
  readonly next: string;
  readonly afterNext: string;
  readonly nextVowel: boolean;
  readonly afterNextVowel: boolean;
  /** The phones that follow, bare and apart by spaces. */
  readonly rest: string;
  /** How many phones follow. */
  readonly left: number;
}

/** What a phone may stand for, and how many phones after it are in that too; undefined where a rule does not speak. */
type Stands = readonly [choices: readonly string[], swallowed?: 1] | undefined;

/** American er: weak at the end of a word, else one of the NURSE sets; before a vowel its r is said. */
function er({ phone, stress, beforeVowel, nextVowel }: Here): Stands {
  if (phone !== 'ER') return undefined;
  const r = nextVowel ? ' r' : '';
  if (stress !== '0') return [[...NURSE.map((key) => key + r), ...(r ? ['STRUT r'] : [])]];
  if (beforeVowel && !r) return [['lettER', '. lettER']];
  return [[`lettER${r}`, ...(r ? ['commA r'] : [])]];
}

/** A vowel before r. */
function beforeR({ phone, stress, before, next, afterNextVowel }: Here): Stands {
  if (next !== 'R') return undefined;
  const vowel = VOWELS[phone];
  if ((phone === 'AY' || phone === 'AW') && !afterNextVowel) {
    const [alone] = sure(vowel).alone;
    return [[`${alone} lettER`, `${alone} . lettER`], 1];
  }
  if (phone === 'AH' && stress === '0' && afterNextVowel) return [['lettER r', 'commA r'], 1];
  const choices = afterNextVowel ? vowel?.rVowel : vowel?.r;
  return choices && [withY(choices, phone, before), 1];
}

const ENDINGS: Readonly<Record<string, string>> = { L: 'EL', M: 'EM', N: 'EN' };

/** Weak uh: with l, m or n after a consonant at the end of a word it may be that consonant alone (bottle, kitten). */
function weakUh({ before, beforeVowel, next, afterNext, left }: Here): Stands {
  const ending = ENDINGS[next];
  const ends = left <= 1 || (left === 2 && (afterNext === 'Z' || afterNext === 'D'));
  const alone = ending && ends && before !== '' && !beforeVowel && !(ending === 'EN' && AFTER_NO_EN.has(before));
  if (alone) return [[ending, `commA ${PLAIN[next]}`, `KIT ${PLAIN[next]}`], 1];
  return [['commA', 'KIT', 'STRUT', 'DRESS', 'LOT', 'TRAP', 'FACE', 'happY']];
}

/** Weak vowels, by phone. */
const WEAK: Readonly<Record<string, (here: Here) => Stands>> = {
  AH: weakUh,
  IH: () => [['KIT', 'commA', 'DRESS', 'FACE', 'happY']],
  IY: ({ left, nextVowel, rest }) => {
    const happy = left === 0 || nextVowel || /^(Z|D)$/.test(rest);
    return [happy ? ['happY', 'FLEECE'] : ['KIT', 'FLEECE', 'happY', 'commA']];
  },
  EH: () => [['DRESS', 'KIT', 'commA']],
  OW: () => [['GOAT', 'commA']],
};

/** Vowels that may be another set, by phone. */
const STRONG: Readonly<Record<string, (here: Here) => Stands>> = {
  AE: ({ rest }) => [MAY_BE_BATH.test(rest) ? ['TRAP', 'BATH'] : ['TRAP']],
  AA: ({ rest }) => {
    const last = /^(DH|M|V|Z|F|S)?( |$)/.test(rest) ? 'BATH' : 'CLOTH';
    return [last === 'BATH' ? ['LOT', 'PALM', 'BATH', 'THOUGHT'] : ['LOT', 'PALM', 'THOUGHT', 'CLOTH']];
  },
  UW: ({ phone, before }) => [withY(['GOOSE'], phone, before)],
};

function consonant({ phone, stress, next }: Here): Stands {
  if (phone === 'W') return [['w', 'hw']];
  if (phone === 'HH' && next === 'W') return [['hw'], 1];
  return stress ? undefined : [[PLAIN[phone] ?? phone]];
}

/** The first rule that speaks holds. */
const RULES: readonly ((here: Here) => Stands)[] = [
  consonant,
  er,
  beforeR,
  (here) => (here.stress === '0' ? WEAK[here.phone]?.(here) : undefined),
  (here) => STRONG[here.phone]?.(here),
  ({ phone }) => [VOWELS[phone]?.alone ?? [phone]],
];

const isVowelPhone = (phone: string | undefined): boolean => /\d/.test(phone ?? '');
const bareOf = (phone: string | undefined): string => (phone ?? '').replace(/\d/, '');

const hereOf = (phones: readonly string[], at: number): Here => ({
  phone: bareOf(phones[at]),
  stress: (/\d/.exec(sure(phones[at]))?.[0] ?? '') as PhonePlace['stress'],
  before: bareOf(phones[at - 1]),
  beforeVowel: isVowelPhone(phones[at - 1]),
  next: bareOf(phones[at + 1]),
  afterNext: bareOf(phones[at + 2]),
  nextVowel: isVowelPhone(phones[at + 1]),
  afterNextVowel: isVowelPhone(phones[at + 2]),
  rest: phones
    .slice(at + 1)
    .map(bareOf)
    .join(' '),
  left: phones.length - at - 1,
});

/**
 * The places of one ARPAbet reading, in order.
 * @param phones e.g. ['B', 'AE1', 'TH']
 * @example placesOf(['B', 'AE1', 'TH'])[1].choices // ['TRAP', 'BATH']
 */
export function phonePlaces(phones: readonly string[]): PhonePlace[] {
  const places: PhonePlace[] = [];
  for (let at = 0; at < phones.length; at += 1) {
    const here = hereOf(phones, at);
    let stands: Stands;
    for (const rule of RULES) if ((stands = rule(here))) break;
    const [choices, swallowed = 0] = sure(stands, `a sound for ${here.phone}`);
    places.push({ choices, stress: here.stress });
    at += swallowed;
  }
  return places;
}

/** American English drops y after these sounds, so that other accents may have one here. */
const withY = (choices: readonly string[], phone: string, before: string): string[] =>
  (phone === 'UW' || phone === 'UH') && DROPS_Y.has(before) ? choices.flatMap((c) => [c, `y ${c}`]) : [...choices];
