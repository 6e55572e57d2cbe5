import { readFileSync } from 'node:fs';
import { QueryTypes, Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import type { Browser, Page } from 'playwright-core';
import { describe, expect, test } from 'vitest';
import { moveByKeys, nextFinger, openPage, shown, type App, finishNow, pick } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

interface Row {
  readonly word: string;
  readonly task: string;
  readonly step: string;
  readonly outcome: string;
  readonly said: string | null;
  readonly turn: number;
  readonly child_id: string | null;
}

/** The answers of a session as they lie in the file. */
async function inTheFile(session: string): Promise<Row[]> {
  const db = new Sequelize({ dialect: 'sqlite', storage: app.file, logging: false, dialectModule: sqlite3 });
  try {
    return await db.query<Row>(
      'SELECT word, task, step, outcome, said, turn, child_id FROM answers WHERE session_id = ? ORDER BY id',
      { replacements: [session], type: QueryTypes.SELECT },
    );
  } finally {
    await db.close();
  }
}
const recorded = (session: string, n: number): Promise<Row[]> =>
  expect
    .poll(() => inTheFile(session).then((r) => r.length), { timeout: 90_000 })
    .toBe(n)
    .then(() => inTheFile(session));

/** Plans one round of a task with real clicks, and begins to play it. */
async function play(page: Page, task: string, step?: string): Promise<string> {
  await page.goto(`${app.url}/plan`);
  await pick(page, 'What kind of session?', 'quick-five');
  await pick(page, 'Game', task);
  if (step) await pick(page, 'Step', step);
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.waitForURL(/\/plan\/./);
  await page.getByRole('button', { name: 'Play now' }).click();
  await page.waitForURL(/\/play\//);
  const done = page.getByRole('button', { name: /^Done –/ });
  await done.click();
  // What is tapped before the model is kept belongs to the model.
  await done.waitFor({ state: 'detached' });
  return sure(page.url().split('/').at(-1));
}

/** For each family: what a person sees, taps, and what the file then holds. */
const FAMILIES: readonly {
  task: string;
  step?: string;
  sees: (page: Page) => Promise<void>;
  said: (row: Row) => void;
}[] = [
  {
    task: 'count-words',
    sees: async (p) => expect(await p.locator('main ol li').count()).toBe(3),
    said: (r) => expect(r.said).toBe('3'),
  },
  {
    task: 'clap',
    sees: async (p) => expect(await p.locator('main ol li').count()).toBeGreaterThan(0),
    said: (r) => expect(['1', '2']).toContain(r.said),
  },
  {
    task: 'rhyme-pairs',
    sees: async (p) => expect(await p.locator('main ul li').count()).toBe(2),
    said: (r) => {
      expect(r.word.split(' ')).toHaveLength(2);
      expect(['yes', 'no']).toContain(r.said);
    },
  },
  {
    task: 'rhyme-odd',
    step: '4-far',
    sees: async (p) => {
      expect(await p.locator('main ul li').count()).toBe(4);
      await p.getByText('the odd one', { exact: true }).waitFor();
    },
    said: (r) => expect(r.word.split(' ')).toContain(r.said),
  },
  {
    task: 'first-sound',
    sees: async (p) => {
      await p.getByRole('img', { name: /asked for/ }).waitFor();
    },
    said: (r) => expect(sure(r.said).split(' ')).toHaveLength(1),
  },
  {
    task: 'where',
    step: 'all',
    sees: async (p) => {
      await p.getByRole('img', { name: /asked for/ }).waitFor();
    },
    said: (r) => expect(['start', 'middle', 'end']).toContain(r.said),
  },
  {
    task: 'blending',
    step: '4-start',
    sees: async (p) => {
      await p.getByRole('img', { name: /^[34] sounds/ }).waitFor();
    },
    said: (r) => expect(r.outcome).toBe('not-yet'),
  },
  {
    task: 'segmenting',
    step: '3-clip',
    sees: async (p) => {
      await p.getByRole('group', { name: 'Tap a sound that was missed' }).waitFor();
    },
    said: (r) => expect(r.outcome).toBe('not-yet'),
  },
  {
    task: 'leave-out',
    sees: async (p) => {
      await p.getByRole('img', { name: /leaves/ }).waitFor();
    },
    said: (r) => expect(r.word).toMatch(/ @0$/),
  },
  {
    task: 'add',
    sees: async (p) => {
      await p.getByRole('img', { name: /drops in/ }).waitFor();
    },
    said: (r) => expect(r.word.split(' ')).toHaveLength(2),
  },
  {
    task: 'swap',
    step: 'middle',
    sees: async (p) => {
      await p.getByRole('img', { name: /leaves/ }).waitFor();
      await p.getByRole('img', { name: /drops in/ }).waitFor();
    },
    said: (r) => expect(r.outcome).toBe('on-own'),
  },
  {
    task: 'recall',
    step: '6',
    sees: async (p) => expect(await p.locator('main ol li').count()).toBe(1),
    said: (r) => expect(r.word.split(' ')).toHaveLength(1),
  },
  {
    task: 'catch',
    sees: async (p) => expect(await p.locator('main strong').count()).toBeGreaterThan(1),
    said: (r) => expect(r.word).toMatch(/\/.\/|\/..\//),
  },
];

describe('every family, one item to its record in the file', () => {
  test.each(FAMILIES.map((f) => [f.task, f] as const))('%s', async (task, { step, sees, said }) => {
    const { page, trouble } = await openPage(browser);
    const session = await play(page, task, step);
    await page.getByRole('button', { name: /^On own/ }).waitFor();
    await sees(page);
    expect(await violations(page)).toEqual([]);
    // The first likely answer where there is one, else On own: one tap either way.
    await page.keyboard.press((await page.locator('footer kbd', { hasText: 'Z' }).count()) ? 'z' : '1');
    const [row] = await recorded(session, 1);
    expect(row).toMatchObject({ task });
    said(sure(row));
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('a story: sentence by sentence, a tap on each catch, kept with the answer', async () => {
    const { page, trouble } = await openPage(browser);
    const session = await play(page, 'story', 'starts');
    await page.getByText('Sentence 1 of').waitFor();
    const first = await page.locator('main p button[aria-pressed]').allTextContents();
    for (const [i] of first.entries()) await page.locator('main p button[aria-pressed]').nth(i).click();
    await page.getByText(`${first.length} of `, { exact: false }).first().waitFor();
    await page.getByRole('button', { name: 'Next sentence' }).click();
    await page.getByText('Sentence 2 of').waitFor();
    expect(await violations(page)).toEqual([]);
    // What was caught is still there after a reload, and goes with the mark.
    await page.reload();
    await page.getByText('Sentence 2 of').waitFor();
    await page.getByRole('button', { name: 'Back', exact: true }).click();
    if (first.length) await page.locator('main p button[aria-pressed="true"]').first().waitFor();
    await page.keyboard.press('1');
    const [row] = await recorded(session, 1);
    expect(row).toMatchObject({ task: 'story', step: 'starts', outcome: 'on-own', child_id: null });
    expect((sure(row).said ?? '').split(', ').filter(Boolean)).toHaveLength(first.length);
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('word hunt: the clock, ticks and their taking back, a word that is not listed, the harvest', async () => {
    const { page, trouble } = await openPage(browser);
    const session = await play(page, 'hunt', '5-6');
    const words = page.getByRole('list', { name: 'Words to tick' }).getByRole('button');
    await words.nth(1).waitFor();
    const names = (await words.allTextContents()).slice(0, 2);
    await page.getByRole('button', { name: 'Start the clock' }).click();
    await page.getByRole('button', { name: 'Stop the clock' }).waitFor();
    await words.nth(0).click();
    await words.nth(1).click();
    await page.getByText('2 of', { exact: false }).waitFor();
    await words.nth(1).click();
    await page.getByRole('button', { name: 'A word that isn’t listed' }).click();
    await page.getByLabel('Type a sound, or the word as they said it').fill('elephant');
    await page.getByRole('button', { name: 'It’s a real word' }).click();
    await page.getByText('It needs').waitFor();
    await page.keyboard.press('Escape');
    expect(await violations(page)).toEqual([]);
    await page.reload();
    await page.getByRole('button', { name: 'Finish: 1 word' }).click();
    expect(await recorded(session, 1)).toMatchObject([
      { task: 'hunt', outcome: 'on-own', said: names[0], child_id: null },
    ]);
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('an open rhyme typed in is judged by its sounds and marked in one more tap', async () => {
    const { page } = await openPage(browser);
    const session = await play(page, 'rhyme-say');
    await page.getByRole('button', { name: 'Something else' }).click();
    await page.getByLabel('Type a sound, or the word as they said it').fill('elephant');
    await page.getByRole('button', { name: 'It’s a real word' }).click();
    await page.getByRole('button', { name: 'Mark it: Not yet' }).click();
    expect((await recorded(session, 1))[0]).toMatchObject({ outcome: 'not-yet' });
    await page.context().close();
  });

  test('undo in the middle of a chain gives the same step to the same child, and the chain goes on', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/plan`);
    await page.getByLabel('Minutes').fill('20');
    await pick(page, 'Game', 'chain');
    await page.getByRole('button', { name: 'Plan it' }).click();
    await page.waitForURL(/\/plan\/./);
    while (
      (await page.getByRole('button', { name: 'Remove round 1' }).count()) &&
      !(await page.getByRole('heading', { name: /Round 1: Swapping/ }).count())
    )
      await page.getByRole('button', { name: 'Remove round 1' }).click();
    await page.getByRole('button', { name: 'Play now' }).click();
    await page.waitForURL(/\/play\//);
    const session = sure(page.url().split('/').at(-1));
    await page.getByRole('button', { name: /^Done –/ }).click();
    await page.getByRole('button', { name: /^On own/ }).waitFor();
    const turn = page.locator('nav[aria-label="Children"] [aria-current="true"]');
    for (const n of [1, 2, 3]) {
      await page.keyboard.press('1');
      await shown(page, n);
      await nextFinger(page);
    }
    const [, , third] = await recorded(session, 3);
    await page.keyboard.press('u');
    await shown(page, 2);
    const again = await turn.textContent();
    await nextFinger(page);
    await page.keyboard.press('3');
    await shown(page, 3);
    const rows = await recorded(session, 4);
    expect(rows[3]).toMatchObject({
      word: sure(third).word,
      turn: sure(third).turn,
      child_id: sure(third).child_id,
      outcome: 'not-yet',
    });
    expect(again).toBeTruthy();
    // Each step begins with the word the one before ended on.
    rows.slice(1, 3).forEach((row, i) => expect(row.word.split(' ')[0]).toBe(sure(rows[i]).word.split(' ')[1]));
    await page.context().close();
  });
});

/** One page for the wall, and the grid with every name. */
async function onPaper(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Print', exact: true }).click();
  await page.waitForURL(/print/);
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.startsWith('%PDF')).toBe(true);
  expect([...pdf.matchAll(/\/Type\s*\/Page\b/g)].length, 'one page for the wall').toBe(1);
  await page.getByRole('button', { name: 'Tick grid' }).click();
  await page.waitForURL(/print\/papers\/\d+$/);
  for (const name of ['Ottilie', 'Idris']) expect(await page.getByRole('rowheader', { name }).count()).toBe(4);
}

/** Plays the first round to its end and one item of the next; the file has them all. */
async function playTwoRounds(page: Page, session: string, total: number): Promise<void> {
  for (let n = 1; n <= total; n += 1) {
    await page.keyboard.press('1');
    if (n < total) await shown(page, n);
    await nextFinger(page);
  }
  await page.getByRole('button', { name: /^Next: Echo words/ }).click();
  await page.getByRole('button', { name: /^Done –/ }).click();
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  await page.keyboard.press('1');
  const rows = await recorded(session, total + 1);
  expect(rows.at(-1)).toMatchObject({ task: 'echo-words', turn: 1000, child_id: null });
  expect(new Set(rows.slice(0, total).map((r) => r.child_id)).size).toBe(5);
}

describe('a plan', () => {
  test('made from a wish, changed in place, printed, played through two rounds', async () => {
    const { page, trouble } = await openPage(browser);
    await page.goto(`${app.url}/plan`);
    await page.getByLabel('Minutes').fill('12');
    await pick(page, 'Game', 'sort');
    await pick(page, 'Sound', 's');
    await page.getByRole('button', { name: 'Plan it' }).click();
    await page.waitForURL(/\/plan\/./);
    const id = sure(page.url().split('/').at(-1));
    const rounds = page.locator('main ol > li:has(h2)');
    expect(await rounds.count()).toBe(4);
    // Name it, swap one word, keep another, make the rest anew.
    await page.getByLabel('Name of the plan').fill('Wednesday, /s/');
    const pills = rounds.nth(1).locator('ul li button');
    const [first, second] = [await pills.nth(0).textContent(), await pills.nth(1).textContent()];
    await pills.nth(0).click();
    await page.getByRole('dialog').getByText('Right:').waitFor();
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'Swap this word' }).click();
    await page.getByRole('dialog').waitFor({ state: 'detached' });
    expect(await pills.nth(0).textContent()).not.toBe(first);
    await pills.nth(1).click();
    await page.getByRole('button', { name: 'Lock' }).click();
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Other words in round 2' }).click();
    await expect.poll(() => rounds.nth(1).locator('ul').getByLabel('locked').count()).toBe(1);
    await expect.poll(() => rounds.nth(1).locator('ul').textContent()).toContain(sure(second));
    // By keyboard: the second round goes before the first.
    await moveByKeys(page, page.getByRole('button', { name: 'Move round 2', exact: true }), ['ArrowUp']);
    await page.getByRole('heading', { name: /Round 1: First sounds/ }).waitFor();
    await page.getByRole('button', { name: 'Read the script' }).first().click();
    await page.getByText('Gesture:').waitFor();
    // Frame off, then the time made too short: advice that helps.
    await page.getByRole('button', { name: 'Change round 1' }).click();
    await page.getByLabel('Open it with a story').uncheck();
    expect(await violations(page)).toEqual([]);
    await page.keyboard.press('Escape');
    await page.getByText('Does it start with /s/?').first().waitFor();
    await page.getByLabel('Minutes available').fill('2');
    await page.getByText('This is too long').waitFor();
    await page
      .getByRole('button', { name: /play it all together/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await page.getByText('Changes saved', { exact: true }).waitFor();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('button', { name: 'Saved', exact: true }).waitFor();
    await page.reload();
    expect(await page.getByLabel('Name of the plan').inputValue()).toBe('Wednesday, /s/');
    await page.getByRole('heading', { name: /Round 1: First sounds/ }).waitFor();

    await onPaper(page);
    await page.goto(`${app.url}/plan/${id}`);
    await page.getByRole('button', { name: 'Play now' }).click();
    await page.waitForURL(/\/play\//);
    const session = sure(page.url().split('/').at(-1));
    await page.getByRole('button', { name: /^Done –/ }).click();
    await page.getByRole('button', { name: /^On own/ }).waitFor();
    const total = Number(
      sure(/of (\d+)/.exec(sure(await page.getByRole('img', { name: /turns done$/ }).getAttribute('aria-label'))))[1],
    );
    await playTwoRounds(page, session, total);
    await finishNow(page);
    await page.getByRole('heading', { name: 'Wednesday, /s/' }).waitFor();
    expect(trouble).toEqual([]);
    await page.context().close();
  }, 600_000);

  test('what is changed while another change is on its way is kept, and so is the other', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/plan`);
    await pick(page, 'Game', 'sort');
    await page.getByRole('button', { name: 'Plan it' }).click();
    await page.waitForURL(/\/plan\/./);
    const words = page.locator('main ol > li:has(h2)').nth(1).locator('ul');
    const before = sure(await words.textContent());
    // The server takes its time over the other words.
    let answer = (): void => undefined;
    const held = new Promise<void>((resolve) => (answer = resolve));
    await page.route('**/plan/**', async (route) => {
      if (route.request().method() === 'POST') await held;
      await route.continue();
    });
    const asked = page.waitForRequest((request) => request.method() === 'POST');
    await page.getByRole('button', { name: 'Other words in round 2' }).click();
    await asked;
    await page.getByLabel('Name of the plan').fill('Friday in the shed');
    answer();
    await expect.poll(() => words.textContent()).not.toBe(before);
    await page.getByText('Changes saved', { exact: true }).waitFor();
    const after = await words.textContent();
    await page.reload();
    expect(await page.getByLabel('Name of the plan').inputValue()).toBe('Friday in the shed');
    expect(await words.textContent()).toBe(after);
    await page.context().close();
  });

  test('saved as a file, brought back; a broken file is told and changes nothing', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/plan`);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Save Peas that rhyme as a file' }).click(),
    ]);
    const text = readFileSync(await download.path(), 'utf8');
    const bring = (content: string): Promise<void> =>
      page
        .locator('input[type=file]')
        .setInputFiles({ name: 'plan.json', mimeType: 'application/json', buffer: Buffer.from(content) });
    for (const [broken, why] of [
      ['{"format":', 'can’t read this JSON'],
      ['{"format":"x"}', 'is not a plan'],
      ['', 'The file is empty'],
    ] as const) {
      await bring(broken);
      await page.getByRole('alert').filter({ hasText: why }).waitFor();
      await page.getByText('Nothing was imported').waitFor();
      expect(await page.getByRole('button', { name: 'Save this plan' }).count()).toBe(0);
    }
    const half = JSON.parse(text) as { plan: { title: string; rounds: { task: string }[] } };
    half.plan.title = 'Half a plan';
    sure(half.plan.rounds[0]).task = 'juggling';
    await bring(JSON.stringify(half));
    await page.getByText('left out: There is no game “juggling”.').waitFor();
    await page.getByRole('button', { name: 'Save this plan' }).click();
    await page.waitForURL(/\/plan\/./);
    expect(await page.getByLabel('Name of the plan').inputValue()).toBe('Half a plan');
    expect(await page.locator('main ol > li:has(h2)').count()).toBe(half.plan.rounds.length - 1);
    await page.context().close();
  });

  test('a change that cannot be made says why and keeps the plan; the server gone says so', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/plan`);
    await page.getByRole('link', { name: 'Three sounds, joined and planted', exact: true }).click();
    await page.waitForURL(/\/plan\/./);
    await page.getByRole('button', { name: 'Change round 2' }).click();
    await page.getByLabel('Add a word').fill('elephant');
    await page.getByRole('button', { name: 'Add it' }).click();
    // The reason stands beside the field, in sounds as a person says them.
    const refused = page.getByRole('dialog').getByRole('alert').filter({ hasText: '“elephant” doesn’t fit' });
    await refused.waitFor();
    expect(await refused.textContent()).toContain('sounds, /e/');
    await page.keyboard.press('Escape');
    await page.context().setOffline(true);
    await page.getByRole('button', { name: 'Remove round 4' }).click();
    await page.getByRole('alert').filter({ hasText: 'can’t reach the server' }).waitFor();
    expect(await page.locator('main ol > li:has(h2)').count()).toBe(3);
    await page.context().setOffline(false);
    await page.getByRole('button', { name: 'Other words in round 1' }).click();
    await page.getByText('Changes saved', { exact: true }).waitFor();
    await page.reload();
    expect(await page.locator('main ol > li:has(h2)').count()).toBe(3);
    await page.context().close();
  });

  test('three ready sessions stand on Today; one opens as a plan first', async () => {
    const { page } = await openPage(browser);
    await page.goto(app.url);
    expect(await page.getByRole('button', { name: /^Play now/ }).count()).toBe(3);
    await page
      .getByRole('button', { name: /^Change it first/ })
      .last()
      .click();
    await page.waitForURL(/\/plan\/./);
    expect(await page.locator('main ol > li:has(h2)').count()).toBeGreaterThan(0);
    await page.context().close();
  });
});
