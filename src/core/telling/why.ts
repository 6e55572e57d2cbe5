import { inWords } from '../in-words';
import { HELP_WORDS } from '../answers/outcome';
import type { RungEvidence } from '../evidence/evidence';
import { STATE_WORDS } from '../evidence/rule';

const guessingGets = (of: string, yesNo: boolean, oneIn: string) =>
  `In a ${yesNo ? 'yes/no' : 'choosing'} game, pure guessing gets ${of} ${oneIn}.`;

const rightOnOwn = (own: number, tried: number, days: number) =>
  `${own} of ${tried} right on their own, ${days > 1 ? `over ${days} days` : 'all on one day'}`;

const andWithHelp = (helped: number, ways: string) => `, and ${helped} with help${ways ? ` (${ways})` : ''}`;

const turnsToSettle = (more: number, weeks: number | null) =>
  `About ${more} more ${more === 1 ? 'turn' : 'turns'} should settle ` +
  `it${weeks ? `: roughly ${weeks === 1 ? 'a week' : `${inWords(weeks)} weeks`} at this rate` : ''}.`;

/** A chance as a person says it. Example: `oneIn(7 / 64) // 'about one time in nine'`. */
export function oneIn(chance: number): string {
  if (chance >= 0.75) return 'nearly always';
  if (chance >= 0.4) return 'about half the time';
  return `about one time in ${inWords(Math.round(1 / chance))}`;
}

/** Luck worth telling: it explains the answers well enough to matter. */
const LUCKY = 0.05;

/**
 * The sentence on luck, or null where luck explains little. Example: five of six on a yes/no game happens by luck
 * about one time in nine.
 */
export function luckSentence({ luck }: Pick<RungEvidence, 'luck'>): string | null {
  if (!luck || luck.of < 3 || luck.right * 2 < luck.of || luck.chance < LUCKY) return null;
  const words = `${inWords(luck.right)} of ${inWords(luck.of)}`;
  return guessingGets(words, luck.yesNo, oneIn(luck.chance));
}

const timesInWords = (n: number): string => ['', 'once', 'twice'][n] || `${inWords(n)} times`;

/** The sentence that says why a rung has its state, with the numbers it used. */
export function whySentence(r: RungEvidence): string {
  const { own, helped, notYet, noReply } = r.fresh;
  const tried = own + helped + notYet;
  const parts: string[] = [];
  if (tried) {
    const ways = r.helps.slice(0, 2).map((h) => HELP_WORDS[h]);
    parts.push(rightOnOwn(own, tried, r.days) + (helped ? andWithHelp(helped, ways.join(', ')) : ''));
  } else if (noReply) {
    parts.push(`No reply ${timesInWords(noReply)}, which doesn’t tell us what they know`);
  } else {
    parts.push('No turns on their own yet');
  }
  if (r.harder) parts.push(`${r.harder.right} of ${r.harder.of} right on harder steps, which count here too`);
  if (r.practised) parts.push(`${r.practised} more after a model or all together (practice, so not counted)`);
  if (r.checked) parts.push(`${r.checked.right} of ${r.checked.of} right in the check-in`);
  const luck = luckSentence(r);
  return `${parts.join('; ')}.${luck ? ` ${luck}` : ''}`;
}

/** So many more turns are soon. */
const SOON = 12;

/** Where more turns of the same would not settle it soon, the kind of turn that would. */
function betterTurns({ luck, fresh, days }: MoreOf): string {
  if (luck && luck.of * 2 > fresh.own)
    return luck.yesNo
      ? 'More yes/no turns won’t tell us much. A game with more to choose from would.'
      : 'More turns like these won’t tell us much. A game where they say the answer would.';
  if (fresh.helped > fresh.own) return 'A few turns without any help would settle it sooner.';
  return days < 2
    ? 'A few turns on another day would tell us more than many today.'
    : 'They get about half of these. Play a few easy ones first, then two of these.';
}

type MoreOf = Pick<RungEvidence, 'more' | 'state' | 'luck' | 'fresh' | 'days'>;

/** How many turns it would still take, and at what pace; or what kind of turn would say more. */
export function moreSentence(r: MoreOf, turnsAWeek: number): string | null {
  if (r.state === 'secure' || r.state === 'not-yet') return null;
  if (r.more === null || r.more > SOON) return betterTurns(r);
  const weeks = turnsAWeek > 0 ? Math.ceil(r.more / turnsAWeek) : null;
  return turnsToSettle(r.more, weeks);
}

/** State and sentence for someone who hears the screen. */
export const rungInWords = (r: RungEvidence): string => `${r.rung.does}: ${STATE_WORDS[r.state]}. ${whySentence(r)}`;
