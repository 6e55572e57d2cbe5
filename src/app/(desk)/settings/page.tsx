import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { ACCENTS } from '@/core/phonology/accents';
import { examplesOfCounting } from '@/server/counting-examples';
import { databaseFile } from '@/server/database';
import { getSettings } from '@/server/settings';
import { SettingsForm } from '@/ui/settings/settings-form';

export const metadata: Metadata = { title: 'Settings' };

export default guarded(async () => (
  <>
    <h1 className="mb-2 text-4xl">How we say and count</h1>
    <p className="mb-8 max-w-3xl text-lg text-muted">
      One way for the whole team, so that children hear one count. Good practitioners differ here; two minutes settle it.
    </p>
    <SettingsForm settings={await getSettings()} accents={ACCENTS.map(({ id, name }) => ({ id, name }))} examples={examplesOfCounting()} />
    <section aria-labelledby="data" className="mt-12 max-w-3xl border-t border-line pt-6">
      <h2 id="data" className="mb-2 text-2xl">Where the data lives</h2>
      <p>All of it is in one file on this computer: <code className="break-all font-sans font-semibold">{databaseFile()}</code>.</p>
      <p className="mt-2 text-muted">To back it up, stop Bouncy Echo and copy that file together with any files beside it that end in -wal or -shm.</p>
    </section>
  </>
));
