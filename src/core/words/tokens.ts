import { itemAt } from '@/core/units';
import { cardinal, ordinal } from '@/core/speech';

/** What a line may name: filled in when the timeline is made, so that sides and counts are never wrong. */
export interface TokenFacts {
  readonly movement: string;
  readonly nextMovement: string;
  readonly side: string;
  readonly otherSide: string;
  readonly way: string;
  readonly otherWay: string;
  /** 0 where no round is performed; so are the others. */
  readonly round: number;
  readonly rounds: number;
  /** This one counted. */
  readonly roundsLeft: number;
  /** The number that the counting style says; 0 where it says none. */
  readonly count: number;
  readonly level: string;
  readonly minutesLeft: number;
  readonly in: string;
  readonly out: string;
  readonly belly: string;
  /** A picture by its plain name, in the words of the class's theme. */
  readonly picture: (name: string) => string;
}

type Fill = (facts: TokenFacts) => string | number;

interface Token {
  readonly stands: string;
  readonly fill: Fill;
  /** Words of a usual length, by which time is kept for it before it is known. */
  readonly usual: string;
}

const TABLE: Readonly<Record<string, Token>> = {
  movement: { stands: 'the movement’s name', fill: (facts) => facts.movement, usual: 'the movement’s name' },
  'next movement': {
    stands: 'the name of the next',
    fill: (facts) => facts.nextMovement,
    usual: 'the next one’s name',
  },
  side: { stands: 'the side now performed', fill: (facts) => facts.side, usual: 'right' },
  'other side': { stands: 'the side that follows', fill: (facts) => facts.otherSide, usual: 'right' },
  way: { stands: 'the direction of a circle', fill: (facts) => facts.way, usual: 'clockwise' },
  'other way': { stands: 'the direction that follows', fill: (facts) => facts.otherWay, usual: 'clockwise' },
  round: { stands: 'the number of this round', fill: (facts) => facts.round, usual: 'seven' },
  'nth round': { stands: 'the same as “third”', fill: (facts) => nth(facts.round), usual: 'seventh' },
  rounds: { stands: 'how many rounds there are', fill: (facts) => facts.rounds, usual: 'seven' },
  'rounds left': { stands: 'rounds left, this one counted', fill: (facts) => facts.roundsLeft, usual: 'seven' },
  count: { stands: 'the number the counting says', fill: (facts) => facts.count, usual: 'seven' },
  level: { stands: 'the level offered', fill: (facts) => facts.level, usual: 'middle' },
  'minutes left': { stands: 'whole minutes to the end', fill: (facts) => facts.minutesLeft, usual: 'seven' },
  in: { stands: 'the words for breathing in', fill: (facts) => facts.in, usual: 'in' },
  out: { stands: 'the words for breathing out', fill: (facts) => facts.out, usual: 'out' },
  belly: { stands: 'what the belly does', fill: (facts) => facts.belly, usual: 'the belly widens' },
};

const PICTURE = /^picture (.+)$/;
const PATTERN = /\{([^{}]{1,80})\}/g;

/** The tokens a line may hold, with what each stands for. */
export const TOKENS: readonly { readonly token: string; readonly stands: string }[] = [
  ...Object.entries(TABLE).map(([name, { stands }]) => ({ token: `{${name}}`, stands })),
  { token: '{picture …}', stands: 'a picture, in the theme’s words' },
];

function nth(value: number): string {
  return value > 0 ? ordinal(value) : '';
}

function tokenOf(name: string): Token | null {
  const plain = name.trim().toLowerCase();
  if (Object.hasOwn(TABLE, plain)) return TABLE[plain] ?? null;
  const picture = PICTURE.exec(plain);
  if (!picture) return null;
  return { stands: '', fill: (facts) => facts.picture(itemAt(picture, 1)), usual: itemAt(picture, 1) };
}

/** The names in braces that stand for nothing, in order, each once; a brace that is never closed is one of them. */
export function unknownTokens(text: string): string[] {
  if (!text.includes('{')) return [];
  const names = [...text.matchAll(PATTERN)].map(([, name = '']) => name);
  const open = /\{([^{}]*)$/.exec(text);
  if (open) names.push(itemAt(open, 1).trim());
  return [...new Set(names)].filter((name) => tokenOf(name) === null || name === open?.[1]?.trim());
}

/** The tokens of a text that are empty with these facts: a side where there is none, a round outside the rounds. */
export function emptyTokens(text: string, facts: TokenFacts): string[] {
  if (!text.includes('{')) return [];
  return [...text.matchAll(PATTERN)].flatMap(([, name = '']) => {
    const value = tokenOf(name)?.fill(facts);
    return value === '' || value === 0 ? [name] : [];
  });
}

/** Plural words that become singular after a number token that is one. */
const SINGULAR: Readonly<Record<string, string>> = {
  rounds: 'round',
  times: 'time',
  breaths: 'breath',
  circles: 'circle',
  minutes: 'minute',
  sides: 'side',
};

/**
 * A line with its tokens filled in, numbers as words. A token that begins a sentence, or is written with a capital, is
 * capitalised; a plural behind a number of one is made singular ("one round"). What is no token stays as it is.
 */
export function fillTokens(text: string, facts: TokenFacts): string {
  return replaceTokens(text, (token) => token.fill(facts));
}

/** A line with words of a usual length for its tokens: by these the plan keeps time for it before it is filled. */
export function usualText(text: string): string {
  return replaceTokens(text, (token) => token.usual);
}

function replaceTokens(text: string, value: (token: Token) => string | number): string {
  if (!text.includes('{')) return text;
  const parts: string[] = [];
  let tail = '';
  let from = 0;
  const put = (part: string): void => {
    parts.push(part);
    tail = (tail + part).slice(-ENDING);
  };
  for (const match of text.matchAll(PATTERN)) {
    const token = tokenOf(itemAt(match, 1));
    if (!token) continue;
    put(text.slice(from, match.index));
    from = match.index + match[0].length;
    const found = value(token);
    const words = typeof found === 'number' ? (found > 0 ? cardinal(found) : '') : found;
    const begins = match.index === 0 || BEGINS.test(tail) || /^\p{Lu}/u.test(itemAt(match, 1));
    put(begins ? words.slice(0, 1).toUpperCase() + words.slice(1) : words);
    if (found === 1) {
      const plural = /^ ([a-z]{1,12})\b/i.exec(text.slice(from, from + 16));
      const single = plural && SINGULAR[itemAt(plural, 1).toLowerCase()];
      if (plural && single) {
        put(` ${single}`);
        from += plural[0].length;
      }
    }
  }
  put(text.slice(from));
  return parts.join('');
}

/** Signs that can tell a sentence's beginning: its stop, a closing quote and the space behind it. */
const ENDING = 12;
const BEGINS = /[.?!…]["’”)]?\s+$/;
