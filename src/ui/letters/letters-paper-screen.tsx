import { clsx } from 'clsx';
import type { LettersPaper } from '@/server/words/letters-paper';
import { Link } from '../kit/link';
import { PrintButton } from '../words/print-button';

/** What can be printed of a group’s letters. */
export const SHEETS = ['cards', 'words', 'lines'] as const;
type Sheet = (typeof SHEETS)[number];

const SHEET_NAMES: Readonly<Record<Sheet, string>> = {
  cards: 'Cards to cut out',
  words: 'Words to read',
  lines: 'Lines to read',
};

interface LettersPaperScreenProps {
  readonly paper: LettersPaper;
  readonly as: Sheet;
}

/** Cards, words and lines of what a group was taught, on paper. */
export function LettersPaperScreen({ paper, as }: LettersPaperScreenProps) {
  return (
    <main className="mx-auto max-w-[52rem] px-4 py-6 print:max-w-none print:p-0">
      <nav aria-label="Printing" className="mb-6 flex flex-wrap items-center gap-3 print:hidden">
        <Link className="quiet px-1" href="/settings/taught">
          What we’ve taught
        </Link>
        {SHEETS.map((sheet) => (
          <Link
            key={sheet}
            href={`/print/letters/${paper.id}?as=${sheet}`}
            aria-current={as === sheet ? 'page' : undefined}
            className={clsx(
              'flex min-h-12 items-center rounded-full border px-4',
              as === sheet ? 'border-ink bg-ink text-card' : 'border-line-strong bg-card',
            )}
          >
            {SHEET_NAMES[sheet]}
          </Link>
        ))}
        <PrintButton />
      </nav>
      <h1 className={clsx('mb-4 text-3xl wrap-anywhere', as === 'cards' && 'print:hidden')}>
        {SHEET_NAMES[as]}: {paper.group}
      </h1>
      {as === 'cards' && <Cards cards={paper.cards} />}
      {as === 'words' && <Words words={paper.words} />}
      {as === 'lines' && <Lines lines={paper.lines} />}
    </main>
  );
}

const ACROSS = 3;
const ON_SHEET = 12;

/** What is on one sheet after another. */
const sheetsOf = <T,>(all: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(all.length / ON_SHEET) }, (_, at) => all.slice(at * ON_SHEET, (at + 1) * ON_SHEET));

/** The backs of a sheet: it is turned over its long edge, so each row runs the other way. */
function turned<T>(cards: readonly T[]): (T | null)[] {
  const rows = Array.from({ length: Math.ceil(cards.length / ACROSS) }, (_, at) =>
    Array.from({ length: ACROSS }, (__, across) => cards[at * ACROSS + across] ?? null),
  );
  return rows.flatMap((row) => row.reverse());
}

const CARD = clsx(
  'flex aspect-[4/3] break-inside-avoid flex-col items-center justify-center rounded-xl border-2 border-dashed',
  'border-line-strong bg-card p-3 text-center',
);
const GRID = 'mb-8 grid grid-cols-3 gap-4 print:mb-0 print:break-after-page';

function Cards({ cards }: Pick<LettersPaper, 'cards'>) {
  if (!cards.length) return <p className="text-muted">No spellings are ticked yet, so there are no cards.</p>;
  return (
    <>
      <p className="mb-4 text-muted print:hidden">
        Print on both sides, turned over the long edge: each card has its words on the back.
      </p>
      {sheetsOf(cards).map((sheet) => (
        <div key={sheet[0]?.shown}>
          <ul className={GRID} aria-label="Fronts">
            {sheet.map(({ shown, says }) => (
              <li key={`${shown} ${says}`} className={CARD}>
                {/* The line shows which way up a card goes: d turned over is p. */}
                <span className="border-b-2 border-ink px-6 pb-1 font-word text-7xl font-bold">{shown}</span>
              </li>
            ))}
          </ul>
          <ul className={GRID} aria-label="Backs">
            {turned(sheet).map((card, at) => (
              <li key={card ? `${card.shown} ${card.says}` : at} className={clsx(CARD, !card && 'invisible')}>
                {card && (
                  <>
                    <span className="font-word text-2xl">{card.words.join(', ')}</span>
                    <span className="mt-2 text-sm text-muted">
                      {card.shown} says /{card.says}/
                    </span>
                  </>
                )}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </>
  );
}

function Words({ words }: Pick<LettersPaper, 'words'>) {
  if (!words.length) return <p className="text-muted">They can’t read any words with the spellings you’ve ticked.</p>;
  return words.map(({ count, words: of }) => (
    <section key={count} className="mb-6" aria-label={count === 1 ? 'One sound' : `${count} sounds`}>
      <h2 className="mb-2 text-xl">{count === 1 ? 'One sound' : `${count} sounds`}</h2>
      <ul className="grid grid-cols-3 gap-x-6 gap-y-2 sm:grid-cols-5 print:grid-cols-5">
        {of.map((word) => (
          <li key={word} className="break-inside-avoid font-word text-2xl">
            {word}
          </li>
        ))}
      </ul>
    </section>
  ));
}

function Lines({ lines }: Pick<LettersPaper, 'lines'>) {
  if (!lines.length) return <p className="text-muted">They can’t read any lines with the spellings you’ve ticked.</p>;
  return (
    <ul className="divide-y divide-line">
      {lines.map((line) => (
        <li key={line} className="break-inside-avoid py-3 font-word text-3xl">
          {line}
        </li>
      ))}
    </ul>
  );
}
