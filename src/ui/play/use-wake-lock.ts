'use client';

import { useEffect } from 'react';

/** Keeps the screen from sleeping while Play is open and seen, where the browser can. */
export function useWakeLock(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const hold = async (): Promise<void> => {
      if (document.visibilityState !== 'visible' || over) return;
      // A device low on power may say no; then it sleeps as it always does.
      lock = await navigator.wakeLock.request('screen').catch(() => null);
    };
    const seen = (): void => void hold();
    seen();
    document.addEventListener('visibilitychange', seen);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', seen);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}
