import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { earsOf } from '@/server/sessions/ears';
import { EarsScreen } from '@/ui/children/ears-screen';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';

export const metadata: Metadata = { title: 'Do we mark alike?' };
export const dynamic = 'force-dynamic';

export default guarded(async () => (
  <>
    <SubNav label="Children" places={CHILD_PLACES} here="/children/ears" />
    <EarsScreen ears={await earsOf((await currentGroup()).id)} />
  </>
));
