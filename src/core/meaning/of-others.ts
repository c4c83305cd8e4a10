import { remembered } from '@/core/units';

/*
 * What is told of somebody who is not in the class: "My teacher could hold his breath for two minutes", "There was a man who
 * stood on one leg", "We held our breath while the ferry turned". Nobody is asked to do it. Common practice, no published source.
 */

const PERSON = `(?:${[
  'm[ae]n|wom[ae]n|girls?|boys?|lad(?:y|ies)|gentlem[ae]n|child(?:ren)?|kids?|baby|people|persons?',
  'teachers?|masters?|monks?|nuns?|friends?|neighbours?|students?|pupils?|colleagues?|caretakers?',
  'cousins?|uncles?|aunts?|aunties?|sisters?|brothers?|fathers?|mothers?|dads?|mums?|(?:grand|god)(?:father|mother|son|daughter|dad|ma|pa|child|children)s?|sons?|daughters?|wife|husband',
  'divers?|sailors?|fisherm[ae]n|dancers?|soldiers?|guards?|acrobats?|jugglers?|singers?|swimmers?|skippers?|farmers?|gardeners?|bakers?|carpenters?|postm[ae]n|doctors?',
].join('|')})`;
const SOMEBODY = `(?:he|she|somebody|someone|(?:some |many |most |other |old |young )?people|(?:my|his|her|an?|the|that|this|one|another|some|two|three|our) (?:[\\p{L}'’-]+ ){0,2}?${PERSON}|(?:his|her) [\\p{L}]+ (?:was|were|is|are|had))\\b`;

/** "Once,", "In the old days", "There was", "You would see". */
const LED = `(?:(?:and|but|so|then|now|well|oh|once|yesterday|years ago|long ago),? )*(?:(?:in|at|on|after|before|during|for|last|one|every) [^.!?]{0,40}?[, ])?(?:there (?:is|was|were|are|used to be) )?(?:(?:you|i|we) (?:(?:would|could|can|might) (?:often |always |still )?)?(?:see|saw|watch|watched|met|knew|know|heard|hear) )?`;
const OF_SOMEBODY = new RegExp(
  `^\\W*${LED}(?:${SOMEBODY}|(?<=\\b(?:see|saw|watch|watched) )(?:him|her|them)\\b)`,
  'iu',
);

/** What was done, by whomever. */
const DONE_THEN =
  'was|were|had|did|used to|stood|bent|held|folded|hung|shook|tapped|closed|shut|lifted|leaned|leant|fell|went|took|jumped|lay|knelt|sat|stopped|forced|pushed|breathed|curled|rolled|dropped|swung';
const THEN = new RegExp(
  `^\\W*${LED}(?:[^.!?,]{3,40}, )?(?:i|we|they|everybody|everyone|nobody)(?: once| never| always| often| all| both)* (?:${DONE_THEN})\\b`,
  'iu',
);
/** Who is spoken to does it as well. */
const YOU_TOO = /\b(?:you|your|yours|let|let['’]?s|lets|like (?:this|that)|this way|(?:now|next|again|this time|today)(?=,? \p{L})|so do we|do the same|copy|try|with (?:him|her|them))\b/iu; // prettier-ignore

/** A text without the sentences that tell of somebody else. */
export const ofThoseHere = remembered((text: string): string => {
  const sentences = text.split(/(?<=[.!?…])\s+/);
  const here = sentences.filter((sentence) => !isOfOthers(sentence));
  return here.length === sentences.length ? text : here.join(' ');
});

function isOfOthers(sentence: string): boolean {
  const match = OF_SOMEBODY.exec(sentence) ?? THEN.exec(sentence);
  return match !== null && !YOU_TOO.test(sentence.slice(match[0].length));
}
