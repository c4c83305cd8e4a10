import { tellsOfStep } from '../lines/asides';
import { breathsOf } from '../lines/breath-lines';
import { reading, type Reading } from '../model/reading';
import { readRemark } from '../lines/step-lines';
import { NUMBER_IN_WORDS, NUMBER_WORDS } from '../tokens/tokens';

/* The breaths that sentences of a class lead which is spoken word for word. */

export interface Breathed {
  readonly breaths: readonly Reading[];
  /** What is told beside them. */
  readonly others: string;
}

/** No grammar looks through more. */
const LONGEST = 500;

const isBreath = ({ kind }: Reading): boolean => kind === 'inhale' || kind === 'exhale';

/** The breaths that some sentences lead, of which none is in `ways` already, which keeps them; `null` where they lead none. */
export function breathsIn(sentences: readonly string[], ways: Set<string>): Breathed | null {
  if (sentences.reduce((sum, one) => sum + one.length, 0) > LONGEST) return null;
  const found = sentenceEach(sentences) ?? inOne(sentences);
  if (!found || found.breaths.some(({ kind }) => ways.has(kind))) return null;
  for (const { kind } of found.breaths) ways.add(kind);
  return found;
}

/** "As you breathe in, lift the hands. As you breathe out, lower them.": a sentence for each way, as it is written. */
function sentenceEach(sentences: readonly string[]): Breathed | null {
  const kinds = sentences.map((one) => {
    const way = WHEN_DOING.exec(one)?.[1]?.toLowerCase();
    if (way !== undefined) return way === 'in' ? 'inhale' : 'exhale';
    const [only, ...more] = readRemark(one);
    return only && more.length === 0 && isBreath(only) ? only.kind : null;
  });
  const breaths = sentences.flatMap((one, at) => {
    const kind = kinds[at];
    return kind ? [reading(kind, one)] : [];
  });
  const ways = new Set(breaths.map(({ kind }) => kind));
  if (breaths.length !== 2 || ways.size !== 2) return null;
  return { breaths, others: sentences.filter((_, at) => kinds[at] === null).join(' ') };
}

/** "When you push, breathe out." */
const WHEN_DOING =
  /^(?:and |then )*(?:when|as|while|whenever) (?:you|we|it|they|the \p{L}+) [^,.]{3,60}, (?:you |we )?(?:breathe|breathing) (in|out)\b/iu;

/** "Raise the arms as you breathe in, lower as you breathe out.": all that is said. */
function inOne(sentences: readonly string[]): Breathed | null {
  const words = sentences.join(' ');
  const told = sentences.length === 1 ? (tellsOfStep(words) ?? []) : [];
  const breaths = [breathsOf(words), readRemark(words), told].find((one) => one.length > 0 && one.every(isBreath));
  const counts = countsIn(words);
  if (counts) return { breaths: [reading('setting', '', { breath: counts })], others: words };
  // One way of which the other is told as well is said as it is written.
  return !breaths || (breaths.length === 1 && BOTH.test(words)) ? null : { breaths, others: '' };
}

const BOTH = /\bin\b.*\bout\b|\bout\b.*\bin\b|inhal.*exhal|exhal.*inhal/is;
const COUNT = `(?:a (?:slow )?count of )?(\\d{1,2}|${NUMBER_IN_WORDS})`;
/** "Breathe in through the nose for four… and out for six." */
const COUNTS = new RegExp(`\\b(?:in|inhale)\\b[^.!?\\d]{0,30}? for ${COUNT}\\b[^\\d]{1,24}?\\b(?:out|exhale)\\b[^.!?\\d]{0,30}? for ${COUNT}\\b`, 'iu'); // prettier-ignore
/** "Four seconds up, six seconds down." */
const COUNTS_FIRST = new RegExp(`(?:^|[ ,])${COUNT}(?: seconds| counts)? (?:in|up)\\b,? (?:and )?${COUNT}(?: seconds| counts)? (?:out|down)\\b`, 'iu'); // prettier-ignore
const COUNT_AT_MOST = 15;

function countsIn(words: string): readonly [inhale: number, exhale: number] | null {
  const [inhale = 0, exhale = 0] = (COUNTS.exec(words) ?? COUNTS_FIRST.exec(words) ?? []).slice(1).map((one) => NUMBER_WORDS.get(one.toLowerCase()) ?? Number(one)); // prettier-ignore
  const fits = [inhale, exhale].every((one) => one > 1 && one <= COUNT_AT_MOST);
  return fits ? [inhale, exhale] : null;
}
