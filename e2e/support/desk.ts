import type { Page } from 'playwright-core';

/** Screens on which everything at the desk must fit. */
export const DESK_SIZES = [
  [1280, 800],
  [1024, 768],
  [768, 1024],
  [390, 844],
] as const;

/** Reads what is wrong on the screen as it stands. Runs in the page. */
function measure(): string[] {
  const faults: string[] = [];
  const root = document.documentElement;
  const shown = (e: Element): boolean => {
    const { width, height } = e.getBoundingClientRect();
    const style = getComputedStyle(e);
    return width > 1 && height > 1 && style.visibility !== 'hidden' && style.opacity !== '0' && !e.closest('.sr-only');
  };
  const named = (e: Element): string => {
    const text = (e.textContent ?? '').trim() || (e.getAttribute('aria-label') ?? '');
    return `<${e.tagName.toLowerCase()}> “${text.slice(0, 40)}”`;
  };
  if (root.scrollWidth > root.clientWidth) faults.push(`the page is ${root.scrollWidth} wide`);
  const acts = [...document.querySelectorAll('a[href], button, input:not([type=hidden]), textarea, [role=switch]')];
  for (const e of acts.filter(shown)) {
    const { left, right, top, bottom } = e.getBoundingClientRect();
    if (left < -1 || right > root.clientWidth + 1) faults.push(`${named(e)} reaches over the side`);
    // What is at the fold is read by scrolling; what lies whole on the screen can be pressed.
    if (top < 0 || bottom > innerHeight) continue;
    const on = document.elementFromPoint((left + right) / 2, (top + bottom) / 2);
    const bar = on?.closest('.sticky, [class*="fixed"]');
    if (on && !e.contains(on) && !on.contains(e) && !bar) faults.push(`${named(e)} is covered by ${named(on)}`);
  }
  const texts = [...document.querySelectorAll('main *')].filter(
    (e) => [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim()) && shown(e),
  );
  for (const e of texts) {
    const { overflowX, overflowY } = getComputedStyle(e);
    const hides = overflowX !== 'visible' || overflowY !== 'visible';
    if (e.tagName !== 'TEXTAREA' && hides && (e.scrollWidth > e.clientWidth + 1 || e.scrollHeight > e.clientHeight + 4))
      faults.push(`${named(e)} is cut`);
  }
  const heading = [...document.querySelectorAll('h1')].find(shown) ?? document.querySelector('main textarea');
  const at = heading?.getBoundingClientRect();
  if (!at || at.top < 0 || at.bottom > innerHeight * 0.6) faults.push('the first heading is not in view');
  return faults;
}

interface At {
  readonly size: readonly [number, number];
  /** What the screen is for: the first of these that is there must be seen whole without scrolling. */
  readonly act: string;
}

/** What is wrong with a screen at one size: cut, covered, sideways, or its heading or main act not in view. */
export async function deskFaults(page: Page, { size: [width, height], act }: At): Promise<string[]> {
  await page.setViewportSize({ width, height });
  await page.evaluate(() => {
    scrollTo(0, 0);
  });
  const box = await page
    .locator(act)
    .locator('visible=true')
    .first()
    .boundingBox({ timeout: 20_000 })
    .catch(() => null);
  const whole = box && box.y >= 0 && box.y + box.height <= height + 1 && box.x >= 0 && box.x + box.width <= width + 1;
  return [...new Set([...(whole ? [] : [`${act} is not in view`]), ...(await page.evaluate(measure))])];
}
