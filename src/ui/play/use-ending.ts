'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { forgetPage } from './offline';
import { forget } from './run/outbox';
import { useRun, useStore } from './use-run';

/** Ends the session and looks back on it. With the server away the end is kept here; the screen says what waits. */
export function useEnding(): () => Promise<void> {
  const store = useStore();
  const id = useRun((run) => run.session.id);
  const router = useRouter();
  return useCallback(async () => {
    if (!(await store.end())) return;
    await Promise.all([forget(Date.now()).catch(() => undefined), forgetPage(`/play/${id}`)]);
    router.push(`/look-back/${id}`);
  }, [store, id, router]);
}
