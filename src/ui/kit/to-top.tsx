'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';

/** What happened last: a step back or forward keeps the place where one was. */
function makeSteps() {
  let back = false;
  let first = true;
  return {
    listen: (): (() => void) => {
      const onBack = (): void => {
        back = true;
      };
      window.addEventListener('popstate', onBack);
      return () => window.removeEventListener('popstate', onBack);
    },
    arrived: (): void => {
      if (!back && !first && !location.hash) window.scrollTo(0, 0);
      [back, first] = [false, false];
    },
  };
}

/**
 * A new page begins at its top. The framework leaves a page where it is scrolled to while its first line can be seen,
 * so that the bar above it is cut.
 */
export function ToTop() {
  const path = usePathname();
  const [steps] = useState(makeSteps);
  useEffect(() => steps.listen(), [steps]);
  useEffect(() => steps.arrived(), [steps, path]);
  return null;
}
