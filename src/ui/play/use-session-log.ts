'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 } from 'uuid';
import { mergeLogs, type Entry } from '@/core/sessions/log';
import { keep, release, waiting } from './outbox';

/** An entry before it has its id and time. */
export type NewEntry = Entry extends infer E ? (E extends Entry ? Omit<E, 'id' | 'at'> : never) : never;

export interface SessionLog {
  readonly log: readonly Entry[];
  /** Entries kept on the device that the server does not have yet. */
  readonly pending: number;
  /** What a person should know: another tab, a refused entry, a full disk. */
  readonly news: string | null;
  readonly dismiss: () => void;
  /** Keeps an entry on the device, then shows it, then sends it. */
  readonly add: (entry: NewEntry) => Promise<Entry | null>;
  readonly flush: () => Promise<void>;
}

const RETRY_MS = [500, 1_000, 2_000, 5_000] as const;

interface Answer { readonly log: Entry[]; readonly refused: { id: string; why: string }[] }

async function send(sessionId: string, entries: readonly Entry[]): Promise<Answer> {
  const response = await fetch(`/api/sessions/${sessionId}/log`, {
    method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ entries }),
  });
  const body = (await response.json()) as Answer & { error?: string };
  if (!response.ok) throw Object.assign(new Error(body.error ?? 'The server could not save the answer.'), { told: true });
  return body;
}

/** The log of a running session: device first, then server; the same from every tab and after every reload. */
export function useSessionLog(sessionId: string, initial: readonly Entry[]): SessionLog {
  const [log, setLog] = useState<readonly Entry[]>(initial);
  const [pending, setPending] = useState(0);
  const [news, setNews] = useState<string | null>(null);
  const flushing = useRef<Promise<void> | null>(null);
  const again = useRef(false);
  const tries = useRef(0);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const channel = useRef<BroadcastChannel | null>(null);

  const flush = useCallback((): Promise<void> => {
    if (flushing.current) {
      again.current = true;
      return flushing.current;
    }
    clearTimeout(timer.current);
    const run = async (): Promise<void> => {
      do {
        again.current = false;
        const entries = await waiting(sessionId);
        const { log: kept, refused } = await send(sessionId, entries);
        await release(entries.map((e) => e.id));
        if (refused.length) {
          const gone = new Set(refused.map((r) => r.id));
          setNews(refused[0]!.why);
          setLog((was) => mergeLogs(was.filter((e) => !gone.has(e.id)), kept));
        } else {
          setLog((was) => mergeLogs(was, kept));
        }
        tries.current = 0;
        setPending((await waiting(sessionId)).length);
      } while (again.current);
    };
    flushing.current = run()
      .catch((error: unknown) => {
        if (error instanceof Error && 'told' in error) setNews(error.message);
        const wait = RETRY_MS[Math.min(tries.current, RETRY_MS.length - 1)]!;
        tries.current += 1;
        timer.current = setTimeout(() => void flush(), wait);
      })
      .finally(() => {
        flushing.current = null;
      });
    return flushing.current;
  }, [sessionId]);

  useEffect(() => {
    let alive = true;
    void waiting(sessionId).then((entries) => {
      if (!alive) return;
      setPending(entries.length);
      setLog((was) => mergeLogs(was, entries));
      void flush();
    }, () => setNews('This browser keeps nothing on the device (a private window?). Answers go straight to the server.'));
    const onWake = (): void => void flush();
    window.addEventListener('online', onWake);
    window.addEventListener('focus', onWake);

    const other = new BroadcastChannel(`bouncy-echo-${sessionId}`);
    channel.current = other;
    other.onmessage = ({ data }: MessageEvent<{ hello?: boolean; here?: boolean; entry?: Entry }>) => {
      if (data.hello) other.postMessage({ here: true });
      if (data.hello || data.here) setNews('This session is open in another tab too. Marks from both are kept; the later mark of a turn stands.');
      if (data.entry) setLog((was) => mergeLogs(was, [data.entry!]));
    };
    other.postMessage({ hello: true });
    return () => {
      alive = false;
      clearTimeout(timer.current);
      window.removeEventListener('online', onWake);
      window.removeEventListener('focus', onWake);
      other.close();
    };
  }, [sessionId, flush]);

  const add = useCallback(async (entry: NewEntry): Promise<Entry | null> => {
    const made = { ...entry, id: v7(), at: Date.now() } as Entry;
    try {
      await keep(sessionId, made);
    } catch {
      try {
        await send(sessionId, [made]);
      } catch {
        setNews('That tap was not kept: this device has no room and the server cannot be reached. Please note it on paper.');
        return null;
      }
    }
    setLog((was) => mergeLogs(was, [made]));
    setPending((n) => n + 1);
    channel.current?.postMessage({ entry: made });
    void flush();
    return made;
  }, [sessionId, flush]);

  return { log, pending, news, dismiss: useCallback(() => setNews(null), []), add, flush };
}
