import type { Choice } from '@/core/formats/schemas';
import { SET_TASKS, taskOf } from '@/core/games';
import type { Loosenable } from '@/core/lexicon/find';
import { SET_SIZES } from '@/core/sessions/turns';
import type { Group } from '@/server/people/groups';
import type { SavedSet } from '@/server/words/word-sets';
import type { WordsFound } from '@/server/words/words';
import { Button } from '../kit/button';
import { Link } from '../kit/link';
import { address, FIRST_PAGE, type To } from './address';
import { Counts, FirstRow, OnlyRow, ShapeRow, SoundRow } from './filters';
import { Results } from './results';
import { SetBar } from './set-bar';
import { SetPanel } from './set-panel';
import { TaughtButton, type TickRows } from './taught-button';

const fewFit = (count: number, x: string, words: number) =>
  `${count === 0 ? 'No word fits' : `Only ${count} ${count === 1 ? 'word fits' : 'words fit'}`} all of that. ` +
  `With ${x}, there would be ${words}.`;

/** A way to where it is said what was taught, as quiet as the button in its place. */
const TAUGHT_LINK =
  'flex min-h-12 items-center rounded-full px-3 text-muted underline underline-offset-4 hover:text-ink';

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
const LETS_GO: Readonly<Partial<Record<Loosenable, Parameters<To>[0]>>> = {
  matches: { q: undefined },
  doubtful: { doubtful: true },
};

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
  const to: To = (change) => address(choice, { ...FIRST_PAGE, ...change });
  const names = found.set.map((w) => w.word);
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
          <ShapeRow choice={choice} to={to} facets={facets} />
          <FirstRow choice={choice} to={to} facets={facets} />
          <SoundRow choice={choice} to={to} facets={facets} accent={accent} />
          <OnlyRow
            choice={choice}
            to={to}
            facets={facets}
            letters={found.letters}
            taught={
              found.letters ? (
                <Link className={TAUGHT_LINK} href="/settings/taught">
                  what we’ve taught
                </Link>
              ) : (
                <TaughtButton groupId={group.id} groupName={group.name} ticked={taught} rows={tickRows} />
              )
            }
          />
        </div>
        <Advice choice={choice} found={found} to={to} />
        <Results found={found} choice={choice} names={names} to={to} />
      </div>

      <SetBeside saved={saved} choice={choice} group={group} found={found} />
      <SetBar words={names.length} />
    </div>
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
          Say these aloud to check them in this accent:{' '}
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

interface AdviceProps {
  readonly choice: Choice;
  readonly found: WordsFound;
  readonly to: To;
}

/** What to let go of where few words fit, or none. */
function Advice({ choice, found, to }: AdviceProps) {
  if (found.unclear)
    return (
      <p role="alert" className="mt-6 border-l-4 border-red py-1 pl-4">
        {found.unclear}
      </p>
    );
  if (found.hidden) {
    const { word, count } = found.hidden;
    return (
      <p className="mt-6 border-l-4 border-marigold py-1 pl-4">
        <span className="font-word font-bold">{word}</span> has {count} sounds. What you’ve ticked above hides it.{' '}
        <Link
          className="quiet px-1 text-ink"
          scroll={false}
          href={`/words?sounds=${count}&q=${encodeURIComponent(word)}`}
        >
          Show {word}
        </Link>
      </p>
    );
  }
  if (choice.only?.includes('readable') && found.facets.only.readable === 0) {
    return (
      <p className="mt-6 border-l-4 border-marigold py-1 pl-4">
        They can’t read any of these words with the spellings you’ve ticked.{' '}
        <Link className="underline underline-offset-4" href="/settings/taught">
          See what you’ve taught
        </Link>
      </p>
    );
  }
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
