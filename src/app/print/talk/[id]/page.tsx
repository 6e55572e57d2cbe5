import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { talkPaper } from '@/server/children/papers';
import { PaperScreen } from '@/ui/children/paper-screen';

export const metadata: Metadata = { title: 'To talk over' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => <PaperScreen paper={await talkPaper(id)} />);
