import type { Seconds } from '@/core/units';

/*
 * Scripts whose lines begin with a time: when in the class, from its start ("0 Arrive", "2 Swing"), or how
 * long ("1:00 shake", "5:00 sit"). Which of them it is, the whole column tells.
 */

const MINUTE = /^\s*(\d{1,3})\s+(?=\p{L})/u;
const CLOCK = /^\s*\[?(\d{1,2}):(\d{2})\]?\s+(?=\p{L})/u;
const UNIT_FIRST =
  /^\s*(?:\d{1,3}(?:[-–/+.]\d{1,2})? ?(?:[x×]|m|s|mins?|minutes?|secs?|seconds?)|\d{1,2} ?[x×] ?\d{1,2}) [–—-] \p{L}/iu;
const FIGURE_FIRST = /^(\s*)(\d{1,3}(?:[-–/+]\d{1,2})?) [–—-] (?=\p{L})/u;
const LINES_AT_LEAST = 4;
const NUMBERED_AT_LEAST = 3;
const SHARE_AT_LEAST = 0.6;

/** A time before a line, as people set it off: "10.05 – Arrive", "[0:30] Arrive", "• 9:05 am Arrive", "10h05 Arrive". */
const STAMPED =
  /^(\s*)(?:[-–—*•·] )?(?:\*\*)?[[(]?(?:00:)?(\d{1,2})([:.h])(\d{2})(?: ?(?:[ap]\.?m\.?|hrs|h|uhr))?[\])]?(?:\*\*)?(?: ?[-–—|:]\s+| ?\t\s*|\s+)(?=[\p{L}"“(])/iu;
const STAMPS_AT_LEAST = 3;
const STAMPED_SHARE = 0.4;
const HALF_A_DAY = 720;
const LATE_FROM = 600;

/** Whether a time of day, in minutes, comes after another; from 12:50 to 1:10 as well. */
function follows(before: number, time: number): boolean {
  return time >= before || (before >= LATE_FROM && time + HALF_A_DAY >= before);
}

/** "6.00-6.05 settle": from when to when of the day. */
const SPANNED =
  /^(\s*(?:[-–—*•·] )?)[[(]?(\d{1,2})[.:h](\d{2}) ?[-–—] ?(\d{1,2})[.:h](\d{2})[\])]?:?(?: [-–—])?(?=\s)/i;
/** Spans of a day are so long, in minutes, and its first begins so late; those of a class from its start begin at 0:00. */
const OF_DAY_FROM = 300;
const SPAN_AT_MOST = 59;

/** The lines with the spans of a day before them as "0-5 min:" from its first, where enough have one. */
function withPlainSpans(lines: readonly string[]): readonly string[] {
  const spans = lines.map((line) => {
    const match = SPANNED.exec(line);
    if (!match) return null;
    const [all, indent = '', ...figures] = match;
    const [a = 0, b = 0, c = 0, d = 0] = figures.map(Number);
    return { all, indent, from: a * 60 + b, to: c * 60 + d };
  });
  const known = spans.filter((one) => one !== null);
  const [first] = known;
  const ofDay = known.every(({ from, to }) => to > from && to - from <= SPAN_AT_MOST && from >= (first?.from ?? 0));
  if (!first || known.length < STAMPS_AT_LEAST || first.from < OF_DAY_FROM || !ofDay) return lines;
  return lines.map((line, at) => {
    const span = spans[at] ?? null;
    if (span === null) return line;
    return `${span.indent}${span.from - first.from}-${span.to - first.from} min:${line.slice(span.all.length)}`;
  });
}

/** The lines with the times before them as "10:05 Arrive", where enough have one; with other signs than a colon only where they climb. */
function withPlainStamps(lines: readonly string[]): readonly string[] {
  const stamps = lines.map((line) => STAMPED.exec(line));
  const known = stamps.filter((one) => one !== null);
  const written = lines.filter((line) => line.trim() !== '').length;
  if (known.length < STAMPS_AT_LEAST || known.length < STAMPED_SHARE * written) return lines;
  const times = known.map(([, , first, , second]) => Number(first) * 60 + Number(second));
  const climbs = times.every((one, at) => at === 0 || follows(times[at - 1] ?? 0, one));
  const colons = known.every(([, , , sign]) => sign === ':');
  if (!colons && (!climbs || known.length < LINES_AT_LEAST)) return lines;
  return lines.map((line, at) => {
    const [all = '', indent = '', first = '', , second = ''] = stamps[at] ?? [];
    return all === '' ? line : `${indent}${first}:${second} ${line.slice(all.length)}`;
  });
}

/** The lines with a column of times spelled out: "2-4 min: Swing" where it tells when, "shake, 1:00" where how long. */
export function withTimes(asWritten: readonly string[]): readonly string[] {
  const lines = withPlainStamps(withPlainSpans(withTimesInSteps(asWritten)));
  return byMinuteSpans(lines) ?? byMinutes(lines) ?? byClocks(lines) ?? byAmounts(lines) ?? byNumbers(lines) ?? lines;
}

/** A line of a column of clocks, and how far in it stands. */
const CLOCKED = /^(\s*)(?:[-–—*•·] )?\[?(\d{1,2}):([0-5]\d)\]?(?::| ?[–—-])?\s+(?=["“(\p{L}])/u;
const INSET_FROM = 2;

/**
 * Under "3:00 Wave hands", "  0:30 soft elbows": times that begin anew further in than a climbing column tell when in
 * its step a line is said; so do times that go on, before what is called a cue. They are spelled out; what stands at 0:00
 * is said first.
 */
function withTimesInSteps(lines: readonly string[]): readonly string[] {
  const clocks = lines.map((line) => {
    const [, indent = '', minutes, seconds] = CLOCKED.exec(line) ?? [];
    return minutes === undefined ? null : { inset: indent.length, at: Number(minutes) * 60 + Number(seconds) };
  });
  const known = clocks.filter((one) => one !== null);
  const [first] = known;
  if (!first || known.length < STAMPS_AT_LEAST) return lines;
  const isInside = (one: { readonly inset: number }): boolean => one.inset >= first.inset + INSET_FROM;
  const column = known.filter((one) => !isInside(one));
  const climbs = column.every(({ at }, index) => index === 0 || at > (column[index - 1]?.at ?? 0));
  if (column.length === known.length || column.length < 2 || !climbs) return lines;
  let above = 0;
  const within = clocks.map((one, at): number | null => {
    if (one === null) return null;
    if (!isInside(one)) {
      above = one.at;
      return null;
    }
    // Times of the class go on in a step only before what is said in it.
    return one.at < above ? one.at : SAID_AT.test(lines[at] ?? '') ? one.at - above : -1;
  });
  const outer = clocks.map((one) => one !== null && !isInside(one));
  const next = (at: number): number => clocks[outer.indexOf(true, at)]?.at ?? Infinity;
  if (within.some((time, at) => time !== null && (time < 0 || (clocks[at]?.at ?? 0) >= next(at)))) return lines;
  return lines.map((line, at) => {
    const time = within[at] ?? null;
    const [all = '', indent = ''] = (time === null ? null : CLOCKED.exec(line)) ?? [];
    if (all === '' || time === null) return line;
    const when = time === 0 ? 'say' : `at ${Math.floor(time / 60)}:${String(time % 60).padStart(2, '0')}`;
    return `${indent}${when}: ${line.slice(all.length).replace(CUE, '')}`;
  });
}

/** "  10:00 cue: shoulders", under "9:30 Standing". */
const SAID_AT = /\d\]?(?::| ?[–—-])?\s+(?:(?:cue|say|guide|prompt|remind(?:er)?|line):|["“])/i;
const CUE = /^(?:cue|say|guide|prompt|remind(?:er)?|line): */i;

const MINUTE_SPAN = /^(\s*(?:[-–—*•·] )?)(\d{1,3}) ?[-–—] ?(\d{1,3})(?!\s*(?:min|['′]))(?=[:\s]\s*[\p{L}\d"“(])/u;

/** "0-5 Arrive", "5-15 Loosen": spans of minutes, each behind the one before, from the start of the class. */
function byMinuteSpans(lines: readonly string[]): readonly string[] | null {
  const spans = lines.map((line) => MINUTE_SPAN.exec(line));
  const known = spans.flatMap((one) => (one ? [[Number(one[2]), Number(one[3])] as const] : []));
  const inOrder = known.every(([from, to], at) => from < to && from >= (known[at - 1]?.[1] ?? 0));
  if (known.length < NUMBERED_AT_LEAST || known[0]?.[0] !== 0 || !inOrder) return null;
  return lines.map((line, at) => {
    const [all = '', indent = '', from = '', to = ''] = spans[at] ?? [];
    return all === '' ? line : `${indent}${from}-${to} min: ${line.slice(all.length).replace(/^[:\s]+/, '')}`;
  });
}

function byMinutes(lines: readonly string[]): readonly string[] | null {
  const times = lines.map((line) => numberIn(MINUTE.exec(line)?.[1]));
  const known = times.filter((one) => one !== null);
  const written = lines.filter((line) => line.trim() !== '').length;
  const climbs = known.every((one, at) => at === 0 || one > (known[at - 1] ?? 0));
  // One after the other they number a list.
  const isList = known.every((one, at) => at === 0 || one === (known[at - 1] ?? 0) + 1);
  if (known.length < LINES_AT_LEAST || known.length < SHARE_AT_LEAST * written) return null;
  if (known[0] !== 0 || !climbs || isList) return null;
  return spelled(lines, times);
}

function byClocks(lines: readonly string[]): readonly string[] | null {
  const known = clocksOf(lines).filter((one) => one !== null);
  if (known.length < 2) return null;
  const climbs = known.every((one, at) => at === 0 || one >= (known[at - 1] ?? 0));
  // Where they climb they tell when a line is said, which may be anywhere in a step.
  return climbs ? null : lines.map((line) => line.replace(/^(\s*)(\d{1,2}:\d{2})\s+(\p{L}.*)$/u, '$1$3, $2'));
}

/** "8 – pull the rope" where other lines begin "3 min – " or "4x – ": the amount stands before the name. */
function byAmounts(lines: readonly string[]): readonly string[] | null {
  if (lines.filter((line) => UNIT_FIRST.test(line)).length < 2) return null;
  return lines.map((line) =>
    line.replace(FIGURE_FIRST, (_, indent: string, figures: string) => `${indent}${figures}x – `),
  );
}

/** "8 pieces (x6 each)", "5 min standing": a number that counts something. */
const AMOUNT_FIRST =
  /^\s*\d{1,3} (?:mins?|minutes?|secs?|seconds?|pieces|movements?|exercises|forms?|sections?|postures|breaths|rounds|times|x|reps|moves)\b/i;

/** "1 Wake the crane", "2 Look back": numbers one after the other without a stop are those of a list. */
function byNumbers(lines: readonly string[]): readonly string[] | null {
  const numbers = lines.map((line) => (AMOUNT_FIRST.test(line) ? null : numberIn(MINUTE.exec(line)?.[1])));
  const known = numbers.filter((one) => one !== null);
  const isList = known.length >= NUMBERED_AT_LEAST && known.every((one, at) => one === at + 1);
  return isList ? lines.map((line, at) => (numbers[at] === null ? line : line.replace(/^(\s*\d+)\s+/, '$1. '))) : null;
}

/** The clock that each line begins with, its second figures counted as ones; `null` where it begins with none. */
function clocksOf(lines: readonly string[]): (number | null)[] {
  return lines.map((line) => {
    const [, first, second] = CLOCK.exec(line) ?? [];
    return first === undefined ? null : Number(first) * 60 + Number(second);
  });
}

/** A column that begins at the latest so, in minutes and seconds, tells when in the class; one from so early on, when in the day. */
const IN_CLASS_FROM = 120;
const IN_DAY_FROM = 360;

/** How long each line of a column of climbing clocks lasts, up to the next one; `null` for any other line. */
export function lastingByClock(lines: readonly string[]): readonly (Seconds | null)[] {
  const times = clocksOf(lines);
  const known = times.filter((one) => one !== null);
  const [start = 0] = known;
  const climbs = known.every((one, at) => at === 0 || one > (known[at - 1] ?? 0));
  const unit = start <= IN_CLASS_FROM ? 1 : start >= IN_DAY_FROM ? 60 : null;
  if (known.length < LINES_AT_LEAST || !climbs || unit === null) return lines.map(() => null);
  const next = nextOf(times);
  const end = unit === 1 ? endOf(lines, known.at(-1) ?? 0) : null;
  return times.map((time, at) => {
    const until = next[at] ?? end;
    return time === null || until === null ? null : (until - time) * unit;
  });
}

/** "Total: 15:00", "Length 15 min", above a column of clocks. */
const WHOLE =
  /^\W*(?:total(?: time)?|length|duration|runtime|target|time)[: ]+(?:(\d{1,3}):(\d{2})|(\d{1,3}) ?min(?:ute)?s?)\W*$/i;
/** In seconds; what is longer has more in it than its line tells. */
const LAST_AT_MOST = 300;

/** When the class is over, in seconds, where a line tells that and the last of the clocks is not long before; else `null`. */
function endOf(lines: readonly string[], last: number): number | null {
  for (const line of lines) {
    const [, minutes, seconds, whole] = (line.length > 40 ? null : WHOLE.exec(line.trim())) ?? [];
    if (minutes === undefined && whole === undefined) continue;
    const end = whole === undefined ? 60 * Number(minutes) + Number(seconds) : 60 * Number(whole);
    return end > last && end - last <= LAST_AT_MOST ? end : null;
  }
  return null;
}

/** The time that comes next after each line. */
function nextOf(times: readonly (number | null)[]): readonly (number | null)[] {
  const found = times.map((): number | null => null);
  let next: number | null = null;
  for (let at = times.length - 1; at >= 0; at--) {
    found[at] = next;
    next = times[at] ?? next;
  }
  return found;
}

/** Each line from its time to the next one's. */
function spelled(lines: readonly string[], times: readonly (number | null)[]): readonly string[] {
  const next = nextOf(times);
  return lines.map((line, at) => {
    const [time, until] = [times[at] ?? null, next[at] ?? null];
    if (time === null) return line;
    return line.replace(MINUTE, until === null || until === time ? '' : `${time}-${until} min: `);
  });
}

const numberIn = (text: string | undefined): number | null => (text === undefined ? null : Number(text));
