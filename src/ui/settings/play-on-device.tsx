'use client';

import { useSyncExternalStore } from 'react';
import { DeviceFields } from '../play/dialogs/device-fields';
import { deviceNow, onDevice, USUAL } from '../play/run/device';

/** How Play runs on this device, before anything is played. */
export const PlayOnDevice = () => (
  <div className="max-w-xl">
    <DeviceFields team={[]} device={useSyncExternalStore(onDevice, deviceNow, () => USUAL)} />
  </div>
);
