import { itemAt, remembered } from '@/core/units';
import { amountAt, isOneOf, ROUND_WORDS, secondsBehind, unitAt, word } from './amounts';
import { BEFORE_COUNT, roundsAt } from './rounds';
import type { Found, Take, Taken } from './found';
import { MOST_SECONDS } from '../model/model';
import { oneSideAt, sidesAt, startAt, wayAt, wayOf } from './sides';
import { isSwapped, wordAmong, type Token } from '../tokens/tokens';

/** Words that a phrase may begin with; any other word begins none. */
const BEGINNINGS: ReadonlySet<string> = new Set([
  'a', 'an', 'another', 'half', 'x', '×', 'once', 'twice', 'thrice', 'hold', 'holding', 'on', 'to', 'in', 'at', 'with', 'the', '/', 'each', 'ea',
  'per', 'every', 'both', 'only', 'just', 'alternate', 'alternating', 'changing', 'swapping', 'switching', 'own', 'everybody', 'everyone', 'all', 'no', 'without', 'unguided', 'as', 'by', 'your', 'their', 'one’s', "one's", 'one', 'other', 'contrary', 'opposite', 'either', 'swap', 'change', 'switch', 'free', 'this', 'that', 'same', 'repeat', 'again', 'reverse',
]); // prettier-ignore

const EACH = ['each'];

/** Whether a phrase may begin with a word, and which: a hold, a side to start with or one side only, an amount. */
const lookOf = remembered((text) => ({
  begins:
    BEGINNINGS.has(text) ||
    BEFORE_COUNT.test(text) ||
    wordAmong(text, EACH) !== null ||
    wayOf(text) !== undefined ||
    /^(?:start|begin|commenc|always$)/.test(text),
  holds: /^hold(?:ing)?$/.test(text),
  sided:
    /^(?:(?:start|begin|commenc).*|always|only|just|alone|on|to|with|for|the|your)$/.test(text) ||
    wayOf(text) === 'left' ||
    wayOf(text) === 'right',
  counts: /^(?:an?|another|half|the|once|twice|thrice|[x×])$/.test(text) || BEFORE_COUNT.test(text),
}));

/** What a line says from a token on, the most telling phrase first; `null` where nothing begins. */
export function phraseAt(tokens: readonly Token[], at: number, taken: readonly Taken[]): Taken | null {
  const { text, value, kind } = itemAt(tokens, at);
  const { begins, holds, sided, counts } = lookOf(text);
  const slip = kind === 'word' && isOneOf(tokens, at + 1, ROUND_WORDS);
  if (value === null && !slip && !begins) return null;
  const take = (found: Found, to: number, from = at): Taken => ({ ...found, from, to });
  const amount = value !== null || slip;
  const amounts = (): Taken | null => timeAt(tokens, at, take) ?? roundsAt(tokens, at, take, taken);
  // A figure begins nothing but an amount.
  if (kind === 'number' || kind === 'clock') return amounts();
  return (
    (holds ? holdAt(tokens, at, take) : null) ??
    (sided ? (startAt(tokens, at, take) ?? oneSideAt(tokens, at, take, taken)) : null) ??
    (amount || counts ? amounts() : null) ??
    sidesAt(tokens, at, take, taken) ??
    wayAt(tokens, at, take)
  );
}

function timeAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const clock = tokens[at];
  if (clock?.kind === 'clock') return take({ what: 'seconds', range: [clock.value ?? 0, clock.value ?? 0] }, at + 1);
  // "Hold the last one 5 s" is no length.
  if (/^(?:one|rep|round|time)$/.test(word(tokens, at - 1)) && /^(?:last|final)$/.test(word(tokens, at - 2)))
    return null;
  const minute = aMinuteAt(tokens, at, take);
  if (minute) return minute;
  const amount = amountAt(tokens, at);
  const unit = amount && unitAt(tokens, amount);
  if (!amount || !unit) return null;
  let [min, max] = [amount.range[0] * unit.seconds, amount.range[1] * unit.seconds];
  let { next } = unit;
  const times = /^[x×]$/.test(word(tokens, next)) && amount.inFigures ? amountAt(tokens, next + 1) : null;
  if (times?.inFigures) {
    const [often] = times.range;
    [min, max, next] = [min * often, max * often, times.next];
  } else if (unit.seconds === 60) {
    const [more, to] = secondsBehind(tokens, next);
    [min, max, next] = [min + more, max + more, to];
  }
  // "45 s to 1 min".
  const until = /^(?:to|or|-|–|—|until)$/.test(word(tokens, next)) ? amountAt(tokens, next + 1) : null;
  const untilUnit = until && unitAt(tokens, until);
  if (until && untilUnit && min === max && until.range[0] * untilUnit.seconds > max)
    [max, next] = [until.range[0] * untilUnit.seconds, untilUnit.next];
  if (word(tokens, next) === 'or' && word(tokens, next + 1) === 'so') next += 2;
  // "2 x 20 s each leg" is once for each; "3 x 10 s" cannot be.
  const whole = times?.inFigures && times.range[0] % 2 === 0 ? { whole: true as const } : {};
  return min > 0 && max <= MOST_SECONDS ? take({ what: 'seconds', range: [min, max], ...whole }, next) : null;
}

/** An article is a number only where a length is plainly meant: "for a minute", "a good minute", "a minute or two". */
function aMinuteAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  // "For the first minute".
  const nth = word(tokens, at) === 'the' && /^(?:first|last|next|final|whole)$/.test(word(tokens, at + 1));
  if (nth && word(tokens, at + 2) === 'minute') return take({ what: 'seconds', range: [60, 60] }, at + 3);
  if (!/^(?:an?|another)$/.test(word(tokens, at))) return null;
  const good = /^(?:good|full|whole|long|solid|short)$/.test(word(tokens, at + 1));
  const unit = at + (good ? 2 : 1);
  if (!/^min(?:utes?|ute['’]s)?$/.test(word(tokens, unit)) && !isSwapped(word(tokens, unit), 'minute')) return null;
  const [first, second] = [word(tokens, unit + 1), word(tokens, unit + 2)];
  if (first === 'or' && second === 'two') return take({ what: 'seconds', range: [60, 120] }, unit + 3);
  if (first === 'or' && second === 'so') return take({ what: 'seconds', range: [60, 60] }, unit + 3);
  const [more, next] = secondsBehind(tokens, unit + 1);
  const led =
    good || more > 0 || /^(?:for|about|around|roughly|like|maybe|perhaps|almost|nearly)$/.test(word(tokens, at - 1));
  const whole = first === 'in' && /^(?:all|total)$/.test(second);
  const its = /['’]s$/.test(word(tokens, unit)) || word(tokens, at) === 'another';
  if (!led && !whole && !its && !/^(?:|[.)]|of|altogether)$/.test(first)) return null;
  return take({ what: 'seconds', range: [60 + more, 60 + more] }, next);
}

/** "hold 3 s", "holding for two seconds", "(hold)", ", hold" at the end; "Holding up the lamp" is a name. */
function holdAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  if (!/^hold(?:ing)?$/.test(word(tokens, at))) return null;
  let next = at + 1;
  while (/^(?:it|for|about|around|roughly)$/.test(word(tokens, next))) next++;
  const clock = tokens[next];
  if (clock?.kind === 'clock' && clock.value)
    return take({ what: 'hold', range: [clock.value, clock.value] }, next + 1);
  const amount = amountAt(tokens, next);
  const unit = amount && unitAt(tokens, amount);
  if (amount && unit) {
    const [more, to] = unit.seconds === 60 ? secondsBehind(tokens, unit.next) : [0, unit.next];
    const [min, max] = amount.range;
    return take({ what: 'hold', range: [min * unit.seconds + more, max * unit.seconds + more] }, to);
  }
  if (amount && /^counts?$/.test(word(tokens, amount.next)))
    return take({ what: 'hold', range: amount.range }, amount.next + 1);
  // "Lotus x 5 + hold 10".
  const ends = amount !== null && /^(?:|[),.;])$/.test(word(tokens, amount.next));
  if (amount?.inFigures && ends && at > 0 && amount.range[0] <= 60)
    return take({ what: 'hold', range: amount.range }, amount.next);
  const [before, after] = [word(tokens, at - 1), word(tokens, at + 1)];
  const alone = (before === '(' && after === ')') || (/^(?:[,;–-]|and)$/.test(before) && /^\.?$/.test(after));
  return alone ? take({ what: 'hold', range: [3, 3] }, at + 1) : null;
}
