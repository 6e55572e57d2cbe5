import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { weekBackPaper } from '@/server/children/week-back';
import { PaperScreen } from '@/ui/children/paper-screen';

export const metadata: Metadata = { title: 'First week back' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => <PaperScreen paper={await weekBackPaper(id)} />);
