import type { ChildAdvice } from '../choosing/advice';
import { listed } from '../in-words';

/** Skills named at once: those played last. */
const NAMED = 3;

/** What a child can do, in one sentence: no figures. What comes next is said by *next* alone. */
export function summaryOf({ skills }: Pick<ChildAdvice, 'skills'>): string {
  const last = (s: ChildAdvice['skills'][number]): number => Math.max(0, ...s.rungs.map((r) => r.lastAt ?? 0));
  const holds = [...skills]
    .sort((a, b) => last(b) - last(a))
    .flatMap(({ holds }) => (holds ? [holds.rung.does] : []))
    .slice(0, NAMED);
  if (holds.length) return `On their own, can ${listed(holds)}.`;
  return skills.some((s) => s.begun) ? 'Nothing is secure yet.' : 'We haven’t seen them play yet.';
}
