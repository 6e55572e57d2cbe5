import { clsx } from 'clsx';
import type { ReactNode } from 'react';
import type { Choice } from '@/core/formats/schemas';
import { COUNTS, FIRSTS, MOST, ONLY, SYLLABLES, type Facets, type Only, type ShapeFacet } from '@/core/lexicon/find';
import { PLACES, type SoundPlace } from '@/core/lexicon/word-index';
import type { AccentId } from '@/core/phonology/accents';
import { labelOf, makingOf } from '@/core/phonology/sounds';
import { Collapsible } from '../kit/collapsible';
import { Link } from '../kit/link';
import { Pill, PillCount } from '../kit/pill';
import type { To } from './address';

const ALSO_AMBIGUOUS = 'also words spelt or said in two ways';
const FIRST_WORDS = { hold: 'you can hold', clip: 'to clip', light: 'light: h, w, y', vowel: 'a vowel' } as const;
const ONLY_WORDS: Readonly<Record<Only, string>> = {
  readable: 'words we can read and spell',
  agreed: 'same count for everyone',
  taught: 'sounds we’ve taught',
  owned: 'props we have',
  prop: 'can be a prop',
  picture: 'has a picture',
  everyday: 'everyday words',
  own: 'our own words',
};
const PLACE_WORDS: Readonly<Record<SoundPlace, string>> = {
  any: 'anywhere',
  first: 'first',
  middle: 'in the middle',
  last: 'last',
};
const SHAPES_SHOWN = 5;
const ONLY_SHOWN = 3;

interface FilterProps {
  readonly choice: Choice;
  readonly facets: Facets;
  readonly to: To;
}

/** How many sounds: the first and largest choice. */
export function Counts({ choice, to, facets }: FilterProps) {
  return (
    <nav aria-label="Number of sounds" className="mb-4 grid grid-cols-3 gap-2.5 sm:grid-cols-5">
      {COUNTS.map((count) => {
        const on = choice.sounds === count;
        return (
          <Link
            key={count}
            href={to({ sounds: on ? 'any' : count, shape: undefined })}
            scroll={false}
            aria-current={on ? 'true' : undefined}
            className={clsx(
              'flex min-h-16 items-baseline justify-center gap-3 rounded-2xl border px-4 py-2',
              on ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card hover:border-ink',
            )}
          >
            <span className="font-word text-4xl font-bold">
              {count}
              {count === MOST && '+'}
            </span>{' '}
            <span className="sr-only">sounds</span> <PillCount on={on} n={facets.counts[count]} />
          </Link>
        );
      })}
    </nav>
  );
}

/** Vowels and consonants by ear, the commonest first. */
export function ShapeRow({ to, choice, facets }: FilterProps) {
  const shapes = facets.shapes.filter((s, i) => i < SHAPES_SHOWN || s.shape === choice.shape);
  const moreShapes: readonly ShapeFacet[] = facets.shapes.filter((s) => !shapes.includes(s));
  return (
    <Row label="Shape">
      {shapes.map(({ shape, words, example }) => (
        <Pill key={shape} href={to({ shape: choice.shape === shape ? undefined : shape })} on={choice.shape === shape}>
          <span className="font-word">{example}</span>{' '}
          <span className={choice.shape === shape ? '' : 'text-muted'}>{shape}</span>{' '}
          <PillCount on={choice.shape === shape} n={words} />
        </Pill>
      ))}
      {moreShapes.length > 0 && (
        <More label={moreShapes.length === 1 ? '1 more shape' : `${moreShapes.length} more shapes`}>
          {moreShapes.map(({ shape, words, example }) => (
            <Pill key={shape} href={to({ shape })} on={false}>
              <span className="font-word">{example}</span> <span className="text-muted">{shape}</span>{' '}
              <PillCount on={false} n={words} />
            </Pill>
          ))}
        </More>
      )}
    </Row>
  );
}

/** How the first sound is made. */
export function FirstRow({ to, choice, facets }: FilterProps) {
  return (
    <Row label="Starts with">
      {FIRSTS.map((first) => (
        <Pill
          key={first}
          href={to({ first: choice.first === first ? undefined : first })}
          on={choice.first === first}
          none={!facets.firsts[first]}
        >
          {FIRST_WORDS[first]} <PillCount on={choice.first === first} n={facets.firsts[first]} />
        </Pill>
      ))}
    </Row>
  );
}

interface SoundRowProps extends FilterProps {
  readonly accent: AccentId;
}

/** How many beats, and a sound with its place. */
export function SoundRow({ to, choice, facets, accent }: SoundRowProps) {
  const place = choice.place ?? 'any';
  const sounds = Object.entries(facets.sounds)
    .filter(([, n]) => n > 0)
    .map(([ipa, n]) => ({ ipa, n, ...labelOf(ipa, accent) }))
    .sort(
      (a, b) =>
        Number(makingOf(a.ipa) === 'vowel') - Number(makingOf(b.ipa) === 'vowel') || a.label.localeCompare(b.label),
    );
  return (
    <Row label="Syllables">
      {SYLLABLES.map((n) => (
        <Pill
          key={n}
          href={to({ syllables: choice.syllables === n ? undefined : n })}
          on={choice.syllables === n}
          none={!facets.syllables[n]}
        >
          {n === 3 ? '3+' : n} <PillCount on={choice.syllables === n} n={facets.syllables[n]} />
        </Pill>
      ))}
      {choice.sound && (
        <Pill href={to({ sound: undefined, place: undefined })} on>
          with <Slashed sound={choice.sound} accent={accent} /> {PLACE_WORDS[place]}{' '}
          <PillCount on n={facets.sounds[choice.sound] ?? 0} />
        </Pill>
      )}
      <More
        label={choice.sound ? 'another sound or place' : 'with a sound …'}
        open={choice.place !== undefined && !choice.sound}
      >
        <span className="flex basis-full flex-wrap gap-2">
          {PLACES.map((p) => (
            <Pill key={p} href={to({ place: p === 'any' ? undefined : p })} on={place === p}>
              {PLACE_WORDS[p]}
            </Pill>
          ))}
        </span>
        {sounds.map(({ ipa, n, label, as }) => (
          <Pill key={ipa} href={to({ sound: ipa })} on={choice.sound === ipa}>
            <span className="font-word">/{label}/</span>
            {as && <span className="text-sm">as in {as}</span>} <PillCount on={choice.sound === ipa} n={n} />
          </Pill>
        ))}
      </More>
    </Row>
  );
}

interface OnlyRowProps extends FilterProps {
  /** The group works with letters. */
  readonly letters: boolean;
  /** Where it is said which sounds were taught. */
  readonly taught: ReactNode;
}

/** Words that something more is true of. */
export function OnlyRow({ facets, choice, to, letters, taught }: OnlyRowProps) {
  const only = choice.only ?? [];
  const all = ONLY.filter((name) => letters || name !== 'readable');
  const onlyShown = all.filter(
    (name, i) =>
      only.includes(name) ||
      (facets.only[name] > 0 && all.slice(0, i).filter((other) => facets.only[other] > 0).length < ONLY_SHOWN),
  );
  const onlyPill = (name: Only): ReactNode => {
    const on = only.includes(name);
    return (
      <Pill
        key={name}
        href={to({ only: on ? only.filter((o) => o !== name) : [...only, name] })}
        on={on}
        none={!facets.only[name]}
      >
        {ONLY_WORDS[name]} <PillCount on={on} n={facets.only[name]} />
      </Pill>
    );
  };
  return (
    <Row label="Only">
      {onlyShown.map(onlyPill)}
      {taught}
      <More label="more …">
        {all.filter((name) => !onlyShown.includes(name) && (name !== 'own' || facets.only.own > 0)).map(onlyPill)}
        {!choice.doubtful && facets.adds.doubtful > 0 && (
          <Pill href={to({ doubtful: true })} on={false}>
            {ALSO_AMBIGUOUS} <PillCount on={false} n={facets.adds.doubtful} />
          </Pill>
        )}
      </More>
      {choice.doubtful && (
        <Pill href={to({ doubtful: undefined })} on>
          {ALSO_AMBIGUOUS}
        </Pill>
      )}
    </Row>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <>
      <h2 className="flex min-h-8 items-center font-sans text-base font-normal text-muted sm:min-h-12 sm:self-start">
        {label}
      </h2>
      <div className="flex flex-wrap gap-2">{children}</div>
    </>
  );
}

interface MoreProps {
  readonly label: string;
  readonly open?: boolean;
  readonly children: ReactNode;
}

/** The long tail of a row. */
const More = ({ label, open = false, children }: MoreProps) => (
  <Collapsible
    title={<span className="text-muted">{label}</span>}
    defaultOpen={open}
    className="data-[state=open]:basis-full"
  >
    <div className="mt-2 flex flex-wrap gap-2">{children}</div>
  </Collapsible>
);

const Slashed = ({ sound, accent }: { readonly sound: string; readonly accent: AccentId }) => (
  <span className="font-word">/{labelOf(sound, accent).label}/</span>
);
