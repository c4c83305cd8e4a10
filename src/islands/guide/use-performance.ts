import { useCallback, useEffect, useRef, useState } from 'react';
import { READY, transition, type Effect, type Performance, type PerformanceEvent } from '@/core/conductor';
import type { Timeline } from '@/core/timeline';

/** A steady clock in seconds. */
export function clockSeconds(): number {
  return performance.now() / 1000;
}

/** Runs the conductor: keeps its state, gives it the clock, and does what it asks for. */
export function usePerformance(timeline: Timeline): {
  readonly state: Performance;
  readonly send: (kind: PerformanceEvent['kind']) => void;
} {
  const [state, setState] = useState<Performance>(READY);
  const current = useRef(state);
  const lock = useRef<WakeLockSentinel | null>(null);
  const run = useCallback((effect: Effect): void => {
    if (effect.kind !== 'keep-awake') return;
    if (!effect.on) void lock.current?.release().catch(() => undefined);
    else
      void navigator.wakeLock?.request('screen').then(
        (granted) => (lock.current = granted),
        () => undefined,
      );
  }, []);
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
  return { state, send };
}
