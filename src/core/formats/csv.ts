import Papa from 'papaparse';

const FORM = { escapeFormulae: true, newline: '\r\n' } as const;

/**
 * A table as CSV (RFC 4180) that spreadsheets open as they should: a byte order mark for its letters, and no cell that
 * they would take for a formula.
 */
export const csv = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  `\uFEFF${Papa.unparse({ fields: [...fields], data: data as unknown[][] }, FORM)}\r\n`;
