import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { soundsToTick } from '@/server/words/sounds';
import { taughtSounds } from '@/server/words/taught';
import { wordsAside } from '@/server/words/put-aside';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { AsideList } from '@/ui/settings/aside-list';
import { TaughtGrid } from '@/ui/settings/taught-grid';

export const metadata: Metadata = { title: 'Sounds we’ve taught' };

export default guarded(async () => {
  const group = await currentGroup();
  const { accent, rows } = await soundsToTick();
  return (
    <>
      <SubNav label="Settings" places={SETTING_PLACES} here="/settings/taught" />
      <h1 className="mb-1 text-4xl">Sounds we’ve taught</h1>
      <TaughtGrid
        key={`${group.id} ${accent}`}
        groupId={group.id}
        groupName={group.name}
        taught={[...(await taughtSounds(group.id))]}
        rows={rows}
      />
      <AsideList groupId={group.id} groupName={group.name} words={await wordsAside(group.id)} />
    </>
  );
});
