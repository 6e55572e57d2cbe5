import { Download } from 'lucide-react';
import type { Metadata } from 'next';
import { guarded } from '@/app/guarded';
import { databaseFile } from '@/server/storage/database';
import { SETTING_PLACES, SubNav } from '@/ui/kit/sub-nav';
import { deskSettings as say } from '../../../text';

export const metadata: Metadata = { title: say.ourData };

export default guarded(async () => (
  <>
    <SubNav label={say.settings} places={SETTING_PLACES} here="/settings/our-data" />
    <h1 className="mb-5 text-4xl">{say.ourData}</h1>
    <div className="max-w-3xl space-y-8">
      <section aria-labelledby="everything">
        <h2 id="everything" className="mb-2 text-2xl">
          {say.takeItWithYou}
        </h2>
        <p className="mb-3">{say.whatIsInIt}</p>
        <a className="plain" href="/api/everything" download>
          <Download size={18} aria-hidden="true" /> {say.takeOut}
        </a>
        <p className="mt-3 text-muted">{say.aboutChildren}</p>
      </section>
      <section aria-labelledby="where">
        <h2 id="where" className="mb-2 text-2xl">
          {say.whereDataLives}
        </h2>
        <p>
          {say.fileComputer} <code className="font-sans font-semibold break-all">{databaseFile()}</code>.
        </p>
        <p className="mt-2 text-muted">{say.backUpStop}</p>
      </section>
    </div>
  </>
));
