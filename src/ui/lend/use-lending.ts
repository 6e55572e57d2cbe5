'use client';

import { useCallback, useEffect, useState } from 'react';
import type { LendState } from '@/server/lending/lend';

const CHANNEL = 'bouncy-echo-lent';

/** Tells the other pages of this browser that something was lent, or is so no more. */
export function tellLending(): void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage(null);
  channel.close();
}

/**
 * What is on loan, asked for again and again while the page is seen.
 * @param first as the page came with it
 * @param everyMs how often, in milliseconds
 */
export function useLending(first: LendState, everyMs: number): { state: LendState; look: () => Promise<void> } {
  const [state, setState] = useState(first);
  const look = useCallback(async () => {
    try {
      const response = await fetch('/api/lending');
      if (response.ok) setState((await response.json()) as LendState);
    } catch {
      // The server is away: what was known stands.
    }
  }, []);
  useEffect(() => {
    const channel = new BroadcastChannel(CHANNEL);
    channel.onmessage = () => void look();
    const timer = setInterval(() => {
      if (document.visibilityState === 'visible') void look();
    }, everyMs);
    return () => {
      channel.close();
      clearInterval(timer);
    };
  }, [look, everyMs]);
  return { state, look };
}
