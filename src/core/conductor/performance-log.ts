import { array, mixed, number, object, string, ValidationError } from 'yup';
import { readPlan, type ClassPlan } from '@/core/plan';
import { expandPlan, type Timeline } from '@/core/timeline';
import {
  itemAt,
  failed,
  ok,
  wholeMilliseconds,
  type Interval,
  type Issue,
  type Result,
  type Seconds,
} from '@/core/units';
import type { PerformanceEvent } from './conductor';
import { replayed } from './replayed';

export const LOG_FORMAT = 'calm-count/performance-log';
export const LOG_VERSION = 3;
/** Older ones are read: they know no change of what is left, or nothing that was heard. */
const VERSIONS = [1, 2, LOG_VERSION];
const EVENTS_AT_MOST = 50_000;
const LONGEST: Seconds = 8 * 3600;

const LOGGED = [
  'start',
  'hold',
  'go-on',
  'next-line',
  'line-back',
  'next-step',
  'step-back',
  'tick',
  'end',
  'by-clock',
  'by-hand',
  'by-ear',
  'heard',
  'mark',
  'adapt',
] as const satisfies readonly LoggedEvent['event'][];

/** One thing that was done while performing; `mark` is the sync mark, a sound made so that a recording holds it,
 * `adapt` a change of what was left of the class. */
export interface LoggedEvent {
  readonly event: PerformanceEvent['kind'] | 'mark' | 'adapt';
  /** From the start of the performance. */
  readonly atSeconds: Seconds;
  /** Where the guide stood in the class from then on. */
  readonly placeSeconds: Seconds;
}

/** What was done when, as the guide was performed from. */
export interface PerformanceLog {
  readonly format: typeof LOG_FORMAT;
  readonly version: typeof LOG_VERSION;
  readonly title: string;
  readonly events: readonly LoggedEvent[];
  /** The class as it was performed, where what was left of it was changed; up to each change it is as it was. */
  readonly performed: ClassPlan | null;
}

const seconds = () => number().strict().min(0).max(LONGEST).required();
const schema = object({
  format: string().strict().oneOf([LOG_FORMAT]).required(),
  version: number().strict().oneOf(VERSIONS).required(),
  title: string().strict().max(500).defined(),
  events: array()
    .of(
      object({
        event: string()
          .strict()
          .oneOf([...LOGGED])
          .required(),
        atSeconds: seconds(),
        placeSeconds: seconds(),
      }).noUnknown(),
    )
    .max(EVENTS_AT_MOST)
    .required(),
  performed: mixed().nullable(),
}).noUnknown();

/** Reads a performance log; its events have to be in order of time. */
export function readPerformanceLog(text: string): Result<PerformanceLog, Issue> {
  try {
    const log = schema.validateSync(JSON.parse(text), { strict: true }) as Omit<PerformanceLog, 'performed'> & {
      readonly performed?: unknown;
    };
    const { events } = log;
    const performed = log.performed === undefined || log.performed === null ? null : readPlan(log.performed);
    const ordered = events.every(({ atSeconds }, at) => at === 0 || atSeconds >= itemAt(events, at - 1).atSeconds);
    if (ordered && events.length > 0 && (performed === null || performed.ok))
      return ok({ ...log, version: LOG_VERSION, performed: performed?.value ?? null });
  } catch (error) {
    if (!(error instanceof ValidationError) && !(error instanceof SyntaxError)) throw error;
  }
  return failed({ code: 'bad-log', at: '', facts: {} });
}

/** A line as the guide showed it. */
interface ShownLine extends Interval {
  readonly text: string;
}

/**
 * The lines that came up while the guide ran, when they did; what was jumped over is not among them. Of a class that
 * was changed on the way, as it was performed.
 */
export function linesShown(planned: Timeline, { events, performed }: PerformanceLog): ShownLine[] {
  const timeline = performed ? expandPlan(performed) : planned;
  const lines: ShownLine[] = [];
  for (const { atSeconds, placeSeconds, untilSeconds } of replayed(timeline, events)) {
    for (const { startSeconds, endSeconds, text } of timeline.cues) {
      if (startSeconds < placeSeconds - 0.001 || startSeconds >= untilSeconds - 0.001) continue;
      const start = wholeMilliseconds(atSeconds + startSeconds - placeSeconds);
      lines.push({ startSeconds: start, endSeconds: wholeMilliseconds(start + endSeconds - startSeconds), text });
    }
  }
  return lines;
}

/**
 * What the guide showed, on a recording's clock, by the sync marks that were found in it, or by its speech where there
 * are none. What was shown before the recording began is not in it.
 */
export function linesInRecording(
  timeline: Timeline,
  log: PerformanceLog,
  {
    speech,
    marks,
    startSeconds = null,
  }: {
    readonly speech: readonly Interval[];
    readonly marks: readonly Seconds[];
    /** When the performance began on the recording's clock, where that is known: it was recorded in the prompter. */
    readonly startSeconds?: Seconds | null;
  },
): ShownLine[] {
  const lines = linesShown(timeline, log);
  const start = startSeconds ?? startFound(lines, log, speech, marks);
  return lines.flatMap(({ startSeconds, endSeconds, text }) =>
    startSeconds + start < 0
      ? []
      : [
          {
            startSeconds: wholeMilliseconds(startSeconds + start),
            endSeconds: wholeMilliseconds(endSeconds + start),
            text,
          },
        ],
  );
}

function startFound(
  lines: readonly ShownLine[],
  log: PerformanceLog,
  speech: readonly Interval[],
  marks: readonly Seconds[],
): Seconds {
  const bySpeech = startInRecording(lines, speech);
  return startByMarks(log, marks, bySpeech) ?? bySpeech;
}

/** Marks this near are the same. */
const SAME_MARK: Seconds = 0.3;

/**
 * When the performance began on a recording's clock, by the marks that were logged and those found in the recording:
 * the shift at which most of them meet, the one nearest to `about` where several do. `null` where either has none.
 */
export function startByMarks({ events }: PerformanceLog, marks: readonly Seconds[], about: Seconds): Seconds | null {
  const logged = events.filter(({ event }) => event === 'mark').map(({ atSeconds }) => atSeconds);
  const shifts = logged.flatMap((at) => marks.map((mark) => mark - at));
  const met = (shift: Seconds): number =>
    logged.filter((at) => marks.some((mark) => Math.abs(mark - at - shift) < SAME_MARK)).length;
  const best = shifts.reduce<{ shift: Seconds; met: number } | null>((chosen, shift) => {
    const count = met(shift);
    const nearer = chosen && count === chosen.met && Math.abs(shift - about) < Math.abs(chosen.shift - about);
    return !chosen || count > chosen.met || nearer ? { shift, met: count } : chosen;
  }, null);
  return best && wholeMilliseconds(best.shift);
}

/** A performance may have begun so long before its recording, or after. */
const BEFORE: Seconds = 600;
const BIN: Seconds = 0.1;

/**
 * When the performance began on a recording's clock, by the stretches of speech in it: the shift at which most lines
 * begin where speech does, within 0.3 s. 0 where there is nothing to go by.
 */
export function startInRecording(lines: readonly ShownLine[], speech: readonly Interval[]): Seconds {
  const max = Math.max(0, ...speech.map(({ endSeconds }) => endSeconds));
  const votes = new Float32Array(Math.ceil((BEFORE + max) / BIN) + 8);
  for (const line of lines)
    for (const { startSeconds } of speech) {
      const bin = Math.round((startSeconds - line.startSeconds + BEFORE) / BIN);
      for (let by = -3; by <= 3; by++)
        if (bin + by >= 0 && bin + by < votes.length) votes[bin + by] = (votes[bin + by] ?? 0) + (4 - Math.abs(by));
    }
  let best = Math.round(BEFORE / BIN);
  votes.forEach((vote, bin) => {
    if (vote > itemAt(votes, best)) best = bin;
  });
  return wholeMilliseconds(best * BIN - BEFORE);
}
