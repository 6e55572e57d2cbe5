import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { listGroups } from '@/server/people/groups';
import { NewYear } from '@/ui/children/new-year';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';

export const metadata: Metadata = { title: 'A new school year' };

export default guarded(async () => (
  <>
    <SubNav label="Children" places={CHILD_PLACES} here="/children" />
    <NewYear groups={(await listGroups()).map(({ id, name, children }) => ({ id, name, children: children.length }))} />
  </>
));
