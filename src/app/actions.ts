'use server';

import { revalidatePath } from 'next/cache';
import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { correctionSchema, explain, idSchema, settingsSchema, startSchema } from '@/core/formats/schemas';
import { CONVENTION_IDS } from '@/core/phonology/conventions';
import { appendLog } from '@/server/append-log';
import {
  addChildren,
  addGroup,
  eraseChild,
  eraseGroup,
  renameChild,
  renameGroup,
  setAway,
  setOwnWay,
} from '@/server/groups';
import { correctionOf, lookBack } from '@/server/look-back';
import { saveSettings } from '@/server/settings';
import { startWords } from '@/server/start-session';
import { sentenceOf, type FormState } from './answer';
import { GROUP_COOKIE } from './current-group';

const textOf = (form: FormData, name: string): string => {
  const value = form.get(name);
  return typeof value === 'string' ? value : '';
};

async function attempt(work: () => Promise<FormState | void>, kept?: string): Promise<FormState> {
  try {
    const state = (await work()) ?? {};
    revalidatePath('/', 'layout');
    return state;
  } catch (error) {
    return { error: sentenceOf(error), ...(kept === undefined ? {} : { kept }) };
  }
}

async function remember(groupId: string): Promise<void> {
  (await cookies()).set(GROUP_COOKIE, groupId, { httpOnly: true, sameSite: 'lax', maxAge: 31_536_000, path: '/' });
}

export async function chooseGroup(form: FormData): Promise<void> {
  const id = idSchema.safeParse(form.get('groupId'));
  if (id.success) await remember(id.data);
  revalidatePath('/', 'layout');
}

export async function newGroup(_: FormState, form: FormData): Promise<FormState> {
  const name = textOf(form, 'name');
  return attempt(async () => {
    const group = await addGroup(name);
    await remember(group.id);
    return { said: `${group.name} is ready.` };
  }, name);
}

export async function newChildren(_: FormState, form: FormData): Promise<FormState> {
  const text = textOf(form, 'names');
  return attempt(async () => {
    const { names, problems, doubles } = await addChildren(textOf(form, 'groupId'), text);
    const said = names.length ? `Added ${names.length === 1 ? names[0] : `${names.length} children`}.` : undefined;
    const double = doubles.length
      ? ` ${doubles.join(', ')}: that name is here twice. A letter of the surname would tell them apart.`
      : '';
    if (problems.length) {
      return {
        ...(said ? { said: said + double } : {}),
        error: problems.map((p) => `Line ${p.line}: ${p.why}`).join(' '),
        kept: problems.map((p) => p.text).join('\n'),
      };
    }
    return said ? { said: said + double } : { error: 'Type at least one name.' };
  }, text);
}

export async function rename(childId: string, name: string): Promise<FormState> {
  return attempt(() => renameChild(childId, name), name);
}

export async function renameTheGroup(groupId: string, name: string): Promise<FormState> {
  return attempt(() => renameGroup(groupId, name), name);
}

export async function eraseTheGroup(groupId: string): Promise<FormState> {
  return attempt(() => eraseGroup(groupId));
}

export async function markAway(childId: string, away: boolean): Promise<FormState> {
  return attempt(() => setAway(childId, away));
}

export async function keepOwnWay(childId: string, way: unknown): Promise<FormState> {
  return attempt(() => setOwnWay(childId, way));
}

export async function erase(childId: string): Promise<FormState> {
  return attempt(() => eraseChild(childId));
}

export async function start(_: FormState, form: FormData): Promise<FormState> {
  const read = startSchema.safeParse(Object.fromEntries([...form].filter(([, value]) => value !== '')));
  if (!read.success) return { error: explain(read.error) };
  let id: string;
  try {
    id = await startWords(read.data);
  } catch (error) {
    return { error: sentenceOf(error) };
  }
  redirect(`/play/${id}`);
}

export async function correct(sessionId: string, change: unknown): Promise<FormState> {
  const read = correctionSchema.safeParse(change);
  if (!read.success) return { error: explain(read.error) };
  return attempt(async () => {
    const { answers } = await lookBack(sessionId);
    // The same correction sent twice finds its answer corrected already.
    if (answers.some((a) => a.id === read.data.newId)) return { said: 'Corrected.' };
    const entry = correctionOf(answers, read.data);
    if (!entry) return { error: 'That answer has been changed meanwhile. Look again before you correct it.' };
    await appendLog(sessionId, [entry]);
    return { said: 'Corrected.' };
  });
}

export async function keepSettings(_: FormState, form: FormData): Promise<FormState> {
  const read = settingsSchema.safeParse({
    accent: form.get('accent'),
    conventions: Object.fromEntries(CONVENTION_IDS.map((id) => [id, form.get(id) === 'one'])),
  });
  if (!read.success) return { error: explain(read.error) };
  return attempt(async () => {
    await saveSettings(read.data);
    return { said: 'Kept. Words are counted this way from now on; sessions already played keep their own counts.' };
  });
}
