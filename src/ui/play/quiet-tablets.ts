import type { LendState, TabletShown } from '@/server/lending/lend';

/** Finishing waits no longer than this for an answer. */
const PATIENCE_MS = 2_000;

/** Tablets of this session that have not been heard for a while; none where it is not on loan, or nobody can say. */
export async function quietTablets(session: string): Promise<readonly TabletShown[]> {
  try {
    const response = await fetch('/api/lending', { signal: AbortSignal.timeout(PATIENCE_MS) });
    if (!response.ok) return [];
    const state = (await response.json()) as LendState;
    return state.session === session ? state.tablets.filter(({ quiet }) => quiet) : [];
  } catch {
    return [];
  }
}
