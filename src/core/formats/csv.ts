import Papa from 'papaparse';

/**
 * What a spreadsheet may take for a formula: the signs themselves, also in full width, behind spaces, tabs or line
 * ends, and whatever follows (OWASP, CSV Injection).
 */
const FORMULA = /^[\s\uFEFF\u200B]*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20]|^[\t\r\n]/u;

const FORM = { escapeFormulae: FORMULA, newline: '\r\n' } as const;

/**
 * A table as CSV (RFC 4180) that spreadsheets open as they should: a byte order mark for its letters, and no cell that
 * they would take for a formula.
 */
export const csv = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  `\uFEFF${Papa.unparse({ fields: [...fields], data: data as unknown[][] }, FORM)}\r\n`;
