import { itemAt } from '@/core/units';
import type { Counts } from './model';
import { amountAt, isOneOf, ROUND_WORDS, secondsBehind, unitAt, word, type Amount, type Range } from './amounts';
import { tokensOf, wordAmong, type Token } from './tokens';

/*
 * Counts, times and sides as people write them: a small grammar over tokens. A phrase is looked for from each token on,
 * once; what is found is taken out of the line, and what is left is its name.
 */

const SIDE_WORDS = ['side', 'sides', 'leg', 'legs', 'foot', 'feet', 'arm', 'arms'] as const;
const WAY_WORDS = ['way', 'direction', 'directions', 'ways'] as const;
const NOUNS = [...WAY_WORDS, ...SIDE_WORDS] as const;
/** What may stand before an amount and belongs to it. */
const LEADING: ReadonlySet<string> = new Set([
  'for', 'about', 'around', 'roughly', 'approximately', 'approx', 'aprox', 'maybe', 'say', 'good', 'at', 'least', 'most',
  'up', 'to', 'no', 'more', 'less', 'than', 'between', 'a', 'only', 'just', 'each', 'some', 'another', 'do', 'we', 'which', 'nearly',
]); // prettier-ignore
/** What may stand before a way that an amount is for: "and then 3 to the right". */
const BEFORE_WAYS: ReadonlySet<string> = new Set(['on', 'in', 'to', 'the', 'and', 'then', ',']);
/** What may stand behind a bare count: "6 slow", "4ish". */
const MANNER: ReadonlySet<string> = new Set(['slow', 'slowly', 'easy', 'gentle', 'gently', 'deep', 'big', 'ish', 'soft', 'quick', 'light']); // prettier-ignore
/** Words whose number is no count: "level 2", "part 3". */
const NAMED_BY_NUMBER: ReadonlySet<string> = new Set(['level', 'part', 'no', 'number', 'page', 'section', 'week', 'lesson', 'class', 'form', 'step', 'song', 'track', 'at', 'room', 'and', 'of']); // prettier-ignore
const MOST_ROUNDS = 200;
const MOST_SECONDS = 3600;

type Way = 'left' | 'right' | 'forward' | 'back' | 'clockwise' | 'anticlockwise' | 'one' | 'other';
const OPPOSITE: Readonly<Record<Way, Way>> = {
  left: 'right',
  right: 'left',
  forward: 'back',
  back: 'forward',
  clockwise: 'anticlockwise',
  anticlockwise: 'clockwise',
  one: 'other',
  other: 'one',
};
const WAYS: ReadonlyMap<string, Way> = new Map([
  ['left', 'left'],
  ['l', 'left'],
  ['right', 'right'],
  ['rigth', 'right'],
  ['r', 'right'],
  ['forward', 'forward'],
  ['forwards', 'forward'],
  ['fwd', 'forward'],
  ['back', 'back'],
  ['backward', 'back'],
  ['backwards', 'back'],
  ['clockwise', 'clockwise'],
  ['cw', 'clockwise'],
  ['anticlockwise', 'anticlockwise'],
  ['counterclockwise', 'anticlockwise'],
  ['ccw', 'anticlockwise'],
]);

/** Something found in a line, with the tokens it takes. */
type Found =
  | { readonly what: 'rounds'; readonly range: Range; readonly bare: boolean }
  | { readonly what: 'seconds'; readonly range: Range; readonly loose: boolean }
  | { readonly what: 'hold'; readonly seconds: number }
  | { readonly what: 'way'; readonly way: Way }
  | { readonly what: 'each-side' | 'each-way' | 'alternating' | 'in-turn' | 'own-pace' | 'each' }
  | { readonly what: 'start'; readonly side: 'left' | 'right' };

type Taken = Found & { readonly from: number; readonly to: number };

/** Counts and times as people write them, and what is left of the text without them. */
export function findCounts(text: string): {
  readonly counts: Counts;
  readonly rest: string;
  /** Whether its rounds are a bare number: "Cloud hands 10". */
  readonly bare: boolean;
} {
  const tokens = tokensOf(text);
  const taken: Taken[] = [];
  for (let at = 0; at < tokens.length;) {
    const found = phraseAt(tokens, at, taken);
    if (found) taken.push(found);
    at = found ? found.to : at + 1;
  }
  const { said, removed } = withoutLoneWays(taken);
  const rounds = said.filter((one) => one.what === 'rounds');
  const bare = rounds.length > 0 && rounds.every((one) => one.bare);
  return { counts: countsOf(said), rest: without(text, tokens, removed), bare };
}

/** Words that a phrase may begin with; any other word begins none. */
const BEGINNINGS: ReadonlySet<string> = new Set([
  'a', 'an', 'half', 'x', '×', 'once', 'twice', 'hold', 'holding', 'on', 'to', 'in', 'at', 'with', 'the', '/', 'each', 'ea', 'eahc',
  'per', 'every', 'both', 'alternate', 'alternating', 'changing', 'own', 'your', 'their', 'one’s', "one's", 'one', 'other', ...WAYS.keys(),
]); // prettier-ignore

function phraseAt(tokens: readonly Token[], at: number, taken: readonly Taken[]): Taken | null {
  const { text, value, kind } = itemAt(tokens, at);
  const slip = kind === 'word' && isOneOf(tokens, at + 1, ROUND_WORDS);
  if (value === null && !slip && !BEGINNINGS.has(text) && !/^(?:start|begin)/.test(text)) return null;
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

type Take = (found: Found, to: number, from?: number) => Taken;

function timeAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const clock = tokens[at];
  if (clock?.kind === 'clock')
    return take({ what: 'seconds', range: [clock.value ?? 0, clock.value ?? 0], loose: false }, at + 1);
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
  return min > 0 && max <= MOST_SECONDS ? take({ what: 'seconds', range: [min, max], loose: false }, next) : null;
}

/** An article is a number only where a length is plainly meant: "for a minute", "a good minute", "a minute or two". */
function aMinuteAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  if (!/^an?$/.test(word(tokens, at))) return null;
  const good = word(tokens, at + 1) === 'good';
  const unit = at + (good ? 2 : 1);
  if (!/^minutes?$/.test(word(tokens, unit))) return null;
  const [first, second] = [word(tokens, unit + 1), word(tokens, unit + 2)];
  if (first === 'or' && second === 'two') return take({ what: 'seconds', range: [60, 120], loose: false }, unit + 3);
  if (first === 'or' && second === 'so') return take({ what: 'seconds', range: [60, 60], loose: false }, unit + 3);
  const [more, next] = secondsBehind(tokens, unit + 1);
  const led = good || more > 0 || /^(?:for|about|around|roughly)$/.test(word(tokens, at - 1));
  if (!led && !/^(?:|[.)])$/.test(first)) return null;
  return take({ what: 'seconds', range: [60 + more, 60 + more], loose: false }, next);
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

/** "starting right", "beginning with the left", "right first", "start R". */
function startAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const side = (index: number): 'left' | 'right' | null => {
    const way = WAYS.get(word(tokens, index));
    return way === 'left' || way === 'right' ? way : null;
  };
  if (/^(?:start|begin)/.test(word(tokens, at))) {
    let next = at + 1;
    while (/^(?:on|with|to|the|your)$/.test(word(tokens, next))) next++;
    const found = side(next);
    if (found === null) return null;
    const noun = isOneOf(tokens, next + 1, SIDE_WORDS) ? next + 2 : next + 1;
    return take({ what: 'start', side: found }, noun);
  }
  const found = side(at);
  const noun = isOneOf(tokens, at + 1, SIDE_WORDS) ? at + 2 : at + 1;
  return found !== null && word(tokens, noun) === 'first' ? take({ what: 'start', side: found }, noun + 1) : null;
}

function roundsAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  const rounds = ({ range: [min, max] }: Pick<Amount, 'range'>, to: number, bare = false): Taken | null =>
    min >= 1 && max <= MOST_ROUNDS && Number.isInteger(min) && Number.isInteger(max)
      ? take({ what: 'rounds', range: [min, max], bare }, to)
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
  if (/^[x×]$/.test(word(tokens, next)) && amount.inFigures) return rounds(amount, mannerBehind(tokens, next + 1));
  if (isOneOf(tokens, next, ROUND_WORDS)) return rounds(amount, next + 1);
  const sided = sidesAt(tokens, next, take, taken) ?? wayBehind(tokens, next, take);
  if (sided) return rounds(amount, next);
  return isBareCount(tokens, at, amount) ? rounds(amount, mannerBehind(tokens, amount.next), true) : null;
}

/** Behind "slow" or ", slowly" where that ends the line: how it is done is no part of its name. */
function mannerBehind(tokens: readonly Token[], at: number): number {
  const from = word(tokens, at) === ',' ? at + 1 : at;
  return MANNER.has(word(tokens, from)) && from + 1 >= tokens.length ? from + 1 : at;
}

/** A direction behind an amount, with the small words between: "3 on the left", "9 one way". */
function wayBehind(tokens: readonly Token[], at: number, take: Take): Taken | null {
  let next = at;
  while (/^(?:on|to|in|the)$/.test(word(tokens, next))) next++;
  return wayAt(tokens, next, take);
}

function wayAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const text = word(tokens, at);
  const known = WAYS.get(text);
  if (known) return take({ what: 'way', way: known }, at + 1);
  const noun = isOneOf(tokens, at + 1, NOUNS);
  if (text === 'one' && noun) return take({ what: 'way', way: 'one' }, at + 2);
  if (text === 'other') return take({ what: 'way', way: 'other' }, noun ? at + 2 : at + 1);
  return null;
}

/** A number with nothing behind it that counts: at the end of a line or a bracket, or before how it is done. */
function isBareCount(tokens: readonly Token[], at: number, { next, inFigures }: Amount): boolean {
  if (!inFigures || at === 0) return false;
  const before = word(tokens, at - 1);
  if (NAMED_BY_NUMBER.has(before) || (tokens[at - 1]?.kind === 'mark' && !/^[,:(–—-]$/.test(before))) return false;
  const after = word(tokens, next);
  return after === '' || /^[),.;]$/.test(after) || MANNER.has(after);
}

/** Sides, ways and pace. */
function sidesAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  const text = word(tokens, at);
  let next = at;
  while (/^(?:on|to|in)$/.test(word(tokens, next))) next++;
  const each =
    wordAmong(word(tokens, next), ['each', 'ea', 'eahc', 'per', 'every']) ?? (word(tokens, next) === '/' ? '/' : null);
  const noun = next + (word(tokens, next + 1) === '.' ? 2 : 1);
  if (each !== null) {
    if (isOneOf(tokens, noun, WAY_WORDS)) return take({ what: 'each-way' }, noun + 1);
    if (isOneOf(tokens, noun, SIDE_WORDS) || word(tokens, noun) === 'dirction') return eachSide(tokens, noun, take);
    // "5 each": behind an amount alone.
    const last = taken.at(-1);
    const behind = last && (last.what === 'rounds' || last.what === 'seconds') && last.to === at;
    if (behind && /^(?:|[),.;])$/.test(word(tokens, noun)) && each !== '/') return take({ what: 'each' }, next + 1);
    if (/^(?:|[),.;])$/.test(word(tokens, noun)) && tokens[at - 1]?.kind === 'number' && each !== '/')
      return take({ what: 'each' }, next + 1);
  }
  if (word(tokens, next) === 'both' && isOneOf(tokens, next + 1, WAY_WORDS))
    return take({ what: 'each-way' }, next + 2);
  if (word(tokens, next) === 'both' && /^sides?$/.test(word(tokens, next + 1)))
    return take({ what: 'each-side' }, next + 2);
  if (text === 'a' && word(tokens, at + 1) === 'side') return take({ what: 'each-side' }, at + 2);
  return alternatingAt(tokens, at, take) ?? ownPaceAt(tokens, at, take) ?? pairAt(tokens, at, take);
}

function eachSide(tokens: readonly Token[], noun: number, take: Take): Taken {
  const turn = word(tokens, noun + 1) === 'in' && word(tokens, noun + 2) === 'turn';
  return turn ? take({ what: 'in-turn' }, noun + 3) : take({ what: 'each-side' }, noun + 1);
}

function alternatingAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const text = word(tokens, at);
  if (/^(?:alternate|alternating)$/.test(text)) {
    return take({ what: 'alternating' }, isOneOf(tokens, at + 1, SIDE_WORDS) ? at + 2 : at + 1);
  }
  if (text === 'changing' && /^sides?$/.test(word(tokens, at + 1))) {
    const timed = word(tokens, at + 2) === 'each' && word(tokens, at + 3) === 'time';
    return take({ what: 'alternating' }, timed ? at + 4 : at + 2);
  }
  const [first, between, second] = [WAYS.get(text), word(tokens, at + 1), WAYS.get(word(tokens, at + 2))];
  const sides =
    first && second && [first, second].every((way) => way === 'left' || way === 'right') && first !== second;
  return sides && /^(?:\/|and|&)$/.test(between) ? take({ what: 'alternating' }, at + 3) : null;
}

function ownPaceAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  let next = at;
  if (/^(?:in|at|with)$/.test(word(tokens, next))) next++;
  if (/^(?:your|their|one’s|one's)$/.test(word(tokens, next))) next++;
  if (word(tokens, next) !== 'own') return null;
  const paced = wordAmong(word(tokens, next + 1), ['pace', 'pase', 'time', 'rhythm']);
  return paced === null ? null : take({ what: 'own-pace' }, next + 2);
}

/** "left, then the right", "one side, then the other", "one way and then the other". */
function pairAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  let start = at;
  while (/^(?:on|to|the)$/.test(word(tokens, start))) start++;
  const first = wayAt(tokens, start, take);
  if (first?.what !== 'way') return null;
  let next = first.to;
  if (isOneOf(tokens, next, SIDE_WORDS)) next++;
  let then = false;
  while (/^(?:,|and|then|the|on)$/.test(word(tokens, next))) then = word(tokens, next++) === 'then' || then;
  const second = then ? wayAt(tokens, next, take) : null;
  if (second?.what !== 'way' || OPPOSITE[first.way] !== second.way) return null;
  const turned =
    /^(?:forward|back|clockwise|anticlockwise)$/.test(first.way) ||
    /^(?:way|direction)s?$/.test(word(tokens, start + 1));
  return take(
    { what: turned ? 'each-way' : 'in-turn' },
    isOneOf(tokens, second.to, SIDE_WORDS) ? second.to + 1 : second.to,
  );
}

/**
 * Two amounts alike with two opposite ways are one amount for each: "5 forward, 5 back", "30 s L, 30 s R". Ways with
 * fewer amounts belong to the name: "Look left, look right, four times".
 */
function withoutLoneWays(taken: readonly Taken[]): {
  readonly said: readonly Taken[];
  readonly removed: readonly Taken[];
} {
  const ways = taken.flatMap((one) => (one.what === 'way' ? [one.way] : []));
  const pair = ways.some((way, at) => ways.indexOf(OPPOSITE[way]) > at);
  const amounts = taken.filter((one) => one.what === 'rounds' || one.what === 'seconds');
  const ranges = amounts.map((one) => one.range.join());
  const each = pair && ranges.length > 1 && new Set(ranges).size === 1;
  if (each) return { said: taken, removed: taken };
  const others = taken.filter(({ what }) => what !== 'way');
  if (!pair || amounts.length !== 1) return { said: others, removed: others };
  const side = ways.every((way) => way === 'left' || way === 'right');
  const turned: Taken = { what: side ? 'alternating' : 'each-way', from: 0, to: 0 };
  return { said: [...others, turned], removed: others };
}

function countsOf(taken: readonly Taken[]): Counts {
  const all = <What extends Found['what']>(what: What) =>
    taken.filter((one): one is Taken & Extract<Found, { what: What }> => one.what === what);
  const has = (what: Found['what']): boolean => taken.some((one) => one.what === what);
  const counted = all('rounds');
  const [rounds] = counted.some(({ bare }) => !bare) ? counted.filter(({ bare }) => !bare) : counted;
  const times = all('seconds');
  const [hold] = all('hold');
  const [start] = all('start');
  const sides = sidesOf(taken, has);
  const [time] = times;
  const perSide =
    time && rounds === undefined && (has('each-side') || has('each') || has('in-turn') || sides === 'one-then-other');
  return {
    ...(rounds ? roundsFrom(rounds.range) : {}),
    ...(sides ? { sides: perSide && sides === 'alternating' ? 'one-then-other' : sides } : {}),
    ...(start ? { startSide: start.side } : {}),
    ...(time ? { seconds: secondsFrom(time.range, perSide ? 2 : 1) } : {}),
    ...(has('own-pace') ? { ownPace: true } : {}),
    ...(hold ? { hold: hold.seconds } : {}),
  };
}

function sidesOf(taken: readonly Taken[], has: (what: Found['what']) => boolean): Counts['sides'] {
  if (has('each-way')) return 'both-directions';
  if (has('in-turn')) return 'one-then-other';
  if (has('each-side') || has('alternating') || has('each')) return 'alternating';
  const ways = taken.flatMap((one) => (one.what === 'way' ? [one.way] : []));
  const pair = ways.find((way, at) => ways.indexOf(OPPOSITE[way]) > at);
  if (pair === undefined) return undefined;
  return pair === 'left' || pair === 'right' ? 'one-then-other' : 'both-directions';
}

function roundsFrom([min, max]: Range): Counts {
  return min === max ? { rounds: min } : { rounds: Math.floor((min + max) / 2), roundsWithin: [min, max] };
}

/** Asked, and how far a fit may go from it; a range says that itself. */
function secondsFrom([min, max]: Range, times: number): readonly [number, number, number] {
  const [low, high] = [min * times, max * times];
  if (low !== high) return [Math.round((low + high) / 2), Math.max(1, low), Math.min(MOST_SECONDS, high)];
  return [low, Math.max(1, Math.round(low * 0.75)), Math.min(MOST_SECONDS, Math.round(low * 1.5))];
}

/** The text without what was taken, and without the brackets, dashes, commas and small words that stood around it. */
function without(text: string, tokens: readonly Token[], taken: readonly Taken[]): string {
  let rest = '';
  let from = 0;
  for (const one of taken) {
    let first = one.from;
    const leading = one.what === 'way' ? BEFORE_WAYS : LEADING;
    while (first > 0 && leading.has(word(tokens, first - 1)) && itemAt(tokens, first - 1).from >= from) first--;
    rest += `${text.slice(from, itemAt(tokens, first).from)} `;
    from = itemAt(tokens, one.to - 1).to;
  }
  return tidied(rest + text.slice(from));
}

function tidied(text: string): string {
  return text
    .replace(/\(\s*[,;]?\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/\s+([,.;:])/g, '$1')
    .replace(/^[\s,;:–—-]+|[\s,;:(–—-]+$/g, '')
    .replace(/(?:[,;:] ?)+(?=[,;:.])/g, '')
    .trim();
}
