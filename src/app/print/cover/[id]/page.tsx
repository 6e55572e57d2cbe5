import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { coverCard } from '@/server/plans/cover-card';
import { CoverCardScreen } from '@/ui/today/cover-card-screen';

export const metadata: Metadata = { title: 'A card for who takes over' };
export const dynamic = 'force-dynamic';

export default guarded(
  async ({
    params,
    searchParams,
  }: {
    params: Promise<{ id: string }>;
    searchParams: Promise<{ initials?: string }>;
  }) => <CoverCardScreen card={await coverCard((await params).id)} initials={(await searchParams).initials === '1'} />,
);
