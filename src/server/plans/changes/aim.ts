import { generate } from '../../../core/games/generate';
import type { Item } from '../../../core/games/item';
import type { Step } from '../../../core/games/step';
import { expectedInWords, groupForecast, JUST_RIGHT } from '../../../core/choosing/just-right';
import { forecast } from '../../../core/choosing/model';
import { SPARES } from '../../../core/sessions/shapes';
import { setSizeFor } from '../../../core/sessions/turns';
import { sure } from '../../../core/sure';
import { Problem } from '../../storage/problems';
import { requestOf, type Reworked, type RoundWork } from './round-work';

/** Candidates an aimed round is chosen from. */
const AIM_FROM = 40;

/** The step of the same game, and the words, of which about eight in ten should come off for these children. */
export function aimed({ plan, round, task, shop, models }: RoundWork): Reworked {
  if (task.inOrder || task.together)
    throw new Problem('Everyone plays this game together or in a chain, so there’s no one child to aim it at.');
  const far = (points: number, step: Step): number =>
    Math.abs(groupForecast(models, { task: task.id, step: step.id, points }) - JUST_RIGHT);
  const size = round.items.length || setSizeFor(shop.children);
  const made = task.steps.flatMap((step) => {
    const { items, model } = generate(task, step, shop.bank, { ...requestOf(plan, shop, round.seed), size: AIM_FROM });
    // A child's ability is known by steps, so an item counts as its step does, and by how it differs from the usual
    // item of it.
    const usual = [...items].sort((a, b) => a.difficulty - b.difficulty)[Math.floor(items.length / 2)]?.difficulty ?? 0;
    const pointsOf = (item: Item): number => item.difficulty - usual;
    const off = (item: Item): number => far(pointsOf(item), step);
    const near = [...items].sort((a, b) => off(a) - off(b) || (a.key < b.key ? -1 : 1)).slice(0, size);
    return near.length >= Math.min(size, 3)
      ? [
          {
            step,
            near,
            model,
            spares: items.filter((i) => !near.includes(i)).slice(0, SPARES),
            off: near.reduce((sum, i) => sum + off(i), 0) / near.length,
            points: near.map(pointsOf),
          },
        ]
      : [];
  });
  const [best] = made.sort((a, b) => a.off - b.off);
  if (!best) throw new Problem('There aren’t enough words here to make a round that is just right.');
  const step = { task: task.id, step: best.step.id };
  const chances = models.map(
    (m) => best.points.reduce((sum, points) => sum + forecast(m, { ...step, points }).chance, 0) / best.points.length,
  );
  const next = {
    ...round,
    step: best.step.id,
    items: [...best.near].sort((a, b) => a.difficulty - b.difficulty).map(({ key }) => ({ key, locked: false })),
    model:
      (best.model && !best.near.some((i) => i.key === sure(best.model).key) ? best.model.key : round.model) ?? null,
    spares: best.spares.map((s) => s.key),
  };
  return { next, said: `${task.name}, ${best.step.name}. ${expectedInWords(chances)}` };
}
