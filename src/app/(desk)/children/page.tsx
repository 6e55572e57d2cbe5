import type { Metadata } from 'next';
import { currentGroup } from '@/actions/current-group';
import { guarded } from '@/app/guarded';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { ChildrenScreen } from '@/ui/children/children-screen';

export const metadata: Metadata = { title: 'Children' };

export default guarded(async () => (
  <>
    <SubNav label="Children" places={CHILD_PLACES} here="/children" />
    <ChildrenScreen group={await currentGroup()} />
  </>
));
