import { sure } from '../sure';
/**
 * What a General American reading can stand for in lexical sets. One American vowel may be two sets elsewhere (TRAP and
 * BATH), so each place holds every choice; the spelling rules some of them out, a person the rest.
 */
export interface Place {
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

/**
 * The places of one ARPAbet reading, in order.
 * @param phones e.g. ['B', 'AE1', 'TH']
 * @example placesOf(['B', 'AE1', 'TH'])[1].choices // ['TRAP', 'BATH']
 */
export function placesOf(phones: readonly string[]): Place[] {
  const places: Place[] = [];
  const bare = phones.map((p) => p.replace(/\d/, ''));
  const vowelAt = (at: number): boolean => /\d/.test(phones[at] ?? '');
  for (let i = 0; i < phones.length; i += 1) {
    const phone = sure(bare[i]);
    const stress = (/\d/.exec(sure(phones[i]))?.[0] ?? '') as Place['stress'];
    const put = (choices: readonly string[], swallowed = 0): void => {
      places.push({ choices, stress });
      i += swallowed;
    };
    const final = i === phones.length - 1;
    const before = bare[i - 1] ?? '';
    const beforeVowel = vowelAt(i - 1);
    const rest = bare.slice(i + 1).join(' ');
    const consonantBefore = before !== '' && !beforeVowel;

    if (phone === 'W') put(['w', 'hw']);
    else if (phone === 'HH' && bare[i + 1] === 'W') put(['hw'], 1);
    else if (!stress) put([PLAIN[phone] ?? phone]);
    else if (phone === 'ER') {
      const r = vowelAt(i + 1) ? ' r' : '';
      const weak = beforeVowel && !r ? ['lettER', '. lettER'] : [`lettER${r}`, ...(r ? ['commA r'] : [])];
      put(stress === '0' ? weak : [...NURSE.map((key) => key + r), ...(r ? ['STRUT r'] : [])]);
    } else if ((phone === 'AY' || phone === 'AW') && bare[i + 1] === 'R' && !vowelAt(i + 2)) {
      put([`${sure(VOWELS[phone]).alone[0]} lettER`, `${sure(VOWELS[phone]).alone[0]} . lettER`], 1);
    } else if (bare[i + 1] === 'R' && phone === 'AH' && stress === '0' && vowelAt(i + 2))
      put(['lettER r', 'commA r'], 1);
    else if (bare[i + 1] === 'R' && !vowelAt(i + 2) && VOWELS[phone]?.r) put(withY(VOWELS[phone].r, phone, before), 1);
    else if (bare[i + 1] === 'R' && vowelAt(i + 2) && VOWELS[phone]?.rVowel)
      put(withY(VOWELS[phone].rVowel, phone, before), 1);
    else if (stress === '0' && phone === 'AH') {
      const ending = { L: 'EL', M: 'EM', N: 'EN' }[bare[i + 1] ?? ''];
      const ends = i + 2 >= phones.length || (i + 3 === phones.length && ['Z', 'D'].includes(sure(bare[i + 2])));
      if (ending && ends && consonantBefore && !(ending === 'EN' && AFTER_NO_EN.has(before))) {
        put([ending, `commA ${PLAIN[sure(bare[i + 1])]}`, `KIT ${PLAIN[sure(bare[i + 1])]}`], 1);
      } else put(['commA', 'KIT', 'STRUT', 'DRESS', 'LOT', 'TRAP', 'FACE', 'happY']);
    } else if (stress === '0' && phone === 'IH') put(['KIT', 'commA', 'DRESS', 'FACE', 'happY']);
    else if (stress === '0' && phone === 'IY')
      put(final || vowelAt(i + 1) || /^(Z|D)$/.test(rest) ? ['happY', 'FLEECE'] : ['KIT', 'FLEECE', 'happY', 'commA']);
    else if (stress === '0' && phone === 'EH') put(['DRESS', 'KIT', 'commA']);
    else if (stress === '0' && phone === 'OW') put(['GOAT', 'commA']);
    else if (phone === 'AE') put(MAY_BE_BATH.test(rest) ? ['TRAP', 'BATH'] : ['TRAP']);
    else if (phone === 'AA')
      put(
        /^(DH|M|V|Z|F|S)?( |$)/.test(rest) ? ['LOT', 'PALM', 'BATH', 'THOUGHT'] : ['LOT', 'PALM', 'THOUGHT', 'CLOTH'],
      );
    else if (phone === 'UW') put(withY(['GOOSE'], phone, before));
    else put(VOWELS[phone]?.alone ?? [phone]);
  }
  return places;
}

/** American English drops y after these sounds, so that other accents may have one here. */
const withY = (choices: readonly string[], phone: string, before: string): string[] =>
  (phone === 'UW' || phone === 'UH') && DROPS_Y.has(before) ? choices.flatMap((c) => [c, `y ${c}`]) : [...choices];
