'use client';

import { useMemo, useState } from 'react';
import type { FindGame } from '@/core/choosing/finding';
import { STATES, STATE_WORDS, type State } from '@/core/evidence/rule';
import type { BoardLine } from '@/server/children/board';
import type { WhoWithWhom } from '@/server/children/who-with-whom';
import { Checkbox } from '../kit/checkbox';
import { Link } from '../kit/link';
import { SelectField } from '../kit/select';
import { WhoPlaysWithWhom } from '../today/who-with-whom';
import { PrintButton } from '../words/print-button';
import { StateSign } from './state-sign';
import { BoardTable, BY_NAME } from './board-table';
import { FindWhere } from './find-where';
import { PapersMenu } from './papers-menu';

const BOXES_MEAN =
  'Each box shows the step a child is working on, or the last step once all are secure. A teaching record, not a ' +
  'diagnosis.';

/** Those at a state, as a choice says it. */
const WHO: Readonly<Record<State, string>> = {
  secure: 'has something secure',
  'getting-there': 'getting there',
  'not-yet': 'not there yet',
  'not-enough': 'not enough seen yet',
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
  readonly who: WhoWithWhom;
  readonly groupId: string;
  readonly games: readonly FindGame[];
  readonly first: string;
}

/** Those at a state, on one ladder or on any; of all or of those here. */
const fitsFilter =
  (only: State | '', here: boolean, ladder: string) =>
  (r: BoardLine): boolean =>
    (!here || !r.away) &&
    (!only || r.cells.some((c) => (ladder === BY_NAME || c.ladder === ladder) && c.begun && c.state === only));

/**
 * Children down: what is next first, then the step each stands before, its state by shape and word. Who could play
 * together stands beside it. Never in order of merit unless asked for by skill.
 */
export function BoardScreen({ groupName, ladders, rows, who, groupId, games, first }: BoardProps) {
  const [sort, setSort] = useState<string>(BY_NAME);
  const [only, setOnly] = useState<State | ''>('');
  const [here, setHere] = useState(false);
  const shown = useMemo(() => rows.filter(fitsFilter(only, here, sort)), [rows, only, here, sort]);
  return (
    <>
      <style>{'@media print { @page { size: A4 landscape; margin: 8mm } }'}</style>
      <div className="mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
        <h1 className="mr-auto text-4xl wrap-anywhere print:text-2xl">{groupName}: everyone’s steps</h1>
      </div>
      {rows.length === 0 ? (
        <p className="text-muted">
          Once there are names and answers, you’ll see every child and every skill here.{' '}
          <Link className="underline underline-offset-4" href="/children">
            Add names
          </Link>
        </p>
      ) : (
        <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1fr)_17rem] print:block">
          <div className="min-w-0 xl:col-start-2 xl:row-start-1 print:hidden">
            {who.grouping.groups.length > 0 && <WhoPlaysWithWhom groupId={groupId} who={who} narrow />}
          </div>
          <div className="min-w-0 xl:row-span-2 xl:row-start-1">
            <div className="mb-2">
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
            <BoardTable groupId={groupId} ladders={ladders} rows={shown} all={rows} sort={sort} />
            {shown.length === 0 && (
              <p className="py-4 text-muted">No one matches. Choose “everyone” to see them all.</p>
            )}
            <Legend />
            <p className="mt-2 text-[0.95rem] text-muted">{BOXES_MEAN}</p>
          </div>
          <div className="min-w-0 xl:col-start-2 print:hidden">
            <FindUnseen groupId={groupId} rows={rows} games={games} first={first} />
          </div>
        </div>
      )}
    </>
  );
}

/** Finds where those are who were seen too little. */
const FindUnseen = ({ groupId, rows, games, first }: Pick<BoardProps, 'groupId' | 'rows' | 'games' | 'first'>) => (
  <FindWhere
    groupId={groupId}
    games={games}
    first={games.find((g) => !g.pointed && tooLittleSeen(rows, g).length)?.id ?? first}
    whom={(game) => tooLittleSeen(rows, game)}
    what={
      'Haven’t seen enough of someone? Find their step: one child after another, about ten questions each, ' +
      'without help or praise.'
    }
  />
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
        label="Sort by"
        value={sort}
        onChange={setSort}
        options={[[BY_NAME, 'name'], ...ladders.map((l) => [l.id, l.name.toLowerCase()] as const)]}
      />
      <SelectField
        inline
        label="Show"
        value={only}
        onChange={(v) => setOnly(v as State | '')}
        options={[['', 'everyone'], ...STATES.map((s) => [s, WHO[s]] as const)]}
      />
      <Checkbox checked={here} onChange={setHere} label="here today" />
      <PrintButton kind="plain" />
      <PapersMenu id={groupId} />
    </div>
  );
}
