import { evidenceOf, type StepRun } from '../evidence/evidence';
import { ladderOf, type RungRef } from '../evidence/ladders';
import { localOf } from '../choosing/local';
import { forecast, modelOf, NOT_LOCAL, worthOn, type Local } from '../choosing/model';
import { goingOn } from '../choosing/next-step';
import { sure } from '../sure';
import type { Forecasted } from './calibration';
import { ANYHOW, ONE_UP_ONE_BACK, PRACTISED, practised, type Policy, type Teaching } from './practice';
import { groupIn, type World, type WorldHistory } from './worlds';

/** Our forecasts and our advice, held to made-up worlds: for the tests and for the tables of docs/judgement.md. */

const percentRight = (runs: readonly StepRun[]): number => {
  const marks = runs.flatMap((r) => [...r.marks.replaceAll('-', '')]);
  return (marks.filter((m) => m === '1').length + 1) / (marks.length + 2);
};

/** How often each step came off in the whole group’s past: what is known of an item without its child. */
function stepShares(histories: readonly WorldHistory[]): (key: string) => number {
  const seen = new Map<string, [right: number, of: number]>();
  for (const { before } of histories)
    for (const r of before) {
      const marks = [...r.marks.replaceAll('-', '')];
      const [right, of] = seen.get(`${r.task} ${r.step}`) ?? [0, 0];
      seen.set(`${r.task} ${r.step}`, [right + marks.filter((m) => m === '1').length, of + marks.length]);
    }
  return (key) => {
    const [right, of] = seen.get(key) ?? [0, 0];
    return (right + 1) / (of + 2);
  };
}

export interface Held {
  readonly ours: readonly Forecasted[];
  readonly percent: readonly Forecasted[];
  readonly step: readonly Forecasted[];
}

/** The last session of a thousand children or more, forecast from what came before it. */
export function forecastsIn(world: World, groups: number, corrected = true): Held {
  const histories = Array.from({ length: groups }, (_, g) => groupIn(world, g + 1)).flat();
  const local = corrected ? sure(localOf(histories.map((h) => h.before))) : NOT_LOCAL;
  const shares = stepShares(histories);
  const all = histories.flatMap(({ before, last, now }) => {
    const [model, percent] = [modelOf(before, now, local), percentRight(before)];
    return last.map((a) => ({
      ours: { chance: forecast(model, a).chance, right: a.right },
      percent: { chance: percent, right: a.right },
      step: { chance: shares(`${a.task} ${a.step}`), right: a.right },
    }));
  });
  return { ours: all.map((a) => a.ours), percent: all.map((a) => a.percent), step: all.map((a) => a.step) };
}

const LADDERS_PLAYED = ['blending', 'segmenting'] as const;
/** Our advice on two ladders: the step worth most of each, or its first. */
export const ours =
  (local: Local): Policy =>
  ({ runs, now }) => {
    const model = modelOf(runs, now, local);
    const evidence = evidenceOf(runs).filter((l) => (LADDERS_PLAYED as readonly string[]).includes(l.ladder.id));
    const going = goingOn(evidence, { runs, model, now, clustersPause: false }, 'sounds-first').map((w) => ({
      ladder: w.step.ladder,
      rung: w.step.rung,
      worth: w.worth,
    }));
    const fresh = LADDERS_PLAYED.filter((l) => !runs.some((r) => r.task === l)).map((ladder) => {
      const first = sure(ladderOf(ladder).rungs[ladder === 'blending' ? 1 : 0]);
      return { ladder, rung: first.id, worth: worthOn(model, ladder, first) };
    });
    const [best] = [...going, ...fresh].sort((a, b) => b.worth - a.worth);
    const rung = best?.rung ?? 'two-beats';
    const instead: Readonly<Record<string, string>> = { pictures: 'stretched', 'how-many': 'two-beats' };
    return { ladder: best?.ladder ?? 'segmenting', rung: instead[rung] ?? rung };
  };

/** The step of any rung that the same model holds to be worth most: nothing is climbed one at a time. */
export const anyStep =
  (local: Local): Policy =>
  ({ runs, now }) => {
    const model = modelOf(runs, now, local);
    const worth = ({ ladder, rung }: RungRef): number =>
      worthOn(model, ladder, sure(ladderOf(ladder).rungs.find((r) => r.id === rung)));
    return PRACTISED.reduce((best, r) => (worth(r) > worth(best) ? r : best));
  };

/** What four hundred children of a setting had shown before, played with as people do. */
export function learnedFrom(teaching: Teaching): Local {
  const histories = Array.from({ length: 400 }, (_, i) => {
    let seen: readonly StepRun[] = [];
    const by: Policy = i % 2 ? ONE_UP_ONE_BACK : ANYHOW;
    practised(teaching, (shown) => ((seen = shown.runs), by(shown)), 1_001 + i);
    return [...seen];
  });
  return localOf(histories) ?? NOT_LOCAL;
}

export const gained = (teaching: Teaching, policy: Policy, children: number): number =>
  Array.from({ length: children }, (_, i) => practised(teaching, policy, i + 1)).reduce(
    (sum, { before, after }) => sum + after - before,
    0,
  ) / children;
