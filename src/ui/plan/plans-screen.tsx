'use client';

import { format, parseISO } from 'date-fns';
import { CalendarPlus, Copy, FileDown, Play, Printer, Trash2 } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useActionState, useState, useTransition } from 'react';
import type { Answer } from '@/actions/answer';
import { copyPlan, erasePlan, planIt, playKept } from '@/actions/plans';
import type { FindGame } from '@/core/choosing/finding';
import type { Catalogue, CatalogueTask } from '@/server/plans/catalogue';
import type { PlanLine } from '@/server/plans/plans';
import { Alert } from '../kit/alert';
import { Button } from '../kit/button';
import { formOf, useKeptForm } from '../kit/kept-form';
import { Link } from '../kit/link';
import { Empty, ErrorMessage } from '../kit/message';
import { Select, SelectField } from '../kit/select';
import { SentFields } from '../kit/sent-fields';
import { Tooltip } from '../kit/tooltip';
import { sure } from '@/core/sure';
import { FindWhere } from '../children/find-where';
import { gamesIn } from './game-picker';
import { ImportPlan } from './import-plan';
import { unreached } from '../kit/unreached';

const lengthOf = (minutes: number, rounds: number) => `${minutes} min · ${rounds} ${rounds === 1 ? 'round' : 'rounds'}`;

interface PlansProps {
  readonly group: { readonly id: string; readonly name: string; readonly here: readonly string[] };
  readonly find: { readonly games: readonly FindGame[]; readonly first: string };
  readonly plans: readonly PlanLine[];
  readonly games: Catalogue;
  /** The game and step to begin with: what was asked for, or what is next for the group. */
  readonly first: { readonly task: string; readonly step: string };
}

const SHAPES = [
  ['focus', 'One skill', 'A warm-up, the skill itself, a stretch, and something easy to finish.'],
  [
    'one-sound',
    'One sound, many tasks',
    'One sound all the way through: rhyming, first sounds, blending, segmenting, swapping.',
  ],
  ['blend-segment', 'One set of words, twice', 'The same words twice: first you blend them, then you segment them.'],
  ['quick-five', 'A quick five', 'Five quick ones, everyone together.'],
  ['check-in', 'Check-in', 'A few plain questions from each of four skills.'],
] as const;
/** What a new plan begins with. */
const USUAL = { shape: 'focus', task: 'sort', step: '', minutes: '8', sound: '', count: '3' };

interface Asks {
  readonly skilled: boolean;
  readonly counted: boolean;
  readonly shape: string;
}

/** What a kind of session asks for; the rest was filled in for another kind. */
const only = (
  { task, step, count, sound }: Pick<typeof USUAL, 'task' | 'step' | 'count' | 'sound'>,
  { skilled, counted, shape }: Asks,
): Record<string, string> => ({
  ...(skilled ? { task, ...(step ? { step } : {}) } : {}),
  ...(counted ? { count } : {}),
  ...(shape === 'check-in' || !sound ? {} : { sound }),
});

/** Begin a plan from a skill, a sound or a shape; and the plans that are kept. */
export function PlansScreen({ group, plans, games, find, first }: PlansProps) {
  return (
    <div className="grid grid-cols-1 gap-x-14 gap-y-10 lg:grid-cols-[minmax(0,1fr)_25rem]">
      <NewPlan key={`${group.id} ${first.task} ${first.step}`} {...{ group, games, find, first }} />
      <div className="min-w-0">
        <PlanList plans={plans} groupName={group.name} />
        <ImportPlan groupId={group.id} />
      </div>
    </div>
  );
}

/** The steps of a game: by number of sounds first, where it goes by that, and then by the shape of the words. */
const stepsOf = ({ steps, unlisted }: CatalogueTask) => {
  const asChoices = (of: CatalogueTask['steps']) => of.map((s): [string, string] => [s.id, s.name]);
  if (!unlisted.length) return asChoices(steps);
  return [
    { heading: 'By number of sounds', options: asChoices(unlisted) },
    { heading: 'Step by step', options: asChoices(steps) },
  ];
};

function NewPlan({ group, games, find, first }: Omit<PlansProps, 'plans'>) {
  const usual = { ...USUAL, ...first };
  const { form, values, done } = useKeptForm(`new-plan ${group.id} ${usual.task} ${usual.step}`, usual);
  const [sent, send] = useActionState(planIt, {});
  const [error, setError] = useState(sent.error ?? null);
  const [busy, begin] = useTransition();
  const { shape, task, step, minutes, sound, count } = values;
  const set = (name: keyof typeof USUAL) => (next: string) => form.setValue(name, next, { shouldDirty: true });
  const chosen = sure(games.families.flatMap((f) => f.tasks).find((t) => t.id === task));
  const skilled = shape === 'focus' || shape === 'quick-five';
  const counted = shape === 'one-sound' || shape === 'blend-segment';
  const asked = { groupId: group.id, shape, minutes, ...only(values, { skilled, counted, shape }) };
  const people = ['everyone together', 'one child'][group.here.length] ?? `${group.here.length} children`;
  return (
    <form
      className="min-w-0"
      action={send}
      onSubmit={form.handleSubmit((wish) =>
        begin(async () => {
          const state = await planIt({}, formOf(asked)).catch(unreached('What you chose is still here.'));
          setError(state?.error ?? null);
          if (!state?.error) done(wish);
        }),
      )}
    >
      <SentFields values={asked} />
      <h1 className="mb-1 text-4xl">Plan for {group.name}</h1>
      <p className="mb-3 text-muted max-sm:hidden">We’ll plan the whole session, and you can change anything in it.</p>
      <Shapes shape={shape} setShape={set('shape')} />
      <div className="flex flex-wrap items-end gap-x-3 gap-y-2 font-word text-xl lg:text-2xl">
        <label className="flex items-center gap-3">
          Give me{' '}
          <input
            type="number"
            min={1}
            max={60}
            value={minutes}
            onChange={(event) => set('minutes')(event.target.value)}
            className="field w-20 text-xl"
            aria-label="Minutes"
          />{' '}
          minutes
        </label>
        {skilled && (
          <>
            <GameField task={task} setTask={set('task')} setStep={set('step')} games={games} />
            <Select
              key={task}
              label="Step"
              value={step || sure(chosen.steps[0]).id}
              onChange={set('step')}
              options={stepsOf(chosen)}
              kind="small"
              className="text-xl"
            />
          </>
        )}
        {counted && <CountField count={count} setCount={set('count')} />}
        {shape !== 'check-in' && <SoundField sound={sound} setSound={set('sound')} games={games} />}
        <span className="py-2.5">for {people}.</span>
      </div>
      {skilled && <p className="mt-2 text-muted">{chosen.asks}</p>}
      <Button kind="action" size="big" type="submit" className="mt-3 px-10 text-xl" disabled={busy}>
        {busy ? 'Planning…' : 'Plan it'}
      </Button>
      {shape === 'check-in' && (
        <div className="mt-6">
          <FindWhere
            groupId={group.id}
            {...find}
            whom={() => group.here}
            what="Or find each child’s step: one after another, about ten questions each, without help or praise."
          />
        </div>
      )}
      <ErrorMessage className="mt-4">{error}</ErrorMessage>
    </form>
  );
}

const COUNTS = ['2', '3', '4', '5', '6'] as const;

/** How many sounds its words have. */
const CountField = ({ count, setCount }: { readonly count: string; readonly setCount: (next: string) => void }) => (
  <span className="flex items-center gap-3">
    of
    <Select
      label="Number of sounds"
      value={count}
      onChange={setCount}
      options={COUNTS.map((n) => [n, `${Number(n)} sounds`])}
      kind="small"
      className="text-xl"
    />
  </span>
);

interface SoundFieldProps {
  readonly sound: string;
  readonly setSound: (next: string) => void;
  readonly games: Catalogue;
}

/** The sound it is about. */
const SoundField = ({ sound, setSound, games }: SoundFieldProps) => (
  <span className="flex max-w-full min-w-0 items-center gap-3">
    with
    <Select
      label="Sound"
      value={sound}
      onChange={setSound}
      options={[['', 'any sound'], ...games.sounds.map((s): [string, string] => [s.ipa, s.label])]}
      kind="small"
      className="text-xl"
    />
  </span>
);

interface GameFieldProps {
  readonly task: string;
  readonly setTask: (next: string) => void;
  readonly setStep: (next: string) => void;
  readonly games: Catalogue;
}

/** Which game, by family. */
const GameField = ({ task, setTask, setStep, games }: GameFieldProps) => (
  <span className="flex max-w-full min-w-0 items-center gap-3">
    on
    <Select
      label="Game"
      value={task}
      onChange={(next) => {
        setTask(next);
        setStep('');
      }}
      options={gamesIn(games, (t) => !t.former)}
      kind="small"
      className="text-xl"
    />
  </span>
);

interface ShapesProps {
  readonly shape: string;
  readonly setShape: (next: string) => void;
}

/** What kind of session it is to be, and in a line what that is. */
const Shapes = ({ shape, setShape }: ShapesProps) => (
  <div className="mb-3 max-w-md">
    <SelectField
      label="What kind of session?"
      value={shape}
      onChange={setShape}
      options={SHAPES.map(([value, name]) => [value, name])}
      hint={SHAPES.find(([value]) => value === shape)?.[2] ?? ''}
    />
  </div>
);

const ICON =
  'inline-flex min-h-12 min-w-12 items-center justify-center gap-1 rounded-lg px-2 text-muted hover:bg-card ' +
  'hover:text-ink';

function PlanList({ plans, groupName }: { plans: readonly PlanLine[]; groupName: string }) {
  const [search, setSearch] = useState('');
  const [erasing, setErasing] = useState<PlanLine | null>(null);
  const [error, setError] = useState('');
  const [busy, begin] = useTransition();
  const shown = plans.filter((p) => p.title.toLowerCase().includes(search.trim().toLowerCase()));
  const list = (kept: boolean) => shown.filter((p) => p.kept === kept);
  const rows = (of: readonly PlanLine[]) => (
    <ul className="divide-y divide-line border-y border-line">
      {of.map((plan) => (
        <PlanRow key={plan.id} plan={plan} busy={busy} begin={begin} setError={setError} setErasing={setErasing} />
      ))}
    </ul>
  );
  return (
    <section aria-labelledby="plans" className="mb-8">
      <div className="mb-2 flex items-end justify-between gap-4">
        <h2 id="plans" className="text-2xl">
          Our plans
        </h2>
        {plans.length > 5 && (
          <label className="w-44">
            <span className="sr-only">Search the plans</span>
            <input
              className="field"
              type="search"
              value={search}
              onChange={(e) => setSearch(e.target.value)}
              placeholder="search"
            />
          </label>
        )}
      </div>
      <ErrorMessage>{error}</ErrorMessage>
      {!plans.length && (
        <Empty title="Plans you save will appear here">
          {groupName} has no plans yet. Make one here, or open one from a file.
        </Empty>
      )}
      {list(true).length > 0 && rows(list(true))}
      {list(false).length > 0 && (
        <>
          <h3 className="mt-5 mb-1 text-lg text-muted">Started lately, not saved</h3>
          {rows(list(false))}
        </>
      )}
      {plans.length > 0 && !shown.length && <p className="py-3 text-muted">No plan has that name.</p>}
      <ErasePlan erasing={erasing} setErasing={setErasing} busy={busy} begin={begin} setError={setError} />
    </section>
  );
}

interface ErasePlanProps {
  readonly erasing: PlanLine | null;
  readonly setErasing: (next: PlanLine | null) => void;
  readonly busy: boolean;
  readonly begin: (work: () => Promise<void>) => void;
  readonly setError: (next: string) => void;
}

/** Asks once before a plan goes. */
function ErasePlan({ erasing, setErasing, busy, begin, setError }: ErasePlanProps) {
  return (
    <Alert
      open={erasing !== null}
      onOpenChange={(open) => !open && setErasing(null)}
      title={`Erase ${erasing?.title ?? ''}?`}
      description="Sessions you’ve played from it stay as they are."
      keep="Keep the plan"
      does="Erase the plan"
      busy={busy}
      onDo={() =>
        begin(async () => {
          const a = await erasePlan(sure(erasing).id).catch(unreached('Nothing was changed.'));
          setError(a.ok ? '' : a.error);
          setErasing(null);
        })
      }
    />
  );
}

interface PlanRowProps {
  readonly plan: PlanLine;
  readonly busy: boolean;
  readonly begin: (work: () => Promise<void>) => void;
  readonly setError: (next: string) => void;
  readonly setErasing: (next: PlanLine | null) => void;
}

/** One plan, and what can be done with it. */
function PlanRow({ plan, busy, begin, setError, setErasing }: PlanRowProps) {
  const router = useRouter();
  const act = (work: () => Promise<Answer<string>>, then?: (id: string) => void): void =>
    begin(async () => {
      const done = await work().catch(unreached('Nothing was changed.'));
      setError(done.ok ? '' : done.error);
      if (done.ok) then?.(done.value);
    });
  return (
    <li className="py-2">
      <Link
        href={`/plan/${plan.id}`}
        className="font-word text-xl font-bold wrap-anywhere hover:underline hover:underline-offset-4"
      >
        {plan.title}
      </Link>
      <p className="text-muted">
        {lengthOf(plan.minutes, plan.rounds.length)}
        {plan.plannedFor && ` · ${format(parseISO(plan.plannedFor), 'EEE d MMM, HH:mm')}`}
      </p>
      <div className="-ml-2 flex">
        <Tooltip text="Play now">
          <button
            type="button"
            className={ICON}
            aria-disabled={busy}
            onClick={() =>
              act(
                () => playKept(plan.id),
                (session) => router.push(`/play/${session}`),
              )
            }
          >
            <Play aria-hidden="true" size={19} />
            <span className="sr-only">Play {plan.title}</span>
          </button>
        </Tooltip>
        <Tooltip text="Print">
          <Link className={ICON} href={`/print/plans/${plan.id}`}>
            <Printer aria-hidden="true" size={19} />
            <span className="sr-only">Print {plan.title}</span>
          </Link>
        </Tooltip>
        <Tooltip text="Copy">
          <button type="button" className={ICON} aria-disabled={busy} onClick={() => act(() => copyPlan(plan.id))}>
            <Copy aria-hidden="true" size={19} />
            <span className="sr-only">Copy {plan.title}</span>
          </button>
        </Tooltip>
        <Tooltip text="Save as a file">
          <a className={ICON} href={`/api/plans/${plan.id}/export`} download>
            <FileDown aria-hidden="true" size={19} />
            <span className="sr-only">Save {plan.title} as a file</span>
          </a>
        </Tooltip>
        {plan.plannedFor && (
          <Tooltip text="Add to a calendar">
            <a className={ICON} href={`/api/plans/${plan.id}/calendar`} download>
              <CalendarPlus aria-hidden="true" size={19} />
              <span className="sr-only">Add {plan.title} to a calendar</span>
            </a>
          </Tooltip>
        )}
        <Tooltip text="Erase">
          <button type="button" className={ICON} onClick={() => setErasing(plan)}>
            <Trash2 aria-hidden="true" size={19} />
            <span className="sr-only">Erase {plan.title}</span>
          </button>
        </Tooltip>
      </div>
    </li>
  );
}
