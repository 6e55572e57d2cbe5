import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { lentSession } from '@/server/lending/lent-session';
import { PlayScreen } from '@/ui/play/play-screen';

export const metadata: Metadata = { title: 'Play' };
export const dynamic = 'force-dynamic';

// What a tablet gets: it is asked for by the way in, and handed on.
export default aboutOne(async (id) => <PlayScreen session={await lentSession(id)} />);
