import { amountAt, COUNTED_WORDS, isOneOf, ROUND_WORDS, unitAt, word, type Amount, type Range } from './amounts';
import type { Take, Taken } from './found';
import { MOST_SECONDS } from '../model/model';
import { sidesAt, wayBehind, wayOf } from './sides';
import { NEAR_WORDS } from '../tokens/near-words';
import type { Token } from '../tokens/tokens';

/* How often something is done, as people write it. */

/** What may stand behind a bare count: "6 slow", "4ish". */
const MANNER: ReadonlySet<string> = new Set(['slow', 'slowly', 'easy', 'gentle', 'gently', 'deep', 'big', 'long', 'full', 'quiet', 'calm', 'normal', 'easier', 'ish', 'soft', 'quick', 'light', 'total', 'altogether', 'slower', 'lower', 'softly', 'smoothly', 'lazy', 'careful', 'carefully']); // prettier-ignore
/** Words whose number is no count: "level 2", "part 3". */
const NAMED_BY_NUMBER: ReadonlySet<string> = new Set(['level', 'age', 'aged', 'ages', 'years', 'video', 'clip', 'photo', 'fig', 'figure', 'slide', 'card', 'part', 'no', 'number', 'page', 'section', 'week', 'lesson', 'class', 'form', 'step', 'song', 'track', 'at', 'room', 'and', 'of', 'module', 'session', 'episode', 'workshop', 'chapter', 'unit', 'block', 'term', 'day', 'wk', 'group', 'gp', 'grp', 'yr', 'year', 'ep', 'vol', 'version', 'v', 'ver', 'take', 'recording', 'scene', 'moves', 'movements', 'postures', 'shot', 'move', 'movement', 'posture', 'exercise', 'position', '#']); // prettier-ignore
const COUNTED = [...ROUND_WORDS, ...COUNTED_WORDS];
const NAMED_COUNTS = [...COUNTED_WORDS, 'breaths', 'circles', 'turns', 'sweeps', 'strokes'] as const;
/** Names of motions in the plural that differ from their verbs by a letter only. */
const MOTIONS: ReadonlySet<string> = new Set(['sighs', 'drops', 'shakes', 'stretches', 'claps', 'nods', 'bends', 'dips', 'twists', 'flicks', 'hops', 'knocks', 'reaches', 'hums', 'yawns', 'pats', 'stamps', 'shrugs', 'breathings', 'bows', 'yeses', 'nos', 'oms', 'hoots', 'laps', 'spirals', 'loops', 'eights']); // prettier-ignore
const OF_A_FORM = /^(?:section|sec|sect|part|form|lesson|chapter|number|no|exercise|movement|posture|module|unit)$/;
export const MOST_ROUNDS = 200;
/** From 1 to no fewer is which of a set, and not how often. */
const NUMBERED_FROM = 5;
/** What may stand before a count behind a mark: "Cloud arms, reps 8-10". */
export const BEFORE_COUNT = /^(?:reps?|rounds?|times|repeats?|repetitions)$/;

/** A count as it is found, and the token behind it; `bare` where that is a guess. */
type Count = (
  amount: Pick<Amount, 'range'> & { readonly eachSide?: boolean },
  to: number,
  bare?: boolean,
) => Taken | null;

/** How often, from a token on: "twice", "x6", "reps 8-10", "2 sets of 8", "5 belly breaths", "6". */
export function roundsAt(tokens: readonly Token[], at: number, take: Take, taken: readonly Taken[]): Taken | null {
  const rounds: Count = ({ range: [min, max], eachSide = false }, to, bare = false) =>
    min >= 1 && max <= MOST_ROUNDS && Number.isInteger(min) && Number.isInteger(max)
      ? take({ what: 'rounds', range: [min, max], bare, eachSide }, bare ? to : throughBehind(tokens, to))
      : null;
  const worded = wordedAt(tokens, at, rounds);
  if (worded !== undefined) return worded;
  const amount = amountAt(tokens, at);
  if (!amount) return null;
  let { next } = amount;
  while (MANNER.has(word(tokens, next)) && isOneOf(tokens, next + 1, COUNTED)) next++;
  const sets = /^[x×]$/.test(word(tokens, next)) && amount.inFigures ? amountAt(tokens, next + 1) : null;
  // "moves 1-7 x 2": from which of them to which.
  if (sets?.inFigures && amount.range[0] === 1 && amount.range[1] >= NUMBERED_FROM && sets.range[1] <= MOST_ROUNDS)
    return take({ what: 'rounds', range: sets.range, bare: false, eachSide: false }, sets.next, next);
  // "form section 1 x2".
  const [first, last] = amount.range;
  if (sets?.inFigures && first === last && OF_A_FORM.test(word(tokens, at - 1)))
    return take({ what: 'rounds', range: sets.range, bare: false, eachSide: false }, sets.next, next);
  if (sets?.inFigures) return timesOver(amount, sets, tokens, take, rounds);
  if (/^[x×]$/.test(word(tokens, next)) && amount.inFigures) return rounds(amount, mannerBehind(tokens, next + 1));
  const setsOf = /^(?:rounds|times)$/.test(word(tokens, next)) && word(tokens, next + 1) === 'of';
  // "Five Tides" are no times.
  const isOther = at === 0 && !amount.inFigures && NEAR_WORDS.has(word(tokens, next));
  if (!isOther && isOneOf(tokens, next, ROUND_WORDS) && !(setsOf && amountAt(tokens, next + 2)?.inFigures))
    return rounds(amount, next + 1);
  // "6 in all", "Six of these", below a name.
  const whole =
    at === 0 &&
    next + 2 >= tokens.length - 1 &&
    WHOLE_LINE.test(`${word(tokens, next)} ${word(tokens, next + 1)}`.trim());
  if (whole) return rounds(amount, tokens.length);
  // Behind a name: "Arm swings, 40 swings", "seven or so", "eight of them", "6 b."
  const behindName = tokens.slice(0, at).some(({ kind }) => kind === 'word');
  const loose = behindName ? looseAt(tokens, at, { ...amount, next }, rounds) : null;
  if (loose) return loose;
  // "Three big sighs": at the start of a line what is counted is its name.
  const moved = [next, next + 1, next + 2].some((one) => MOTIONS.has(word(tokens, one)));
  if (at === 0 && (moved || isOneOf(tokens, next, COUNTED_WORDS))) return rounds(amount, amount.next, true);
  // "5 belly breaths", "10 wrist circles": what is counted is its name.
  const noun = tokens[next];
  const named =
    noun?.kind === 'word' &&
    noun.value === null &&
    [next + 1, next + 2].some((one) => isOneOf(tokens, one, NAMED_COUNTS));
  if (at === 0 && named) return rounds(amount, next, true);
  if (/^(?:sets?|series|lots|rounds|times)$/.test(word(tokens, next))) {
    const of = /^(?:of|x|×)$/.test(word(tokens, next + 1)) ? amountAt(tokens, next + 2) : null;
    // "2 rounds of 3 minutes".
    if (of && unitAt(tokens, of)) return timesOver(amount, of, tokens, take, rounds);
    const times = of?.range[0] ?? 1;
    const to = of ? behindRounds(tokens, of.next) : next + 1;
    return rounds({ range: [amount.range[0] * times, amount.range[1] * times] }, to);
  }
  // "…: four each".
  if (
    word(tokens, next) === 'each' &&
    /^(?:|[.;)])$/.test(word(tokens, next + 1)) &&
    /^[,:;–—-]$/.test(word(tokens, at - 1))
  )
    return rounds(amount, next);
  if (word(tokens, next) === 'of' && /^(?:each|both)$/.test(word(tokens, next + 1))) return rounds(amount, next);
  const sided = sidesAt(tokens, next, take, taken) ?? wayBehind(tokens, next, take);
  if (sided) return rounds(amount, next);
  return isBareCount(tokens, at, amount) ? rounds(amount, mannerBehind(tokens, amount.next), true) : null;
}

/** Counts that begin with a word: "twice", "x6", "reps 8-10"; `undefined` where none begins. */
function wordedAt(tokens: readonly Token[], at: number, rounds: Count): Taken | null | undefined {
  const [text, second, third] = [word(tokens, at), word(tokens, at + 1), word(tokens, at + 2)];
  if (text === 'once' && second === 'or' && third === 'twice') return rounds({ range: [1, 2] }, at + 3);
  if (text === 'thrice') return rounds({ range: [3, 3] }, at + 1);
  if (text === 'twice') return rounds({ range: [2, 2] }, at + 1);
  if (text === 'once' && second === 'through') return rounds({ range: [1, 1] }, at + 2);
  // "Once" begins sentences too: it counts where it ends one, or sides are with it.
  const ofSide = second === ',' && wayOf(word(tokens, at - 2)) !== undefined;
  if (text === 'once' && (ofSide || /^(?:|[.)]|each|per|on)$/.test(second))) return rounds({ range: [1, 1] }, at + 1);
  if (/^[x×]$/.test(text)) {
    const amount = amountAt(tokens, at + 1);
    if (!amount?.inFigures) return null;
    const counted = isOneOf(tokens, amount.next, ROUND_WORDS);
    return rounds(amount, counted ? amount.next + 1 : mannerBehind(tokens, amount.next));
  }
  const led = BEFORE_COUNT.test(text) && /^[,(–-]$/.test(word(tokens, at - 1));
  const behind = led ? amountAt(tokens, at + (second === ':' ? 2 : 1)) : null;
  if (behind?.inFigures && /^(?:|[),.;])$/.test(word(tokens, behind.next))) return rounds(behind, behind.next);
  return undefined;
}

const WHOLE_LINE =
  /^(?:in (?:all|total|a)|or so|of (?:these|those|them)|altogether|, (?:slow(?:ly)?|soft(?:ly)?|gently|easy))$/;

/** Plural nouns that count people, things and times, and no rounds. */
const NO_ROUNDS =
  /^(?:seconds|secs|minutes|mins|hours|people|chairs|sides|legs|arms|hands|feet|ways|levels|parts|rows|lines|pairs|groups|students|beginners|points|things|variations|versions|heights|styles|speeds|positions|directions|options|sections|stages|layers|corners|animals|elements|people)$/;

/** "Thirty-six light knocks": a word of how, and what is counted at the end of the line. */
function mannerBefore(tokens: readonly Token[], at: number): boolean {
  const [how, noun] = [word(tokens, at), word(tokens, at + 1)];
  const tells = tokens[at]?.value === null && wayOf(how) === undefined;
  const small = /^(?:of|to|on|in|with|and|or|each|per|more|the)$/.test(how);
  const counted = tokens[at + 1]?.kind === 'word' && /^\p{L}{4,}s$/u.test(noun) && !NO_ROUNDS.test(noun);
  const ends = at + 2 >= tokens.length - 1 && /^[.!]?$/.test(word(tokens, at + 2));
  return tells && !small && counted && ends;
}

/** A count behind a name in looser words: "40 swings", "seven or so", "one more", "nine risings in all", "6 b.". */
function looseAt(tokens: readonly Token[], at: number, amount: Amount, rounds: Count): Taken | null {
  const { next } = amount;
  if (isOneOf(tokens, next, COUNTED_WORDS)) return rounds(amount, next + 1);
  const noun = word(tokens, next);
  const things =
    /^\p{L}{3,}s$/u.test(noun) && !NO_ROUNDS.test(noun) && wayOf(noun) === undefined && amount.range[0] > 1;
  const inAll = word(tokens, next + 1) === 'in' && /^(?:all|total)$/.test(word(tokens, next + 2));
  const ofManner = mannerBefore(tokens, next) && amount.range[0] > 1 && /^[,:–—-]$/.test(word(tokens, at - 1));
  if (ofManner) return rounds(amount, next + 2, true);
  const last = next + (inAll ? 3 : 1);
  const ends = last >= tokens.length - 1 && /^[.!]?$/.test(word(tokens, last));
  if (things && ends && /^[,:–—-]$/.test(word(tokens, at - 1))) return rounds(amount, last, true);
  const loose = `${noun} ${word(tokens, next + 1)}`;
  if (/^in (?:all|total)$/.test(loose)) return rounds(amount, next + 2);
  if (/^(?:or so|of (?:them|those|these))$/.test(loose)) return rounds(amount, next + 2);
  if (/^more ?\.?$/.test(loose)) return rounds(amount, next + 1);
  return amount.inFigures &&
    (/^(?:b|br) ?\.?$/.test(loose.trim()) ||
      (loose.trim() === 'r' && tokens.filter(({ value }) => value !== null).length === 1))
    ? rounds(amount, tokens.length)
    : null;
}

/** So many rounds of a breath, and how long one may last, in seconds; common practice, no published source. */
const BREATHED_FROM = 5;
const BREATH_SECONDS = { min: 5, max: 20 } as const;

/** "2 x 8" is sixteen, "2 x 20 s" forty seconds in all. */
function timesOver(
  sets: Amount,
  { range: [min, max], next, inFigures }: Amount,
  tokens: readonly Token[],
  take: Take,
  rounds: Count,
): Taken | null {
  const times = sets.range[0];
  const unit = unitAt(tokens, { range: [min, max], next, inFigures });
  if (!unit) return rounds({ range: [min * times, max * times] }, behindRounds(tokens, next));
  // "6x 1'": so many in all that time, and not each so long.
  const each = (min * unit.seconds) / times;
  if (times >= BREATHED_FROM && each >= BREATH_SECONDS.min && each <= BREATH_SECONDS.max) return rounds({ range: sets.range }, sets.next + 1); // prettier-ignore
  const range = [min * times * unit.seconds, max * times * unit.seconds] as const;
  return range[0] > 0 && range[1] <= MOST_SECONDS
    ? take({ what: 'seconds', range, ...(times % 2 === 0 ? { whole: true as const } : {}) }, unit.next)
    : null;
}

/** Behind "three times round", "twice through". */
function throughBehind(tokens: readonly Token[], at: number): number {
  const pair = `${word(tokens, at)} ${word(tokens, at + 1)} ${word(tokens, at + 2)}`;
  const both = /^(?:up and down|back and forth|there and back|in and out)$/.test(pair);
  const whole = /^(?:in (?:all|total)|or so)\b/.test(pair);
  const alone = /^(?:altogether|round|around|over|through)$/.test(word(tokens, at));
  const next = at + (both ? 3 : whole ? 2 : alone ? 1 : 0);
  return /^(?:|[),.;])$/.test(word(tokens, next)) ? next : at;
}

/** Behind the word for a round, where one stands there: "8 reps". */
function behindRounds(tokens: readonly Token[], at: number): number {
  return isOneOf(tokens, at, ROUND_WORDS) ? at + 1 : at;
}

/** Behind "slow" or ", slowly" where that ends the line: how it is done is no part of its name. */
function mannerBehind(tokens: readonly Token[], at: number): number {
  const from = word(tokens, at) === ',' ? at + 1 : at;
  return MANNER.has(word(tokens, from)) && from + 1 >= tokens.length ? from + 1 : at;
}

const BEFORE_NO_COUNT =
  /^(?:for|to|of|in|at|on|than|by|the|a|these|those|all|movement|move|piece|exercise|station|set|round|count|and|or|first|last|next|other|from|until|till|every|shape|pattern|side|position|stage|phase|bit)$/;
const SPOKEN_AT_MOST = 6;

/** "Cloud hands eight", as a few words alone, as they are said to a telephone. */
function isSpokenCount(tokens: readonly Token[], at: number, [min, max]: Range, next: number): boolean {
  const before = word(tokens, at - 1);
  if (at === 0 || min < 3 || max > 36 || next !== tokens.length || tokens.length > SPOKEN_AT_MOST) return false;
  const alone = tokens.every(({ kind, value }, index) => kind === 'word' && (index >= at || value === null));
  return alone && !NAMED_BY_NUMBER.has(before) && !BEFORE_NO_COUNT.test(before);
}

const BEFORE_BARE = /^(?:maybe|perhaps|about|around|total|times|reps|rounds|circa|each|roughly)$/;

/** A number with nothing behind it that counts: at the end of a line or a bracket, or before how it is done. */
function isBareCount(tokens: readonly Token[], at: number, { range, next, inFigures, eachSide }: Amount): boolean {
  const before = word(tokens, at - 1);
  // "…, five or six." in words ends a line only as a count; one number alone, too, between its marks: "Row; six; slowly".
  const guessed = /^(?:maybe|perhaps|say|about|do|make|have)$/.test(before) && /^[,;:–—-]$/.test(word(tokens, at - 2));
  // "…, about a dozen, half of them backwards".
  if (guessed && word(tokens, at + 1) === 'dozen' && /^[,;.]?$/.test(word(tokens, next))) return true;
  if (!inFigures && (guessed || /^[,;:–—-]$/.test(before))) {
    const alone = (eachSide || tokens.filter(({ value }) => value !== null).length === 1) && range[0] > 1;
    const ends = word(tokens, next);
    if (range[0] < range[1] || alone)
      return /^[.?]?$/.test(ends) || (alone && (/^[;)]$/.test(ends) || MANNER.has(ends)));
  }
  // "3-8" is all of a line.
  if (at === 0) return inFigures && range[0] < range[1] && word(tokens, next) === '';
  if (!inFigures) return isSpokenCount(tokens, at, range, next);
  // "Rowing (seated) 12": behind an aside the only number ends the line.
  if (before === ')') return word(tokens, next) === '' && tokens.filter(({ value }) => value !== null).length === 1;
  if (NAMED_BY_NUMBER.has(before) || (tokens[at - 1]?.kind === 'mark' && !/^[,:(.–—-]$/.test(before))) return false;
  const after = word(tokens, next);
  // "Age 6-9": what the first number is none of, the second is none of.
  if (/^[–-]$/.test(before) && tokens[at - 2]?.kind === 'number' && tokens[at - 2]?.to === tokens[at - 1]?.from)
    return false;
  // "(video 2)" counts nothing.
  if (word(tokens, at - 2) === '(' && /^\p{L}{4,}$/u.test(before) && !BEFORE_BARE.test(before)) return false;
  // "Rowing. 10.": a number that is a sentence.
  if (before === '.' && !NAMED_BY_NUMBER.has(word(tokens, at - 2)) && at > 1)
    return /^\.?$/.test(after) || MANNER.has(after);
  if (after === 'in' && /^(?:total|all)$/.test(word(tokens, next + 1))) return true;
  return (
    after === '' ||
    /^[),.;(!→"“]$/.test(after) ||
    (after === 'if' && /^(?:time|needed|wanted|there|we|you|they)$/.test(word(tokens, next + 1))) ||
    /^(?:nb|please|pls)$/.test(after) ||
    (/^[-=/]$/.test(after) && /^[>/]$/.test(word(tokens, next + 1))) ||
    // "Cloud hands 10 - relax the shoulders".
    (/^[–—#-]$/.test(after) &&
      range[0] > 2 &&
      tokens[next + 1]?.kind === 'word' &&
      /^(?:,|[\p{L}'’]+)$/u.test(before)) ||
    MANNER.has(after) ||
    (/^[–—-]$/.test(after) && /^[–—-]$/.test(before))
  );
}
