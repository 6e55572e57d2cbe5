'use client';

import { clsx } from 'clsx';
import Link from 'next/link';
import { useState } from 'react';
import type { FindGame } from '@/core/progress/finding';
import { STATES, STATE_WORDS, type State } from '@/core/progress/rule';
import type { BoardLine } from '@/server/children/board';
import { SelectField } from '../kit/select';
import { PrintButton } from '../words/print-button';
import { sure } from '@/core/sure';
import { StateSign } from './state-sign';
import { FindWhere } from './find-where';
import { PapersMenu } from './papers-menu';
import { boardScreen as say, findWhere } from './text';

/** Those at a state, as a choice says it. */
const WHO: Readonly<Record<State, string>> = {
  secure: say.secureAtSomething,
  'getting-there': say.gettingThere,
  'not-yet': say.notThereYet,
  'not-enough': say.tooLittleSeen,
};

/** Those who are here and were seen too little on the ladder of a game. */
const tooLittleSeen = (rows: readonly BoardLine[], { ladder }: FindGame): string[] =>
  rows
    .filter((r) => !r.away && r.cells.some((c) => c.ladder === ladder && (!c.begun || c.state === 'not-enough')))
    .map((r) => r.id);

interface BoardProps {
  readonly groupName: string;
  readonly ladders: readonly { readonly id: string; readonly name: string }[];
  readonly rows: readonly BoardLine[];
  readonly ruleNote: string | null;
  readonly groupId: string;
  readonly games: readonly FindGame[];
  readonly first: string;
}

/**
 * Children down, skills across: the step each stands before, its state by shape and word. Never in order of merit
 * unless asked for by skill.
 */
export function BoardScreen({ groupName, ladders, rows, ruleNote, groupId, games, first }: BoardProps) {
  const [sort, setSort] = useState('name');
  const [only, setOnly] = useState<State | ''>('');
  const [here, setHere] = useState(false);
  const at = ladders.findIndex((l) => l.id === sort);
  const shown = rows
    .filter(
      (r) =>
        (!here || !r.away) && (!only || r.cells.some((c, i) => (at < 0 || i === at) && c.begun && c.state === only)),
    )
    .sort((a, b) =>
      at < 0
        ? a.name.localeCompare(b.name, 'en-GB')
        : sure(a.cells[at]).height - sure(b.cells[at]).height ||
          STATES.indexOf(sure(b.cells[at]).state) - STATES.indexOf(sure(a.cells[at]).state) ||
          a.name.localeCompare(b.name, 'en-GB'),
    );
  return (
    <>
      <style>{'@media print { @page { size: A4 landscape; margin: 8mm } }'}</style>
      <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
        <h1 className="mr-auto text-4xl wrap-anywhere print:text-2xl">{say.whereEveryoneIs(groupName)}</h1>
        <Choices
          sort={sort}
          setSort={setSort}
          ladders={ladders}
          only={only}
          setOnly={setOnly}
          here={here}
          setHere={setHere}
          groupId={groupId}
        />
      </div>
      {rows.length === 0 ? (
        <p className="text-muted">
          {say.onceNamesAnswers}{' '}
          <Link className="underline underline-offset-4" href="/children">
            {say.addNames}
          </Link>
        </p>
      ) : (
        <div
          className="relative overflow-x-auto print:overflow-visible"
          tabIndex={0}
          role="region"
          aria-label={say.childrenAndSkills}
        >
          <table
            className={clsx(
              'w-full min-w-[64rem] border-collapse text-[0.95rem] print:min-w-0 print:text-[7.5pt]',
              'print:leading-[1.1]',
            )}
          >
            <thead>
              <Heads ladders={ladders} sort={sort} />
            </thead>
            <tbody>
              {shown.map((r) => (
                <Line key={r.id} r={r} />
              ))}
            </tbody>
          </table>
          {shown.length === 0 && <p className="py-4 text-muted">{say.nobodyChooseEveryone}</p>}
        </div>
      )}
      <Legend />
      <p className="mt-2 text-[0.95rem] text-muted">{say.eachSquareNames(ruleNote)}</p>
      {rows.length > 0 && <FindUnseen groupId={groupId} rows={rows} games={games} first={first} />}
    </>
  );
}

/** Finds where those are who were seen too little. */
const FindUnseen = ({ groupId, rows, games, first }: Pick<BoardProps, 'groupId' | 'rows' | 'games' | 'first'>) => (
  <div className="mt-5 print:hidden">
    <FindWhere
      groupId={groupId}
      games={games}
      first={games.find((g) => !g.pointed && tooLittleSeen(rows, g).length)?.id ?? first}
      whom={(game) => tooLittleSeen(rows, game)}
      what={findWhere.whatForBoard}
    />
  </div>
);

/** What the signs say. */
const Legend = () => (
  <ul className="mt-3 flex flex-wrap gap-x-6 text-muted print:mt-1">
    {STATES.map((s) => (
      <li key={s} className="flex items-center gap-2">
        <StateSign state={s} /> {STATE_WORDS[s]}
      </li>
    ))}
  </ul>
);

interface ChoicesProps {
  readonly sort: string;
  readonly setSort: (next: string) => void;
  readonly ladders: readonly { readonly id: string; readonly name: string }[];
  readonly only: State | '';
  readonly setOnly: (next: State | '') => void;
  readonly here: boolean;
  readonly setHere: (next: boolean) => void;
  readonly groupId: string;
}

/** In what order, and whom. */
function Choices({ sort, setSort, ladders, only, setOnly, here, setHere, groupId }: ChoicesProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
      <SelectField
        inline
        label={say.sortBy}
        value={sort}
        onChange={setSort}
        options={[['name', 'name'], ...ladders.map((l) => [l.id, l.name.toLowerCase()] as const)]}
      />
      <SelectField
        inline
        label={say.show}
        value={only}
        onChange={(v) => setOnly(v as State | '')}
        options={[['', 'everyone'], ...STATES.map((s) => [s, WHO[s]] as const)]}
      />
      <label className="flex min-h-12 items-center gap-2 text-muted">
        <input
          type="checkbox"
          className="size-5 accent-green"
          checked={here}
          onChange={(e) => setHere(e.target.checked)}
        />{' '}
        {say.hereToday}
      </label>
      <PrintButton />
      <PapersMenu id={groupId} of="group" />
    </div>
  );
}

/** The ladders, across. */
function Heads({
  ladders,
  sort,
}: {
  readonly ladders: readonly { readonly id: string; readonly name: string }[];
  readonly sort: string;
}) {
  return (
    <tr className="border-b border-line-strong text-left align-bottom">
      <th scope="col" className="sticky left-0 z-10 bg-paper py-1.5 pr-3 font-normal text-muted">
        {say.child}
      </th>
      {ladders.map((l) => (
        <th
          key={l.id}
          scope="col"
          className={clsx(
            'px-2 py-1.5 font-word leading-tight',
            l.id === sort ? 'underline decoration-marigold decoration-2 underline-offset-4' : '',
          )}
        >
          {l.name}
        </th>
      ))}
      <th scope="col" className="px-2 py-1.5 font-normal text-muted">
        {say.next}
      </th>
    </tr>
  );
}

/** One child: the step they stand before on every ladder, and what is next. */
function Line({ r }: { readonly r: BoardLine }) {
  return (
    <tr className="border-b border-line">
      <th
        scope="row"
        className={clsx(
          'sticky left-0 z-10 max-w-44 bg-paper pr-3 text-left font-word text-lg leading-tight',
          'font-normal print:text-[8pt]',
        )}
      >
        <Link
          href={`/children/${r.id}`}
          prefetch={false}
          className={clsx(
            'block min-h-8 truncate py-1 hover:underline print:min-h-0 print:py-px',
            r.away ? 'text-muted' : '',
          )}
          title={r.name}
        >
          {r.name}
        </Link>
      </th>
      {r.cells.map((c) => (
        <Square key={c.ladder} c={c} />
      ))}
      <td className="min-w-36 px-2 py-1 leading-tight text-muted print:max-w-44 print:truncate print:py-0">{r.next}</td>
    </tr>
  );
}

/** One child on one ladder. */
function Square({
  c,
}: {
  readonly c: {
    readonly ladder: string;
    readonly rung: string;
    readonly state: State;
    readonly words: string;
    readonly height: number;
    readonly begun: boolean;
  };
}) {
  return (
    <td className={clsx('px-2 py-1 leading-tight print:py-0', c.begun && c.state === 'secure' ? 'bg-line/70' : '')}>
      {c.begun ? (
        <>
          <StateSign state={c.state} /> <span className="whitespace-nowrap">{c.rung}</span>
          <span className={clsx('block text-[0.8rem] whitespace-nowrap text-muted print:inline print:text-[7pt]')}>
            {' '}
            {c.words}
          </span>
        </>
      ) : (
        <span className="text-muted">
          –<span className="sr-only"> {say.notBegun}</span>
        </span>
      )}
    </td>
  );
}
