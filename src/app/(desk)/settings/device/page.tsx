import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { PlayOnDevice } from '@/ui/settings/play-on-device';

export const metadata: Metadata = { title: 'This device' };

export default guarded(async () => (
  <>
    <SubNav label="Settings" places={SETTING_PLACES} here="/settings/device" />
    <h1 className="mb-2 text-4xl">This device</h1>
    <p className="mb-6 text-lg text-muted">
      These choices are for the tablet or computer in front of you. Others keep their own.
    </p>
    <PlayOnDevice />
  </>
));
