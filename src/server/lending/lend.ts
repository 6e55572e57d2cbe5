import { explain, lentJudgeSchema } from '../../core/formats/schemas';
import { lender, type Address, type Answered, type Closed, type Lender } from '../../guard/lender';
import type { Offer } from '../../guard/lending';
import { playSession } from '../sessions/play-session';
import { plantGroup } from '../people/groups';
import { sessionPlan } from '../record/session-record';
import { judgeSaid } from '../sessions/judge-said';
import { lendSettings, type LendSettings } from '../setting/settings';
import { isDiskFull, Problem } from '../storage/problems';
import { note } from '../whole/journal';
import { lentPage } from './lent-page';
import { calledThere, notLendable } from './lent-session';
import { takeFrom } from './take';

/** A tablet of the session on loan, as the computer shows it. */
export interface TabletShown {
  readonly colour: string;
  readonly heardAt: number;
  readonly marks: number;
  /** It has not been heard from for a while: one that plays asks for news every few seconds. */
  readonly quiet: boolean;
}

const QUIET_MS = 15_000;

/** What is on loan now, and how the last loan ended; all that pages show of it. */
export interface LendState {
  readonly session: string | null;
  readonly url: string | null;
  readonly fingerprint: string | null;
  readonly tablets: readonly TabletShown[];
  readonly ended: { readonly session: string; readonly why: Closed } | null;
  readonly now: number;
}

const NO_LENDER =
  'A session can only be lent where Bouncy Echo was started with npm start or npm run demo: here it was not.';

function ready(): Lender {
  const found = lender();
  if (!found) throw new Problem(NO_LENDER);
  return found;
}

/** A sentence for a fault, as a tablet is answered. */
function faultOf(error: unknown): Answered {
  if (error instanceof Problem) return { status: error.status, body: JSON.stringify({ error: error.message }) };
  const body = isDiskFull(error)
    ? 'The computer’s disk is full. Your answers are safe on this tablet. We’ll save them as soon as there’s room.'
    : 'The computer couldn’t save that yet. Your answers are safe on this tablet.';
  if (!isDiskFull(error)) console.error('From a tablet:', error);
  return { status: 503, body: JSON.stringify({ error: body }) };
}

async function answered(work: () => Promise<object>): Promise<Answered> {
  try {
    return { status: 200, body: JSON.stringify(await work()) };
  } catch (error) {
    return faultOf(error);
  }
}

/** What the way in does for a tablet of this session. */
const workFor = (session: string) => ({
  take: async (colour: string, body: unknown) => {
    let marks = 0;
    let finished = false;
    const done = await answered(async () => {
      const { added, ...reply } = await takeFrom(session, colour, body);
      marks = added.filter((e) => e.kind === 'answer').length;
      finished = added.some((e) => e.kind === 'finish');
      return reply;
    });
    // The tablet hears that it is finished before the way in closes behind it.
    if (finished) setTimeout(() => void endLoanOf(session), CLOSING_MS).unref();
    return { ...done, marks };
  },
  judge: (body: unknown) =>
    answered(async () => {
      const read = lentJudgeSchema.safeParse(body);
      if (!read.success) throw new Problem(explain(read.error));
      return judgeSaid(session, read.data.round, read.data.key, read.data.typed);
    }),
});

/** How long other tablets may still send once one has finished, in milliseconds. */
const CLOSING_MS = 15_000;

/** Opens the way in for one session at one address of this computer. Throws a Problem where it cannot be lent. */
export async function lend(session: string, address: string): Promise<void> {
  const door = ready();
  const why = notLendable(await playSession(session));
  if (why) throw new Problem(why);
  // Whoever has no plant yet gets one: it is what they are called there.
  await plantGroup((await sessionPlan(session)).groupId);
  if (!door.addresses().some((a) => a.address === address))
    throw new Problem('This computer has lost that address. Choose another.');
  const { plain, initials } = await lendSettings();
  await door
    .open({ session, page: lentPage(session), address, secure: !plain, work: workFor(session) })
    .catch((error: unknown) => {
      console.error(error);
      throw new Problem('The way in couldn’t be opened at that address. Choose another, or try again.');
    });
  const how = [initials && 'with initials', plain && 'without https'].filter(Boolean).join(', ');
  await note('session-lent', '', how || null);
}

/** A code for one more tablet. Throws a Problem where nothing is on loan, or there are as many as there can be. */
export function nextCode(session: string): Offer & { readonly url: string } {
  const loan = ready().now();
  if (loan?.session !== session) throw new Problem('This session isn’t on loan any more. Open the way in again.');
  const offer = loan.lending.offer(Date.now());
  if (!offer) throw new Problem('Eight tablets is the most.');
  return { ...offer, url: loan.url };
}

/** Closes the way in: nothing answers at its address any more. */
export const stopLending = (): Promise<void> => lender()?.close('stopped') ?? Promise.resolve();

/** Closes the way in where this session is on loan: it is finished. */
export async function endLoanOf(session: string): Promise<void> {
  const door = lender();
  if (door?.now()?.session === session) await door.close('finished');
}

/** What is on loan now. */
export function lendState(): LendState {
  const door = lender();
  const loan = door?.now() ?? null;
  const ended = door?.ended() ?? null;
  const now = Date.now();
  return {
    session: loan?.session ?? null,
    url: loan?.url ?? null,
    fingerprint: loan?.fingerprint ?? null,
    tablets: (loan?.lending.tablets() ?? []).map((t) => ({ ...t, quiet: now - t.heardAt > QUIET_MS })),
    ended: ended && { session: ended.session, why: ended.why },
    now,
  };
}

/** A child by name, and as a tablet shows them. */
interface WhoIsWho {
  readonly id: string;
  readonly name: string;
  readonly plant: string | null;
  readonly called: string;
}

/** All that the page on which a session is lent needs. */
export interface LendView {
  readonly session: string;
  /** Its games, in words. */
  readonly what: string;
  readonly addresses: readonly Address[];
  readonly settings: LendSettings;
  /** Who is called what on a tablet, so that the adult knows. */
  readonly people: readonly WhoIsWho[];
  /** Why it cannot be lent; null where it can. */
  readonly why: string | null;
  readonly state: LendState;
}

/** The page on which a session is lent. Throws a Problem (404) where there is no such session. */
export async function lendView(id: string): Promise<LendView> {
  const [session, settings] = await Promise.all([playSession(id), lendSettings()]);
  const door = lender();
  const called = calledThere([...session.children, ...session.others], settings.initials);
  return {
    session: id,
    people: session.children.map(({ id: child, name, plant }) => ({
      id: child,
      name,
      plant,
      called: called.get(child) ?? '',
    })),
    what: [...new Set(session.rounds.map((r) => r.name))].join(', '),
    addresses: door?.addresses() ?? [],
    settings,
    why: door ? notLendable(session) : NO_LENDER,
    state: lendState(),
  };
}
