import { clsx } from 'clsx';
import type { ReactNode } from 'react';

/** The middle of the screen. */
export const Stage = ({ children }: { readonly children: ReactNode }) => (
  <main
    className={clsx(
      'flex min-w-0 flex-col gap-2 px-4 py-3 [--room:calc(100vw-48px)] *:shrink-0 md:[contain:strict]',
      'max-xl:gap-1 max-xl:py-1.5 sm:px-7 sm:[--room:calc(100vw-72px)] md:overflow-y-auto',
      'md:[--room:min(46rem,calc(100vw-288px))] lg:px-9',
      'lg:[--room:min(46rem,calc(100vw-344px))]',
    )}
  >
    {children}
  </main>
);
