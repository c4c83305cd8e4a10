import { findCounts } from '../phrases/counts';
import { reading, type Reading } from '../model/reading';

/*
 * Below a movement that is led: that people go on with it by themselves for a time. "Then on their own for 2 min",
 * "everybody did it on their own for three minutes and I called them back with the bell".
 */

const LINE_AT_MOST = 140;
const WHO = '(?:(?:every(?:body|one)|all|they|people|each(?: one| person)?|the (?:class|group)|you|we|let them|have them|let everyone) )?'; // prettier-ignore
const DOING =
  '(?:(?:all )?(?:do|did|does|doing|goes?|going|went|carry|carries|carried|continue[sd]?|continuing|keep|kept|repeat(?:s|ed)?|practi[cs](?:e|es|ed|ing)|mov(?:e|es|ed|ing)|work(?:s|ed|ing)?|play(?:s|ed|ing)?)(?: (?:it|that|this|on|going|with it|the same|moving|practising))* )?';
const OWN =
  '(?:alone|unled|unguided|freely|without (?:me|cues|words|counting)|by (?:themselves|yourselves|yourself|oneself)|(?:(?:on|at|in|by) )?(?:their|your|his|her|our|its) own(?: (?:pace|time|rhythm|breath|tempo|speed))?|(?:at |in )?own (?:pace|time|rhythm))';
const GOES_ON = new RegExp(
  `^(?:and |then |after that,? |afterwards,? |now )*${WHO}${DOING}${OWN}(?=[\\s,:.;–—-]|$)`,
  'iu',
);
const TIME_FIRST = new RegExp(`^(?:and |then |after that,? |now )*(?:(?:for |another )?(.{2,20}?) )(?:of )?${DOING}${OWN}[.!]?$`, 'iu'); // prettier-ignore
const CALLED =
  /[,;]? ?(?:(?:and|then|until) )*(?:(?:I|we|you) )?(?:call(?:ed|s)?|bring|brought|r[ai]ng|got|get)(?: (?:them|everyone|everybody|people|you|us|all))?(?: all)?(?: back)?(?: (?:in|together))?(?: (?:with|by) (?:the |a )?(?:bell|gong|bowl|chime|voice)|(?: the| a)? (?:bell|gong|bowl|chime))?[.!]?$/i;

/** By itself "own pace, 2 min" is a step of its own. */
const REFERS =
  /^(?:and|then|after that|afterwards)\b|\b(?:d(?:o|id|oes|oing) (?:it|that|this)|(?:go(?:es|ing)?|went|carr(?:y|ies|ied|ying)) on|continu\p{L}+|ke(?:ep|pt) (?:going|moving|it)|repeat\p{L}*|practi[cs]\p{L}+)\b/iu;

/** How long people go on by themselves below what was led; `null` where a line tells of anything else. */
export function ownAfter(body: string, inset: boolean): Reading | null {
  if (body.length > LINE_AT_MOST || !/\b(?:own|alone|un(?:led|guided)|freely|without|by)\b/i.test(body)) return null;
  const told = GOES_ON.exec(body)?.[0];
  const time = told === undefined ? TIME_FIRST.exec(body)?.[1] : body.slice(told.length).replace(CALLED, '');
  const { counts, rest } = findCounts((time ?? '').replace(/^[\s,:.;–—-]+|[.!]$/g, ''));
  const { seconds, ...others } = counts;
  if (!inset && !REFERS.test(body)) return null;
  if (seconds === undefined || Object.keys(others).length > 0 || rest !== '') return null;
  return reading('setting', '', { seconds, ownPace: true }, true);
}
