import {
  LOG_FORMAT,
  LOG_VERSION,
  readPerformanceLog,
  type BrokenOff,
  type LoggedEvent,
  type PerformanceLog,
} from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { itemAt, wholeMilliseconds } from '@/core/units';

/*
 * Each time a class is performed is a run: a log by itself, kept in this browser by class and run as it is made and
 * never overwritten by the next. `localStorage` is written before the call returns, so a crash loses nothing.
 */

/** One time that a class was performed. */
export interface SavedRun {
  readonly classId: string;
  readonly runId: string;
  /** When it began, in milliseconds of the wall clock. */
  readonly startedAt: number;
  readonly runtimeSeconds: number;
  readonly log: PerformanceLog;
  /** Where it broke off; `null` where it came to its end. */
  readonly brokenOff: BrokenOff | null;
}

/** What is written of a run. */
type WrittenRun = Omit<SavedRun, 'brokenOff'>;

const RUNS = 'performance';
/** Written every second beside the log while a run goes on: `<from the start> <place>`, in seconds. */
const PULSES = 'performance-pulse';
/** Runs kept of one class; with one more the oldest goes. */
const RUNS_A_CLASS = 40;
/** A run that broke off longer ago is not offered to be gone on with. */
const RESUMED_WITHIN_SECONDS = 12 * 3600;

const nameOf = (run: Pick<SavedRun, 'classId' | 'runId'>): string => `${run.classId}/${run.runId}`;

export function logOf(
  title: string,
  events: readonly LoggedEvent[],
  performed: ClassPlan | null = null,
): PerformanceLog {
  const whole = events.map(({ event, atSeconds, placeSeconds }) => ({
    event,
    atSeconds: wholeMilliseconds(Math.max(0, atSeconds)),
    placeSeconds: wholeMilliseconds(Math.max(0, placeSeconds)),
  }));
  return { format: LOG_FORMAT, version: LOG_VERSION, title, events: whole, performed };
}

/** Keeps a run as it stands. */
export function saveRun(run: WrittenRun): void {
  try {
    localStorage.setItem(`${RUNS}/${nameOf(run)}`, JSON.stringify(run));
  } catch {
    // A browser that keeps nothing still guides the class; the log can be saved as a file.
  }
}

/** Notes where a run stands now, so that it can go on from there. */
export function savePulse(run: Pick<SavedRun, 'classId' | 'runId'>, { atSeconds, placeSeconds }: BrokenOff): void {
  try {
    localStorage.setItem(`${PULSES}/${nameOf(run)}`, `${atSeconds.toFixed(1)} ${placeSeconds.toFixed(1)}`);
  } catch {
    // As above.
  }
}

/** The runs of a class that this browser kept, the newest first. */
export function savedRuns(classId: string): SavedRun[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(`${RUNS}/${classId}/`))
      .flatMap((key) => readRun(localStorage.getItem(key)) ?? [])
      .sort((a, b) => b.startedAt - a.startedAt);
  } catch {
    return [];
  }
}

/** Forgets the oldest runs of a class beyond those that are kept. */
export function forgetOldRuns(classId: string): void {
  for (const run of savedRuns(classId).slice(RUNS_A_CLASS)) {
    localStorage.removeItem(`${RUNS}/${nameOf(run)}`);
    localStorage.removeItem(`${PULSES}/${nameOf(run)}`);
  }
}

/** The run to offer to go on with: the newest, when it broke off not long ago and was of a class as long as this. */
export function runToResume(classId: string, runtimeSeconds: number, now: number): SavedRun | null {
  const last = savedRuns(classId).at(0);
  if (!last?.brokenOff || Math.abs(last.runtimeSeconds - runtimeSeconds) > 0.5) return null;
  return secondsSinceStop(last, now) < RESUMED_WITHIN_SECONDS ? last : null;
}

/** How long ago a run broke off, by the wall clock; 0 where that was set back meanwhile. */
export function secondsSinceStop({ startedAt, brokenOff }: SavedRun, now = Date.now()): number {
  return Math.max(0, (now - startedAt) / 1000 - (brokenOff?.atSeconds ?? 0));
}

/** A run as it was written; `null` where that cannot be read. */
function readRun(text: string | null): SavedRun | null {
  try {
    const raw = JSON.parse(text ?? 'null') as WrittenRun | null;
    const log = raw && readPerformanceLog(JSON.stringify(raw.log));
    return raw && log?.ok ? { ...raw, log: log.value, brokenOff: brokenOff(raw, log.value) } : null;
  } catch {
    return null;
  }
}

function brokenOff(run: WrittenRun, { events }: PerformanceLog): BrokenOff | null {
  const last = itemAt(events, events.length - 1);
  const ended = last.event === 'end' || (last.event === 'tick' && last.placeSeconds >= run.runtimeSeconds - 0.01);
  if (ended) return null;
  const pulse = localStorage.getItem(`${PULSES}/${nameOf(run)}`) ?? '';
  const [atSeconds = 0, placeSeconds = 0] = pulse.split(' ').map(Number);
  // The pulse is a second old at most, and older than an event that came after it.
  return atSeconds >= last.atSeconds ? { atSeconds, placeSeconds } : last;
}
