import { spawnSync } from 'node:child_process';
import { appendFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Browser, BrowserContext, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { getPackage } from '../scripts/lib/debian.mjs';
import { newKeys } from '../src/file/keys';
import { withPlain } from '../src/file/plain';
import { copiesIn } from '../src/file/folder';
import { seeded, type Random } from '../src/core/random';
import { sure } from '../src/core/sure';
import {
  addNames,
  awake,
  beginPlay,
  closePages,
  logOf,
  openApp,
  openBrowser,
  openPage,
  saved,
  type App,
} from './support/app';

/**
 * Whatever happens between two devices and the server, every mark that a device showed as kept is in the server's file,
 * once. A round has four faults drawn by its seed; a failing seed does the same again (SOAK_SEED=7 npm run soak).
 */
const ROUNDS = Number(process.env.SOAK_ROUNDS ?? 3);
const FIRST = Number(process.env.SOAK_SEED ?? 1);
/** Seeds that went well, so that a long soak can be taken up again. */
const DONE = process.env.SOAK_DONE ?? '';

let app: App;
let browser: Browser;
const keys = newKeys();
beforeAll(async () => {
  if (!fakeTime()) getPackage('faketime');
  browser = await openBrowser();
});
afterAll(() => closePages(browser));

/** A disk so small that a test can fill it: in memory, for the one round. Only where this user may make one. */
const DISK_MB = 48;
function smallDisk(): { readonly folder: string; leave(): void } {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-soak-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m`, 'tmpfs', folder]).status === 0;
  return {
    folder,
    leave: () => {
      if (mounted) spawnSync('umount', ['-l', folder]);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

const isSmall = (): boolean =>
  spawnSync('findmnt', ['-n', '-o', 'FSTYPE', '--target', path.dirname(app.file)], {
    encoding: 'utf8',
  }).stdout.trim() === 'tmpfs';

/** Everything that is left of the small disk is taken. */
function fillDisk(filler: string): void {
  try {
    writeFileSync(filler, Buffer.alloc(DISK_MB * 1024 * 1024));
  } catch (error) {
    expect(String(error)).toMatch(/ENOSPC/);
    return;
  }
  throw new Error('The disk did not become full.');
}

/** A device: its storage outlives its tab. */
interface Device {
  readonly context: BrowserContext;
  page: Page;
}

/** Every answer this device made or heard of, by its store. */
const marksOn = (page: Page): Promise<string[]> =>
  page.evaluate(
    () =>
      new Promise<string[]>((resolve, reject) => {
        const opening = indexedDB.open('bouncy-echo');
        opening.onerror = () => reject(new Error('no store'));
        opening.onsuccess = () => {
          const all = opening.result.transaction('kept').objectStore('kept').getAll();
          all.onsuccess = () => {
            const rows = all.result as { id: string; entry: { kind: string } }[];
            opening.result.close();
            resolve(rows.filter((row) => row.entry.kind === 'answer').map((row) => row.id));
          };
        };
      }),
  );

/** One mark: pressed until it is known to be on the device's disk. What is pressed while a page wakes is lost. */
async function mark(page: Page, random: Random): Promise<void> {
  const before = (await marksOn(page)).length;
  const key = String(1 + Math.floor(random() * 4));
  await expect
    .poll(
      async () => {
        await awake(page);
        const more = page.getByRole('button', { name: 'One more turn each' });
        if (await more.count()) await more.click();
        else await page.keyboard.press(key);
        return (await marksOn(page)).length;
      },
      { interval: 700 },
    )
    .toBeGreaterThan(before);
}

/** A faulty clock for the server that is started next; libfaketime is a package of Debian’s. */
const fakeTime = (): string | undefined =>
  ['/usr/lib/x86_64-linux-gnu', '/usr/lib/aarch64-linux-gnu']
    .map((lib) => `${lib}/faketime/libfaketime.so.1`)
    .find((file) => existsSync(file));

async function startedAt(offset: string): Promise<void> {
  Object.assign(process.env, { LD_PRELOAD: sure(fakeTime()), FAKETIME: offset });
  try {
    await app.start();
  } finally {
    delete process.env.LD_PRELOAD;
    delete process.env.FAKETIME;
  }
}

const folder = (): string => path.join(path.dirname(app.file), 'stick');

function backUp(): void {
  const env = { ...process.env, BOUNCY_ECHO_DB: app.file };
  const done = spawnSync(process.execPath, ['scripts/backup.mjs'], { env, encoding: 'utf8' });
  expect(done.stdout + done.stderr).toMatch(/checked/);
}

/** The newest backup is put back through its screen. */
async function putBack(page: Page): Promise<void> {
  await page.goto(`${app.url}/settings/our-data`);
  await page
    .getByRole('button', { name: /^Put back …/ })
    .first()
    .click();
  await page.getByLabel('Its key').fill((await keys).words);
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByRole('button', { name: 'Put this backup back' }).click();
  await page.getByText('a backup was put back').first().waitFor();
}

interface Round {
  readonly devices: readonly Device[];
  readonly desk: Page;
  readonly random: Random;
  readonly session: string;
}

/** What goes wrong; each leaves things as a person would find them. */
const FAULTS: Readonly<Record<string, (round: Round, device: Device) => Promise<void>>> = {
  'server killed': async ({ random }, { page }) => {
    await app.kill();
    await mark(page, random);
    await app.start();
  },
  'link down': async ({ random }, { page, context }) => {
    await context.setOffline(true);
    await mark(page, random);
    await context.setOffline(false);
  },
  'page reloaded': async (_, { page }) => {
    await page.reload();
    await awake(page);
  },
  'tab closed': async ({ session }, device) => {
    await device.page.close();
    device.page = await device.context.newPage();
    await device.page.goto(`${app.url}/play/${session}`);
    await awake(device.page);
  },
  'device’s clock off': async ({ random }, { page }) => {
    await page.clock.setSystemTime(Date.now() + (random() < 0.5 ? -1 : 1) * 500 * 86_400_000);
    await mark(page, random);
    await page.clock.setSystemTime(Date.now());
  },
  'server’s clock off': async ({ random }, { page }) => {
    await app.kill();
    await startedAt(random() < 0.5 ? '-400d' : '+400d');
    await mark(page, random);
    await app.kill();
    await app.start();
  },
  'disk full': async ({ random }, { page }) => {
    if (!isSmall()) {
      console.log('no disk of our own can be made here: the full disk is left out');
      return;
    }
    const filler = path.join(path.dirname(app.file), 'filler');
    fillDisk(filler);
    try {
      await mark(page, random);
      await page
        .getByText(/^The computer’s disk is full/)
        .first()
        .waitFor();
    } finally {
      rmSync(filler);
    }
  },
  'backed up': () => Promise.resolve(backUp()),
  'put back': async ({ desk, random, devices }) => {
    backUp();
    for (const { page } of devices) await mark(page, random);
    await putBack(desk);
  },
};

/** The second device stands beside the first: whatever its adult hears, it changes nothing. */
async function listenAlong(page: Page): Promise<void> {
  await awake(page);
  await page.keyboard.press('d');
  await page.getByLabel(/^Who is marking/).fill('Jo');
  await page.getByRole('switch', { name: 'I’m a second pair of ears, listening along' }).click();
  await page.keyboard.press('Escape');
  await page.getByText('Jo is listening along').waitFor();
}

async function round(seed: number, disk: string): Promise<void> {
  const random = seeded(seed);
  app = await openApp({ file: path.join(disk, 'soak.sqlite') });
  const { page: desk } = await openPage(browser);
  await addNames(desk, app.url, ['Wren', 'Idris', 'Ottilie', 'Kofi']);
  mkdirSync(folder());
  const { recipient } = await keys;
  await withPlain(app.file, 'write', (db) =>
    db.exec(
      `PRAGMA busy_timeout=5000; INSERT INTO backups (id, recipient, folder) VALUES (1, '${recipient}', '${folder()}')`,
    ),
  );
  const { page: first } = await openPage(browser);
  const session = await beginPlay(first, app.url, 'sounds=3&task=blending');
  const { page: second } = await openPage(browser);
  await second.goto(`${app.url}/play/${session}`);
  const along = random() < 0.5;
  if (along) await listenAlong(second);
  const devices: Device[] = [first, second].map((page) => ({ page, context: page.context() }));
  for (const { page } of devices) await mark(page, random);

  const happened: string[] = [];
  for (let i = 0; i < 4; i += 1) {
    const name = sure(Object.keys(FAULTS)[Math.floor(random() * Object.keys(FAULTS).length)]);
    happened.push(name);
    if (process.env.SOAK_TELL) console.log(`seed ${seed}: ${name}`);
    const device = sure(devices[Math.floor(random() * devices.length)]);
    await FAULTS[name]?.({ devices, desk, random, session }, device);
    for (const { page } of devices) await mark(page, random);
  }
  for (const { page } of devices) await saved(page);
  const made = new Set((await Promise.all(devices.map(({ page }) => marksOn(page)))).flat());
  await expect
    .poll(async () => {
      const kept = (await logOf(app, session)).filter((e) => e.kind === 'answer').map((e) => e.id);
      const lost = [...made].filter((id) => !kept.includes(id)).length;
      return { lost, doubled: kept.length - new Set(kept).size };
    })
    .toEqual({ lost: 0, doubled: 0 });
  const ears = along ? 'a second pair of ears' : 'two who mark';
  console.log(`seed ${seed}: ${ears}: ${happened.join(', ')}; ${made.size} marks, ${copiesIn(folder()).length} copies`);
  for (const page of [desk, ...devices.map((d) => d.page)]) await page.context().close();
  await app.stop();
}

test(`${ROUNDS} rounds of four faults each: nothing is lost, nothing doubled`, async () => {
  const done = new Set(DONE && existsSync(DONE) ? readFileSync(DONE, 'utf8').split('\n').map(Number) : []);
  for (let seed = FIRST; seed < FIRST + ROUNDS; seed += 1) {
    if (done.has(seed)) continue;
    const disk = smallDisk();
    try {
      await round(seed, disk.folder);
    } finally {
      disk.leave();
    }
    if (DONE) appendFileSync(DONE, `${seed}\n`);
  }
}, 36_000_000);
