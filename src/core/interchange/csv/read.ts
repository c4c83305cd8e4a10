/**
 * CSV by RFC 4180, read tolerantly: rows may end in LF alone, a byte order mark is passed over, and the separator is
 * a comma, or a semicolon or tab where the first row has more of these. A quote inside an unquoted field is itself.
 */
export function readCsv(text: string): string[][] {
  const plain = text.startsWith('\uFEFF') ? text.slice(1) : text;
  const separator = separatorOf(plain);
  const rows: string[][] = [];
  let row: string[] = [];
  let value = '';
  let quoted = false;
  const endField = (): void => {
    row.push(value);
    value = '';
  };
  const endRow = (): void => {
    endField();
    rows.push(row);
    row = [];
  };
  for (let at = 0; at < plain.length; at++) {
    const sign = plain[at];
    if (quoted) {
      if (sign !== '"') value += sign;
      else if (plain[at + 1] === '"') {
        value += '"';
        at++;
      } else quoted = false;
    } else if (sign === '"' && value === '') quoted = true;
    else if (sign === separator) endField();
    else if (sign === '\n' || sign === '\r') {
      if (sign === '\r' && plain[at + 1] === '\n') at++;
      endRow();
    } else value += sign;
  }
  if (value !== '' || row.length > 0) endRow();
  return rows;
}

function separatorOf(text: string): string {
  const [first] = text.split(/\r|\n/, 1);
  const count = (sign: string): number => first.split(sign).length;
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}
