import { labelledAs } from './labelled';
import { breathsTold } from './asides';
import { breathsOf } from './breath-lines';
import { findCounts, hasAmount } from '../phrases/counts';
import { asSentence } from '../model/line-words';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { callBackIn } from '../line-kinds/step-settings';
import { reading, type Reading } from '../model/reading';

/*
 * What is told of a step behind its amounts, in the same line, and has figures or a way of its own: when people are called
 * back, what is done on the last round, a caution behind its label, its breath.
 */

const LINE_AT_MOST = 240;
const MAY_TELL =
  /\bthen\b.*(?:silen|still|quiet)|back\b|\b(?:bell|gong|bowl|chime|last|caution|careful|contra|warning|inhal|breathe|in\b.*\bout)/i;
/** What stands between a step and what is told of it. */
const APART = /[,;.]\s+(?:(?:and|then) )*|\s+[–—|/-]\s+/gu;
/** "hold the last one for 3 breaths", "stay in the last for 10 s": on the last round. */
const ON_LAST =
  /^(?:and |then )*(?:(?:the )?last (?:one|round|time|rep)[:,]? (?:hold|stay|pause|linger)\b.{0,30}$|(?:hold|stay (?:in|on|with)|pause (?:in|on)|keep|linger (?:in|on)) (?:the |your )?(?:very )?last(?: (?:one|round|time|rep|go))?\b.{0,40}$)/i;
/** "Nine breaths, then silence": as long as there is time for it. */
const THEN_QUIET =
  /^(.{4,}?)[,;.]? (?:and )?then,? (?:(?:just|in|into|a (?:long|short|little)|some) )*(silence|stillness|quiet|(?:be|stand|sit|lie|rest|stay) (?:still|quiet|quietly|silently|in (?:silence|stillness)))[.!]?$/iu;
const WARNED = /^(?:caution|careful|be careful|contra-?indications?|c\/i|warning|watch out)(?: ?: ?| [–—-] )/i;
const BREATHED = /^(?:with (?:the |each )?)?(?:inhal|exhal|breathe (?:in|out)|in\b|out\b)/i;

/** A step with its amounts, and what is told of it. */
export interface ToldBehind {
  readonly head: string;
  readonly told: readonly Reading[];
}

/** Both, where a line has both; else `null`. */
export function toldBehind(text: string): ToldBehind | null {
  if (text.length > LINE_AT_MOST || !MAY_TELL.test(text) || !MAY_COUNT.test(text)) return null;
  const [, done = '', quiet = ''] = THEN_QUIET.exec(text) ?? [];
  if (quiet !== '' && hasAmount(findCounts(done).counts)) return { head: done, told: [reading('silence', quiet, {}, true)] }; // prettier-ignore
  for (const mark of text.matchAll(APART)) {
    const head = text.slice(0, mark.index).trimEnd();
    const told = tellsOf(text.slice(mark.index + mark[0].length));
    if (told && MAY_COUNT.test(head) && hasAmount(findCounts(head).counts)) return { head, told };
  }
  return null;
}

function tellsOf(clause: string): readonly Reading[] | null {
  const back = callBackIn(clause);
  if (back) return [{ ...reading('setting', back.callBackWords ?? clause), sets: back }];
  const last = onLast(clause);
  if (last) return [last];
  if (WARNED.test(clause)) return labelledAs(clause, 'movement');
  if (!BREATHED.test(clause)) return null;
  const breaths = breathsTold(clause) ?? breathsOf(clause);
  return breaths.length === 2 && breaths[0]?.kind !== breaths[1]?.kind ? breaths : null;
}

/** What is done on the last round of the step above; `null` for anything else. */
export function onLast(clause: string): Reading | null {
  if (!ON_LAST.test(clause)) return null;
  return { ...reading('setting', clause), sets: { during: asSentence(clause), place: { on: 'last', number: 1 } } };
}
