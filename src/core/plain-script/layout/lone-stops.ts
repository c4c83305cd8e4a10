import { isItem, withoutMark } from '../line-kinds/headings';
import { wordCount } from '../model/line-words';
import { isCounted } from '../line-kinds/name-lines';

/*
 * "- The left hand follows." in a list whose other lines have no stop: a sentence that is said, and no name.
 */

const ITEMS_AT_LEAST = 3;
const STOPPED_AT_MOST = 1 / 3;
const WORDS_AT_LEAST = 3;
const LONGEST = 200;
const STOPPED = /\p{L}\.\s*$/u;

/** For each line whether it is one of a list, without an amount, and has a stop where most of the others have none. */
export function loneStops(lines: readonly string[]): readonly boolean[] {
  const items = lines.filter((line) => line.length <= LONGEST && isItem(line));
  const stopped = items.filter((line) => STOPPED.test(line)).length;
  const isLone = items.length >= ITEMS_AT_LEAST && stopped > 0 && stopped <= STOPPED_AT_MOST * items.length;
  return lines.map(
    (line) =>
      isLone &&
      line.length <= LONGEST &&
      STOPPED.test(line) &&
      isItem(line) &&
      wordCount(withoutMark(line)) >= WORDS_AT_LEAST &&
      !isCounted(line),
  );
}
