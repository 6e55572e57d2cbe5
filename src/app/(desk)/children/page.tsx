import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { accentOf } from '@/core/phonology/accents';
import { listGroups } from '@/server/people/groups';
import { getSettings } from '@/server/setting/settings';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { ChildrenScreen } from '@/ui/children/children-screen';

export const metadata: Metadata = { title: 'Children' };

export default guarded(async () => {
  const [group, all, { accent }] = await Promise.all([currentGroup(), listGroups(), getSettings()]);
  return (
    <>
      <SubNav label="Children" places={CHILD_PLACES} here="/children" />
      <ChildrenScreen group={group} all={all} country={accentOf(accent).country} />
    </>
  );
});
