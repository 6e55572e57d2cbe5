import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { lookBack } from '@/server/sessions/look-back';
import { LookBackScreen } from '@/ui/look-back/look-back-screen';

export const metadata: Metadata = { title: 'Look back' };

export default aboutOne(async (id) => <LookBackScreen session={await lookBack(id)} />);
