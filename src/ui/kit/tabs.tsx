'use client';

import { clsx } from 'clsx';
import { Tabs as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface TabsProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly pages: readonly { readonly id: string; readonly name: string; readonly page: ReactNode }[];
}

/** A few pages in one place; arrows move between their names. */
export const Tabs = ({ label, value, onChange, pages }: TabsProps) => (
  <Radix.Root value={value} onValueChange={onChange}>
    <Radix.List aria-label={label} className="mb-4 flex flex-wrap gap-x-5 border-b border-line">
      {pages.map(({ id, name }) => (
        <Radix.Trigger
          key={id}
          value={id}
          className={clsx(
            '-mb-px min-h-12 border-b-2 border-transparent text-muted hover:text-ink',
            'data-[state=active]:border-ink data-[state=active]:text-ink',
          )}
        >
          {name}
        </Radix.Trigger>
      ))}
    </Radix.List>
    {pages.map(({ id, page }) => (
      <Radix.Content key={id} value={id}>
        {page}
      </Radix.Content>
    ))}
  </Radix.Root>
);
