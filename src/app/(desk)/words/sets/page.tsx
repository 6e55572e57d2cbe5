import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { listSets } from '@/server/words/word-sets';
import { SubNav, WORD_PLACES } from '@/ui/kit/sub-nav';
import { SetsScreen } from '@/ui/words/sets-screen';
import { deskWordsSets as say } from '../../../text';

export const metadata: Metadata = { title: say.ourWordSets };

export default guarded(async () => (
  <>
    <SubNav label={say.words} places={WORD_PLACES} here="/words/sets" />
    <SetsScreen sets={await listSets()} />
  </>
));
