import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { homePaper } from '@/server/sessions/home-page';
import { HomePaperScreen } from '@/ui/look-back/home-paper-screen';
import { printHomeId as say } from '../../../text';

export const metadata: Metadata = { title: say.pageFamilies };
export const dynamic = 'force-dynamic';

export default guarded(async ({ params }: { params: Promise<{ id: string }> }) => (
  <HomePaperScreen paper={await homePaper((await params).id)} />
));
