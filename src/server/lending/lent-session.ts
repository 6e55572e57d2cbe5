import { NO_OWN_WAY } from '../../core/answers/own-way';
import { capital } from '../../core/in-words';
import { omit } from '../../core/pick';
import type { Entry } from '../../core/sessions/log';
import { initialsOf } from '../../core/sessions/initials';
import { playSession, type PlaySession } from '../sessions/play-session';
import { lendSettings } from '../setting/settings';
import { listGroups } from '../people/groups';
import type { Participant } from '../record/session-record';
import { Problem } from '../storage/problems';
import { familyOf, openingOf, taskOf } from '../../core/games';

/** What a tablet may be told of an entry: whose turn and what came of it; no notes, nothing of how a child speaks. */
export function plainEntry(entry: Entry): Entry {
  if (entry.kind !== 'answer') return entry;
  return { ...omit(entry, ['pebbles', 'by']), note: null };
}

/** Sounds of an answer tell how a child speaks: only what this tablet wrote down itself goes back to it. */
export const withoutSpeech = (entry: Entry): Entry =>
  entry.kind === 'answer' ? { ...entry, said: null, slip: null, missed: [] } : entry;

/** True where a text has one of these names in it as a word. */
const tells = (text: string, names: readonly string[]): boolean => {
  const words = new Set(text.toLowerCase().split(/[^\p{L}\p{N}'-]+/u));
  return names.some((name) =>
    name
      .toLowerCase()
      .split(/\s+/)
      .some((part) => words.has(part)),
  );
};

/** What a child is called on a tablet: their plant, numbered where two have the same, or their initials beside it. */
export function calledThere(people: readonly Participant[], initials: boolean): Map<string, string> {
  const short = initialsOf(people.map((p) => p.name));
  const times = new Map<string, number>();
  return new Map(
    people.map(({ id, plant }, i) => {
      const base = plant ?? 'child';
      const nth = (times.get(base) ?? 0) + 1;
      times.set(base, nth);
      const plain = `${capital(base)}${nth > 1 || !plant ? ` ${nth}` : ''}`;
      return [id, initials ? (short[i] ?? plain) : plain] as const;
    }),
  );
}

/**
 * Why a session cannot be lent, or null where it can: it is over, or its games have the children's own names in them.
 */
export function notLendable({ rounds, log }: Pick<PlaySession, 'rounds' | 'log'>): string | null {
  if (
    log.some((e) => e.kind === 'finish') &&
    log.findLast((e) => e.kind === 'finish' || e.kind === 'reopen')?.kind === 'finish'
  )
    return 'This session is finished.';
  return rounds.some((r) => r.names)
    ? 'This session plays with the children’s own names, and no name goes to a tablet. Play it here instead.'
    : null;
}

/**
 * A session as a tablet has it: plants for names, no notes, nothing of how anybody speaks, and none of the adult's
 * own sentences that name a child. Throws a Problem where there is none or it cannot be lent.
 */
export async function lentSession(id: string): Promise<PlaySession & { readonly lent: true }> {
  const [session, { initials }, groups] = await Promise.all([playSession(id), lendSettings(), listGroups()]);
  const why = notLendable(session);
  if (why) throw new Problem(why);
  const names = groups.flatMap((g) => [g.name, ...g.children.map((c) => c.name)]);
  const everyone = [...session.children, ...session.others];
  const called = calledThere(everyone, initials);
  const plain = ({ id: child, plant }: Participant): Participant => ({
    id: child,
    plant,
    name: called.get(child) ?? '',
    ownWay: NO_OWN_WAY,
  });
  return {
    ...session,
    lent: true,
    title: '',
    groupName: '',
    children: session.children.map(plain),
    others: session.others.map(plain),
    habits: {},
    pebbles: { checks: {}, more: {}, open: {}, settled: {} },
    rounds: session.rounds.map((round) => ({
      ...round,
      rightFor: {},
      inAccents: {},
      ...ownWords(round, names),
    })),
    log: session.log.map((e) => withoutSpeech(plainEntry(e))),
  };
}

/** The adult's own sentences of a round, where they name nobody; the game's where they do. */
function ownWords(round: PlaySession['rounds'][number], names: readonly string[]) {
  const task = taskOf(round.task);
  return {
    opening: tells(round.opening, names) ? openingOf(task).plain : round.opening,
    ask: tells(round.ask, names) ? task.plain : round.ask,
    reminder: tells(round.reminder, names) ? familyOf(task.family).reminder : round.reminder,
  };
}
