import { csv } from './csv';
import { roundOf, turnInRound, WHY_WORDS, type Why } from '../sessions/log';
import {
  HELP_WORDS,
  OUTCOME_WORDS,
  SLIP_WORDS,
  STANDING_WORDS,
  type Help,
  type Outcome,
  type Slip,
  type Standing,
} from '../answers/outcome';

export interface ExportRow {
  readonly id: string;
  readonly turn: number;
  readonly task: string;
  readonly step: string;
  readonly child: string | null;
  readonly word: string;
  readonly sounds: readonly string[];
  readonly outcome: Outcome;
  readonly slip: Slip | null;
  readonly said: string | null;
  /** The same for a reader: a word or respelling, and its sounds, a lost one in brackets: `fog (f-[r]-o-g)`. */
  readonly heard: string | null;
  readonly missed: readonly number[];
  readonly helps: readonly Help[];
  readonly note: string | null;
  readonly thinkMs: number | null;
  readonly standing: Standing;
  readonly selfCorrected: boolean;
  /** Shown with thumbs or fingers, not spoken. */
  readonly shown: boolean;
  readonly markedBy: string | null;
  /** The child who asked, in pairs. */
  readonly partner: string | null;
  /** A child who answered otherwise than everyone did together. */
  readonly differs: boolean;
  /** ISO 8601, UTC. */
  readonly at: string;
  /** Earlier marks of the same answer, oldest first; they stay in the log. */
  readonly before: readonly {
    readonly id: string;
    readonly outcome: Outcome;
    readonly at: string;
    /** Why the next one took its place. */
    readonly why: Why | null;
  }[];
}

export interface SessionExport {
  readonly format: 'bouncy-echo-session';
  readonly version: 4;
  readonly session: {
    readonly id: string;
    readonly group: string;
    readonly title: string;
    readonly rounds: readonly { readonly task: string; readonly step: string; readonly items: readonly string[] }[];
    readonly accent: string;
    /** The number of the tick grid it was typed in from; null where it was marked on a device. */
    readonly paper: number | null;
    readonly startedAt: string;
    readonly finishedAt: string | null;
  };
  readonly answers: readonly ExportRow[];
}

export const CSV_COLUMNS = [
  'round',
  'turn',
  'task',
  'step',
  'child',
  'word',
  'sounds',
  'outcome',
  'slip',
  'said',
  'said, to read',
  'sounds that slipped',
  'help',
  'note',
  'seconds to mark',
  'stands as',
  'put right by the child',
  'spoken or shown',
  'asked by',
  'marked by',
  'marked at (UTC)',
  'marked before as',
  'answer id',
] as const;

/**
 * The answers as CSV (RFC 4180) with a byte-order mark, so that spreadsheets read other scripts. A cell that would
 * begin a formula gets an apostrophe before it (OWASP, CSV Injection).
 */
export const toCsv = (made: SessionExport): string => csv(CSV_COLUMNS, linesOf(made));

/** The lines of that table, without its head. */
export const linesOf = ({ answers }: SessionExport): (string | number)[][] =>
  answers.map((a) => [
    roundOf(a.turn) + 1,
    turnInRound(a.turn) + 1,
    a.task,
    a.step,
    a.child ?? 'Everyone together',
    a.word,
    a.sounds.join(' '),
    OUTCOME_WORDS[a.outcome],
    a.slip ? SLIP_WORDS[a.slip] : '',
    a.said ?? '',
    a.heard ?? '',
    a.missed.map((i) => a.sounds[i] ?? '').join(' '),
    a.helps.map((h) => HELP_WORDS[h]).join(', '),
    a.note ?? '',
    a.thinkMs === null ? '' : (a.thinkMs / 1000).toFixed(1),
    STANDING_WORDS[a.standing],
    a.selfCorrected ? 'yes' : '',
    a.shown ? 'shown' : 'spoken',
    a.partner ?? '',
    a.markedBy ?? '',
    a.at,
    a.before.map((b) => `${OUTCOME_WORDS[b.outcome]}${b.why ? ` (${WHY_WORDS[b.why]})` : ''}`).join(', '),
    a.id,
  ]);
