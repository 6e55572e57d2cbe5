'use client';

import { clsx } from 'clsx';
import { THINK_SECONDS } from '@/core/sessions/pace';
import { Dialog } from '../kit/dialog';
import { useLook } from '../kit/use-look';
import { changeDevice as change } from './run/device';
import { PLAY_KEYS } from './run/keys';
import { useRun } from './use-run';
import { deviceDialog as say } from './text';

/** Letters of a name or initials of who marks; as at the server’s door. */
const BY_LIMIT = 24;

interface DeviceDialogProps {
  readonly team: readonly string[];
  readonly onKeys: () => void;
  /** Asks which word of this turn the group is not to hear; absent where there is none. */
  readonly onAside: (() => void) | undefined;
  readonly onClose: () => void;
}

const Switch = ({ on, onTap, children }: { on: boolean; onTap: () => void; children: string }) => (
  <button
    type="button"
    role="switch"
    aria-checked={on}
    onClick={onTap}
    className="flex min-h-16 w-full items-center justify-between gap-4 text-left"
  >
    {children}
    <span
      aria-hidden="true"
      className={clsx(
        'flex h-8 w-14 shrink-0 items-center rounded-full border-2 border-ink p-1',
        on ? 'justify-end bg-ink' : 'bg-card',
      )}
    >
      <span className={`size-5 rounded-full ${on ? 'bg-card' : 'bg-ink'}`} />
    </span>
  </button>
);

/** Who marks: kept with each answer, so that two pairs of ears can be told apart. */
function WhoMarks({ team, by }: { readonly team: readonly string[]; readonly by: string }) {
  return (
    <label className="block py-3">
      <span className="mb-1 block">{say.marksNameInitials}</span>
      <input
        className="field"
        list="team"
        maxLength={BY_LIMIT}
        autoComplete="off"
        value={by}
        onChange={(e) => change({ by: e.target.value })}
      />
      <datalist id="team">
        {team.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </label>
  );
}

/** How Play runs on this device: thinking time, the countdown, a tick, initials, who marks. */
export function DeviceDialog({ team, onKeys, onAside, onClose }: DeviceDialogProps) {
  const device = useRun((run) => run.device);
  const [look, dress] = useLook();
  return (
    <Dialog open onOpenChange={onClose} title={say.onThisDevice}>
      <div className="divide-y divide-line">
        <fieldset className="pb-3">
          <legend className="mb-2">{say.timeThinkBefore}</legend>
          <div className="flex flex-wrap gap-2">
            {THINK_SECONDS.map((seconds) => (
              <button
                key={seconds}
                type="button"
                aria-pressed={device.think === seconds}
                onClick={() => change({ think: seconds })}
                className={clsx(
                  'min-h-16 min-w-16 rounded-full border px-4',
                  device.think === seconds
                    ? 'border-ink bg-ink text-card'
                    : 'border-line-strong bg-paper hover:border-ink',
                )}
              >
                {seconds ? `${seconds} s` : 'none'}
              </button>
            ))}
          </div>
        </fieldset>
        <Switch
          on={device.showMe}
          onTap={() => change({ showMe: !device.showMe, ...(device.think ? {} : { think: 5 }) })}
        >
          {say.countDownShow}
        </Switch>
        <Switch on={device.tick} onTap={() => change({ tick: !device.tick })}>
          {say.softTickEach}
        </Switch>
        <Switch on={device.initials} onTap={() => change({ initials: !device.initials })}>
          {say.initialsPlaceNames}
        </Switch>
        <Switch on={look === 'dim'} onTap={() => dress(look === 'dim' ? 'light' : 'dim')}>
          {say.dimNapTime}
        </Switch>
        <WhoMarks team={team} by={device.by} />
        <Switch on={device.second} onTap={() => change({ second: !device.second })}>
          {say.secondPairEars}
        </Switch>
        {device.second && (
          <p className="py-2 text-muted">{device.by.trim() ? say.marksStandBeside : say.sayAboveMarks}</p>
        )}
      </div>
      <div className="mt-3 flex gap-2">
        {onAside && (
          <button type="button" className="plain min-h-16 flex-1" onClick={onAside}>
            {say.group}
          </button>
        )}
        <button type="button" className="plain min-h-16 flex-1" onClick={onKeys}>
          {say.keys}
        </button>
      </div>
    </Dialog>
  );
}

/** Every key of the run. */
export const KeysDialog = ({ onClose }: { onClose: () => void }) => (
  <Dialog open onOpenChange={onClose} title={say.keys}>
    <dl className="grid grid-cols-[7rem_1fr] gap-y-2">
      {PLAY_KEYS.map(([key, what]) => (
        <div key={key} className="contents">
          <dt className="font-word font-bold">{key}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  </Dialog>
);
