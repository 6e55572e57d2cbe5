import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { shelf } from '@/server/words/props';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { ShelfScreen } from '@/ui/words/shelf-screen';

export const metadata: Metadata = { title: 'Prop shelf' };

export default guarded(async () => (
  <>
    <SubNav label="Words" places={WORD_PLACES} here="/words/shelf" />
    <ShelfScreen shelf={await shelf()} />
  </>
));
