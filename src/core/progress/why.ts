import { inWords } from '../in-words';
import { HELP_WORDS } from '../answers/outcome';
import type { RungEvidence } from './evidence';
import { STATE_WORDS } from './rule';
import { why as say } from './text';

/** A chance as a person says it. Example: `oneIn(7 / 64) // 'about one time in nine'`. */
export function oneIn(chance: number): string {
  if (chance >= 0.75) return say.nearlyAlways;
  if (chance >= 0.4) return say.aboutEverySecond;
  return say.aboutTime(inWords(Math.round(1 / chance)));
}

/** Luck worth telling: it explains the answers well enough to matter. */
const LUCKY = 0.05;

/**
 * The sentence on luck, or null where luck explains little. Example: five of six on a yes/no game happens by luck
 * about one time in nine.
 */
export function luckSentence({ luck }: Pick<RungEvidence, 'luck'>): string | null {
  if (!luck || luck.of < 3 || luck.right * 2 < luck.of || luck.chance < LUCKY) return null;
  const words = say.of(inWords(luck.right), inWords(luck.of));
  return say.gameHappensLuck(words, luck.yesNo, oneIn(luck.chance));
}

const times = (n: number): string => ['', 'once', 'twice'][n] || say.times(inWords(n));

/** The sentence that says why a rung has its state, with the numbers it used. */
export function whySentence(r: RungEvidence): string {
  const { own, helped, notYet, noReply } = r.fresh;
  const tried = own + helped + notYet;
  const parts: string[] = [];
  if (tried) {
    const ways = r.helps.slice(0, 2).map((h) => HELP_WORDS[h]);
    parts.push(say.onOwnOf(own, tried, r.days) + (helped ? say.withHelp(helped, ways.join(', ')) : ''));
  } else if (noReply) {
    parts.push(say.noReplySays(times(noReply)));
  } else {
    parts.push(say.playedOwnYet);
  }
  if (r.harder) parts.push(say.harderStepsCount(r.harder.right, r.harder.of));
  if (r.practised) parts.push(say.afterModelTogether(r.practised));
  if (r.checked) parts.push(say.checkInOf(r.checked.right, r.checked.of));
  const luck = luckSentence(r);
  return `${parts.join('; ')}.${luck ? ` ${luck}` : ''}`;
}

/** So many more turns are soon. */
const SOON = 12;

/** Where more turns of the same would not settle it soon, the kind of turn that would. */
function betterTurns({ luck, fresh, days }: MoreOf): string {
  if (luck && luck.of * 2 > fresh.own) return luck.yesNo ? say.moreToChoose : say.openAnswers;
  if (fresh.helped > fresh.own) return say.withoutHelp;
  return days < 2 ? say.anotherDay : say.aboutHalf;
}

type MoreOf = Pick<RungEvidence, 'more' | 'state' | 'luck' | 'fresh' | 'days'>;

/** How many turns it would still take, and at what pace; or what kind of turn would say more. */
export function moreSentence(r: MoreOf, turnsAWeek: number): string | null {
  if (r.state === 'secure' || r.state === 'not-yet') return null;
  if (r.more === null || r.more > SOON) return betterTurns(r);
  const weeks = turnsAWeek > 0 ? Math.ceil(r.more / turnsAWeek) : null;
  return say.aboutMoreTell(r.more, weeks);
}

/** State and sentence for someone who hears the screen. */
export const rungInWords = (r: RungEvidence): string => `${r.rung.does}: ${STATE_WORDS[r.state]}. ${whySentence(r)}`;
