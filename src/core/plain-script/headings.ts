import { itemAt } from '@/core/units';
import type { SectionRole } from '@/core/movement';
import { firstWord, isBreathWord } from './first-words';

/* Headings of ordinary writing, and lines of a list. */

export const ITEM =
  /^\s*(?:(?:no\.? ?)?\(?(?:\d{1,3})[.):]\)?(?!\d)|\d{1,3} [-–](?= )|\(\d{1,3}\)|\d{1,2}(?:\.\d{1,2}){1,2}\.?(?=\s+(?!(?:mins?|minutes?|secs?|seconds?|m|s|h|hours?)\b)\p{L})|[a-z][.)]|(?:i{1,3}|iv|vi{0,3}|ix)[.)]|[-*•–—])\s+(?:\[.?\]\s*)?/iu;

/** A line that is only the name of a part of a class. */
const PART_WORDS =
  'welcome|introduction|intro|hello|greeting|open(?:ing)?|start|begin(?:ning)?|set [a-z]|block [a-z]|part [a-z]|warming|finish|arrive|arrival|arriving|grounding|warm(?:ing)?[- ]?up|loosen(?:ing)?(?: (?:the |up )?(?:joints|body|shoulders))?|(?:the )?joints|(?:the )?main(?: (?:set|part|section|practice|bit|block|thing))?|core|form practice|middle|(?:the )?(?:set|form|sequence|practice)|settl(?:e|ing)(?: in| down)?|cool[- ]?down|stillness|clos(?:e|ing)|end(?:ing)?|goodbye|farewell|thanks|questions|tea|to finish';
/** What ends a class by itself, and is more often said than headed. */
const NO_PART = /^(?:thanks|tea|questions|hello)$/i;
const PART = new RegExp(`^(?:${PART_WORDS})(?:(?:,| and| &| [+]| [/]) (?:${PART_WORDS}))*$`, 'i');

/** The part of a class that a heading names; the main set where it names none. */
export function roleOf(title: string): SectionRole {
  const found = ROLES.find(([, words]) => words.test(title));
  return found ? found[0] : 'main';
}

const ROLES: readonly (readonly [SectionRole, RegExp])[] = [
  ['welcome', /welcom|intro|greet/i],
  ['arrival', /arriv|ground|cent(?:er|re)ing|stance|settle in/i],
  ['loosening', /warm|loosen|shak|joint/i],
  ['closing', /clos|end\b|ending|finish|thank|farewell/i],
  ['settling', /settl|still|quiet|cool|medit|rest/i],
];

/** Whether a line is one of a list: numbered, or behind a dash or a dot. */
export function isItem(line: string): boolean {
  return ITEM.test(line);
}

/** A heading: with `#`, in capitals where not all is, the name of a part of a class, or short with a colon at its end. */
export function headingOf(text: string, shouted: boolean): string | null {
  const marked =
    /^#{1,6}\s+(.*?)\s*#*$/.exec(text) ??
    /^[~*=_>|+–—-]{1,4} ?(\p{L}[^~*=_<|+:.!?]{1,40}?) ?[~*=_<|+–—-]{1,4}$/u.exec(text);
  if (marked) return itemAt(marked, 1);
  const numbered = /^\d{1,2}\.? (\p{L}[\p{L} -]{2,30}?)(?: \(([^()]*)\))?$/u.exec(text);
  if (numbered && PART.test(itemAt(numbered, 1))) return itemAt(numbered, 1);
  const roman =
    /^(?:[ivx]{1,4}|[a-z])[.)] +(\p{Lu}[\p{Lu} -]{2,30})$/u.exec(text) ??
    /^[IVX]{1,4}[.)] +(\p{Lu}[\p{Lu} -]{2,30})$/u.exec(text);
  if (roman && !shouted) return itemAt(roman, 1);
  if (ITEM.test(text)) return null;
  const part = /^(?:first|second|third|next|last) (?:bit|part|block|half|section): (.{2,40})$/i.exec(text);
  if (part) return itemAt(part, 1);
  const bare = text.replace(/:$/, '').replace(/[.!]+$/, '');
  if (PART.test(bare) && !NO_PART.test(bare)) return bare;
  const letters = text.replace(/[^\p{L}]/gu, '');
  const capitals = letters.length >= 3 && letters === letters.toUpperCase() && letters !== letters.toLowerCase();
  if (capitals && !shouted && text.length <= 60) return bare;
  const colon = /^([^:.!?]{2,50}):$/.exec(text);
  return colon && !isBreathWord(firstWord(text)) ? itemAt(colon, 1) : null;
}
