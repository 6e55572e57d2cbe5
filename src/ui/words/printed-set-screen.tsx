import { clsx } from 'clsx';
import type { PrintedSet } from '@/server/words/printed-set';
import { BounceLine } from '../kit/bounce-line';
import { CautionMark } from '../kit/cautions';
import { Link } from '../kit/link';
import { PictureCards } from './picture-cards';
import { PrintButton } from './print-button';

/** A set on paper: a list for the adult, or picture cards to cut out. */
export function PrintedSetScreen({ set, as }: { set: PrintedSet; as: 'list' | 'cards' }) {
  return (
    <main className="mx-auto max-w-[52rem] px-4 py-6 print:max-w-none print:p-0">
      <nav aria-label="Printing" className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href="/words/sets">
          Our sets
        </Link>
        {(['list', 'cards'] as const).map((kind) => (
          <Link
            key={kind}
            href={`/print/sets/${set.id}?as=${kind}`}
            aria-current={as === kind ? 'page' : undefined}
            className={clsx(
              'flex min-h-12 items-center rounded-full border px-4',
              as === kind ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card',
            )}
          >
            {kind === 'list' ? 'A list' : 'Picture cards'}
          </Link>
        ))}
        <PrintButton />
      </nav>
      <h1 className={`mb-4 text-4xl wrap-anywhere ${as === 'cards' ? 'print:hidden' : ''}`}>{set.name}</h1>
      {as === 'list' ? (
        <ol className="divide-y divide-line border-y border-line">
          {set.words.map((w) => (
            <li
              key={w.word}
              className={clsx(
                'grid break-inside-avoid items-center gap-x-4 gap-y-1 py-3',
                'sm:grid-cols-[8rem_12rem_1fr] print:grid-cols-[8rem_12rem_1fr]',
              )}
            >
              <span className="font-word text-2xl font-bold wrap-anywhere">{w.word}</span>
              <span className="flex items-center gap-3">
                <BounceLine marks={w.marks} count={w.count} size="list" /> {w.count}
              </span>
              <span>
                {w.meaning}
                {w.contested && <em> · {w.contested}</em>} <CautionMark cautions={w.cautions} />
                <span className="block text-muted">{w.sentence}</span>
              </span>
            </li>
          ))}
        </ol>
      ) : (
        <PictureCards words={set.words} />
      )}
      {as === 'list' && !set.words.length && (
        <p className="text-muted">None of the words in this set are in the word bank any more.</p>
      )}
      <p className="mt-6 text-sm text-muted">
        Sounds are in your accent, counted your way. Pictures: OpenMoji, CC BY-SA 4.0.
      </p>
    </main>
  );
}
