'use client';

import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { Link } from './link';
import { Popover } from './popover';

interface PlacesMenuProps {
  /** What the places are. */
  readonly label: string;
  /** The name of the place that is open. */
  readonly here: string;
  readonly places: readonly (readonly [href: string, name: string])[];
}

/** The way to other screens on a phone, where a row of links would take a third of it. */
export function PlacesMenu({ label, here, places }: PlacesMenuProps) {
  const [open, setOpen] = useState(false);
  return (
    <Popover
      label={label}
      narrow
      open={open}
      onOpenChange={setOpen}
      trigger={
        <button
          type="button"
          className="flex min-h-12 max-w-full items-center gap-1.5 rounded-lg font-word text-lg font-bold sm:hidden"
          aria-label={`${label}: ${here}`}
        >
          <span className="min-w-0 truncate">{here}</span>{' '}
          <ChevronDown aria-hidden="true" size={18} className="shrink-0" />
        </button>
      }
    >
      <nav aria-label={label}>
        {places.map(([href, name]) => (
          <Link
            key={href}
            href={href}
            aria-current={name === here ? 'page' : undefined}
            onClick={() => setOpen(false)}
            className="flex min-h-12 items-center rounded-lg px-4 hover:bg-slate-soft aria-[current]:font-bold"
          >
            {name}
          </Link>
        ))}
      </nav>
    </Popover>
  );
}
