import { settingsSchema } from '../core/formats/schemas';
import { DEFAULT_ACCENT, type AccentId } from '../core/phonology/accents';
import { PRESETS, type Conventions } from '../core/phonology/conventions';
import { database } from './database';

export interface Settings {
  readonly accent: AccentId;
  readonly conventions: Conventions;
  /** Until a setting has confirmed its conventions, contested words stay out of counting games. */
  readonly confirmed: boolean;
}

/** The setting's accent and conventions, or the defaults where none are kept. */
export async function getSettings(): Promise<Settings> {
  const { models } = await database();
  const row = (await models.settings.findByPk(1))?.get();
  if (!row) return { accent: DEFAULT_ACCENT, conventions: PRESETS.default, confirmed: false };
  const read = settingsSchema.parse({ accent: row.accent, conventions: JSON.parse(row.conventions) });
  return { ...read, confirmed: row.confirmed_at !== null };
}

/** Keeps and confirms accent and conventions. Sessions already played keep their own. */
export async function saveSettings({ accent, conventions }: Omit<Settings, 'confirmed'>): Promise<void> {
  const { models, write } = await database();
  await write((transaction) =>
    models.settings.upsert({ id: 1, accent, conventions: JSON.stringify(conventions), confirmed_at: Date.now() }, { transaction }));
}
