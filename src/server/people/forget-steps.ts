import { Op, type Transaction } from 'sequelize';
import type { EachTheirOwn } from '../../core/sessions/running-order';
import type { StoredRound } from '../../core/sessions/stored-round';
import { database } from '../storage/database';

/** A round of a kept plan, as far as it speaks of single children. */
interface KeptRound {
  readonly own?: EachTheirOwn;
}

/**
 * Takes a child out of what was dealt to whom, in sessions and in plans: erased is erased there too. Gives the sessions
 * they sat in.
 */
export async function forgetSteps(childId: string, transaction: Transaction): Promise<string[]> {
  const { models } = await database();
  const speaksOf = { [Op.like]: `%${childId}%` };
  // Only who sat in a session is dealt anything in it.
  const seats = await models.sessionChildren.findAll({ where: { child_id: childId }, transaction });
  const sat = seats.map((s) => s.get().session_id);
  const sessions = await models.sessions.findAll({ where: { id: sat, rounds: speaksOf }, transaction });
  for (const session of sessions) {
    await session.update({ rounds: withoutDeals(session.get().rounds, childId) }, { transaction });
  }
  const papers = await models.papers.findAll({
    where: { [Op.or]: [{ children: speaksOf }, { rounds: speaksOf }] },
    transaction,
  });
  for (const paper of papers) {
    const { rounds, children } = paper.get();
    const left = (JSON.parse(children) as string[]).filter((id) => id !== childId);
    await paper.update({ rounds: withoutDeals(rounds, childId), children: JSON.stringify(left) }, { transaction });
  }
  const plans = await models.plans.findAll({ where: { body: speaksOf }, transaction });
  for (const kept of plans) {
    const plan = JSON.parse(kept.get().body) as { readonly rounds: readonly KeptRound[] };
    const rounds = plan.rounds.map((r) => (r.own ? { ...r, own: ownWithout(r.own, childId) } : r));
    await kept.update({ body: JSON.stringify({ ...plan, rounds }) }, { transaction });
  }
  return sat;
}

/** Erases sessions in which nobody is left and nothing was answered. */
export async function dropEmptySessions(ids: readonly string[], transaction: Transaction): Promise<void> {
  const { models } = await database();
  const ofThese = { where: { session_id: [...ids] }, attributes: ['session_id'], transaction };
  const [seats, answers] = await Promise.all([
    models.sessionChildren.findAll(ofThese),
    models.answers.findAll(ofThese),
  ]);
  const full = new Set([...seats, ...answers].map((row) => row.get().session_id));
  await models.sessions.destroy({ where: { id: ids.filter((id) => !full.has(id)) }, transaction });
}

/** Rounds as they are kept, without what was dealt to a child. */
const withoutDeals = (rounds: string, childId: string): string =>
  JSON.stringify(
    (JSON.parse(rounds) as StoredRound[]).map((r) =>
      r.own ? { ...r, own: r.own.filter((o) => o.childId !== childId) } : r,
    ),
  );

const ownWithout = ({ on, steps, dealt }: EachTheirOwn, childId: string): EachTheirOwn => ({
  on,
  steps: Object.fromEntries(Object.entries(steps).filter(([child]) => child !== childId)),
  ...(dealt ? { dealt: { ...dealt, deals: dealt.deals.filter((d) => d.childId !== childId) } } : {}),
});
