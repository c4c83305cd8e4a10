import { cueAt, nextCue, stepAt, type Timeline } from '@/core/timeline';
import { lastStartedAt, type Interval, type Seconds } from '@/core/units';

/*
 * Performing a class as a pure state machine. The clock is an argument: every event carries `now`, in seconds of any
 * steady clock. Order of precedence: a class that is done only starts again; holding stops time before anything
 * else moves; a jump moves the place and leaves running or holding as it was.
 */

export type Mode = 'ready' | 'running' | 'held' | 'done';

export interface Performance {
  readonly mode: Mode;
  /** Place in the timeline when `sinceSeconds` was read, in seconds. */
  readonly placeSeconds: Seconds;
  /** The clock when the place was last set; counts only while running. */
  readonly sinceSeconds: Seconds;
  /** The clock at the start; 0 before it. */
  readonly startedSeconds: Seconds;
  /** Whether it moves on by itself, or waits at each next line for a hand, or until the line is heard. */
  readonly by: 'clock' | 'hand' | 'ear';
}

/** A line was heard: where it stands in the class, and the clock when it began. */
export interface HeardLine {
  readonly kind: 'heard';
  readonly now: Seconds;
  readonly placeSeconds: Seconds;
  readonly begunSeconds: Seconds;
}

/** What is done to a performance, or happens to it. */
export type PerformanceEvent = HeardLine | DoneEvent;

export interface DoneEvent {
  readonly kind:
    | 'start'
    | 'hold'
    | 'go-on'
    | 'next-line'
    | 'line-back'
    | 'next-step'
    | 'step-back'
    | 'tick'
    | 'end'
    | 'by-clock'
    | 'by-hand'
    | 'by-ear';
  readonly now: Seconds;
}

/** What the caller has to do; the machine does none of it. */
export type Effect =
  | {
      readonly kind: 'log';
      readonly event: PerformanceEvent['kind'];
      readonly now: Seconds;
      readonly placeSeconds: Seconds;
    }
  | { readonly kind: 'keep-awake'; readonly on: boolean }
  | { readonly kind: 'finished' };

export const READY: Performance = { mode: 'ready', placeSeconds: 0, sinceSeconds: 0, startedSeconds: 0, by: 'clock' };

/** A step back within this of a line's start goes to the line before it, as a hand expects. */
const BACK_GRACE: Seconds = 2;

const JUST_BEFORE: Seconds = 0.001;

/** What a place is held to: how long the class is, and where its lines begin. */
export interface Course {
  readonly runtimeSeconds: Seconds;
  readonly cues: readonly Interval[];
}

/** Place in the timeline at `now`, held to the class. */
export function placeAt(state: Performance, timeline: Course, now: Seconds): Seconds {
  const passed = state.mode === 'running' ? Math.max(0, now - state.sinceSeconds) : 0;
  const place = Math.min(timeline.runtimeSeconds, Math.max(0, state.placeSeconds + passed));
  if (state.by === 'clock' || passed === 0) return place;
  // Led by hand or by ear it comes as far as the next line and waits there; after the last there is nothing to wait for.
  const next = nextCue(timeline, state.placeSeconds);
  return next ? Math.min(place, Math.max(state.placeSeconds, next.startSeconds - JUST_BEFORE)) : place;
}

/** Gives the next state and the effects to run; runs none. */
export function transition(
  timeline: Timeline,
  state: Performance,
  event: PerformanceEvent,
): readonly [Performance, readonly Effect[]] {
  const { now } = event;
  const place = placeAt(state, timeline, now);
  const log = (placeSeconds: Seconds): Effect => ({ kind: 'log', event: event.kind, now, placeSeconds });
  if (event.kind === 'heard') return heard(state, timeline, event);
  if (event.kind === 'start') {
    if (state.mode === 'running' || state.mode === 'held') return [state, []];
    const begun: Performance = { ...state, mode: 'running', placeSeconds: 0, sinceSeconds: now, startedSeconds: now };
    const moves: Effect = { kind: 'log', event: `by-${state.by}`, now, placeSeconds: 0 };
    return [begun, [log(0), ...(state.by === 'clock' ? [] : [moves]), { kind: 'keep-awake', on: true }]];
  }
  const by = movedBy(event.kind);
  if (by) return moveBy(state, by, now, place, [log(place)]);
  if (state.mode === 'ready' || state.mode === 'done') return [state, []];
  if (event.kind === 'tick') {
    return place >= timeline.runtimeSeconds && state.mode === 'running'
      ? finished(state, timeline, [log(place)])
      : [state, []];
  }
  if (event.kind === 'end') return finished(state, timeline, [log(place)]);
  if (event.kind === 'hold') {
    return state.mode === 'held'
      ? [state, []]
      : [{ ...state, mode: 'held', placeSeconds: place, sinceSeconds: now }, [log(place)]];
  }
  if (event.kind === 'go-on') {
    return state.mode === 'running'
      ? [state, []]
      : [{ ...state, mode: 'running', placeSeconds: place, sinceSeconds: now }, [log(place)]];
  }
  const kind = JUMPS.find((one) => one === event.kind);
  if (!kind) return [state, []];
  const to = jump(timeline, place, kind);
  return [{ ...state, placeSeconds: to, sinceSeconds: now }, [log(to)]];
}

const JUMPS = ['next-line', 'line-back', 'next-step', 'step-back'] as const;

/** Whether such an event is a hand that moves to another place, or a beginning. */
export function movesPlace(kind: string): boolean {
  return kind === 'start' || JUMPS.some((jump) => jump === kind);
}

/** What moves it on from such an event; `null` where it changes nothing of that. */
export function movedBy(kind: string): Performance['by'] | null {
  return kind === 'by-clock' ? 'clock' : kind === 'by-hand' ? 'hand' : kind === 'by-ear' ? 'ear' : null;
}

/** Goes on from here by the clock, by hand or by ear; before the start and after the end nothing is logged. */
function moveBy(
  state: Performance,
  by: Performance['by'],
  now: Seconds,
  place: Seconds,
  effects: readonly Effect[],
): readonly [Performance, readonly Effect[]] {
  if (state.by === by) return [state, []];
  if (state.mode === 'ready' || state.mode === 'done') return [{ ...state, by }, []];
  return [{ ...state, by, placeSeconds: place, sinceSeconds: now }, effects];
}

/**
 * Stands where a line that was heard stands since it began. What was heard counts while it is led by ear and runs; what
 * began before anything else was done since then begins then.
 */
function heard(
  state: Performance,
  { runtimeSeconds }: Timeline,
  { now, placeSeconds, begunSeconds }: HeardLine,
): readonly [Performance, readonly Effect[]] {
  if (state.mode !== 'running' || state.by !== 'ear') return [state, []];
  const sinceSeconds = Math.min(now, Math.max(state.sinceSeconds, begunSeconds));
  const place = Math.min(runtimeSeconds, Math.max(0, placeSeconds));
  return [
    { ...state, placeSeconds: place, sinceSeconds },
    [{ kind: 'log', event: 'heard', now: sinceSeconds, placeSeconds: place }],
  ];
}

function finished(
  state: Performance,
  timeline: Timeline,
  effects: readonly Effect[],
): readonly [Performance, readonly Effect[]] {
  const done: Performance = { ...state, mode: 'done', placeSeconds: timeline.runtimeSeconds };
  return [done, [...effects, { kind: 'keep-awake', on: false }, { kind: 'finished' }]];
}

function jump(timeline: Timeline, place: Seconds, kind: (typeof JUMPS)[number]): Seconds {
  if (kind === 'next-line') return nextCue(timeline, place)?.startSeconds ?? place;
  if (kind === 'line-back') {
    const current = cueAt(timeline, place);
    if (!current) return 0;
    if (place - current.startSeconds > BACK_GRACE) return current.startSeconds;
    return timeline.cues[lastStartedAt(timeline.cues, current.startSeconds) - 1]?.startSeconds ?? 0;
  }
  const current = stepAt(timeline, place);
  if (!current) return place;
  const at = timeline.steps.indexOf(current);
  if (kind === 'next-step') return timeline.steps[at + 1]?.startSeconds ?? place;
  if (place - current.startSeconds > BACK_GRACE) return current.startSeconds;
  // Steps that are left out have no length, and are no place to go back to.
  const before = timeline.steps.slice(0, at).findLast((step) => step.endSeconds > step.startSeconds);
  return before?.startSeconds ?? 0;
}

/** Seconds from the start of the performance to its projected end, were it to run on from here without a stop. */
export function projectedSeconds(state: Performance, timeline: Timeline, now: Seconds): Seconds {
  if (state.mode === 'ready') return timeline.runtimeSeconds;
  return now - state.startedSeconds + timeline.runtimeSeconds - placeAt(state, timeline, now);
}
