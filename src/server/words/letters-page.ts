import { differenceInCalendarDays, isSameISOWeek, parseISO } from 'date-fns';
import { groupBy } from '../../core/group-by';
import { alike, type Alike } from '../../core/letters/alike';
import { linesOpened } from '../../core/letters/lines';
import { partIn, partsOf } from '../../core/letters/parts';
import { canRead, inPrint, opens, untaught, type Opens, type TaughtSpelling } from '../../core/letters/readable';
import { saidAs, type Spelling } from '../../core/letters/spellings';
import type { AccentId } from '../../core/phonology/accents';
import type { PadSound } from '../../core/phonology/pad';
import { getSettings } from '../setting/settings';
import { bankSpellings, taughtLetters, today } from './letters';
import { offeredLines, readableLines, type OfferedLine } from './lines';
import { bankOfGroup } from './put-aside';
import { soundsToTick } from './sounds';
import { tickedSounds } from './taught';

/** A spelling as it can be ticked. */
export interface SpellingToTick extends Spelling {
  /** `sh`, `a…e`. */
  readonly shown: string;
  /** Its sound in plain letters, as /ow/, with a word that has it. */
  readonly says: string;
  readonly taught: boolean;
  /** The day it was taught, or is to be; null where nobody said. */
  readonly on: string | null;
  readonly thisWeek: boolean;
  /** What it would open, were it next; null for one that was taught. */
  readonly opens: (Opens & { readonly lines: number }) | null;
}

/** What a spelling that could be next is easily mixed up with, of those taught in the last fortnight. */
interface Near {
  readonly shown: string;
  readonly how: Alike;
}

/** All sounds with their spellings, and what each next one would open. */
export interface LettersPage {
  readonly accent: AccentId;
  readonly rows: readonly {
    readonly name: string;
    readonly sounds: readonly {
      readonly sound: Pick<PadSound, 'label' | 'as' | 'keys' | 'ipa'>;
      readonly ticked: boolean;
      /** It was taught with a spelling. */
      readonly spelt: boolean;
      readonly spellings: readonly SpellingToTick[];
    }[];
  }[];
  /** Those that open the most everyday words, the most first. */
  readonly next: readonly { readonly spelling: SpellingToTick; readonly near: readonly Near[] }[];
  readonly thisWeek: readonly SpellingToTick[];
  readonly taught: number;
  /** Words the group can read, as Words lists them. */
  readonly readable: number;
  /** Lines they can read; what was taught this week comes first. */
  readonly lines: readonly { readonly text: string; readonly own: string | null }[];
  /** Words with an odd part that were taught as they are, and what is odd in each. */
  readonly words: readonly { readonly word: string; readonly odd: readonly string[] }[];
}

/** How many of those that open the most are shown. */
const NEXT = 6;
/** Days within which two spellings that are alike were taught close together (common practice, no source). */
const CLOSE_DAYS = 14;

const shownSpelling = (spelling: string): string => spelling.replace('_', '…');

function near(spelling: Spelling, lately: readonly SpellingToTick[]): readonly Near[] {
  return lately.flatMap((other) => {
    const how = alike(spelling, other);
    return how ? [{ shown: other.shown, how }] : [];
  });
}

const takenLately = (on: string | null, day: string): boolean =>
  on !== null && on <= day && differenceInCalendarDays(parseISO(day), parseISO(on)) <= CLOSE_DAYS;

/** What each spelling would open, by its id. */
interface Found {
  readonly words: ReadonlyMap<string, Opens>;
  readonly lines: ReadonlyMap<string, number>;
}
const NOTHING: Opens = { words: 0, best: [] };

/** Every spelling as it can be ticked, those the group was taught and those the bank has. */
function spellingsToTick(
  spellings: readonly Spelling[],
  taught: readonly TaughtSpelling[],
  found: Found,
  accent: AccentId,
): SpellingToTick[] {
  const day = today();
  const dates = new Map(taught.map(({ spelling, keys, on }) => [partIn(spelling, keys, accent).id, on]));
  return spellings.map((spelling) => {
    const on = dates.get(spelling.id);
    const done = on !== undefined && (on === null || on <= day);
    return {
      ...spelling,
      shown: shownSpelling(spelling.spelling),
      says: saidAs(spelling.sounds, accent),
      taught: done,
      on: on ?? null,
      thisWeek: typeof on === 'string' && done && isSameISOWeek(parseISO(on), parseISO(day)),
      opens: done ? null : { ...(found.words.get(spelling.id) ?? NOTHING), lines: found.lines.get(spelling.id) ?? 0 },
    };
  });
}

/** Lines that have something of this week come first; the rest keep their order. */
function newestFirst(lines: readonly OfferedLine[], thisWeek: readonly SpellingToTick[]): OfferedLine[] {
  const ids = new Set(thisWeek.map(({ id }) => id));
  const isNew = (line: OfferedLine): boolean => line.words.some((w) => partsOf(w).some((part) => ids.has(part.id)));
  return [...lines.filter(isNew), ...lines.filter((line) => !isNew(line))];
}

/** The page on which a group says what it was taught, in sounds and in letters. */
export async function lettersPage(groupId: string): Promise<LettersPage> {
  const { accent, conventions, confirmed } = await getSettings();
  const [bank, letters, ticked, { rows }] = await Promise.all([
    bankOfGroup(groupId, accent, conventions),
    taughtLetters(groupId),
    tickedSounds(groupId),
    soundsToTick(),
  ]);
  const print = inPrint(letters.spellings, letters.words, accent, today());
  const lines = await offeredLines(bank);
  const found = { words: opens(bank.words, print), lines: linesOpened(lines, print) };
  const all = spellingsToTick(bankSpellings(bank), letters.spellings, found, accent);
  const seen = all.filter(({ odd, taught, on }) => !odd || taught || on !== null);
  const bySound = groupBy(seen, ({ sounds }) => sounds);
  const lone = new Set(rows.flatMap((row) => row.sounds.map(({ ipa }) => ipa)));
  const joined = [...bySound].filter(([sounds]) => !lone.has(sounds));
  const rowOf = (sound: Pick<PadSound, 'label' | 'as' | 'keys' | 'ipa'>) => {
    const spellings = bySound.get(sound.ipa) ?? [];
    const spelt = spellings.some(({ taught }) => taught);
    return { sound, spellings, spelt, ticked: spelt || sound.keys.some((key) => ticked.has(key)) };
  };
  const thisWeek = all.filter((spelling) => spelling.thisWeek);
  const lately = all.filter(({ taught, on }) => taught && takenLately(on, today()));
  return {
    accent,
    rows: [
      ...rows.map(({ name, sounds }) => ({ name, sounds: sounds.map(rowOf) })),
      {
        name: 'Two sounds in one spelling',
        sounds: joined.map(([ipa]) => rowOf({ ipa, keys: [], label: saidAs(ipa, accent) })),
      },
    ],
    next: seen
      .filter((s) => s.opens !== null && s.opens.words > 0)
      .sort((a, b) => (b.opens?.words ?? 0) - (a.opens?.words ?? 0) || b.words - a.words)
      .slice(0, NEXT)
      .map((spelling) => ({ spelling, near: near(spelling, lately) })),
    thisWeek,
    lines: newestFirst(readableLines(lines, print), thisWeek).map(({ text, own }) => ({ text, own })),
    taught: all.filter(({ taught }) => taught).length,
    readable: bank.words.filter((w) => !w.entry.doubt && (confirmed || !w.contest) && canRead(w, print)).length,
    words: letters.words.map((name) => {
      const word = bank.byName.get(name);
      return { word: name, odd: word ? untaught(word, print).map(({ spelling }) => shownSpelling(spelling)) : [] };
    }),
  };
}
