import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { listSets } from '@/server/words/word-sets';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { SetsScreen } from '@/ui/words/sets-screen';

export const metadata: Metadata = { title: 'Our word sets' };

export default guarded(async () => (
  <>
    <SubNav label="Words" places={WORD_PLACES} here="/words/sets" />
    <SetsScreen sets={await listSets()} />
  </>
));
