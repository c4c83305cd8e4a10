import { remembered } from '@/core/units';
import { isOneOf, word } from './amounts';
import type { Take, Taken, Way } from './found';
import { isSwapped, wordAmong, type Token } from '../tokens/tokens';

/* Sides, directions and pace as people write them. */

const SIDE_WORDS = [
  'side',
  'sides',
  'sid',
  'leg',
  'legs',
  'foot',
  'feet',
  'arm',
  'arms',
  'hand',
  'hands',
  'knee',
  'ankle',
  'hip',
  'wrist',
  'shoulder',
  'elbow',
  'heel',
] as const;
const EACH_WORDS = ['each', 'ea', 'per', 'every', 'either'];
const PACE_WORDS = ['pace', 'time', 'rhythm', 'speed', 'tempo'];
const WAY_WORDS = ['way', 'direction', 'directions', 'ways'] as const;
const NOUNS = [...WAY_WORDS, ...SIDE_WORDS] as const;
export const OPPOSITE: Readonly<Record<Way, Way>> = {
  left: 'right',
  right: 'left',
  forward: 'back',
  back: 'forward',
  clockwise: 'anticlockwise',
  anticlockwise: 'clockwise',
  inwards: 'outwards',
  outwards: 'inwards',
  one: 'other',
  other: 'one',
};
/** "rigth": two letters changed about, no more, or "lift" would be "left". */
const SWAPPED: readonly string[] = ['left', 'right', 'forward', 'backward'];
const WAYS: ReadonlyMap<string, Way> = new Map([
  ['left', 'left'],
  ['l', 'left'],
  ['right', 'right'],
  ['r', 'right'],
  ['forward', 'forward'],
  ['forwards', 'forward'],
  ['fwd', 'forward'],
  ['fwds', 'forward'],
  ['front', 'forward'],
  ['back', 'back'],
  ['rear', 'back'],
  ['fd', 'forward'],
  ['fw', 'forward'],
  ['bk', 'back'],
  ['bw', 'back'],
  ['bwd', 'back'],
  ['bwds', 'back'],
  ['bkwd', 'back'],
  ['backward', 'back'],
  ['backwards', 'back'],
  ['inwards', 'inwards'],
  ['inward', 'inwards'],
  ['outwards', 'outwards'],
  ['outward', 'outwards'],
  ['clockwise', 'clockwise'],
  ['cw', 'clockwise'],
  ['anticlockwise', 'anticlockwise'],
  ['counterclockwise', 'anticlockwise'],
  ['ccw', 'anticlockwise'],
]);

/** The way that a word names. */
export function wayOf(text: string): Way | undefined {
  return wayNamed(text) ?? undefined;
}

const wayNamed = remembered(
  (text): Way | null => WAYS.get(text) ?? WAYS.get(SWAPPED.find((way) => isSwapped(text, way)) ?? '') ?? null,
);

/** "starting right", "beginning with the left", "right first", "start R". */
export function startAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const side = (index: number): 'left' | 'right' | null => {
    const way = wayOf(word(tokens, index));
    return way === 'left' || way === 'right' ? way : null;
  };
  const led = word(tokens, at) === 'always' ? at + 1 : at;
  if (/^(?:start|begin|commenc)/.test(word(tokens, led))) {
    let next = led + 1;
    while (/^(?:on|with|from|w|\/|to|the|your)$/.test(word(tokens, next))) next++;
    const found = side(next);
    if (found === null) return null;
    const noun = isOneOf(tokens, next + 1, SIDE_WORDS) ? next + 2 : next + 1;
    // "Starting with the right foot forward".
    const ahead = noun > next + 1 && /^(?:forward|first)$/.test(word(tokens, noun)) ? noun + 1 : noun;
    return take({ what: 'start', side: found }, ahead);
  }
  const found = side(at);
  const noun = word(tokens, at + 1) === 'lead' || isOneOf(tokens, at + 1, SIDE_WORDS) ? at + 2 : at + 1;
  return found !== null && word(tokens, noun) === 'first' ? take({ what: 'start', side: found }, noun + 1) : null;
}

/** "x4, left only", "6 times, just on the right side", "left arm only x 4": beside an amount. */
export function oneSideAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  const isOnly = (index: number): boolean => /^(?:only|just|alone)$/.test(word(tokens, index));
  const only = isOnly(at);
  let next = only ? at + 1 : at;
  while (/^(?:on|to|with|for|the|your)$/.test(word(tokens, next))) next++;
  const side = wayOf(word(tokens, next));
  if (side !== 'left' && side !== 'right') return null;
  next += isOneOf(tokens, next + 1, SIDE_WORDS) ? 2 : 1;
  if (!only && !isOnly(next)) return null;
  if (!only) next++;
  const behind = tokens[next];
  const ends = behind === undefined || behind.kind === 'mark';
  const counts = at > 0 && ((behind?.value ?? null) !== null || /^[x×]$/.test(word(tokens, next)));
  return (taken.length > 0 ? ends : counts) ? take({ what: 'one-side', side }, next) : null;
}

/** A direction behind an amount, with the small words between: "3 on the left", "9 one way". */
export function wayBehind(tokens: readonly Token[], at: number, take: Take): Taken | null {
  let next = at;
  while (/^(?:on|to|in|the)$/.test(word(tokens, next))) next++;
  return wayAt(tokens, next, take);
}

export function wayAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const text = word(tokens, at);
  const again = sameAgainAt(tokens, at);
  if (again !== null) return take({ what: isOneOf(tokens, again - 1, SIDE_WORDS) ? 'in-turn' : 'each-way' }, again);
  const known = wayOf(text);
  const led = (known === 'left' || known === 'right') && /^lead(?:ing)?$/.test(word(tokens, at + 1));
  if (known) return take({ what: 'way', way: known }, at + (led ? 2 : 1));
  const noun = isOneOf(tokens, at + 1, NOUNS);
  const sided = isOneOf(tokens, at + 1, SIDE_WORDS);
  if (/^(?:one|this)$/.test(text) && noun) return take({ what: 'way', way: 'one', sided }, at + 2);
  if (text === 'that' && noun) return take({ what: 'way', way: 'other' }, at + 2);
  if (/^(?:contrary|opposite|reverse)$/.test(text) && noun) return take({ what: 'way', way: 'other', sided }, at + 2);
  if (text === 'other') return take({ what: 'way', way: 'other', sided }, noun ? at + 2 : at + 1);
  // "10, swap feet, 10".
  if (/^(?:swap|change|switch)$/.test(text) && sided) return take({ what: 'way', way: 'other', sided }, at + 2);
  return null;
}

/** Behind "same again the other way", "and repeat in the other direction"; `null` where it is not said. */
function sameAgainAt(tokens: readonly Token[], at: number): number | null {
  if (!/^(?:same|repeat|again|reverse)$/.test(word(tokens, at))) return null;
  let next = at + 1;
  while (/^(?:again|it|in|on|with|going|the|and)$/.test(word(tokens, next))) next++;
  return /^(?:other|opposite)$/.test(word(tokens, next)) && isOneOf(tokens, next + 1, NOUNS) ? next + 2 : null;
}

/** Sides, ways and pace. */
export function sidesAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  const text = word(tokens, at);
  let next = at;
  while (/^(?:on|to|in|with|for)$/.test(word(tokens, next))) next++;
  if (word(tokens, next) === 'the' && word(tokens, next + 1) === 'both') next++;
  const by = word(tokens, next) === 'by' && /^(?:side|leg|arm|hand|foot)$/.test(word(tokens, next + 1));
  const each =
    (by ? 'by' : wordAmong(word(tokens, next), EACH_WORDS)) ??
    (word(tokens, next) === '/' && isCounted(tokens, next - 1) ? '/' : null);
  let noun = next + (word(tokens, next + 1) === '.' ? 2 : 1);
  // "Each lead leg", "per standing foot".
  if (/^(?:lead|front|back|standing|supporting)$/.test(word(tokens, noun)) && isOneOf(tokens, noun + 1, SIDE_WORDS))
    noun++;
  if (each !== null) {
    if (isOneOf(tokens, noun, WAY_WORDS)) return take({ what: 'each-way', inTurn: true }, noun + 1);
    // "x8 / elbows low" is no amount for each.
    const side = word(tokens, noun);
    const apart = each === '/' && (/s$/.test(side) || !SIDE_WORDS.some((one) => one === side));
    if (isOneOf(tokens, noun, SIDE_WORDS) && !apart) return eachSide(tokens, noun, take);
    // "5 each": behind an amount alone.
    const last = taken.at(-1);
    const behind = last && /^(?:rounds|seconds|hold)$/.test(last.what) && last.to === at;
    if (
      behind &&
      /^(?:|[),.;#(–—-]|if|when|and|then|please|with|but|nb|alternating)$/.test(word(tokens, noun)) &&
      each !== '/'
    )
      return take({ what: 'each' }, next + 1);
    const behindOf = word(tokens, at - 1) === 'of' && tokens[at - 2]?.value !== null;
    if (/^(?:|[),.;])$/.test(word(tokens, noun)) && behindOf) return take({ what: 'each' }, next + 1, at - 1);
    if (/^(?:|[),.;]|alternating)$/.test(word(tokens, noun)) && tokens[at - 1]?.kind === 'number' && each !== '/')
      return take({ what: 'each' }, next + 1);
  }
  if (word(tokens, next) === 'both' && isOneOf(tokens, next + 1, WAY_WORDS))
    return take({ what: 'each-way' }, next + 2);
  // "Stand on both legs" is where the weight is.
  const stood = word(tokens, next - 1) === 'on' && /^st(?:and|ood)s?(?:ing)?$/.test(word(tokens, next - 2));
  if (!stood && word(tokens, next) === 'both' && /^(?:sides?|legs)$/.test(word(tokens, next + 1)))
    return take({ what: 'each-side' }, next + 2);
  const limb = /^(?:leg|foot|arm|hand)$/.test(word(tokens, at + 1)) && taken.at(-1)?.to === at;
  if (text === 'a' && (limb || word(tokens, at + 1) === 'side')) return take({ what: 'each-side' }, at + 2);
  return (
    alternatingAt(tokens, at, take) ??
    pairBehind(tokens, at, next, take) ??
    ownPaceAt(tokens, at, take, taken) ??
    pairAt(tokens, at, take)
  );
}

/** "Three on L/R": a pair of sides behind a small word. */
function pairBehind(tokens: readonly Token[], at: number, next: number, take: Take): Taken | null {
  return next > at && wayOf(word(tokens, next)) !== undefined ? alternatingAt(tokens, next, take) : null;
}

/** "3/side", "3 reps/side"; "w/ arms" has no count. */
function isCounted(tokens: readonly Token[], at: number): boolean {
  return [tokens[at], tokens[at - 1]].some((token) => (token?.value ?? null) !== null);
}

/** What may stand behind the limb that is counted for: "each leg forward". */
const AHEAD = /^(?:forwards?|leading|lead)$/;

function eachSide(tokens: readonly Token[], noun: number, take: Take): Taken {
  const turn = word(tokens, noun + 1) === 'in' && word(tokens, noun + 2) === 'turn';
  if (turn) return take({ what: 'in-turn' }, noun + 3);
  return take({ what: 'each-side' }, AHEAD.test(word(tokens, noun + 1)) ? noun + 2 : noun + 1);
}

function alternatingAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  const text = word(tokens, at);
  // "Alternate nostril" is a name.
  const ofName = at === 0 && tokens[1]?.kind === 'word' && tokens[1].value === null && !isOneOf(tokens, 1, NOUNS);
  if (/^(?:alternate|alternating)$/.test(text) && !ofName) {
    return take({ what: 'alternating' }, isOneOf(tokens, at + 1, SIDE_WORDS) ? at + 2 : at + 1);
  }
  if (/^(?:changing|swapping|switching)$/.test(text) && isOneOf(tokens, at + 1, SIDE_WORDS)) {
    const timed = word(tokens, at + 2) === 'each' && word(tokens, at + 3) === 'time';
    return take({ what: 'alternating' }, timed ? at + 4 : at + 2);
  }
  const [first, between, second] = [wayOf(text), word(tokens, at + 1), wayOf(word(tokens, at + 2))];
  const sides =
    first && second && [first, second].every((way) => way === 'left' || way === 'right') && first !== second;
  // "left/right/front/back": more ways than a pair.
  const more = /^[/,]$/.test(word(tokens, at + 3)) && wayOf(word(tokens, at + 4)) !== undefined;
  return sides && !more && /^(?:\/|and|&|\+)$/.test(between) ? take({ what: 'alternating' }, at + 3) : null;
}

/** "No cues", "without words", "as often as they like", "by themselves". */
const UNLED: readonly RegExp[] = [
  /^(?:no|without) (?:(?:any )?(?:cues?|words?)|talk(?:ing)?|me talking|my (?:voice|words)|counting|me|us|help|instructions?|guidance)$/,
  /^unguided$/,
  /^(?:everybody|everyone|each|all) for (?:himself|herself|themselves|themself|yourselves|oneself)$/,
  /^as (?:often|many(?: times)?|long) as (?:you|they|one|everybody) (?:like|likes|want|wants|wish)$/,
  /^on (?:their|your|our) own$/,
  /^by (?:themselves|yourselves|yourself|oneself)$/,
];
const UNLED_STARTS = /^(?:no|without|unguided|everybody|everyone|each|all|as|on|by)$/;
/** The longest first: "without me talking". */
const UNLED_WORDS = [6, 5, 3, 2, 1] as const;

function unledAt(tokens: readonly Token[], at: number, take: Take): Taken | null {
  if (!UNLED_STARTS.test(word(tokens, at))) return null;
  for (const length of UNLED_WORDS) {
    if (at + length > tokens.length) continue;
    const said = tokens
      .slice(at, at + length)
      .map(({ text }) => text)
      .join(' ');
    if (UNLED.some((one) => one.test(said))) return take({ what: 'own-pace' }, at + length);
  }
  return null;
}

function ownPaceAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  // "Gulls wheel, free, 2'".
  const apart =
    (tokens[at - 1]?.kind === 'mark' || taken.at(-1)?.to === at) &&
    (tokens[at + 1] === undefined || tokens[at + 1]?.kind === 'mark');
  if (at > 0 && apart && word(tokens, at) === 'free') return take({ what: 'own-pace' }, at + 1);
  const unled = unledAt(tokens, at, take);
  if (unled) return unled;
  let next = at;
  if (/^(?:everyone|everybody|all|each|every)$/.test(word(tokens, next))) next++;
  if (next > at && word(tokens, next) === 'one') next++;
  const led = /^(?:in|at|with)$/.test(word(tokens, next));
  if (led) next++;
  const whose = /^(?:your|their|one’s|one's|his|her|our)$/.test(word(tokens, next));
  if (whose) next++;
  // "With his rhythm", "two mins, their speed".
  const alone = whose && (led || !/\p{L}/u.test(word(tokens, next + 1)));
  if (alone && /^(?:pace|rhythm|speed|tempo)$/.test(word(tokens, next))) return take({ what: 'own-pace' }, next + 1);
  if (word(tokens, next) !== 'own' && !isSwapped(word(tokens, next), 'own')) return null;
  const paced = wordAmong(word(tokens, next + 1), PACE_WORDS);
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
    turned ? { what: 'each-way', inTurn: true } : { what: 'in-turn', startsRight: first.way === 'right' },
    isOneOf(tokens, second.to, SIDE_WORDS) ? second.to + 1 : second.to,
  );
}
