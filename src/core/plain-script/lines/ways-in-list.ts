import { findCounts } from '../phrases/counts';
import { capitalised } from '../model/line-words';
import { reading, type Reading } from '../model/reading';

/*
 * The ways in which one movement is practised, a line of a list each: "- together x4", "- left only x3", "- both sides
 * with the breath x6". Each is a step that is called so, and no setting of the one above, which has its own amount.
 */

const LINE_AT_MOST = 80;
const AMOUNT = /,? ?(?:[x×] ?\d{1,2}|\d{1,2} ?(?:[x×]|times|rounds|reps))(?![\p{L}\d])\.?/giu;
const WAY =
  /^(?:(?:all |everyone |everybody )?together|(?:(?:just|only) )?(?:left|right)(?: (?:side|arm|leg|hand|foot))?(?: only| alone)?|(?:both|each) (?:sides?|arms|legs|hands|feet)|one (?:side|arm|leg|hand)|alternating(?: sides)?|slowly|slower|faster|with(?:out)? (?:the |their |your )?(?:breath|arms|legs|steps?|words?|music|me|feet|hands|weight shift)|(?:on|at) (?:their|your) own(?: pace)?)\b/iu;

/** A way as a step with its rounds; `null` for any other line. */
export function wayInList(body: string): Reading | null {
  if (body.length > LINE_AT_MOST || !WAY.test(body)) return null;
  const { counts, bare } = findCounts(body);
  const { rounds, seconds, ownPace: _, ...others } = counts;
  if (rounds === undefined || bare || seconds !== undefined || others.hold !== undefined) return null;
  const name = capitalised(body.replace(AMOUNT, '').replace(/[\s,.;:–-]+$/, '').replace(/ ,/g, ',')); // prettier-ignore
  return name === '' || /\d/.test(name) ? null : reading('movement', name, counts, true);
}
