import { itemAt } from '@/core/units';
import type { FoundCounts } from '../phrases/amounts-found';
import { findCounts, hasAmount } from '../phrases/counts';
import { ITEM } from '../line-kinds/headings';
import type { Counts } from '../model/model';
import { bareName, isDoubtful } from '../phrases/names';
import { spelledOut } from '../tokens/spelled-out';

/*
 * What is written with a look at the line above: "Tide going out, mirror of the one above", "Hips: same as above". A step
 * with a name of its own, as often or as long as that one.
 */

const LINE_AT_MOST = 100;
/** A line without any of these looks at none above. */
const LOOKS_UP = /same|above|again|ditto|repeat|other|opposite|last|before|previous/i;
/** Further up nobody looks. */
const LINES_UP = 6;
const AS_ABOVE =
  /^(\p{L}[^,:()\d]{2,50}?)(?:[,:]| [–-]| \()\s?(?:(?:the |a )?mirror(?:ed|s)?(?: image)?|(?:exactly |just )?(?:the )?same|ditto|as (?:many|long|often))(?: (?:of|as|like|to|again|number|length))*,? ?(?:(?:in )?the )?(?:above|one above|last(?: one)?|one before|previous(?: one)?|before)\)?[.]?$/iu;
/** Of a side or a way: the step above itself. */
const ITSELF = /\b(?:left|right|other|sides?|legs?|l|r)\b/i;

/** "as above but eyes closed, 6", "same, silent x8", "same w/ step x4 each": the step above, done in another way. */
const AGAIN_AS =
  /^(?:as above|same(?: as (?:above|before))?(?: again| thing)?|ditto|(?:again|repeat)(?=[,:]| (?:but|with|w\/|[–-]))|repeat (?:that|it|above))(?:[,:]| [–-])?((?: (?:but|with|w\/|only|and|this time|now|in))*) ?((?!(?:the|all|last|whole|both|these|those|everything|from|each|every|one|more)\b)\p{L}[\p{L} '’-]{2,30}?)[,:]? ((?:[x×] ?)?\d[^,]{0,24})$/iu;

/** The lines with what "as above" stands for written out. */
export function withAmountsOfAbove(lines: readonly string[]): readonly string[] {
  const told: string[] = [];
  for (const line of lines) told.push(asAbove(line, told));
  return told;
}

/** "Sorting the Ropes, other side", behind a step of that name. */
const OTHER_SIDE =
  /^(\p{L}[\p{L} '’-]{2,50}?)(?:,| [–-]| \(|:)? (?:(?:on|to) )?(?:the )?(?:other|opposite) (?:side|leg|foot|arm)\)?[.]?$/iu;

function asAbove(line: string, above: readonly string[]): string {
  if (line.length > LINE_AT_MOST || !LOOKS_UP.test(line)) return line;
  const mark = ITEM.exec(line)?.[0] ?? /^\s*/.exec(line)?.[0] ?? '';
  const body = line.slice(mark.length).trimEnd();
  const likeAbove = AS_ABOVE.exec(body)?.[1];
  const often = likeAbove === undefined || ITSELF.test(likeAbove) ? null : amountAbove(above);
  if (likeAbove !== undefined && often !== null) return `${mark}${likeAbove}, ${often}`;
  const other = OTHER_SIDE.exec(body)?.[1];
  if (other !== undefined) return other.toLowerCase() === nameAbove(above)?.toLowerCase() ? 'other side' : line;
  const again = againOtherwise(body);
  if (again !== null) return mark + again;
  const [, how = '', manner = '', amount = ''] = AGAIN_AS.exec(body) ?? [];
  if (manner === '' || ITSELF.test(manner) || ITSELF.test(amount.replace(/\b(?:each|per|a|both) (?:side|leg)s?/i, '')))
    return line;
  const name = hasAmount(findCounts(`x, ${amount}`).counts) ? nameAbove(above) : null;
  const joined = / (?:with|w\/|in)$/i.test(how) ? `${/w/i.test(how) ? 'with' : 'in'} ${manner}` : manner;
  return name === null ? line : `${mark}${name}, ${amount}. Now ${joined}.`;
}

/** "Swimming Carp again 4x but w/ eyes closed", "Swimming Carp again but lower, 2L 2R": a name, its amount, and how it is done now. */
const AMOUNT = '(?:[x×] ?)?\\d{1,2} ?(?:[x×]|times|[LR] \\d{1,2} ?[LR])?(?: (?:each (?:side|way)|per side|ea))?';
const AGAIN = "^(?!(?:the )?(?:same|all|that|this|it|everything)\\b)(\\p{L}[\\p{L} '’-]{2,40}?),? again,?";
const AGAIN_NAMED = new RegExp(`${AGAIN} (${AMOUNT}),? (?:but|only|this time)(?: (?:with|w\\/))? (\\p{L}[\\p{L} ]{2,40})[.]?$`, 'iu'); // prettier-ignore
const AGAIN_BUT = new RegExp(`${AGAIN} (?:but|only|this time)(?: (?:with|w\\/))? (\\p{L}[\\p{L} ]{2,40}?),? (${AMOUNT})[.]?$`, 'iu'); // prettier-ignore

function againOtherwise(body: string): string | null {
  const [, name = '', amount = '', manner = ''] = AGAIN_NAMED.exec(body) ?? [];
  if (name !== '') return `${name}, ${amount}. Now ${manner}.`;
  const [, named = '', how = '', often = ''] = AGAIN_BUT.exec(body) ?? [];
  return named === '' ? null : `${named}, ${often}. Now ${how}.`;
}

/** The nearest step above that has an amount, as its line is written. */
function stepAbove(above: readonly string[]): FoundCounts | null {
  for (let up = above.length - 1; up >= 0 && up >= above.length - LINES_UP; up--) {
    const line = itemAt(above, up);
    if (line.length > LINE_AT_MOST) return null;
    const found = findCounts(spelledOut(line.replace(ITEM, '').replace(/ ?\([^()]*\)$/, '')));
    if (hasAmount(found.counts) && found.rest !== '') return found;
  }
  return null;
}

function nameAbove(above: readonly string[]): string | null {
  const name = bareName((stepAbove(above)?.rest ?? '').replace(/,.*$/, ''));
  return name === '' || isDoubtful(name) ? null : name;
}

function amountAbove(above: readonly string[]): string | null {
  const found = stepAbove(above);
  return found && inWords(found.counts);
}

const SIDES: Readonly<Record<string, string>> = {
  alternating: ' each side',
  'both-directions': ' each way',
  'turn-by-turn': ' in all, alternating',
};

/** An amount as it is written of a step; `null` where it is more than that. */
function inWords({ rounds, seconds, sides = 'together' }: Counts): string | null {
  const side = sides === 'together' ? '' : SIDES[sides];
  if (side === undefined) return null;
  if (rounds !== undefined) return `${rounds} times${side}`;
  return seconds === undefined || sides !== 'together' ? null : `${seconds[0]} s`;
}
