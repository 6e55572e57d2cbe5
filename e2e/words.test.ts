import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { describe, expect, test } from 'vitest';
import { moveByKeys, openPage, still, type App } from './support/app';
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

const setWords = (page: Page): Promise<string[]> => page.locator('aside ol li a').allTextContents();

const accent = async (page: Page, name: string, preset: string): Promise<void> => {
  await page.goto(`${app.url}/settings`);
  await page.getByText(name, { exact: true }).click();
  await page.getByRole('button', { name: preset }).click();
  await page.getByRole('button', { name: /^(Save how we|This is how we count)/ }).click();
  await page.getByText('Saved.').waitFor();
};

test('six 3-sound words whose first sound can be held, in under ten seconds of clicking', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(app.url);
  const start = Date.now();
  await page.getByRole('link', { name: 'Words', exact: true }).click();
  await page.getByRole('link', { name: /^3 sounds/ }).waitFor();
  await page.getByRole('link', { name: /^you can hold/ }).click();
  await page.waitForURL(/first=hold/);
  await expect.poll(async () => (await setWords(page)).length).toBeGreaterThanOrEqual(6);
  const took = Date.now() - start;
  console.log(`Six words in ${took} ms, two clicks`);
  expect(took).toBeLessThan(10_000);
  for (const word of (await setWords(page)).slice(0, 6)) {
    await page.goto(`${app.url}/word/${word}`);
    const line = await page
      .getByRole('img', { name: /^3 sounds:/ })
      .first()
      .getAttribute('aria-label');
    const first = sure(sure(/^3 sounds: (\S+)/.exec(sure(line)))[1]);
    expect(line, word).toContain(`hold ${first}`);
  }
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('too few words: the advice names one filter and how many words, and one click gives them', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/words?sounds=3&shape=CCV&sound=%CA%83&place=last`);
  const advice = await page.getByText(/^No word fits all of that/).textContent();
  const promised = Number(sure(/there would be (\d+)/.exec(sure(advice)))[1]);
  expect(promised).toBeGreaterThan(5);
  await page.getByRole('link', { name: 'Allow that' }).click();
  await page.getByRole('heading', { name: `${promised} words fit` }).waitFor();
  await page.context().close();
});

test('every count on a choice is what picking it gives', async () => {
  const { page } = await openPage(browser);
  for (const [query, name] of [
    ['sounds=4', /^same count/],
    ['sounds=3', /^to clip/],
    ['sounds=5', /^2 \d+ words/],
  ] as const) {
    await page.goto(`${app.url}/words?${query}`);
    const choice = page.getByRole('link', { name }).first();
    const promised = Number(sure(/(\d+) words?$/.exec(sure(await choice.textContent()).replace(/\s+/g, ' ')))[1]);
    await choice.click();
    await page.getByRole('heading', { name: `${promised} words fit` }).waitFor();
  }
  await page.context().close();
});

describe('the accent in force changes what is on the screen', () => {
  // Southern British, then General American sound by sound, then Scottish: Wells (1982) for saw/door, card, new and
  // bath.
  test('sounds, strict counts and rhymes', async () => {
    const { page } = await openPage(browser);
    const say = async (word: string): Promise<{ count: string; line: string; rhymes: string[] }> => {
      await page.goto(`${app.url}/word/${word}`);
      return {
        count: sure(await page.locator('main strong').first().textContent()),
        line: sure(await page.locator('main [role=img]').first().getAttribute('aria-label')),
        rhymes: await page.locator('h2:has-text("Rhymes") + ul a').allTextContents(),
      };
    };
    await accent(page, 'Southern British', 'Sound by sound');
    expect((await say('saw')).rhymes).toContain('door');
    expect((await say('card')).count).toBe('3');
    expect((await say('new')).count).toBe('3');
    expect((await say('bath')).line).toContain('b ar th');

    await accent(page, 'General American', 'Sound by sound');
    expect((await say('saw')).rhymes).not.toContain('door');
    expect((await say('card')).count).toBe('4');
    expect((await say('new')).count).toBe('2');
    expect((await say('bath')).line).toContain('b a th');

    await accent(page, 'Scottish', 'Usual');
    expect((await say('saw')).rhymes).not.toContain('door');
    expect((await say('card')).count).toBe('3');
    expect((await say('whale')).line).toContain('wh');
    await accent(page, 'Southern British', 'Usual');
    await page.context().close();
  });
  test('the settings show it as you choose, before anything is kept', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/settings`);
    const bath = page.getByRole('listitem').filter({ hasText: 'bath' });
    await bath.getByText('b · ar · th').waitFor();
    await page.getByText('saw and door rhyme').waitFor();
    await page.getByText('General American', { exact: true }).click();
    await bath.getByText('b · a · th').waitFor();
    await page.getByText('saw and door don’t rhyme').waitFor();
    await page.getByLabel(/cot and caught alike/).check();
    await page.getByRole('listitem').filter({ hasText: 'moth' }).getByText('m · o · th').waitFor();
    expect(await violations(page)).toEqual([]);
    await page.context().close();
  });
});

test('a word of our own: asked for its vowel, confirmed, found among the words; tapped; removed', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/words/new`);
  await page.getByLabel('The word').fill('graph');
  await page.getByRole('button', { name: 'Find its sounds' }).click();
  await page.getByText('Is it the vowel of trap, or the vowel of bath?').waitFor();
  expect(await page.getByRole('button', { name: /keep it/ }).count(), 'nothing can be kept before it is answered').toBe(
    0,
  );
  await page.getByRole('radio', { name: /the vowel of bath/ }).click();
  await page.getByRole('img', { name: /^4 sounds: g r ar f/ }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByLabel('What it means, in one line').fill('a picture of numbers');
  await page.getByRole('button', { name: 'It sounds right: save it' }).click();
  await page.getByRole('heading', { name: 'graph', exact: true }).waitFor();
  await page.goto(`${app.url}/words?sounds=4&only=own`);
  await page.getByText('a picture of numbers').waitFor();

  // A word that is in no dictionary.
  await page.goto(`${app.url}/words/new`);
  await page.getByLabel('The word').fill('zorble');
  await page.getByRole('button', { name: 'Find its sounds' }).click();
  await page.getByText('The dictionary doesn’t have').waitFor();
  const pad = page.getByRole('region', { name: 'Tap the sounds' });
  for (const label of ['z', 'or', 'b']) await pad.getByRole('button', { name: label, exact: true }).click();
  await pad.getByRole('button', { name: 'l', exact: true }).click();
  await pad.getByRole('button', { name: 'Delete the last sound' }).click();
  await pad.getByRole('button', { name: /^uhl/ }).click();
  // A weak ending is a beat of its own among those that may be strong.
  await pad.getByLabel('The strongest beat has').click();
  expect(await page.getByRole('option').allTextContents()).toEqual(['or (1)', 'uhl (2)']);
  await page.keyboard.press('Escape');
  await pad.getByRole('button', { name: 'Show these sounds' }).click();
  await page.getByRole('img', { name: /sounds: z or b uh l/ }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'It sounds right: save it' }).click();
  await page.getByRole('heading', { name: 'zorble', exact: true }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Remove it' }).click();
  await page.getByRole('button', { name: 'Remove zorble' }).click();
  await page.waitForURL(/\/words$/);
  await page.goto(`${app.url}/words?sounds=any&q=zorble`);
  await page.getByRole('heading', { name: '0 words fit' }).waitFor();

  // What is refused keeps what was typed.
  await page.goto(`${app.url}/words/new`);
  await page.getByLabel('The word').fill('two words');
  await page.getByRole('button', { name: 'Find its sounds' }).click();
  await page.getByRole('alert').filter({ hasText: 'one word' }).waitFor();
  expect(await page.getByLabel('The word').inputValue()).toBe('two words');
  expect(trouble).toEqual([]);
  await page.context().close();
});

describe('word sets', () => {
  test('put in order by keys and by hand, saved, opened again, changed, copied, taken out, erased', async () => {
    const { page, trouble } = await openPage(browser);
    await page.goto(`${app.url}/words?sounds=any&words=sun,frog,milk,nest`);
    // By keys: lift, two down, drop (the way dnd-kit documents for its keyboard sensor).
    await moveByKeys(page, page.getByRole('button', { name: 'Move sun', exact: true }), ['ArrowDown', 'ArrowDown']);
    await page.waitForURL(/words=frog%2Cmilk%2Csun%2Cnest/);
    // By hand.
    const [from, to] = [
      await page.getByRole('button', { name: 'Move nest', exact: true }).boundingBox(),
      await page.getByRole('button', { name: 'Move frog', exact: true }).boundingBox(),
    ];
    await page.mouse.move(sure(from).x + 20, sure(from).y + 20);
    await page.mouse.down();
    await page.mouse.move(sure(to).x + 20, sure(to).y + 30, { steps: 8 });
    await page.mouse.move(sure(to).x + 20, sure(to).y + 8, { steps: 4 });
    await page.mouse.up();
    await page.waitForURL(/words=nest%2Cfrog%2Cmilk%2Csun/);

    await page.getByLabel('Name of the set').fill('Wormery words');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('heading', { name: /^Wormery words/ }).waitFor();
    await page.getByRole('button', { name: 'Remove milk', exact: true }).click();
    await page.waitForURL(/words=nest%2Cfrog%2Csun/);
    await page.getByRole('button', { name: 'Save changes' }).click();
    await page.getByText('Saved as Wormery words.').waitFor();

    await page.getByRole('link', { name: 'Our sets', exact: true }).click();
    await page.getByText('nest · frog · sun').waitFor();
    await page.getByRole('button', { name: 'Copy Wormery words', exact: true }).click();
    await page.getByRole('link', { name: 'Wormery words 2', exact: true }).waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'CSV of Wormery words', exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('Wormery words.csv');
    expect(readFileSync(await download.path(), 'utf8')).toMatch(/^\uFEFFword,.*\r\nnest,.*\r\nfrog,.*\r\nsun,/);
    await page.getByRole('button', { name: 'Erase Wormery words 2' }).click();
    await page.getByRole('button', { name: 'Erase the set' }).click();
    await expect.poll(() => page.getByRole('link', { name: 'Wormery words 2', exact: true }).count()).toBe(0);
    await page.getByRole('link', { name: 'Wormery words', exact: true }).click();
    await expect.poll(() => setWords(page)).toEqual(['nest', 'frog', 'sun']);
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('a broken file: rows are reported, nothing kept until confirmed; a file that is no set says so', async () => {
    const { page, trouble } = await openPage(browser);
    await page.goto(`${app.url}/words/sets`);
    const choose = (name: string, text: string): Promise<void> =>
      page.getByLabel('Choose a file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    await choose('Broken.csv', 'word,sounds,letters\nsun,,\nblorp,,\n<script>,,\nzorble,q q,z\nfrog,,\n');
    await page.getByText('2 of 5 rows can be used, 3 left out. Nothing has been saved yet.').waitFor();
    await page.getByText('It isn’t in the word bank, and the file doesn’t give its sounds').waitFor();
    expect(await violations(page)).toEqual([]);
    await page.reload();
    expect(await page.getByRole('link', { name: 'Broken', exact: true }).count(), 'only looked at').toBe(0);
    await choose('Broken.csv', 'word\nsun\nblorp\nfrog\n');
    await page.getByRole('button', { name: 'Save 2 words' }).click();
    await page.getByRole('link', { name: 'Broken', exact: true }).waitFor();
    await choose('notes.json', '{"hello": 1}');
    await page.getByRole('alert').filter({ hasText: 'not a word set' }).waitFor();
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('picture cards: the right drawing on each card, and the drawings are in the PDF', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/words?sounds=any&words=frog,sun,snail,frost`);
    await page.getByLabel('Name of the set').fill('Cards');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.waitForURL(/set=/);
    const id = sure(new URL(page.url()).searchParams.get('set'));
    await page.goto(`${app.url}/print/sets/${id}?as=cards`);
    await still(page);
    const cards = await page.locator('main li').evaluateAll((all) =>
      all.map((card) => {
        const img = card.querySelector('img');
        return [
          card.querySelector('span.font-bold')?.textContent,
          img ? decodeURIComponent(img.src.split('/').at(-1) ?? '') : null,
          img ? img.complete && img.naturalWidth > 0 : null,
        ];
      }),
    );
    // Code points of Unicode emoji: frog U+1F438, sun U+2600, snail U+1F40C.
    expect(cards).toEqual([
      ['frog', '1F438.svg', true],
      ['sun', '2600.svg', true],
      ['snail', '1F40C.svg', true],
      ['frost', null, null],
    ]);
    const whole = await page.pdf({ format: 'A4' });
    expect(whole.subarray(0, 5).toString()).toBe('%PDF-');
    await page.route('**/pictures/*.svg', (route) => route.abort());
    await page.reload();
    const without = await page.pdf({ format: 'A4' });
    expect(whole.length - without.length, 'the PDF is smaller without its drawings').toBeGreaterThan(1_000);
    await page.context().close();
  });
});

test('the prop shelf and the sounds taught: a tick is kept and becomes a filter', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/words/shelf`);
  await page.getByText('16 things on the shelf').waitFor(); // the demo’s own
  await page.getByLabel('button', { exact: true }).check();
  await page.getByText('17 things on the shelf').waitFor();
  await page.reload();
  expect(await page.getByLabel('button', { exact: true }).isChecked()).toBe(true);
  expect(await page.getByRole('region', { name: 'First sound /b/' }).getByText('small part').count()).toBeGreaterThan(
    0,
  );
  await page.goto(`${app.url}/settings/taught`);
  const grid = page.getByRole('main');
  // The demo’s first group works with letters, where sounds and spellings are ticked together.
  await grid.getByRole('switch', { name: 'Radishes works with letters too' }).click();
  await grid.getByRole('heading', { name: 'Sounds we’ve taught' }).waitFor();
  await grid.getByRole('button', { name: 'None', exact: true }).click();
  await grid.getByText('0 of').waitFor();
  for (const label of ['s', 't', 'n', 'p']) await grid.getByRole('button', { name: label, exact: true }).click();
  for (const label of ['i', 'a'])
    await grid.getByRole('group', { name: 'Vowels' }).getByRole('button', { name: label, exact: true }).click();
  await grid.getByText('6 of').waitFor();
  await page.waitForLoadState('networkidle');
  await page.goto(`${app.url}/words?sounds=3&only=taught`);
  const names = await page.locator('main li a.font-word').allTextContents();
  expect(names).toEqual(expect.arrayContaining(['sit', 'tap', 'pin']));
  expect(names).not.toContain('sun');
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('the read command prints items as they would be heard, and says what it cannot do', () => {
  const run = (...args: string[]) => spawnSync(process.execPath, ['scripts/read.mjs', ...args], { encoding: 'utf8' });
  const read = run('--task', 'clap', '--seed', '1f6a90c3', '--size', '2');
  expect(read.stdout).toMatch(/^== Clap the beats \(clap\)\n/);
  expect(read.stdout.match(/ → [1-4]\n/g)).toHaveLength(6);
  const wrong = run('--task', 'chess');
  expect([wrong.status, wrong.stdout]).toEqual([1, '']);
  expect(wrong.stderr).toContain('--task is one of count-words');
});

test(
  'the words command prints the whole bank to standard output and nothing else; what it cannot do it says ' +
    'beside it',
  () => {
    const run = (...args: string[]) =>
      spawnSync(process.execPath, ['scripts/words.mjs', ...args], { encoding: 'utf8', maxBuffer: 2e7 });
    const json = run('--accent', 'general-american', '--convention', 'strict', '--format', 'json');
    const rows = JSON.parse(json.stdout) as { word: string; sounds: string[]; units: number }[];
    expect(rows.length).toBeGreaterThanOrEqual(3_000);
    expect(rows.find((r) => r.word === 'card')).toMatchObject({ sounds: ['k', 'ɑ', 'r', 'd'], units: 4 });
    expect(run('--accent', 'scottish', '--format', 'csv').stdout.split('\r\n')[0]).toBe(
      'word,sounds,units,unit_sounds,shape,syllables,contested,contested_why,doubt',
    );
    const wrong = run('--accent', 'mars');
    expect([wrong.status, wrong.stdout]).toEqual([1, '']);
    expect(wrong.stderr).toContain('southern-british');
  },
);
