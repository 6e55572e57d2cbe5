import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { lookBack } from '@/server/sessions/look-back';
import { LookBackScreen } from '@/ui/look-back/look-back-screen';

export const metadata: Metadata = { title: 'Look back' };

export default guarded(async ({ params }: { params: Promise<{ id: string }> }) => (
  <LookBackScreen session={await lookBack((await params).id)} />
));
