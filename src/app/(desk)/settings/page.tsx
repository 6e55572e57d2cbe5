import type { Metadata } from 'next';
import { currentGroup } from '@/actions/current-group';
import { guarded } from '@/app/guarded';
import { MAIN_ACCENTS, type AccentId } from '@/core/phonology/accents';
import { consonantPad, vowelPad } from '@/core/phonology/pad';
import { makingOf } from '@/core/phonology/sounds';
import { examplesOfCounting } from '@/server/words/counting-examples';
import { databaseFile } from '@/server/storage/database';
import { getProgressSettings, getSettings } from '@/server/setting/settings';
import { taughtSounds } from '@/server/words/taught';
import { wordsAside } from '@/server/words/put-aside';
import { AsideList } from '@/ui/settings/aside-list';
import { LookChoice } from '@/ui/settings/look-choice';
import { ProgressForm } from '@/ui/settings/progress-form';
import { SettingsForm } from '@/ui/settings/settings-form';
import { TaughtGrid } from '@/ui/settings/taught-grid';

export const metadata: Metadata = { title: 'Settings' };

export default guarded(async () => {
  const [settings, group] = [await getSettings(), await currentGroup()];
  const consonants = consonantPad(settings.accent);
  const rows = [
    { name: 'To hold', sounds: consonants.filter((s) => makingOf(s.ipa) === 'hold') },
    { name: 'To clip', sounds: consonants.filter((s) => makingOf(s.ipa) === 'clip') },
    { name: 'Light', sounds: consonants.filter((s) => makingOf(s.ipa) === 'light') },
    { name: 'Vowels', sounds: vowelPad(settings.accent) },
  ];
  return (
    <>
      <h1 className="mb-2 text-4xl">How we say and count</h1>
      <p className="mb-8 max-w-3xl text-lg text-muted">
        One way for the whole team, so that children hear one count. Good practitioners differ here; two minutes settle
        it.
      </p>
      <SettingsForm
        settings={settings}
        accents={MAIN_ACCENTS.map(({ id, name }) => ({ id: id as AccentId, name }))}
        examples={examplesOfCounting()}
      />
      <TaughtGrid
        key={`${group.id} ${settings.accent}`}
        groupId={group.id}
        groupName={group.name}
        taught={[...(await taughtSounds(group.id))]}
        rows={rows}
      />
      <AsideList groupId={group.id} groupName={group.name} words={await wordsAside(group.id)} />
      <ProgressForm settings={await getProgressSettings()} />
      <LookChoice />
      <section aria-labelledby="data" className="mt-12 max-w-3xl border-t border-line pt-6">
        <h2 id="data" className="mb-2 text-2xl">
          Where the data lives
        </h2>
        <p>
          All of it is in one file on this computer:{' '}
          <code className="font-sans font-semibold break-all">{databaseFile()}</code>.
        </p>
        <p className="mt-2 text-muted">
          To back it up, stop Bouncy Echo and copy that file together with any files beside it that end in -wal or -shm.
        </p>
      </section>
    </>
  );
});
