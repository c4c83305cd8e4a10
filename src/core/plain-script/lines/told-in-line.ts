import { formatClock, parseClock } from '@/core/units';
import { findCounts, hasAmount } from '../phrases/counts';
import { TALK_STARTS } from '../line-kinds/line-signs';
import { MAY_COUNT } from '../line-kinds/name-lines';
import { wordCount } from '../model/line-words';
import { isUnder } from './over-words';
import { callBackIn } from '../line-kinds/step-settings';

/*
 * A step in a sentence, and behind it in the same line what its lines below would tell: "Rowing x8. Cue: “long neck” on
 * round 3. Last two smaller.", "Stand 3 min. Guide: feel the soles / the jaw. Call them back 15 s before the end."
 */

const LINE = { min: 30, max: 500 } as const;
const SENTENCES_AT_MOST = 9;
const WORDS_OF_A_HEAD = 14;
const BETWEEN = /(?<=[.!?]["”)]?)\s+(?=["“(]?\p{Lu}|\d)/u;
const LABELLED =
  /^(?:cues?|say|guide(?:d words)?|guidance|options?|easier|harder|gentler|variations?|cautions?|careful|levels?|level \d|seated|chair|reminder|prompts?|words|eyes|breath(?:ing)?|in|out)(?: \([^()]{1,20}\))?:\s/i;
const BACK = /^(?:then )?(?:call|bring|get) (?:(?:them|everyone|everybody|people|all) )?back\b/i;

/** "…; rounds 1-3 arms, 4-6 legs", "… – from round 5 in 4, out 6", "…, every second round: low". */
const BY_ROUNDS =
  /(?:;|:|,| [–—-]) (?=(?:(?:on|in|for|from|during|after) )?(?:rounds? \d|r\d|every (?:second|third|other) (?:round|time|one)\b|(?:the )?(?:last|first|final) (?:\d|two|three|four)(?: rounds| reps| ones| times)?(?:[:,] | (?=(?:with |in |without )?(?:eyes|silen|quiet|no words|alone)))|(?:the )?(?:last|final) (?:one|round|rep|time)[:,]? (?:is |we )?(?:hold|held)\b|hold (?:the )?(?:last|final) (?:one|round|rep)\b))/i;

/** Whether a line up to a mark is a step with an amount. */
function isCountedStep(head: string): boolean {
  const { counts, rest } = findCounts(head.trim());
  return hasAmount(counts) && /\p{L}{2}/u.test(rest) && wordCount(head) <= WORDS_OF_A_HEAD && !TALK_STARTS.test(head.trim()); // prettier-ignore
}

/** "Standing: 3 mins; cue at 1 min “soft eyes”, at 2 min “weight down”": each at its time. */
const CUES_AT =
  /^(.{4,60}?)[,;.] ?(?:with )?(?:cues?:? )?((?:(?:,|;)? ?(?:and )?at \d{1,2}(?::\d\d)? ?(?:mins?|minutes?|s|secs?)?:? ?["“][^"“”]{2,80}["”])+)[.]?$/iu;
const CUE_AT = /at (\d{1,2}(?::\d\d)?(?: ?(?:mins?|minutes?|s|secs?)\b)?):? ?["“]([^"“”]+)["”]/giu;

function cuesAt(text: string): { readonly head: string; readonly told: readonly string[] } | null {
  const [, head = '', cues = ''] = CUES_AT.exec(text) ?? [];
  if (head === '' || !isCountedStep(head)) return null;
  const told = Array.from(cues.matchAll(CUE_AT), ([, at = '', words = '']) => {
    const seconds = parseClock(at, 'minutes') ?? 0;
    return `${formatClock(seconds)} ${words}`;
  });
  return { head, told };
}

/** Both, where what stands behind the first sentence is more than words that are said; else `null`. */
export function toldInLine(line: string): { readonly head: string; readonly told: readonly string[] } | null {
  const text = line.trimEnd();
  const byRounds = text.length <= LINE.max ? BY_ROUNDS.exec(text) : null;
  if (byRounds && isCountedStep(text.slice(0, byRounds.index)))
    return { head: text.slice(0, byRounds.index), told: [text.slice(byRounds.index + byRounds[0].length)] };
  const cued = text.length <= LINE.max && /\bat \d/i.test(text) ? cuesAt(text) : null;
  if (cued) return cued;
  if (text.length < LINE.min || text.length > LINE.max || !/[.!?]["”)]? /.test(text) || !MAY_COUNT.test(text)) return null; // prettier-ignore
  const [head = '', ...told] = text.split(BETWEEN);
  if (told.length === 0 || told.length > SENTENCES_AT_MOST || /^["“]/.test(head.trim())) return null;
  if (!isCountedStep(head.trim().replace(/[.!]$/, ''))) return null;
  const sets = told.map((one) => LABELLED.test(one) || BACK.test(one) || callBackIn(one) !== null || isUnder(one));
  return sets.includes(true) ? { head, told } : null;
}
