'use client';

import { Button, buttonLook } from '../../kit/button';
import { Dialog } from '../../kit/dialog';
import { Link } from '../../kit/link';
import { useRun } from '../use-run';
import { DeviceFields } from './device-fields';

interface DeviceDialogProps {
  readonly team: readonly string[];
  readonly onKeys: () => void;
  /** Asks which word of this turn the group is not to hear; absent where there is none. */
  readonly onAside: (() => void) | undefined;
  readonly onClose: () => void;
}

/** How Play runs on this device, and the ways from there. */
export function DeviceDialog({ team, onKeys, onAside, onClose }: DeviceDialogProps) {
  const device = useRun((run) => run.device);
  const { id, lent = false } = useRun((run) => run.session);
  return (
    <Dialog open onOpenChange={onClose} title="On this device">
      <DeviceFields team={team} device={device} named={!lent} />
      <div className="mt-3 flex gap-2">
        {onAside && (
          <Button size="big" className="flex-1" onClick={onAside}>
            Not with this group …
          </Button>
        )}
        <Button size="big" className="flex-1" onClick={onKeys}>
          Keys
        </Button>
        {!lent && (
          <Link className={buttonLook({ size: 'big' }, 'flex-1')} href={`/lend/${id}`}>
            Play it on a tablet
          </Link>
        )}
      </div>
    </Dialog>
  );
}
