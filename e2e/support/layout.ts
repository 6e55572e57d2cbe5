import type { Page } from 'playwright-core';

/** Screens on which Play must fit. */
export const SIZES = [
  [1280, 800],
  [1024, 768],
  [768, 1024],
  [844, 390],
  [390, 844],
  [360, 640],
] as const;

/**
 * What is wrong with the layout of a turn as it stands: what must be seen and is missing, cut, covered, scrolled away
 * or laid over something else. Boxes are read from the browser; whether something is covered, by what lies at its
 * middle. Runs in the page.
 */
function lookOver(): string[] {
  const faults: string[] = [];
  const root = document.querySelector('.playing');
  if (!root) return ['no turn is shown'];
  const shownAt = (e: Element): boolean => {
    const { width, height } = e.getBoundingClientRect();
    return width > 0 && height > 0 && getComputedStyle(e).visibility !== 'hidden' && !e.closest('.sr-only');
  };
  const all = (what: string): Element[] => [...root.querySelectorAll(what)].filter(shownAt);

  // Lines of text, with what they belong to.
  const linesIn = (box: Element): { rect: DOMRect; node: Text }[] => {
    const found: { rect: DOMRect; node: Text }[] = [];
    const walker = document.createTreeWalker(box, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const at = node.parentElement;
      if (!node.textContent?.trim() || !at || !shownAt(at) || at.closest('[aria-hidden="true"]')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects())
        if (rect.width > 1 && rect.height > 1) found.push({ rect, node: node as Text });
    }
    return found;
  };

  /** The part of the screen in which something can be seen at all. */
  const windowOf = (e: Element): { left: number; top: number; right: number; bottom: number } => {
    const seen = { left: 0, top: 0, right: innerWidth, bottom: innerHeight };
    for (let up = e.parentElement; up; up = up.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(up);
      if (overflowX === 'visible' && overflowY === 'visible') continue;
      const box = up.getBoundingClientRect();
      seen.left = Math.max(seen.left, box.left);
      seen.right = Math.min(seen.right, box.right);
      seen.top = Math.max(seen.top, box.top);
      seen.bottom = Math.min(seen.bottom, box.bottom);
    }
    return seen;
  };

  /** A line of text without the room its font leaves above and below the letters. */
  const letters = ({ x, y, width, height }: DOMRect): DOMRect => new DOMRect(x, y + 0.2 * height, width, 0.6 * height);

  const lookAt = (what: string, e: Element, rect: DOMRect): void => {
    const seen = windowOf(e);
    const out =
      rect.left < seen.left - 1.5 ||
      rect.right > seen.right + 1.5 ||
      rect.top < seen.top - 1.5 ||
      rect.bottom > seen.bottom + 1.5;
    if (out) faults.push(`${what} is cut`);
    const on = document.elementFromPoint((rect.left + rect.right) / 2, (rect.top + rect.bottom) / 2);
    if (!on || !(e.contains(on) || on.contains(e)))
      faults.push(`${what} is covered by ${on?.className.toString() ?? 'nothing'}`);
    // Whatever lies there must belong to the same part of the screen.
    else if (on.contains(e) && on !== e && on.contains(root)) faults.push(`${what} is off the frame`);
  };

  const hunting = all('[data-zone="marks"] button').some((b) => b.textContent?.startsWith('Finish: '));
  const story = all('.taps').length > 0 && all('[data-part="word"] p [aria-pressed]').length > 0;
  const covered = root.querySelector('[data-answer]') === null;
  const parts: Record<string, Element[]> = {
    who: all('nav [aria-current="true"]'),
    say: all('[data-part="say"]'),
    word: all('[data-part="word"]'),
    answer: all('[data-part="answer"]'),
    likely: all('[data-zone="likely"] button'),
    mark: hunting ? all('[data-zone="marks"] button') : all('.marks button'),
    undo: all('[data-zone="undo"] button').filter((b) => b.textContent?.startsWith('Undo')),
    top: all('[data-zone="top"] > p'),
    tool: all('[data-zone="speaks"] button'),
  };
  const needed = ['who', 'say', 'word', 'mark', 'undo', 'top', ...(hunting || story || covered ? [] : ['answer'])];
  for (const part of needed) if (!parts[part]?.length) faults.push(`${part} is not there`);
  if (!hunting && (parts.mark?.length ?? 0) < 5) faults.push('a mark is missing');

  for (const [part, boxes] of Object.entries(parts))
    for (const box of boxes) {
      const name = `${part} “${(box.textContent ?? '').slice(0, 24)}”`;
      const free = part === 'word' && hunting;
      if (part !== 'say' && part !== 'word' && part !== 'answer' && part !== 'top')
        lookAt(name, box, box.getBoundingClientRect());
      // A hunt’s list may scroll in itself.
      for (const { rect, node } of linesIn(box))
        if (!free || !node.parentElement?.closest('[aria-label="Words to tick"]'))
          lookAt(
            `${name}: “${(node.textContent ?? '').trim().slice(0, 24)}”`,
            node.parentElement ?? box,
            letters(rect),
          );
    }
  for (const mark of all('[data-part="word"] .mark')) lookAt('a sound', mark, mark.getBoundingClientRect());

  // Nothing lies over anything else.
  const boxes = Object.entries(parts).flatMap(([part, list]) =>
    list.map((e) => ({ part, e, rect: e.getBoundingClientRect() })),
  );
  const over = (a: DOMRect, b: DOMRect): boolean =>
    Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1.5 &&
    Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 1.5;
  boxes.forEach((a, i) => {
    for (const b of boxes.slice(i + 1))
      if (!a.e.contains(b.e) && !b.e.contains(a.e) && over(a.rect, b.rect))
        faults.push(`${a.part} lies over ${b.part} (“${(b.e.textContent ?? '').slice(0, 20)}”)`);
  });
  const words = all('[data-zone="stage"]')
    .flatMap(linesIn)
    .map(({ rect, node }) => ({ rect: letters(rect), node }));
  words.forEach((a, i) => {
    for (const b of words.slice(i + 1)) {
      if (a.node === b.node) continue;
      if (over(a.rect, b.rect))
        faults.push(
          `“${a.node.textContent?.trim().slice(0, 16)}” lies over “${b.node.textContent?.trim().slice(0, 16)}”`,
        );
    }
  });

  // Nothing has to be scrolled to.
  const page = document.scrollingElement ?? document.documentElement;
  if (page.scrollHeight > innerHeight + 1) faults.push(`the page is ${page.scrollHeight} high`);
  if (page.scrollWidth > innerWidth + 1) faults.push(`the page is ${page.scrollWidth} wide`);
  for (const zone of all('.fit')) {
    const name = zone.getAttribute('data-zone') ?? '';
    if (zone.scrollHeight > zone.clientHeight + 1 || zone.scrollWidth > zone.clientWidth + 1)
      faults.push(`${name} spills over`);
  }
  return [...new Set(faults)];
}

/** Waits until what was changed is laid out and made to fit. */
const settled = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) => {
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done)));
      }),
  );

/** What is wrong with the turn at one size of the screen. */
export async function faultsAt(page: Page, [width, height]: readonly [number, number]): Promise<string[]> {
  await page.setViewportSize({ width, height });
  await settled(page);
  return page.evaluate(lookOver);
}

/** The size of text a person has chosen for all pages: 16 px is usual. */
export async function textSize(page: Page, px: number): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Page.setFontSizes', { fontSizes: { standard: px, fixed: px } });
  await cdp.detach();
}
