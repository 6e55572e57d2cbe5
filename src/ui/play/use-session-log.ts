'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { v7 } from 'uuid';
import { mergeLogs, type Entry } from '@/core/sessions/log';
import { keep, waiting } from './outbox';
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
  /** Sends what waits; `true` when the server has it all. */
  readonly flush: () => Promise<boolean>;
}

const WORDS = {
  otherTab: 'This session is open in another tab too. Marks from both are kept; the later mark of a turn stands.',
  noStore: 'This browser keeps nothing on the device (a private window?). Answers go straight to the server.',
  notKept: 'That tap was not kept: this device has no room and the server cannot be reached. Please note it on paper.',
} as const;

interface TabMessage { readonly hello?: boolean; readonly here?: boolean; readonly entry?: Entry }

/** The log of a running session: device first, then server; the same from every tab and after every reload. */
export function useSessionLog(sessionId: string, initial: readonly Entry[]): SessionLog {
  const [log, setLog] = useState<readonly Entry[]>(initial);
  const [pending, setPending] = useState(0);
  const [news, setNews] = useState<string | null>(null);
  const sync = useRef<Sync | null>(null);
  const channel = useRef<BroadcastChannel | null>(null);

  useEffect(() => {
    const running = startSync(sessionId, {
      kept: (kept, refused) => setLog((was) => mergeLogs(was.filter((e) => !refused.has(e.id)), kept)),
      pending: setPending,
      news: setNews,
    });
    sync.current = running;
    waiting(sessionId).then((entries) => {
      setPending(entries.length);
      setLog((was) => mergeLogs(was, entries));
      void running.flush();
    }, () => setNews(WORDS.noStore));
    const onWake = (): void => void running.flush();
    window.addEventListener('online', onWake);
    window.addEventListener('focus', onWake);

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
      tabs.close();
      window.removeEventListener('online', onWake);
      window.removeEventListener('focus', onWake);
    };
  }, [sessionId]);

  const add = useCallback(async (entry: NewEntry): Promise<boolean> => {
    const made = { ...entry, id: v7(), at: Date.now() } as Entry;
    try {
      await keep(sessionId, made);
    } catch {
      try {
        await send(sessionId, [made]);
      } catch {
        setNews(WORDS.notKept);
        return false;
      }
    }
    // The next turn is drawn before the sending begins, so that a slow device shows it first.
    flushSync(() => {
      setPending((n) => n + 1);
      setLog((was) => mergeLogs(was, [made]));
    });
    channel.current?.postMessage({ entry: made } satisfies TabMessage);
    void sync.current?.flush();
    return true;
  }, [sessionId]);

  return {
    log, pending, news, add,
    dismiss: useCallback(() => setNews(null), []),
    flush: useCallback(() => sync.current?.flush() ?? Promise.resolve(false), []),
  };
}
