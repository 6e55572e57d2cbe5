import type { Metadata } from 'next';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { lettersPage } from '@/server/words/letters-page';
import { soundsToTick } from '@/server/words/sounds';
import { tickedSounds } from '@/server/words/taught';
import { wordsAside } from '@/server/words/put-aside';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { LettersSwitch } from '@/ui/letters/letters-switch';
import { LettersScreen } from '@/ui/letters/letters-screen';
import { AsideList } from '@/ui/settings/aside-list';
import { TaughtGrid } from '@/ui/settings/taught-grid';

export const metadata: Metadata = { title: 'What we’ve taught' };

export default guarded(async () => {
  const group = await currentGroup();
  const page = group.letters ? await lettersPage(group.id) : null;
  const { accent, rows } = await soundsToTick();
  return (
    <>
      <SubNav label="Settings" places={SETTING_PLACES} here="/settings/taught" />
      <h1 className="mb-1 text-4xl">{page ? 'Sounds and letters we’ve taught' : 'Sounds we’ve taught'}</h1>
      {page ? (
        <LettersScreen key={`${group.id} ${accent}`} group={group} page={page} />
      ) : (
        <TaughtGrid
          key={`${group.id} ${accent}`}
          groupId={group.id}
          groupName={group.name}
          taught={[...(await tickedSounds(group.id))]}
          rows={rows}
        />
      )}
      <LettersSwitch groupId={group.id} groupName={group.name} on={group.letters} />
      <AsideList groupId={group.id} groupName={group.name} words={await wordsAside(group.id)} />
    </>
  );
});
