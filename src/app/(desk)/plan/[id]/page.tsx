import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { catalogue } from '@/server/plans/catalogue';
import { openPlan } from '@/server/plans/plans';
import { PlanScreen } from '@/ui/plan/plan-screen';

export const metadata: Metadata = { title: 'Plan' };

export default aboutOne(async (id) => {
  const [open, games] = await Promise.all([openPlan(id), catalogue()]);
  return <PlanScreen key={open.id} open={open} games={games} />;
});
