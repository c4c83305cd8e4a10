import type { Leg } from '@/core/words';
import { itemAt } from '@/core/units';
import { timesOver } from '../phrases/amounts';
import { namesPart, withoutMark } from '../line-kinds/headings';
import { IN_ANOTHER_WAY, indentOf, singleSpaced } from '../model/line-words';
import { isCounted } from '../line-kinds/name-lines';
import { NUMBER_WORDS } from '../tokens/tokens';

/*
 * Steps that are written once and done again on the other side: "On the left: … Same on the right", "On each side: …",
 * "Repeat the last three on the other side". Such lines are short and use few words; those are known here.
 */

/** What a line tells of steps that are done on both sides, or several times over; each `times` counts all of them. */
export type DoneAgain =
  /** The steps below it, up to the line that says so; `stance` is the change of place that it is itself. */
  | { readonly what: 'opens'; readonly side: Leg; readonly stance: string | null }
  /** The steps from the line that opened them on, so many above, those by their numbers, or all of the part: a guess. */
  | { readonly what: 'again'; readonly of: StepsMeant }
  /** The last line of a list that stands under "On each side:". */
  | { readonly what: 'wraps'; readonly side: Leg; readonly to: number }
  /** The same, for steps that are done so many times over. */
  | { readonly what: 'repeats'; readonly of: Exclude<StepsMeant, 'opened'>; readonly times: number }
  | { readonly what: 'wraps-times'; readonly times: number; readonly to: number };

/** Those from the line that opened them on, all of the part so far, the last so many, or those by their numbers. */
export type StepsMeant = 'opened' | 'all' | number | readonly [from: number, to: number];

const LINE_AT_MOST = 70;
const WORDS_AT_MOST = 14;
const LOOKED_AT = 40;
const STEPS_AT_MOST = 30;

const LIMB = 'sides?|legs?|foot|feet|arms?|hands?';
/** "On the left:", "Left side first", "All on the left first", "With the left foot forward". */
const ONE_SIDE = new RegExp(
  `^(?:(?:first|start|begin|starting|beginning),? )?(?:all |everything )?(?:(?:on|to|with) )?(?:the |your )?(left|right)(?: (?:${LIMB}))?(?: (?:forwards?|in front|leading|leads))?(?:,? first)?(?: ?[:–—-])?$|^(l|r)(?: side)? ?:$`,
  'i',
);
/** "Left foot forward": a change of place itself. */
const STANCE = /^(?:left|right) (?:leg|foot) (?:forwards?|in front)$/i;

const words = (all: string): ReadonlySet<string> => new Set(all.split(' '));
const SIDE_WORDS = words('left right l r other opposite second');
const TURNING = words('switch swap change');
const LIMBS = words('side sides leg legs foot feet arm arms hand hands direction way');
const AGAIN = words('same again repeat repeated rpt mirror mirrored');
const WHOLE = words(
  'all everything whole lot sequence series block set these those them exercises movements moves steps forms three two four five six',
);
const SMALL = words(
  'and then now so next finally the a of that this it thing do done on to with for at in too as well also over once more just exactly we you they last from start top beginning go back turn nos no numbers number exercise step movement form both above everyone please let’s lets',
);

/** The words of a short line in small letters, without marks; `null` for a longer one. */
function wordsOf(line: string): readonly string[] | null {
  const text = singleSpaced(withoutMark(line).trim());
  if (text === '' || text.length > LINE_AT_MOST) return null;
  const found = text.toLowerCase().replace(/[^\p{L}\d’×–-]+/gu, ' ').trim().split(' '); // prettier-ignore
  return found.length > WORDS_AT_MOST ? null : found.filter((one) => !/^[–-]+$/.test(one));
}

const BOTH = new RegExp(`\\bboth\\b(?! (?:the |of the )?(?:${LIMB}))`);
/** "2, 3 and 4". */
const LISTED = /(?<![\d:])(\d{1,2})(?:, ?\d{1,2})*,? (?:and|&) (\d{1,2})(?![\d:])/;
const RANGE = /(?<![\d:])(\d{1,2}) ?(?:-|–|—|to|until|through) ?(\d{1,2})(?![\d:])/;

/** Whether a line says that what stands above is done again on the other side, and of what; `null` where it does not. */
function againOf(line: string): 'above' | 'all' | number | readonly [number, number] | null {
  const found = wordsOf(line);
  if (!found) return null;
  const bare = withoutMark(line).toLowerCase();
  const range = RANGE.exec(bare) ?? LISTED.exec(bare);
  let [sided, turned, again, whole, limb, each] = [false, false, false, false, false, false];
  let count: number | null = null;
  for (const one of found) {
    if (one === 'both' || one === 'each' || one === 'every') {
      each = true;
      continue;
    }
    const number = NUMBER_WORDS.get(one) ?? (/^\d{1,2}$/.test(one) ? Number(one) : null);
    if (number !== null) count = number;
    if (SIDE_WORDS.has(one)) sided = true;
    else if (TURNING.has(one)) turned = true;
    else if (AGAIN.has(one)) again = true;
    else if (WHOLE.has(one)) whole = true;
    else if (LIMBS.has(one)) limb = true;
    else if (number === null && !SMALL.has(one) && !/^\d{1,2}[–-]\d{1,2}$/.test(one)) return null;
  }
  if (count === null && BOTH.test(bare) && (again || whole || /\b(?:each|every)\b/.test(bare))) count = 2;
  // "All three on both sides": behind a word for what is meant.
  const onEach = each && limb && (whole || count !== null);
  if (!(sided || onEach || (turned && limb && again))) return null;

  if (range && (again || limb)) return [Number(range[1]), Number(range[2])];
  // "Four to the left", "all the way to the right" are how one step goes.
  const told = again || onEach || found.includes('on') || found.includes('whole');
  if (count !== null) return count >= 2 && count <= STEPS_AT_MOST && (told || found.includes('last')) ? count : null;
  if (whole) return told && !found.includes('way') ? 'all' : null;
  return 'above';
}

const REPEATING = words('repeat repeated rpt again twice thrice through times time x');
const OVER = words('round rounds set sets circuit circuits following go goes way');

/** The word that says how often: "twice", "three times", "x2"; `null` where none does. */
function oftenIn(text: string): string | null {
  const [, word, figure, named] = /\b(?:(twice|thrice)|[x×] ?(\d)|(\d|two|three|four|five|six) ?(?:x|×|times|rounds|sets|goes)\b)/.exec(text) ?? []; // prettier-ignore
  return word ?? figure ?? named ?? null;
}

/** How it is done this time: "… again, but with eyes closed". */
const MANNER = new RegExp(
  `(?:,? (?:but|this time|now|and|(?:the )?second (?:time|round|go)))* (?:${IN_ANOTHER_WAY})[.!]?$`,
  'i',
);

/** "Repeat 2-4 if there is time". */
const IF_TIME =
  /,? \(?(?:if (?:there is|there['’]s|we have|you have|i have|we['’]ve got)?(?: still| some| enough)* ?(?:time|minutes)(?: left| over)?|time permitting)\)?[.!]?$/i;

/** "Repeat A-D". */
const LETTERS = /\b([A-H]) ?(?:-|–|to|through) ?([A-H])\b/;
const numberOfLetter = (letter: string): number => letter.charCodeAt(0) - 'A'.charCodeAt(0) + 1;

/** "Repeat the last two", "All three again", "The whole set once more", "Repeat 2-4 twice"; `null` for anything else. */
function repeatOf(written: string): Extract<DoneAgain, { what: 'repeats' }> | null {
  const line = written.replace(IF_TIME, '').replace(MANNER, '').replace(LETTERS, (_, from: string, to: string) => `${numberOfLetter(from)}-${numberOfLetter(to)}`); // prettier-ignore
  const found = wordsOf(line);
  const bare = withoutMark(line).toLowerCase();
  if (!found || !/\b(?:repeat|again|rpt|once more|twice|times|[x×] ?\d|\d ?[x×])(?![\p{L}\d])/u.test(bare)) return null;
  const known = found.every((one) => [AGAIN, WHOLE, SMALL, REPEATING, OVER].some((set) => set.has(one)) || NUMBER_WORDS.has(one) || /^(?:\d{1,2}(?:[–-]\d{1,2})?|\d[x×]|[x×]\d)$/.test(one)); // prettier-ignore
  if (!known) return null;
  const times = timesOver(oftenIn(bare) ?? 'twice');
  const without = bare.replace(/\b(?:twice|thrice|[x×] ?\d|(?:\d|two|three|four|five|six) ?(?:x|×|times)\b)/, ' ');
  const range = RANGE.exec(without) ?? LISTED.exec(without);
  const [, count = null] = /\b(?:last|all|these|those|the|both|same) (\d{1,2}|two|three|four|five|six)\b/.exec(without) ?? []; // prettier-ignore
  const number = count === null ? (/\bboth\b/.test(without) ? 2 : null) : (NUMBER_WORDS.get(count) ?? Number(count));
  const whole = /\b(?:all|everything|whole|sequence|series|set|circuit|lot|from the (?:top|start|beginning))\b/.test(
    without,
  );
  const of = range ? ([Number(range[1]), Number(range[2])] as const) : (number ?? (whole ? 'all' : null));
  if (of === null || times === null || (typeof of === 'number' && of < 2)) return null;
  return { what: 'repeats', of, times };
}

/** "Twice through:", "Two rounds of:", "Do this circuit 3 times:": over a list. */
function timesThrough(line: string): number | null {
  const found = wordsOf(line);
  if (!found || !/:\s*$/.test(line)) return null;
  const known = found.every(
    (one) => [WHOLE, SMALL, REPEATING, OVER].some((set) => set.has(one)) || /^(?:\d|\d[x×]|[x×]\d)$/.test(one),
  );
  const often = known ? oftenIn(line.toLowerCase()) : null;
  return often === null ? null : timesOver(often);
}

/** "On each side:", "Left, then the same right:": over a list that is done on both sides. */
function isEachSide(line: string): boolean {
  const found = wordsOf(line);
  if (!found || !/:\s*$/.test(line)) return false;
  const known = words('each every both following one first left right other');
  if (!found.every((one) => [known, LIMBS, AGAIN, WHOLE, SMALL].some((set) => set.has(one)))) return false;
  const has = (...all: readonly string[]): boolean => all.every((one) => found.includes(one));
  const limb = found.some((one) => LIMBS.has(one));
  return (
    (limb && (has('each') || has('both') || has('every'))) || has('left', 'right') || (limb && has('one', 'other'))
  );
}

/** For each line what it tells of steps that are done on both sides; most tell nothing. */
export function doneAgain(lines: readonly string[]): ReadonlyMap<number, DoneAgain> {
  const found = new Map<number, DoneAgain>();
  let opened: number | null = null;
  lines.forEach((line, at) => {
    if (line.length > 2 * LINE_AT_MOST || !(MAY_TELL.test(line) || ONLY_TIMES.test(line))) {
      if (isHead(line)) opened = null;
      return;
    }
    const through = timesThrough(line);
    const end = through === null ? null : endOfList(lines, at);
    if (through !== null && end !== null) {
      found.set(at, { what: 'wraps-times', times: through, to: end });
      return;
    }
    const text = singleSpaced(withoutMark(line).trim());
    const [, word, letter] = ONE_SIDE.exec(text) ?? [];
    if (word ?? letter) {
      const side: Leg = /^l/i.test(word ?? letter ?? '') ? 'left' : 'right';
      if (closesBelow(lines, at, side)) {
        found.set(at, { what: 'opens', side, stance: STANCE.test(text) ? text : null });
        opened = at;
        return;
      }
    }
    const to = isEachSide(line) ? endOfList(lines, at) : null;
    if (to !== null) {
      const [named] = /\b(?:left|right)\b/i.exec(text) ?? [];
      found.set(at, { what: 'wraps', side: named?.toLowerCase() === 'right' ? 'right' : 'left', to });
      return;
    }
    const of = word !== undefined && /:\s*$/.test(line) ? null : againOf(line);
    if (of !== null && opened !== null) {
      found.set(at, { what: 'again', of: 'opened' });
      opened = null;
    } else if (of !== null && of !== 'above') found.set(at, { what: 'again', of });
    const repeats = of === null ? (timesBelow(lines, at) ?? repeatOf(line)) : null;
    if (repeats) found.set(at, repeats);
  });
  return found;
}

/** A line without any of these tells nothing of sides, and of nothing that is done again. */
const MAY_TELL =
  /\b(?:repeat|rpt|again|twice|thrice|times|rounds|sets|through|more|[x×] ?\d|\d ?[x×]|left|right|l|r|other|opposite|each|both|every|sides?|legs?|feet|second)\b/i;

function isHead(line: string): boolean {
  return /^#/.test(line) || namesPart(line.trim().replace(/:$/, ''));
}

/** Whether a line below says that all is done again, before another part or side begins. */
function closesBelow(lines: readonly string[], at: number, side: Leg): boolean {
  let steps = 0;
  for (const line of lines.slice(at + 1, at + LOOKED_AT)) {
    if (isHead(line)) return false;
    if (ONE_SIDE.test(singleSpaced(withoutMark(line).trim())) && /:\s*$/.test(line)) return false;
    const again = againOf(line);
    const same = new RegExp(`\\b${side}\\b`, 'i').test(line);
    if (again !== null && steps > 0 && !same) return true;
    if (isCounted(line)) steps++;
  }
  return false;
}

/** "x2", "3 times", and nothing else. */
const ONLY_TIMES = /^\s*\(?(?:[x×] ?([2-4])|([2-4]) ?(?:[x×]|times)|(twice|thrice))\)?[.]?$/i;
const COUNTED_ABOVE = 3;

/** How often the steps right above are done, where each has its amount already; `null` where one may lack it. */
function timesBelow(lines: readonly string[], at: number): Extract<DoneAgain, { what: 'repeats' }> | null {
  const [, before, behind, word] = ONLY_TIMES.exec(itemAt(lines, at)) ?? [];
  const times = timesOver(before ?? behind ?? word ?? '');
  if (times === null) return null;
  let of = 0;
  while (at - of > 0 && of < STEPS_AT_MOST && hasItsAmount(itemAt(lines, at - of - 1))) of++;
  return of < COUNTED_ABOVE ? null : { what: 'repeats', of, times };
}

function hasItsAmount(line: string): boolean {
  return line.length <= 2 * LINE_AT_MOST && /\d/.test(withoutMark(line)) && /\p{L}{3}/u.test(line) && !isHead(line);
}

/** The last line of the list under a line: of what stands further in, else up to an empty line; `null` where two steps do not. */
function endOfList(lines: readonly string[], at: number): number | null {
  const indent = indentOf(itemAt(lines, at));
  const furtherIn = indentOf(lines[at + 1] ?? '') > indent;
  let [to, steps] = [at, 0];
  for (let next = at + 1; next < Math.min(lines.length, at + LOOKED_AT); next++) {
    const line = itemAt(lines, next);
    if (line.trim() === '' && !furtherIn) break;
    if (line.trim() === '') continue;
    if (isHead(line) || (furtherIn && indentOf(line) <= indent)) break;
    // "then stand 2 min", behind the list.
    if (steps >= 2 && !furtherIn && /^\s*(?:and )?(?:then|after that|finally)\b/i.test(line)) break;
    if (isCounted(line)) steps++;
    to = next;
  }
  return steps >= 2 ? to : null;
}
