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
  const { clientWidth, scrollWidth } = document.documentElement;
  const shown = (e: Element): boolean => {
    const { width, height } = e.getBoundingClientRect();
    const { visibility, opacity } = getComputedStyle(e);
    return width > 1 && height > 1 && visibility !== 'hidden' && opacity !== '0' && !e.closest('.sr-only');
  };
  const named = (e: Element): string => {
    const text = (e.textContent ?? '').trim() || (e.getAttribute('aria-label') ?? '');
    return `<${e.tagName.toLowerCase()}> “${text.slice(0, 40)}”`;
  };
  /** Inside a list that scrolls, and not where it is now. */
  const scrolledAway = (e: Element, middle: number): boolean => {
    for (let up = e.parentElement; up; up = up.parentElement) {
      const { top, bottom } = up.getBoundingClientRect();
      if (getComputedStyle(up).overflowY === 'auto' && (middle < top || middle > bottom)) return true;
    }
    return false;
  };
  // What is at the fold is read by scrolling; what lies whole on the screen can be pressed. A bar that stays may lie
  // over what is scrolled.
  const covered = (e: Element): string[] => {
    // A link that goes on in a second line is asked for where it begins.
    const { left, right, top, bottom } = e.getClientRects()[0] ?? e.getBoundingClientRect();
    if (top < 0 || bottom > innerHeight || scrolledAway(e, (top + bottom) / 2)) return [];
    const on = document.elementFromPoint((left + right) / 2, (top + bottom) / 2);
    if (!on || e.contains(on) || on.contains(e) || on.closest('.sticky, [class*="fixed"]')) return [];
    return [`${named(e)} is covered by ${named(on)}`];
  };
  const sideways = (e: Element): string[] => {
    const { left, right } = e.getBoundingClientRect();
    return left < -1 || right > clientWidth + 1 ? [`${named(e)} reaches over the side`] : [];
  };
  const hasText = (e: Element): boolean =>
    [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
  const cut = (e: Element): string[] => {
    const { overflowX, overflowY } = getComputedStyle(e);
    if (e.tagName === 'TEXTAREA' || (overflowX === 'visible' && overflowY === 'visible')) return [];
    const over = e.scrollWidth > e.clientWidth + 1 || e.scrollHeight > e.clientHeight + 4;
    return over ? [`${named(e)} is cut`] : [];
  };
  const acts = 'a[href], button, input:not([type=hidden]), textarea';
  const heading = [...document.querySelectorAll('h1')].find(shown) ?? document.querySelector('main textarea');
  const at = heading?.getBoundingClientRect();
  return [
    ...(scrollWidth > clientWidth ? [`the page is ${scrollWidth} wide`] : []),
    ...(!at || at.top < 0 || at.bottom > innerHeight * 0.6 ? ['the first heading is not in view'] : []),
    ...[...document.querySelectorAll(acts)].filter(shown).flatMap((e) => [...sideways(e), ...covered(e)]),
    ...[...document.querySelectorAll('main *')].filter((e) => hasText(e) && shown(e)).flatMap(cut),
  ];
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
