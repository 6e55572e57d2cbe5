'use client';

import { clsx } from 'clsx';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Lock, Plus, RefreshCw, SlidersHorizontal, Trash2 } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState, type ReactNode } from 'react';
import type { PlanChange } from '@/core/formats/plan-file';
import {
  ROLE_WORDS,
  roundSeconds,
  WAY_WORDS,
  wholeMinutes,
  type Plan,
  type PlannedRound,
} from '@/core/sessions/running-order';
import type { Catalogue } from '@/server/plans/catalogue';
import type { ShownRound } from '@/server/plans/plan-shown';
import { sure } from '@/core/sure';
import { MoveHandle } from './move-handle';
import { OwnSteps, OwnSwitch } from './own-steps';
import type { CatalogueTask } from '@/server/plans/catalogue';
import type { ShownItem } from '@/server/plans/plan-shown';
import { Button } from '../kit/button';

/** What is opened from a round is fetched when it is. */
const ItemDialog = dynamic(() => import('./item-dialog').then((m) => m.ItemDialog), { ssr: false });
const RoundDialog = dynamic(() => import('./round-dialog').then((m) => m.RoundDialog), { ssr: false });

interface RoundRowProps {
  readonly round: PlannedRound;
  readonly number: number;
  /** How many rounds the plan has. */
  readonly rounds: number;
  /** Puts it in another place, from 0. */
  readonly onMove: (to: number) => void;
  /** What the bank makes of it; null until it has answered. */
  readonly shown: ShownRound | null;
  readonly plan: Plan;
  readonly games: Catalogue;
  readonly people: number;
  readonly pace: number | null;
  readonly put: (change: (round: PlannedRound) => PlannedRound) => void;
  readonly ask: (change: PlanChange) => Promise<boolean>;
  /** What the last change has to say about itself. */
  readonly said: string | null;
  /** Why the last change could not be made. */
  readonly error: string | null;
  readonly onRemove: () => void;
}

/** The name of a round’s step, whether it is offered in order or not; or that each child has their own. */
function stepName(task: CatalogueTask | undefined, id: string, shown: ShownRound | null): string {
  if (shown?.own.length) return 'each their own step';
  const all = task ? [...task.steps, ...task.unlisted] : [];
  return all.find((s) => s.id === id)?.name ?? 'words of your own';
}

/** One round on its hairline: minutes, game, words, and the line as it will be said. */
export function RoundRow(props: RoundRowProps) {
  const { round, number, rounds, shown, plan, games, people, pace, put, ask, onRemove, onMove } = props;
  const { said, error } = props;
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: round.id });
  const [dialog, setDialog] = useState<'round' | { item: string } | null>(null);
  const [reading, setReading] = useState(false);
  const task = games.families.flatMap((f) => f.tasks).find((t) => t.id === round.task);
  const step = stepName(task, round.step, shown);
  const items = round.items.map((item) => ({ ...item, shown: shown?.items.find((i) => i.key === item.key) ?? null }));
  const minutes = wholeMinutes(roundSeconds(round, people, pace ?? 15));
  const family = games.families.find((f) => f.tasks.some((t) => t.id === round.task))?.name ?? '';
  const stretch = (i: number): boolean =>
    round.role === 'focus' && i === items.length - 1 && items.length > 2 && !shown?.inOrder;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx(
        'grid grid-cols-[3rem_minmax(0,1fr)] border-b border-line py-3',
        isDragging ? 'relative z-10 bg-card shadow-lg' : '',
      )}
    >
      <p className="font-word leading-none">
        <span className="block text-3xl font-bold">{minutes}</span>
        <span className="text-sm text-muted">min</span>
      </p>
      <div className="min-w-0">
        <Head
          number={number}
          family={family}
          task={task}
          step={step}
          round={round}
          ask={ask}
          setDialog={setDialog}
          onRemove={onRemove}
          handle={
            <MoveHandle
              name={`Move round ${number}`}
              at={number - 1}
              of={rounds}
              onMove={onMove}
              drag={{ ...attributes, ...listeners }}
            />
          }
        />
        {shown?.own.length ? (
          <OwnSteps round={round} own={shown.own} task={task} put={put} />
        ) : (
          <Items items={items} setDialog={setDialog} stretch={stretch} ask={ask} round={round} number={number} />
        )}
        {shown && (
          <div className="mt-1 flex flex-wrap items-center gap-x-4 text-[0.95rem] text-muted">
            <p className="min-w-0 py-1">
              {shown.sample && <>“{shown.sample}” · </>}
              {WAY_WORDS[round.way]}
              {round.gap !== 1 && ` · pause ${round.gap} s`}
            </p>
            <Button kind="quiet" className="-ml-3" aria-expanded={reading} onClick={() => setReading(!reading)}>
              {reading ? 'Close the script' : 'Read the script'}
            </Button>
            <OwnSwitch round={round} shown={shown} put={put} />
          </div>
        )}
        {reading && shown && <Script shown={shown} reminder={round.reminder} />}
      </div>
      <Dialogs {...{ round, shown, plan, games, put, ask, said, error, task, items, dialog, setDialog }} />
    </li>
  );
}

type Open = 'round' | { readonly item: string } | null;

interface DialogsProps extends Pick<
  RoundRowProps,
  'round' | 'shown' | 'plan' | 'games' | 'put' | 'ask' | 'said' | 'error'
> {
  readonly task: CatalogueTask | undefined;
  readonly items: readonly RowItem[];
  readonly dialog: Open;
  readonly setDialog: (next: Open) => void;
}

/** What is open over a round: one of its items, or how it runs. */
function Dialogs(props: DialogsProps) {
  const { round, shown, plan, games, put, ask, said, error, task, items, dialog, setDialog } = props;
  const item = typeof dialog === 'object' && dialog ? items.find((i) => i.key === dialog.item) : undefined;
  return (
    <>
      {item && (
        <ItemDialog
          item={item}
          at={round.items.findIndex((i) => i.key === item.key)}
          total={round.items.length}
          inOrder={shown?.inOrder ?? false}
          chain={task?.leadsOn ?? false}
          onClose={() => setDialog(null)}
          onSwap={async () => {
            if (await ask({ kind: 'swap', round: round.id, key: item.key })) setDialog(null);
          }}
          onAside={async (word) => {
            if (await ask({ kind: 'aside', word })) setDialog(null);
          }}
          onLock={() =>
            put((r) => ({ ...r, items: r.items.map((i) => (i.key === item.key ? { ...i, locked: !i.locked } : i)) }))
          }
          onMove={(by) =>
            put((r) => ({
              ...r,
              items: moved(
                r.items,
                r.items.findIndex((i) => i.key === item.key),
                by,
              ),
            }))
          }
          onRemove={() => {
            setDialog(null);
            put((r) => ({ ...r, items: r.items.filter((i) => i.key !== item.key) }));
          }}
        />
      )}
      {dialog === 'round' && shown && task && (
        <RoundDialog
          round={round}
          shown={shown}
          task={task}
          games={games}
          letters={plan.letters}
          put={put}
          ask={ask}
          said={said}
          error={error}
          onClose={() => setDialog(null)}
        />
      )}
    </>
  );
}

interface RowItem {
  readonly key: string;
  readonly locked: boolean;
  readonly shown: ShownItem | null;
}

function edgeOf(shown: ShownItem | null, stretch: boolean): string {
  if (shown?.problem) return 'border-red text-red';
  return stretch ? 'border-ink' : 'border-line-strong';
}

interface ItemsProps {
  readonly items: readonly RowItem[];
  readonly setDialog: (next: 'round' | { item: string } | null) => void;
  readonly stretch: (i: number) => boolean;
  readonly ask: (change: PlanChange) => Promise<boolean>;
  readonly round: PlannedRound;
  readonly number: number;
}

/** The items of a round; one more is made by the plus. */
function Items({ items, setDialog, stretch, ask, round, number }: ItemsProps) {
  return (
    <ul className="flex flex-wrap gap-2">
      {items.map(({ key, locked, shown: as }, i) => (
        <li key={key} className="max-w-full">
          <button
            type="button"
            onClick={() => setDialog({ item: key })}
            className={clsx(
              'flex min-h-12 max-w-full items-center gap-2 rounded-full border bg-card px-4',
              'text-left font-word text-xl hover:border-ink',
              edgeOf(as, stretch(i)),
            )}
          >
            {locked && <Lock aria-label="locked" size={15} className="shrink-0" />}
            <span className="min-w-0 wrap-anywhere">{as?.label ?? key}</span>
            {as?.note && <span className="text-base text-muted">{as.note}</span>}
            {stretch(i) && <span className="text-base text-muted">stretch</span>}
          </button>
        </li>
      ))}
      <li>
        <button
          type="button"
          className={clsx(
            'grid size-12 place-items-center rounded-full border border-dashed border-line-strong',
            'text-muted hover:border-ink hover:text-ink',
          )}
          title="Add one more"
          onClick={() => void ask({ kind: 'more', round: round.id })}
        >
          <Plus aria-hidden="true" size={19} />
          <span className="sr-only">Add one more to round {number}</span>
        </button>
      </li>
    </ul>
  );
}

interface HeadProps {
  readonly number: number;
  readonly family: string;
  readonly task: CatalogueTask | undefined;
  readonly step: string;
  readonly round: PlannedRound;
  readonly ask: (change: PlanChange) => Promise<boolean>;
  readonly setDialog: (next: 'round' | { item: string } | null) => void;
  readonly onRemove: () => void;
  /** The button it is dragged by. */
  readonly handle: ReactNode;
}

/** The game of a round, and what can be done with it. */
function Head({ number, family, task, step, round, ask, setDialog, onRemove, handle }: HeadProps) {
  return (
    <div className="flex flex-wrap items-start justify-end gap-x-2">
      <h2 className="min-w-0 flex-1 basis-full py-1 text-xl sm:basis-0">
        <span className="sr-only">Round {number}: </span>
        {family}{' '}
        <span className="font-sans text-base font-normal text-muted">
          {task && task.name !== family && `${task.name.charAt(0).toLowerCase()}${task.name.slice(1)} · `}
          {step} · {ROLE_WORDS[round.role].toLowerCase()}
        </span>
      </h2>
      <button
        type="button"
        className={ICON}
        onClick={() => void ask({ kind: 'remake', round: round.id })}
        title="Other words"
      >
        <RefreshCw aria-hidden="true" size={19} />
        <span className="sr-only">Other words in round {number}</span>
      </button>
      <button type="button" className={ICON} onClick={() => setDialog('round')} title="Change">
        <SlidersHorizontal aria-hidden="true" size={19} />
        <span className="sr-only">Change round {number}</span>
      </button>
      <button type="button" className={ICON} onClick={onRemove} title="Remove">
        <Trash2 aria-hidden="true" size={19} />
        <span className="sr-only">Remove round {number}</span>
      </button>
      {handle}
    </div>
  );
}

const ICON = 'grid size-12 shrink-0 place-items-center rounded-lg text-muted hover:bg-card hover:text-ink';

const moved = <T,>(items: readonly T[], at: number, by: number): T[] => {
  const out = [...items];
  const [item] = out.splice(at, 1);
  out.splice(Math.max(0, Math.min(items.length - 1, at + by)), 0, sure(item));
  return out;
};

const WHO = { adult: 'You', together: 'Together', children: 'They' } as const;

/** What is said in a round: everyone’s own words, or the round’s; of a list that grows, the whole of it. */
function shownLines({ own, items, grows }: ShownRound): readonly ShownItem[] {
  const theirs = own.flatMap((o) => o.items);
  if (theirs.length) return theirs;
  return grows ? items.slice(-1) : items;
}

/** Every line of a round as it will be said. */
function Script({ shown, reminder }: { shown: ShownRound; reminder: string }) {
  return (
    <div className="mb-1 rounded-xl bg-card p-4">
      <p className="mb-2 font-word text-lg">
        {shown.opening}
        {shown.model && <span className="text-muted"> Model “{shown.model}” first.</span>}
      </p>
      <p className="text-muted">
        Turns: {shown.whose} Gesture: {shown.gesture}
        {reminder && <em> {reminder}</em>}
      </p>
      <p className="mb-3 text-muted">What counts as right: {shown.judged}.</p>
      <ol className="divide-y divide-line border-t border-line">
        {shownLines(shown).map((item) => (
          <li key={item.key} className="py-2">
            {item.problem ? (
              <p className="text-red">
                {item.label}: {item.problem}
              </p>
            ) : (
              <>
                <p className="font-word text-lg">
                  <span className="mr-2 rounded-full bg-marigold-soft px-2.5 font-sans text-sm">You</span>
                  {item.say}
                </p>
                {item.story.map((sentence) => (
                  <p key={sentence} className="font-word text-lg">
                    {sentence}
                  </p>
                ))}
                {item.script.map((line) => (
                  <p key={line.role + line.text} className="font-word text-lg text-muted">
                    <span
                      className={clsx(
                        'mr-2 rounded-full px-2.5 font-sans text-sm text-ink',
                        line.role === 'children' ? 'bg-slate-soft' : 'bg-paper',
                      )}
                    >
                      {WHO[line.role]}
                    </span>
                    {line.text}
                  </p>
                ))}
              </>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
