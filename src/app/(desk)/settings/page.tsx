import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { MAIN_ACCENTS, type AccentId } from '@/core/phonology/accents';
import { examplesOfCounting } from '@/server/words/counting-examples';
import { getSettings } from '@/server/setting/settings';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { SettingsForm } from '@/ui/settings/settings-form';

const SOUNDS_PAGE = 'How we say and count';

export const metadata: Metadata = { title: SOUNDS_PAGE };

export default guarded(async () => (
  <>
    <SubNav label="Settings" places={SETTING_PLACES} here="/settings" />
    <h1 className="mb-2 text-4xl">{SOUNDS_PAGE}</h1>
    <p className="mb-6 max-w-3xl text-lg text-muted">
      Choose one way for the whole team, so children always hear the same count. Good practitioners differ here; it
      takes two minutes to settle.
    </p>
    <SettingsForm
      settings={await getSettings()}
      accents={MAIN_ACCENTS.map(({ id, name }) => ({ id: id as AccentId, name }))}
      examples={examplesOfCounting()}
    />
  </>
));
