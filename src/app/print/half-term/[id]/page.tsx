import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { halfTermPaper } from '@/server/children/papers';
import { PaperScreen } from '@/ui/children/paper-screen';

export const metadata: Metadata = { title: 'Half-term page' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => (
  <PaperScreen paper={await halfTermPaper(id)} csvAt={`/api/groups/${id}/half-term`} />
));
