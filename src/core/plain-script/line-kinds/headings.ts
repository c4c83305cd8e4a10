import { itemAt } from '@/core/units';
import type { SectionRole } from '@/core/movement';
import { firstWord, isBreathWord } from '../tokens/first-words';
import { findCounts, hasAmount } from '../phrases/counts';
import { heldTold } from '../phrases/held-postures';
import { layersIn } from './layers-counted';
import { indentOf, wordCount } from '../model/line-words';
import { isCue } from './name-lines';

/* Headings of ordinary writing, and lines of a list. */

/** Lines below one of a list that tell whether it heads them. */
const ITEMS_LOOKED_AT = 12;
/** A longer line heads no list, and is no step in one. */
export const HEAD_AT_MOST = 200;

export const ITEM =
  /^\s*(?:#\d{1,2}[.:)]?(?= )|(?:no\.? ?)?\(?(?:\d{1,3}|\d{1,2}[a-f](?=[.)]))[.):]\)?(?!\d)|\d{1,2}\/(?= +\p{L})|[A-H]\d{1,2}[.):]?(?=\s+[\p{L}("“])|\d{1,3} ?[-–—](?= )|\(\d{1,3}\)|\d{1,2}(?:\.\d{1,2}){1,2}\.?(?=\s+(?!(?:mins?|minutes?|secs?|seconds?|m|s|h|hours?)\b)\p{L})|(?!c\. \d)[a-z][.)]|(?:i{1,3}|iv|vi{0,3}|ix)[.)]|[-*•–—→›»☐☑✓✔▪●◦·○■□➤►]|->|=>|\[[ xX✓]?\])\s+(?:\[.?\]\s*)?/iu;

/** A line that is only the name of a part of a class. */
const PART_WORDS =
  'welcome|before (?:you|we) (?:begin|start)|wu|w/u|w/?-?up|cd|c/d|prep(?:aration)?|mobil(?:ity|is(?:e|ing|ation)|iz(?:e|ing|ation))|introduction|intro|hello|greeting|open(?:ing)?|start|begin(?:ning)?|(?:set|block|part|section) (?:[a-z]|[1-9]|one|two|three|four|five)|core of the (?:class|lesson)|(?:first|second|third|last|other|final) (?:half|third|quarter|block|section|set|part)|(?:opening|closing|main|final) (?:sequence|set|part|block|section|round)|warming|finish|arrive|arrival|arriving|grounding|warm(?:ing)?[- ]?up|wm ?up|loosen(?:ing)?(?: up)?(?: (?:the )?(?:joints|body|shoulders))?|(?:the )?joints|(?:the )?main(?: (?:set|part|section|practice|form|bit|block|thing|exercises))?|(?:the )?exercises|body of (?:the )?(?:class|lesson)|core|form practice|middle|(?:seated|standing|quiet|moving|walking|sitting|floor|breathing|chair) (?:part|set|bit|section|work|warm[- ]?up|exercises|practice|cool[- ]?down|sequence)|(?:the )?(?:set|form|sequence|practice)(?: itself| proper)?|settl(?:e|ing)(?: in| down)?|cool(?:ing)?(?:[- ]?(?:down|off))?|wak(?:e|ing)[- ]up|get(?:ting)? (?:warm|ready|moving|started)|wind(?:ing)?[- ]?down|coming down|unwind(?:ing)?|landing|technique|drills?|stillness|clos(?:e|ing)|end(?:ing)?|goodbye|farewell|thanks|questions|tea|to finish';
/** What ends a class by itself, and is more often said than headed. */
const NO_PART = /^(?:thanks|tea|questions|hello)(?:(?:,| and| &) (?:thanks|tea|questions|goodbye|hello))*$/i;
const PART = new RegExp(`^(?:${PART_WORDS})(?:(?:,| and| &| [+]| [/]) (?:${PART_WORDS}))*$`, 'i');

const SPEAKS_OF_PART = new RegExp(`\\b(?:${PART_WORDS})\\b`, 'i');

/** Whether a line holds the name of a part anywhere; most do not, and need no further look. */
export function speaksOfPart(line: string): boolean {
  return SPEAKS_OF_PART.test(line);
}

/** Whether a heading is the usual name of a part, and so of no class. */
export function namesPart(title: string): boolean {
  return PART.test(title.trim());
}

/** The part of a class that a heading names; the main set where it names none. */
export function roleOf(title: string): SectionRole {
  const found = ROLES.find(([, words]) => words.test(title));
  return found ? found[0] : 'main';
}

const ROLES: readonly (readonly [SectionRole, RegExp])[] = [
  ['welcome', /welcom|intro|greet/i],
  ['arrival', /arriv|ground|cent(?:er|re)ing|stance|settle in/i],
  ['loosening', /warm|^wm? ?\/?-?up?\b|loosen|shak|joint|wak(?:e|ing)[- ]up/i],
  ['closing', /clos|end\b|ending|finish|thank|farewell/i],
  ['settling', /settl|still|quiet|cool|wind(?:ing)?[- ]?down|coming down|unwind|medit|rest/i],
];

/** "II. Preparatory exercises (8 min.)", "B. Form, part 2 (25)": the upper numbers of an outline. */
const OUTLINE_HEAD =
  /^\s*(?:[IVX]{1,4}|[A-H])[.)] +(\p{L}[^()]{1,50}?)(?: ?\((?:about |approx\.? |~)?\d[^()]{0,12}\)|(?<=\b(?:part|section|half|block|set)) ?\([^()\d]{2,40}\))?\.?$/u;

export function isOutlineHead(line: string): boolean {
  return OUTLINE_HEAD.test(line);
}

/** Whether what stands below a line is a list, or parts of it by their numbers, and the line itself is none of one. */
export function opensList(line: string, below: string): boolean {
  // What stands further in than the list below it tells of the step above.
  if (below.trim() !== '' && indentOf(line) > indentOf(below)) return false;
  const number = /^\s*(\d{1,2})[.)]? /.exec(line)?.[1];
  if (number !== undefined) return below.trimStart().startsWith(`${number}.1`);
  // "Standing behind the chair (15 min)" over lines that stand further in.
  if (
    /^\p{Lu}[^()\d]{2,40}(?: \d{1,2})? \(\d(?![^()]*(?:x\b|×|times|rounds|reps|each|per\b))[^()]{0,10}\)$/u.test(
      line.trimEnd(),
    ) &&
    /^\s{2,}\S/.test(below)
  )
    return true;
  // "Rowing" over "- arms only x4, add the feet x4".
  if (isItem(below) && layersIn(withoutMark(below)) !== null) return false;
  if (isOutlineHead(line) && isItem(below) && !isOutlineHead(below)) return true;
  // Between two numbers of one list a line is a remark on the first.
  const next = /^\s*\(?(\d{1,2})[.)]/.exec(below)?.[1];
  return !isItem(line) && isItem(below) && (next === undefined || next === '1');
}

/** Whether the items further in below an item are steps of their own, each with a name and an amount: "• Loosening". */
export function opensItems(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at);
  if (line.length > HEAD_AT_MOST || !isItem(line)) return false;
  const furtherIn: string[] = [];
  for (const below of lines.slice(at + 1, at + 1 + ITEMS_LOOKED_AT)) {
    if (below.trim() === '') continue;
    if (below.length > HEAD_AT_MOST || !isItem(below) || !(indentOf(below) > indentOf(line) || isLower(line, below)))
      break;
    furtherIn.push(below);
  }
  const [first = ''] = furtherIn;
  if (first === '' || hasAmount(findCounts(line.replace(ITEM, '')).counts)) return false;
  const own = furtherIn.filter((below) => indentOf(below) === indentOf(first));
  // "• Welcome" over what is said there.
  if (namesPart(line.replace(ITEM, '').replace(/[.:]$/, ''))) return true;
  const steps = own
    .map((below) => below.replace(ITEM, ''))
    .filter((below) => layersIn(below) === null)
    .map((below) => findCounts(heldTold(below) ?? below))
    .filter(({ counts, rest }) => hasAmount(counts) && rest !== '');
  return steps.length > 0 && steps.length >= own.length / 2;
}

/** "Arms" over "  Open the curtains 6x" and "  Pull the rope 6x", which stand further in without a mark. */
export function opensInset(lines: readonly string[], at: number): boolean {
  const line = itemAt(lines, at);
  if (!NAME_OVER.test(line)) return false;
  const furtherIn: string[] = [];
  for (const below of lines.slice(at + 1, at + 1 + ITEMS_LOOKED_AT)) {
    if (below.trim() === '' || below.length > HEAD_AT_MOST || !/^\s{2,}\S/.test(below)) break;
    furtherIn.push(below.trim());
  }
  if (furtherIn.length < 2 || furtherIn.some((below) => isItem(below) || layersIn(below) !== null)) return false;
  const steps = furtherIn.filter((below) => {
    const { counts, rest } = findCounts(below);
    return hasAmount(counts) && STEP_NAME.test(rest.trim()) && !isCue(rest);
  });
  return steps.length >= 2 && steps.length > furtherIn.length / 2;
}

const NAME_OVER = /^\p{Lu}\p{L}+(?: (?:\p{L}+|[&+])){0,2}\s*$/u;
/** What only says how it is done is no name of its own. */
const STEP_NAME =
  /^(?!(?:each|both|per|slow(?:ly)?|eas(?:y|ily)|left|right|in|out|then|with|on|for|rounds?|times|reps)\b)\p{L}{3}/iu;

/** Whether a line of a list is one of those below another by its mark: "i." or "a)" or a dash under "2)". */
function isLower(line: string, below: string): boolean {
  if (indentOf(below) !== indentOf(line) || !/^\s*(?:\d{1,2}|[A-H]|[IVX]{1,4})[.)] /.test(line)) return false;
  return /^\s*(?:(?:[a-h]|i{1,3}|iv|vi{0,3}|ix|x)[.)]|[-*•–▪●◦·○]) /.test(below);
}

/**
 * A short line above a list, without amounts but for a time in brackets, names a part, in small letters where it is one
 * of a list itself; `null` where it says something.
 */
export function headOfList(text: string, anyCase = false): string | null {
  const outline = OUTLINE_HEAD.exec(text);
  if (outline) return itemAt(outline, 1);
  const bare = text
    .replace(/^(?:slide|station|page|card|screen|phase|stage|module|block|part|section|unit) ?\d{1,2} ?[:.–-] ?/i, '')
    .replace(/ ?\((\p{L}+(?: \p{L}+)?)\)$/u, (all, inside: string) => (isCue(inside) ? all : ''))
    .replace(/^\d{1,2}(?:[.)]| ?[-–—])? +/, '')
    .replace(/ ?\((?:about |approx\.? |~)?\d[^()]{0,12}\)$/i, '')
    .replace(/(?<=\p{L}{2})\.$/u, '');
  if (/[.!?,;:“”"()\d]/.test(bare.replace(/(?<=\p{L}) \d{1,2}$/u, '')) || wordCount(bare) > 4) return null;
  return anyCase || /^\p{Lu}/u.test(bare) ? bare : null;
}

/** Whether a line is one of a list: numbered, or behind a dash or a dot. */
export function isItem(line: string): boolean {
  return ITEM.test(line);
}

/** A line without what sets it off in a list. */
export function withoutMark(line: string): string {
  return line.replace(ITEM, '');
}

/** Whether a line has a number before it: "3.", "(3)", "B2". */
export function isNumbered(line: string): boolean {
  return ITEM.test(line) && /^\s*(?:no\.? ?|[A-H])?\(?\d/i.test(line);
}

/** Whether a line stands behind a dash or a dot. */
export function isDashed(line: string): boolean {
  return /^\s*[-*•–] /.test(line);
}

/** "HOW MANY: 8", "BREATH: out": a label, and no heading in capitals. */
const LABELLED =
  /^(?:exercise|movement|move|form|name|activity|what|duration|length|how (?:many|often|long)|rounds|reps|times?|sides?|breath|cue|say|note|rest|pause|silence|levels?|caution|in|out|option|seated): \S/i;

/** "FLOW (15 mins)": how long a part lasts is no part of its name. */
const ITS_TIME =
  /(?<=\S) ?[([](?:about |approx\.? |~)?\d{1,3}(?: ?[-–] ?\d{1,3})? ?(?:mins?|minutes?|m|['′])\.?[)\]]$|(?<=\S) ?[([]\d{1,2}:\d{2}[)\]]$|(?<=\p{L})(?: [–—-]|,) \d{1,3} ?(?:mins?|minutes?|m|['′]|secs?|seconds?)\.?$/iu;

/** A heading: with `#`, in capitals where not all is, the name of a part of a class, or short with a colon at its end. */
export function headingOf(text: string, shouted: boolean): string | null {
  const heading = headingIn(text, shouted);
  return heading === null ? null : withoutItsTime(heading);
}

/** The name of a part without how long it lasts. */
export function withoutItsTime(heading: string): string {
  return heading.replace(ITS_TIME, '');
}

/** "### Segment 2: Basics". */
const OF_SERIES =
  /^(?:block|part|section|unit|phase|segment|stage|step) (?:[a-h]|\d{1,2}|one|two|three|four|five|six|seven) ?(?:[:.,]| [–-]) (?=\p{L})/iu;

/** "SLOW SQUAT (1:30): 5 ×": what is done in a time. */
const TIMED_THEN = /\(\d{1,2}:\d{2}\):? \S/;

function headingIn(text: string, shouted: boolean): string | null {
  const marked =
    /^#{1,6}\s+(.*?)\s*#*$/.exec(text) ??
    /^[~*=_>|+–—-]{1,4} ?(\p{L}[^~*=_<|+:.!?]{1,40}?)(?<!\d) ?[~*=_<|+–—-]{1,4}$/u.exec(text);
  if (marked && !/^(?:no|not|never|don['’]?t)\b/i.test(itemAt(marked, 1)))
    return itemAt(marked, 1).replace(OF_SERIES, '');
  const block =
    /^(?:block|part|section|unit|phase|segment|stage) (?:[a-h]|\d{1,2}|one|two|three|four|five) ?(?:[:.,]| [–-]) (?!with(?:out)?\b|add\b|plus\b|the same\b|now\b)(\p{L}[^:.!?\d]{1,40})\.?$/iu.exec(
      text,
    );
  if (block) return itemAt(block, 1);
  const numbered = /^\d{1,2}(?:[.:)]| ?[–-])? (\p{L}[\p{L} -]{2,30}?)(?: \(([^()]*)\))?\.?$/u.exec(text);
  if (numbered && PART.test(itemAt(numbered, 1))) return itemAt(numbered, 1);
  const upper = /^(?:[IVX]{1,4}|[A-H])[.)] +(\p{L}[\p{L} -]{2,30})$/u.exec(text);
  if (upper && PART.test(itemAt(upper, 1)) && !NO_PART.test(itemAt(upper, 1))) return itemAt(upper, 1);
  const roman =
    /^(?:[ivx]{1,4}|[a-z])[.)] +(\p{Lu}[\p{Lu} -]{2,30})$/u.exec(text) ??
    /^[IVX]{1,4}[.)] +(\p{Lu}[\p{Lu} -]{2,30})$/u.exec(text);
  if (roman && !shouted) return itemAt(roman, 1);
  const lettered = shouted ? null : /^[A-H]\. +(\p{Lu}[^.!?:;()\d]{2,40})$/u.exec(text);
  if (lettered) return itemAt(lettered, 1);
  if (ITEM.test(text)) return null;
  // "Warm-up (5 min)", "WU (5')": the time in brackets is no part of its name.
  const timed =
    /^(.{2,40}?) ?\((?:about |approx\.? |~)?\d(?![^()]*(?:breath|times|rounds|reps|x\b|×|each))[^()]{0,12}\)$/i.exec(
      text,
    );
  if (timed && PART.test(itemAt(timed, 1))) return itemAt(timed, 1);
  // "Closing (shou shi)".
  const glossed =
    /^(.{2,40}?) ?\((?!(?:in|ex)hal|in\)|out\)|breath)(?!(?:one|two|three|four|five|six|seven|eight|nine|ten)\b)(?:\p{L}{2,12} ?){1,3}\)$/iu.exec(
      text,
    );
  if (glossed && PART.test(itemAt(glossed, 1)) && !NO_PART.test(itemAt(glossed, 1))) return text;
  const part = /^(?:first|second|third|next|last) (?:bit|part|block|half|section): (.{2,40})$/i.exec(text);
  if (part) return itemAt(part, 1);
  // "Hello and welcome." is said.
  if (/^(?:hello|hi|welcome|goodbye|farewell)\b.*[.!]$/i.test(text)) return null;
  const bare = text.replace(/:$/, '').replace(/[.!]+$/, '');
  if (PART.test(bare) && !NO_PART.test(bare)) return bare;
  if (LABELLED.test(text)) return null;
  if (
    !shouted &&
    text.length <= 60 &&
    !TIMED_THEN.test(text) &&
    !/\d ?[x×]|[x×] ?\d/i.test(text) &&
    isInCapitals(text.replace(/ \([^()]*\)$/, ''))
  )
    return bare;
  const colon = /^([^:.!?]{2,50}):$/.exec(text);
  // A letter begins so, and no part of a class.
  if (/^(?:hi|hey|hello|hiya|dear)\b|\b(?:wrote|writes|said|says|asked):$/i.test(text)) return null;
  return colon && !isBreathWord(firstWord(text)) ? itemAt(colon, 1) : null;
}

function isInCapitals(text: string): boolean {
  if (text !== text.toUpperCase()) return false;
  const letters = text.replace(/[^\p{L}]/gu, '');
  return letters.length >= 3 && letters !== letters.toLowerCase();
}
