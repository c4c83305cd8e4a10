import { NUMBER_WORDS, wordAmong, type Token } from '../tokens/tokens';

/* Amounts as people write them: one number or from one to another, and the unit behind it. */

export const ROUND_WORDS = ['times', 'time', 'rounds', 'round', 'reps', 'rep', 'repetitions', 'circles', 'breaths', 'strokes', 'rnds', 'exhalations', 'inhalations', 'exhales', 'inhales', 'passes', 'repeats', 'sweeps', 'goes', 'gos', 'turns', 'ones', 'nos', 'br', 'brs', 'counts', 'cts', 'laps', 'lap'] as const; // prettier-ignore
/** What is counted where a name stands before it: "Arm swings, 40 swings". */
export const COUNTED_WORDS = ['swings', 'cycles', 'steps', 'bow', 'kicks', 'taps', 'lifts', 'rolls', 'waves', 'bows', 'squats', 'raises', 'bounces', 'presses', 'pushes', 'pulls', 'punches', 'sways', 'rotations', 'throws'] as const; // prettier-ignore
const SECOND_WORDS = ['seconds', 'second', 'secs', 'sec'] as const;
const MINUTE_WORDS = ['minutes', 'minute', 'mins', 'min'] as const;
const TIME_WORDS = [...SECOND_WORDS, ...MINUTE_WORDS];
const COUNTING: readonly string[] = ['three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

/** Several steps are done no more often than this: a larger number counts the rounds of one. */
const TIMES_OVER_AT_MOST = 6;

/** How often several steps are done, by a word or a figure: "twice", "three", "2"; `null` for once or too often. */
export function timesOver(written: string): number | null {
  const small = written.toLowerCase();
  const times = small === 'twice' ? 2 : small === 'thrice' ? 3 : (NUMBER_WORDS.get(small) ?? Number(small));
  return times >= 2 && times <= TIMES_OVER_AT_MOST ? times : null;
}

export type Range = readonly [min: number, max: number];

export interface Amount {
  readonly range: Range;
  /** The token behind it. */
  readonly next: number;
  readonly inFigures: boolean;
  /** "5/5", "3+3": said for one side and for the other. */
  readonly eachSide?: true;
}

export const word = (tokens: readonly Token[], at: number): string => tokens[at]?.text ?? '';
export const isOneOf = (tokens: readonly Token[], at: number, words: readonly string[]): boolean =>
  tokens[at]?.kind === 'word' && wordAmong(word(tokens, at), words) !== null;
/** Whether a token follows the one before without a space. */
const isGlued = (tokens: readonly Token[], at: number): boolean => tokens[at]?.from === tokens[at - 1]?.to;

/** One number: "4", "four", "1 1/2", "half a", "a couple of", "a few". */
function numberAt(tokens: readonly Token[], at: number): Amount | null {
  const token = tokens[at];
  if (!token || token.kind === 'clock') return null;
  const quarters = word(tokens, at + 1) === 'quarters' && word(tokens, at + 2) === 'of';
  if (token.value !== null && quarters)
    return { range: [token.value / 4, token.value / 4], next: at + 4, inFigures: false };
  const andHalf = ['and', 'a', 'half'].every((one, after) => word(tokens, at + 1 + after) === one);
  if (token.value !== null && andHalf && isOneOf(tokens, at + 4, TIME_WORDS))
    return { range: [token.value + 0.5, token.value + 0.5], next: at + 4, inFigures: false };
  if (token.value !== null)
    return { range: [token.value, token.value], next: at + 1, inFigures: token.kind === 'number' };
  const slip = token.kind === 'word' && isOneOf(tokens, at + 1, ROUND_WORDS) ? wordAmong(token.text, COUNTING) : null;
  if (slip !== null)
    return { range: [COUNTING.indexOf(slip) + 3, COUNTING.indexOf(slip) + 3], next: at + 1, inFigures: false };
  const [second, third] = [word(tokens, at + 1), word(tokens, at + 2)];
  if (token.text === 'half' && second === 'a' && third === 'dozen')
    return { range: [6, 6], next: at + 3, inFigures: false };
  if (token.text === 'half' && second === 'hour') return { range: [0.5, 0.5], next: at + 1, inFigures: false };
  if (token.text === 'half' && /^an?$/.test(second)) return { range: [0.5, 0.5], next: at + 2, inFigures: false };
  if (token.text !== 'a') return null;
  if (second === 'couple') return { range: [2, 2], next: at + (third === 'of' ? 3 : 2), inFigures: false };
  if (second === 'hundred') return { range: [100, 100], next: at + 2, inFigures: false };
  if (second === 'dozen') return { range: [12, 12], next: at + 2, inFigures: false };
  return second === 'few' ? { range: [3, 3], next: at + 2, inFigures: false } : null;
}

/** A number, or from one to another: "3-5", "3 or 4", "between 4 and 6", "six, maybe seven,", "6 (8 if time)", "3+". */
export function amountAt(tokens: readonly Token[], at: number): Amount | null {
  const first = numberAt(tokens, at);
  if (!first) return null;
  const [low] = first.range;
  const between = word(tokens, at - 1) === 'between' && word(tokens, first.next) === 'and';
  const joined = /^(?:-|–|—|→|to|or|until|till?|\/)$/.test(word(tokens, first.next)) || between;
  const aside = word(tokens, first.next) === ',' && word(tokens, first.next + 1) === 'maybe';
  const second = joined ? numberAt(tokens, first.next + 1) : aside ? numberAt(tokens, first.next + 2) : null;
  if (second && second.range[0] > low) {
    const next = aside && word(tokens, second.next) === ',' ? second.next + 1 : second.next;
    return { range: [low, second.range[0]], next, inFigures: second.inFigures };
  }
  const more = word(tokens, first.next) === '(' ? numberAt(tokens, first.next + 1) : null;
  if (more && word(tokens, more.next) === 'if') {
    const close = tokens.findIndex((token, index) => index > more.next && token.text === ')');
    if (close > 0) return { range: [low, Math.max(low, more.range[0])], next: close + 1, inFigures: true };
  }
  const joint = word(tokens, first.next);
  const again = /^(?:\+|\/|&|and|n|’n)$/.test(joint) ? numberAt(tokens, first.next + 1) : null;
  const bothSides = /n$/.test(joint) || (again?.inFigures && first.inFigures);
  if (again && bothSides && again.range[0] === low) return { ...again, eachSide: true };
  if (word(tokens, first.next) === '+') return { ...first, next: first.next + 1 };
  return first;
}

/** How many seconds a unit has, and the token behind it; a bare letter or a stroke only right behind a figure. */
export function unitAt(
  tokens: readonly Token[],
  { next: behind, inFigures }: Amount,
): { readonly seconds: number; readonly next: number } | null {
  // "Two whole minutes", "a good long minute".
  let next = behind;
  while (/^(?:whole|full|good|long|quiet|more|slow|ish)$/.test(word(tokens, next))) next++;
  if (word(tokens, next) !== 'sets' && isOneOf(tokens, next, SECOND_WORDS)) return { seconds: 1, next: next + 1 };
  if (isOneOf(tokens, next, MINUTE_WORDS)) return { seconds: 60, next: next + 1 };
  if (/^(?:hours?|hrs?)$/.test(word(tokens, next))) return { seconds: 3600, next: next + 1 };
  if (!inFigures || next !== behind) return null;
  const letter = word(tokens, next);
  if (letter === 's' && isDecade(tokens, next - 1)) return null;
  if (/^[sm]$/.test(letter)) return { seconds: letter === 's' ? 1 : 60, next: next + 1 };
  if (letter === 'h' && isGlued(tokens, next)) return { seconds: 3600, next: next + 1 };
  const twice = isGlued(tokens, next) && /^['′’]$/.test(letter) && word(tokens, next + 1) === letter;
  // 45'' with two strokes is 45".
  if (twice && isGlued(tokens, next + 1)) return { seconds: 1, next: next + 2 };
  if (isGlued(tokens, next) && /^["″”]$/.test(letter)) return { seconds: 1, next: next + 1 };
  if (isGlued(tokens, next) && /^['′’]$/.test(letter)) return { seconds: 60, next: next + 1 };
  return null;
}

/** "the over-70s", "in their 60s": an age. */
function isDecade(tokens: readonly Token[], at: number): boolean {
  const value = tokens[at]?.value ?? 0;
  const before = word(tokens, at - 1) === '-' ? word(tokens, at - 2) : word(tokens, at - 1);
  return value >= 50 && value % 10 === 0 && /^(?:over|under|their|our|your|his|her|my|early|late|mid)$/.test(before);
}

/** "1 min 30", "1 min 20 s", "one minute and a half". */
export function secondsBehind(tokens: readonly Token[], at: number): readonly [seconds: number, next: number] {
  const from = word(tokens, at) === 'and' ? at + 1 : at;
  if (word(tokens, from) === 'a' && word(tokens, from + 1) === 'half') return [30, from + 2];
  if (word(tokens, from) === 'half') return [30, from + 1];
  const more = tokens[from];
  if (more?.kind !== 'number' || more.value === null || more.value >= 60) return [0, at];
  const unit = /^(?:s|secs?|seconds?)$/.test(word(tokens, from + 1));
  if (unit) return [more.value, from + 2];
  // "1m30, heel first".
  if (from === at && isGlued(tokens, from) && /^m(?:in)?$/.test(word(tokens, from - 1))) return [more.value, from + 1];
  // "1 min 30" ends there; "1 min 4 each side" does not.
  return from === at && from + 1 >= tokens.length ? [more.value, from + 1] : [0, at];
}

/** "6 extensions": what is counted stands behind its number, and is no unit. */
export const NUMBER_FIRST =
  /^(\d{1,2}) (?=\p{L}{3})(?!(?:mins?|minutes?|secs?|seconds?|times|rounds|reps|breaths?|sets|each|slow|deep|long|hours?)\b)/iu;
