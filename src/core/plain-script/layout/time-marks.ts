import { itemAt } from '@/core/units';
import { namesPart } from '../line-kinds/headings';
import { clockText } from '../tidy-form/plan-fields';
import { isCounted, isNameLike } from '../line-kinds/name-lines';
import { findCounts, hasAmount } from '../phrases/counts';

/*
 * When in the class a line begins, as people mark it otherwise than with a clock before it: "@2:00 Swing", "Minute 4:
 * Swing", "T+4 Swing", "4' Swing", "1004 Swing", "Swing (4:30)", "(4-7 min) Swing", a time on a line of its own. Which
 * of these a script has, all its lines tell; then the time stands before each as "4:30 Swing" or "4-7 min: Swing".
 */

const MARKS_AT_LEAST = 4;
const SHARE_AT_LEAST = 0.5;
const LINE_AT_MOST = 300;

/** A time that a line has, in seconds, and the line without it. */
interface Marked {
  readonly from: number;
  /** `null` where only the start is told. */
  readonly to: number | null;
  readonly rest: string;
}

type Mark = (line: string) => Marked | null;

/** "4", "4:30" as seconds. */
function secondsOf(written: string): number {
  const [minutes = 0, seconds = 0] = written.split(':').map(Number);
  return minutes * 60 + seconds;
}

const before =
  (form: RegExp, of: (figures: string) => number): Mark =>
  (line) => {
    const [all = '', bullet = '', figures = ''] = form.exec(line) ?? [];
    return all === '' ? null : { from: of(figures), to: null, rest: bullet + line.slice(all.length) };
  };

const NAME = '(?=[\\p{L}"“(])';
const BULLET = '^(\\s*(?:[-*•] |\\d{1,2}[.)] )?)';
const APART = '(?: ?[-–—|:/.,]\\s+|\\s+)';

/** Minutes from the start of the class, before a line. */
const BY_MINUTE: readonly Mark[] = [
  `(?:@|at|from|t ?\\+|\\+|(?:at )?min(?:ute)?s?\\.?|m) ?(\\d{1,3}(?::\\d{2})?)(?: ?(?:mins?|minutes?|['′]))?`,
  `(\\d{1,3})(?: ?['′]| ?(?:min|mins|minutes) in)`,
  `[[(](\\d{1,3})(?: ?(?:min|mins|minutes|['′]))?[\\])]`,
].map((form) => before(new RegExp(`${BULLET}${form}${APART}${NAME}`, 'iu'), secondsOf));

/** A clock behind a number or before a stroke: "1. 02:00 Swing", "2:00 / Swing". */
const BY_CLOCK = before(
  new RegExp(`^(\\s*)\\d{1,2}[.)] +[[(]?(\\d{1,2}:\\d{2})[\\])]?${APART}${NAME}`, 'iu'),
  secondsOf,
);
const BEFORE_STROKE = before(new RegExp(`^(\\s*)(\\d{1,2}:\\d{2})\\s*(?:/|>|=|->|→)\\s*${NAME}`, 'iu'), secondsOf);

/** "Swing (4:30)", "Swing @ 4:30", "Swing 4:30" at the end of a line. */
const BEHIND: Mark = (line) => {
  const match = /^(.*[^\s@(,–—-])(?:[\s,–—-]*@ ?|[\s,–—-]+at |\s[–—-] |\s[([]|,? )(\d{1,2}:\d{2})[)\]]?$/u.exec(line);
  if (!match || !/\p{L}/u.test(itemAt(match, 1))) return null;
  return { from: secondsOf(itemAt(match, 2)), to: null, rest: itemAt(match, 1) };
};

const OF_DAY = new RegExp(`^(\\s*)([01]?\\d|2[0-3])([0-5]\\d)(?: ?(?:hrs?|h))?${APART}${NAME}`, 'u');
/** "1004 Swing": a time of day without its stop. */
const BY_DAY: Mark = (line) => {
  const match = OF_DAY.exec(line);
  if (!match) return null;
  const [all, indent = '', hours = '', minutes = ''] = match;
  return { from: (Number(hours) * 60 + Number(minutes)) * 60, to: null, rest: indent + line.slice(all.length) };
};

const MINUTES = '(\\d{1,3}(?::\\d{2})?)';
const TO = ' ?(?:[-–—]|to|until) ?';
const UNIT = "(?: ?(?:mins?|minutes?|m|['′]))?";
/** "(4-7 mins) Swing", "4'-7' Swing", "from 4 to 7: Swing". */
const SPAN_BEFORE = new RegExp(
  `${BULLET}(?:from |mins? |minutes? )?[[(]?${MINUTES}${UNIT}${TO}${MINUTES}${UNIT}[\\])]?${APART}${NAME}`,
  'iu',
);
/** "Swing (4-7 min)", "Swing, 4:00-7:30". */
const SPAN_BEHIND = new RegExp(
  `^(.*\\S)(?:,| [-–—]|:)? ?[[(]?(?<![\\d:])${MINUTES}${UNIT}${TO}${MINUTES}${UNIT}[\\])]?$`,
  'iu',
);
const SPAN_OF_DAY =
  /^(\s*)([01]?\d|2[0-3])[:.h]?([0-5]\d) ?(?:[-–—]|to|until) ?([01]?\d|2[0-3])[:.h]?([0-5]\d)(?: ?[-–—|:/]\s+|\s+)(?=[\p{L}"“(])/iu;

const BY_SPAN: Mark = (line) => {
  const match = SPAN_BEFORE.exec(line);
  if (!match) return null;
  const [all, bullet = '', from = '', to = ''] = match;
  return { from: secondsOf(from), to: secondsOf(to), rest: bullet + line.slice(all.length) };
};
const BY_SPAN_BEHIND: Mark = (line) => {
  const match = SPAN_BEHIND.exec(line);
  if (!match || !/\p{L}/u.test(itemAt(match, 1))) return null;
  return { from: secondsOf(itemAt(match, 2)), to: secondsOf(itemAt(match, 3)), rest: itemAt(match, 1) };
};
const BY_SPAN_OF_DAY: Mark = (line) => {
  const match = SPAN_OF_DAY.exec(line);
  if (!match) return null;
  const [a = 0, b = 0, c = 0, d = 0] = match.slice(2).map(Number);
  return { from: (a * 60 + b) * 60, to: (c * 60 + d) * 60, rest: itemAt(match, 1) + line.slice(match[0].length) };
};

/** The lines with such times before them as they usually stand, where enough lines have one and they climb. */
export function withTimeMarks(asWritten: readonly string[]): readonly string[] {
  const lines = withTimesJoined(asWritten);
  for (const mark of [BY_SPAN_OF_DAY, BY_SPAN, BY_SPAN_BEHIND]) {
    const found = marked(lines, mark, (times) => chained(times) && (mark !== BY_SPAN_OF_DAY || inHours(times)));
    if (found) return found;
  }
  for (const mark of [...BY_MINUTE, BY_CLOCK, BEFORE_STROKE, BEHIND]) {
    const found = marked(lines, mark, (times) => climbing(times) && times[0]?.from === 0);
    if (found) return found;
  }
  return marked(lines, BY_DAY, (times) => climbing(times) && (times[0]?.from ?? 0) >= DAY_FROM) ?? lines;
}

/** A class begins no earlier in the day, in seconds. */
const DAY_FROM = 5 * 3600;
const HOUR = 3600;

function marked(
  lines: readonly string[],
  mark: Mark,
  fit: (times: readonly Marked[]) => boolean,
): readonly string[] | null {
  const found = lines.map((line) => (line.length > LINE_AT_MOST ? null : mark(line)));
  const known = found.filter((one) => one !== null);
  const written = lines.filter((line) => line.trim() !== '').length;
  if (known.length < MARKS_AT_LEAST || known.length < SHARE_AT_LEAST * (written - 1) || !fit(known)) return null;
  const ofDay = (known[0]?.from ?? 0) >= DAY_FROM;
  const start = ofDay ? (known[0]?.from ?? 0) : 0;
  return lines.map((line, at) => {
    const one = found[at] ?? null;
    return one === null
      ? line
      : stamped({ ...one, from: one.from - start, to: one.to === null ? null : one.to - start });
  });
}

/** Whether "0:00-0:20" can be hours and minutes: no class is over in so few seconds, and none goes on for so many hours. */
function inHours(times: readonly Marked[]): boolean {
  return (times[0]?.from ?? 0) >= DAY_FROM || (times.at(-1)?.to ?? Infinity) <= HOURS_AT_MOST * HOUR;
}
const HOURS_AT_MOST = 2;

/** One after the other, and no more than an hour apart. */
function climbing(times: readonly Marked[]): boolean {
  const steps = times.slice(1).map((one, at) => one.from - itemAt(times, at).from);
  return steps.every((step) => step > 0 && step <= HOUR);
}

/** Each begins where the one before ends. */
function chained(times: readonly Marked[]): boolean {
  return times.every(({ from, to }, at) => to !== null && to > from && to - from <= HOUR && (at === 0 || from === times[at - 1]?.to)) && (times[0]?.from === 0 || (times[0]?.from ?? 0) >= DAY_FROM); // prettier-ignore
}

function stamped({ from, to, rest }: Marked): string {
  const [, bullet = '', text = ''] = /^(\s*(?:[-*•] |\d{1,2}[.)] )?)(.*)$/.exec(rest) ?? [];
  const indent = bullet.replace(/\S.*$/, '');
  return to === null ? `${indent}${clockText(from)} ${text}` : `${indent}${clockText(from)}-${clockText(to)} ${text}`;
}

/** A line with nothing but a time: "2:00", "02:00 - 04:30". */
const TIME_ALONE = /^\s*[[(]?(\d{1,3}:\d{2}(?: ?(?:[-–—]|to) ?\d{1,3}:\d{2})?)[\])]?:?$/i;

/** The lines with a time that stands alone put before the line that it is for, above or below it. */
function withTimesJoined(lines: readonly string[]): readonly string[] {
  const alone = lines.flatMap((line, at) => (TIME_ALONE.test(line) ? [at] : []));
  if (alone.length < MARKS_AT_LEAST) return lines;
  const has = (at: number): boolean => (lines[at] ?? '').trim() !== '' && !alone.includes(at);
  const [first = 0] = alone;
  const below = has(first + 1);
  const out = [...lines];
  for (const at of alone) {
    const to = below ? at + 1 : at - 1;
    if (!has(to)) continue;
    out[to] = `${itemAt(TIME_ALONE.exec(itemAt(lines, at)) ?? ['', ''], 1)} ${itemAt(out, to).trim()}`;
    out[at] = '';
  }
  return out;
}

/** "Shake out" over "3 minutes" alone: a name and its amount in one line, the other empty; each stands apart. */
export function withAmountsJoined(lines: readonly string[]): readonly string[] {
  const empty = (at: number): boolean => (lines[at] ?? '').trim() === '';
  const title = lines.findIndex((line) => line.trim() !== '');
  const named = lines.flatMap((line, at) => {
    const amount = (lines[at + 1] ?? '').trim();
    const apart = at > title && !empty(at) && !empty(at + 1) && empty(at - 1) && empty(at + 2);
    if (!apart || amount.length > AMOUNT_AT_MOST || !isNameLike(line.trim()) || namesPart(line)) return [];
    const { counts, rest } = findCounts(amount);
    return hasAmount(counts) && rest === '' && !isCounted(line) ? [at] : [];
  });
  if (named.length < PAIRS_AT_LEAST) return lines;
  const out = [...lines];
  for (const at of named) {
    out[at] = `${itemAt(lines, at).trimEnd()}, ${itemAt(lines, at + 1).trim()}`;
    out[at + 1] = '';
  }
  return out;
}

const AMOUNT_AT_MOST = 40;
const PAIRS_AT_LEAST = 2;
