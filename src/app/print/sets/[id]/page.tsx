import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { printedSet } from '@/server/words/printed-set';
import { PrintedSetScreen } from '@/ui/words/printed-set-screen';

export const metadata: Metadata = { title: 'Print a word set' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id, { as }) => (
  <PrintedSetScreen set={await printedSet(id)} as={as === 'cards' ? 'cards' : 'list'} />
));
