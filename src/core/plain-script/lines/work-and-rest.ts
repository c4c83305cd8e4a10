import { findCounts } from '../phrases/counts';
import { restOf } from '../line-kinds/pauses';
import { reading, type Reading } from '../model/reading';
import { itemAt } from '@/core/units';

/*
 * Work, a rest, and the work again in one line: "Marching feet 1 min, rest 30 s, again", "Harbour wall 1:00 / rest :30 /
 * 1:00", "Rooted tree hold 2 min, shake, hold 2 min".
 */

const LINE_AT_MOST = 160;
const PARTS_AT_MOST = 11;
const BETWEEN = /\s*[,;/|]\s*(?:(?:and|then) )*|\s+[–-]\s+|,? then /;
/** A rest whose time is not told. */
const UNTIMED_REST = /^(?:a )?(?:rest|pause|break|breather|relax|off|shake(?: (?:it )?(?:out|off))?)$/i;
const AGAIN = /^(?:(?:and )?again|repeat(?: it)?|once more|same(?: again)?)[.!]?$/i;
/** A rest without its time, in seconds; common practice, no published source. */
const UNTIMED = 15;
const REST_AT_MOST = 300;

/** The steps with the rests between them; `null` for any other line. */
export function workAndRest(body: string, stepOf: (part: string) => Reading | null): readonly Reading[] | null {
  if (body.length > LINE_AT_MOST || !/rest|pause|break|breather|relax|wait|off|shake/i.test(body)) return null;
  // ":30" is half a minute.
  const parts = body
    .replace(/[.!]$/, '')
    .replace(/(?<=^|\s):(?=\d\d\b)/g, '0:')
    .split(BETWEEN);
  if (parts.length < 3 || parts.length > PARTS_AT_MOST || parts.length % 2 === 0) return null;
  const first = stepOf(itemAt(parts, 0).replace(/ \((?!\d)[^()]*\)/, ''));
  if (!first) return null;
  const found: Reading[] = [{ ...first, unsure: true }];
  for (let at = 1; at < parts.length; at += 2) {
    const seconds = restIn(itemAt(parts, at));
    const next = itemAt(parts, at + 1);
    const work = seconds === null || isOfShake(itemAt(parts, at), next, first) ? null : workIn(next, first);
    if (seconds === null || work === null) return null;
    found.push(reading('pause', 'Rest', { seconds: [seconds, seconds, seconds] }, true), work);
  }
  return found;
}

/** How long a rest is, in seconds; `null` where it is none. */
function restIn(part: string): number | null {
  if (UNTIMED_REST.test(part)) return UNTIMED;
  const [seconds] = restOf(part.replace(SHAKEN, 'rest'))?.counts.seconds ?? [];
  return seconds !== undefined && seconds <= REST_AT_MOST ? seconds : null;
}

/** "shake 15 s": what people do while they rest. */
const SHAKEN = /^(?:shake(?: (?:it )?(?:out|off))?|relax|off)(?= )/i;

/** "post 5 min, shake out, 30 s": how long they shake, and no second post. */
function isOfShake(rest: string, next: string, first: Reading): boolean {
  const { counts, rest: named } = findCounts(next);
  const [seconds] = counts.seconds ?? [];
  return (
    /^(?:shake|relax)/i.test(rest) && named === '' && seconds !== undefined && seconds !== first.counts.seconds?.[0]
  );
}

/** The same work again, or as long as is said there. */
function workIn(part: string, first: Reading): Reading | null {
  const again: Reading = { ...first, unsure: true };
  if (AGAIN.test(part)) return again;
  const { counts, rest } = findCounts(part);
  const { rounds, seconds } = counts;
  if ((rounds === undefined) === (seconds === undefined)) return null;
  const named = rest === '' || /^(?:hold|again)$/i.test(rest) || first.words.toLowerCase().includes(rest.toLowerCase());
  return named ? { ...again, counts: { ...first.counts, ...counts } } : null;
}
