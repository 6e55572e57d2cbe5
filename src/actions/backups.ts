'use server';

import { counted, listed } from '@/core/in-words';
import { newKeys, type KeyPair } from '@/file/keys';
import { backUpNow, keepKey, planBackups } from '@/server/whole/backups';
import { letGo, lookInto, putBack, type Looked } from '@/server/whole/restore';
import { answer, formAnswer, type Answer, type FormState } from './answer';
import { fieldOf, initialsIn, typedText } from './form';

/** Keeps where backups go, and when. */
export async function keepBackupPlan(_: FormState, form: FormData): Promise<FormState> {
  return formAnswer(async () => {
    await planBackups({ folder: fieldOf(form, 'folder'), dailyAt: fieldOf(form, 'dailyAt') || null });
    return { said: 'Saved.' };
  });
}

/** A new key. It is shown and kept nowhere: only the half that locks is given back to `keepBackupKey`. */
export async function makeBackupKey(): Promise<Answer<KeyPair>> {
  return answer(newKeys, false);
}

/** Keeps the half of a key that locks, once the other is in safe hands. */
export async function keepBackupKey(recipient: unknown, by: unknown): Promise<FormState> {
  return formAnswer(() => keepKey(recipient, by));
}

const ELSEWHERE = 'That folder is on another computer: check that your setting lets you keep children’s data there.';

/** Makes a backup now. */
export async function makeBackup(): Promise<FormState> {
  return formAnswer(async () => {
    const { counted: held, shared } = await backUpNow();
    const { children, sessions, answers } = held;
    const holds = [counted(children, 'child', 'children'), counted(sessions, 'session'), counted(answers, 'answer')];
    const said = `The backup is made and checked: ${listed(holds)}.`;
    return { said: shared ? `${said} ${ELSEWHERE}` : said };
  });
}

/** Opens a backup with its key and looks into it. */
export async function openBackup(name: unknown, typed: unknown): Promise<Answer<Looked>> {
  return answer(() => lookInto(typedText.parse(name), typedText.parse(typed)), false);
}

/** Puts an opened backup in the place of the data. */
export async function putBackupBack(name: unknown, by: unknown): Promise<FormState> {
  return formAnswer(() => putBack(typedText.parse(name), initialsIn(by)));
}

/** Lets an opened backup go. */
export async function closeBackup(): Promise<FormState> {
  return formAnswer(letGo);
}
