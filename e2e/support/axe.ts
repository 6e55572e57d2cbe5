import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from 'playwright-core';

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

type Axe = typeof import('axe-core');

/**
 * Every violation axe finds on the page (WCAG 2.2 A and AA, and its best practices), as short lines; and a value that
 * was printed where a word should stand.
 */
export async function violations(page: Page): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(source);
  // Only what is asked for is worked out in full and sent over.
  return page.evaluate(async () => {
    const { violations: found } = await (window as unknown as { axe: Axe }).axe.run({ resultTypes: ['violations'] });
    const stray = /\b(null|undefined|NaN)\b|\[object /.exec(document.body.innerText);
    const values = stray ? [`a sentence has “${stray[0]}” in it`] : [];
    const lines = found.map((v) => `${v.id}: ${v.help} (${v.nodes.map((n) => n.target.join(' ')).join('; ')})`);
    return [...lines, ...values];
  });
}
