import { capital } from '../in-words';
import { HELP_WORDS } from '../answers/outcome';
import type { RungEvidence } from './evidence';
import { STATE_WORDS } from './rule';

/** Small numbers in words. Example: `inWords(5) // 'five'`. */
const inWords = (n: number): string =>
  ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'][n] ??
  String(n);

/** A chance as a person says it. Example: `oneIn(7 / 64) // 'about one time in nine'`. */
export function oneIn(chance: number): string {
  if (chance >= 0.75) return 'nearly always';
  if (chance >= 0.4) return 'about every second time';
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
  return `${capital(words)} on a ${luck.yesNo ? 'yes/no' : 'choosing'} game happens by luck ${oneIn(luck.chance)}.`;
}

const times = (n: number): string => ['', 'once', 'twice'][n] || `${inWords(n)} times`;

/** The sentence that says why a rung has its state, with the numbers it used. */
export function whySentence(r: RungEvidence): string {
  const { own, helped, notYet, noReply } = r.fresh;
  const tried = own + helped + notYet;
  const parts: string[] = [];
  if (tried) {
    parts.push(
      `On own ${own} of ${tried}${r.days > 1 ? ` on ${r.days} days` : ' on one day'}${
        helped
          ? `, with help ${helped}${
              r.helps.length
                ? ` (${r.helps
                    .slice(0, 2)
                    .map((h) => HELP_WORDS[h])
                    .join(', ')})`
                : ''
            }`
          : ''
      }`,
    );
  } else if (noReply) {
    parts.push(`No reply ${times(noReply)}, which says nothing of what is known`);
  } else {
    parts.push('Not played on their own yet');
  }
  if (r.harder) parts.push(`${r.harder.right} of ${r.harder.of} on harder steps count for it`);
  if (r.practised) parts.push(`${r.practised} after a model or together, as practice`);
  if (r.checked) parts.push(`check-in ${r.checked.right} of ${r.checked.of}`);
  const luck = luckSentence(r);
  return `${parts.join('; ')}.${luck ? ` ${luck}` : ''}`;
}

/** How many turns it would still take, and at what pace. */
export function moreSentence(r: Pick<RungEvidence, 'more' | 'state'>, turnsAWeek: number): string | null {
  if (r.state === 'secure' || r.state === 'not-yet') return null;
  if (r.more === null) return 'More than forty turns like these would be needed to be sure either way.';
  const weeks = turnsAWeek > 0 ? Math.ceil(r.more / turnsAWeek) : null;
  return (
    `About ${r.more} more ${r.more === 1 ? 'turn' : 'turns'} would ` +
    `tell${weeks ? `: ${weeks === 1 ? 'a week' : `${inWords(weeks)} weeks`} at this pace` : ''}.`
  );
}

/** State and sentence for someone who hears the screen. */
export const rungInWords = (r: RungEvidence): string => `${r.rung.does}: ${STATE_WORDS[r.state]}. ${whySentence(r)}`;
