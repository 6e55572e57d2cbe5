'use client';

import { useEffect, useState } from 'react';

/** How long something may take before it is worth a word. */
const WORTH_A_WORD_MS = 1_000;

/** True once `on` has been true for a while: what passes in a moment is not shown. */
export function useLate(on: boolean): boolean {
  const [since, setSince] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSince(on), on ? WORTH_A_WORD_MS : 0);
    return () => clearTimeout(timer);
  }, [on]);
  return on && since;
}
