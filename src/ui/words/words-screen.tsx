import { clsx } from 'clsx';
import { Check, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Choice } from '@/core/formats/schemas';
import { SET_TASKS, taskOf } from '@/core/games';
import {
  COUNTS,
  FIRSTS,
  MOST,
  ONLY,
  SORTS,
  SYLLABLES,
  type Loosenable,
  type Only,
  type Sort,
} from '@/core/lexicon/find';
import { PLACES, type SoundPlace } from '@/core/lexicon/word-index';
import { labelOf, makingOf } from '@/core/phonology/sounds';
import { SET_SIZES } from '@/core/sessions/turns';
import type { Group } from '@/server/people/groups';
import type { SavedSet } from '@/server/words/word-sets';
import type { ShownWord, WordsFound } from '@/server/words/words';
import { BounceLine } from '../kit/bounce-line';
import { Button } from '../kit/button';
import { Collapsible } from '../kit/collapsible';
import { Link } from '../kit/link';
import { Picture } from '../kit/picture';
import { Pill, PillCount } from '../kit/pill';
import { address, FIRST_PAGE } from './address';
import { SetBar } from './set-bar';
import { SetPanel } from './set-panel';
import { TaughtButton, type TickRows } from './taught-button';
import type { Facets } from '@/core/lexicon/find';
import type { ShapeFacet } from '@/core/lexicon/find';
import type { AccentId } from '@/core/phonology/accents';

const ALSO_AMBIGUOUS = 'also words spelt or said in two ways';

const fewFit = (count: number, x: string, words: number) =>
  `${count === 0 ? 'No word fits' : `Only ${count} ${count === 1 ? 'word fits' : 'words fit'}`} all of that. ` +
  `With ${x}, there would be ${words}.`;

const FIRST_WORDS = { hold: 'you can hold', clip: 'to clip', light: 'light: h, w, y', vowel: 'a vowel' } as const;
const ONLY_WORDS: Readonly<Record<Only, string>> = {
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
const SORT_WORDS: Readonly<Record<Sort, string>> = {
  easy: 'easy first',
  'a-z': 'A to Z',
  'first-sound': 'by first sound',
  known: 'best known first',
};
const LOOSEN_WORDS: Readonly<Record<Loosenable, string>> = {
  shape: 'any shape',
  first: 'any first sound',
  sound: 'any sounds',
  syllables: 'any number of syllables',
  only: 'no “only”',
  matches: 'no search',
  contested: 'words people count differently',
  doubtful: 'words spelt or said in two ways',
};
/** What letting go of a filter changes in the address, where that is not the filter itself. */
const LETS_GO: Readonly<Partial<Record<Loosenable, Parameters<typeof address>[1]>>> = {
  matches: { q: undefined },
  doubtful: { doubtful: true },
};
const SHAPES_SHOWN = 5;
const ONLY_SHOWN = 3;

interface WordsScreenProps {
  readonly choice: Choice;
  readonly group: Group;
  readonly found: WordsFound;
  readonly saved: SavedSet | null;
  /** Keys of the sounds the group was taught, and every sound there is to tick. */
  readonly taught: readonly string[];
  readonly tickRows: TickRows;
}

/**
 * Number of sounds first; then shape, first sound, where a sound sits, and the rest; the set grows beside the words.
 */
export function WordsScreen({ choice: asked, group, found, saved, taught, tickRows }: WordsScreenProps) {
  const { facets, accent } = found;
  // A sound of another accent, left in an old address, is let go of.
  const choice = asked.sound !== undefined && !(asked.sound in facets.sounds) ? { ...asked, sound: undefined } : asked;
  const to = (change: Parameters<typeof address>[1]): string => address(choice, { ...FIRST_PAGE, ...change });
  const names = found.set.map((w) => w.word);
  const place = choice.place ?? 'any';
  const only = choice.only ?? [];
  const shapes = facets.shapes.filter((s, i) => i < SHAPES_SHOWN || s.shape === choice.shape);
  const moreShapes = facets.shapes.filter((s) => !shapes.includes(s));
  const sounds = Object.entries(facets.sounds)
    .filter(([, n]) => n > 0)
    .map(([ipa, n]) => ({ ipa, n, ...labelOf(ipa, accent) }))
    .sort(
      (a, b) =>
        Number(makingOf(a.ipa) === 'vowel') - Number(makingOf(b.ipa) === 'vowel') || a.label.localeCompare(b.label),
    );
  const onlyShown = ONLY.filter(
    (name, i) =>
      only.includes(name) ||
      (facets.only[name] > 0 && ONLY.slice(0, i).filter((other) => facets.only[other] > 0).length < ONLY_SHOWN),
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
    <div className="grid grid-cols-1 gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_21rem]">
      <div className="min-w-0">
        <div className="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
          <h1 className="text-4xl">How many sounds?</h1>
          <a href="#set" className="sr-only focus:not-sr-only focus:rounded-lg focus:bg-card focus:p-3">
            Skip to the word set
          </a>
          <Search choice={choice} />
        </div>
        <Counts choice={choice} to={to} facets={facets} />
        <div className="grid gap-x-3 gap-y-2 sm:grid-cols-[5.6rem_minmax(0,1fr)]">
          <ShapeRow shapes={shapes} to={to} choice={choice} moreShapes={moreShapes} />
          <FirstRow to={to} choice={choice} facets={facets} />
          <SoundRow to={to} choice={choice} facets={facets} accent={accent} place={place} sounds={sounds} />
          <OnlyRow
            onlyShown={onlyShown}
            onlyPill={onlyPill}
            taught={<TaughtButton groupId={group.id} groupName={group.name} ticked={taught} rows={tickRows} />}
            facets={facets}
            choice={choice}
            to={to}
          />
        </div>
        <Advice choice={choice} found={found} to={to} />
        <Fitting found={found} choice={choice} names={names} to={to} />
      </div>

      <SetBeside saved={saved} choice={choice} group={group} found={found} />
      <SetBar words={names.length} />
    </div>
  );
}

interface FittingProps {
  readonly found: WordsFound;
  readonly choice: Choice;
  readonly names: readonly string[];
  readonly to: (change: Parameters<typeof address>[1]) => string;
}

/** The words that fit, page by page, in an order of one’s own. */
function Fitting({ found, choice, names, to }: FittingProps) {
  const { facets } = found;
  return (
    <>
      <div className="mt-6 flex flex-wrap items-center justify-between gap-x-4">
        <h2 className="text-xl">
          {facets.total} {facets.total === 1 ? 'word fits' : 'words fit'}
        </h2>
        <Sorts choice={choice} to={to} />
      </div>
      <Results found={found} inSet={new Set(names)} choice={choice} names={names} />
      {found.further > 0 && (
        <p className="mt-4">
          <Link className="plain" scroll={false} href={address(choice, { more: (choice.more ?? 1) + 1 })}>
            Show more ({found.further} left)
          </Link>
        </p>
      )}
    </>
  );
}

interface ResultsProps {
  readonly found: WordsFound;
  readonly inSet: Set<string>;
  readonly choice: Choice;
  readonly names: readonly string[];
}

/** Every word that fits; a plus puts it into the set. */
function Results({ found, inSet, choice, names }: ResultsProps) {
  return (
    <ul
      className={clsx(
        'grid grid-cols-[minmax(0,1fr)] border-t border-line',
        'min-[1200px]:grid-cols-[repeat(2,minmax(0,1fr))] min-[1200px]:gap-x-10',
      )}
    >
      {found.results.map((word) => (
        <ResultLine
          key={word.word}
          word={word}
          on={inSet.has(word.word)}
          varied={choice.sounds === 'any' || choice.sounds === MOST}
          href={address(choice, {
            words: inSet.has(word.word) ? names.filter((n) => n !== word.word) : [...names, word.word],
          })}
        />
      ))}
    </ul>
  );
}

interface SetBesideProps {
  readonly saved: SavedSet | null;
  readonly choice: Choice;
  readonly group: Group;
  readonly found: WordsFound;
}

/** The set beside the words, and what to know about it. */
function SetBeside({ saved, choice, group, found }: SetBesideProps) {
  return (
    <aside aria-labelledby="set" className="h-max rounded-2xl bg-card p-5 lg:sticky lg:top-4">
      <SetPanel
        key={saved?.id ?? ''}
        choice={choice}
        groupId={group.id}
        groupName={group.name}
        proposed={found.proposed}
        missing={found.missing}
        words={found.set.map(({ word, count, picture, withheld }) => ({ word, count, picture, withheld }))}
        model={found.model}
        spares={found.spares}
        saved={saved ? { id: saved.id, name: saved.name, words: saved.words } : null}
        tasks={SET_TASKS.map((task) => ({ id: task, name: taskOf(task).name }))}
        sizes={SET_SIZES}
        size={found.size}
      />
      {!found.confirmed && (
        <p className="mt-3 border-t border-line pt-3 text-[0.95rem] text-muted">
          Words like box and apple are hidden until you{' '}
          <Link className="underline underline-offset-4" href="/settings">
            choose how to count them
          </Link>
          .
        </p>
      )}
      {found.waiting.length > 0 && (
        <p className="mt-3 border-t border-line pt-3 text-[0.95rem] text-muted">
          Waiting for you to hear them in this accent:{' '}
          {found.waiting.map((w, i) => (
            <span key={w}>
              {i > 0 && ', '}
              <Link className="underline underline-offset-4" href={`/words/new?word=${w}`}>
                {w}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
    </aside>
  );
}

/** The order of the list. */
function Sorts({
  choice,
  to,
}: {
  readonly choice: Choice;
  readonly to: (change: Parameters<typeof address>[1]) => string;
}) {
  return (
    <p className="flex flex-wrap items-center gap-x-1 text-muted">
      {SORTS.map((sort) => {
        const on = (choice.sort ?? 'easy') === sort;
        return (
          <Link
            key={sort}
            href={to({ sort })}
            scroll={false}
            aria-current={on ? 'true' : undefined}
            className={clsx(
              'flex min-h-12 items-center rounded-lg px-2',
              on ? 'text-ink underline decoration-marigold decoration-3 underline-offset-6' : 'hover:text-ink',
            )}
          >
            {SORT_WORDS[sort]}
          </Link>
        );
      })}
    </p>
  );
}

interface OnlyRowProps {
  readonly onlyShown: readonly Only[];
  readonly onlyPill: (name: Only) => ReactNode;
  /** Where it is said which sounds were taught. */
  readonly taught: ReactNode;
  readonly facets: Facets;
  readonly choice: Choice;
  readonly to: (change: Parameters<typeof address>[1]) => string;
}

/** Words that something more is true of. */
function OnlyRow({ onlyShown, onlyPill, facets, choice, to, taught }: OnlyRowProps) {
  return (
    <Row label="Only">
      {onlyShown.map(onlyPill)}
      {taught}
      <More label="more …">
        {ONLY.filter((name) => !onlyShown.includes(name) && (name !== 'own' || facets.only.own > 0)).map(onlyPill)}
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

interface SoundRowProps {
  readonly to: (change: Parameters<typeof address>[1]) => string;
  readonly choice: Choice;
  readonly facets: Facets;
  readonly accent: AccentId;
  readonly place: SoundPlace;
  readonly sounds: {
    label: string;
    as?: string;
    ipa: string;
    n: number;
  }[];
}

/** How many beats, and a sound with its place. */
function SoundRow({ to, choice, facets, accent, place, sounds }: SoundRowProps) {
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

/** How the first sound is made. */
function FirstRow({
  to,
  choice,
  facets,
}: {
  readonly to: (change: Parameters<typeof address>[1]) => string;
  readonly choice: Choice;
  readonly facets: Facets;
}) {
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

interface ShapeRowProps {
  readonly shapes: readonly ShapeFacet[];
  readonly to: (change: Parameters<typeof address>[1]) => string;
  readonly choice: Choice;
  readonly moreShapes: readonly ShapeFacet[];
}

/** Vowels and consonants by ear, the commonest first. */
function ShapeRow({ shapes, to, choice, moreShapes }: ShapeRowProps) {
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
        <More label={`${moreShapes.length} more shapes`}>
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

/** How many sounds: the first and largest choice. */
function Counts({
  choice,
  to,
  facets,
}: {
  readonly choice: Choice;
  readonly to: (change: Parameters<typeof address>[1]) => string;
  readonly facets: Facets;
}) {
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

function Search({ choice }: { choice: Choice }) {
  const kept = new URLSearchParams(address({ ...choice, q: undefined, more: undefined }, {}).split('?')[1]);
  return (
    <form action="/words" className="flex w-full max-w-sm items-center gap-2" role="search">
      {[...kept].map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <label className="min-w-0 flex-1">
        <span className="sr-only">
          Search by spelling, or by sounds with spaces between them. Type _ for any one sound.
        </span>
        <input
          className="field"
          type="search"
          name="q"
          defaultValue={choice.q ?? ''}
          placeholder="frog, or by sounds: _ a t"
          autoComplete="off"
        />
      </label>
      <Button type="submit">Search</Button>
    </form>
  );
}

function Advice({
  choice,
  found,
  to,
}: {
  choice: Choice;
  found: WordsFound;
  to: (change: Parameters<typeof address>[1]) => string;
}) {
  if (found.unclear)
    return (
      <p role="alert" className="mt-6 border-l-4 border-red py-1 pl-4">
        {found.unclear}
      </p>
    );
  const nothingTaught = choice.only?.includes('taught') && !found.taughtAny;
  if (nothingTaught) {
    return (
      <p className="mt-6 border-l-4 border-marigold py-1 pl-4">
        You haven’t ticked any sounds as taught yet. Tick them above and we’ll find words for them.
      </p>
    );
  }
  if (!found.loosen)
    return found.facets.total ? null : (
      <p className="mt-6 border-l-4 border-marigold py-1 pl-4">
        No word fits all of that.{' '}
        <Link className="underline underline-offset-4" href="/words">
          Start again
        </Link>
        .
      </p>
    );
  const { filter, words } = found.loosen;
  const count = found.facets.total;
  return (
    <p className="mt-6 border-l-4 border-marigold py-1 pl-4">
      {fewFit(count, LOOSEN_WORDS[filter], words)}{' '}
      {filter === 'contested' ? (
        <Link className="quiet px-1 text-ink" href="/settings">
          Choose how to count
        </Link>
      ) : (
        <Link className="quiet px-1 text-ink" scroll={false} href={to(LETS_GO[filter] ?? { [filter]: undefined })}>
          Allow that
        </Link>
      )}
    </p>
  );
}

const DOUBT_WORDS = { homograph: 'another word is spelt the same', 'two-ways': 'said in two ways' } as const;

/** A long word in smaller letters, so that it stays in one piece. */
const fitting = ({ length }: string): string => {
  if (length > 10) return 'text-base';
  return length > 7 ? 'text-xl' : 'text-2xl';
};

interface ResultProps {
  readonly word: ShownWord;
  /** It is in the set. */
  readonly on: boolean;
  /** Words of different counts stand in the list, so each says its own. */
  readonly varied: boolean;
  readonly href: string;
}

function ResultLine({ word, on, varied, href }: ResultProps) {
  return (
    <li className="flex min-h-[4.4rem] items-center gap-3 border-b border-line py-1.5">
      <Link
        href={`/word/${word.word}`}
        className={clsx(
          'w-26 shrink-0 font-word font-bold wrap-anywhere hover:underline',
          'hover:underline-offset-4',
          fitting(word.word),
        )}
      >
        {word.word}
      </Link>
      <span className="w-11 shrink-0">{word.picture && <Picture code={word.picture} size={44} />}</span>
      <span className="flex min-w-0 flex-1 flex-col gap-0.5">
        <BounceLine marks={word.marks} count={word.count} size="list" />
        <span className="text-[0.95rem] leading-tight text-muted">
          {varied && <span className="text-ink">{word.count} · </span>}
          {word.meaning}
          {word.contested && <em> · {word.contested}</em>}
          {word.doubt && <em> · {DOUBT_WORDS[word.doubt]}</em>}
          {word.own && <strong className="font-semibold text-ink"> · ours</strong>}
        </span>
      </span>
      <Link
        href={href}
        scroll={false}
        aria-label={on ? `Remove ${word.word} from the set` : `Add ${word.word} to the set`}
        className="grid size-12 shrink-0 place-items-center rounded-lg text-green hover:bg-card"
      >
        {on ? <Check aria-hidden="true" size={24} /> : <Plus aria-hidden="true" size={24} />}
      </Link>
    </li>
  );
}

const Slashed = ({ sound, accent }: { readonly sound: string; readonly accent: AccentId }) => (
  <span className="font-word">/{labelOf(sound, accent).label}/</span>
);
