import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { getProgressSettings } from '@/server/setting/settings';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { ProgressForm } from '@/ui/settings/progress-form';
import { deskSettings as say } from '../../../text';

export const metadata: Metadata = { title: say.whatAnswersMean };

export default guarded(async () => (
  <>
    <SubNav label={say.settings} places={SETTING_PLACES} here="/settings/judging" />
    <h1 className="mb-5 text-4xl">{say.whatAnswersMean}</h1>
    <ProgressForm settings={await getProgressSettings()} />
  </>
));
