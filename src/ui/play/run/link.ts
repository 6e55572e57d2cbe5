import { v7 } from 'uuid';
import { sortKey, type Entry } from '@/core/sessions/log';
import { makeStamps } from '@/core/sessions/stamps';
import type { NewEntry } from './acts';
import * as outbox from './outbox';
import { Refused, sendVia, type Send } from './send';
import { startSync } from './sync';

/** Where an entry was kept; or that it was not, which its news has said. */
export type KeptAs = { readonly entry: Entry; readonly at: 'device' | 'server' } | null;

/** What a run hears from outside: its own device, the server, other tabs. */
export interface LinkEvents {
  /** Entries that belong to the log, and those of them the server is known to have. */
  readonly heard: (entries: readonly Entry[], there: readonly string[]) => void;
  /** Entries the server will never keep. */
  readonly refused: (ids: ReadonlySet<string>) => void;
  /** A sentence for people. */
  readonly news: (sentence: string) => void;
}

/** The one way out of a run: keeps what is tapped, and brings what others tapped. */
export interface RunLink {
  /** Keeps an entry on the device, or at the server where the device cannot. */
  keep(entry: NewEntry): Promise<KeptAs>;
  /** An entry was seen: what is made from now on comes after it. */
  seen(entry: Entry): void;
  /** Tells other tabs what was kept here. */
  tell(entry: Entry): void;
  /** Sends what waits; `true` when the server has it all. */
  flush(): Promise<boolean>;
  close(): void;
}

const WORDS = {
  otherTab: 'This session is open in another tab too. We keep the marks from both; for each turn the later one counts.',
  noStore: 'This browser won’t let us save on the device (is it a private window?). Answers go straight to the server.',
  noRoom: 'This device has no room left, so answers go straight to the server. They’re safe while we can reach it.',
  notKept: 'That tap wasn’t saved: this device has no room and we can’t reach the server. Please note it on paper.',
} as const;

/** How often another device's marks are asked for, while the screen is seen. */
const LOOK_MS = 2_500;
const CLOCK = 'bouncy-echo-clock';
/** How long the first tap of a page waits for the server's time. */
const CLOCK_PATIENCE_MS = 1_000;

interface TabMessage {
  readonly hello?: boolean;
  readonly here?: boolean;
  readonly entry?: Entry;
  /** Ids the server would not keep. */
  readonly refused?: readonly string[];
}

/** How far the device's clock was off when it last heard the server, in milliseconds. */
function knownOffset(): number {
  try {
    return Number(localStorage.getItem(CLOCK) ?? 0) || 0;
  } catch {
    return 0;
  }
}

function rememberOffset(ms: number): void {
  try {
    localStorage.setItem(CLOCK, String(ms));
  } catch {
    // Asked again the next time.
  }
}

/** The other tabs of this device that have the session open. */
function openTabs(sessionId: string, { heard, refused, news }: LinkEvents) {
  const tabs = new BroadcastChannel(`bouncy-echo-${sessionId}`);
  tabs.onmessage = ({ data }: MessageEvent<TabMessage>) => {
    if (data.hello) tabs.postMessage({ here: true } satisfies TabMessage);
    if (data.hello || data.here) news(WORDS.otherTab);
    if (data.entry) heard([data.entry], []);
    if (data.refused) refused(new Set(data.refused));
  };
  tabs.postMessage({ hello: true } satisfies TabMessage);
  return tabs;
}

/** Looks for others' marks now and then, and at once when the device is back or looked at again. */
function keepLooking(flush: () => void, look: () => void): () => void {
  window.addEventListener('online', flush);
  window.addEventListener('focus', flush);
  const timer = setInterval(() => {
    if (document.visibilityState === 'visible' && navigator.onLine) look();
  }, LOOK_MS);
  return () => {
    clearInterval(timer);
    window.removeEventListener('online', flush);
    window.removeEventListener('focus', flush);
  };
}

/** Where the device keeps nothing, an entry is marked only once the server has it. */
async function straightToServer(
  sessionId: string,
  entry: Entry,
  send: Send,
  news: LinkEvents['news'],
): Promise<KeptAs> {
  try {
    const reply = await send(sessionId, [entry]);
    const no = reply.refused.find((r) => r.id === entry.id);
    news(no ? no.why : WORDS.noRoom);
    return no ? null : { entry, at: 'server' };
  } catch (error) {
    news(error instanceof Refused ? error.message : WORDS.notKept);
    return null;
  }
}

/** Opens the way from a run in this browser to its device, its server and its other tabs. */
export function openLink(sessionId: string, events: LinkEvents): RunLink {
  const { heard, refused, news } = events;
  const stamps = makeStamps(knownOffset(), (msecs, seq) => v7({ msecs, seq }));
  const send = sendVia((serverNow, sentAt, gotAt) => {
    stamps.serverSaid(serverNow, sentAt, gotAt);
    rememberOffset(stamps.offset());
  });
  const tabs = openTabs(sessionId, events);
  const sync = startSync({
    sessionId,
    box: outbox.box,
    send,
    news,
    delivered: (what) => {
      if (what.refused.size) {
        refused(what.refused);
        tabs.postMessage({ refused: [...what.refused] } satisfies TabMessage);
      }
      heard(what.log, [...what.sent, ...what.log.map((e) => e.id)]);
    },
  });
  // The page may be a snapshot: what was marked since is on this device.
  const read = Promise.all([outbox.waiting(sessionId), outbox.keptLog(sessionId)]).then(
    ([waiting, copy]) => {
      const still = new Set(waiting.map((e) => e.id));
      heard(
        [...copy, ...waiting],
        copy.flatMap((e) => (still.has(e.id) ? [] : [e.id])),
      );
    },
    () => news(WORDS.noStore),
  );
  const ready = Promise.race([
    read.then(() => sync.flush()),
    new Promise((resolve) => {
      setTimeout(resolve, CLOCK_PATIENCE_MS);
    }),
  ]);
  const rest = keepLooking(
    () => void sync.flush(),
    () => sync.look(),
  );

  return {
    keep: async (made) => {
      // Nothing is stamped by a clock that may be an hour out while the server is about to say the time.
      await ready;
      const entry = { ...made, ...stamps.make(Date.now()) } as Entry;
      try {
        await outbox.keep(sessionId, entry);
      } catch {
        return straightToServer(sessionId, entry, send, news);
      }
      // On its way to the server while the next turn is drawn.
      void sync.flush(entry);
      return { entry, at: 'device' };
    },
    seen: (entry) => stamps.seen(sortKey(entry), Date.now()),
    // Other tabs hear of it once this one has drawn.
    tell: (entry) => void setTimeout(() => tabs.postMessage({ entry } satisfies TabMessage)),
    flush: () => sync.flush(),
    close: () => {
      sync.stop();
      tabs.close();
      rest();
    },
  };
}
