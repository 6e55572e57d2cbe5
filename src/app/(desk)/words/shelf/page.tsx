import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { shelf } from '@/server/words/props';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { ShelfScreen } from '@/ui/words/shelf-screen';
import { deskWordsShelf as say } from '../../../text';

export const metadata: Metadata = { title: say.propShelf };

export default guarded(async () => (
  <>
    <SubNav label={say.words} places={WORD_PLACES} here="/words/shelf" />
    <ShelfScreen shelf={await shelf()} />
  </>
));
