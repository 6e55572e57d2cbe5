import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { PlayOnDevice } from '@/ui/settings/play-on-device';
import { deskSettings as say } from '../../../text';

export const metadata: Metadata = { title: say.thisDevice };

export default guarded(async () => (
  <>
    <SubNav label={say.settings} places={SETTING_PLACES} here="/settings/device" />
    <h1 className="mb-2 text-4xl">{say.thisDevice}</h1>
    <p className="mb-6 text-lg text-muted">{say.onlyThisDevice}</p>
    <PlayOnDevice />
  </>
));
