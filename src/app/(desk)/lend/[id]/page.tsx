import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { lendView } from '@/server/lending/lend';
import { LendScreen } from '@/ui/lend/lend-screen';

export const metadata: Metadata = { title: 'Play it on a tablet' };

export default aboutOne(async (id) => <LendScreen view={await lendView(id)} />);
