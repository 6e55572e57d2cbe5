import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { printedPlan } from '@/server/plans/printed-plan';
import { PAPERS, PrintedPlanScreen } from '@/ui/plan/printed-plan-screen';

export const metadata: Metadata = { title: 'Print a plan' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id, { as }) => (
  <PrintedPlanScreen plan={await printedPlan(id)} as={PAPERS.find((p) => p === as) ?? 'page'} />
));
