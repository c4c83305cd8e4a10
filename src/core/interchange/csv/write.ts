import Papa from 'papaparse';

/** Rows as CSV by RFC 4180: CRLF after every row, quotes where a field needs them. */
export function writeCsv(rows: readonly (readonly (string | number)[])[]): string {
  const data = rows.map((row) => [...row]);
  return data.length === 0 ? '' : `${Papa.unparse(data, { newline: '\r\n' })}\r\n`;
}
