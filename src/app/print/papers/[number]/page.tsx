import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { paperSheet } from '@/server/sessions/papers';
import { PrintedPaperScreen } from '@/ui/plan/printed-paper-screen';

export const metadata: Metadata = { title: 'Print a plan' };
export const dynamic = 'force-dynamic';

export default guarded(async ({ params }: { params: Promise<{ number: string }> }) => (
  <PrintedPaperScreen sheet={await paperSheet((await params).number)} />
));
