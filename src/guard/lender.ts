import type { Colour, Lending } from './lending';

/** What the way in for tablets and the pages of the computer know of each other: both are in one process. */

/** An answer of the framework's side: its status, and its body as JSON. */
export interface Answered {
  readonly status: number;
  readonly body: string;
}

/** What is done for a tablet: the way in itself knows nothing of sessions. */
export interface LentWork {
  /** Takes what a tablet sends to its session's log; with how many marks were in it. */
  take(colour: Colour, body: unknown): Promise<Answered & { readonly marks: number }>;
  /** Judges what was typed. */
  judge(body: unknown): Promise<Answered>;
}

/** Why the way in was closed. */
export type Closed = 'finished' | 'stopped' | 'two-hours' | 'slept' | 'address-gone';

/** A session that is on loan. */
export interface OnLoan {
  readonly session: string;
  readonly url: string;
  /** Of its certificate, to be compared by eye; null for plain http. */
  readonly fingerprint: string | null;
  readonly since: number;
  readonly lending: Lending;
}

/** What is asked for: one session, one address of this computer. */
interface LendAsked {
  readonly session: string;
  /** The path of the session's page as tablets have it. */
  readonly page: string;
  readonly address: string;
  readonly secure: boolean;
  readonly work: LentWork;
}

/** How a loan ended, and when. */
interface Ended {
  readonly session: string;
  readonly why: Closed;
  readonly at: number;
}

/** An address at which others on a network can reach this computer. */
export interface Address {
  readonly address: string;
  /** What the system calls the way it comes by, such as `wlan0`. */
  readonly name: string;
}

/** What the pages ask of the way in. */
export interface Lender {
  /** Opens it; what was open is closed first. Throws where it cannot be opened. */
  open(asked: LendAsked): Promise<OnLoan>;
  close(why: Closed): Promise<void>;
  now(): OnLoan | null;
  ended(): Ended | null;
  addresses(): Address[];
}

const place = globalThis as typeof globalThis & { bouncyEchoLender?: Lender };

/** The way in; null where the framework's own server runs, as while the code is worked on. */
export const lender = (): Lender | null => place.bouncyEchoLender ?? null;

export function setLender(made: Lender): void {
  place.bouncyEchoLender = made;
}
