import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Entry } from '@/core/sessions/log';
import * as outbox from './outbox';
import { startSync, type Sync } from './sync';

// The device's store as a map, and a server that can be away, slow, or refuse.
vi.mock('./outbox', () => ({ waiting: vi.fn(), copy: vi.fn(), release: vi.fn(), drop: vi.fn() }));

const entry = (n: number): Entry => ({ kind: 'more', id: String(n).padStart(4, '0'), at: n, turns: n });
const box = new Map<string, Entry>();
const onServer: Entry[] = [];
const requests: string[][] = [];
let away = false;
let refuse: string | null = null;
let pending: number[] = [];
let news: string[] = [];
let seen: Entry[] = [];
let sync: Sync;

beforeEach(() => {
  vi.useFakeTimers();
  box.clear();
  onServer.length = 0;
  requests.length = 0;
  [away, refuse, pending, news, seen] = [false, null, [], [], []];
  vi.mocked(outbox.waiting).mockImplementation(() =>
    Promise.resolve([...box.values()].sort((a, b) => (a.id < b.id ? -1 : 1))),
  );
  vi.mocked(outbox.copy).mockResolvedValue();
  vi.mocked(outbox.drop).mockResolvedValue();
  vi.mocked(outbox.release).mockImplementation((ids) => {
    for (const id of ids) box.delete(id);
    return Promise.resolve();
  });
  vi.stubGlobal('fetch', async (_: string, { body }: { body: string }) => {
    const { entries, has } = JSON.parse(body) as { entries: Entry[]; has?: number };
    requests.push(entries.map((e) => e.id));
    await Promise.resolve();
    if (away) throw new TypeError('no network');
    const had = onServer.length;
    const fresh = entries.filter((e) => e.id !== refuse && !onServer.some((o) => o.id === e.id));
    onServer.push(...fresh);
    return Response.json({
      log: has === had ? fresh : onServer,
      total: onServer.length,
      now: Date.now(),
      refused: entries.filter((e) => e.id === refuse).map(({ id }) => ({ id, why: 'No such child.' })),
    });
  });
  sync = startSync('s', {
    kept: (log) => {
      seen = [...seen, ...log];
    },
    pending: (n) => pending.push(n),
    news: (text) => news.push(text),
  });
});
afterEach(() => {
  sync.stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
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
  vi.mocked(outbox.waiting).mockClear();
  const sent = tap(1);
  expect(requests.at(-1)).toEqual(['0001']);
  expect(outbox.waiting).not.toHaveBeenCalled();
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
  expect(pending.at(-1)).toBe(1);
  await sync.flush();
  expect(onServer.map((e) => e.id).sort()).toEqual(['0005', '0006']);
  expect(box.size).toBe(0);
});

test('an entry the server cannot keep is told, leaves the device, and holds nothing up', async () => {
  refuse = '0001';
  await tap(1);
  await tap(2);
  expect(news).toEqual(['No such child.']);
  expect(outbox.drop).toHaveBeenCalledWith(['0001']);
  expect(onServer.map((e) => e.id)).toEqual(['0002']);
  expect(box.size).toBe(0);
});

test('marks of another device are handed on and copied, its own are not copied again', async () => {
  await tap(1);
  onServer.push(entry(9));
  vi.mocked(outbox.copy).mockClear();
  await tap(10);
  expect(seen.map((e) => e.id)).toContain('0009');
  const copied = vi.mocked(outbox.copy).mock.calls.flatMap(([, entries]) => entries.map((e) => e.id));
  expect(copied).toContain('0009');
  expect(copied).not.toContain('0010');
});
