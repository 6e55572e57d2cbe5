import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { printedSet } from '@/server/words/printed-set';
import { PrintedSetScreen } from '@/ui/words/printed-set-screen';

export const metadata: Metadata = { title: 'Print a word set' };
export const dynamic = 'force-dynamic';

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default guarded(async ({ params, searchParams }: Props) => (
  <PrintedSetScreen
    set={await printedSet((await params).id)}
    as={(await searchParams).as === 'cards' ? 'cards' : 'list'}
  />
));
