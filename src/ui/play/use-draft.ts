'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Help } from '@/core/answers/outcome';

/** What belongs to the answer before it is marked: sounds tapped as missed, help given, a note, the pace. */
export interface Draft {
  readonly turnKey: string;
  readonly missed: readonly number[];
  readonly helps: readonly Help[];
  readonly note: string;
  /** Index of the gap between sounds. */
  readonly gap: number;
}

const EMPTY: Draft = { turnKey: '', missed: [], helps: [], note: '', gap: 0 };

/** The draft of the turn being played; it outlives a reload of the tab and ends with its turn. */
export function useDraft(sessionId: string, turnKey: string): [Draft, (more: Partial<Draft>) => void] {
  const [draft, setDraft] = useState<Draft>(EMPTY);
  const place = `bouncy-echo-draft-${sessionId}`;
  useEffect(() => {
    const timer = setTimeout(() => {
      try {
        const kept = JSON.parse(sessionStorage.getItem(place) ?? 'null') as Draft | null;
        if (kept) setDraft((now) => (now === EMPTY ? { ...EMPTY, ...kept } : now));
      } catch {
        // What cannot be read was not written by this page: begin with an empty draft.
      }
    });
    return () => clearTimeout(timer);
  }, [place]);
  const mine = draft.turnKey === turnKey ? draft : EMPTY;
  const change = useCallback(
    (more: Partial<Draft>) =>
      setDraft((was) => {
        const next = { ...(was.turnKey === turnKey ? was : EMPTY), ...more, turnKey };
        sessionStorage.setItem(place, JSON.stringify(next));
        return next;
      }),
    [place, turnKey],
  );
  return [mine, change];
}
