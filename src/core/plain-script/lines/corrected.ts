import type { FoundCounts } from '../phrases/amounts-found';
import { findCounts, hasAmount } from '../phrases/counts';
import { bareName } from '../phrases/names';
import { withoutMark } from '../line-kinds/headings';
import { pauseIn, trailingPause } from '../line-kinds/pauses';
import { capitalised, wordCount } from '../model/line-words';
import type { Counts, LineKind, ReadLine } from '../model/model';
import { reading, type Reading } from '../model/reading';
import { MOST_ROUNDS } from '../phrases/rounds';
import { spelledOut } from '../tokens/spelled-out';
import { tokensOf } from '../tokens/tokens';
import { breathsTold } from './asides';
import { breathsOf } from './breath-lines';
import { readStep } from './step-lines';

/*
 * What a person says that a line is: its name, its amounts and its words are looked for once more, as that kind has
 * them, since what it was taken for before may have had no place for them.
 */

/** A line as `kind`, which a person chose; `found` is what it was read as. Never uncertain. */
export function correctedTo(kind: LineKind, line: string, found: Reading): Reading {
  if (kind === found.kind && found.words !== '') return { ...found, unsure: false };
  const bare = withoutSign(line);
  const { counts, words } = amountsOf(bare, found);
  switch (kind) {
    case 'movement':
      return (hasAmount(found.counts) ? null : stepIn(bare)) ?? reading(kind, words, counts);
    case 'title':
    case 'silence':
    case 'transition':
    case 'section':
      return reading(kind, words, timeOf(counts));
    case 'pause': {
      const seconds = bare.length > COUNTED_UP_TO ? null : pauseIn(bare);
      return reading(kind, '', seconds === null ? timeOf(counts) : { seconds: [seconds, seconds, seconds] });
    }
    case 'setting':
      return reading(kind, '', counts);
    case 'inhale':
    case 'exhale':
      return reading(kind, breathIn(kind, bare));
    case 'talk':
    case 'hold':
      return reading(kind, bare, timeOf(counts));
    case 'said': {
      const paused = trailingPause(bare);
      return paused ? reading(kind, paused.words, paused.counts) : reading(kind, bare);
    }
    case 'caution':
    case 'level':
    case 'seated':
    case 'nothing':
      return reading(kind, bare);
  }
}

/** A longer line is a paragraph, whose amounts are not those of one step. */
const COUNTED_UP_TO = 500;

function countsIn(bare: string): Pick<FoundCounts, 'counts' | 'rest'> {
  return bare.length > COUNTED_UP_TO ? { counts: {}, rest: bare } : findCounts(spelledOut(bare));
}

/** Without what marks a heading, words that are said, or one of a list. */
function withoutSign(line: string): string {
  return withoutMark(line.trim().replace(/^(?:#{1,6}|>)\s+/, '')).trim();
}

/** The amounts of a line and its name; what it was read as tells them where the line alone does not. */
function amountsOf(bare: string, found: Reading): { readonly counts: Counts; readonly words: string } {
  if (hasAmount(found.counts) && found.words !== '') return found;
  const { counts, rest } = countsIn(bare);
  if (!hasAmount(counts)) {
    const alone = numberAlone(bare);
    return { counts: alone === null ? found.counts : { rounds: alone }, words: found.words || bare };
  }
  const name = bareName(rest);
  return { counts, words: name === '' ? bare : capitalised(name) };
}

/** "6 of those, slow": the one number of a line that tells no amount by itself; `null` where there is none, or two. */
function numberAlone(bare: string): number | null {
  if (bare.length > COUNTED_UP_TO) return null;
  const numbers = tokensOf(bare).flatMap(({ value }) => value ?? []);
  const [value] = numbers;
  const isOne = numbers.length === 1 && value !== undefined;
  return isOne && Number.isInteger(value) && value >= 1 && value <= MOST_ROUNDS ? value : null;
}

/** The step that a line names by itself, below nothing; `null` where it names none with an amount. */
function stepIn(bare: string): Reading | null {
  if (bare.length > COUNTED_UP_TO) return null;
  const step = readStep(spelledOut(bare), true, 'nothing').find(({ kind }) => kind === 'movement');
  return step && hasAmount(step.counts) && step.words !== '' ? { ...step, unsure: false } : null;
}

function timeOf({ seconds }: Counts): Counts {
  return seconds ? { seconds } : {};
}

const WAY_FIRST = /^(?:breath(?:e|ing) (?:in|out)|inhal(?:e|ing)|exhal(?:e|ing)|in|out)\b[:,]?\s+/i;

/** What is done on a breath, without the word for it. */
function breathIn(kind: 'inhale' | 'exhale', bare: string): string {
  if (bare.length > COUNTED_UP_TO) return bare;
  const told = [...breathsOf(bare), ...(breathsTold(bare) ?? [])].find((one) => one.kind === kind);
  return told?.words ?? (bare.replace(WAY_FIRST, '') || bare);
}

const INHALES = /^\P{L}*(?:breathe? in|inhal\w+|in)\b/iu;
const EXHALES = /^\P{L}*(?:breathe? out|exhal\w+|out)\b/iu;
/** A longer line is hardly the name of a part. */
const PART_WORDS = 5;

/** What is told of a step, or where to stand next, may as well be said. */
const TOLD_OF_STEP: ReadonlySet<LineKind> = new Set(['caution', 'level', 'seated', 'transition']);

/**
 * What an uncertain line may be instead, the likeliest first; two kinds. Which is likelier stands in no source: it is
 * what most lines of that look turned out to be in the classes that the rules were made on.
 */
export function otherKinds({ kind, text, counts }: Pick<ReadLine, 'kind' | 'text' | 'counts'>): readonly LineKind[] {
  const found = hasAmount(counts) ? counts : countsIn(withoutSign(text)).counts;
  const isShort = wordCount(text.trim()) <= PART_WORDS;
  const likely: readonly (LineKind | false)[] = [
    (TOLD_OF_STEP.has(kind) || kind === 'nothing') && 'said',
    found.rounds !== undefined && 'movement',
    found.seconds !== undefined && 'silence',
    found.seconds !== undefined && 'movement',
    INHALES.test(text) && 'inhale',
    EXHALES.test(text) && 'exhale',
    isShort && !hasAmount(found) && 'movement',
    kind === 'said' && hasAmount(found) && 'setting',
    isShort && !hasAmount(found) && 'section',
    'said',
    'movement',
    'talk',
  ];
  const others = likely.filter((one): one is LineKind => one !== false && one !== kind);
  return [...new Set(others)].slice(0, 2);
}
