import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { childPaper } from '@/server/children/child-paper';
import { ChildPaperScreen } from '@/ui/children/child-paper-screen';

export const metadata: Metadata = { title: 'A page about a child' };
export const dynamic = 'force-dynamic';

export default guarded(
  async ({
    params,
    searchParams,
  }: {
    params: Promise<{ id: string }>;
    searchParams: Promise<{ figures?: string }>;
  }) => <ChildPaperScreen paper={await childPaper((await params).id)} figures={(await searchParams).figures === '1'} />,
);
