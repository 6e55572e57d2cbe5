import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { homePaper } from '@/server/sessions/home-page';
import { HomePaperScreen } from '@/ui/look-back/home-paper-screen';

export const metadata: Metadata = { title: 'A page for families' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => <HomePaperScreen paper={await homePaper(id)} />);
