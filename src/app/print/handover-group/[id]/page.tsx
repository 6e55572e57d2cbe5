import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { groupHandover } from '@/server/children/papers';
import { PaperScreen } from '@/ui/children/paper-screen';

export const metadata: Metadata = { title: 'Group handover' };
export const dynamic = 'force-dynamic';

export default guarded(async ({ params }: { params: Promise<{ id: string }> }) => {
  const { id } = await params;
  return <PaperScreen paper={await groupHandover(id)} />;
});
