import { millisecondsInDay } from 'date-fns/constants';

/**
 * How long those who left are kept: so many years beyond the end of the school year in which they left. A school year
 * ends on 31 August (common practice in England, no source).
 */
export const KEEP_YEARS = [0, 1, 2, 3] as const;

/** Nobody goes within this time of leaving, or of the rule: a month's notice. */
export const NOTICE_MS = 30 * millisecondsInDay;

/**
 * The day on which a child who left goes: 1 September after the time they are kept for, and never within a month of
 * leaving or of the rule.
 * @param left when they left, milliseconds since 1970
 * @param since when the rule was chosen
 * @example goesOn(new Date(2026, 6, 20).getTime(), 1, 0) // 1 September 2027
 */
export function goesOn(left: number, years: number, since: number): number {
  const day = new Date(left);
  const end = day.getFullYear() + (day.getMonth() >= 8 ? 1 : 0) + years;
  return Math.max(new Date(end, 8, 1).getTime(), left + NOTICE_MS, since + NOTICE_MS);
}
