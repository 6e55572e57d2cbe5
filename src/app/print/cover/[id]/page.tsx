import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { coverCard } from '@/server/plans/cover-card';
import { CoverCardScreen } from '@/ui/today/cover-card-screen';

export const metadata: Metadata = { title: 'A card for who takes over' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id, { initials, day }) => (
  <CoverCardScreen card={await coverCard(id, day !== 'today')} initials={initials === '1'} />
));
