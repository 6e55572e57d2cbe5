import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { playSession } from '@/server/sessions/play-session';
import { PlayScreen } from '@/ui/play/play-screen';

export const metadata: Metadata = { title: 'Play' };
export const dynamic = 'force-dynamic';

export default guarded(async ({ params }: { params: Promise<{ id: string }> }) => (
  <PlayScreen session={await playSession((await params).id)} />
));
