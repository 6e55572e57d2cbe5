'use client';

import { keepBackupPlan } from '@/actions/backups';
import { Field } from '../kit/field';
import { Select } from '../kit/select';
import { SavedForm, useSaving } from './saved-form';

const asItIs = (given: { readonly folder: string; readonly dailyAt: string }) => given;

/** Times of day when a setting is open and the computer is likely on. */
const TIMES = Array.from({ length: 26 }, (_, i) => {
  const half = 13 + i;
  return `${String(Math.floor(half / 2)).padStart(2, '0')}:${half % 2 ? '30' : '00'}`;
});

interface BackupPlanProps {
  readonly folder: string;
  /** Such as `17:00`; empty where by hand alone. */
  readonly dailyAt: string;
}

/** Where backups go, and when. */
export function BackupPlan(usual: BackupPlanProps) {
  const { values, set, view } = useSaving({ place: 'backups', usual, act: keepBackupPlan, asked: asItIs });
  const times = TIMES.includes(values.dailyAt) || !values.dailyAt ? TIMES : [...TIMES, values.dailyAt].sort();
  return (
    <SavedForm view={view} save="Save where backups go">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
        <Field
          htmlFor="backup-folder"
          label={<b>Folder</b>}
          hint="Best on a USB stick, or a folder that your setting copies elsewhere."
        >
          <input
            id="backup-folder"
            className="field w-full max-w-md"
            maxLength={400}
            placeholder="/media/stick/bouncy-echo"
            value={values.folder}
            onChange={(event) => set('folder', event.target.value)}
          />
        </Field>
        <Field htmlFor="backup-time" label={<b>Every day at</b>}>
          <Select
            id="backup-time"
            value={values.dailyAt}
            onChange={(dailyAt) => set('dailyAt', dailyAt)}
            options={[['', 'only when I say so'], ...times.map((time): [string, string] => [time, time])]}
          />
        </Field>
      </div>
    </SavedForm>
  );
}
