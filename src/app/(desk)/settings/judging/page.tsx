import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { getProgressSettings } from '@/server/setting/settings';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { ProgressForm } from '@/ui/settings/progress-form';

const JUDGING_PAGE = 'What the answers mean';

export const metadata: Metadata = { title: JUDGING_PAGE };

export default guarded(async () => (
  <>
    <SubNav label="Settings" places={SETTING_PLACES} here="/settings/judging" />
    <h1 className="mb-5 text-4xl">{JUDGING_PAGE}</h1>
    <ProgressForm settings={await getProgressSettings()} />
  </>
));
