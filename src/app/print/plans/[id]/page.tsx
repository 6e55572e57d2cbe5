import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { printedPlan } from '@/server/plans/printed-plan';
import { PAPERS, PrintedPlanScreen } from '@/ui/plan/printed-plan-screen';

export const metadata: Metadata = { title: 'Print a plan' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default guarded(async ({ params, searchParams }: Props) => {
  const asked = (await searchParams).as;
  return (
    <PrintedPlanScreen plan={await printedPlan((await params).id)} as={PAPERS.find((p) => p === asked) ?? 'page'} />
  );
});
