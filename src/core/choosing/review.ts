import { createEmptyCard, fsrs, generatorParameters, Rating, type Card, type Grade } from 'ts-fsrs';
import type { StepRun } from '../evidence/evidence';
import { carries, rungOf } from '../evidence/ladders';

/** When a rung that holds should come again: growing gaps from a spaced-repetition library, rated by what was seen. */
export interface Review {
  /** Milliseconds since 1970. */
  readonly dueAt: number;
  readonly lastAt: number;
}

const scheduler = fsrs(
  generatorParameters({ enable_fuzz: false, enable_short_term: false, request_retention: 0.9, maximum_interval: 120 }),
);

/** A day's fresh answers as one rating: all alone easy or good, some help hard, few alone again. */
function ratingOf(marks: string): Grade | null {
  const tries = marks.replace(/[-u]/gu, '');
  if (!tries) return null;
  const alone = (tries.split('1').length - 1) / tries.length;
  if (alone >= 0.99 && tries.length >= 3) return Rating.Easy;
  if (alone >= 0.75) return Rating.Good;
  return alone >= 0.4 ? Rating.Hard : Rating.Again;
}

/**
 * When a rung is due again. Answers on harder rungs that carry it keep it alive too, where they come off.
 * @param runs of one child, any order
 */
export function reviewOf(runs: readonly StepRun[], ladder: string, at: number): Review | null {
  const days = new Map<number, { marks: string; at: number }>();
  for (const run of [...runs].sort((a, b) => a.at - b.at)) {
    const place = rungOf(run.task, run.step);
    if (run.standing !== 'fresh' || place?.ladder.id !== ladder) continue;
    if (place.at !== at && !carries(place.ladder, place.at, at)) continue;
    const marks = place.at === at ? run.marks : run.marks.replace(/[^1]/g, '');
    const day = days.get(run.day) ?? { marks: '', at: run.at };
    days.set(run.day, { marks: day.marks + marks, at: Math.max(day.at, run.at) });
  }
  let card: Card | null = null;
  let lastAt = 0;
  for (const { marks, at: when } of days.values()) {
    const rating = ratingOf(marks);
    if (rating === null) continue;
    card = scheduler.next(card ?? createEmptyCard(new Date(when)), new Date(when), rating).card;
    lastAt = when;
  }
  return card ? { dueAt: card.due.getTime(), lastAt } : null;
}
