import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Entry } from '@/core/sessions/log';
import { Refused, Told, type Send } from './send';
import { startSync, type Box, type Sync } from './sync';

// The device's store as a map, and a server that can be away, slow, or refuse.
const entry = (n: number): Entry => ({ kind: 'more', id: String(n).padStart(4, '0'), at: n, turns: n });
const box = new Map<string, Entry>();
const onServer: Entry[] = [];
const requests: string[][] = [];
let away = false;
/** Entries the server refuses one by one; entries it cannot even read; and whether the session is gone. */
let refuse: string | null = null;
let unreadable: string | null = null;
let gone = false;
let childErased: { readonly erased?: true } = {};
let sessionErased = false;
let most = Infinity;
let epoch = '';
/** What this device has copies of. */
const copies = new Map<string, Entry>();
let pending: number[] = [];
let news: string[] = [];
let seen: Entry[] = [];
let aside: { readonly id: string; readonly why: string }[] = [];
let sync: Sync;

const store = {
  waiting: vi.fn<Box['waiting']>(),
  copy: vi.fn<Box['copy']>(),
  release: vi.fn<Box['release']>(),
  setAside: vi.fn<Box['setAside']>(),
  letGo: vi.fn<Box['letGo']>(),
  sendAgain: vi.fn<Box['sendAgain']>(),
};

const send: Send = async (_, entries, has) => {
  requests.push(entries.map((e) => e.id));
  await Promise.resolve();
  if (away) throw new TypeError('no network');
  if (gone) throw new Refused('There is no session at this address.', true, sessionErased);
  if (entries.length > most || entries.some((e) => e.id === unreadable)) throw new Refused('It does not fit.', false);
  const had = onServer.length;
  const fresh = entries.filter((e) => e.id !== refuse && !onServer.some((o) => o.id === e.id));
  onServer.push(...fresh);
  return {
    log: has === had ? fresh : onServer,
    total: onServer.length,
    now: Date.now(),
    epoch,
    refused: entries.filter((e) => e.id === refuse).map(({ id }) => ({ id, why: 'No such child.', ...childErased })),
  };
};

beforeEach(() => {
  vi.useFakeTimers();
  box.clear();
  onServer.length = 0;
  requests.length = 0;
  [away, refuse, unreadable, gone, most] = [false, null, null, false, Infinity];
  [childErased, sessionErased] = [{}, false];
  [pending, news, seen, aside] = [[], [], [], []];
  store.waiting.mockImplementation(() => Promise.resolve([...box.values()].sort((a, b) => (a.id < b.id ? -1 : 1))));
  epoch = '';
  copies.clear();
  store.copy.mockResolvedValue();
  store.sendAgain.mockImplementation(() => {
    for (const [id, one] of copies) box.set(id, one);
    return Promise.resolve();
  });
  store.setAside.mockImplementation((_, { id }, why) => {
    aside.push({ id, why });
    box.delete(id);
    return Promise.resolve();
  });
  store.letGo.mockImplementation((id) => {
    box.delete(id);
    return Promise.resolve();
  });
  store.release.mockImplementation((ids) => {
    for (const id of ids) box.delete(id);
    return Promise.resolve();
  });
  sync = startSync({
    sessionId: 's',
    box: store,
    send,
    delivered: ({ log }) => {
      seen = [...seen, ...log];
      pending.push(box.size);
    },
    news: (text) => news.push(text),
  });
});
afterEach(() => {
  sync.stop();
  vi.useRealTimers();
});

const tap = (n: number): Promise<boolean> => {
  box.set(entry(n).id, entry(n));
  return sync.flush(entry(n));
};

test('what waited from before a reload goes first, in order, and leaves once the server has it', async () => {
  for (const n of [2, 1, 3]) box.set(entry(n).id, entry(n));
  expect(await sync.flush()).toBe(true);
  expect(requests).toEqual([['0001', '0002', '0003']]);
  expect(box.size).toBe(0);
  expect(pending.at(-1)).toBe(0);
});

test('an entry just kept is sent without asking the device first', async () => {
  await sync.flush();
  store.waiting.mockClear();
  const sent = tap(1);
  expect(requests.at(-1)).toEqual(['0001']);
  expect(store.waiting).not.toHaveBeenCalled();
  await sent;
  expect(box.size).toBe(0);
});

test('taps while a request is under way go with the next, once each and in order', async () => {
  const all = [1, 2, 3, 4].map(tap);
  expect(await Promise.all(all)).toEqual([true, true, true, true]);
  expect(onServer.map((e) => e.id)).toEqual(['0001', '0002', '0003', '0004']);
  expect(new Set(requests.flat()).size).toBe(requests.flat().length);
  expect(box.size).toBe(0);
});

test('with the server away nothing leaves the device, and all goes when it answers again', async () => {
  await sync.flush();
  away = true;
  expect(await tap(1)).toBe(false);
  expect(await tap(2)).toBe(false);
  expect([...box.keys()]).toEqual(['0001', '0002']);
  away = false;
  await vi.advanceTimersByTimeAsync(6_000);
  expect(onServer.map((e) => e.id)).toEqual(['0001', '0002']);
  expect(box.size).toBe(0);
  expect(pending.at(-1)).toBe(0);
});

test('what another tab of the device left behind is found and sent', async () => {
  await sync.flush();
  box.set(entry(5).id, entry(5));
  await tap(6);
  expect(box.size).toBe(1);
  await sync.flush();
  expect(onServer.map((e) => e.id).sort()).toEqual(['0005', '0006']);
  expect(box.size).toBe(0);
});

test('an entry the server cannot keep is told, leaves the device, and holds nothing up', async () => {
  refuse = '0001';
  await tap(1);
  await tap(2);
  expect(news).toEqual(['No such child.']);
  expect(aside).toEqual([{ id: '0001', why: 'No such child.' }]);
  expect(onServer.map((e) => e.id)).toEqual(['0002']);
  expect(box.size).toBe(0);
});

test('a mark of a child who was erased leaves the device and is set aside nowhere, with its note', async () => {
  refuse = '0001';
  childErased = { erased: true };
  await tap(1);
  await tap(2);
  expect([aside, box.size]).toEqual([[], 0]);
  expect(onServer.map((e) => e.id)).toEqual(['0002']);
  [gone, sessionErased] = [true, true];
  await tap(3);
  expect([aside, box.size]).toEqual([[], 0]);
});

test('a time that the server has put right is copied, though the mark is its own', async () => {
  box.set(entry(1).id, entry(1));
  onServer.push({ ...entry(1), at: 7 });
  await sync.flush();
  expect(store.copy.mock.calls.flatMap(([, entries]) => entries.map((e) => e.at))).toContain(7);
});

test('marks of another device are handed on and copied, its own are not copied again', async () => {
  await tap(1);
  onServer.push(entry(9));
  store.copy.mockClear();
  await tap(10);
  expect(seen.map((e) => e.id)).toContain('0009');
  const copied = store.copy.mock.calls.flatMap(([, entries]) => entries.map((e) => e.id));
  expect(copied).toContain('0009');
  expect(copied).not.toContain('0010');
});

test('what the server cannot read is set aside and told, and all the rest goes', async () => {
  for (let n = 1; n <= 9; n += 1) box.set(entry(n).id, entry(n));
  unreadable = '0004';
  expect(await sync.flush()).toBe(true);
  expect(onServer.map((e) => e.id)).toEqual([1, 2, 3, 5, 6, 7, 8, 9].map((n) => entry(n).id));
  expect(aside).toEqual([{ id: '0004', why: 'It does not fit.' }]);
  expect(news).toEqual(['It does not fit.']);
  expect(box.size).toBe(0);
});

test('more than the server takes at once goes in pieces, in order, once each', async () => {
  most = 500;
  for (let n = 1; n <= 1_234; n += 1) box.set(entry(n).id, entry(n));
  expect(await sync.flush()).toBe(true);
  expect(onServer.map((e) => e.id)).toEqual(Array.from({ length: 1_234 }, (_, i) => entry(i + 1).id));
  expect(box.size).toBe(0);
});

test('a session that is gone is not asked again and again', async () => {
  gone = true;
  box.set(entry(1).id, entry(1));
  await sync.flush();
  expect(aside).toMatchObject([{ id: '0001' }]);
  const before = requests.length;
  for (let i = 0; i < 20; i += 1) {
    sync.look();
    await vi.advanceTimersByTimeAsync(2_500);
  }
  expect(requests.length).toBe(before);
});

test('a look now and then does not hurry the tries at a server that is away', async () => {
  await sync.flush();
  away = true;
  await sync.flush();
  requests.length = 0;
  for (let i = 0; i < 40; i += 1) {
    sync.look();
    await vi.advanceTimersByTimeAsync(500);
  }
  // In 20 seconds: after 0.5, 1.5 and 3.5 seconds, then every five.
  expect(requests.length).toBeLessThanOrEqual(7);
  expect(requests.length).toBeGreaterThanOrEqual(5);
});

test('a server that says why not now is told, and tried again', async () => {
  await sync.flush();
  const refusing = startSync({
    sessionId: 's',
    box: store,
    send: () => Promise.reject(new Told('The disk is full.')),
    delivered: () => undefined,
    news: (text) => news.push(text),
  });
  box.set(entry(3).id, entry(3));
  expect(await refusing.flush()).toBe(false);
  expect(news).toEqual(['The disk is full.']);
  expect([...box.keys()]).toEqual(['0003']);
  refusing.stop();
});

test('after a backup was put back all that this device has is sent once more, and it is said', async () => {
  for (const n of [1, 2, 3]) {
    copies.set(entry(n).id, entry(n));
    await tap(n);
  }
  onServer.splice(1);
  epoch = 'another';
  expect(await sync.flush()).toBe(true);
  expect(onServer.map((e) => e.id)).toEqual(['0001', '0002', '0003']);
  expect(box.size).toBe(0);
  expect(news).toEqual([expect.stringContaining('put back from a backup')]);
  const sent = requests.length;
  await sync.flush();
  expect(requests.length).toBe(sent + 1);
});
