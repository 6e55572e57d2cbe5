import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { getProgressSettings, hadPlainRule } from '@/server/setting/settings';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { ProgressForm } from '@/ui/settings/progress-form';

const JUDGING_PAGE = 'What the answers mean';

export const metadata: Metadata = { title: JUDGING_PAGE };

export default guarded(async () => (
  <>
    <SubNav label="Settings" places={SETTING_PLACES} here="/settings/judging" />
    <h1 className="mb-5 text-4xl">{JUDGING_PAGE}</h1>
    <p className="mb-5 max-w-3xl">
      A step is secure when there is little doubt left that a child can do it alone: eight answers or more without help,
      on two days or more, with guessing and what may only be speech allowed for.
    </p>
    {(await hadPlainRule()) && (
      <p className="mb-5 max-w-3xl border-l-4 border-marigold py-1 pl-4">
        You had chosen “4 of the last 5”. It called far too many children secure, so every child is now judged as above,
        from the same answers. Some steps may look less certain than before.
      </p>
    )}
    <ProgressForm settings={await getProgressSettings()} />
  </>
));
