import type { Access } from '../answers/access';
import type { StepRun } from './evidence';

/** So many right answers, on so many days, in so many weeks from Monday to Sunday. Our own choice. */
const POINTER = { right: 8, share: 0.5, days: 3, weeks: 3, lookedAtDays: 90 } as const;

/** What an access setting hides: with it, every right answer came after hearing it twice, or with the face in sight. */
const HIDES: ReadonlySet<Access> = new Set<Access>(['said-twice', 'face']);

interface Hears {
  readonly access: readonly Access[];
  readonly lowOnly: boolean;
}

const times = (marks: string, mark: string): number => marks.split(mark).length - 1;

/**
 * True where, in three weeks or more, half or more of what a child got right came only after hearing it again, or
 * with the speaker’s face in sight: worth asking the family about hearing. It names no condition, and says nothing
 * where hearing is known about. Common practice, no source.
 */
export function hearingPointer(runs: readonly StepRun[], { access, lowOnly }: Hears): boolean {
  if (lowOnly || access.includes('aid')) return false;
  const always = access.some((a) => HIDES.has(a));
  const last = Math.max(...runs.map((r) => r.day));
  const lately = runs.filter((r) => r.standing === 'fresh' && last - r.day < POINTER.lookedAtDays);
  const counts = lately.map((run) => {
    const [own, helped] = [times(run.marks, '1'), times(run.marks, 'h')];
    const again = always ? own + helped : Math.min(helped, run.helps['said-again'] ?? 0);
    return { day: run.day, right: own + helped, again };
  });
  const sum = (of: 'right' | 'again'): number => counts.reduce((n, c) => n + c[of], 0);
  const days = counts.filter((c) => c.again > 0).map((c) => c.day);
  const weeks = new Set(days.map((day) => Math.floor((day + 3) / 7)));
  if (new Set(days).size < POINTER.days || weeks.size < POINTER.weeks) return false;
  return sum('right') >= POINTER.right && sum('again') >= POINTER.share * sum('right');
}
