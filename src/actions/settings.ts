'use server';

import { progressSettingsSchema, settingsSchema } from '@/core/formats/schemas';
import { CONVENTION_IDS } from '@/core/phonology/conventions';
import { saveAccent, saveSettingName, saveSettings, saveStaff, saveUnitOrder } from '@/server/setting/settings';
import { saveKeepYears } from '@/server/people/kept-long-enough';
import { formAnswer, type FormState } from './answer';
import { fieldOf } from './form';

const KEPT = 'Saved. Words are counted this way from now on. Sessions you’ve played keep their own counts.';

export async function keepSettings(_: FormState, form: FormData): Promise<FormState> {
  return formAnswer(async () => {
    const conventions = Object.fromEntries(CONVENTION_IDS.map((id) => [id, fieldOf(form, id) === 'one']));
    await saveSettings(
      settingsSchema.parse({
        accent: fieldOf(form, 'accent'),
        conventions,
        letIn: fieldOf(form, 'letIn') === 'yes',
        mixed: fieldOf(form, 'mixed') === 'yes',
      }),
    );
    return { said: KEPT };
  });
}

export async function keepProgressSettings(_: FormState, form: FormData): Promise<FormState> {
  return formAnswer(async () => {
    await saveUnitOrder(progressSettingsSchema.shape.unitOrder.parse(fieldOf(form, 'unitOrder')));
    return { said: 'Saved.' };
  });
}

/** Keeps what the setting is called. */
export async function keepSettingName(_: FormState, form: FormData): Promise<FormState> {
  return formAnswer(async () => {
    await saveSettingName(fieldOf(form, 'name'));
    return { said: 'Saved.' };
  });
}

/** Keeps how long those who left are kept. */
export async function keepLeavers(_: FormState, form: FormData): Promise<FormState> {
  return formAnswer(async () => {
    await saveKeepYears(fieldOf(form, 'years'));
    return { said: 'Saved.' };
  });
}

/** Keeps how many adults can lead a small group today. */
export async function keepStaff(staff: unknown): Promise<FormState> {
  return formAnswer(() => saveStaff(staff));
}

/** Keeps how people here speak; how sounds are counted can be settled later. */
export async function keepAccent(accent: unknown): Promise<FormState> {
  return formAnswer(async () => {
    await saveAccent(settingsSchema.shape.accent.parse(accent));
    return { said: 'Saved.' };
  });
}
