'use client';

import { clsx } from 'clsx';
import { memo, useCallback, useEffect, useRef } from 'react';
import type { Outcome } from '@/core/answers/outcome';
import { brief } from '@/core/sessions/initials';
import { Button } from '../kit/button';
import { OutcomeMark } from '../kit/outcome-mark';
import { ChildName } from './child-name';
import { away, choose } from './run/acts';
import { useNames, useRun, useStore } from './use-run';

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
        'min-w-0 items-stretch roomy:flex roomy:flex-1 roomy:border-r roomy:border-line',
        turn
          ? [
              'flex flex-1 bg-slate-soft roomy:min-w-60',
              'narrow:shadow-[inset_0_6px_0_var(--color-slate)] wide:min-w-0',
              'wide:shadow-[inset_6px_0_0_var(--color-slate)]',
            ]
          : 'hidden roomy:max-w-56 roomy:min-w-28',
        'roomy:h-full wide:h-auto wide:max-w-none wide:min-w-0 wide:flex-none wide:border-r-0',
        // Of thirty children those out of sight are not laid out.
        'wide:[contain-intrinsic-size:auto_4rem] wide:[content-visibility:auto]',
      )}
    >
      <button
        type="button"
        disabled={!canChoose || away}
        onClick={() => onChoose(id)}
        aria-current={turn ? 'true' : undefined}
        data-box
        className={clsx(
          'flex min-h-0 min-w-0 flex-1 items-center-safe justify-between gap-x-2 px-3 text-left',
          'font-word leading-tight',
          'snug:px-(--side) snug:text-[1.35em] roomy:flex-col roomy:justify-center-safe roomy:text-center',
          'wide:min-h-16 wide:flex-row wide:justify-between wide:pl-5 wide:text-left',
          turn ? 'font-bold' : '',
          away || resting ? 'text-muted' : '',
        )}
      >
        <span className="max-w-full min-w-0 break-words">
          <ChildName id={id} name={name} />
          {resting && ' · rests'}
        </span>
        <span className="hidden shrink-0 gap-1 roomy:flex">
          {outcomes.map((outcome, i) => (
            <OutcomeMark key={i} outcome={outcome} />
          ))}
        </span>
      </button>
      {id !== null && (
        <button
          type="button"
          className="hidden w-[4.2rem] shrink-0 text-[0.85em] text-muted hover:text-ink roomy:text-[1em] wide:block"
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

const rowInTurn = (box: HTMLElement): HTMLElement | null =>
  box.querySelector('[aria-current="true"]')?.closest('li') ?? null;

/** Scrolls a list so that whoever has the turn is seen, with a neighbour on either side. */
function bringInSight(box: HTMLElement): void {
  const row = rowInTurn(box);
  if (!row) return;
  const top = inSight(row.offsetTop, row.offsetHeight, box.scrollTop, box.clientHeight);
  const left = inSight(row.offsetLeft, row.offsetWidth, box.scrollLeft, box.clientWidth);
  if (top !== box.scrollTop || left !== box.scrollLeft) box.scrollTo({ top, left });
}

/** Keeps whoever has the turn in sight: on the next turn, when the screen is turned, when a name takes more room. */
function useInSight(of: string | null, playing: boolean) {
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    const box = list.current;
    if (!box) return;
    // Called once the page is laid out: at first, and after each change of the list or of that row.
    const resized = new ResizeObserver(() => bringInSight(box));
    const row = rowInTurn(box);
    for (const part of row ? [box, row] : [box]) resized.observe(part);
    return () => resized.disconnect();
  }, [of, playing]);
  return list;
}

/**
 * Whose turn it is. On a phone that child alone, with who is next; with more room everyone, with what each had so far:
 * a tap gives someone the turn.
 */
export function ChildrenList() {
  const store = useStore();
  const nameOf = useNames();
  const people = useRun((run) => run.people);
  const state = useRun((run) => run.state);
  const someLate = useRun((run) => run.late.length > 0);
  const onChoose = useCallback((id: string | null) => void store.dispatch(choose(id)), [store]);
  const onAway = useCallback((id: string, gone: boolean) => void store.dispatch(away(id, gone)), [store]);
  const playing = state.phase === 'turn';
  const list = useInSight(state.childId, playing);
  const current = (playing || state.phase === 'model') && !state.calling;
  const row = (id: string | null, name: string) => (
    <Row
      key={id ?? 'everyone'}
      id={id}
      name={name}
      away={id !== null && state.away.has(id)}
      resting={id !== null && state.resting.has(id)}
      canChoose={playing}
      turn={current && state.childId === id}
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
      aria-label="Children"
      className="fit flex min-h-0 min-w-0 border-line [contain:strict] narrow:border-b wide:border-r"
      data-zone="who"
    >
      <ul
        ref={list}
        className={clsx(
          // On a tablet each line of names is as high as the place: one line is seen, and every name of it is whole.
          'relative flex min-h-0 min-w-0 flex-1 roomy:flex-wrap roomy:content-start roomy:overflow-hidden',
          'wide:block wide:overflow-x-hidden wide:overflow-y-auto wide:py-3',
        )}
      >
        {state.calling && (
          <li className="flex-1 self-center px-(--side) text-[1.2em] roomy:hidden">Who wants a turn?</li>
        )}
        {people.map(({ id }) => row(id, nameOf(id)))}
        {row(null, 'Everyone together')}
        {someLate && (
          <li className="hidden wide:block">
            <button
              type="button"
              className="min-h-16 px-5 text-left text-muted hover:text-ink"
              onClick={() => store.show({ dialog: 'late' })}
            >
              Someone has arrived
            </button>
          </li>
        )}
      </ul>
      <Next />
    </nav>
  );
}

/** Who goes after that; all of them behind a tap. */
function Next() {
  const store = useStore();
  const nameOf = useNames();
  const then = useRun((run) => run.state.thenId);
  return (
    <Button
      kind="quiet"
      data-box
      className={clsx(
        'min-h-0 max-w-[45%] min-w-12 shrink-0 justify-end rounded-none text-right',
        'text-[0.9em] leading-tight roomy:max-w-36 roomy:text-[1em] wide:hidden',
      )}
      aria-label={then ? `then ${nameOf(then)}; all the children` : 'All'}
      onClick={() => store.show({ dialog: 'people' })}
    >
      <span className="min-w-0 wrap-anywhere roomy:hidden">{then ? `then ${brief(nameOf(then))}` : 'All'}</span>
      <span className="hidden roomy:inline">All</span>
      <span aria-hidden="true">›</span>
    </Button>
  );
}
