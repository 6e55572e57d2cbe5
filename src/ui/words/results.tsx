import { clsx } from 'clsx';
import { Check, Plus } from 'lucide-react';
import type { Choice } from '@/core/formats/schemas';
import { MOST, SORTS, type Sort } from '@/core/lexicon/find';
import type { ShownWord, WordsFound } from '@/server/words/words';
import { BounceLine, ShapesKey } from '../kit/bounce-line';
import { Link } from '../kit/link';
import { Picture } from '../kit/picture';
import { address, type To } from './address';

const SORT_WORDS: Readonly<Record<Sort, string>> = {
  easy: 'easy first',
  'a-z': 'A to Z',
  'first-sound': 'by first sound',
  known: 'best known first',
};

interface ResultsProps {
  readonly found: WordsFound;
  readonly choice: Choice;
  readonly names: readonly string[];
  readonly to: To;
}

/** The words that fit, page by page, in an order of one’s own. */
export function Results({ found, choice, names, to }: ResultsProps) {
  const { facets } = found;
  return (
    <>
      <div className="mt-6 flex flex-wrap items-center justify-between gap-x-4">
        <h2 className="text-xl">
          {facets.total} {facets.total === 1 ? 'word fits' : 'words fit'}
        </h2>
        <Sorts choice={choice} to={to} />
      </div>
      <ShapesKey />
      <ResultList found={found} choice={choice} names={names} />
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

/** Every word that fits; a plus puts it into the set. */
function ResultList({ found, choice, names }: Omit<ResultsProps, 'to'>) {
  const inSet = new Set(names);
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

/** The order of the list. */
function Sorts({ choice, to }: Pick<ResultsProps, 'choice' | 'to'>) {
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
