import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { childPaper } from '@/server/children/child-paper';
import { ChildPaperScreen } from '@/ui/children/child-paper-screen';

export const metadata: Metadata = { title: 'A page about a child' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id, { figures }) => (
  <ChildPaperScreen paper={await childPaper(id)} figures={figures === '1'} />
));
