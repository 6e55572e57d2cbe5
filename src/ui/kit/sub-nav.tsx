import { clsx } from 'clsx';
import Link from 'next/link';

interface SubNavProps {
  readonly label: string;
  readonly places: readonly (readonly [string, string])[];
  readonly here: string;
}

/** The screens inside one place. */
export const SubNav = ({ label, places, here }: SubNavProps) => (
  <nav aria-label={label} className="-mt-4 mb-4 flex flex-wrap gap-x-5 border-b border-line print:hidden">
    {places.map(([href, name]) => (
      <Link
        key={href}
        href={href}
        aria-current={href === here ? 'page' : undefined}
        className={clsx(
          '-mb-px flex min-h-12 items-center border-b-2',
          href === here ? 'border-ink' : 'border-transparent text-muted hover:text-ink',
        )}
      >
        {name}
      </Link>
    ))}
  </nav>
);

export const WORD_PLACES = [
  ['/words', 'Find words'],
  ['/words/sets', 'Our sets'],
  ['/words/shelf', 'Prop shelf'],
  ['/words/new', 'Add a word'],
] as const;

export const CHILD_PLACES = [
  ['/children', 'Names'],
  ['/children/board', 'Where everyone is'],
  ['/children/ears', 'Two adults, same ears?'],
] as const;
