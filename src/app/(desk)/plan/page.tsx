import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { findGames, firstToFind } from '@/core/choosing/finding';
import { catalogue } from '@/server/plans/catalogue';
import { listPlans } from '@/server/plans/plans';
import { PlansScreen } from '@/ui/plan/plans-screen';

export const metadata: Metadata = { title: 'Plan' };

export default guarded(async () => {
  const group = await currentGroup();
  const [plans, games] = await Promise.all([listPlans(group.id), catalogue()]);
  return (
    <PlansScreen
      group={{ id: group.id, name: group.name, here: group.children.flatMap((c) => (c.away ? [] : c.id)) }}
      find={{ games: findGames(), first: firstToFind([], false) }}
      plans={plans}
      games={games}
    />
  );
});
