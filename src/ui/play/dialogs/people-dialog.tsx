'use client';

import { clsx } from 'clsx';
import { Button } from '../../kit/button';
import { Dialog } from '../../kit/dialog';
import { OutcomeMark } from '../../kit/outcome-mark';
import { ChildName } from '../child-name';
import { away, choose } from '../run/acts';
import { useNames, useRun, useStore } from '../use-run';

interface PeopleProps {
  readonly onClose: () => void;
}

/** Everyone, what they had so far and who is away: a tap on a name gives them the turn. */
export function PeopleDialog({ onClose }: PeopleProps) {
  const store = useStore();
  const nameOf = useNames();
  const people = useRun((run) => run.people);
  const state = useRun((run) => run.state);
  const own = useRun((run) => run.round.own);
  const someLate = useRun((run) => run.late.length > 0);
  const give = (id: string | null): void => {
    void store.dispatch(choose(id));
    onClose();
  };
  return (
    <Dialog open low onOpenChange={onClose} title="Whose turn is it?">
      <ul className="divide-y divide-line">
        {people.map(({ id }) => {
          const gone = state.away.has(id);
          return (
            <li key={id} className="flex items-stretch gap-2">
              <button
                type="button"
                disabled={gone || state.phase !== 'turn'}
                aria-current={state.childId === id ? 'true' : undefined}
                className={clsx(
                  'flex min-h-14 min-w-0 flex-1 items-center justify-between gap-3 text-left font-word',
                  'hover:bg-paper disabled:text-muted aria-current:font-bold',
                )}
                onClick={() => give(id)}
              >
                <span className="min-w-0 wrap-anywhere">
                  <ChildName id={id} name={nameOf(id)} />
                  {own
                    .filter((o) => o.childId === id && o.why)
                    .map(({ why }) => (
                      <span key={why} className="block font-sans text-[0.85em] font-normal text-muted">
                        {why}
                      </span>
                    ))}
                </span>
                <span className="flex shrink-0 gap-1">
                  {state.answers
                    .filter((a) => a.childId === id)
                    .slice(-4)
                    .map((a) => (
                      <OutcomeMark key={a.id} outcome={a.outcome} />
                    ))}
                </span>
              </button>
              <Button
                kind="quiet"
                className="w-20 shrink-0 justify-center"
                onClick={() => void store.dispatch(away(id, !gone))}
              >
                <span className="sr-only">{nameOf(id)}: </span>
                {gone ? 'back?' : 'away?'}
              </Button>
            </li>
          );
        })}
        <li>
          <button
            type="button"
            disabled={state.phase !== 'turn'}
            className="min-h-14 w-full text-left font-word hover:bg-paper disabled:text-muted"
            onClick={() => give(null)}
          >
            Everyone together
          </button>
        </li>
      </ul>
      {someLate && (
        <Button className="mt-3 w-full" onClick={() => store.show({ dialog: 'late' })}>
          Someone has arrived
        </Button>
      )}
    </Dialog>
  );
}
