import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { lendState } from '@/server/lending/lend';
import { playSession } from '@/server/sessions/play-session';
import { RedLine } from '@/ui/lend/red-line';
import { PlayScreen } from '@/ui/play/play-screen';

export const metadata: Metadata = { title: 'Play' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id) => (
  <>
    <RedLine first={lendState()} thin />
    <PlayScreen session={await playSession(id)} />
  </>
));
