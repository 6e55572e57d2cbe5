import type { Metadata } from 'next';
import { currentGroup } from '@/actions/current-group';
import { guarded } from '@/app/guarded';
import { earsOf } from '@/server/sessions/ears';
import { EarsScreen } from '@/ui/children/ears-screen';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { deskChildrenEars as say } from '../../../text';

export const metadata: Metadata = { title: say.twoAdultsSame };
export const dynamic = 'force-dynamic';

export default guarded(async () => (
  <>
    <SubNav label={say.children} places={CHILD_PLACES} here="/children/ears" />
    <EarsScreen ears={await earsOf((await currentGroup()).id)} />
  </>
));
