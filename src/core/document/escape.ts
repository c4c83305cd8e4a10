/*
 * Texts inside a line. A backslash keeps the next character as it is; `\n` is a new line, `\r` a return, `\t` a tab, `\_` a space
 * at an edge.
 */

/** Text as it stands in a line of the tidy form. */
export function escapeText(text: string): string {
  return text
    .replace(/\\/g, '\\\\')
    .replace(/\n/g, '\\n')
    .replace(/\r/g, '\\r')
    .replace(/\t/g, '\\t')
    .replace(/\|/g, '\\|')
    .replace(/\((?=pause)/gi, '\\(')
    .replace(/^ +| +$/g, (spaces) => '\\_'.repeat(spaces.length));
}

/** The text that was written. */
export function unescapeText(text: string): string {
  return text.replace(/\\(.)/gsu, (_, kept: string) => ({ n: '\n', r: '\r', t: '\t', _: ' ' })[kept] ?? kept);
}

/** The parts of a line between bars that are not escaped, as written; spaces around a bar do not count. */
export function splitBars(text: string): string[] {
  const parts: string[] = [''];
  for (let at = 0; at < text.length; at++) {
    if (text[at] === '\\') parts[parts.length - 1] += text.slice(at, ++at + 1);
    else if (text[at] === '|') parts.push('');
    else parts[parts.length - 1] += text.charAt(at);
  }
  return parts.map((part) => part.replace(/^ +/, '').replace(/ +$/, ''));
}
