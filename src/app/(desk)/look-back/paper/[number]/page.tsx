import { format } from 'date-fns';
import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { paperSheet } from '@/server/sessions/papers';
import { PaperScreen } from '@/ui/look-back/paper-screen';

export const metadata: Metadata = { title: 'Type in a grid' };
export const dynamic = 'force-dynamic';

export default guarded(async ({ params }: { params: Promise<{ number: string }> }) => (
  <PaperScreen sheet={await paperSheet((await params).number)} today={format(new Date(), 'yyyy-MM-dd')} />
));
