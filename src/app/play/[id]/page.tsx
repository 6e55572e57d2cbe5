import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { playSession } from '@/server/sessions/play-session';
import { PlayScreen } from '@/ui/play/play-screen';

export const metadata: Metadata = { title: 'Play' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => <PlayScreen session={await playSession(id)} />);
