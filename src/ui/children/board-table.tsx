'use client';

import {
  columnVisibilityFeature,
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { clsx } from 'clsx';
import { useMemo, useState } from 'react';
import { listed } from '@/core/in-words';
import { STATES } from '@/core/evidence/rule';
import { sure } from '@/core/sure';
import type { BoardLine } from '@/server/children/board';
import { Button } from '../kit/button';
import { Link } from '../kit/link';
import { PlayStep } from './play-step';
import { StateSign } from './state-sign';

/** Sorted by name, as it is at first. */
export const BY_NAME = 'name';

type Cell = BoardLine['cells'][number];

const features = tableFeatures({
  columnVisibilityFeature,
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
});
const column = createColumnHelper<typeof features, BoardLine>();

const byName = (a: BoardLine, b: BoardLine): number => a.name.localeCompare(b.name, 'en-GB');

/** Lowest first on one ladder, then by state, then by name. */
const byLadder =
  (at: number) =>
  (a: BoardLine, b: BoardLine): number => {
    const [x, y] = [sure(a.cells[at]), sure(b.cells[at])];
    return x.height - y.height || STATES.indexOf(y.state) - STATES.indexOf(x.state) || byName(a, b);
  };

const boardColumns = (ladders: readonly Named[]) =>
  column.columns([
    column.accessor('name', { id: BY_NAME, sortFn: (a, b) => byName(a.original, b.original) }),
    ...ladders.map(({ id }, at) =>
      column.accessor((r) => sure(r.cells[at]).height, {
        id,
        sortFn: (a, b) => byLadder(at)(a.original, b.original),
      }),
    ),
  ]);

interface Named {
  readonly id: string;
  readonly name: string;
}

interface BoardTableProps {
  readonly groupId: string;
  readonly ladders: readonly Named[];
  /** Those who are shown. */
  readonly rows: readonly BoardLine[];
  /** Everyone, shown or not. */
  readonly all: readonly BoardLine[];
  /** By name, or the id of a ladder. */
  readonly sort: string;
}

/** Children down and skills across; skills that nobody has begun are folded away. */
export function BoardTable({ groupId, ladders, rows, all, sort }: BoardTableProps) {
  const [unfolded, unfold] = useState(false);
  const columns = useMemo(() => boardColumns(ladders), [ladders]);
  const untouched = ladders.filter((_, at) => !all.some((r) => sure(r.cells[at]).begun));
  const data = useMemo(() => [...rows], [rows]);
  const table = useTable({
    features,
    columns,
    data,
    getRowId: (r) => r.id,
    state: {
      sorting: [{ id: sort, desc: false }],
      columnVisibility: Object.fromEntries(untouched.map(({ id }) => [id, unfolded])),
    },
  });
  const seen = ladders.filter(({ id }) => table.getColumn(id)?.getIsVisible());
  return (
    <>
      <table className="w-full border-collapse text-[0.95rem] print:text-[7.5pt] print:leading-[1.1]">
        <caption className="sr-only">Children and skills</caption>
        <thead>
          <tr className="border-b border-line-strong text-left align-bottom text-muted">
            <Head>Child</Head>
            <Head>Next</Head>
            {seen.map(({ id, name }) => (
              <Head key={id} sorted={id === sort} wide>
                {name}
              </Head>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.getRowModel().rows.map(({ id, original }) => (
            <Line
              key={id}
              groupId={groupId}
              line={original}
              cells={seen.map((l) => sure(original.cells.find((c) => c.ladder === l.id)))}
              ladders={seen}
            />
          ))}
        </tbody>
      </table>
      {untouched.length > 0 && (
        <p className="mt-2 text-muted max-lg:hidden print:hidden">
          Not played yet: {listed(untouched.map((l) => l.name.toLowerCase()))}.{' '}
          <Button kind="quiet" aria-expanded={unfolded} onClick={() => unfold(!unfolded)}>
            {unfolded ? 'Hide them' : 'Show them'}
          </Button>
        </p>
      )}
    </>
  );
}

interface HeadProps {
  readonly children: string;
  readonly sorted?: boolean;
  /** Only where the screen has room for it. */
  readonly wide?: boolean;
}

const Head = ({ children, sorted = false, wide = false }: HeadProps) => (
  <th
    scope="col"
    className={clsx(
      'px-1.5 py-1.5 leading-tight font-normal first:pl-0',
      wide && 'max-lg:hidden print:table-cell',
      sorted && 'text-ink underline decoration-marigold decoration-2 underline-offset-4',
    )}
    {...(sorted ? { 'aria-sort': 'ascending' as const } : {})}
  >
    {children}
  </th>
);

interface LineProps {
  readonly groupId: string;
  readonly line: BoardLine;
  readonly cells: readonly Cell[];
  readonly ladders: readonly Named[];
}

/** One child: what is next, with one tap into it, and the step they stand before on every ladder. */
function Line({ groupId, line, cells, ladders }: LineProps) {
  const { id, name, away, next } = line;
  return (
    <tr className="border-b border-line">
      <th
        scope="row"
        className="max-w-40 min-w-24 py-1 pr-3 text-left font-word text-lg leading-tight print:py-0 print:text-[8pt]"
      >
        <Link
          href={`/children/${id}`}
          className={clsx(
            'flex min-h-12 items-center wrap-break-word hover:underline print:inline print:min-h-0',
            away && 'font-normal text-muted',
          )}
        >
          {name}
        </Link>
      </th>
      <td className="px-2 py-1.5 leading-tight max-lg:w-full lg:w-68 print:w-44 print:py-0">
        <div className="flex items-center gap-3">
          <b className="min-w-0 flex-1 font-word text-lg leading-tight print:text-[8pt]">
            {next ? `${next.does}${next.chosen ? ' (chosen)' : ''}` : 'every step is secure'}
            {away && <span className="block text-[0.9rem] font-normal text-muted">away today</span>}
          </b>
          {next && (
            <div className="print:hidden">
              <PlayStep groupId={groupId} step={next} does={`${name}, ${next.does}`} childIds={[id]} name="Play" />
            </div>
          )}
        </div>
        <p className="mt-1 flex flex-wrap gap-x-4 text-muted lg:hidden print:hidden">
          {cells.map((c, at) =>
            c.begun ? (
              <span key={c.ladder}>
                {sure(ladders[at]).name} <StateSign state={c.state} /> {c.rung ?? WAITS}
              </span>
            ) : null,
          )}
        </p>
      </td>
      {cells.map((c) => (
        <Square key={c.ladder} c={c} />
      ))}
    </tr>
  );
}

/** Nothing of it is for this child at the moment. */
const WAITS = 'waits';

/** One child on one ladder. */
const Square = ({ c }: { readonly c: Cell }) => (
  <td
    className={clsx(
      'px-1.5 py-1 leading-tight max-lg:hidden print:table-cell print:py-0',
      c.begun && c.state === 'secure' ? 'bg-line/70' : '',
    )}
  >
    {c.begun && c.rung === null && <span className="text-muted">{WAITS}</span>}
    {c.begun && c.rung !== null && (
      <>
        <span className="flex items-baseline gap-1.5 print:inline">
          <StateSign state={c.state} /> {c.rung}
        </span>
        <span className="sr-only print:not-sr-only print:text-[7pt]"> {c.words}</span>
      </>
    )}
    {!c.begun && (
      <span className="text-muted">
        –<span className="sr-only"> not started</span>
      </span>
    )}
  </td>
);
