'use client';

import { ChevronDown } from 'lucide-react';
import Link from 'next/link';
import { DropdownMenu as Radix } from 'radix-ui';
import { MENU_ITEM, MENU_PAGE } from './menu';

interface PlacesMenuProps {
  /** What the places are. */
  readonly label: string;
  /** The name of the place that is open. */
  readonly here: string;
  readonly places: readonly (readonly [href: string, name: string])[];
}

/** The way to other screens on a phone, where a row of links would take a third of it. */
export const PlacesMenu = ({ label, here, places }: PlacesMenuProps) => (
  <Radix.Root>
    <Radix.Trigger
      className="flex min-h-12 max-w-full items-center gap-1.5 rounded-lg font-word text-lg font-bold sm:hidden"
      aria-label={`${label}: ${here}`}
    >
      <span className="min-w-0 truncate">{here}</span> <ChevronDown aria-hidden="true" size={18} className="shrink-0" />
    </Radix.Trigger>
    <Radix.Portal>
      <Radix.Content align="start" sideOffset={4} collisionPadding={8} className={MENU_PAGE}>
        {places.map(([href, name]) => (
          <Radix.Item key={href} asChild className={MENU_ITEM}>
            <Link href={href} aria-current={name === here ? 'page' : undefined} className="aria-[current]:font-bold">
              {name}
            </Link>
          </Radix.Item>
        ))}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
