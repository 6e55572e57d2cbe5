'use client';

import type { SessionState } from '@/core/sessions/replay';
import { OutcomeMark } from '../kit/outcome-mark';

interface ChildrenListProps {
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly state: SessionState;
  readonly onChoose: (childId: string | null) => void;
  readonly onAway: (childId: string, away: boolean) => void;
}

/** Whose turn it is, what each had so far; a tap gives someone the turn, or says they are away. */
export function ChildrenList({ people, state, onChoose, onAway }: ChildrenListProps) {
  const playing = state.phase === 'turn';
  const row = (id: string | null, name: string) => {
    const away = id !== null && state.away.has(id);
    const turn = (playing || state.phase === 'model') && state.childId === id;
    const marks = state.answers.filter((a) => a.childId === id).slice(-5);
    return (
      <li key={id ?? 'everyone'} className={`flex max-w-72 items-stretch ${turn ? 'border-l-[6px] border-slate bg-slate-soft' : 'border-l-[6px] border-transparent'}`}>
        <button
          type="button" disabled={!playing || away} onClick={() => onChoose(id)} aria-current={turn ? 'true' : undefined}
          className={`flex min-h-16 min-w-0 flex-1 items-center justify-between gap-2 pl-3 pr-1 text-left font-word text-lg ${turn ? 'font-bold' : ''} ${away ? 'text-muted' : ''}`}
        >
          <span className="truncate" title={name}>{name}</span>
          <span className="flex shrink-0 gap-1">{marks.map((a) => <OutcomeMark key={a.id} outcome={a.outcome} />)}</span>
        </button>
        {id !== null && (
          <button
            type="button" className="min-h-16 w-16 shrink-0 text-sm text-muted hover:text-ink" onClick={() => onAway(id, !away)}
          >
            <span className="sr-only">{name}: </span>{away ? 'is back?' : 'away?'}
          </button>
        )}
      </li>
    );
  };
  return (
    <nav aria-label="Children" className="relative min-w-0 border-line py-1 max-md:overflow-x-auto max-md:border-b md:border-r md:py-3">
      <ul className="max-md:flex max-md:w-max">
        {people.map(({ id, name }) => row(id, name))}
        {row(null, 'Everyone together')}
      </ul>
    </nav>
  );
}
