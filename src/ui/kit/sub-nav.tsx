import { clsx } from 'clsx';
import { Link } from './link';
import { PlacesMenu } from './places-menu';

interface SubNavProps {
  readonly label: string;
  readonly places: readonly (readonly [string, string])[];
  readonly here: string;
}

/** The screens inside one place: a row of links, or a menu on a phone. */
export const SubNav = ({ label, places, here }: SubNavProps) => (
  <>
    <nav
      aria-label={label}
      className="-mt-4 mb-4 flex flex-wrap gap-x-5 border-b border-line max-sm:hidden print:hidden"
    >
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
    <div className="-mt-4 mb-2 border-b border-line sm:hidden print:hidden">
      <PlacesMenu label={label} places={places} here={places.find(([href]) => href === here)?.[1] ?? label} />
    </div>
  </>
);

export const WORD_PLACES = [
  ['/words', 'Find words'],
  ['/words/sets', 'Our sets'],
  ['/words/shelf', 'Prop shelf'],
  ['/words/new', 'Add words'],
] as const;

export const CHILD_PLACES = [
  ['/children', 'Names'],
  ['/children/board', 'Everyone’s steps'],
  ['/children/ears', 'Do we mark alike?'],
] as const;

export const SETTING_PLACES = [
  ['/settings', 'How we say and count'],
  ['/settings/judging', 'Judging'],
  ['/settings/taught', 'Sounds taught'],
  ['/settings/device', 'This device'],
  ['/settings/our-data', 'Our data'],
] as const;
