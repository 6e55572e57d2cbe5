import type { Page } from 'playwright-core';

/**
 * Taps "on own" in the page and times it, in milliseconds: until it is kept on the device, until the next turn is
 * painted, and from then until it is in the server's file, by the server's clock: both are on this machine. Runs in the
 * page.
 */
const tapped = () =>
  new Promise<{ kept: number; painted: number; served: number }>((resolve) => {
    const root = document.querySelector('[data-pending]') as HTMLElement;
    const bar = document.querySelector('[aria-label$="turns done"]') as HTMLElement;
    const start = performance.now();
    let filed = 0;
    const { fetch } = window;
    window.fetch = async (...request) => {
      const response = await fetch(...request);
      window.fetch = fetch;
      filed = ((await response.clone().json()) as { now: number }).now - performance.timeOrigin;
      return response;
    };
    let kept = 0;
    let painted = 0;
    const watch = new MutationObserver(() => {
      // The turn changes only once the entry is on the device's disk.
      if (!kept && bar.getAttribute('aria-label') !== before) {
        kept = performance.now() - start;
        requestAnimationFrame(() =>
          setTimeout(() => {
            painted = performance.now() - start;
            finish();
          }),
        );
      }
      finish();
    });
    const before = bar.getAttribute('aria-label');
    const finish = (): void => {
      if (kept && painted && root.getAttribute('data-pending') === '0') {
        watch.disconnect();
        resolve({ kept, painted, served: Math.max(0, filed - start - kept) });
      }
    };
    // Watching the whole page would slow what is measured.
    watch.observe(bar, { attributeFilter: ['aria-label'] });
    watch.observe(root, { attributeFilter: ['data-pending'] });
    window.dispatchEvent(new KeyboardEvent('keydown', { key: '1' }));
  });

interface Taps {
  readonly painted: number[];
  readonly kept: number[];
  readonly served: number[];
  /** The floor on this machine: from a change of one word to its frame. */
  readonly word: number[];
}

/** Changes one word of the page and times it until its frame. Runs in the page. */
const oneWord = (text: string) =>
  new Promise<number>((resolve) => {
    const word = document.getElementById('probe') ?? document.createElement('span');
    word.id = 'probe';
    (document.querySelector('main h1') as HTMLElement).append(word);
    const start = performance.now();
    word.textContent = text;
    requestAnimationFrame(() => setTimeout(() => resolve(performance.now() - start)));
  });

/** So many turns, one tap each, and a word changed after each: the two in turn. */
export async function measure(page: Page, turns: number): Promise<Taps> {
  const out: Taps = { painted: [], kept: [], served: [], word: [] };
  for (let i = 0; i < turns; i += 1) {
    await page.waitForTimeout(300);
    const done = page.getByRole('button', { name: 'One more turn each' });
    if (await done.count()) {
      await done.click();
      await page.getByRole('button', { name: /^On own/ }).waitFor();
      await page.waitForTimeout(300);
    }
    const times = await page.evaluate(tapped);
    out.painted.push(times.painted);
    out.kept.push(times.kept);
    out.served.push(times.served);
    await page.waitForTimeout(100);
    out.word.push(await page.evaluate(oneWord, `word ${i}`));
  }
  return out;
}
