import { findCounts } from '../phrases/counts';
import { singleSpaced } from '../model/line-words';
import { withoutMarkup } from '../tokens/spelled-out';
import { reading, type Reading } from '../model/reading';

/*
 * What stands between the title of a class and its first step, and is no step: when and where it is, who gives it, for
 * whom, which of a series it is, how long, and that it is a plan.
 */

const LINE_AT_MOST = 60;
const DAY = '(?:mon|tues?|wed(?:nes)?|thu(?:rs?)?|fri|sat(?:ur)?|sun)(?:days?)?\\.?';
/** With its capital, in a pattern that tells capitals apart. */
const DAY_NAMES = 'Mon|Tue|Wed|Thu|Fri|Sat|Sun';
const MONTH = '(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)'; // prettier-ignore
const DATE = `(?:\\d{1,2}(?:st|nd|rd|th)?\\.? (?:of )?${MONTH}(?:,? \\d{2,4})?|${MONTH} (?:\\d{1,2}(?:st|nd|rd|th)?(?:,? \\d{4})?|\\d{4})|\\d{1,2}[./-]\\d{1,2}[./-]?(?:\\d{2,4})?|\\d{4}-\\d{2}-\\d{2})`; // prettier-ignore
const HOUR = "(?:\\d{1,2}(?:[:.]\\d{2})? ?(?:[ap]\\.?m\\.?|h|o[’']clock)?|noon|six|seven|eight|nine|ten|eleven|twelve)";
const WHEN = new RegExp(
  `^(?:(?:every |on )?${DAY}(?:,? (?:the )?${DATE})?(?:,? (?:at |from )?${HOUR}(?: ?(?:-|–|to) ?${HOUR})?)?(?: (?:morning|afternoon|evening|class|group))?|${DATE}(?:,? (?:at )?${HOUR})?|(?:class )?(?:starts?|begins?|doors(?: open)?|from)(?: at)? ${HOUR}(?: ?(?:-|–|to) ?${HOUR})?)$`,
  'i',
);
/** "By Wren", "with Wren", "Name: Wren", "Wren, Tuesday 10 am". */
const WHO = new RegExp(
  `^(?:(?:[Bb]y|[Ww]ith|[Ll]ed by|[Tt]aught by|[Tt]eacher:?|[Ii]nstructor:?|[Nn]ame:) \\p{Lu}[\\p{L}'’-]+(?: \\p{Lu}[\\p{L}'’.-]*)?|\\p{Lu}[\\p{L}'’-]+, (?:${DAY_NAMES}).{0,24})$`,
  'u',
);
const WHICH = /^(?:(?:week|class|session|lesson|video|episode|part|take|no\.?|number|term|module|day) ?#?\d{1,3}(?: ?(?:of|\/) ?\d{1,3})?|version \d[\d.]*|v ?\d[\d.]*|(?:rough |first |final )?draft(?: \d)?|(?:last )?(?:updated|edited|revised|changed)(?: on)?:? .{3,24})$/i; // prettier-ignore
const PLAN = /^(?:(?:my |the |a |rough |short |class |lesson |session |course )*(?:plan|programme|program|outline|overview|running order|order|contents|script|schedule|notes|handout)(?: (?:for|of) .{3,30})?|recording(?: for .{3,30})?|live(?: ?stream)?|online(?: class| session)?|(?:what|how) we (?:will )?do(?: today)?|today)[:.]?$/i; // prettier-ignore
const WHERE = /^(?:(?:at|in) the )?(?:\p{L}+ ){0,2}(?:hall|room|studio|centre|center|gym|park|garden|church|school|library)(?: \d{1,2})?$/iu; // prettier-ignore
const FOR_WHOM = /^(?:(?:suitable )?for )?(?:(?:absolute |complete |all )?(?:beginners|seniors|elders|regulars|improvers|newcomers|everyone|everybody|all)|(?:all|any|mixed|every) (?:levels?|abilit(?:y|ies)|ages?)|(?:\p{L}+ )?(?:seniors|beginners|office|carers|patients|mixed)(?: (?:group|class))|(?:chair|seated|standing|mixed)(?: (?:group|class))?)$/iu; // prettier-ignore
const LENGTH = /^(?:(?:total |planned )?(?:runtime|target|length|duration|time)|max(?:imum)?|at most|up to|no more than)[ :]+(.{2,16})$/i; // prettier-ignore
const CLASS_FROM = 240;
/** "Equipment: none", "Difficulty: easy". */
const KIT = /^(?:bring|equipment|props|materials|music|playlist|style|format|setting|space|difficulty|intensity|class size|prerequisites|dress|clothing|footwear|season|location|language|camera|lighting)(?: needed)?: \S/i; // prettier-ignore

/** Between what is told in one line: "Tuesday 19:00, with Wren | 20 min". */
const BETWEEN = /, | [|•·–—-] | {2,}/;

/** What a line above the first step tells of the class; `null` where it may be a step, a part, or said. */
export function aboveSteps(line: string): readonly Reading[] | null {
  const text = singleSpaced(withoutMarkup(line.trim()));
  if (text === '' || text.length > LINE_AT_MOST) return null;
  const whole = toldIn(text);
  if (whole) return [whole];
  const parts = line.trim().split(BETWEEN);
  const found = parts.length < 2 ? [] : parts.map((part) => toldIn(part) ?? lengthAlone(part));
  return found.every((one) => one !== null) && found.length > 0 ? found.map((one) => ({ ...one, unsure: true })) : null;
}

function toldIn(text: string): Reading | null {
  const [, length = ''] = LENGTH.exec(text) ?? [];
  const known = lengthAlone(length);
  if (known) return known;
  if (FOR_WHOM.test(text)) return { ...reading('setting', text), about: 'audience' };
  if (KIT.test(text)) return reading('nothing', '', {}, true);
  const told = [WHEN, WHO, WHICH, PLAN, WHERE].some((one) => one.test(text));
  return told ? reading('setting', text, {}, true) : null;
}

/** "20:00", "60 min". */
function lengthAlone(text: string): Reading | null {
  const { counts, rest } = findCounts(text);
  const [seconds = 0] = counts.seconds ?? [];
  const long = seconds >= CLASS_FROM && rest === '' && counts.rounds === undefined;
  return long ? reading('setting', '', { seconds: counts.seconds }) : null;
}
