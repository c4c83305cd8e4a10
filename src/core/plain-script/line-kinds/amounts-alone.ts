import { NUMBER_WORDS } from '../tokens/tokens';

/* How often, below the name of a movement, in a line that tells nothing else. */

/** "Make it 6", "Six is enough", "first right 6, then left 6": numbers, sides and small words, and nothing else. */
export function amountAlone(body: string): string | undefined {
  const words = body.toLowerCase().replace(/[.!?]$/, '').split(/[\s,;:/()–—-]+/u).filter((one) => one !== ''); // prettier-ignore
  if (words.length > ALONE_AT_MOST) return undefined;
  const numbers: (string | undefined)[] = [];
  for (const [at, word] of words.entries()) {
    if (BESIDE_AMOUNT.has(word)) continue;
    const number = /^(\d{1,2})[x×]?$/.exec(word)?.[1] ?? NUMBER_WORDS.get(word)?.toString();
    numbers.push(NO_AMOUNT_BEHIND.has(words[at - 1] ?? '') ? undefined : number);
  }
  const [first, second] = numbers;
  if (first === undefined || Number(first) < 2 || numbers.includes(undefined)) return undefined;
  const left = words.findIndex((one) => /^l(?:eft)?$/.test(one));
  const right = words.findIndex((one) => /^r(?:ight)?$/.test(one));
  if (numbers.length === 2 && first === second && left >= 0 && right >= 0)
    return `x${first}, ${right < left ? 'right then left' : 'left then right'}`;
  return numbers.length === 1 && !words.some((one) => SIDES.has(one)) ? `x${first}` : undefined;
}

const ALONE_AT_MOST = 9;
/** "In 4", "Round 3", "No 4": which of them, or how long a breath is. */
const NO_AMOUNT_BEHIND: ReadonlySet<string> = new Set(['in', 'by', 'no', 'not', 'to', 'on', 'with', 'round', 'set', 'time', 'breath', 'per', 'row', 'or']); // prettier-ignore
/** Of the words beside an amount those for a side. */
const SIDES: ReadonlySet<string> = new Set(['left', 'right', 'l', 'r', 'each', 'every', 'per', 'side']);
/** Words beside a number that tell nothing else. */
const BESIDE_AMOUNT: ReadonlySet<string> = new Set(['always', 'steady', 'calm', 'thereabouts', 'quiet', 'stop', 'us', 'let', 'more', 'row', 'those', 'these', 'them', 'such', 'per', 'set', 'every', 'time', 'round', 'should', 'be', 'would', 'i', 'you', 'they', 'go', 'not', 'than', 'by', 'comfortably', 'quietly', 'softly', 'calmly', 'make', 'it', 'this', 'that', 'do', 'we', 'take', 'have', 'let’s', "let's", 'total', 'in', 'all', 'altogether', 'of', 'is', 'are', 'will', 'enough', 'plenty', 'about', 'around', 'roughly', 'only', 'just', 'times', 'rounds', 'reps', 'repetitions', 'repeats', 'cycles', 'breaths', 'passes', 'goes', 'gos', 'ones', 'slow', 'slowly', 'full', 'deep', 'gentle', 'gently', 'long', 'easy', 'big', 'good', 'or', 'so', 'please', 'again', 'repeat', 'count', 'up', 'with', 'the', 'breath', 'each', 'first', 'then', 'and', 'to', 'on', 'left', 'right', 'l', 'r', 'side', 'x', '×', 'for', 'maybe', 'perhaps', 'today', 'a', 'here', 'no', 'rush', 'hurry']); // prettier-ignore
