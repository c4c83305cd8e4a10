import { findCounts, hasAmount } from '../phrases/counts';
import { isTold } from '../line-kinds/talks';
import { NUMBER_WORDS } from '../tokens/tokens';

/* Amounts in brackets: alone below a name, and behind one before what is done in it. */

/** "(2 min)", "[6]", right below a name: how long or how often, and no pause behind it. */
export function boxedAmount(body: string): string | undefined {
  const amount = BRACKETED.exec(body)?.[1];
  return amount !== undefined && /^\d{1,2}$/.test(amount) ? `x${amount}` : (amount ?? amountAlone(body));
}

/** "Make it 6", "Six is enough", "first right 6, then left 6": numbers, sides and small words, and nothing else. */
function amountAlone(body: string): string | undefined {
  const words = body.toLowerCase().replace(/[.!?]$/, '').split(/[\s,;:/–—-]+/u).filter((one) => one !== ''); // prettier-ignore
  if (words.length > ALONE_AT_MOST) return undefined;
  const others = words.filter((one) => !BESIDE_AMOUNT.has(one));
  const numbers = others.map((one) => /^\(?(\d{1,2})\)?[x×]?$/.exec(one)?.[1] ?? NUMBER_WORDS.get(one)?.toString());
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
const BESIDE_AMOUNT: ReadonlySet<string> = new Set(['make', 'it', 'this', 'that', 'do', 'we', 'take', 'have', 'let’s', "let's", 'total', 'in', 'all', 'altogether', 'of', 'is', 'are', 'will', 'enough', 'plenty', 'about', 'around', 'roughly', 'only', 'just', 'times', 'rounds', 'reps', 'repetitions', 'repeats', 'cycles', 'breaths', 'passes', 'goes', 'gos', 'ones', 'slow', 'slowly', 'full', 'deep', 'gentle', 'gently', 'long', 'easy', 'big', 'good', 'or', 'so', 'please', 'again', 'repeat', 'count', 'up', 'with', 'the', 'breath', 'each', 'first', 'then', 'and', 'to', 'on', 'left', 'right', 'l', 'r', 'side', 'x', '×', 'times:', 'for', 'maybe', 'perhaps', 'today', 'a', 'here', 'no', 'rush', 'hurry']); // prettier-ignore

const BRACKETED = /^[([]([^()[\]]{1,40})[)\]]\.?$/;

/** "HIP CIRCLES (1:30): 8 clockwise, 8 anti": rounds are led, whatever the time for them; else it is the step's. */
export function withoutBoxedTime(text: string): string | null {
  const [, name = '', time = '', rest = ''] = BOXED_TIME.exec(text) ?? [];
  if (name === '' || isTold(name) || isTold(`${name}: ${rest}`)) return null;
  const { counts } = findCounts(rest);
  return hasAmount(counts) ? `${name}: ${rest}` : `${name}, ${time}. ${rest.charAt(0).toUpperCase()}${rest.slice(1)}`;
}

const BOXED_TIME = /^((?:\d{1,2}[.)] |[-*•] )?\p{L}[^():]{2,40}?) ?[([](\d{1,2}:\d{2}|\d{1,2} ?(?:min|mins|m|['′]))[)\]]: (?=\S)(.{3,160})$/u; // prettier-ignore
