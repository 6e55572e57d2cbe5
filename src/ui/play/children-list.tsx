'use client';

import { clsx } from 'clsx';
import { memo, useCallback, useEffect, useRef } from 'react';
import type { Outcome } from '@/core/answers/outcome';
import { OutcomeMark } from '../kit/outcome-mark';
import { away, choose } from './run/acts';
import { useNames, useRun, useStore } from './use-run';
import { childrenList as say } from './text';

interface RowProps {
  readonly id: string | null;
  readonly name: string;
  readonly away: boolean;
  readonly resting: boolean;
  readonly turn: boolean;
  readonly canChoose: boolean;
  /** The last few outcomes, apart by spaces: a plain value, so that a row is drawn again only when it changes. */
  readonly marks: string;
  readonly onChoose: (childId: string | null) => void;
  readonly onAway: (childId: string, away: boolean) => void;
}

const Row = memo(function Row({ id, name, away, resting, turn, canChoose, marks, onChoose, onAway }: RowProps) {
  const outcomes = marks ? (marks.split(' ') as Outcome[]) : [];
  return (
    <li
      className={clsx(
        'flex max-w-72 items-stretch border-l-[6px] md:[contain-intrinsic-size:auto_4rem]',
        'md:[content-visibility:auto]',
        turn ? 'border-slate bg-slate-soft' : 'border-transparent',
      )}
    >
      <button
        type="button"
        disabled={!canChoose || away}
        onClick={() => onChoose(id)}
        aria-current={turn ? 'true' : undefined}
        className={clsx(
          'flex min-h-16 min-w-0 flex-1 items-center justify-between gap-2 pr-1 pl-3 text-left',
          'font-word',
          turn ? 'font-bold' : '',
          away || resting ? 'text-muted' : '',
        )}
      >
        <span className="truncate" title={name}>
          {name}
          {resting && ' · rests'}
        </span>
        <span className="flex shrink-0 gap-1">
          {outcomes.map((outcome, i) => (
            <OutcomeMark key={i} outcome={outcome} />
          ))}
        </span>
      </button>
      {id !== null && (
        <button
          type="button"
          className="min-h-16 w-[4.2rem] shrink-0 text-muted hover:text-ink"
          onClick={() => onAway(id, !away)}
        >
          <span className="sr-only">{name}: </span>
          {away ? 'back?' : 'away?'}
        </button>
      )}
    </li>
  );
});

/**
 * Where to scroll so that what is asked about has a neighbour of its size on either side: where it was if it has, else
 * to the middle.
 */
const inSight = (start: number, size: number, from: number, room: number): number =>
  start >= from + size && start + 2 * size <= from + room ? from : start - (room - size) / 2;

/** Marks shown beside a name. */
const SHOWN = 4;

/** Whose turn it is, what each had so far; a tap gives someone the turn, or says they are away. */
export function ChildrenList() {
  const store = useStore();
  const nameOf = useNames();
  const people = useRun((run) => run.people);
  const state = useRun((run) => run.state);
  const someLate = useRun((run) => run.late.length > 0);
  const onChoose = useCallback((id: string | null) => void store.dispatch(choose(id)), [store]);
  const onAway = useCallback((id: string, gone: boolean) => void store.dispatch(away(id, gone)), [store]);
  const playing = state.phase === 'turn';
  const list = useRef<HTMLElement>(null);
  // Whoever has the turn is in sight, with a neighbour on either side. Asked in the frame, which lays the page out
  // anyway.
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      const box = list.current;
      const row = box?.querySelector<HTMLElement>('[aria-current="true"]')?.closest('li');
      if (!box || !row) return;
      const top = inSight(row.offsetTop, row.offsetHeight, box.scrollTop, box.clientHeight);
      const left = inSight(row.offsetLeft, row.offsetWidth, box.scrollLeft, box.clientWidth);
      if (top !== box.scrollTop || left !== box.scrollLeft) box.scrollTo({ top, left });
    });
    return () => cancelAnimationFrame(frame);
  }, [state.childId, playing]);
  const row = (id: string | null, name: string) => (
    <Row
      key={id ?? 'everyone'}
      id={id}
      name={name}
      away={id !== null && state.away.has(id)}
      resting={id !== null && state.resting.has(id)}
      canChoose={playing}
      turn={(playing || state.phase === 'model') && state.childId === id}
      onChoose={onChoose}
      onAway={onAway}
      marks={state.answers
        .filter((a) => a.childId === id)
        .slice(-SHOWN)
        .map((a) => a.outcome)
        .join(' ')}
    />
  );
  return (
    <nav
      ref={list}
      aria-label={say.children}
      className={clsx(
        'relative min-w-0 border-line py-1 max-md:overflow-x-auto max-md:border-b',
        'md:overflow-y-auto md:border-r md:py-3 md:[contain:strict]',
      )}
    >
      <ul className="max-md:flex max-md:w-max">
        {people.map(({ id }) => row(id, nameOf(id)))}
        {row(null, say.everyoneTogether)}
        {someLate && (
          <li>
            <button
              type="button"
              className="min-h-16 px-4 text-left text-muted hover:text-ink"
              onClick={() => store.show({ dialog: 'late' })}
            >
              {say.someoneCameLate}
            </button>
          </li>
        )}
      </ul>
    </nav>
  );
}
