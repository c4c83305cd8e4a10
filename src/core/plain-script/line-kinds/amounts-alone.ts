import { NUMBER_WORDS } from '../tokens/tokens';

/* How often, below the name of a movement, in a line that tells nothing else. */

/** "Make it 6", "Six is enough", "first right 6, then left 6": numbers, sides and small words, and nothing else. */
export function amountAlone(body: string): string | undefined {
  const words = body.toLowerCase().replace(/[.!?]$/, '').split(/[\s,;:/()–—-]+/u).filter((one) => one !== ''); // prettier-ignore
  if (words.length > ALONE_AT_MOST) return undefined;
  const others = words.filter((one) => !BESIDE_AMOUNT.has(one));
  const numbers = others.map((one) => /^(\d{1,2})[x×]?$/.exec(one)?.[1] ?? NUMBER_WORDS.get(one)?.toString());
  const [first, second] = numbers;
  if (first === undefined || Number(first) < 2 || numbers.includes(undefined)) return undefined;
  const both = words.some((one) => /^(?:left|l)$/.test(one)) && words.some((one) => /^(?:right|r)$/.test(one));
  const sided = words.some((one) => SIDES.test(one));
  if (numbers.length === 2 && first === second && both) return `x${first}, ${words.findIndex((one) => /^r/.test(one)) < words.findIndex((one) => /^l/.test(one)) ? 'right then left' : 'left then right'}`; // prettier-ignore
  return numbers.length === 1 && !sided ? `x${first}` : undefined;
}

const ALONE_AT_MOST = 9;
const SIDES = /^(?:left|right|[lr]|each|every|both|per|sides?|legs?|foot|feet|arms?|hands?|ways?|directions?)$/;
/** Words beside a number that tell nothing else. */
const BESIDE_AMOUNT: ReadonlySet<string> = new Set(['always', 'steady', 'calm', 'thereabouts', 'quiet', 'stop', 'us', 'let', 'more', 'row', 'those', 'these', 'them', 'such', 'per', 'set', 'every', 'time', 'round', 'should', 'be', 'would', 'i', 'you', 'they', 'go', 'not', 'than', 'by', 'comfortably', 'quietly', 'softly', 'calm', 'calmly', 'make', 'it', 'this', 'that', 'do', 'we', 'take', 'have', 'let’s', "let's", 'total', 'in', 'all', 'altogether', 'of', 'is', 'are', 'will', 'enough', 'plenty', 'about', 'around', 'roughly', 'only', 'just', 'times', 'rounds', 'reps', 'repetitions', 'repeats', 'cycles', 'breaths', 'passes', 'goes', 'gos', 'ones', 'slow', 'slowly', 'full', 'deep', 'gentle', 'gently', 'long', 'easy', 'big', 'good', 'or', 'so', 'please', 'again', 'repeat', 'count', 'up', 'with', 'the', 'breath', 'each', 'first', 'then', 'and', 'to', 'on', 'left', 'right', 'l', 'r', 'side', 'x', '×', 'times:', 'for', 'maybe', 'perhaps', 'today', 'a', 'here', 'no', 'rush', 'hurry']); // prettier-ignore
