'use client';

import { clsx } from 'clsx';
import { usePathname } from 'next/navigation';
import { useOptimistic, useTransition } from 'react';
import { chooseGroup } from '@/actions/groups';
import { Link } from './link';
import { PlacesMenu } from './places-menu';
import { QuickFind } from './quick-find';
import { Select } from './select';
import { unreached } from './unreached';

const PLACES = [
  ['/', 'Today'],
  ['/words', 'Words'],
  ['/plan', 'Plan'],
  ['/look-back', 'Look back'],
  ['/children', 'Children'],
  ['/sounds', 'Sounds'],
  ['/settings', 'Settings'],
] as const;

/** The way between the screens at the table, and which group they are about. */
export function DeskTop({ groups, groupId }: { groups: readonly { id: string; name: string }[]; groupId: string }) {
  const path = usePathname();
  const [chosen, show] = useOptimistic(groupId);
  const [, begin] = useTransition();
  const choose = async (id: string): Promise<void> => {
    show(id);
    // Where the server is away the list goes back to the group that is shown.
    await chooseGroup(id).catch(unreached());
  };
  const isHere = (href: string): boolean =>
    href === '/' ? path === '/' : path.startsWith(href) || (href === '/words' && path.startsWith('/word/'));
  return (
    <header
      className={clsx(
        'mx-auto flex max-w-[82rem] items-center gap-x-4 px-4 pt-2 sm:flex-wrap sm:px-10 lg:gap-x-8 print:hidden',
      )}
    >
      <p className="font-word text-xl font-bold max-lg:sr-only">Bouncy Echo</p>
      <PlacesMenu label="Screens" places={PLACES} here={PLACES.find(([href]) => isHere(href))?.[1] ?? 'Bouncy Echo'} />
      <nav aria-label="Screens" className="flex flex-wrap gap-x-4 max-sm:hidden lg:gap-x-6">
        {PLACES.map(([href, name]) => (
          <Link
            key={href}
            href={href}
            aria-current={isHere(href) ? 'page' : undefined}
            className={clsx(
              'flex min-h-12 items-center border-b-4 font-word text-lg',
              isHere(href) ? 'border-marigold font-bold' : 'border-transparent text-muted hover:text-ink',
            )}
          >
            {name}
          </Link>
        ))}
      </nav>
      <div className="ml-auto flex min-w-0 items-center gap-x-3">
        <QuickFind />
        <Select
          kind="bare"
          label="Group"
          value={chosen}
          onChange={(id) => begin(() => choose(id))}
          options={groups.map(({ id, name }) => [id, name])}
          className="max-w-56 min-w-0"
        />
      </div>
    </header>
  );
}
