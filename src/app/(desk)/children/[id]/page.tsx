import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { childPage } from '@/server/children/child-page';
import { ChildScreen } from '@/ui/children/child-screen';

export const metadata: Metadata = { title: 'A child' };
export const dynamic = 'force-dynamic';

export default guarded(async ({ params }: { params: Promise<{ id: string }> }) => {
  const page = await childPage((await params).id);
  return <ChildScreen key={page.id} page={page} />;
});
