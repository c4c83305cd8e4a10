/** Rows as CSV by RFC 4180: CRLF after every row, quotes where a field needs them. */
export function writeCsv(rows: readonly (readonly (string | number)[])[]): string {
  return rows.map((row) => `${row.map(field).join(',')}\r\n`).join('');
}

function field(value: string | number): string {
  const text = String(value);
  return /[",\r\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text;
}
