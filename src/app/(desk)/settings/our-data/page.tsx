import { Download } from 'lucide-react';
import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { databaseFile } from '@/server/storage/database';
import { goingSoon } from '@/server/people/kept-long-enough';
import { keptRule, settingName } from '@/server/setting/settings';
import { backups } from '@/server/whole/backups';
import { journal } from '@/server/whole/journal';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { BackupsPart } from '@/ui/settings/backups';
import { Journal } from '@/ui/settings/journal';
import { KeepYears } from '@/ui/settings/keep-years';
import { NameForm } from '@/ui/settings/name-form';

export const metadata: Metadata = { title: 'Our data' };

export default guarded(async () => (
  <>
    <SubNav label="Settings" places={SETTING_PLACES} here="/settings/our-data" />
    <h1 className="mb-5 text-4xl">Our data</h1>
    <div className="max-w-3xl space-y-8">
      <NameForm name={(await settingName()) ?? ''} />
      <BackupsPart state={await backups()} />
      <KeepYears years={String((await keptRule()).years ?? '')} soon={await goingSoon()} />
      <section aria-labelledby="everything">
        <h2 id="everything" className="mb-2 text-2xl">
          Take everything with you
        </h2>
        <p className="mb-3">
          One ZIP holds every group, child, session, plan and word set, as files that other programs can open.
        </p>
        <a className="plain" href="/api/everything" download>
          <Download size={18} aria-hidden="true" /> Download everything as open files (ZIP)
        </a>
        <p className="mt-3 text-muted">It’s about children, so follow your setting’s rules on keeping it.</p>
      </section>
      <section aria-labelledby="where">
        <h2 id="where" className="mb-2 text-2xl">
          Where your data is
        </h2>
        <p>
          It’s all in one file on this computer:{' '}
          <code className="font-sans font-semibold break-all">{databaseFile()}</code>.
        </p>
      </section>
      <Journal lines={await journal()} />
    </div>
  </>
));
