import { inWords } from '../in-words';
import { HELP_WORDS } from '../answers/outcome';
import { isLucky, type RungEvidence } from '../evidence/evidence';
import { STATE_WORDS } from '../evidence/rule';

const guessingGets = (of: string, yesNo: boolean, oneIn: string) =>
  `In a ${yesNo ? 'yes/no' : 'choosing'} game, pure guessing gets ${of} ${oneIn}.`;

const rightOnOwn = (own: number, tried: number, days: number) =>
  `${own} of ${tried} right on their own, ${days > 1 ? `over ${days} days` : 'all on one day'}`;

const andWithHelp = (helped: number, ways: string) => `, and ${helped} with help${ways ? ` (${ways})` : ''}`;

/** A chance as a person says it. Example: `oneIn(7 / 64) // 'about one time in nine'`. */
export function oneIn(chance: number): string {
  if (chance >= 0.75) return 'nearly always';
  if (chance >= 0.4) return 'about half the time';
  return `about one time in ${inWords(Math.round(1 / chance))}`;
}

/**
 * The sentence on luck, or null where luck explains little. Example: five of six on a yes/no game happens by luck
 * about one time in nine.
 */
export function luckSentence({ luck }: Pick<RungEvidence, 'luck'>): string | null {
  if (!luck || !isLucky({ luck })) return null;
  const words = `${inWords(luck.right)} of ${inWords(luck.of)}`;
  return guessingGets(words, luck.yesNo, oneIn(luck.chance));
}

const timesInWords = (n: number): string => ['', 'once', 'twice'][n] || `${inWords(n)} times`;

/** The sentence that says why a rung has its state, with the numbers it used. */
export function whySentence(r: RungEvidence): string {
  const { own, helped, notYet, noReply, open } = r.fresh;
  const tried = own + helped + notYet;
  const parts: string[] = [];
  if (tried) {
    const ways = r.helps.slice(0, 2).map((h) => HELP_WORDS[h]);
    parts.push(rightOnOwn(own, tried, r.days) + (helped ? andWithHelp(helped, ways.join(', ')) : ''));
  } else if (noReply) {
    parts.push(`No reply ${timesInWords(noReply)}, which doesn’t tell us what they know`);
  } else if (!open) {
    parts.push('No turns on their own yet');
  }
  if (open) parts.push(tried || noReply ? `and ${open} we can’t count yet` : `${open} we can’t count yet`);
  if (r.harder) parts.push(`${r.harder.right} of ${r.harder.of} right on harder steps, which count here too`);
  if (r.practised) parts.push(`${r.practised} more after a model or all together (practice, so not counted)`);
  if (r.checked) parts.push(`${r.checked.right} of ${r.checked.of} right in the check-in`);
  const luck = luckSentence(r);
  return `${parts.join('; ')}.${luck ? ` ${luck}` : ''}`;
}

/** State and sentence for someone who hears the screen. */
export const rungInWords = (r: RungEvidence): string => `${r.rung.does}: ${STATE_WORDS[r.state]}. ${whySentence(r)}`;
