import { explain, lentBodySchema } from '../../core/formats/schemas';
import { roundOf, turnInRound, type Entry } from '../../core/sessions/log';
import { mostTurns } from '../../core/sessions/most-turns';
import { ownKeys } from '../../core/sessions/own-step';
import { appendLog, type Appended } from '../record/append-log';
import { epoch } from '../whole/epoch';
import { sessionLog, sessionPlan, type PlannedSession } from '../record/session-record';
import { Problem } from '../storage/problems';
import { idsFrom } from '../sessions/tablets';
import { plainEntry, withoutSpeech } from './lent-session';

/** Entries of one tablet at most: a session of an hour has a tenth of it. */
const MOST = 2_000;

/** What does not belong to a game in progress, or reaches beyond the session: not from a tablet. */
const NEVER: ReadonlySet<Entry['kind']> = new Set(['aside', 'reopen']);

/** Every item that was dealt to the session, or stands by for it. */
const dealtTo = (session: PlannedSession): ReadonlySet<string> =>
  new Set(
    session.rounds.flatMap((round) => [
      ...round.items,
      ...round.spares,
      ...ownKeys(round),
      ...(round.model ? [round.model] : []),
      ...(round.find?.steps.flatMap((s) => s.keys) ?? []),
    ]),
  );

/** The items an entry speaks of. A word found in a hunt is no item: it is held against the bank. */
const itemsIn = (entry: Entry): string[] => {
  if (entry.kind === 'swap') return [entry.from, entry.to];
  return entry.kind !== 'tick' && 'word' in entry ? [entry.word] : [];
};

/** The earlier entry that an entry changes. */
function changedBy(entry: Entry): string | null {
  if (entry.kind === 'undo') return entry.answerId;
  return entry.kind === 'answer' ? entry.supersedes : null;
}

interface Around {
  readonly session: PlannedSession;
  readonly log: readonly Entry[];
  readonly dealt: ReadonlySet<string>;
  /** Entries that came from this tablet; what is taken in is added. */
  readonly own: Set<string>;
}

/** Why an entry is not taken from a tablet, or undefined where it may be. */
function refusal(entry: Entry, { session, log, dealt, own }: Around): string | undefined {
  if (NEVER.has(entry.kind)) return 'That can only be done on the computer.';
  if (own.size >= MOST) return 'This tablet has sent more than a session can have.';
  if (entry.kind === 'answer' && (entry.note !== null || entry.pebbles?.length))
    return 'Notes are only taken on the computer.';
  const changed = changedBy(entry);
  if (changed && !own.has(changed)) return 'A tablet can only change its own marks.';
  if (itemsIn(entry).some((key) => !dealt.has(key))) return 'That word wasn’t dealt to this session.';
  if (!('turn' in entry)) return undefined;
  const number = roundOf(entry.turn);
  const round = session.rounds[number];
  const most = round ? mostTurns(round, number, session.childIds.length, log) : 0;
  return turnInRound(entry.turn) < most ? undefined : 'There’s no such turn in this session.';
}

/** What a tablet is answered; `added` is for this computer alone. */
interface Taken extends Appended {
  readonly now: number;
  readonly epoch: string;
  readonly added: readonly Entry[];
}

/**
 * Takes what a tablet sends, as a device's log is taken, but only what can belong to the game it was lent; and gives
 * back what it may know. Throws a Problem for what cannot be read.
 */
export async function takeFrom(sessionId: string, tablet: string, body: unknown): Promise<Taken> {
  const read = lentBodySchema.safeParse(body);
  if (!read.success) throw new Problem(`The body doesn’t fit: ${explain(read.error)} Nothing was saved.`);
  const [session, log, own] = await Promise.all([
    sessionPlan(sessionId),
    sessionLog(sessionId),
    idsFrom(sessionId, tablet),
  ]);
  const known = new Set(log.map((e) => e.id));
  const around: Around = { session, log: [...log, ...read.data.entries], dealt: dealtTo(session), own };
  const [taken, refused]: [Entry[], { id: string; why: string }[]] = [[], []];
  for (const entry of read.data.entries) {
    // What is there already stays as it is, and whose it is: by another's id nothing becomes this tablet's own.
    if (known.has(entry.id)) continue;
    const why = refusal(entry, around);
    if (why) refused.push({ id: entry.id, why });
    else {
      own.add(entry.id);
      taken.push(entry);
    }
  }
  const appended = await appendLog(sessionId, taken, { has: read.data.has, device: true, tablet });
  const shown = appended.log.map(plainEntry).map((e) => (own.has(e.id) ? e : withoutSpeech(e)));
  const lost = new Set(appended.refused.map((r) => r.id));
  return {
    ...appended,
    log: shown,
    refused: [...appended.refused, ...refused],
    now: Date.now(),
    epoch: await epoch(),
    added: taken.filter((e) => !lost.has(e.id)),
  };
}
