import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';

/** How backups are made; one row. */
export interface BackupsRow {
  id: 1;
  /** The key they are locked with, `age1…`; null until one was made. */
  recipient: string | null;
  folder: string | null;
  /** Every day at this time, such as `17:05`; null where they are made by hand alone. */
  daily_at: string | null;
  /** When the last good one was made. */
  last_at: number | null;
  last_bytes: number | null;
  /** Why the last one was not made, in a sentence; null where it was. */
  fault: string | null;
  /** Which life of the file this is: another one after a backup was put back. */
  epoch: string | null;
}

/** What was done with the data as a whole. */
interface JournalRow {
  id: string;
  at: number;
  what: string;
  done_by: string | null;
  detail: string | null;
}

export interface SettingsRow {
  id: 1;
  accent: string;
  conventions: string;
  confirmed_at: number | null;
  rule: string;
  unit_order: string;
  staff: number;
  let_in: 0 | 1;
  mixed: 0 | 1;
  /** What the setting is called, on pages to pass on. */
  name: string | null;
  /** Years that those who left are kept, and since when that is the rule; null for ever. */
  keep_years: number | null;
  keep_since: number | null;
  /** On a tablet that is lent a session, initials stand beside the plants. */
  lend_initials: 0 | 1;
  /** Sessions are lent without https. */
  lend_plain: 0 | 1;
}
export interface GroupRow {
  id: string;
  name: string;
  position: number;
  created_at: number;
  age_band: string | null;
  /** The day on which its small groups were made; null for none. */
  grouped_on: string | null;
  /** What they were made by, as text; `by hand` where an adult changed them. */
  grouped_under: string | null;
  /** 1 where the group works with letters too. */
  letters: number;
}
export interface ChildRow {
  id: string;
  group_id: string;
  name: string;
  position: number;
  away_on: string | null;
  created_at: number;
  own_way: string;
  plant: string | null;
  /** When they were taken out of sight, milliseconds since 1970. */
  archived_at: number | null;
  /** The number the setting knows them by. */
  own_id: string | null;
  /** Weekdays on which they come. Example: `125` for Monday, Tuesday and Friday. */
  days: string;
  /** The day on which they came though it is not one of theirs. */
  in_on: string | null;
  /** The adult who is to lead their small group. */
  key_adult: string | null;
  /** The number of their small group; 0 for turns alone, null where nothing is said. */
  small_group: number | null;
  /** The lead who put their record on hold, and when; null where it is not. */
  held_by: string | null;
  held_at: number | null;
}
/** Two children who are to be in one small group, or never. */
export interface TieRow {
  child_id: string;
  other_id: string;
  kind: string;
}
export interface SessionRow {
  id: string;
  group_id: string;
  title: string;
  letters: 0 | 1;
  rounds: string;
  accent: string;
  conventions: string;
  started_at: number;
  finished_at: number | null;
  /** Its log has grown since its answers were read last. */
  stale: 0 | 1;
  /** The number of the paper it was typed in from. */
  paper: number | null;
}
/** A tick grid as it was printed. */
export interface PaperRow {
  number: number;
  group_id: string;
  plan_id: string;
  title: string;
  letters: 0 | 1;
  rounds: string;
  children: string;
  accent: string;
  conventions: string;
  made_at: number;
  /** The session it was typed in as. */
  session_id: string | null;
}
export interface PlanRow {
  id: string;
  group_id: string;
  title: string;
  body: string;
  kept: 0 | 1;
  planned_for: string | null;
  created_at: number;
  updated_at: number;
}
interface SessionChildRow {
  session_id: string;
  child_id: string;
  position: number;
}
export interface AnswerRow {
  id: string;
  session_id: string;
  child_id: string | null;
  turn: number;
  word: string;
  task: string;
  step: string;
  sounds: string;
  outcome: string;
  slip: string | null;
  said: string | null;
  missed: string;
  helps: string;
  note: string | null;
  think_ms: number | null;
  supersedes: string | null;
  at: number;
  received_at: number;
  /** What the device’s clock said, where it was far ahead of ours; null where `at` is that. */
  device_at: number | null;
  self_corrected: 0 | 1;
  shown: 0 | 1;
  marked_by: string | null;
  why: string | null;
  partner_id: string | null;
  differs: 0 | 1;
  second: 0 | 1;
  pebbles: string | null;
  /** The tablet it came from, where the session was lent to one. */
  tablet: string | null;
}
export interface LogRow {
  id: string;
  session_id: string;
  kind: string;
  child_id: string | null;
  detail: string;
  at: number;
  received_at: number;
  device_at: number | null;
  tablet: string | null;
}

/** What became of an answer, from the whole log of its session. */
export interface ReadingRow {
  answer_id: string;
  session_id: string;
  child_id: string | null;
  fate: string;
  standing: string;
  /** When the child was asked, milliseconds since 1970. */
  asked_at: number;
  slipped: 0 | 1;
  noted: 0 | 1;
}
export interface EvidenceRow {
  child_id: string;
  session_id: string;
  task: string;
  step: string;
  standing: string;
  at: number;
  day: number;
  marks: string;
  helps: string;
  marked_by: string | null;
  /** Children who answered in the session. */
  among: number | null;
}
interface HeardSoundsRow {
  child_id: string;
  session_id: string;
  cells: string;
  at: number;
}
/** One word of a pebble check, in the order they were played in its session. */
export interface PebbleCheckRow {
  child_id: string;
  session_id: string;
  place: number;
  sound: string;
  word: string;
  says: string;
  pebbles: 0 | 1;
  told: number | null;
  at: number;
  day: number;
}
/** What is advised for a child, as text; null: nothing changes by time alone. */
interface KeptAdviceRow {
  child_id: string;
  under: string;
  until: number | null;
  body: string;
}
interface LocalStepsRow {
  id: number;
  at: number;
  body: string;
}
export interface ChosenStepRow {
  id: string;
  child_id: string;
  ladder: string;
  rung: string;
  at: number;
  chosen_by: string | null;
  ended_at: number | null;
}

export interface WordSetRow {
  id: string;
  name: string;
  words: string;
  created_at: number;
  updated_at: number;
}
export interface OwnWordRow {
  id: string;
  word: string;
  line: string;
  letters: string;
  accent: string;
  meaning: string;
  sentence: string;
  prop: 0 | 1;
  cautions: string;
  created_at: number;
  removed_at: number | null;
}
export interface PropRow {
  word: string;
  owned_at: number;
}
interface PutAsideRow {
  group_id: string;
  word: string;
  put_at: number;
}
export interface TaughtSoundRow {
  group_id: string;
  sound: string;
}

/** A spelling a group was taught, with its sound as keys of the transcription. */
export interface TaughtSpellingRow {
  group_id: string;
  spelling: string;
  sound: string;
  /** The day (yyyy-MM-dd); null where nobody said. */
  taught_on: string | null;
  /** Its place in the setting’s own order. */
  place: number;
}
/** A word with an odd part that a group was taught as it is. */
export interface TaughtWordRow {
  group_id: string;
  word: string;
}

/** A line to read that the setting wrote. */
interface OwnLineRow {
  id: string;
  text: string;
  created_at: number;
}

type Table<Row extends object> = ModelStatic<Model<Row, Row>>;

export interface Models {
  readonly settings: Table<SettingsRow>;
  readonly groups: Table<GroupRow>;
  readonly children: Table<ChildRow>;
  readonly sessions: Table<SessionRow>;
  readonly sessionChildren: Table<SessionChildRow>;
  readonly answers: Table<AnswerRow>;
  /** Everything in a session's log but its answers; the table is called steps. */
  readonly logRows: Table<LogRow>;
  readonly wordSets: Table<WordSetRow>;
  readonly ownWords: Table<OwnWordRow>;
  readonly props: Table<PropRow>;
  readonly taughtSounds: Table<TaughtSoundRow>;
  readonly taughtSpellings: Table<TaughtSpellingRow>;
  readonly taughtWords: Table<TaughtWordRow>;
  readonly ownLines: Table<OwnLineRow>;
  /** Words a group does not want to hear; the table is called put_aside. */
  readonly putAside: Table<PutAsideRow>;
  readonly plans: Table<PlanRow>;
  readonly papers: Table<PaperRow>;
  readonly readings: Table<ReadingRow>;
  readonly evidence: Table<EvidenceRow>;
  readonly heardSounds: Table<HeardSoundsRow>;
  readonly pebbleChecks: Table<PebbleCheckRow>;
  readonly keptAdvice: Table<KeptAdviceRow>;
  readonly ties: Table<TieRow>;
  readonly localSteps: Table<LocalStepsRow>;
  readonly chosenSteps: Table<ChosenStepRow>;
  readonly backups: Table<BackupsRow>;
  readonly journal: Table<JournalRow>;
}

type Column = (typeof COLUMNS)[keyof typeof COLUMNS];
const COLUMNS = {
  key: { type: DataTypes.TEXT, allowNull: false, primaryKey: true },
  only: { type: DataTypes.INTEGER, allowNull: false, primaryKey: true },
  counted: { type: DataTypes.INTEGER, allowNull: false, primaryKey: true, autoIncrement: true },
  text: { type: DataTypes.TEXT, allowNull: false },
  maybe: { type: DataTypes.TEXT, allowNull: true },
  whole: { type: DataTypes.INTEGER, allowNull: false },
  maybeWhole: { type: DataTypes.INTEGER, allowNull: true },
} as const;
const { key, only, counted, text, maybe, whole, maybeWhole } = COLUMNS;

type ColumnsOf<Row> = Record<keyof Row & string, Column>;

const BACKUPS: ColumnsOf<BackupsRow> = {
  id: only,
  recipient: maybe,
  folder: maybe,
  daily_at: maybe,
  last_at: maybeWhole,
  last_bytes: maybeWhole,
  fault: maybe,
  epoch: maybe,
};
const JOURNAL: ColumnsOf<JournalRow> = { id: key, at: whole, what: text, done_by: maybe, detail: maybe };
const SETTINGS: ColumnsOf<SettingsRow> = {
  id: only,
  accent: text,
  conventions: text,
  confirmed_at: maybeWhole,
  rule: text,
  unit_order: text,
  staff: whole,
  let_in: whole,
  mixed: whole,
  name: maybe,
  keep_years: maybeWhole,
  keep_since: maybeWhole,
  lend_initials: whole,
  lend_plain: whole,
};

const GROUPS: ColumnsOf<GroupRow> = {
  id: key,
  name: text,
  position: whole,
  created_at: whole,
  age_band: maybe,
  grouped_on: maybe,
  grouped_under: maybe,
  letters: whole,
};

const CHILDREN: ColumnsOf<ChildRow> = {
  id: key,
  group_id: text,
  name: text,
  position: whole,
  away_on: maybe,
  created_at: whole,
  own_way: text,
  plant: maybe,
  archived_at: maybeWhole,
  own_id: maybe,
  days: text,
  in_on: maybe,
  key_adult: maybe,
  small_group: maybeWhole,
  held_by: maybe,
  held_at: maybeWhole,
};

const TIES: ColumnsOf<TieRow> = { child_id: key, other_id: key, kind: text };

const SESSIONS: ColumnsOf<SessionRow> = {
  id: key,
  group_id: text,
  title: text,
  letters: whole,
  rounds: text,
  accent: text,
  conventions: text,
  started_at: whole,
  finished_at: maybeWhole,
  stale: whole,
  paper: maybeWhole,
};

const PAPERS: ColumnsOf<PaperRow> = {
  number: counted,
  group_id: text,
  plan_id: text,
  title: text,
  letters: whole,
  rounds: text,
  children: text,
  accent: text,
  conventions: text,
  made_at: whole,
  session_id: maybe,
};

const SESSION_CHILDREN: ColumnsOf<SessionChildRow> = { session_id: key, child_id: key, position: whole };

const ANSWERS: ColumnsOf<AnswerRow> = {
  id: key,
  session_id: text,
  child_id: maybe,
  turn: whole,
  word: text,
  task: text,
  step: text,
  sounds: text,
  outcome: text,
  slip: maybe,
  said: maybe,
  missed: text,
  helps: text,
  note: maybe,
  think_ms: maybeWhole,
  supersedes: maybe,
  at: whole,
  received_at: whole,
  device_at: maybeWhole,
  self_corrected: whole,
  shown: whole,
  marked_by: maybe,
  why: maybe,
  partner_id: maybe,
  differs: whole,
  second: whole,
  pebbles: maybe,
  tablet: maybe,
};

const LOG_ROWS: ColumnsOf<LogRow> = {
  id: key,
  session_id: text,
  kind: text,
  child_id: maybe,
  detail: text,
  at: whole,
  received_at: whole,
  device_at: maybeWhole,
  tablet: maybe,
};

const WORD_SETS: ColumnsOf<WordSetRow> = {
  id: key,
  name: text,
  words: text,
  created_at: whole,
  updated_at: whole,
};

const OWN_WORDS: ColumnsOf<OwnWordRow> = {
  id: key,
  word: text,
  line: text,
  letters: text,
  accent: text,
  meaning: text,
  sentence: text,
  prop: whole,
  cautions: text,
  created_at: whole,
  removed_at: maybeWhole,
};

const PROPS: ColumnsOf<PropRow> = { word: key, owned_at: whole };

const PUT_ASIDE: ColumnsOf<PutAsideRow> = { group_id: key, word: key, put_at: whole };

const TAUGHT_SOUNDS: ColumnsOf<TaughtSoundRow> = { group_id: key, sound: key };

const TAUGHT_SPELLINGS: ColumnsOf<TaughtSpellingRow> = {
  group_id: key,
  spelling: key,
  sound: key,
  taught_on: maybe,
  place: whole,
};

const TAUGHT_WORDS: ColumnsOf<TaughtWordRow> = { group_id: key, word: key };

const OWN_LINES: ColumnsOf<OwnLineRow> = { id: key, text, created_at: whole };

const PLANS: ColumnsOf<PlanRow> = {
  id: key,
  group_id: text,
  title: text,
  body: text,
  kept: whole,
  planned_for: maybe,
  created_at: whole,
  updated_at: whole,
};

const READINGS: ColumnsOf<ReadingRow> = {
  answer_id: key,
  session_id: text,
  child_id: maybe,
  fate: text,
  standing: text,
  asked_at: whole,
  slipped: whole,
  noted: whole,
};

const EVIDENCE: ColumnsOf<EvidenceRow> = {
  child_id: key,
  session_id: key,
  task: key,
  step: key,
  standing: key,
  at: whole,
  day: whole,
  marks: text,
  helps: text,
  marked_by: maybe,
  among: maybeWhole,
};

const KEPT_ADVICE: ColumnsOf<KeptAdviceRow> = { child_id: key, under: text, until: maybeWhole, body: text };

const HEARD_SOUNDS: ColumnsOf<HeardSoundsRow> = { child_id: key, session_id: key, cells: text, at: whole };

const PEBBLE_CHECKS: ColumnsOf<PebbleCheckRow> = {
  child_id: key,
  session_id: key,
  place: only,
  sound: text,
  word: text,
  says: text,
  pebbles: whole,
  told: maybeWhole,
  at: whole,
  day: whole,
};

const LOCAL_STEPS: ColumnsOf<LocalStepsRow> = { id: only, at: whole, body: text };

const CHOSEN_STEPS: ColumnsOf<ChosenStepRow> = {
  id: key,
  child_id: text,
  ladder: text,
  rung: text,
  at: whole,
  chosen_by: maybe,
  ended_at: maybeWhole,
};

/** The tables as Sequelize sees them; their making stands in migrations/. */
export function defineModels(sequelize: Sequelize): Models {
  const table = <Row extends object>(name: string, columns: ColumnsOf<Row>): Table<Row> =>
    // Sequelize writes into a column's description, so each gets its own.
    sequelize.define(name, ownColumns(columns) as never, {
      tableName: name,
      timestamps: false,
    }) as unknown as Table<Row>;
  return {
    settings: table('settings', SETTINGS),
    groups: table('groups', GROUPS),
    children: table('children', CHILDREN),
    sessions: table('sessions', SESSIONS),
    sessionChildren: table('session_children', SESSION_CHILDREN),
    answers: table('answers', ANSWERS),
    logRows: table('steps', LOG_ROWS),
    wordSets: table('word_sets', WORD_SETS),
    ownWords: table('own_words', OWN_WORDS),
    props: table('props', PROPS),
    putAside: table('put_aside', PUT_ASIDE),
    taughtSounds: table('taught_sounds', TAUGHT_SOUNDS),
    taughtSpellings: table('taught_spellings', TAUGHT_SPELLINGS),
    taughtWords: table('taught_words', TAUGHT_WORDS),
    ownLines: table('own_lines', OWN_LINES),
    plans: table('plans', PLANS),
    papers: table('papers', PAPERS),
    readings: table('readings', READINGS),
    evidence: table('evidence', EVIDENCE),
    heardSounds: table('heard_sounds', HEARD_SOUNDS),
    pebbleChecks: table('pebble_checks', PEBBLE_CHECKS),
    keptAdvice: table('kept_advice', KEPT_ADVICE),
    ties: table('ties', TIES),
    localSteps: table('local_steps', LOCAL_STEPS),
    chosenSteps: table('chosen_steps', CHOSEN_STEPS),
    backups: table('backups', BACKUPS),
    journal: table('journal', JOURNAL),
  };
}

const ownColumns = (columns: Record<string, Column>): Record<string, object> =>
  Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, { ...column }]));
