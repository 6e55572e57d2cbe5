'use client';

import { useEffect } from 'react';
import { forgetErasedHere } from './erased';
import { keepPage } from './offline';
import { changeDevice, deviceNow, onDevice } from './run/device';
import { keepDraft, keptDraft } from './run/draft';
import { press } from './run/keys';
import { openLink } from './run/link';
import type { Machine, RunStore } from './run/store';
import { tick } from './tick';
import { useWakeLock } from './use-wake-lock';
import type { PlaySession } from '@/server/sessions/play-session';

/** This browser, as a run asks of it. */
export const browserMachine = (sessionId: string): Machine => ({
  now: () => performance.now(),
  every: (ms, work) => {
    const timer = setInterval(work, ms);
    return () => clearInterval(timer);
  },
  tick,
  keepDraft: (draft) => keepDraft(sessionId, draft),
});

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Joins a run to this browser: its store and server, its settings, its keys, and whether the screen is seen. */
export function useRunning(store: RunStore, { id: sessionId, lent }: Pick<PlaySession, 'id' | 'lent'>): void {
  useWakeLock();
  useEffect(() => store.join((events) => openLink(sessionId, events)), [store, sessionId]);
  useEffect(() => {
    const read = (): void => store.setDevice(deviceNow());
    read();
    return onDevice(read);
  }, [store]);
  useEffect(() => store.restore(keptDraft(sessionId)), [store, sessionId]);
  useEffect(() => {
    // A page that was kept before somebody was erased goes; the one of now takes its place.
    // A tablet that is lent one session can ask for neither.
    if (!lent) void forgetErasedHere().then(() => keepPage(`/play/${sessionId}`));
  }, [sessionId, lent]);
  useEffect(() => {
    const look = (): void => store.hide(document.visibilityState === 'hidden');
    look();
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, [store]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target, key, repeat, ctrlKey, metaKey, altKey } = event;
      const does = press(store, {
        key,
        modified: repeat || ctrlKey || metaKey || altKey,
        typing: typing(target),
        onControl: target instanceof HTMLElement && target.closest('button, a') !== null,
      });
      if (!does) return;
      event.preventDefault();
      if (!store.snapshot().device.keys) changeDevice({ keys: true });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [store]);
}
