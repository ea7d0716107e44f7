/** Quoted, and never taken for a formula by a spreadsheet. */
function cell(text: string): string {
  const plain = /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
  return `"${plain.replaceAll('"', '""')}"`;
}

/** A table as a file (RFC 4180). */
export const csvText = (rows: string[][]): string =>
  rows.map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';

/** Before it, so that spreadsheets take the letters for what they are. */
export const BYTE_ORDER = '\uFEFF';
export const CSV_TYPE = 'text/csv;charset=utf-8';
