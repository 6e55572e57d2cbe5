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

interface Rect {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** Something that is seen: a box, a sound on its line or a line of text. */
interface Seen {
  /** The part of the screen it belongs to. */
  readonly part: string;
  readonly kind: 'box' | 'sound' | 'text';
  readonly text: string;
  readonly rect: Rect;
  /** Where it could be seen at all: the screen, less what cuts it. */
  readonly within: Rect;
  /** What lies over its middle; null where nothing does. */
  readonly covered: string | null;
  /** Boxes it stands in, and itself, by number. */
  readonly inside: readonly number[];
}

interface Measured {
  readonly seen: readonly Seen[];
  /** Places whose content reaches over their edge. */
  readonly spilling: readonly string[];
  readonly page: { readonly width: number; readonly height: number };
  readonly screen: { readonly width: number; readonly height: number };
  readonly covered: boolean;
  readonly hunting: boolean;
  readonly telling: boolean;
}

/** What must be looked at in a turn, by where it stands. */
const PARTS = {
  who: 'nav [aria-current="true"]',
  say: '[data-part="say"]',
  word: '[data-part="word"]',
  answer: '[data-part="answer"]',
  likely: '[data-zone="likely"] button',
  mark: '[data-zone="marks"] button',
  undo: '[data-zone="undo"] button',
  tool: '[data-zone="speaks"] button',
  top: '[data-zone="top"] > p',
} as const;

/** Reads the boxes of a turn from the browser. Whether one is covered is asked at its middle. Runs in the page. */
function measure(parts: Readonly<Record<string, string>>): Measured {
  const shown = (e: Element): boolean => {
    const { width, height } = e.getBoundingClientRect();
    return width > 0 && height > 0 && getComputedStyle(e).visibility !== 'hidden' && !e.closest('.sr-only');
  };
  const all = (what: string): Element[] => [...document.querySelectorAll(`.playing ${what}`)].filter(shown);
  const numbers = new Map<Element, number>();
  const numberOf = (e: Element): number => numbers.get(e) ?? (numbers.set(e, numbers.size), numbers.size - 1);

  const within = (e: Element): Rect => {
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
  const over = (e: Element, { left, top, right, bottom }: Rect): string | null => {
    const on = document.elementFromPoint((left + right) / 2, (top + bottom) / 2);
    if (!on) return 'nothing';
    return e.contains(on) || (on.contains(e) && !on.contains(document.querySelector('.playing')))
      ? null
      : on.className.toString();
  };
  const see = (part: string, kind: Seen['kind'], e: Element, box: DOMRect): Seen => {
    const { left, top, right, bottom, height } = box;
    // A font leaves room above and below its letters.
    const inset = kind === 'text' ? 0.2 * height : 0;
    const rect = { left, right, top: top + inset, bottom: bottom - inset };
    const inside: number[] = [];
    for (let up: Element | null = e; up; up = up.parentElement) inside.push(numberOf(up));
    const text = (e.textContent ?? '').trim().slice(0, 24);
    return { part, kind, text, rect, within: within(e), covered: over(e, rect), inside };
  };
  const lines = (part: string, box: Element): Seen[] => {
    const found: Seen[] = [];
    const walker = document.createTreeWalker(box, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const at = node.parentElement;
      // A list that may scroll in itself is looked at as a box.
      if (!node.textContent?.trim() || !at || !shown(at) || at.closest('[aria-hidden="true"], ul[tabindex]')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      found.push(...[...range.getClientRects()].filter((r) => r.width > 1).map((r) => see(part, 'text', at, r)));
    }
    return found;
  };
  const seen = Object.entries(parts).flatMap(([part, what]) =>
    all(what).flatMap((e) => [see(part, 'box', e, e.getBoundingClientRect()), ...lines(part, e)]),
  );
  const sounds = all('[data-part="word"] .mark').map((e) => see('word', 'sound', e, e.getBoundingClientRect()));
  const spills = (e: Element): boolean => e.scrollHeight > e.clientHeight + 1 || e.scrollWidth > e.clientWidth + 1;
  const root = document.scrollingElement ?? document.documentElement;
  return {
    seen: [...seen, ...sounds],
    spilling: all('.fit')
      .filter(spills)
      .map((e) => e.getAttribute('data-zone') ?? ''),
    page: { width: root.scrollWidth, height: root.scrollHeight },
    screen: { width: innerWidth, height: innerHeight },
    covered: document.querySelector('[data-answer]') === null,
    hunting: all('[data-zone="marks"] button').some((b) => b.textContent?.startsWith('Finish: ')),
    telling: all('[data-part="word"] [role="status"]').some((e) => e.textContent?.startsWith('Sentence')),
  };
}

/** A pixel and a half is lost in rounding. */
const SLACK = 1.5;

const isOut = ({ rect, within }: Seen): boolean =>
  rect.left < within.left - SLACK ||
  rect.right > within.right + SLACK ||
  rect.top < within.top - SLACK ||
  rect.bottom > within.bottom + SLACK;

const meet = (a: Rect, b: Rect): boolean =>
  Math.min(a.right, b.right) - Math.max(a.left, b.left) > SLACK &&
  Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > SLACK;

const named = ({ part, kind, text }: Seen): string => `${part} (${kind} “${text}”)`;

/** Things that lie over one another, of a list of such. */
const meeting = (of: readonly Seen[]): string[] =>
  of.flatMap((a, i) =>
    of
      .slice(i + 1)
      .filter((b) => !a.inside.includes(b.inside[0] ?? -1) && !b.inside.includes(a.inside[0] ?? -1))
      .filter((b) => meet(a.rect, b.rect))
      .map((b) => `${named(a)} lies over ${named(b)}`),
  );

/** Parts that have to be there. */
function missing({ seen, covered, hunting, telling }: Measured, expected: number): string[] {
  const needed = ['who', 'say', 'word', 'mark', 'undo', 'top', ...(covered || hunting || telling ? [] : ['answer'])];
  const marks = seen.filter((s) => s.part === 'mark' && s.kind === 'box').length;
  return [
    ...needed.filter((part) => !seen.some((s) => s.part === part)).map((part) => `${part} is not there`),
    ...(marks < (hunting ? 2 : expected) ? ['a mark is missing'] : []),
  ];
}

/** What is wrong with a turn as it stands: missing, cut, covered, laid over something else, or to be scrolled to. */
function faultsIn(measured: Measured, marks: number): string[] {
  const { seen, spilling, page, screen } = measured;
  // Where a list scrolls in itself its part is as large as it is; what stands in the parts is looked at one by one.
  const whole = seen.filter((s) => s.kind !== 'box' || !['say', 'word', 'answer', 'top'].includes(s.part));
  return [
    ...missing(measured, marks),
    ...whole.filter(isOut).map((s) => `${named(s)} is cut`),
    ...whole.flatMap((s) => (s.covered === null ? [] : [`${named(s)} is covered by ${s.covered}`])),
    ...meeting(seen.filter((s) => s.kind === 'box')),
    ...meeting(seen.filter((s) => s.kind === 'text' && ['say', 'word', 'answer'].includes(s.part))),
    ...spilling.map((zone) => `${zone} spills over`),
    ...(page.height > screen.height + 1 ? [`the page is ${page.height} high`] : []),
    ...(page.width > screen.width + 1 ? [`the page is ${page.width} wide`] : []),
  ];
}

/** Waits until what was changed is laid out and made to fit. */
const settled = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) => {
        requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done)));
      }),
  );

/**
 * What is wrong with the turn at one size of the screen.
 * @param marks how many there must be: four where nobody is helped
 */
export async function faultsAt(page: Page, [width, height]: readonly [number, number], marks = 5): Promise<string[]> {
  await page.setViewportSize({ width, height });
  await settled(page);
  return [...new Set(faultsIn(await page.evaluate(measure, PARTS), marks))];
}

/** The size of text a person has chosen for all pages: 16 px is usual. */
export async function textSize(page: Page, px: number): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Page.setFontSizes', { fontSizes: { standard: px, fixed: px } });
  await cdp.detach();
}
