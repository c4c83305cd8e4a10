import { useCallback, useEffect, useRef, useState } from 'react';
import {
  placeAt,
  READY,
  resumed,
  transition,
  type Effect,
  type LoggedEvent,
  type Performance,
  type PerformanceEvent,
  type PerformanceLog,
} from '@/core/conductor';
import { SYNC_TONE_SECONDS, SYNC_TONES } from '@/core/signal';
import type { Timeline } from '@/core/timeline';
import { forgetOldRuns, savePulse, saveRun, logOf, type SavedRun } from './saved-runs';

/** A steady clock in seconds. */
export function clockSeconds(): number {
  return performance.now() / 1000;
}

const PULSE_MILLISECONDS = 1_000;

/** Runs the conductor: keeps its state, gives it the clock, and does what it asks for. */
export function usePerformance(
  timeline: Timeline,
  { classId, title }: { readonly classId: string; readonly title: string },
): {
  readonly state: Performance;
  readonly send: (kind: PerformanceEvent['kind']) => void;
  /** Goes on with a run that broke off, paused where it stood. */
  readonly resume: (run: SavedRun) => void;
  /** Makes a sound that a recording holds, and logs it. */
  readonly mark: () => void;
  /** What was done so far. */
  readonly log: () => PerformanceLog;
} {
  const [state, setState] = useState<Performance>(READY);
  const current = useRef(state);
  const lock = useRef<WakeLockSentinel | null>(null);
  const events = useRef<readonly LoggedEvent[]>([]);
  const kept = useRef<Pick<SavedRun, 'runId' | 'startedAt'> | null>(null);
  const { runtimeSeconds } = timeline;
  /** Where the run stands, noted beside its log. */
  const pulse = useCallback((): void => {
    const { mode, startedSeconds } = current.current;
    if (!kept.current || mode === 'ready' || mode === 'done') return;
    const now = clockSeconds();
    const placeSeconds = placeAt(current.current, timeline, now);
    savePulse({ classId, runId: kept.current.runId }, { atSeconds: now - startedSeconds, placeSeconds });
  }, [classId, timeline]);
  const write = useCallback((): void => {
    if (kept.current) saveRun({ classId, ...kept.current, runtimeSeconds, log: logOf(title, events.current) });
  }, [classId, runtimeSeconds, title]);
  const keep = useCallback(
    (event: LoggedEvent['event'], now: number, placeSeconds: number): void => {
      if (event === 'start') {
        events.current = [];
        kept.current = { runId: crypto.randomUUID(), startedAt: Date.now() };
      }
      const atSeconds = now - current.current.startedSeconds;
      events.current = [...events.current, { event, atSeconds, placeSeconds }];
      write();
      if (event === 'start') forgetOldRuns(classId);
    },
    [classId, write],
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
  const send = useCallback(
    (kind: PerformanceEvent['kind']): void => {
      const [next, effects] = transition(timeline, current.current, { kind, now: clockSeconds() });
      if (next === current.current) return;
      current.current = next;
      setState(next);
      effects.forEach(run);
    },
    [timeline, run],
  );
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
    const next = resumed(broken.log.events, broken.brokenOff, elapsed, clockSeconds());
    kept.current = { runId: broken.runId, startedAt: broken.startedAt };
    events.current = next.events;
    current.current = next.state;
    setState(next.state);
    write();
    run({ kind: 'keep-awake', on: true });
  };
  const mark = (): void => {
    const now = clockSeconds();
    if (current.current.mode === 'ready') return;
    sound();
    keep('mark', now, placeAt(current.current, timeline, now));
  };
  return { state, send, resume, mark, log: () => logOf(title, events.current) };
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
