'use client';

import { THINK_SECONDS } from '@/core/sessions/pace';
import { Chip } from '../../kit/chip';
import { Switch } from '../../kit/switch';
import { ToggleGroup } from '../../kit/toggle-group';
import { useLook } from '../../kit/use-look';
import { changeDevice as change, type Device, type NamesShown } from '../run/device';

const THINKING_TIME = 'Thinking time before anyone answers';

const NAMES_ON_SCREEN = 'Children’s names on this screen';

const WHICH_HAND = 'Which hand do you tap with?';

/** Letters of a name or initials of who marks; as at the server’s door. */
const BY_LIMIT = 24;

const NAMES = [
  ['full', 'Names'],
  ['initials', 'Initials'],
  ['plants', 'Plants only'],
] as const;

const HANDS = [
  ['right', 'Right'],
  ['left', 'Left'],
] as const;

/** Who marks: kept with each answer, so that two pairs of ears can be told apart. */
function WhoMarks({ team, by }: { readonly team: readonly string[]; readonly by: string }) {
  return (
    <div className="py-3">
      <label htmlFor="who-marks" className="mb-1 block">
        Who is marking? (a name or initials, saved with each answer)
      </label>
      <input
        id="who-marks"
        className="field"
        maxLength={BY_LIMIT}
        autoComplete="off"
        value={by}
        onChange={(e) => change({ by: e.target.value })}
      />
      {team.length > 0 && (
        <span className="mt-2 flex flex-wrap gap-2">
          {team.map((name) => (
            <Chip key={name} on={name === by} onClick={() => change({ by: name })}>
              {name}
            </Chip>
          ))}
        </span>
      )}
    </div>
  );
}

interface DeviceFieldsProps {
  readonly team: readonly string[];
  readonly device: Device;
  /** How names stand can be chosen; not where there are none. */
  readonly named?: boolean;
}

/** How Play runs on this device: thinking time, the countdown, a tick, initials, the look, who marks. */
export function DeviceFields({ team, device, named = true }: DeviceFieldsProps) {
  const [look, dress] = useLook();
  return (
    <div className="divide-y divide-line">
      <div className="pb-3">
        <p className="mb-2">{THINKING_TIME}</p>
        <ToggleGroup
          label={THINKING_TIME}
          value={String(device.think)}
          onChange={(seconds) => change({ think: Number(seconds) })}
          options={THINK_SECONDS.map((s) => [String(s), s ? `${s} s` : 'none'])}
        />
      </div>
      <Switch
        label="Count down to “show me”"
        on={device.showMe}
        onChange={(showMe) => change({ showMe, ...(device.think ? {} : { think: 5 }) })}
      />
      <Switch label="A soft tick with each beat" on={device.tick} onChange={(on) => change({ tick: on })} />
      {named && (
        <div className="py-3">
          <p className="mb-2">{NAMES_ON_SCREEN}</p>
          <ToggleGroup
            label={NAMES_ON_SCREEN}
            value={device.names}
            onChange={(names) => change({ names: names as NamesShown })}
            options={NAMES}
          />
        </div>
      )}
      <div className="py-3">
        <p className="mb-2">{WHICH_HAND}</p>
        <ToggleGroup
          label={WHICH_HAND}
          value={device.hand}
          onChange={(hand) => change({ hand: hand === 'left' ? 'left' : 'right' })}
          options={HANDS}
        />
      </div>
      <Switch
        label="Shortcuts on single keys, such as 1 or N"
        on={device.singleKeys}
        onChange={(singleKeys) => change({ singleKeys })}
      />
      <Switch label="Dim, for nap time" on={look === 'dim'} onChange={(dim) => dress(dim ? 'dim' : 'light')} />
      <WhoMarks team={team} by={device.by} />
      <Switch
        label="I’m a second pair of ears, listening along"
        on={device.second}
        onChange={(second) => change({ second })}
      />
      {device.second && (
        <p className="py-2 text-muted">
          {device.by.trim()
            ? 'Your marks are kept beside the first adult’s and change nothing. You can compare them in Children.'
            : 'Type who is marking above, so we can tell the two apart.'}
        </p>
      )}
    </div>
  );
}
