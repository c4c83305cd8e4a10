import { firstItems } from '@/core/units';
import Papa from 'papaparse';

/**
 * CSV by RFC 4180, read tolerantly: rows may end in LF alone, a byte order mark is passed over, and the separator is
 * a comma, or a semicolon or tab where the first row has more of these. Never fails: what is odd is kept as it stands.
 */
export function readCsv(text: string): string[][] {
  const plain = text.startsWith('\uFEFF') ? text.slice(1) : text;
  const { data } = Papa.parse<string[]>(plain, { delimiter: separatorOf(plain) });
  // A text that ends in a line end has an empty row after it.
  const last = data.at(-1);
  return last?.length === 1 && last[0] === '' ? data.slice(0, -1) : data;
}

function separatorOf(text: string): string {
  const [first] = firstItems(text.split(/\r|\n/, 1), 1);
  const count = (sign: string): number => first.split(sign).length;
  return [',', ';', '\t'].reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}
