import { addDays, startOfDay } from 'date-fns';
import { caughtUp, onRead } from '../record/rebuild-queue';
import { rows } from '../storage/rows';
import { keepAdvice } from './advised';

/**
 * What is advised is worked out when answers arrive, at the start, and when a day begins, so that no page waits for it.
 */

/** After the last answer that was read, so long; and after midnight. */
const REST_MS = 2_000;

const ifItFails = (error: unknown): void =>
  console.error('Advice could not be kept:', error instanceof Error ? error.message : error);

/** Works out what is missing for every child who is on a list. */
async function keepAll(): Promise<void> {
  await caughtUp();
  const children = await rows<{ id: string }>('SELECT id FROM children WHERE archived_at IS NULL ORDER BY id', {});
  await keepAdvice(children.map((c) => c.id));
}

const waiting = new Set<string>();
let timer: NodeJS.Timeout | undefined;

/** Children of whom something new was read: their advice is worked out when the reading rests. */
function keepSoon(children: Iterable<string>): void {
  for (const id of children) waiting.add(id);
  clearTimeout(timer);
  timer = setTimeout(() => {
    const ids = [...waiting];
    waiting.clear();
    keepAdvice(ids).catch(ifItFails);
  }, REST_MS);
  timer.unref();
}

function everyDay(): void {
  const next = startOfDay(addDays(Date.now(), 1)).getTime() + REST_MS;
  setTimeout(() => {
    keepAll().catch(ifItFails);
    everyDay();
  }, next - Date.now()).unref();
}

/** Begins with it, once for a server. */
export function beginKeeping(): void {
  onRead(keepSoon);
  everyDay();
  keepAll().catch(ifItFails);
}
