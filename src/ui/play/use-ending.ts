'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { forgetPage } from './offline';
import { quietTablets } from './quiet-tablets';
import { forget } from './run/outbox';
import { useRun, useStore } from './use-run';

/** Ends the session and looks back on it. With the server away the end is kept here; the screen says what waits. */
export function useEnding(): (how?: { readonly asked?: boolean }) => Promise<void> {
  const store = useStore();
  const id = useRun((run) => run.session.id);
  const lent = useRun((run) => run.session.lent);
  const router = useRouter();
  return useCallback(
    async ({ asked = false } = {}) => {
      // Marks may still be on a tablet that is not heard: that is asked about once.
      if (!asked && !lent && (await quietTablets(id)).length) return store.show({ dialog: 'finish' });
      // On a tablet that was lent it there is nothing to go to: the screen says so.
      if (!(await store.end()) || lent) return;
      await Promise.all([forget(Date.now()).catch(() => undefined), forgetPage(`/play/${id}`)]);
      router.push(`/look-back/${id}`);
    },
    [store, id, lent, router],
  );
}
