'use client';

import { Progress as Radix } from 'radix-ui';

interface ProgressProps {
  readonly label: string;
  readonly done: number;
  readonly of: number;
}

/** How far something has come. */
export const Progress = ({ label, done, of }: ProgressProps) => (
  <Radix.Root
    aria-label={label}
    value={Math.min(done, of)}
    max={Math.max(1, of)}
    className="h-2 w-full overflow-hidden rounded-full bg-line"
  >
    <Radix.Indicator
      className="block h-full bg-ink"
      style={{ width: `${(100 * Math.min(done, of)) / Math.max(1, of)}%` }}
    />
  </Radix.Root>
);
