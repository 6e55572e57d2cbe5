import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { MAIN_ACCENTS, type AccentId } from '@/core/phonology/accents';
import { examplesOfCounting } from '@/server/words/counting-examples';
import { getSettings } from '@/server/setting/settings';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { SettingsForm } from '@/ui/settings/settings-form';
import { deskSettings as say } from '../../text';

export const metadata: Metadata = { title: say.howWeSay };

export default guarded(async () => (
  <>
    <SubNav label={say.settings} places={SETTING_PLACES} here="/settings" />
    <h1 className="mb-2 text-4xl">{say.howWeSay}</h1>
    <p className="mb-6 max-w-3xl text-lg text-muted">{say.wayWholeTeam}</p>
    <SettingsForm
      settings={await getSettings()}
      accents={MAIN_ACCENTS.map(({ id, name }) => ({ id: id as AccentId, name }))}
      examples={examplesOfCounting()}
    />
  </>
));
