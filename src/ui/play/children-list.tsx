'use client';

import { memo } from 'react';
import type { Outcome } from '@/core/answers/outcome';
import type { SessionState } from '@/core/sessions/replay';
import { OutcomeMark } from '../kit/outcome-mark';

interface ChildrenListProps {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly state: SessionState;
  readonly onChoose: (childId: string | null) => void;
  readonly onAway: (childId: string, away: boolean) => void;
}

interface RowProps {
  readonly id: string | null;
  readonly name: string;
  readonly away: boolean;
  readonly turn: boolean;
  readonly canChoose: boolean;
  /** The last few outcomes, apart by spaces: a plain value, so that a row is drawn again only when it changes. */
  readonly marks: string;
  readonly onChoose: (childId: string | null) => void;
  readonly onAway: (childId: string, away: boolean) => void;
}

const Row = memo(function Row({ id, name, away, turn, canChoose, marks, onChoose, onAway }: RowProps) {
  const outcomes = marks ? (marks.split(' ') as Outcome[]) : [];
  return (
    <li className={`flex max-w-72 items-stretch border-l-[6px] ${turn ? 'border-slate bg-slate-soft' : 'border-transparent'}`}>
      <button
        type="button" disabled={!canChoose || away} onClick={() => onChoose(id)} aria-current={turn ? 'true' : undefined}
        className={`flex min-h-16 min-w-0 flex-1 items-center justify-between gap-2 pl-3 pr-1 text-left font-word text-lg ${turn ? 'font-bold' : ''} ${away ? 'text-muted' : ''}`}
      >
        <span className="truncate" title={name}>{name}</span>
        <span className="flex shrink-0 gap-1">{outcomes.map((outcome, i) => <OutcomeMark key={i} outcome={outcome} />)}</span>
      </button>
      {id !== null && (
        <button type="button" className="min-h-16 w-16 shrink-0 text-sm text-muted hover:text-ink" onClick={() => onAway(id, !away)}>
          <span className="sr-only">{name}: </span>{away ? 'is back?' : 'away?'}
        </button>
      )}
    </li>
  );
});

/** Marks shown beside a name. */
const SHOWN = 5;

/** Whose turn it is, what each had so far; a tap gives someone the turn, or says they are away. */
export function ChildrenList({ people, state, onChoose, onAway }: ChildrenListProps) {
  const playing = state.phase === 'turn';
  const row = (id: string | null, name: string) => (
    <Row
      key={id ?? 'everyone'} id={id} name={name} away={id !== null && state.away.has(id)} canChoose={playing}
      turn={(playing || state.phase === 'model') && state.childId === id} onChoose={onChoose} onAway={onAway}
      marks={state.answers.filter((a) => a.childId === id).slice(-SHOWN).map((a) => a.outcome).join(' ')}
    />
  );
  return (
    <nav aria-label="Children" className="relative min-w-0 border-line py-1 max-md:overflow-x-auto max-md:border-b md:border-r md:py-3">
      <ul className="max-md:flex max-md:w-max">
        {people.map(({ id, name }) => row(id, name))}
        {row(null, 'Everyone together')}
      </ul>
    </nav>
  );
}
