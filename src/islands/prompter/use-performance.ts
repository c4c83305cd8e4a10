import { useCallback, useEffect, useRef, useState } from 'react';
import {
  placeAt,
  READY,
  resumed,
  transition,
  type DoneEvent,
  type Effect,
  type HeardLine,
  type LoggedEvent,
  type Performance,
  type PerformanceEvent,
  type PerformanceLog,
  type Performed,
} from '@/core/conductor';
import type { ClassPlan } from '@/core/plan';
import { SYNC_TONE_SECONDS, SYNC_TONES } from '@/core/signal';
import { clockSeconds } from '../live/steady-clock';
import { forgetOldRuns, savePulse, saveRun, logOf, type SavedRun } from './saved-runs';

const PULSE_MILLISECONDS = 1_000;

/** Runs the conductor: keeps its state, gives it the clock, and does what it asks for. */
export function usePerformance(
  first: Performed,
  {
    classId,
    title,
    by,
    timed,
  }: {
    readonly classId: string;
    readonly title: string;
    /** What moves it on. */
    readonly by: Performance['by'];
    /** A plan with its timeline, as it is shown. */
    readonly timed: (plan: ClassPlan) => Performed;
  },
): {
  /** The class as it is performed now. */
  readonly performed: Performed;
  /** Goes on with what is left changed. */
  readonly adapt: (next: Performed) => void;
  readonly events: () => readonly LoggedEvent[];
  readonly state: Performance;
  readonly send: (kind: DoneEvent['kind'], now?: number) => void;
  /** A line was heard. */
  readonly hear: (line: HeardLine) => void;
  /** Goes on with a run that broke off, paused where it stood. */
  readonly resume: (run: SavedRun) => void;
  /** Makes a sound that a recording holds, and logs it. */
  readonly mark: () => void;
  /** What was done so far. */
  readonly log: () => PerformanceLog;
} {
  const [state, setState] = useState<Performance>({ ...READY, by });
  const [performed, setPerformed] = useState(first);
  const now = useRef(performed);
  const current = useRef(state);
  const lock = useRef<WakeLockSentinel | null>(null);
  const events = useRef<readonly LoggedEvent[]>([]);
  const kept = useRef<Pick<SavedRun, 'runId' | 'startedAt'> | null>(null);
  const { runtimeSeconds } = first.timeline;
  /** Where the run stands, noted beside its log. */
  const pulse = useCallback((): void => {
    const { mode, startedSeconds } = current.current;
    if (!kept.current || mode === 'ready' || mode === 'done') return;
    const clock = clockSeconds();
    const placeSeconds = placeAt(current.current, now.current.timeline, clock);
    savePulse({ classId, runId: kept.current.runId }, { atSeconds: clock - startedSeconds, placeSeconds });
  }, [classId]);
  const write = useCallback((): void => {
    const plan = now.current === first ? null : now.current.plan;
    if (kept.current) saveRun({ classId, ...kept.current, runtimeSeconds, log: logOf(title, events.current, plan) });
  }, [classId, first, runtimeSeconds, title]);
  const change = useCallback((next: Performed): void => {
    now.current = next;
    setPerformed(next);
  }, []);
  const keep = useCallback(
    (event: LoggedEvent['event'], at: number, placeSeconds: number): void => {
      if (event === 'start') {
        change(first);
        events.current = [];
        kept.current = { runId: crypto.randomUUID(), startedAt: Date.now() };
      }
      // What was heard began before it was known; the log is in order.
      const atSeconds = Math.max(events.current.at(-1)?.atSeconds ?? 0, at - current.current.startedSeconds);
      events.current = [...events.current, { event, atSeconds, placeSeconds }];
      write();
      if (event === 'start') forgetOldRuns(classId);
    },
    [classId, change, first, write],
  );
  useEffect(() => {
    const timer = setInterval(pulse, PULSE_MILLISECONDS);
    addEventListener('pagehide', pulse);
    return () => {
      clearInterval(timer);
      removeEventListener('pagehide', pulse);
    };
  }, [pulse]);
  const run = useCallback(
    (effect: Effect): void => {
      if (effect.kind === 'log') keep(effect.event, effect.now, effect.placeSeconds);
      if (effect.kind !== 'keep-awake') return;
      if (!effect.on) void lock.current?.release().catch(() => undefined);
      else
        void navigator.wakeLock?.request('screen').then(
          (granted) => (lock.current = granted),
          () => undefined,
        );
    },
    [keep],
  );
  const happen = useCallback(
    (event: PerformanceEvent): void => {
      const [next, effects] = transition(now.current.timeline, current.current, event);
      if (next === current.current) return;
      current.current = next;
      setState(next);
      effects.forEach(run);
    },
    [run],
  );
  const send = useCallback((kind: DoneEvent['kind'], now = clockSeconds()) => happen({ kind, now }), [happen]);
  useEffect(() => {
    // The screen's lock is lost when the window is hidden; ask again when it is back.
    const back = (): void => {
      if (document.visibilityState === 'visible' && current.current.mode === 'running')
        run({ kind: 'keep-awake', on: true });
    };
    document.addEventListener('visibilitychange', back);
    return () => {
      document.removeEventListener('visibilitychange', back);
      void lock.current?.release().catch(() => undefined);
    };
  }, [run]);
  const resume = (broken: SavedRun): void => {
    if (!broken.brokenOff) return;
    const elapsed = (Date.now() - broken.startedAt) / 1000;
    if (broken.log.performed) change(timed(broken.log.performed));
    const next = resumed(broken.log.events, broken.brokenOff, elapsed, clockSeconds());
    kept.current = { runId: broken.runId, startedAt: broken.startedAt };
    events.current = next.events;
    current.current = next.state;
    setState(next.state);
    write();
    run({ kind: 'keep-awake', on: true });
  };
  const mark = (): void => {
    const clock = clockSeconds();
    if (current.current.mode === 'ready') return;
    sound();
    keep('mark', clock, placeAt(current.current, now.current.timeline, clock));
  };
  const adapt = (next: Performed): void => {
    const clock = clockSeconds();
    const place = placeAt(current.current, now.current.timeline, clock);
    change(next);
    keep('adapt', clock, place);
  };
  const log = (): PerformanceLog => logOf(title, events.current, now.current === first ? null : now.current.plan);
  return { performed, adapt, events: () => events.current, state, send, hear: happen, resume, mark, log };
}

/** The sync mark, as a recording is searched for it. */
function sound(): void {
  const context = new AudioContext();
  const now = context.currentTime;
  for (const { atSeconds, hertz } of SYNC_TONES) {
    const tone = new OscillatorNode(context, { frequency: hertz });
    tone.connect(context.destination);
    tone.start(now + atSeconds);
    tone.stop(now + atSeconds + SYNC_TONE_SECONDS);
  }
  setTimeout(() => void context.close(), 1500);
}
