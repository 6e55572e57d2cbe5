import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { catalogue } from '@/server/plans/catalogue';
import { openPlan } from '@/server/plans/plans';
import { PlanScreen } from '@/ui/plan/plan-screen';

export const metadata: Metadata = { title: 'Plan' };

export default guarded(async ({ params }: { params: Promise<{ id: string }> }) => {
  const [open, games] = await Promise.all([openPlan((await params).id), catalogue()]);
  return <PlanScreen key={open.id} open={open} games={games} />;
});
