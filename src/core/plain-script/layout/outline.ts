import { itemAt, parseClock } from '@/core/units';
import { findCounts, hasAmount } from '../phrases/counts';
import { HEAD_AT_MOST, isItem, namesPart, withoutMark } from '../line-kinds/headings';
import { toldInMovement } from '../line-kinds/told-at-times';
import { indentOf } from '../model/line-words';

/*
 * Plans that are set as outlines: headings over headings, whole lines in bold type over lists, Roman numerals over
 * letters over figures. What heads a part and what names a step, its level, its amount and what stands below it tell.
 */

/** A heading of any level; in the tidy form a part names its role behind it, and a step its kind before it. */
const HASHED = /^#{2,6}\s+(?!(?:movement|talk|silence|transition): )(?=\S)(?!.*\[\p{L}+\]\s*$)/u;
/** Lines below a heading that tell whether it heads them. */
const LINES_LOOKED_AT = 12;
const LINE_AT_MOST = 200;

/** The lines of a plan with whatever heads something marked as a heading, and each level of a list further in. */
export function asOutline(lines: readonly string[]): readonly string[] {
  const plain = withoutOffer(lines).map(withoutQuoteMark);
  return withTimesBehind(withRomanParts(withBoldHeads(plain)).map(withoutItsNumber));
}

/** "Here's a 15-minute class plan for beginners:" above a plan that somebody was asked for. */
const OFFER =
  /^(?:(?:sure|certainly|of course|absolutely|great|okay|ok|hi|hello)\b[^:.]{0,40}[!,.:] )*(?:here(?:['’]s| is| are)|below (?:is|you)|this is)\b.{0,60}\b(?:plan|outline|script|class|sequence|routine|session|lesson|practice)\b.{0,80}:$/i;
const OFFER_AT_MOST = 200;

function withoutOffer(lines: readonly string[]): readonly string[] {
  const first = lines.findIndex((line) => line.trim() !== '');
  const offer = (lines[first] ?? '').trim();
  const titled = /^\s*(?:#|\*\*)/.test(nextWritten(lines, first));
  if (offer.length > OFFER_AT_MOST || !titled || !OFFER.test(offer)) return lines;
  return lines.map((line, at) => (at === first ? '' : line));
}

const CLOCK = String.raw`(\d{1,3}:\d{2}|\d{1,3})`;
const SPAN = String.raw`[[(]?(?:mins? |minutes? )?${CLOCK} ?(?:[-–—]|to) ?${CLOCK}(?: ?(?:mins?|minutes|['′]))?[\])]?`;
const SPAN_FIRST = new RegExp(String.raw`^(#{2,6} )${SPAN}\s*[|:–—-]?\s*(?=\p{L})(.{2,80})$`, 'iu');
const SPAN_LAST = new RegExp(String.raw`^(#{2,6} )(\p{L}.{1,80}?)\s*(?:[|:–—-]\s*)?(?<=[\s|:–—-])${SPAN}$`, 'iu');
const SPANS_AT_LEAST = 2;

/** "## 3:00-8:00 | Loosening" is a part of five minutes, where the first of them begins at zero. */
function withTimesBehind(lines: readonly string[]): readonly string[] {
  const spans = lines.map((line) => (line.length > LINE_AT_MOST ? null : spanOf(line)));
  const found = spans.filter((span) => span !== null);
  if (found.length < SPANS_AT_LEAST || found[0]?.from !== 0 || found.some(({ from, to }) => to <= from)) return lines;
  return lines.map((line, at) => {
    const span = spans[at];
    return span ? `${span.mark}${span.name} (${lengthOf(span.to - span.from)})` : line;
  });
}

interface HeadSpan {
  readonly mark: string;
  readonly name: string;
  /** Seconds from the start of the class. */
  readonly from: number;
  readonly to: number;
}

function spanOf(line: string): HeadSpan | null {
  const [, mark = '', from = '', to = '', name = ''] = SPAN_FIRST.exec(line) ?? [];
  if (mark !== '') return { mark, name, from: secondsIn(from), to: secondsIn(to) };
  const [, hashes = '', called = '', starts = '', ends = ''] = SPAN_LAST.exec(line) ?? [];
  return hashes === '' ? null : { mark: hashes, name: called, from: secondsIn(starts), to: secondsIn(ends) };
}

/** "3", "3:00": minutes, with their seconds. */
const secondsIn = (clock: string): number => parseClock(clock, 'minutes') ?? 0;

function lengthOf(seconds: number): string {
  return seconds % 60 === 0 ? `${seconds / 60} min` : `${seconds} s`;
}

/** "> **Tip:** soft knees" among headings: what has a label is told like anything else. */
function withoutQuoteMark(line: string): string {
  return line.replace(/^\s{0,3}>\s?(?=[*_]{0,2}\p{L}[\p{L} ]{1,20}:[*_]{0,2} )/u, '');
}

const NUMBERED_HEAD = /^(#{2,6}\s+)\d{1,2}[.)]\s+(?=\p{L})/u;

/** "### 2. Hip circles" is called hip circles. */
function withoutItsNumber(line: string): string {
  return line.replace(NUMBERED_HEAD, '$1');
}

/** "**1. Neck and shoulders (3 minutes)**": nothing but what is set in bold type. */
const BOLD = /^\s{0,3}(?:\*\*|__)((?:\d{1,2}[.)] )?\p{L}[^*_]{1,80}?)(?:\*\*|__)(:?)\s*$/u;
const BOLD_AT_LEAST = 2;

/** Lines in bold type over lists are headings. */
function withBoldHeads(lines: readonly string[]): readonly string[] {
  const first = lines.findIndex((line) => line.trim() !== '');
  const heads = lines.map((line, at) => BOLD.test(line) && (at === first || isItem(nextWritten(lines, at))));
  if (heads.filter(Boolean).length < BOLD_AT_LEAST) return lines;
  const depth = lines.some((line) => /^#{2,6}\s/.test(line)) ? '###' : '##';
  return lines.map((line, at) => {
    if (heads[at] !== true) return line;
    return line.replace(BOLD, (_, name: string) => `${at === first ? '#' : depth} ${name.replace(/:$/, '')}`);
  });
}

/** The line below that is not empty. */
function nextWritten(lines: readonly string[], at: number): string {
  return lines.slice(at + 1, at + 1 + LINES_LOOKED_AT).find((line) => line.trim() !== '') ?? '';
}

const ROMAN = /^(\s*)([IVX]{1,4})[.)]\s+(?=\p{L})/u;
const LETTER = /^(\s+)[A-H][.)]\s+(?=\S)/u;
const FIGURE = /^(\s+)(?:\d{1,2}|[a-h]|i{1,3}|iv|v)[.)]\s+(?=\S)/u;
const ROMANS = ['I', 'II', 'III', 'IV', 'V', 'VI', 'VII', 'VIII', 'IX', 'X'];

/** "II. Warm-up" over "   A. Spinal wave x6" over "      1. Long neck": a part, its steps, what is told in each. */
function withRomanParts(lines: readonly string[]): readonly string[] {
  const romans = lines.flatMap((line) => ROMAN.exec(line)?.[2] ?? []);
  const inOrder = romans.length > 1 && romans.every((one, at) => one === ROMANS[at]);
  const first = lines.findIndex((line) => ROMAN.test(line));
  const base = indentOf(lines[first] ?? '');
  const letters = lines.filter((line) => LETTER.test(line) && indentOf(line) > base);
  if (!inOrder || letters.length < 2) return lines;
  return lines.map((line) => {
    if (ROMAN.test(line) && indentOf(line) === base) return line.replace(ROMAN, '## ');
    return LETTER.test(line) ? line.replace(LETTER, '- ') : line.replace(FIGURE, '  - ');
  });
}

/** "### Rowing (8x)" over what is said in it: a heading that counts rounds and stands over no list is a step. */
export function withStepsListed(lines: readonly string[]): readonly string[] {
  return lines.map((line, at) => {
    if (!HASHED.test(line) || line.length > HEAD_AT_MOST) return line;
    const name = line.replace(HASHED, '');
    const { counts, rest, bare } = findCounts(name);
    const below = nextWritten(lines, at);
    const told = toldInMovement(withoutMark(below).trim(), counts.seconds?.[0] ?? 0, true) !== null;
    const counted = counts.rounds !== undefined && (!bare || /\(\d{1,2}\)\s*$/.test(name));
    if (!(counted || told) || rest === '' || namesPart(rest) || /\beach$/i.test(name.replace(/\W+$/, ''))) return line;
    return !told && isItem(below) && hasAmount(findCounts(withoutMark(below)).counts) ? line : `- ${name}`;
  });
}

const WAY =
  /^(\s*(?:[-*•] )?)(?:(?:x ?)?(\d{1,2})x? )?(?:(?:times|circles?|rolls?|swings?|turns?|reps?|rounds?) )?(?:to the )?(clockwise|counter-?clockwise|anti-?clockwise|forwards?|backwards?|inwards?|outwards?)(?: (?:times|x) ?(\d{1,2}))?\.?$/iu;

/** "- 8 circles clockwise" over "- 8 circles counterclockwise": the same, both ways. */
export function withWaysJoined(lines: readonly string[]): readonly string[] {
  const out = [...lines];
  for (let at = 0; at + 1 < lines.length; at++) {
    const one = wayIn(itemAt(out, at));
    const other = one && wayIn(itemAt(lines, at + 1));
    if (!one || one.way === other?.way || one.count !== other?.count) continue;
    out[at] = `${one.mark}${one.count} each way`;
    out[at + 1] = '';
  }
  return out;
}

function wayIn(line: string): { readonly mark: string; readonly count: string; readonly way: string } | null {
  if (line.length > LINE_AT_MOST) return null;
  const [, mark = '', before, way = '', behind] = WAY.exec(line) ?? [];
  const count = before ?? behind;
  return count === undefined ? null : { mark, count, way: way.toLowerCase() };
}
