import type { z } from 'zod';
import {
  explain,
  progressSettingsSchema,
  settingNameSchema,
  settingsSchema,
  lendSettingsSchema,
  staffSchema,
} from '../../core/formats/schemas';
import { DEFAULT_ACCENT, type AccentId } from '../../core/phonology/accents';
import { PRESETS, type Conventions } from '../../core/phonology/conventions';
import type { Transaction } from 'sequelize';
import { database } from '../storage/database';
import type { SettingsRow } from '../storage/models';
import { Problem } from '../storage/problems';

export interface Settings {
  readonly accent: AccentId;
  readonly conventions: Conventions;
  /** Until a setting has confirmed its conventions, contested words stay out of counting games. */
  readonly confirmed: boolean;
  /** Words of the other country and local ones are put forward too. */
  readonly letIn: boolean;
  /** People here speak in several accents. */
  readonly mixed: boolean;
}

/** The setting's accent and conventions, or the defaults where none are kept. */
export const getSettings = async (): Promise<Settings> => settingsIn(await rowOr());

function settingsIn(row: SettingsRow): Settings {
  const read = settingsSchema.parse({ accent: row.accent, conventions: JSON.parse(row.conventions) });
  return { ...read, confirmed: row.confirmed_at !== null, letIn: row.let_in === 1, mixed: row.mixed === 1 };
}

type KeptSettings = Omit<Settings, 'confirmed' | 'letIn' | 'mixed'> & {
  readonly letIn?: boolean | undefined;
  readonly mixed?: boolean | undefined;
};

const bit = (on: boolean): 0 | 1 => (on ? 1 : 0);

/** Keeps and confirms accent and conventions. Sessions already played keep their own. */
export async function saveSettings({ accent, conventions, letIn, mixed }: KeptSettings): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) =>
    models.settings.upsert(
      {
        ...(await rowOr(transaction)),
        accent,
        conventions: JSON.stringify(conventions),
        confirmed_at: Date.now(),
        ...(letIn === undefined ? {} : { let_in: bit(letIn) }),
        ...(mixed === undefined ? {} : { mixed: bit(mixed) }),
      },
      { transaction },
    ),
  );
}

/** Keeps the accent alone: how sounds are counted is not settled by it. */
export async function saveAccent(accent: AccentId): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) =>
    models.settings.upsert({ ...(await rowOr(transaction)), accent }, { transaction }),
  );
}

export type ProgressSettings = z.infer<typeof progressSettingsSchema>;

/** The row as it is, or with everything as usual. */
async function rowOr(transaction?: Transaction): Promise<SettingsRow> {
  const { models } = await database();
  const row = (await models.settings.findByPk(1, transaction ? { transaction } : {}))?.get();
  return (
    row ?? {
      id: 1,
      accent: DEFAULT_ACCENT,
      conventions: JSON.stringify(PRESETS.default),
      confirmed_at: null,
      rule: 'weighed',
      unit_order: 'large-first',
      staff: 2,
      let_in: 0,
      mixed: 0,
      name: null,
      keep_years: null,
      keep_since: null,
      lend_initials: 0,
      lend_plain: 0,
    }
  );
}

/** Which units come first, and how many adults can lead. */
export const getProgressSettings = async (): Promise<ProgressSettings> => progressIn(await rowOr());

const progressIn = ({ unit_order, staff }: SettingsRow): ProgressSettings =>
  progressSettingsSchema.parse({ unitOrder: unit_order, staff });

/** True until the rules are saved again, where a setting had chosen the rule of four of the last five. */
export const hadPlainRule = async (): Promise<boolean> => (await rowOr()).rule === 'was-plain';

/** Both of them, read once. */
export async function allSettings(): Promise<{ readonly speech: Settings; readonly progress: ProgressSettings }> {
  const row = await rowOr();
  return { speech: settingsIn(row), progress: progressIn(row) };
}

/** Which units come first; with it a setting that had another rule is told no more. */
export const saveUnitOrder = (unitOrder: ProgressSettings['unitOrder']): Promise<void> =>
  saveRow({ rule: 'weighed', unit_order: unitOrder });

/** How long those who left are kept, in years beyond their last school year; null for ever. */
export async function keptRule(): Promise<{ readonly years: number | null; readonly since: number }> {
  const { keep_years: years, keep_since: since } = await rowOr();
  return { years, since: since ?? 0 };
}

/** Keeps it. The same rule saved again begins no new month. */
export async function keepRule(years: number | null, now: number): Promise<void> {
  const { keep_years: before, keep_since: since } = await rowOr();
  await saveRow({ keep_years: years, keep_since: before === years && since !== null ? since : now });
}

/** How sessions are lent to tablets here. */
export interface LendSettings {
  /** Initials stand beside the plants. */
  readonly initials: boolean;
  /** Without https. */
  readonly plain: boolean;
}

export async function lendSettings(): Promise<LendSettings> {
  const { lend_initials: initials, lend_plain: plain } = await rowOr();
  return { initials: initials === 1, plain: plain === 1 };
}

/** Keeps it. Throws a ZodError for what is no such thing. */
export async function saveLendSettings(asked: unknown): Promise<void> {
  const { initials, plain } = lendSettingsSchema.parse(asked);
  await saveRow({ lend_initials: bit(initials), lend_plain: bit(plain) });
}

/** What the setting is called on pages to pass on; null where nobody said. */
export const settingName = async (): Promise<string | null> => (await rowOr()).name;

/** Keeps what the setting is called; nothing takes the name away. Throws a Problem for a name that is too long. */
export async function saveSettingName(asked: unknown): Promise<void> {
  const read = settingNameSchema.safeParse(asked);
  if (!read.success) throw new Problem(explain(read.error));
  await saveRow({ name: read.data });
}

/** How many adults can lead a small group today. Throws a Problem for a number that cannot be. */
export async function saveStaff(asked: unknown): Promise<void> {
  const read = staffSchema.safeParse(asked);
  if (!read.success) throw new Problem(explain(read.error));
  await saveRow({ staff: read.data });
}

async function saveRow(values: Partial<SettingsRow>): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) =>
    models.settings.upsert({ ...(await rowOr(transaction)), ...values }, { transaction }),
  );
}
