'use client';

import { createContext, useContext, useMemo, useSyncExternalStore } from 'react';
import { sure } from '@/core/sure';
import { nameIn, type Run } from './run/run';
import type { RunStore } from './run/store';

const RunContext = createContext<RunStore | null>(null);
export const RunProvider = RunContext.Provider;

/** The run this screen plays. */
export const useStore = (): RunStore => sure(useContext(RunContext), 'a run around this view');

/**
 * A part of the run, drawn again only when that part is another.
 * @param select picks what is in the snapshot; it makes nothing new
 */
export function useRun<T>(select: (run: Run) => T): T {
  const store = useStore();
  const get = (): T => select(store.snapshot());
  return useSyncExternalStore(store.subscribe, get, get);
}

/** What a child is called on this screen. */
export function useNames(): (id: string | null) => string {
  const names = useRun((run) => run.names);
  return useMemo(() => nameIn(names), [names]);
}
