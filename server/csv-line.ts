import Papa from 'papaparse';

/** A text that a spreadsheet would take for a formula, made plain (OWASP, CSV injection, recalled). */
const safe = (cell: string | number): string | number =>
  typeof cell === 'string' && /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;

/** A line of CSV. */
export const lineOf = (cells: readonly (string | number)[]): string =>
  `${Papa.unparse([cells.map(safe)], { newline: '\r\n' })}\r\n`;
