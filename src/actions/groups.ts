'use server';

import { revalidatePath } from 'next/cache';
import { cookies } from 'next/headers';
import { z } from 'zod';
import type { NamesRead } from '@/core/formats/names';
import { idSchema } from '@/core/formats/schemas';
import { listed } from '@/core/in-words';
import { makeSmallGroups, putWith } from '@/server/children/small-groups';
import { setCompany } from '@/server/people/company';
import * as people from '@/server/people/groups';
import * as moves from '@/server/people/moves';
import { note } from '@/server/whole/journal';
import { setHold } from '@/server/people/hold';
import { beginYear } from '@/server/people/new-year';
import { formAnswer, type FormState } from './answer';
import { GROUP_COOKIE } from './group-cookie';
import { formText, initialsIn } from './form';

const addedNames = (who: string | undefined, doubles: number, double: string) =>
  `Added ${who}.${doubles ? ` ${double}` : ''}`;

const addedChildren = (children: number, groups: string) =>
  `Added ${children === 1 ? 'one child' : `${children} children`} to ${groups}.`;

const COOKIE = { httpOnly: true, sameSite: 'lax', maxAge: 31_536_000, path: '/' } as const;

async function remember(groupId: string): Promise<void> {
  (await cookies()).set(GROUP_COOKIE, groupId, COOKIE);
}

/** Shows another group on every screen. */
export async function chooseGroup(group: unknown): Promise<void> {
  const id = idSchema.safeParse(group);
  if (id.success) await remember(id.data);
  revalidatePath('/', 'layout');
}

export async function newGroup(_: FormState, form: FormData): Promise<FormState> {
  const name = formText(form, 'name');
  return formAnswer(async () => {
    const group = await people.addGroup(name);
    await remember(group.id);
    return { said: `${group.name} is ready.` };
  }, name);
}

/** What is said after names were added; empty where none was. */
function added({ names, doubles }: Pick<NamesRead, 'names' | 'doubles'>): string {
  if (!names.length) return '';
  const who = names.length === 1 ? names[0] : `${names.length} children`;
  const double = `There are two children called ${doubles.join(', ')}. Add a letter of the surname to tell them apart.`;
  return addedNames(who, doubles.length, double);
}

export async function newChildren(_: FormState, form: FormData): Promise<FormState> {
  const text = formText(form, 'names');
  return formAnswer(async () => {
    const read = await people.addChildren(formText(form, 'groupId'), text);
    const said = added(read);
    if (read.problems.length) {
      return {
        ...(said ? { said, made: read.ids } : {}),
        error: read.problems.map((p) => `Line ${p.line}: ${p.why}`).join(' '),
        kept: read.problems.map((p) => p.text).join('\n'),
      };
    }
    return said ? { said, made: read.ids } : { error: 'Type at least one name.' };
  }, text);
}

/** Takes back children who were added a moment ago. */
export async function takeBack(ids: unknown): Promise<FormState> {
  return formAnswer(async () => {
    const taken = await people.takeBackChildren(z.array(idSchema).max(200).parse(ids));
    return taken
      ? { said: taken === 1 ? 'One name taken back.' : `${taken} names taken back.` }
      : { error: 'They’ve played, or have been here a while, so they stay. You can take them off the list.' };
  });
}

export async function renameChild(childId: string, name: string): Promise<FormState> {
  return formAnswer(() => people.renameChild(childId, name), name);
}

export async function renameGroup(groupId: string, name: string): Promise<FormState> {
  return formAnswer(() => people.renameGroup(groupId, name), name);
}

export async function keepAgeBand(groupId: string, band: unknown): Promise<FormState> {
  return formAnswer(() => people.setAgeBand(groupId, band));
}

export async function eraseGroup(groupId: string): Promise<FormState> {
  return formAnswer(async () => {
    await people.eraseGroup(groupId);
    await note('group-erased');
  });
}

/** Moves a child to another group, with all their answers. */
export async function moveToGroup(childId: unknown, groupId: unknown): Promise<FormState> {
  return formAnswer(() => moves.moveChild(childId, groupId));
}

/** Takes a child out of sight, or brings them back. */
export async function putOutOfSight(childId: unknown, out: unknown): Promise<FormState> {
  return formAnswer(() => moves.setOutOfSight(childId, out === true));
}

/** Makes one group of two, and shows it. */
export async function mergeGroup(from: unknown, into: string): Promise<FormState> {
  return formAnswer(async () => {
    await moves.mergeGroups(from, into);
    await remember(into);
  });
}

/** Takes the chosen lines of a class list in. */
export async function bringInClass(rows: unknown, groupId: unknown): Promise<FormState> {
  return formAnswer(async () => {
    const { children, groups } = await moves.takeClass(rows, groupId);
    return { said: addedChildren(children, listed(groups)) };
  });
}

export async function markAway(childId: string, away: boolean): Promise<FormState> {
  return formAnswer(() => people.setAway(childId, away));
}

export async function keepOwnWay(childId: string, way: unknown): Promise<FormState> {
  return formAnswer(() => people.setOwnWay(childId, way));
}

/** Keeps the days a child comes, and whom they are grouped with. */
export async function keepCompany(childId: unknown, company: unknown): Promise<FormState> {
  return formAnswer(() => setCompany(childId, company));
}

/** Puts a child in the small group of another, or on their own. */
export async function putInGroup(childId: unknown, withChild: unknown): Promise<FormState> {
  return formAnswer(() => putWith(idSchema.parse(childId), idSchema.nullable().parse(withChild)));
}

/** Makes the small groups of a list anew. */
export async function newSmallGroups(groupId: unknown): Promise<FormState> {
  return formAnswer(() => makeSmallGroups(idSchema.parse(groupId)));
}

export async function keepPlant(childId: string, plant: unknown): Promise<FormState> {
  return formAnswer(() => people.setPlant(childId, plant));
}

export async function plantGroup(groupId: string): Promise<FormState> {
  return formAnswer(() => people.plantGroup(groupId));
}

export async function eraseChild(childId: string, by = ''): Promise<FormState> {
  return formAnswer(async () => {
    await people.eraseChild(childId);
    await note('child-erased', initialsIn(by));
  });
}

/** Begins a school year: the children of each group stay, go to another group or leave the list. */
export async function beginNewYear(choice: unknown): Promise<FormState> {
  return formAnswer(async () => {
    const { moved, left } = await beginYear(choice);
    await note('new-year', '', `${moved} moved, ${left} left`);
  });
}

/** Puts a child’s record on hold, so that it cannot be erased, or lifts the hold. */
export async function holdChild(childId: unknown, on: boolean, by: unknown): Promise<FormState> {
  return formAnswer(async () => {
    await setHold(childId, on === true, initialsIn(by));
    await note(on === true ? 'hold-set' : 'hold-lifted', initialsIn(by));
  });
}
