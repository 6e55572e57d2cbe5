import type { ReactNode } from 'react';

/** The middle of the screen: all of it in sight, and under it what is at hand. */
export const Stage = ({ children, below }: { readonly children: ReactNode; readonly below?: ReactNode }) => (
  <main className="flex min-h-0 min-w-0 flex-col [contain:strict]">
    <div
      className="fit flex min-h-0 flex-1 flex-col overflow-y-auto px-(--side) py-2 *:shrink-0 roomy:py-4"
      data-zone="stage"
    >
      {children}
    </div>
    {below}
  </main>
);
