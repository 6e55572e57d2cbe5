import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { childPage } from '@/server/children/child-page';
import { ChildScreen } from '@/ui/children/child-screen';

export const metadata: Metadata = { title: 'A child' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => {
  const page = await childPage(id);
  return <ChildScreen key={page.id} page={page} />;
});
