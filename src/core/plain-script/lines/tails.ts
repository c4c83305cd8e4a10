import { isManner, withoutRestBehind } from '../phrases/breath-counts';
import { findCounts, hasAmount } from '../phrases/counts';
import { isHeld } from '../phrases/held-postures';
import { isStill, TALK_STARTS } from '../line-kinds/line-signs';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { ON_ROUNDS } from './several';
import { wordCount } from '../model/line-words';
import type { Counts } from '../model/model';
import { bareName } from '../phrases/names';

/*
 * What is told behind a step in its line: "Rowing x8. Keep the elbows low.", "Stand for two minutes … soft jaw". The name
 * and its amounts stand before a stop or another mark, and nothing behind it counts anything.
 */

const LINE_AT_MOST = 300;
const HEAD_AT_MOST = 90;
const WORDS_OF_A_HEAD = 14;

const WORDS_OF_A_SENTENCE = 6;
const MANNER_THEN_SENTENCE = /^(?:\p{L}+ ){0,2}\p{L}+[.!] \p{Lu}\p{L}+ /u;
const BARE_FROM = 3;
const NUMBERED =
  /^(?:exercise|ex|movement|move|form|part|step|number|no|set|section|drill|station|posture|piece)\.? ?\d{1,2}[a-z]?$/i;
const STAMP = /^\s*(?:[-*•] )?[[(]?\d{1,2}:\d{2}(?: ?[-–—] ?\d{1,2}:\d{2})?[\])]?\s+/;

/** What may stand between them. */
const APART =
  /\s*\.{2,}\s*|\s*…\s*|[.!](?=\s)\s*|[;:,]\s+|\s+[–—-]\s+|\s*—\s*|\s+\/{1,2}\s+|\s*\|\s+|\s*(?:→|->|=>)\s*|\s+[=>#+]\s*|\s+\*+(?=\p{L})|\s*\t\s*|\s+(?=["“(])|\s+(?=n\.?b\.?\b)/giu;

/** What goes on with the amounts, or only says how it is done. */
const GOES_ON =
  /^(?:or|and|&|then|if (?:there|time|we|needed)|max|min|about|approx|roughly|maybe|each|per|both|either|left|right|l\b|r\b|alternat|other|opposite|same|repeat|again|swap|switch|chang|revers|one (?:after|at a)|the (?:other|opposite)|back (?:the|to)|(?:for |with )both (?:legs|feet|sides)|(?:sides?|legs?|foot|arms?|hands?)[.)]*$|more|less|total|in (?:all|total)|altogether|optional|own pace|only |just (?:on )?(?:the |one )|on (?:the|one|your) |free\b|unguided|everyone|(?:very |really |nice and |quite )?(?:slow(?:ly)?|eas(?:y|ily)|gentl[ey]|soft(?:ly)?|relaxed|calm(?:ly)?|quick(?:ly)?|small|big|low|high)[.!)]*$)/i;

/** Another amount, under a condition. */
const OTHERWISE =
  /^(?:(?:or|but|only) )?(?:[x×] ?)?\d{1,3}[^()]{0,14} (?:if|when|for (?:the|those|beginners))\b[^()]*$/i;

/** A step with its amounts, and what is told behind it. */
export interface Tailed {
  readonly head: string;
  readonly tail: string;
  /** Whether the tail has amounts as well, which the step may have. */
  readonly counted?: true;
}

/** Both, where a line has both; else `null`. */
export function headAndTail(text: string): Tailed | null {
  if (text.length > LINE_AT_MOST || !MAY_COUNT.test(text) || TALK_STARTS.test(text)) return null;
  for (const mark of text.matchAll(APART)) {
    const head = text.slice(0, mark.index).trimEnd();
    if (head.length > HEAD_AT_MOST || wordCount(head) > WORDS_OF_A_HEAD) return null;
    if (!/\p{L}{2}/u.test(head) || !MAY_COUNT.test(head)) continue;
    if (head.split('(').length !== head.split(')').length) continue;
    // "Exercise 1: …" is numbered.
    if (NUMBERED.test(head)) return null;
    const { counts, rest, bare } = findCounts(head.replace(STAMP, ''));
    if (!hasAmount(counts) || rest === '' || (bare && (counts.rounds ?? 0) < BARE_FROM)) continue;
    // "10 min: gentle joints, feet up": behind its amount a name may go on.
    if (/^\s*(?:[:,]|[–—-])/.test(mark[0]) && endsWithName(head, rest)) continue;
    const tail = untagged(text.slice(mark.index + mark[0].length));
    if (ON_ROUNDS.test(tail)) return { head, tail };
    if (withoutRestBehind(`, ${tail}`)) return null;
    // "x8 (x10 if lively)".
    if (/^\s*$/.test(mark[0]) && OTHERWISE.test(tail)) return { head, tail, counted: true };
    // "15 s per leg, x2 - Maria uses the chair": the amounts go on.
    if (/^\s*,/.test(mark[0]) && /^[x×] ?\d/i.test(tail)) continue;
    const counted = findCounts(tail).counts;
    if (!/\p{L}{2}/u.test(tail) || /^\W*\d/.test(tail) || GOES_ON.test(tail) || isHeld(tail)) return null;
    if (Object.keys(counted).length === 0) return { head, tail };
    // "Six times, slowly. Let them watch once first."
    if (mark[0].trim() === ',' && MANNER_THEN_SENTENCE.test(tail)) continue;
    // A sentence of its own, with an amount in it.
    return /^[.!]/.test(mark[0].trim()) && wordCount(tail) >= WORDS_OF_A_SENTENCE
      ? { head, tail, counted: true }
      : null;
  }
  return null;
}

/** Whether what a head ends with is of its name, and not its amount. */
function endsWithName(head: string, name: string): boolean {
  const last = /[\p{L}'’-]+$/u.exec(name)?.[0] ?? '';
  return last !== '' && head.replace(/[)\].!]+$/, '').endsWith(last);
}

/** Without the marks around it. */
function untagged(tail: string): string {
  return tail
    .trim()
    .replace(/^n\.?b\.?:? +/i, '')
    .replace(/^\(([^()]*)\)\.?$|^["“]([^"“”]*)["”]\.?$|^(\p{L}[^*]*)\*+$/u, (_, ...inside: (string | undefined)[]) => inside.slice(0, 3).find((one) => one !== undefined) ?? ''); // prettier-ignore
}

/** "5x each way, no rush", "2 min. Look far ahead.": the amount of the step above, and what is told of it; `null` for any other line. */
export function amountThenTold(text: string): { readonly counts: Counts; readonly tail: string } | null {
  if (text.length > AMOUNT_UP_TO || !MAY_COUNT.test(text)) return null;
  const [, head = '', tail = ''] = AMOUNT_THEN_TOLD.exec(text) ?? [];
  if (tail === '' || MAY_COUNT.test(tail) || isStill(tail) || GOES_ON.test(tail.replace(/^\((?:then |and )*/, '')))
    return null;
  const { counts, rest } = findCounts(head);
  // What stands behind it may tell which sides.
  if (JSON.stringify(counts) !== JSON.stringify(findCounts(text).counts)) return null;
  const alone = bareName(rest);
  const isOwn = /\bbreaths?\b/i.test(head);
  return hasAmount(counts) && !isOwn && (alone === '' || isManner(alone)) ? { counts, tail } : null;
}

const AMOUNT_UP_TO = 200;
const AMOUNT_THEN_TOLD = /^(\(?[\p{L}\d~½×][^,;–—-]{0,30}?)(?:[.,;]| [–—-]|(?= \()) ?(\(?\p{L}.{2,})$/u;
