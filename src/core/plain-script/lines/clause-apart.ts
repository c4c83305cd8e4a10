import { MAY_COUNT } from '../line-kinds/name-lines';
import { reading, type Reading } from '../model/reading';

/* A clause that stands in the line of a step and is no part of it: what comes before it, or what somebody else does. */

/** "Everybody finds a place and we stand for two minutes.": the last clause is what is done. */
const THEN_STILL =
  /^(.{8,90}?),? and (?:then )?((?:we|they|you|all|everyone|everybody) (?:(?:all|just|then|simply) )*(?:stand|sit|lie|rest|wait)s?\b.*)$/iu;
/** "post standing for 3 minutes (Jelle did 5!)": what somebody did is no amount of it. */
const OF_SOMEBODY =
  /^([^()]{4,90}) \(([^()]*\b(?:did|managed|wanted|wants|prefers?|likes?|said|can|could)\b[^()]*)\)[.]?$/i;

/** The step as `read` reads it without the clause, which is said in it; `null` where a line has none. */
export function clauseApart(
  body: string,
  item: boolean,
  read: (part: string) => readonly Reading[],
): readonly Reading[] | null {
  const [, counted = '', aside = ''] = OF_SOMEBODY.exec(body) ?? [];
  if (counted !== '' && MAY_COUNT.test(counted) && MAY_COUNT.test(aside))
    return [...read(counted), reading('said', aside)];
  const [, before = '', still = ''] = item ? [] : (THEN_STILL.exec(body) ?? []);
  if (before === '' || MAY_COUNT.test(before)) return null;
  const found = read(still);
  return found[0]?.kind === 'silence' ? [...found, reading('said', before)] : null;
}
