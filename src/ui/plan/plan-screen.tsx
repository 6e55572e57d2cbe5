'use client';

import { clsx } from 'clsx';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { Plus, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { ROUND_LIMIT, type Plan, type PlannedRound } from '@/core/sessions/running-order';
import type { Catalogue } from '@/server/plans/catalogue';
import type { PlanChange } from '@/core/formats/plan-file';
import type { OpenPlan } from '@/server/plans/plans';
import { Button } from '../kit/button';
import { Dialog } from '../kit/dialog';
import { ErrorMessage } from '../kit/message';
import { GamePicker } from './game-picker';
import { PlanSide } from './plan-side';
import { RoundRow } from './round-row';
import { toldMoves } from '../kit/told-moves';
import { usePlan } from './use-plan';
import type { ShownPlan } from '@/server/plans/plan-shown';
import type { PlanWork } from '@/ui/plan/use-plan';

const roundsUsed = (rounds: number, most: number) =>
  rounds < most
    ? `${rounds} of ${most} rounds`
    : `That’s all ${most} rounds a plan can have. Take one out to add another.`;

const childrenOf = (children: number, groupName: string) =>
  `${children} ${children === 1 ? 'child' : 'children'} of ${groupName}`;

/** The running order, changed where it stands: rounds, games, words, lines, turns and minutes. */
export function PlanScreen({ open, games }: { open: OpenPlan; games: Catalogue }) {
  const work = usePlan(open);
  const { plan, shown, edit, ask } = work;
  const [adding, setAdding] = useState(false);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = plan.rounds.map((r) => r.id);
  const nameOf = (id: string): string => shown.rounds.find((r) => r.id === id)?.name ?? 'The round';
  const move = (from: number, to: number): void =>
    edit((now) => ({ ...now, rounds: arrayMove([...now.rounds], from, to) }));
  const moved = ({ active, over }: DragEndEvent): void => {
    if (over && over.id !== active.id) move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  const put = (id: string, change: (round: PlannedRound) => PlannedRound): void =>
    edit((now: Plan) => ({ ...now, rounds: now.rounds.map((r) => (r.id === id ? change(r) : r)) }));
  return (
    <div className="grid grid-cols-1 gap-x-12 gap-y-8 max-lg:pb-16 lg:grid-cols-[minmax(0,1fr)_19rem]">
      <div className="min-w-0">
        <TitleField title={plan.title} onChange={(title) => edit((now) => ({ ...now, title }))} />
        <ForWhom shown={shown} open={open} plan={plan} work={work} />
        <ErrorMessage className="mb-3">{work.error}</ErrorMessage>
        <DndContext
          id="rounds"
          sensors={sensors}
          collisionDetection={closestCenter}
          onDragEnd={moved}
          accessibility={{ announcements: toldMoves(ids, nameOf) }}
        >
          <SortableContext items={ids} strategy={verticalListSortingStrategy}>
            <ol className="border-t border-line">
              {plan.rounds.map((round, i) => (
                <RoundRow
                  key={round.id}
                  round={round}
                  number={i + 1}
                  rounds={plan.rounds.length}
                  onMove={(to) => move(i, to)}
                  shown={shown.rounds.find((r) => r.id === round.id) ?? null}
                  plan={plan}
                  games={games}
                  people={shown.children}
                  pace={shown.paces[round.task] ?? null}
                  put={(change) => put(round.id, change)}
                  ask={ask}
                  said={work.said}
                  error={work.error}
                  onRemove={() => edit((now) => ({ ...now, rounds: now.rounds.filter((r) => r.id !== round.id) }))}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        {!plan.rounds.length && <p className="py-6 text-lg text-muted">There are no rounds yet. Add one.</p>}
        <p className="mt-2 flex flex-wrap items-center gap-x-4 sm:ml-12">
          <Button
            kind="quiet"
            className="text-lg"
            disabled={plan.rounds.length >= ROUND_LIMIT}
            onClick={() => setAdding(true)}
          >
            <Plus aria-hidden="true" size={19} /> Add a round
          </Button>
          <span className="text-muted">{roundsUsed(plan.rounds.length, ROUND_LIMIT)}</span>
        </p>
        {adding && <AddRound setAdding={setAdding} games={games} ask={ask} work={work} />}
      </div>
      <PlanSide open={open} work={work} games={games} />
    </div>
  );
}

interface TitleFieldProps {
  readonly title: string;
  readonly onChange: (title: string) => void;
}

/** What the plan is called, changed where it stands. */
const TitleField = ({ title, onChange }: TitleFieldProps) => (
  <>
    <label className="block">
      <span className="sr-only">Name of the plan</span>
      {/* A long title takes a second line; a browser that cannot size a field by its text has two ready. */}
      <textarea
        className={clsx(
          '-ml-2 block [field-sizing:content] w-full resize-none rounded-lg bg-transparent px-2 py-1.5',
          'font-word text-4xl leading-tight font-bold hover:bg-card focus:bg-card',
        )}
        value={title}
        rows={title.length > 30 ? 2 : 1}
        maxLength={60}
        autoComplete="off"
        onChange={(e) => onChange(e.target.value.replaceAll('\n', ' '))}
      />
    </label>
    <h1 className="sr-only">Plan: {title}</h1>
  </>
);

interface AddRoundProps {
  readonly setAdding: (next: boolean) => void;
  readonly games: Catalogue;
  readonly ask: (change: PlanChange) => Promise<boolean>;
  readonly work: PlanWork;
}

/** Another round, with words made for it. */
function AddRound({ setAdding, games, ask, work }: AddRoundProps) {
  return (
    <Dialog
      open
      onOpenChange={() => setAdding(false)}
      title="Add a round"
      description="It goes at the end, with words ready. You can move it."
    >
      <GamePicker
        games={games}
        task="blending"
        step="3"
        label="Add it"
        onPick={async (task, step) => {
          if (await ask({ kind: 'add-round', task, step })) setAdding(false);
        }}
      />
      <ErrorMessage className="mt-4">{work.error}</ErrorMessage>
    </Dialog>
  );
}

interface ForWhomProps {
  readonly shown: ShownPlan;
  readonly open: OpenPlan;
  readonly plan: Plan;
  readonly work: PlanWork;
}

/** Who it is for, and whether it is kept. */
function ForWhom({ shown, open, plan, work }: ForWhomProps) {
  return (
    <div className="mb-3 flex flex-wrap items-center gap-x-4 text-muted">
      <p>
        {shown.children ? childrenOf(shown.children, open.groupName) : open.groupName} ·{' '}
        {plan.letters ? 'letters after the answer' : 'ears only'}
      </p>
      <Button kind="quiet" disabled={!work.undo} onClick={() => work.undo?.()}>
        <Undo2 aria-hidden="true" size={17} /> Undo
      </Button>
      <p role="status" className="min-w-20">
        {keptInWords(work)}
      </p>
    </div>
  );
}

/** Whether the plan as it stands here is kept. */
function keptInWords({ state, error }: Pick<PlanWork, 'state' | 'error'>): string {
  if (state === 'saving') return 'Saving changes…';
  if (state === 'saved') return 'Changes saved';
  return error ? 'Changes not saved' : '';
}
