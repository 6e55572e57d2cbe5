import { Download } from 'lucide-react';
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
import { deskSettings as say } from '../../text';

export const metadata: Metadata = { title: say.settings };

export default guarded(async () => {
  const [settings, group] = [await getSettings(), await currentGroup()];
  const consonants = consonantPad(settings.accent);
  const rows = [
    { name: say.toHold, sounds: consonants.filter((s) => makingOf(s.ipa) === 'hold') },
    { name: say.toClip, sounds: consonants.filter((s) => makingOf(s.ipa) === 'clip') },
    { name: say.light, sounds: consonants.filter((s) => makingOf(s.ipa) === 'light') },
    { name: say.vowels, sounds: vowelPad(settings.accent) },
  ];
  return (
    <>
      <h1 className="mb-2 text-4xl">{say.howWeSay}</h1>
      <p className="mb-8 max-w-3xl text-lg text-muted">{say.wayWholeTeam}</p>
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
          {say.whereDataLives}
        </h2>
        <p>
          {say.fileComputer} <code className="font-sans font-semibold break-all">{databaseFile()}</code>.
        </p>
        <p className="mt-2 text-muted">{say.backUpStop}</p>
        <p className="mt-4">
          <a className="plain" href="/api/everything" download>
            <Download size={18} aria-hidden="true" /> {say.takeOut}
          </a>
        </p>
        <p className="mt-2 text-muted">{say.aboutChildren}</p>
      </section>
    </>
  );
});
