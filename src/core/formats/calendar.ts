import ical from 'ical-generator';

export interface CalendarPlan {
  readonly id: string;
  readonly title: string;
  readonly group: string;
  /** Local day and time without a zone (RFC 5545, 3.3.5, form 1: the wall clock wherever it is read). */
  readonly at: string;
  readonly minutes: number;
  /** When the file is made. */
  readonly stamp: Date;
  readonly lines: readonly string[];
  readonly bring: readonly string[];
}

/**
 * A planned session as an iCalendar file (RFC 5545). No child’s name is in it.
 * @example calendarOf({ id, title: 'Peas', group: 'Radishes', at: '2026-11-24T09:30', minutes: 8, stamp, lines: [],
 * bring: [] })
 */
export function calendarOf({ id, title, group, at, minutes, stamp, lines, bring }: CalendarPlan): string {
  const start = new Date(at);
  const calendar = ical({ name: title, prodId: { company: 'Bouncy Echo', product: 'Plan', language: 'EN' } });
  calendar.createEvent({
    id: `${id}@bouncy-echo`,
    start,
    end: new Date(start.getTime() + minutes * 60_000),
    stamp,
    floating: true,
    summary: `${title} (${group})`,
    description: [...lines, bring.length ? `Bring: ${bring.join(', ')}` : ''].filter(Boolean).join('\n'),
  });
  return calendar.toString();
}
