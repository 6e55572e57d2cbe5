'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { waitingSessions } from './outbox';
import { startSync, type Sync } from './sync';

/**
 * At the table: sends what a run left waiting on this device while the server was away, session by session, and says so
 * where the server does not take it.
 */
export function SendWaiting() {
  const router = useRouter();
  const [news, setNews] = useState<string | null>(null);
  useEffect(() => {
    const running: Sync[] = [];
    let alive = true;
    const sendAll = async (): Promise<void> => {
      for (const session of await waitingSessions()) {
        if (!alive) return;
        const sync = startSync(session, { kept: () => undefined, pending: () => undefined, news: setNews });
        running.push(sync);
        if (await sync.flush()) router.refresh();
      }
    };
    sendAll().catch(() => undefined); // a browser without a store has nothing waiting
    return () => {
      alive = false;
      for (const sync of running) sync.stop();
    };
  }, [router]);
  return (
    <p role="status" className={news ? 'bg-marigold-soft px-4 py-2 sm:px-10' : 'sr-only'}>
      {news}
    </p>
  );
}
