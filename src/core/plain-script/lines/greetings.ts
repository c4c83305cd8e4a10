import { findCounts } from '../phrases/counts';
import { CLASS_FROM, type LineKind } from '../model/model';
import { reading, type Reading } from '../model/reading';

/* Who greets the class by name says it, whatever is counted in the line; how long the class is may be told there. */

const LONGEST = 300;
const GREETS =
  /^(?:hi|hello|hey|welcome|good (?:morning|afternoon|evening))\b[^.!?]{0,60}(?:[.!] )?.{0,40}?\b(?:I['’]m|I am|my name(?:['’]s| is)|this is|it['’]s) \p{Lu}\p{Ll}+/iu;

/** What a teacher says who tells a name at the start, with the length of the class where that is told; else `null`. */
export function greetingIn(body: string, under: LineKind): readonly Reading[] | null {
  if (body.length > LONGEST || (under !== 'nothing' && under !== 'talk') || !GREETS.test(body)) return null;
  const { seconds } = findCounts(body).counts;
  const long = seconds !== undefined && seconds[0] >= SHORTEST ? [reading('setting', '', { seconds })] : [];
  return [...long, reading('said', body)];
}

/** Seconds; less is no class, but something that is done in it. */
const SHORTEST = CLASS_FROM / 2;
