import { createHash } from 'node:crypto';
import { v7 } from 'uuid';
import { idSchema, reason } from '../../core/formats/schemas';
import {
  planChangeSchema,
  plannedForSchema,
  planSchema,
  planToJson,
  readPlanFile,
  type PlanWish,
} from '../../core/formats/plan-file';
import { calendarOf } from '../../core/formats/calendar';
import { fitOf, type Plan } from '../../core/sessions/running-order';
import { nameOf } from '../../core/sessions/shapes';
import { database } from '../storage/database';
import { advised } from '../children/advised';
import { groupOf, type Group } from '../people/groups';
import type { PlanRow } from '../storage/models';
import { changed } from './changes';
import { withDeals } from './own-steps';
import { planFrom, workshopOf, type Workshop } from './workshop';
import { showPlan, type ShownPlan } from './plan-shown';
import { Problem } from '../storage/problems';
import { putAside } from '../words/put-aside';
import { getSettings } from '../setting/settings';
import { sure } from '../../core/sure';

export interface PlanLine {
  readonly id: string;
  readonly title: string;
  readonly kept: boolean;
  /** Local day and time it is planned for, as in an input. */
  readonly plannedFor: string | null;
  readonly minutes: number;
  readonly rounds: readonly string[];
  readonly updatedAt: number;
}

const GONE = 'That plan isn’t here any more.';
/** Plans that were only tried out, kept for looking back at. */
const TRIED = 4;

async function rowOf(id: string): Promise<PlanRow> {
  const { models } = await database();
  const row = idSchema.safeParse(id).success ? await models.plans.findByPk(id) : null;
  if (!row) throw new Problem(GONE, 404);
  return row.get();
}

/** The plan in a row; one that an older version wrote and this one cannot read says so. */
function planIn(row: PlanRow): Plan {
  const read = planSchema.safeParse(JSON.parse(row.body));
  if (!read.success)
    throw new Problem(`The plan “${row.title}” can’t be read: ${reason(read.error)} We haven’t changed it.`);
  return { ...read.data, title: row.title };
}

/** A group's plans: those kept, then the last few that were only begun. */
export async function listPlans(groupId: string): Promise<PlanLine[]> {
  const { models } = await database();
  const rows = (
    await models.plans.findAll({
      where: { group_id: groupId },
      order: [
        ['updated_at', 'DESC'],
        ['id', 'DESC'],
      ],
    })
  ).map((r) => r.get());
  let tried = 0;
  const shop = await workshopOf(await groupOf(groupId));
  return rows
    .filter((r) => r.kept === 1 || (tried += 1) <= TRIED)
    .map((row) => {
      const plan = planSchema.safeParse(JSON.parse(row.body));
      const rounds = plan.success ? plan.data.rounds : [];
      return {
        id: row.id,
        title: row.title,
        kept: row.kept === 1,
        plannedFor: row.planned_for,
        updatedAt: row.updated_at,
        rounds: rounds.map((r) => r.task),
        minutes: fitOf({ minutes: 60, rounds }, shop.children, shop.paceOf).minutes,
      };
    });
}

/** Keeps a new plan and gives its id. */
async function create(groupId: string, plan: Plan, kept: boolean): Promise<string> {
  const { models, write } = await database();
  const id = v7();
  const now = Date.now();
  await write((transaction) =>
    models.plans.create(
      {
        id,
        group_id: groupId,
        title: plan.title,
        body: JSON.stringify(plan),
        kept: kept ? 1 : 0,
        planned_for: null,
        created_at: now,
        updated_at: now,
      },
      { transaction },
    ),
  );
  return id;
}

/** Makes a complete running order for a wish and gives its id. Throws a Problem where the bank has nothing for it. */
export async function newPlan(groupId: string, wish: PlanWish): Promise<string> {
  return create(groupId, await madeFor(await groupOf(groupId), wish), false);
}

/** A complete running order for a group. */
export const madeFor = async (group: Group, wish: PlanWish): Promise<Plan> => planFrom(wish, await workshopOf(group));

export interface OpenPlan {
  readonly id: string;
  readonly groupId: string;
  readonly groupName: string;
  readonly kept: boolean;
  readonly plannedFor: string | null;
  readonly plan: Plan;
  readonly shown: ShownPlan;
  /** Which plan this is, word for word: given back with a change, so that nobody overwrites what they never saw. */
  readonly version: string;
}

const versionOf = ({ title, body }: Pick<PlanRow, 'title' | 'body'>): string =>
  createHash('sha256').update(`${title}\n${body}`).digest('base64url').slice(0, 16);

/** A plan with every line of its script. Throws a Problem (404) where there is none. */
export async function openPlan(id: string): Promise<OpenPlan> {
  const row = await rowOf(id);
  const group = await groupOf(row.group_id);
  const plan = planIn(row);
  return {
    id,
    groupId: group.id,
    groupName: group.name,
    kept: row.kept === 1,
    plannedFor: row.planned_for,
    plan,
    shown: await showPlan(plan, group, await workshopOf(group)),
    version: versionOf(row),
  };
}

/** A plan whose name was ours is called by what it plays now; a name that was typed stays. */
const renamed = (before: Plan, plan: Plan, bank: Workshop['bank']): Plan => {
  const name = before.title === plan.title && plan.title === nameOf(before, bank) ? nameOf(plan, bank) : null;
  return name === null ? plan : { ...plan, title: name };
};

/** A plan after a change. */
interface WorkedOn {
  readonly plan: Plan;
  readonly shown: ShownPlan;
  readonly version: string;
  /** What the change has to say about itself. */
  readonly said?: string;
}

/**
 * Keeps the plan as it is now on the screen, with one change made that needs the bank. Throws a Problem that leaves it
 * as it was; 409 where somebody else has changed it meanwhile.
 * @param seen the version that the screen began with
 */
export async function workOnPlan(id: string, body: unknown, change: unknown, seen?: string): Promise<WorkedOn> {
  const row = await rowOf(id);
  const group = await groupOf(row.group_id);
  const [read, asked] = [planSchema.safeParse(body), planChangeSchema.safeParse(change)];
  if (!read.success) throw new Problem(reason(read.error));
  if (!asked.success) throw new Problem(reason(asked.error));
  if (asked.data.kind === 'aside') await putAside(group.id, asked.data.word, true);
  const shop = await workshopOf(group);
  const here = group.children.filter((c) => !c.away).map((c) => c.id);
  const known = asked.data.kind === 'aim' ? [...(await advised(here, Date.now())).of.values()] : [];
  const { plan: next, said } = changed(
    read.data,
    asked.data,
    shop,
    known.some((k) => k.seen) ? known.map((k) => k.model) : [],
  );
  const plan = await withDeals(renamed(planIn(row), next, shop.bank), group, shop);
  const { models, write } = await database();
  const values = { title: plan.title, body: JSON.stringify(plan) };
  await write(async (transaction) => {
    const now = await models.plans.findByPk(id, { transaction });
    if (!now) throw new Problem(GONE, 404);
    if (seen !== undefined && seen !== versionOf(now.get()))
      throw new Problem(
        'This plan has been changed in another tab or on another device since you opened it. Your last change ' +
          'here isn’t saved. Reload the page to go on from there.',
        409,
      );
    await now.update({ ...values, updated_at: Date.now() }, { transaction });
  });
  return { plan, shown: await showPlan(plan, group, shop), version: versionOf(values), ...(said ? { said } : {}) };
}

/** Puts the plan among those kept, or says when it is for. */
export async function keepPlan(id: string, change: { kept?: boolean; plannedFor?: unknown }): Promise<void> {
  await rowOf(id);
  const values: Partial<PlanRow> = { updated_at: Date.now() };
  if (change.kept !== undefined) values.kept = change.kept ? 1 : 0;
  if (change.plannedFor !== undefined) {
    const day = plannedForSchema.safeParse(change.plannedFor);
    if (!day.success) throw new Problem(reason(day.error));
    Object.assign(values, { planned_for: day.data, kept: 1 });
  }
  const { models, write } = await database();
  await write((transaction) => models.plans.update(values, { where: { id }, transaction }));
}

/** Copies a plan for the same group and gives the new id. */
export async function copyPlan(id: string): Promise<string> {
  const row = await rowOf(id);
  const taken = new Set((await listPlans(row.group_id)).map((p) => p.title));
  let n = 2;
  while (taken.has(`${row.title} ${n}`)) n += 1;
  return create(row.group_id, { ...planIn(row), title: `${row.title} ${n}` }, true);
}

export async function erasePlan(id: string): Promise<void> {
  await rowOf(id);
  const { models, write } = await database();
  await write((transaction) => models.plans.destroy({ where: { id }, transaction }));
}

const fileName = (title: string, ending: string): string =>
  `${
    title
      .replace(/[^\p{L}\p{N} _-]/gu, '')
      .replace(/\s+/g, ' ')
      .trim() || 'plan'
  }.${ending}`;

/** The plan as a file to share. */
export async function planFile(id: string): Promise<{ text: string; name: string }> {
  const row = await rowOf(id);
  const { accent } = await getSettings();
  return { text: planToJson(planIn(row), accent), name: fileName(row.title, 'json') };
}

/** The plan as a calendar file. Throws a Problem where no day is chosen. */
export async function planCalendar(id: string): Promise<{ text: string; name: string }> {
  const open = await openPlan(id);
  if (!open.plannedFor) throw new Problem('Choose a day and a time first, then you can add it to a calendar.');
  return {
    name: fileName(open.plan.title, 'ics'),
    text: calendarOf({
      id,
      title: open.plan.title,
      group: open.groupName,
      at: open.plannedFor,
      minutes: Math.max(open.shown.fit.minutes, 1),
      stamp: new Date(),
      lines: open.shown.rounds.map(
        (r) =>
          `${r.minutes} min ${r.family}: ${(r.grows ? r.items.slice(-1) : r.items).map((i) => i.label).join(', ')}`,
      ),
      bring: open.shown.bring.map((b) => b.word),
    }),
  };
}

export interface PlanReport {
  readonly title: string;
  readonly fault: string | null;
  readonly rounds: readonly { readonly name: string; readonly why: string | null; readonly lost: number }[];
  readonly usable: boolean;
}

/** What a plan file holds, round by round, with what this bank and accent cannot make; nothing is kept. */
async function checkPlan(groupId: string, text: string): Promise<{ report: PlanReport; plan: Plan | null }> {
  const read = readPlanFile(text);
  if (!read.plan)
    return {
      report: {
        title: '',
        fault: read.fault,
        rounds: read.rounds.map(({ name, why }) => ({ name, why, lost: 0 })),
        usable: false,
      },
      plan: null,
    };
  const group = await groupOf(groupId);
  const shown = await showPlan(read.plan, group, await workshopOf(group));
  const ids = read.plan.rounds.map((r) => r.id);
  const lostIn = (id: string | undefined): number =>
    shown.rounds[ids.indexOf(id ?? '')]?.items.filter((i) => i.problem !== null).length ?? 0;
  const plan: Plan = {
    ...read.plan,
    rounds: read.plan.rounds
      .map((round, i) => ({
        ...round,
        items: round.items.filter((_, n) => sure(shown.rounds[i]).items[n]?.problem === null),
      }))
      .filter((r) => r.items.length > 0),
  };
  const rounds = read.rounds.map(({ name, why, round }) => ({ name, why, lost: round ? lostIn(round.id) : 0 }));
  return {
    plan: plan.rounds.length ? plan : null,
    report: {
      title: plan.title,
      fault: plan.rounds.length ? null : 'None of the words in this plan work with this word bank and accent.',
      rounds,
      usable: plan.rounds.length > 0,
    },
  };
}

export const reportOnPlan = async (groupId: string, text: string): Promise<PlanReport> =>
  (await checkPlan(groupId, text)).report;

/** Keeps the rounds of a file that can be used; gives the new plan's id. */
export async function importPlan(groupId: string, text: string): Promise<string> {
  const { report, plan } = await checkPlan(groupId, text);
  if (!plan) throw new Problem(`${report.fault ?? 'We can’t use this plan.'} Nothing was imported.`);
  return create(groupId, plan, true);
}
