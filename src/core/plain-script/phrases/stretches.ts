import { findCounts, hasAmount } from './counts';

/*
 * A class by its stretches of time, one after the other: "First 10 mins: warm up", "Next 15: form", "Last 5: stand". Each
 * reads as what is done and how long: "warm up (10 min)".
 */

const LINE_AT_MOST = 100;
const AT_LEAST = 2;
const STRETCH =
  /^(\s*(?:[-*•] )?)(?:the )?(?:first|next|then|last|final|after that)(?: the)? (\d{1,2}) ?(mins?|minutes|m|['′])?\.? ?(?::|[–—-] ?) ?(\p{L}.*)$/iu;

export function withStretches(lines: readonly string[]): readonly string[] {
  const found = lines.map((line) => (line.length > LINE_AT_MOST ? null : STRETCH.exec(line)));
  const all = found.filter((match) => match !== null);
  if (all.length < AT_LEAST || !all.some((match) => match[3] !== undefined)) return lines;
  return lines.map((line, at) => {
    const [, before = '', minutes = '', , done = ''] = found[at] ?? [];
    return done === '' || hasAmount(findCounts(done).counts) ? line : `${before}${done.replace(/[.:]$/, '')} (${minutes} min)`; // prettier-ignore
  });
}
