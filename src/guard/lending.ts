import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';

/**
 * Who may play the one session that is lent: a code lets one tablet in, once, for ten minutes; what it gets for the
 * code is known here by its sum alone. Nothing of it outlives the lending.
 */

/** What tablets are called, in the order in which they come. */
const COLOURS = ['green', 'blue', 'yellow', 'red', 'white', 'purple', 'orange', 'pink'] as const;
export type Colour = (typeof COLOURS)[number];

/** A code is good for so long, in milliseconds, and once. */
const CODE_MS = 10 * 60_000;
/** Letters that nobody takes for one another, read aloud or by eye; twelve of them are 54 bits. */
const LETTERS = 'ABDEFGHJKLMNPQRTUWXYZ346';
const LETTERS_LONG = 12;
/** So many wrong codes of letters, and none of them is taken any more. */
const TRIES = 5;
/** What a code and a tablet’s key hold, in bytes: 256 bits. */
const SECRET_BYTES = 32;

/** A code that was given out, as it is shown once. */
export interface Offer {
  readonly colour: Colour;
  /** For the address, after `#`: a browser never sends it on. */
  readonly secret: string;
  /** For a tablet whose camera cannot read it; in threes with spaces. */
  readonly letters: string;
  /** When it ends, in milliseconds since 1970. */
  readonly until: number;
}

/** A tablet that came in. */
export interface LentTablet {
  readonly colour: Colour;
  /** When it was heard last, in milliseconds since 1970. */
  readonly heardAt: number;
  /** Marks that came from it. */
  readonly marks: number;
}

interface Kept {
  readonly colour: Colour;
  readonly sum: Buffer;
}
interface KeptOffer extends Kept {
  readonly letters: Buffer;
  readonly until: number;
}

const sumOf = (text: string): Buffer => createHash('sha256').update(text).digest();
const same = (a: Buffer, b: Buffer): boolean => timingSafeEqual(a, b);
const plainLetters = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '');

const newLetters = (): string =>
  Array.from({ length: LETTERS_LONG }, () => LETTERS[randomInt(LETTERS.length)] ?? '').join('');

/** One session on loan: its codes and its tablets. */
export class Lending {
  private offers: KeptOffer[] = [];
  private keys: Kept[] = [];
  private given = 0;
  private wrong = 0;
  private readonly heard = new Map<Colour, LentTablet>();

  /** @param most tablets at once */
  constructor(private readonly most = COLOURS.length) {}

  /** A new code for one more tablet; null where there are as many as there can be. */
  offer(now: number): Offer | null {
    const colour = this.given < this.most ? COLOURS[this.given] : undefined;
    if (!colour) return null;
    this.given += 1;
    this.wrong = 0;
    const secret = randomBytes(SECRET_BYTES).toString('base64url');
    const letters = newLetters();
    const until = now + CODE_MS;
    this.offers.push({ colour, sum: sumOf(secret), letters: sumOf(letters), until });
    return { colour, secret, letters: letters.match(/.{3}/g)?.join(' ') ?? letters, until };
  }

  /**
   * Takes a code and gives the tablet its key, which is said this once; null for one that is wrong, used or over.
   * @param code the secret of an address, or twelve letters
   * @example lending.exchange('ABD EFG HJK LMN', Date.now()) // a key of 43 signs, or null
   */
  exchange(code: string, now: number): string | null {
    this.offers = this.offers.filter((o) => o.until > now);
    const bySecret = this.offers.find((o) => same(o.sum, sumOf(code)));
    const typed = sumOf(plainLetters(code));
    const byLetters = this.wrong < TRIES ? this.offers.find((o) => same(o.letters, typed)) : undefined;
    const offer = bySecret ?? byLetters;
    if (!offer) {
      this.wrong += 1;
      return null;
    }
    this.offers = this.offers.filter((o) => o !== offer);
    const key = randomBytes(SECRET_BYTES).toString('base64url');
    this.keys.push({ colour: offer.colour, sum: sumOf(key) });
    this.heard.set(offer.colour, { colour: offer.colour, heardAt: now, marks: 0 });
    return key;
  }

  /** The tablet that has this key; null where none has. */
  tabletOf(key: string | undefined): Colour | null {
    if (!key) return null;
    const sum = sumOf(key);
    return this.keys.find((k) => same(k.sum, sum))?.colour ?? null;
  }

  /** Something came from a tablet, with so many marks. */
  hear(colour: Colour, marks: number, now: number): void {
    const before = this.heard.get(colour);
    if (before) this.heard.set(colour, { colour, heardAt: now, marks: before.marks + marks });
  }

  /** Those that came in, in their order. */
  tablets(): LentTablet[] {
    return [...this.heard.values()];
  }
}
