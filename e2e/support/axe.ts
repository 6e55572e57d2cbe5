import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { AxeResults } from 'axe-core';
import type { Page } from 'playwright-core';

const source = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** Every violation axe finds on the page (WCAG 2.2 A and AA, and its best practices), as short lines. */
export async function violations(page: Page): Promise<string[]> {
  await page.evaluate(source);
  const results = await page.evaluate(() => (window as unknown as { axe: { run(): Promise<AxeResults> } }).axe.run());
  return results.violations.map((v) => `${v.id}: ${v.help} (${v.nodes.map((n) => n.target.join(' ')).join('; ')})`);
}
