import { itemAt } from '@/core/units';
import { eachAlike } from '../phrases/alike';
import { ITEM } from '../line-kinds/headings';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * A list in one line, and below it how much each of it has: "neck, shoulders, hips, knees" over "10 each". They are read
 * as one line; the other stays empty.
 */

const EACH = new RegExp(
  `^\\(?((?:[x×] ?)?(?:\\d{1,2}|${NUMBER_IN_WORDS})(?: ?(?:[x×]|times|reps|rounds|circles|s|secs?|seconds|m|mins?|minutes?))?) (?:of )?(?:each|ea)\\.?(?: one| way)?\\)?[.]?$`,
  'iu',
);

/** The lines with such amounts behind their lists. */
export function withEachBelow(lines: readonly string[]): readonly string[] {
  const out = [...lines];
  lines.forEach((line, at) => {
    const amount = EACH.exec((lines[at + 1] ?? '').trim())?.[1];
    if (amount === undefined) return;
    const mark = ITEM.exec(line)?.[0] ?? itemAt(/^\s*/.exec(line) ?? [''], 0);
    const joined = `${line.slice(mark.length).replace(/[.:]$/, '')}, ${amount} each`;
    if (!eachAlike(joined)) return;
    out[at] = mark + joined;
    out[at + 1] = '';
  });
  return out;
}
