'use client';

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { v7 } from 'uuid';
import { mergeLogs, type Entry } from '@/core/sessions/log';
import { makeStamps, type Stamps } from '@/core/sessions/stamps';
import { keep, keptLog, waiting } from './outbox';
import { send, startSync, type Sync } from './sync';

/** An entry before it has its id and time. */
export type NewEntry = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'at'> : never) : never;

export interface SessionLog {
  readonly log: readonly Entry[];
  /** Entries kept on the device that the server does not have yet. */
  readonly pending: number;
  /** What a person should know: another tab, a refused entry, a full disk. */
  readonly news: string | null;
  readonly dismiss: () => void;
  /** Keeps an entry on the device, then shows it, then sends it. `false` where it could not be kept anywhere. */
  readonly add: (entry: NewEntry) => Promise<boolean>;
  /** Resolves when what was tapped before is kept and shown, so that a quick second tap speaks of what it made. */
  readonly settled: () => Promise<unknown>;
  /** Sends what waits; `true` when the server has it all. */
  readonly flush: () => Promise<boolean>;
}

const WORDS = {
  otherTab: 'This session is open in another tab too. Marks from both are kept; the later mark of a turn stands.',
  noStore: 'This browser keeps nothing on the device (a private window?). Answers go straight to the server.',
  noRoom:
    'This device has no room left, so answers go straight to the server. They are safe there as long as it answers.',
  notKept: 'That tap was not kept: this device has no room and the server cannot be reached. Please note it on paper.',
} as const;

/** How often another device's marks are asked for, while the screen is seen. */
const LOOK_MS = 2_500;
const CLOCK = 'bouncy-echo-clock';
/** How long the first tap of a page waits for the server's time. */
const CLOCK_PATIENCE_MS = 1_000;

interface TabMessage {
  readonly hello?: boolean;
  readonly here?: boolean;
  readonly entry?: Entry;
}

/** How far the device's clock was off when it last heard the server. */
function knownOffset(): number {
  try {
    return Number(localStorage.getItem(CLOCK) ?? 0) || 0;
  } catch {
    return 0;
  }
}

function rememberOffset(ms: number): void {
  try {
    localStorage.setItem(CLOCK, String(ms));
  } catch {
    // Asked again the next time.
  }
}

/** The log of a running session: device first, then server; the same from every tab and after every reload. */
export function useSessionLog(sessionId: string, initial: readonly Entry[]): SessionLog {
  const [log, setLog] = useState<readonly Entry[]>(initial);
  const [pending, setPending] = useState(0);
  const [news, setNews] = useState<string | null>(null);
  const sync = useRef<Sync | null>(null);
  const ready = useRef<Promise<unknown> | null>(null);
  const channel = useRef<BroadcastChannel | null>(null);
  const clock = useRef<Stamps | null>(null);
  const stamps = useCallback(
    (): Stamps => (clock.current ??= makeStamps(knownOffset(), (msecs, seq) => v7({ msecs, seq }))),
    [],
  );
  const newest = log.at(-1)?.id;
  useEffect(() => {
    if (newest) stamps().seen(newest);
  }, [newest, stamps]);

  useEffect(() => {
    const running = startSync(sessionId, {
      kept: (kept, refused) => {
        if (kept.length || refused.size)
          setLog((was) => mergeLogs(refused.size ? was.filter((e) => !refused.has(e.id)) : was, kept));
      },
      pending: setPending,
      news: setNews,
      time: (serverNow, sentAt, gotAt) => {
        stamps().serverSaid(serverNow, sentAt, gotAt);
        rememberOffset(stamps().offset());
      },
    });
    sync.current = running;
    // The page may be a snapshot: what was marked since is on this device.
    const read = Promise.all([waiting(sessionId), keptLog(sessionId)]).then(
      ([entries, copy]) => {
        setPending(entries.length);
        if (entries.length || copy.length) setLog((was) => mergeLogs(was, copy, entries));
      },
      () => setNews(WORDS.noStore),
    );
    ready.current = Promise.race([
      read.then(() => running.flush()),
      new Promise((resolve) => {
        setTimeout(resolve, CLOCK_PATIENCE_MS);
      }),
    ]);
    const onWake = (): void => void running.flush();
    window.addEventListener('online', onWake);
    window.addEventListener('focus', onWake);
    const looking = setInterval(() => {
      if (document.visibilityState === 'visible' && navigator.onLine) void running.flush();
    }, LOOK_MS);

    const tabs = new BroadcastChannel(`bouncy-echo-${sessionId}`);
    channel.current = tabs;
    tabs.onmessage = ({ data }: MessageEvent<TabMessage>) => {
      if (data.hello) tabs.postMessage({ here: true } satisfies TabMessage);
      if (data.hello || data.here) setNews(WORDS.otherTab);
      const { entry } = data;
      if (entry) setLog((was) => mergeLogs(was, [entry]));
    };
    tabs.postMessage({ hello: true } satisfies TabMessage);
    return () => {
      running.stop();
      channel.current = null;
      tabs.close();
      clearInterval(looking);
      window.removeEventListener('online', onWake);
      window.removeEventListener('focus', onWake);
    };
  }, [sessionId, stamps]);

  const last = useRef<Promise<unknown>>(Promise.resolve());
  const settled = useCallback(() => last.current, []);
  const keepOne = useCallback(
    async (entry: NewEntry): Promise<boolean> => {
      // Nothing is stamped by a clock that may be an hour out while the server is about to say the time.
      await ready.current;
      const made = { ...entry, ...stamps().make(Date.now()) } as Entry;
      let onDevice = true;
      try {
        await keep(sessionId, made);
      } catch {
        try {
          await send(sessionId, [made]);
          onDevice = false;
          setNews(WORDS.noRoom);
        } catch {
          setNews(WORDS.notKept);
          return false;
        }
      }
      // On its way to the server while the next turn is drawn.
      void sync.current?.flush(onDevice ? made : undefined);
      flushSync(() => {
        if (onDevice) setPending((n) => n + 1);
        setLog((was) => mergeLogs(was, [made]));
      });
      // Other tabs hear of it once this one has drawn.
      setTimeout(() => channel.current?.postMessage({ entry: made } satisfies TabMessage));
      return true;
    },
    [sessionId, stamps],
  );
  const add = useCallback(
    (entry: NewEntry): Promise<boolean> => {
      const work = keepOne(entry);
      last.current = work;
      return work;
    },
    [keepOne],
  );

  return useMemo(
    () => ({
      log,
      pending,
      news,
      add,
      settled,
      dismiss: () => setNews(null),
      flush: () => sync.current?.flush() ?? Promise.resolve(false),
    }),
    [log, pending, news, add, settled],
  );
}
