'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { forgetErasedHere } from '../erased';
import * as outbox from '../run/outbox';
import { sendVia } from '../run/send';
import { startSync, type Sync } from '../run/sync';

/** What was set aside, as a file to keep: open text, with the reason beside each entry. */
function fileOf(aside: readonly outbox.Aside[]): string {
  const entries = aside.map(({ sessionId, why, entry }) => ({ session: sessionId, why, entry }));
  return `${JSON.stringify({ format: 'bouncy-echo-set-aside', version: 1, entries }, null, 2)}\n`;
}

/** Gives the browser a file to save. */
function save(name: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

const PUT_BACK = 'Your data was put back from a backup. This page shows it as it is now.';

/** What this computer is called everywhere: what a browser keeps, it keeps for one name. */
const ONE_NAME = '127.0.0.1';
const OTHER_NAMES: readonly string[] = ['localhost', '[::1]'];

/** Where this page is under another name of this computer, and nothing of it is left here, it goes to the one name. */
function toOneName(): void {
  const { hostname, href } = window.location;
  if (!OTHER_NAMES.includes(hostname)) return;
  window.location.replace(Object.assign(new URL(href), { hostname: ONE_NAME }).href);
}

/**
 * At the table: sends what a run left waiting on this device while the server was away, session by session, says so
 * where the server does not take it, and keeps what it will never take until somebody has saved it.
 */
export function SendWaiting() {
  const router = useRouter();
  const [news, setNews] = useState<string | null>(null);
  const [aside, setAside] = useState<readonly outbox.Aside[]>([]);
  useEffect(() => {
    const running: Sync[] = [];
    let alive = true;
    const sendAll = async (): Promise<void> => {
      for (const sync of running.splice(0)) sync.stop();
      if (await forgetErasedHere()) {
        setNews(PUT_BACK);
        router.refresh();
      }
      for (const sessionId of await outbox.waitingSessions()) {
        if (!alive) return;
        const sync = startSync({
          sessionId,
          box: outbox.box,
          send: sendVia(),
          delivered: () => undefined,
          news: setNews,
        });
        running.push(sync);
        if (await sync.flush()) router.refresh();
      }
      const kept = await outbox.asideAll();
      if (alive) setAside(kept);
      if (!kept.length && !(await outbox.waitingSessions()).length) toOneName();
    };
    sendAll().catch(toOneName); // a browser without a store has nothing waiting
    // A page that was open elsewhere hears of a backup that was put back when somebody comes back to it.
    const again = (): void => {
      if (document.visibilityState === 'visible') sendAll().catch(() => undefined);
    };
    document.addEventListener('visibilitychange', again);
    window.addEventListener('focus', again);
    return () => {
      alive = false;
      document.removeEventListener('visibilitychange', again);
      window.removeEventListener('focus', again);
      for (const sync of running) sync.stop();
    };
  }, [router]);
  const drop = async (): Promise<void> => {
    await outbox.dropAside(aside.map((a) => a.id));
    setAside([]);
  };
  return (
    <>
      <p role="status" className={news ? 'bg-marigold-soft px-4 py-2 sm:px-10' : 'sr-only'}>
        {news}
      </p>
      {aside.length > 0 && <SetAside aside={aside} onDrop={() => void drop()} />}
    </>
  );
}

interface SetAsideProps {
  readonly aside: readonly outbox.Aside[];
  readonly onDrop: () => void;
}

/** Taps the server would not keep: why, and a way to save them. */
function SetAside({ aside, onDrop }: SetAsideProps) {
  const many = aside.length === 1 ? 'One tap' : `${aside.length} taps`;
  return (
    <section
      aria-label="Taps that weren’t saved"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 bg-marigold-soft px-4 py-2 sm:px-10"
    >
      <p className="min-w-0 flex-1">
        {many} on this device couldn’t be added to the session: {[...new Set(aside.map((a) => a.why))].join(' ')}
      </p>
      <button type="button" className="plain" onClick={() => save('bouncy-echo-set-aside.json', fileOf(aside))}>
        Save as a file
      </button>
      <button type="button" className="plain" onClick={onDrop}>
        Remove from this device
      </button>
    </section>
  );
}
