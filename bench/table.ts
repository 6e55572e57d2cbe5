import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { sure } from '../src/core/sure';

/** A row of the bench: what was measured, how often, and the bar it is held against. */
export interface Row {
  readonly what: string;
  readonly p50: number;
  readonly p95: number;
  readonly unit: 'ms' | 'kB' | 'MB';
  readonly runs: number;
  readonly bar?: number;
}

/** Percentile by nearest rank. Example: `percentile([1, 2, 3], 0.5) // 2`. */
function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.max(0, Math.ceil(share * sorted.length) - 1)] ?? NaN;
}

export const rowOf = (what: string, values: readonly number[], bar?: number, unit: Row['unit'] = 'ms'): Row => ({
  what,
  p50: percentile(values, 0.5),
  p95: percentile(values, 0.95),
  unit,
  runs: values.length,
  ...(bar === undefined ? {} : { bar }),
});

/** Times `work` so many times, after a warm-up. */
export async function timed(runs: number, work: (run: number) => unknown): Promise<number[]> {
  for (let i = 0; i < Math.min(20, runs); i += 1) await work(i);
  const out: number[] = [];
  for (let i = 0; i < runs; i += 1) {
    const start = performance.now();
    await work(i);
    out.push(performance.now() - start);
  }
  return out;
}

export function print(title: string, rows: readonly Row[]): void {
  const line = (cells: readonly string[]): string =>
    `${sure(cells[0]).padEnd(66)}${cells
      .slice(1)
      .map((c) => c.padStart(11))
      .join('')}`;
  const number = (n: number): string => n.toFixed(n < 10 ? 2 : 0);
  console.log(
    [
      `\n${title}`,
      line(['', 'p50', 'p95', 'bar', 'p95/bar', 'runs']),
      ...rows.map((r) =>
        line([
          `${r.what} (${r.unit})`,
          number(r.p50),
          number(r.p95),
          r.bar === undefined ? '–' : String(r.bar),
          r.bar === undefined ? '–' : (r.p95 / r.bar).toFixed(2),
          String(r.runs),
        ]),
      ),
    ].join('\n'),
  );
}

/** A table as a page of the docs has it. Example: `tableOf(['a'], [['1']])`. */
export const tableOf = (head: readonly string[], lines: readonly (readonly string[])[]): string =>
  [head, head.map(() => '---'), ...lines].map((cells) => `| ${cells.join(' | ')} |`).join('\n');

/**
 * Puts a part of a page of the docs in its place, by its heading; the other parts stay as they are. Only where pages
 * are to be written (BOUNCY_ECHO_DOCS=1).
 */
export function writePart(page: string, heading: string, text: string): void {
  if (!process.env.BOUNCY_ECHO_DOCS) return;
  const parts = (existsSync(page) ? readFileSync(page, 'utf8') : '').split(/^(?=#+ )/m);
  const part = `${heading}\n\n${text.trim()}\n`;
  const at = parts.findIndex((p) => p.startsWith(`${heading}\n`));
  const all = at < 0 ? [...parts, part] : parts.with(at, part);
  writeFileSync(page, `${all.map((p) => p.trim()).join('\n\n')}\n`);
}
