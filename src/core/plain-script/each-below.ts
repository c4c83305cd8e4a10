import { itemAt } from '@/core/units';
import { findCounts, hasAmount } from './counts';
import { ITEM } from './headings';
import { NUMBER_IN_WORDS } from './tokens';

/*
 * A list in one line, and below it how much each of it has: "neck, shoulders, hips, knees" over "10 each". They are read
 * as one line; the other stays empty.
 */

const LIST_AT_MOST = 160;
const LISTED = 3;
const NAME = /^\p{L}[\p{L}'’-]*(?: [\p{L}'’-]+){0,3}$/u;
const BETWEEN = /, (?:and )?| and | & | \+ | \/ /;
const LABEL = /^\p{L}[^:,]{2,24}: /u;
const EACH = new RegExp(
  `^\\(?((?:[x×] ?)?(?:\\d{1,2}|${NUMBER_IN_WORDS})(?: ?(?:[x×]|times|reps|rounds|circles|s|secs?|seconds|m|mins?|minutes?))?) (?:of )?(?:each|ea)\\.?(?: one| way)?\\)?[.]?$`,
  'iu',
);

/** The lines with such amounts behind their lists. */
export function withEachBelow(lines: readonly string[]): readonly string[] {
  const out = [...lines];
  lines.forEach((line, at) => {
    const amount = EACH.exec((lines[at + 1] ?? '').trim())?.[1];
    if (amount === undefined || line.length > LIST_AT_MOST) return;
    const mark = ITEM.exec(line)?.[0] ?? itemAt(/^\s*/.exec(line) ?? [''], 0);
    const list = line.slice(mark.length).replace(/[.:]$/, '');
    const names = list.replace(LABEL, '').split(BETWEEN);
    if (names.length < LISTED || !names.every((one) => NAME.test(one)) || hasAmount(findCounts(list).counts)) return;
    out[at] = `${mark}${list}, ${amount} each`;
    out[at + 1] = '';
  });
  return out;
}
