import { itemAt } from '@/core/units';
import { amountAt, COUNTED_WORDS, isOneOf, ROUND_WORDS, secondsBehind, unitAt, word, type Amount } from './amounts';
import type { Found, Take, Taken } from './found';
import { MOST_SECONDS } from './model';
import { sidesAt, startAt, wayAt, wayBehind, wayOf } from './sides';
import { wordAmong, type Token } from './tokens';

/** What may stand behind a bare count: "6 slow", "4ish". */
const MANNER: ReadonlySet<string> = new Set(['slow', 'slowly', 'easy', 'gentle', 'gently', 'deep', 'big', 'long', 'full', 'quiet', 'calm', 'normal', 'easier', 'ish', 'soft', 'quick', 'light', 'total', 'altogether']); // prettier-ignore
/** Words whose number is no count: "level 2", "part 3". */
const NAMED_BY_NUMBER: ReadonlySet<string> = new Set(['level', 'part', 'no', 'number', 'page', 'section', 'week', 'lesson', 'class', 'form', 'step', 'song', 'track', 'at', 'room', 'and', 'of', 'module', 'session', 'episode', 'workshop', 'chapter', 'unit', 'block', 'term', 'day']); // prettier-ignore
const MOST_ROUNDS = 200;

/** Words that a phrase may begin with; any other word begins none. */
const BEGINNINGS: ReadonlySet<string> = new Set([
  'a', 'an', 'half', 'x', '×', 'once', 'twice', 'hold', 'holding', 'on', 'to', 'in', 'at', 'with', 'the', '/', 'each', 'ea',
  'per', 'every', 'both', 'alternate', 'alternating', 'changing', 'swapping', 'switching', 'own', 'everybody', 'everyone', 'all', 'no', 'without', 'unguided', 'as', 'by', 'your', 'their', 'one’s', "one's", 'one', 'other', 'this', 'that',
]); // prettier-ignore

function mayBegin(text: string): boolean {
  return (
    BEGINNINGS.has(text) ||
    wordAmong(text, ['each']) !== null ||
    wayOf(text) !== undefined ||
    /^(?:start|begin)/.test(text)
  );
}

/** What a line says from a token on, the most telling phrase first; `null` where nothing begins. */
export function phraseAt(tokens: readonly Token[], at: number, taken: readonly Taken[]): Taken | null {
  const { text, value, kind } = itemAt(tokens, at);
  const slip = kind === 'word' && isOneOf(tokens, at + 1, ROUND_WORDS);
  if (value === null && !slip && !mayBegin(text)) return null;
  const take = (found: Found, to: number, from = at): Taken => ({ ...found, from, to });
  return (
    holdAt(tokens, at, take) ??
    startAt(tokens, at, take) ??
    timeAt(tokens, at, take) ??
    roundsAt(tokens, at, take, taken) ??
    sidesAt(tokens, at, take, taken) ??
    wayAt(tokens, at, take)
  );
}

function timeAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const clock = tokens[at];
  if (clock?.kind === 'clock') return take({ what: 'seconds', range: [clock.value ?? 0, clock.value ?? 0] }, at + 1);
  const minute = aMinuteAt(tokens, at, take);
  if (minute) return minute;
  const amount = amountAt(tokens, at);
  const unit = amount && unitAt(tokens, amount);
  if (!amount || !unit) return null;
  let [min, max] = [amount.range[0] * unit.seconds, amount.range[1] * unit.seconds];
  let { next } = unit;
  if (unit.seconds === 60) {
    const [more, to] = secondsBehind(tokens, next);
    [min, max, next] = [min + more, max + more, to];
  }
  if (word(tokens, next) === 'or' && word(tokens, next + 1) === 'so') next += 2;
  return min > 0 && max <= MOST_SECONDS ? take({ what: 'seconds', range: [min, max] }, next) : null;
}

/** An article is a number only where a length is plainly meant: "for a minute", "a good minute", "a minute or two". */
function aMinuteAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  if (!/^an?$/.test(word(tokens, at))) return null;
  const good = word(tokens, at + 1) === 'good';
  const unit = at + (good ? 2 : 1);
  if (!/^minutes?$/.test(word(tokens, unit))) return null;
  const [first, second] = [word(tokens, unit + 1), word(tokens, unit + 2)];
  if (first === 'or' && second === 'two') return take({ what: 'seconds', range: [60, 120] }, unit + 3);
  if (first === 'or' && second === 'so') return take({ what: 'seconds', range: [60, 60] }, unit + 3);
  const [more, next] = secondsBehind(tokens, unit + 1);
  const led = good || more > 0 || /^(?:for|about|around|roughly)$/.test(word(tokens, at - 1));
  if (!led && !/^(?:|[.)])$/.test(first)) return null;
  return take({ what: 'seconds', range: [60 + more, 60 + more] }, next);
}

/** "hold 3 s", "holding for two seconds", "(hold)", ", hold" at the end; "Holding up the lamp" is a name. */
function holdAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  if (!/^hold(?:ing)?$/.test(word(tokens, at))) return null;
  let next = at + 1;
  while (/^(?:it|for)$/.test(word(tokens, next))) next++;
  const amount = amountAt(tokens, next);
  const unit = amount && unitAt(tokens, amount);
  if (amount && unit) return take({ what: 'hold', seconds: amount.range[0] * unit.seconds }, unit.next);
  if (amount && /^counts?$/.test(word(tokens, amount.next)))
    return take({ what: 'hold', seconds: amount.range[0] }, amount.next + 1);
  const [before, after] = [word(tokens, at - 1), word(tokens, at + 1)];
  const alone = (before === '(' && after === ')') || (/^(?:[,;–-]|and)$/.test(before) && /^\.?$/.test(after));
  return alone ? take({ what: 'hold', seconds: 3 }, at + 1) : null;
}

function roundsAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  const rounds = (
    { range: [min, max], eachSide = false }: Pick<Amount, 'range'> & { readonly eachSide?: boolean },
    to: number,
    bare = false,
  ): Taken | null =>
    min >= 1 && max <= MOST_ROUNDS && Number.isInteger(min) && Number.isInteger(max)
      ? take({ what: 'rounds', range: [min, max], bare, eachSide }, to)
      : null;
  const text = word(tokens, at);
  if (text === 'once' && word(tokens, at + 1) === 'or' && word(tokens, at + 2) === 'twice')
    return rounds({ range: [1, 2] }, at + 3);
  if (text === 'twice') return rounds({ range: [2, 2] }, at + 1);
  // "Once" begins sentences too: it counts where it ends one, or sides follow.
  if (text === 'once' && /^(?:|[.)]|each|per|on)$/.test(word(tokens, at + 1))) return rounds({ range: [1, 1] }, at + 1);
  if (/^[x×]$/.test(text)) {
    const amount = amountAt(tokens, at + 1);
    if (!amount?.inFigures) return null;
    return rounds(
      amount,
      isOneOf(tokens, amount.next, ROUND_WORDS) ? amount.next + 1 : mannerBehind(tokens, amount.next),
    );
  }
  const amount = amountAt(tokens, at);
  if (!amount) return null;
  let { next } = amount;
  while (MANNER.has(word(tokens, next)) && isOneOf(tokens, next + 1, ROUND_WORDS)) next++;
  const sets = /^[x×]$/.test(word(tokens, next)) && amount.inFigures ? amountAt(tokens, next + 1) : null;
  if (sets?.inFigures) return timesOver(amount, sets, tokens, take, rounds);
  if (/^[x×]$/.test(word(tokens, next)) && amount.inFigures) return rounds(amount, mannerBehind(tokens, next + 1));
  if (isOneOf(tokens, next, ROUND_WORDS)) return rounds(amount, next + 1);
  // Behind a name: "Arm swings, 40 swings", "seven or so", "eight of them", "6 b."
  const behindName = tokens.slice(0, at).some(({ kind }) => kind === 'word');
  if (behindName && isOneOf(tokens, next, COUNTED_WORDS)) return rounds(amount, next + 1);
  const loose = `${word(tokens, next)} ${word(tokens, next + 1)}`;
  if (behindName && /^(?:or so|of (?:them|those|these))$/.test(loose)) return rounds(amount, next + 2);
  if (behindName && /^more ?\.?$/.test(loose)) return rounds(amount, next + 1);
  if (behindName && amount.inFigures && /^(?:b|br) ?\.?$/.test(loose.trim())) return rounds(amount, tokens.length);
  if (/^sets?$/.test(word(tokens, next))) {
    const of = word(tokens, next + 1) === 'of' ? amountAt(tokens, next + 2) : null;
    const times = of?.range[0] ?? 1;
    return rounds({ range: [amount.range[0] * times, amount.range[1] * times] }, of?.next ?? next + 1);
  }
  if (word(tokens, next) === 'of' && /^(?:each|both)$/.test(word(tokens, next + 1))) return rounds(amount, next);
  const sided = sidesAt(tokens, next, take, taken) ?? wayBehind(tokens, next, take);
  if (sided) return rounds(amount, next);
  return isBareCount(tokens, at, amount) ? rounds(amount, mannerBehind(tokens, amount.next), true) : null;
}

/** "2 x 8" is sixteen, "2 x 20 s" forty seconds in all. */
function timesOver(
  sets: Amount,
  { range: [min, max], next, inFigures }: Amount,
  tokens: readonly Token[],
  take: Take,
  rounds: (amount: Pick<Amount, 'range'>, to: number) => Taken | null,
): Taken | null {
  const times = sets.range[0];
  const unit = unitAt(tokens, { range: [min, max], next, inFigures });
  if (!unit) return rounds({ range: [min * times, max * times] }, next);
  const range = [min * times * unit.seconds, max * times * unit.seconds] as const;
  return range[0] > 0 && range[1] <= MOST_SECONDS ? take({ what: 'seconds', range, whole: true }, unit.next) : null;
}

/** Behind "slow" or ", slowly" where that ends the line: how it is done is no part of its name. */
function mannerBehind(tokens: readonly Token[], at: number): number {
  const from = word(tokens, at) === ',' ? at + 1 : at;
  return MANNER.has(word(tokens, from)) && from + 1 >= tokens.length ? from + 1 : at;
}

/** A number with nothing behind it that counts: at the end of a line or a bracket, or before how it is done. */
function isBareCount(tokens: readonly Token[], at: number, { range, next, inFigures }: Amount): boolean {
  const before = word(tokens, at - 1);
  // "…, five or six." in words ends a line only as a count.
  if (!inFigures && range[0] < range[1]) return /^[,:–—-]$/.test(before) && /^\.?$/.test(word(tokens, next));
  if (!inFigures || at === 0) return false;
  if (NAMED_BY_NUMBER.has(before) || (tokens[at - 1]?.kind === 'mark' && !/^[,:(–—-]$/.test(before))) return false;
  const after = word(tokens, next);
  if (after === 'in' && /^(?:total|all)$/.test(word(tokens, next + 1))) return true;
  return after === '' || /^[),.;]$/.test(after) || MANNER.has(after);
}
