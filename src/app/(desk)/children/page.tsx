import type { Metadata } from 'next';
import { currentGroup } from '@/actions/current-group';
import { guarded } from '@/app/guarded';
import { accentOf } from '@/core/phonology/accents';
import { getSettings } from '@/server/setting/settings';
import { CHILD_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { ChildrenScreen } from '@/ui/children/children-screen';
import { deskChildren as say } from '../../text';

export const metadata: Metadata = { title: say.children };

export default guarded(async () => {
  const [group, { accent }] = await Promise.all([currentGroup(), getSettings()]);
  return (
    <>
      <SubNav label={say.children} places={CHILD_PLACES} here="/children" />
      <ChildrenScreen group={group} country={accentOf(accent).country} />
    </>
  );
});
