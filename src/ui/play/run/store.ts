import { noHelp } from '@/core/answers/access';
import type { Help, Outcome } from '@/core/answers/outcome';
import type { RoutineStep } from '@/core/games/routine-steps';
import { mergeLogs, type Entry } from '@/core/sessions/log';
import { makeStopwatch } from '@/core/sessions/pace';
import { sure } from '@/core/sure';
import type { PlaySession } from '@/server/sessions/play-session';
import { beatCount } from './beats';
import { canMark, finish, mark, saidAs, type RunAct, type HeardSlip, type NewEntry } from './acts';
import type { Device } from './device';
import { EMPTY, type Draft } from './draft';
import type { RunLink, LinkEvents } from './link';
import { FIRST_VIEW, reader, type Parts, type Run, type View } from './run';

/** A second tap this soon after a mark was shown is the same finger, not the next child. */
const SAME_FINGER_MS = 250;
const NOT_KEPT = 'That tap wasn’t saved. Please tap again, or note it on paper.';

/** What a run asks of the machine it runs on. */
export interface Machine {
  /** Milliseconds by a clock that only goes forward. */
  readonly now: () => number;
  /** Calls back every so many milliseconds until it is stopped. */
  readonly every: (ms: number, work: () => void) => () => void;
  /** A soft tick. */
  readonly tick: () => void;
  readonly keepDraft: (draft: Draft) => void;
}

/**
 * A run of Play: the session, its log, what was noted before the mark, and this device go in; one snapshot comes out.
 * No React, no page: whoever shows it subscribes, and every tap is dispatched.
 */
export interface RunStore {
  readonly snapshot: () => Run;
  readonly subscribe: (changed: () => void) => () => void;
  /** Adds what an act makes of the run as it is when the taps before it are kept. `false` where it was not kept. */
  readonly dispatch: (act: RunAct) => Promise<boolean>;
  /** Marks the turn; a second tap of the same finger is let go. */
  readonly mark: (outcome: Outcome, heard?: HeardSlip) => Promise<boolean>;
  /** Notes something before the mark. */
  readonly note: (more: Partial<Omit<Draft, 'turnKey'>>) => void;
  readonly noteHelp: (help: Help) => void;
  readonly tapMissed: (index: number) => void;
  /** Changes what is only on the screen. */
  readonly show: (more: Partial<Pick<View, 'covered' | 'dialog' | 'kindly' | 'news' | 'putOff'>>) => void;
  readonly setStep: (step: RoutineStep) => void;
  /** Lights the beats one after another. */
  readonly beat: () => void;
  readonly stopBeat: () => void;
  readonly sayAgain: () => void;
  readonly slower: () => void;
  /** The screen is hidden, or seen again: no time passes meanwhile. */
  readonly hide: (hidden: boolean) => void;
  readonly setDevice: (device: Device) => void;
  readonly restore: (draft: Draft) => void;
  /** Ends the session; `true` when the server has it all. */
  readonly end: () => Promise<boolean>;
  /** Joins the run to its device and server; gives a way to part them. */
  readonly join: (open: (events: LinkEvents) => RunLink) => () => void;
}

interface StoreOptions {
  readonly session: PlaySession;
  readonly device: Device;
  readonly machine: Machine;
}

export const createRun = (options: StoreOptions): RunStore => new Store(options);

class Store implements RunStore {
  private readonly read = reader();
  private readonly listeners = new Set<() => void>();
  private readonly watch = makeStopwatch();
  private readonly machine: Machine;
  private parts: Parts;
  private run: Run;
  private link: RunLink | undefined;
  private last: Promise<unknown> = Promise.resolve();
  private shownAt = -Infinity;
  private hidden = false;
  /** Ids the server will never keep, in whatever order that is heard. */
  private readonly refused = new Set<string>();
  private stopBeats: () => void = () => undefined;

  constructor({ session, device, machine }: StoreOptions) {
    this.machine = machine;
    const there = new Set(session.log.map((e) => e.id));
    this.parts = { session, log: session.log, there, device, draft: EMPTY, view: FIRST_VIEW };
    this.run = this.read(this.parts);
    this.watch.begin(machine.now(), this.run.sayMs);
  }

  readonly snapshot = (): Run => this.run;

  readonly subscribe = (changed: () => void): (() => void) => {
    this.listeners.add(changed);
    return () => this.listeners.delete(changed);
  };

  private put(more: Partial<Parts>): void {
    const before = this.run;
    this.parts = { ...this.parts, ...more };
    this.run = this.read(this.parts);
    if (this.run.turnKey !== before.turnKey) {
      this.watch.begin(this.machine.now(), this.run.sayMs);
      this.stopBeats();
      if (this.run.view.lit >= 0) {
        this.parts = { ...this.parts, view: { ...this.parts.view, lit: -1 } };
        this.run = this.read(this.parts);
      }
    }
    for (const changed of [...this.listeners]) changed();
  }

  private view(more: Partial<View>): void {
    this.put({ view: { ...this.parts.view, ...more } });
  }

  /** Makes entries of the log, or shows them as known to the server. */
  private heard(entries: readonly Entry[], there: readonly string[]): void {
    const log = mergeLogs(
      this.parts.log,
      entries.filter((e) => !this.refused.has(e.id)),
    );
    const fresh = there.filter((id) => !this.parts.there.has(id));
    if (log === this.parts.log && !fresh.length) return;
    const newest = log.at(-1);
    if (newest) this.link?.seen(newest);
    this.put({ log, there: fresh.length ? new Set([...this.parts.there, ...fresh]) : this.parts.there });
  }

  /** Does one thing after the other; what goes wrong is said, and holds no later tap up. */
  private inTurn(work: () => Promise<boolean>): Promise<boolean> {
    const mine = this.last.then(work).catch((error: unknown) => {
      console.error(error);
      this.view({ news: NOT_KEPT });
      return false;
    });
    this.last = mine;
    return mine;
  }

  readonly dispatch = (act: RunAct): Promise<boolean> => this.inTurn(() => this.keepAll(act(this.run)));

  /** A second pair of ears marks beside, whatever it marks. */
  private asMarked(entry: NewEntry): NewEntry {
    const { second, by } = this.parts.device;
    return entry.kind === 'answer' && second && by.trim() ? { ...entry, second: true } : entry;
  }

  private async keepAll(entries: readonly NewEntry[]): Promise<boolean> {
    for (const entry of entries) {
      const kept = await this.link?.keep(this.asMarked(entry));
      if (!kept) return false;
      this.heard([kept.entry], kept.at === 'server' ? [kept.entry.id] : []);
      this.link?.tell(kept.entry);
    }
    return entries.length > 0;
  }

  readonly mark = (outcome: Outcome, heard?: HeardSlip): Promise<boolean> => {
    const now = this.machine.now();
    const thinkMs = this.watch.read(now);
    return this.inTurn(async () => {
      if (now - this.shownAt < SAME_FINGER_MS || !canMark(this.run, outcome)) return false;
      const kept = await this.keepAll(mark(outcome, heard, thinkMs)(this.run));
      if (kept) this.shownAt = this.machine.now();
      return kept;
    });
  };

  readonly note = (more: Partial<Omit<Draft, 'turnKey'>>): void => {
    const draft = { ...this.run.draft, ...more, turnKey: this.run.turnKey };
    this.machine.keepDraft(draft);
    this.put({ draft });
  };

  /** Notes a help; what is always so for this child is none. */
  readonly noteHelp = (help: Help): void => {
    if (noHelp(this.run.ownWay.access).includes(help)) return;
    this.note({ helps: [...new Set([...this.run.draft.helps, help])] });
  };

  readonly tapMissed = (index: number): void => {
    const { missed } = this.run.draft;
    const rest = missed.filter((i) => i !== index);
    this.note({ missed: rest.length < missed.length ? rest : [...missed, index].sort((a, b) => a - b) });
  };

  readonly show = (more: Partial<Pick<View, 'covered' | 'dialog' | 'kindly' | 'news' | 'putOff'>>): void => {
    this.view(more);
    this.hold();
  };

  readonly setStep = (name: RoutineStep): void => {
    const { turnKey, state } = this.run;
    this.view({ step: { turnKey, name } });
    if (name === 'my-turn' || name === 'together') void this.dispatch(saidAs(state.turn, name));
  };

  readonly beat = (): void => {
    const { item, gaps, draft, turnKey } = this.run;
    const beats = item ? beatCount(item) : 0;
    const { tick: sound } = this.parts.device;
    this.stopBeats();
    let said = 1;
    this.view({ lit: said });
    if (sound) this.machine.tick();
    this.stopBeats = this.machine.every(sure(gaps[draft.gap]) * 1_000, () => {
      said += 1;
      if (said === beats + 1) {
        this.watch.said(this.machine.now());
        this.view({ spoken: { turnKey, times: this.run.spoken + 1 } });
      }
      if (said > beats + 1) return this.stopBeat();
      this.view({ lit: Math.min(said, beats) });
      if (sound && said <= beats) this.machine.tick();
    });
  };

  readonly stopBeat = (): void => {
    this.stopBeats();
    this.view({ lit: -1 });
  };

  readonly sayAgain = (): void => {
    this.noteHelp('said-again');
    this.beat();
  };

  readonly slower = (): void => {
    const { draft, gaps } = this.run;
    this.note({ gap: Math.min(draft.gap + 1, gaps.length - 1) });
    this.noteHelp('slower');
    this.beat();
  };

  private hold(): void {
    if (this.hidden || this.run.view.dialog) this.watch.hold(this.machine.now());
    else this.watch.go(this.machine.now());
  }

  readonly hide = (hidden: boolean): void => {
    this.hidden = hidden;
    this.hold();
  };

  readonly setDevice = (device: Device): void => this.put({ device });

  readonly restore = (draft: Draft): void => {
    if (this.parts.draft === EMPTY) this.put({ draft });
  };

  readonly end = async (): Promise<boolean> => {
    await this.dispatch(finish);
    return (await this.link?.flush()) ?? false;
  };

  readonly join = (open: (events: LinkEvents) => RunLink): (() => void) => {
    const link = open({
      heard: (entries, there) => this.heard(entries, there),
      refused: (ids) => {
        for (const id of ids) this.refused.add(id);
        this.put({ log: this.parts.log.filter((e) => !ids.has(e.id)) });
      },
      news: (sentence) => this.view({ news: sentence }),
    });
    this.link = link;
    const newest = this.parts.log.at(-1);
    if (newest) link.seen(newest);
    return () => {
      this.stopBeats();
      link.close();
      this.link = undefined;
    };
  };
}
