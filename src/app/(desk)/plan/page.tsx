import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { findGames, firstToFind } from '@/core/choosing/finding';
import { findStep, findTask } from '@/core/games';
import { catalogue } from '@/server/plans/catalogue';
import { listPlans } from '@/server/plans/plans';
import { readySessions } from '@/server/plans/today';
import { PlansScreen } from '@/ui/plan/plans-screen';

export const metadata: Metadata = { title: 'Plan' };

interface PlanPageProps {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** A game and step that were asked for in the address; null where there are none of that name. */
function askedIn({ task, step }: Awaited<PlanPageProps['searchParams']>) {
  const game = typeof task === 'string' ? findTask(task) : undefined;
  const played = game && typeof step === 'string' ? findStep(game, step) : undefined;
  return game ? { task: game.id, step: played?.id ?? '' } : null;
}

export default guarded(async ({ searchParams }: PlanPageProps) => {
  const group = await currentGroup();
  const [plans, games, ready, asked] = await Promise.all([
    listPlans(group.id),
    catalogue(),
    readySessions(group),
    searchParams.then(askedIn),
  ]);
  const next = ready.find(({ wish }) => wish.shape === 'focus')?.wish;
  return (
    <PlansScreen
      group={{ id: group.id, name: group.name, here: group.children.flatMap((c) => (c.away ? [] : c.id)) }}
      find={{ games: findGames(), first: firstToFind([], false) }}
      first={asked ?? { task: next?.task ?? 'blending', step: next?.step ?? '' }}
      plans={plans}
      games={games}
    />
  );
});
