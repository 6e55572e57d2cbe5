import { addDays, differenceInCalendarDays, format, getISODay } from 'date-fns';
import { canPlay } from '../../core/choosing/group-game';
import { arranged, groupsFor, type Grouping } from '../../core/choosing/grouping';
import type { Candidate, GroupAsk } from '../../core/choosing/company';
import { sure } from '../../core/sure';
import { groupOf, type Group } from '../people/groups';
import type { ProgressSettings } from '../setting/settings';
import { database } from '../storage/database';
import { childGone, Problem } from '../storage/problems';
import { boardWith, type ChildProgress } from './progress';

/** Small groups stay for so many days, unless an adult changed them: then until they are made anew. */
const FORTNIGHT = 14;
/** Days that are looked ahead: four weeks of nursery. */
const AHEAD = 20;
const BY_HAND = 'by hand';

/** The next days on which the nursery is open, the first one first; a weekend begins on its Monday. */
export function openDays(now: number): Date[] {
  const days: Date[] = [];
  for (let day = new Date(now); days.length < AHEAD; day = addDays(day, 1)) if (getISODay(day) <= 5) days.push(day);
  return days;
}

/** Who could play with whom, in the days to come. */
export interface SmallGroups {
  readonly grouping: Grouping;
  /** A name for each day of the grouping. Example: `Today`, `Tomorrow`, `Thursday`. */
  readonly days: readonly string[];
  readonly adults: number;
  /** An adult changed them: they stay until they are made anew. */
  readonly byHand: boolean;
}

function dayName(day: Date, now: number): string {
  const ahead = differenceInCalendarDays(day, now);
  if (ahead < 2) return ahead === 0 ? 'Today' : 'Tomorrow';
  return format(day, ahead < 7 ? 'EEEE' : 'EEEE d MMMM');
}

type Child = Group['children'][number];

/** All that small groups are made of. */
interface Material {
  readonly group: Group;
  readonly list: readonly Candidate[];
  readonly ask: GroupAsk;
  readonly under: string;
  readonly now: number;
}

const lastOf = ({ skills }: ChildProgress): number =>
  Math.max(0, ...skills.flatMap(({ rungs }) => rungs.map((r) => r.lastAt ?? 0)));

function materialOf(
  group: Group,
  { staff }: Pick<ProgressSettings, 'staff'>,
  known: readonly ChildProgress[],
  now: number,
): Material {
  const ids = new Set(group.children.map((c) => c.id));
  const company = ({ company: c }: Child) => ({
    ...c,
    together: c.together.filter((id) => ids.has(id)),
    apart: c.apart.filter((id) => ids.has(id)),
  });
  const list = group.children.map((child, i): Candidate => {
    const advice = sure(known[i]);
    return {
      ...canPlay(child.id, advice, group.ageBand),
      ...company(child),
      // Who came though it is not their day can play today too.
      ...(child.notTheirDay && !child.away ? { days: [...child.company.days, getISODay(now)] } : {}),
      away: child.away,
      lastAt: lastOf(advice),
    };
  });
  return {
    group,
    list,
    ask: { adults: staff, calendar: openDays(now).map((day) => getISODay(day)) },
    under: JSON.stringify([staff, group.children.map((c) => [c.id, company(c)])]),
    now,
  };
}

/** Whether the groups that are kept still stand. */
function stands({ group, under, now }: Material): boolean {
  const { on, by } = group.grouped;
  if (on === null || by === BY_HAND) return on !== null;
  return by === under && differenceInCalendarDays(now, new Date(on)) < FORTNIGHT;
}

/** Kept groups with what they play today; where none are kept, or they stand no more, new ones. */
function groupingOf(material: Material): Grouping {
  const { group, list, ask } = material;
  if (!stands(material)) return groupsFor(list, ask);
  const byId = new Map(list.map((c) => [c.id, c]));
  const numbers = [...new Set(group.children.flatMap((c) => c.smallGroup || []))].sort((a, b) => a - b);
  const kept = numbers.map((n) => group.children.filter((c) => c.smallGroup === n).map((c) => sure(byId.get(c.id))));
  return arranged(list, kept, ask);
}

/** The small groups of a list, as every screen shows them. */
export function smallGroups(
  group: Group,
  settings: Pick<ProgressSettings, 'staff'>,
  known: readonly ChildProgress[],
  now: number,
): SmallGroups {
  return {
    grouping: groupingOf(materialOf(group, settings, known, now)),
    days: openDays(now).map((day) => dayName(day, now)),
    adults: settings.staff,
    byHand: group.grouped.by === BY_HAND,
  };
}

async function materialNow(groupId: string, now: number): Promise<Material> {
  const group = await groupOf(groupId);
  const { settings, children } = await boardWith(group, now);
  return materialOf(group, settings, children, now);
}

/** Writes who is with whom. */
async function write({ group, list, ask, now }: Material, by: string): Promise<void> {
  const { groups, alone } = groupsFor(list, ask);
  // The first are those who play alone.
  const numbered = [alone.map((a) => a.id), ...groups.map((g) => [...g.children, ...g.away])];
  const { models, write: queue } = await database();
  await queue(async (transaction) => {
    for (const [number, ids] of numbered.entries())
      await models.children.update({ small_group: number }, { where: { id: ids, group_id: group.id }, transaction });
    const kept = { grouped_on: format(now, 'yyyy-MM-dd'), grouped_under: by };
    await models.groups.update(kept, { where: { id: group.id }, transaction });
  });
}

/** Keeps the small groups of a list for a fortnight, where none that still stand are kept. */
export async function keepSmallGroups(groupId: string, now = Date.now()): Promise<void> {
  const material = await materialNow(groupId, now);
  if (!stands(material)) await write(material, material.under);
}

/** Makes the small groups of a list anew, whatever was changed by hand. */
export async function makeSmallGroups(groupId: string, now = Date.now()): Promise<void> {
  const material = await materialNow(groupId, now);
  await write(material, material.under);
}

/**
 * Puts a child with another, or on their own; the groups then stay as they are until they are made anew. Throws a
 * Problem where one of them is not on the list any more.
 * @param withChild anyone of the group the child is to be in; null for turns alone
 */
export async function putWith(childId: string, withChild: string | null, now = Date.now()): Promise<void> {
  const { models, write: queue } = await database();
  const child = (await models.children.findByPk(childId))?.get();
  if (!child) throw childGone();
  const material = await materialNow(child.group_id, now);
  if (!stands(material)) await write(material, BY_HAND);
  const other = withChild === null ? null : (await models.children.findByPk(withChild))?.get();
  if (other === undefined || (other && (other.group_id !== child.group_id || !other.small_group)))
    throw new Problem('That group has changed in the meantime. Have another look, then choose.', 409);
  await queue(async (transaction) => {
    await models.children.update({ small_group: other?.small_group ?? 0 }, { where: { id: childId }, transaction });
    await models.groups.update({ grouped_under: BY_HAND }, { where: { id: child.group_id }, transaction });
  });
}
