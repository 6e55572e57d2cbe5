import type { Metadata } from 'next';
import { aboutOne } from '@/app/guarded';
import { lettersPaper } from '@/server/words/letters-paper';
import { LettersPaperScreen, SHEETS } from '@/ui/letters/letters-paper-screen';

export const metadata: Metadata = { title: 'Print letters' };
export const dynamic = 'force-dynamic';

export default aboutOne(async (id, { as }) => (
  <LettersPaperScreen paper={await lettersPaper(id)} as={SHEETS.find((sheet) => sheet === as) ?? 'cards'} />
));
