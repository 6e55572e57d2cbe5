import { describe, expect, test, vi } from 'vitest';
import { OUTCOMES } from '@/core/answers/outcome';
import { seeded } from '@/core/random';
import { mergeLogs, type Entry } from '@/core/sessions/log';
import { replay } from '@/core/sessions/replay';
import { NO_OWN_WAY } from '@/core/answers/own-way';
import type { PlaySession } from '@/server/sessions/play-session';
import { sure } from '@/core/sure';
import { times } from '@/core/testing/deep';
import { sessionOf } from '@/ui/testing/session';
import * as acts from './acts';
import { USUAL, type Device } from './device';
import { EMPTY } from './draft';
import { press } from './keys';
import type { KeptAs, RunLink, LinkEvents } from './link';
import { createRun, type RunStore } from './store';

/** A clock that stands still until it is moved, and the beats that hang on it. */
function machineOf() {
  const beats: { work: () => void; every: number; next: number }[] = [];
  let now = 1_000;
  return {
    now: () => now,
    every: (ms: number, work: () => void) => {
      const beat = { work, every: ms, next: now + ms };
      beats.push(beat);
      return () => void beats.splice(beats.indexOf(beat), 1);
    },
    tick: vi.fn(),
    keepDraft: vi.fn(),
    pass: (ms: number): void => {
      const end = now + ms;
      for (;;) {
        const due = [...beats].sort((a, b) => a.next - b.next)[0];
        if (!due || due.next > end) break;
        now = due.next;
        due.next += due.every;
        due.work();
      }
      now = end;
    },
  };
}

/** A server's log: keeps what it can, each id once. */
class Server {
  log: readonly Entry[] = [];
  private readonly listeners = new Set<LinkEvents>();
  made = 0;
  keep(entry: Entry): void {
    this.log = mergeLogs(this.log, [entry]);
  }
  hears(events: LinkEvents): () => void {
    this.listeners.add(events);
    return () => this.listeners.delete(events);
  }
  /** Every device that is joined hears the whole log. */
  tellAll(): void {
    for (const { heard } of this.listeners)
      heard(
        this.log,
        this.log.map((e) => e.id),
      );
  }
}

/** What a device keeps, and whether it can. */
class Disk {
  kept: Entry[] = [];
  room = true;
}

type Fate = 'server' | 'waits' | 'refused' | 'nowhere';

/** A way out to a server that answers as `fate` says, in the order of the taps. */
function linkTo(server: Server, disk: Disk, fate: () => Fate) {
  let joined: LinkEvents | undefined;
  const open = (events: LinkEvents): RunLink => {
    joined = events;
    const leave = server.hears(events);
    events.heard(
      disk.kept,
      disk.kept.filter((e) => server.log.some((s) => s.id === e.id)).map((e) => e.id),
    );
    const flush = (): Promise<boolean> => {
      for (const entry of disk.kept) server.keep(entry);
      events.heard(
        server.log,
        server.log.map((e) => e.id),
      );
      return Promise.resolve(true);
    };
    return {
      keep: async (made): Promise<KeptAs> => {
        server.made += 1;
        const entry = { ...made, id: String(server.made).padStart(6, '0'), at: server.made * 1_000 } as Entry;
        await Promise.resolve();
        const how = fate();
        if (how === 'nowhere') return null;
        if (how === 'server') server.keep(entry);
        if (how !== 'refused') disk.kept.push(entry);
        // Refused after it was shown: the device learns of it later.
        if (how === 'refused') queueMicrotask(() => events.refused(new Set([entry.id])));
        return { entry, at: how === 'server' ? 'server' : 'device' };
      },
      seen: () => undefined,
      tell: () => undefined,
      flush,
      close: leave,
    };
  };
  return { open, events: () => sure(joined) };
}

interface Playing {
  readonly store: RunStore;
  readonly server: Server;
  readonly machine: ReturnType<typeof machineOf>;
}

function playing(
  device: Partial<Device> = {},
  fate: () => Fate = () => 'server',
  session: PlaySession = sessionOf(),
): Playing {
  const machine = machineOf();
  const store = createRun({ session, device: { ...USUAL, ...device }, machine });
  const server = new Server();
  store.join(linkTo(server, new Disk(), fate).open);
  return { store, server, machine };
}

/** A finger that is not the one of the tap before. */
const next = ({ machine }: Playing): void => machine.pass(1_000);

describe('a run', () => {
  test('begins with the model, then goes from child to child; each tap is one entry, known to the server', async () => {
    const of = playing();
    const { store, server } = of;
    expect(store.snapshot().modelling).toBe(true);
    await store.dispatch(acts.modelled);
    expect(store.snapshot()).toMatchObject({ playing: true, pending: 0, state: { childId: 'a', turn: 0 } });
    next(of);
    expect(await store.mark('on-own')).toBe(true);
    expect(store.snapshot().state).toMatchObject({ childId: 'b', done: 1 });
    expect(server.log.map((e) => e.kind)).toEqual(['modelled', 'answer']);
  });
  test('one finger is one mark: a second tap before the next child stood there for a moment is let go', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    const [first, second] = [of.store.mark('on-own'), of.store.mark('not-yet')];
    expect(await Promise.all([first, second])).toEqual([true, false]);
    of.machine.pass(200);
    expect(await of.store.mark('not-yet')).toBe(false);
    of.machine.pass(100);
    expect(await of.store.mark('not-yet')).toBe(true);
    expect(of.store.snapshot().state.done).toBe(2);
  });
  test('a tap while another is being kept speaks of what that one made', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    const marked = of.store.mark('with-help');
    const more = of.store.dispatch(acts.toggleHelp('gesture'));
    await Promise.all([marked, more]);
    expect(of.store.snapshot().state.last).toMatchObject({ childId: 'a', helps: ['gesture'], why: 'detail' });
    await Promise.all([of.store.dispatch(acts.choose('c')), of.store.dispatch(acts.undo)]);
    expect(of.store.snapshot().state).toMatchObject({ done: 0, childId: 'a' });
  });
  test('a word is not swapped in the next child’s turn by a tap meant for the one before', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    const { turn } = of.store.snapshot().state;
    const marked = of.store.mark('on-own');
    const swapped = of.store.dispatch(acts.swap(turn));
    expect(await Promise.all([marked, swapped])).toEqual([true, false]);
    expect(of.server.log.filter((e) => e.kind === 'swap')).toEqual([]);
  });
  test('what was noted before the mark goes with it, and ends with the turn', async () => {
    const of = playing({ by: ' HB ' });
    await of.store.dispatch(acts.modelled);
    next(of);
    of.store.tapMissed(2);
    of.store.tapMissed(0);
    of.store.tapMissed(2);
    of.store.noteHelp('said-again');
    of.store.note({ note: ' quietly ' });
    await of.store.mark('not-yet');
    expect(of.server.log.at(-1)).toMatchObject({
      slip: 'lost-sound',
      missed: [0],
      helps: ['said-again'],
      note: 'quietly',
      by: 'HB',
    });
    expect(of.store.snapshot().draft).toEqual(EMPTY);
  });
  test('what is always so for a child is no help', async () => {
    const session = sessionOf();
    const always = { ...NO_OWN_WAY, access: ['said-twice', 'points'] as const };
    const of = playing({}, undefined, {
      ...session,
      children: session.children.map((c) => ({ ...c, ownWay: always })),
    });
    await of.store.dispatch(acts.modelled);
    next(of);
    of.store.noteHelp('said-again');
    of.store.noteHelp('slower');
    await of.store.mark('with-help');
    expect(of.server.log.at(-1)).toMatchObject({ helps: ['slower'] });
  });
  test('a draft kept before a reload is taken up in its turn alone', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    of.store.note({ note: 'half a w' });
    const kept = of.machine.keepDraft.mock.calls.at(-1)?.[0] as typeof EMPTY;
    const again = createRun({ session: { ...sessionOf(), log: of.server.log }, device: USUAL, machine: machineOf() });
    again.restore(kept);
    expect(again.snapshot().draft.note).toBe('half a w');
    again.join(linkTo(of.server, new Disk(), () => 'server').open);
    await again.dispatch(acts.choose('c'));
    expect(again.snapshot().draft.note).toBe('');
  });
  test('time runs from the end of what is said, not while it is hidden or a dialog is open', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    of.machine.pass(of.store.snapshot().sayMs + 4_000);
    of.store.show({ dialog: 'pause' });
    of.machine.pass(60_000);
    of.store.show({ dialog: null });
    of.store.hide(true);
    of.machine.pass(60_000);
    of.store.hide(false);
    of.machine.pass(500);
    await of.store.mark('on-own');
    expect(of.server.log.at(-1)).toMatchObject({ thinkMs: 4_500 });
  });
  test('beats light one after another, tick where they should, and stop with the turn', async () => {
    const of = playing({ tick: true });
    await of.store.dispatch(acts.modelled);
    of.store.beat();
    const lights = [of.store.snapshot().view.lit];
    for (let i = 0; i < 3; i += 1) {
      of.machine.pass(1_000);
      lights.push(of.store.snapshot().view.lit);
    }
    expect(lights).toEqual([1, 2, 3, 3]);
    of.machine.pass(1_000);
    expect(of.store.snapshot()).toMatchObject({ view: { lit: -1 }, spoken: 1, sayMs: 0 });
    expect(of.machine.tick).toHaveBeenCalledTimes(3);
    of.store.beat();
    await of.store.mark('on-own');
    expect(of.store.snapshot().view.lit).toBe(-1);
    of.machine.pass(5_000);
    expect(of.store.snapshot().view.lit).toBe(-1);
  });
  test('kept nowhere, a tap is not shown as marked', async () => {
    let fate: Fate = 'server';
    const of = playing({}, () => fate);
    await of.store.dispatch(acts.modelled);
    next(of);
    fate = 'nowhere';
    expect(await of.store.mark('on-own')).toBe(false);
    expect(of.store.snapshot().state.done).toBe(0);
    fate = 'server';
    expect(await of.store.mark('on-own')).toBe(true);
    expect(of.store.snapshot().state.done).toBe(1);
  });
  test('a tap that goes wrong is said and holds no later one up', async () => {
    let broken = false;
    const of = playing({}, () => {
      if (broken) throw new Error('a fault');
      return 'server';
    });
    await of.store.dispatch(acts.modelled);
    next(of);
    broken = true;
    const logged = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    expect(await of.store.mark('on-own')).toBe(false);
    logged.mockRestore();
    expect(of.store.snapshot()).toMatchObject({ state: { done: 0 }, view: { news: expect.stringContaining('again') } });
    broken = false;
    expect(await of.store.mark('on-own')).toBe(true);
    expect(of.store.snapshot().state.done).toBe(1);
  });
  test('nothing is shown before it is kept', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    const marking = of.store.mark('on-own');
    expect(of.store.snapshot().state.done).toBe(0);
    await marking;
    expect(of.store.snapshot().state.done).toBe(1);
  });
  test('who listens along marks beside, and goes through the turns by their own marks', async () => {
    const of = playing({ by: 'KM', second: true });
    await of.store.dispatch(acts.modelled);
    next(of);
    await of.store.mark('not-yet');
    expect(of.server.log.at(-1)).toMatchObject({ second: true, by: 'KM' });
    expect(of.store.snapshot().state.done).toBe(1);
    of.store.setDevice(USUAL);
    expect(of.store.snapshot().state.done).toBe(0);
  });
  test('what did not change stays the same object, so that a tap redraws what it changed', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    const before = of.store.snapshot();
    of.store.noteHelp('slower');
    const after = of.store.snapshot();
    for (const part of ['state', 'likely', 'people', 'names', 'item', 'round', 'device', 'gaps'] as const)
      expect(after[part], part).toBe(before[part]);
    expect(after.draft).not.toBe(before.draft);
  });
});

describe('keys', () => {
  const key = (name: string) => ({ key: name, modified: false, typing: false, onControl: false });
  test('do nothing while someone types, with a modifier, or behind a dialog', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    expect(press(of.store, { ...key('1'), typing: true })).toBe(false);
    expect(press(of.store, { ...key('1'), modified: true })).toBe(false);
    expect(press(of.store, { ...key(' '), onControl: true })).toBe(false);
    of.store.show({ dialog: 'note' });
    expect(press(of.store, key('1'))).toBe(false);
    of.store.show({ dialog: null });
    expect(press(of.store, key('1'))).toBe(true);
    await of.store.dispatch(acts.away('z', false));
    expect(of.server.log.filter((e) => e.kind === 'answer')).toHaveLength(1);
  });
  test.each([
    ['1', 'on-own'],
    ['2', 'with-help'],
    ['3', 'not-yet'],
    ['4', 'no-reply'],
    ['5', 'does-not-count'],
  ])('%s marks %s', async (name, outcome) => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    press(of.store, key(name));
    await of.store.dispatch(acts.away('z', false));
    expect(of.server.log.find((e) => e.kind === 'answer')).toMatchObject({ outcome });
  });
  // WCAG 2.2, success criterion 2.1.4: keys of one sign can be turned off; Space, Enter and arrows are no such keys.
  test('those of one sign do nothing where they are off', async () => {
    const of = playing();
    await of.store.dispatch(acts.modelled);
    next(of);
    of.store.setDevice({ ...of.store.snapshot().device, singleKeys: false });
    for (const name of ['1', 'z', 'N', '?']) expect(press(of.store, key(name)), name).toBe(false);
    for (const name of [' ', 'ArrowDown']) expect(press(of.store, key(name)), name).toBe(true);
  });
  test('Enter begins, and is nobody’s key once it has begun', async () => {
    const of = playing();
    expect(press(of.store, key('Enter'))).toBe(true);
    await of.store.dispatch(acts.away('z', false));
    expect(press(of.store, key('Enter'))).toBe(false);
  });
});

/** Any tap a person could make now. */
function anyAct(random: () => number, store: RunStore): Promise<unknown> {
  const pick = <T>(from: readonly T[]): T => sure(from[Math.floor(random() * from.length)]);
  const { state, modelling } = store.snapshot();
  if (modelling) return store.dispatch(acts.modelled);
  const child = pick(['a', 'b', 'c']);
  const others: readonly (() => Promise<unknown>)[] = [
    () => store.dispatch(acts.undo),
    () => store.dispatch(acts.toggleShown),
    () => store.dispatch(acts.toggleSelfCorrected),
    () => store.dispatch(acts.toggleHelp('choice')),
    () => store.dispatch(acts.swap(state.turn)),
    () => store.dispatch(acts.skip(state.turn)),
    () => store.dispatch(acts.choose(random() < 0.5 ? child : null)),
    () => store.dispatch(acts.differ(child)),
    () => store.dispatch(acts.away(child, random() < 0.5)),
    () => store.dispatch(acts.arrive('z')),
    () => store.dispatch(acts.saidAs(state.turn, 'my-turn')),
    () => store.dispatch(acts.rest(child)),
    () => store.dispatch(acts.ease(child)),
    () => store.dispatch(acts.goToItem(Math.floor(random() * 2))),
    () => store.dispatch(acts.goOn),
  ];
  return random() < 0.6 ? store.mark(pick(OUTCOMES)) : pick(others)();
}

// Nothing is lost on the way, and nothing doubled.
test('any order of taps, reloads, two devices and refusals leads to what replaying the log gives', async () => {
  for (let seed = 1; seed <= times(200, 40); seed += 1) {
    const random = seeded(seed);
    const server = new Server();
    const session = sessionOf();
    const fate = (): Fate => {
      const chance = random();
      if (chance < 0.05) return 'refused';
      if (chance < 0.1) return 'nowhere';
      return chance < 0.5 ? 'waits' : 'server';
    };
    const disks = [new Disk(), new Disk()];
    const machine = machineOf();
    const start = (disk: Disk): { store: RunStore; leave: () => void } => {
      const store = createRun({ session: { ...session, log: server.log }, device: USUAL, machine });
      return { store, leave: store.join(linkTo(server, disk, fate).open) };
    };
    const devices = disks.map(start);
    for (let i = 0; i < 60; i += 1) {
      machine.pass(400);
      const at = random() < 0.5 ? 0 : 1;
      const device = sure(devices[at]);
      const chance = random();
      if (chance < 0.06) {
        device.leave();
        devices[at] = start(sure(disks[at]));
      } else if (chance < 0.15) {
        for (const entry of sure(disks[at]).kept) server.keep(entry);
        server.tellAll();
      } else if (chance < 0.3) {
        // Two taps at once.
        await Promise.all([anyAct(random, device.store), anyAct(random, device.store)]);
      } else await anyAct(random, device.store);
      await Promise.resolve();
    }
    for (const disk of disks) for (const entry of disk.kept) server.keep(entry);
    server.tellAll();
    const truth = replay(session.plan, server.log);
    for (const { store } of devices) {
      const { log, state, pending } = store.snapshot();
      expect(log, `seed ${seed}`).toEqual(server.log);
      expect(state, `seed ${seed}`).toEqual(truth);
      expect(pending, `seed ${seed}`).toBe(0);
    }
    const kept = disks.flatMap((d) => d.kept.map((e) => e.id));
    expect(new Set(kept).size, `seed ${seed}`).toBe(kept.length);
    expect(
      server.log.map((e) => e.id),
      `seed ${seed}`,
    ).toEqual([...kept].sort());
  }
});
