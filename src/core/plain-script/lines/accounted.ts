import { findCounts, hasAmount } from '../phrases/counts';
import { ITEM } from '../line-kinds/headings';
import { singleSpaced } from '../model/line-words';
import type { LineKind } from '../model/model';
import { BEFORE_NAME } from '../phrases/names';
import type { Reading } from '../model/reading';
import { ON_ROUNDS } from './several';
import { tokensOf } from '../tokens/tokens';

/*
 * Whether a reading of a line accounts for the numbers that are written there. One that is nowhere in it, or an amount that
 * is only said beside a step with one of its own, is a sign that something else was meant.
 */

const STEPS: ReadonlySet<LineKind> = new Set(['movement', 'silence']);
/** Another way to do a step counts nothing of its own. */
const VERSIONS: ReadonlySet<LineKind> = new Set(['level', 'seated']);
/** A time, a number or a cell before a line, that counts nothing. */
const STAMP =
  /^\s*(?:\[?\d{1,2}[:.]\d{2}(?::\d{2})?\]?|\(\d{1,3}\)|\d{1,3}(?:st|nd|rd|th)?[:.)]|move \d{1,2}:|\|[^|]*\|)\s+/i;
/** The readings of a line, marked as uncertain where they do not account for its numbers. */
export function withDoubts(text: string, readings: readonly Reading[]): readonly Reading[] {
  const [first] = readings;
  if (!first || readings.some(({ unsure }) => unsure)) return readings;
  const versioned = VERSIONS.has(first.kind) && hasAmount(findCounts(first.words).counts);
  if (versioned || isPieced(text, first)) return [{ ...first, unsure: true }, ...readings.slice(1)];
  if (!readings.some(({ kind }) => STEPS.has(kind))) return readings;
  const twoOfOne = readings.some(({ counts, words }) => counts.rounds !== undefined && counts.seconds !== undefined && words.includes(', ')); // prettier-ignore
  if (!twoOfOne && !countsBeside(readings) && !losesNumber(text, readings)) return readings;
  return [{ ...first, unsure: true }, ...readings.slice(1)];
}

/** "toe stands x8 hold wall": a name of words before the amount and behind it. */
function isPieced(text: string, { kind, words, counts }: Reading): boolean {
  if (kind !== 'movement' || !hasAmount(counts)) return false;
  const [line, name] = [text, words].map((one) => singleSpaced(one.toLowerCase())) as [string, string];
  return !line.includes(name) && name.split(' ').every((word) => line.includes(word));
}

function countsBeside(readings: readonly Reading[]): boolean {
  return readings.some(
    ({ kind, sets, words }) =>
      kind === 'said' && sets === undefined && !ON_ROUNDS.test(words) && hasAmount(findCounts(words).counts),
  );
}

/** What is done several times, or on two sides, is kept in all, and times in seconds. */
const PARTS = [1, 2, 3, 60] as const;

/** Whether a number of a line, by itself or with another one of it, is nowhere in its readings. */
function losesNumber(written: string, readings: readonly Reading[]): boolean {
  const text = written.replace(STAMP, '').replace(ITEM, '').replace(BEFORE_NAME, '');
  const shown = JSON.stringify(readings).toLowerCase();
  const there = new Set(
    Array.from(shown.matchAll(/\d+(?:\.\d+)?/g), ([one]) => Number(one)).flatMap((one) =>
      PARTS.map((part) => one / part),
    ),
  );
  const values = tokensOf(text).flatMap(({ kind, value, text: word }) =>
    value === null || value < (kind === 'word' ? 2 : 1) || (kind === 'word' && shown.includes(word)) ? [] : [value],
  );
  const together = (one: number, other: number): boolean =>
    [one * other, one + other, one * 60 + other, other * 60 + one].some((all) => there.has(all));
  const sided = readings.some(({ counts }) => counts.sides !== undefined || counts.breath !== undefined);
  if (!sided && readings.length === 1 && new Set(values).size < values.length) return true;
  return values.some((one) => !there.has(one) && !values.some((other) => together(one, other)));
}
