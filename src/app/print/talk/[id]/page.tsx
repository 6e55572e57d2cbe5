import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { talkPaper } from '@/server/children/papers';
import { PaperScreen } from '@/ui/children/paper-screen';

export const metadata: Metadata = { title: 'To talk over' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id, { noticed }) => (
  <PaperScreen
    paper={await talkPaper(id, Date.now(), noticed === '1')}
    other={
      noticed === '1'
        ? { href: `/print/talk/${id}`, name: 'Leave out what we’ve noticed' }
        : { href: `/print/talk/${id}?noticed=1`, name: 'Add what we’ve noticed' }
    }
  />
));
