'use client';

import { useEffect, useRef } from 'react';

/** Keys of the likely answers, in order. */
export const LIKELY_KEYS = ['z', 'x', 'c', 'v'] as const;

/** What the help shows. */
export const PLAY_KEYS: readonly (readonly [string, string])[] = [
  ['1', 'On own'],
  ['2', 'With help'],
  ['3', 'Not yet'],
  ['4', 'No reply'],
  ['5', 'Doesn’t count'],
  ['Z X C V', 'the likely answers'],
  ['Space', 'beat the sounds out'],
  ['↑ ↓', 'another child'],
  ['← →', 'my turn, together, your turn'],
  ['A', 'said again'],
  ['S', 'slower'],
  ['W', 'other word'],
  ['P', 'come back to this child later'],
  ['N', 'note'],
  ['T', 'something else they said'],
  ['O', 'put right by self'],
  ['B', 'pause'],
  ['D', 'on this device'],
  ['U', 'undo'],
  ['H', 'children can see'],
  ['?', 'these keys'],
];

interface PlayKeys {
  readonly blocked: boolean;
  readonly keys: Readonly<Record<string, () => void>>;
}

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Shortcuts of the run. They never fire while someone types, with a modifier, or for a key held down. */
export function usePlayKeys(now: PlayKeys): void {
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { blocked, keys } = latest.current;
      if (blocked || event.repeat || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
      // Space and Enter keep their meaning on a focused button or link.
      const onControl = event.target instanceof HTMLElement && event.target.closest('button, a') !== null;
      if (onControl && (event.key === ' ' || event.key === 'Enter')) return;
      const act = keys[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
