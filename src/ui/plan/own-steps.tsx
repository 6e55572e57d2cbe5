import type { PlannedRound } from '@/core/sessions/running-order';
import type { CatalogueTask } from '@/server/plans/catalogue';
import type { ShownOwn, ShownRound } from '@/server/plans/plan-shown';
import { Select } from '../kit/select';
import { Switch } from '../kit/switch';

type Put = (change: (round: PlannedRound) => PlannedRound) => void;

interface OwnSwitchProps {
  readonly round: PlannedRound;
  readonly shown: ShownRound;
  readonly put: Put;
}

/** Same for all, or each child their own step; where the game and who answers allow it. */
export function OwnSwitch({ round, shown, put }: OwnSwitchProps) {
  if (!shown.mayOwn) return null;
  return (
    <>
      {shown.offersOwn && <p className="basis-full text-ink">Their own steps are far apart here. Switch this on?</p>}
      <Switch
        label="Each child has their own step"
        on={round.own?.on === true}
        onChange={(on) => put((r) => ({ ...r, own: { on, steps: r.own?.steps ?? {} } }))}
      />
    </>
  );
}

interface OwnStepsProps {
  readonly round: PlannedRound;
  readonly own: readonly ShownOwn[];
  readonly task: CatalogueTask | undefined;
  readonly put: Put;
}

/** Who gets what: a row a child, with their step, which can be changed, and their words. */
export function OwnSteps({ round, own, task, put }: OwnStepsProps) {
  const choose = (childId: string, step: string): void =>
    put((r) => {
      const others = Object.entries(r.own?.steps ?? {}).filter(([child]) => child !== childId);
      return { ...r, own: { on: true, steps: Object.fromEntries(step ? [...others, [childId, step]] : others) } };
    });
  return (
    <ul className="divide-y divide-line border-y border-line">
      {own.map((o) => (
        <li key={o.childId} className="flex flex-wrap items-center gap-x-3 py-1">
          <span className="w-28 min-w-0 truncate font-word text-lg font-bold">{o.name}</span>
          <Select
            kind="small"
            className="w-64"
            label={`Step for ${o.name}`}
            value={round.own?.steps[o.childId] ?? ''}
            onChange={(step) => choose(o.childId, step)}
            options={[
              ['', o.byHand ? 'Our choice' : `${o.stepName} (our choice)`],
              ...(task?.steps ?? []).map((s) => [s.id, s.name] as const),
            ]}
          />
          <span className="min-w-0 flex-1 basis-40 font-word text-xl wrap-anywhere">
            {o.items.map((i) => i.label).join(' · ')}
          </span>
          {o.why && <p className="basis-full pb-1 text-[0.95rem] text-muted">{o.why}</p>}
        </li>
      ))}
    </ul>
  );
}
