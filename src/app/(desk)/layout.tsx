import type { ReactNode } from 'react';
import { currentGroup } from '@/app/current-group';
import { guarded } from '@/app/guarded';
import { listGroups } from '@/server/people/groups';
import { lendState } from '@/server/lending/lend';
import { behind } from '@/server/record/rebuild-queue';
import { RedLine } from '@/ui/lend/red-line';
import { DeskTop } from '@/ui/kit/desk-top';
import { StillReading } from '@/ui/kit/still-reading';
import { ToTop } from '@/ui/kit/to-top';
import { SendWaiting } from '@/ui/play/waiting/send-waiting';

export const dynamic = 'force-dynamic';

export default guarded(async ({ children }: { children: ReactNode }) => {
  const group = await currentGroup();
  const groups = (await listGroups()).map(({ id, name }) => ({ id, name }));
  return (
    <>
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-card focus:p-3">
        Skip to the page
      </a>
      <ToTop />
      <RedLine first={lendState()} />
      <DeskTop groups={groups} groupId={group.id} />
      <SendWaiting />
      <StillReading sessions={await behind()} />
      <main id="main" className="mx-auto max-w-[82rem] px-4 pt-6 pb-16 sm:px-10">
        {children}
      </main>
    </>
  );
});
