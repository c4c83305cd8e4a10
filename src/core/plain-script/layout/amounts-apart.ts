import { wordCount } from '../model/line-words';
import { NUMBER_IN_WORDS } from '../tokens/tokens';

/*
 * Steps told one behind the other with nothing between them but their amounts: "arm swings one minute knees circling eight
 * each way".
 */

const NUMBER = `(?:\\d{1,3}|(?:twenty|thirty|forty|fifty)[- ](?:one|two|three|four|five|six|seven|eight|nine)|${NUMBER_IN_WORDS}|half an?|an?)`;
const UNIT = '(?:times?|minutes?|mins?|seconds?|secs?|breaths|rounds|reps|hours?)';
const SIDED =
  '(?: (?:on |to |for )?(?:each|every|per|both|a) (?:side|way|arm|leg|foot|hand|direction|sides|ways|legs|arms|directions)| each(?! \\p{L}+s\\b)| left and right| right and left| (?:to the |on the )?(?:left|right|other side)| one way| the other(?: way| side)?| back(?:wards?)?| forwards?| (?:anti|counter)?clockwise| twice| altogether| in total| alternating)';
const AMOUNT = new RegExp(`(?<!\\p{L})${NUMBER}(?: ${UNIT}(?: and a half)?${SIDED}*|${SIDED}+)(?!\\p{L})`, 'giu');
/** What begins with these goes on with the step that was counted. */
const GOES_ON =
  /^(?:and$|and (?!(?:the )?\p{L}+ing\b)|on|in|with|for|at|to|of|or|then|near|by|while|as|if|but|when|until|so|from|holding|starting|beginning|breathing|without|no|just|like|slowly|gently|softly|quietly|eyes|hands|each|per|a\b|an\b|more|the (?:other|left|right|same)|left|right|back|forwards?|keep|don)/iu;
/** Of one step: how long each breath is, and how long it is held. */
const OF_ONE = /\b(?:breath\p{L}*|inhal\p{L}*|exhal\p{L}*|hold\p{L}*|in|out|rest)\b/iu;
const NAME_WORDS = 6;

/** A clause as its steps, each with its amount; the clause alone where it has one. */
export function stepsApart(clause: string): readonly string[] {
  const amounts = [...clause.matchAll(AMOUNT)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
  }));
  const steps: string[] = [];
  let from = 0;
  for (const [at, { to }] of amounts.entries()) {
    const next = amounts[at + 1];
    if (!next) break;
    const between = clause.slice(to, next.from).trim();
    if (between === '' || GOES_ON.test(between) || OF_ONE.test(between) || wordCount(between) > NAME_WORDS) continue;
    steps.push(clause.slice(from, to).trim());
    from = to;
  }
  return [...steps, clause.slice(from).trim()];
}
